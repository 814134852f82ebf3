import type { PageDevice, PagePictures } from '../../core/wire/desk';
import { type Result, fail, ok } from '../../core/result';
import type { EpochMs } from '../../core/model/units';
import { insertUpload, listPagePictures, removePagePicture, setPagePicture } from '../db/repositories/uploads';
import { inTransaction } from '../db/transaction';
import { drawPicture } from '../pictures/draw-picture';
import { storePicture } from '../pictures/picture-store';
import type { State } from '../state';

type Actor = { readonly siteId: string; readonly personId: string; readonly at: EpochMs };

/** As wide as the stage draws a page, twice that on phones; some screens of it are enough. */
const SIZES: Readonly<Record<PageDevice, { readonly width: number; readonly height: number }>> = {
  desktop: { width: 1280, height: 2400 },
  phone: { width: 780, height: 4800 },
};

/** Keeps a picture of the owner's page: the file first, then the row that names it. */
export async function keepPagePicture(
  { db, env }: Pick<State, 'db' | 'env'>,
  { siteId, personId, at }: Actor,
  device: PageDevice,
  sent: Buffer,
): Promise<Result<PagePictures['pictures']>> {
  const drawn = await drawPicture(sent, SIZES[device]);
  if (!drawn.ok) return fail(drawn.errors);
  const { hash, mime, width, height, bytes } = drawn.value;
  await storePicture(env.dataDir, drawn.value, at);
  return inTransaction(db, async (tx) => {
    await insertUpload(tx, siteId, { hash, kind: 'page', mime, width, height, bytes: bytes.length, personId, at });
    await setPagePicture(tx, siteId, device, hash);
    return ok(await listPagePictures(tx, siteId));
  });
}

export async function forgetPagePicture({ db }: Pick<State, 'db'>, siteId: string, device: PageDevice): Promise<void> {
  await inTransaction(db, (tx) => removePagePicture(tx, siteId, device));
}
