import type { Actor } from '../actor';
import { type Result, fail, ok } from '../../core/result';
import type { Face } from '../../core/wire/talk';
import type { Tx } from '../db/open';
import { findFace, listMembers, writeFace } from '../accounts/members.repository';
import { deleteUploads, insertUpload } from './uploads.repository';
import { inTransaction } from '../db/transaction';
import { removePicture, storePicture } from './picture-store';
import type { State } from '../state';

/** In CSS px: twice as large as the widget shows it, for the desk's own lists. */
const FIT = { width: 64, height: 64, as: 'cover' } as const;

/** Draws and keeps the face of somebody of the site, and shows it to visitors from now on; false: nobody is called that there. */
export async function keepFace(
  { db, env, drawer }: Pick<State, 'db' | 'env' | 'drawer'>,
  { siteId, personId, at }: Actor,
  ofPersonId: string,
  sent: Buffer,
): Promise<Result<boolean>> {
  const drawn = await drawer.twice(personId, sent, FIT);
  if (!drawn.ok) return fail(drawn.errors);
  const { once, twice } = drawn.value;
  for (const one of [once, twice]) await storePicture(env.dataDir, one, at);
  const { isThere, unnamed } = await inTransaction(db, async (tx) => {
    for (const { bytes, ...one } of [once, twice])
      await insertUpload(tx, siteId, { ...one, kind: 'face', bytes: bytes.length, personId, at });
    return change(tx, siteId, ofPersonId, [once.hash, twice.hash]);
  });
  for (const hash of unnamed) await removePicture(env.dataDir, hash);
  return ok(isThere);
}

/** From now on visitors see initials again, and the picture is gone; false: nobody is called that there. */
export async function takeFaceAway(
  { db, env }: Pick<State, 'db' | 'env'>,
  siteId: string,
  ofPersonId: string,
): Promise<boolean> {
  const { isThere, unnamed } = await inTransaction(db, (tx) => change(tx, siteId, ofPersonId, null));
  for (const hash of unnamed) await removePicture(env.dataDir, hash);
  return isThere;
}

/** Another face, or none; the one before is forgotten where nobody else of the site shows it. `unnamed`: pictures that may go. */
async function change(
  tx: Tx,
  siteId: string,
  personId: string,
  face: Face | null,
): Promise<{ isThere: boolean; unnamed: string[] }> {
  const before = await findFace(tx, siteId, personId);
  const isThere = await writeFace(tx, siteId, personId, face);
  const shown = (await listMembers(tx, siteId)).flatMap((one) => one.face ?? []);
  const gone = (before ?? []).filter((hash) => !shown.includes(hash));
  return { isThere, unnamed: await deleteUploads(tx, siteId, 'face', gone) };
}
