import type { EpochMs } from '../../core/model/units';
import { type Result, fail, ok } from '../../core/result';
import { writeFace } from '../db/repositories/members';
import { insertUpload } from '../db/repositories/uploads';
import { inTransaction } from '../db/transaction';
import { drawTwice } from '../pictures/draw-picture';
import { storePicture } from '../pictures/picture-store';
import type { State } from '../state';

type Actor = { readonly siteId: string; readonly personId: string; readonly at: EpochMs };

/** In CSS px: twice as large as the widget shows it, for the desk's own lists. */
const FIT = { width: 64, height: 64, as: 'cover' } as const;

/** Draws and keeps the face of somebody of the site, and shows it to visitors from now on; false: nobody is called that there. */
export async function keepFace(
  { db, env }: Pick<State, 'db' | 'env'>,
  { siteId, personId, at }: Actor,
  ofPersonId: string,
  sent: Buffer,
): Promise<Result<boolean>> {
  const drawn = await drawTwice(sent, FIT);
  if (!drawn.ok) return fail(drawn.errors);
  const { once, twice } = drawn.value;
  for (const one of [once, twice]) await storePicture(env.dataDir, one, at);
  return inTransaction(db, async (tx) => {
    for (const { bytes, ...one } of [once, twice])
      await insertUpload(tx, siteId, { ...one, kind: 'face', bytes: bytes.length, personId, at });
    return ok(await writeFace(tx, siteId, ofPersonId, [once.hash, twice.hash]));
  });
}

/** From now on visitors see initials again; false: nobody is called that there. */
export async function takeFaceAway({ db }: Pick<State, 'db'>, siteId: string, ofPersonId: string): Promise<boolean> {
  return inTransaction(db, (tx) => writeFace(tx, siteId, ofPersonId, null));
}
