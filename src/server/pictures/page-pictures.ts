import type { Actor } from '../actor';
import type { PagePictures } from '../../core/wire/desk';
import type { PageDevice } from '../../core/model/page-bars';
import { type Result, fail, ok } from '../../core/result';
import type { Tx } from '../db/open';
import {
  deleteUploads,
  insertUpload,
  listPagePictures,
  removePagePicture,
  setPagePicture,
} from './uploads.repository';
import { inTransaction } from '../db/transaction';
import { removePicture, storePicture } from './picture-store';
import type { State } from '../state';

/** As wide as the stage draws a page, twice that on phones; some screens of it are enough. */
const SIZES: Readonly<Record<PageDevice, { readonly width: number; readonly height: number }>> = {
  desktop: { width: 1280, height: 2400 },
  phone: { width: 780, height: 4800 },
};

/** Keeps a picture of the owner's page: the file first, then the row that names it. */
export async function keepPagePicture(
  { db, env, drawer }: Pick<State, 'db' | 'env' | 'drawer'>,
  { siteId, personId, at }: Actor,
  device: PageDevice,
  sent: Buffer,
): Promise<Result<PagePictures['pictures']>> {
  const drawn = await drawer.page(personId, sent, SIZES[device]);
  if (!drawn.ok) return fail(drawn.errors);
  const { hash, mime, width, height, bytes } = drawn.value;
  await storePicture(env.dataDir, drawn.value, at);
  const { pictures, unnamed } = await inTransaction(db, async (tx) => {
    const before = await listPagePictures(tx, siteId);
    await insertUpload(tx, siteId, {
      hash,
      kind: 'page',
      mime,
      width,
      height,
      bytes: bytes.length,
      personId,
      at,
    });
    await setPagePicture(tx, siteId, device, hash);
    return { pictures: await listPagePictures(tx, siteId), unnamed: await forgetUnshown(tx, siteId, before) };
  });
  for (const one of unnamed) await removePicture(env.dataDir, one);
  return ok(pictures);
}

/** Takes a picture of the owner's page away, and forgets it. */
export async function forgetPagePicture(
  { db, env }: Pick<State, 'db' | 'env'>,
  siteId: string,
  device: PageDevice,
): Promise<void> {
  const unnamed = await inTransaction(db, async (tx) => {
    const before = await listPagePictures(tx, siteId);
    await removePagePicture(tx, siteId, device);
    return forgetUnshown(tx, siteId, before);
  });
  for (const one of unnamed) await removePicture(env.dataDir, one);
}

/** What stood behind the stage and does on no device any more; gives the pictures that may go. */
async function forgetUnshown(tx: Tx, siteId: string, before: PagePictures['pictures']): Promise<string[]> {
  const shown = Object.values(await listPagePictures(tx, siteId)).map(({ hash }) => hash);
  const gone = Object.values(before).flatMap(({ hash }) => (shown.includes(hash) ? [] : [hash]));
  return deleteUploads(tx, siteId, 'page', [...new Set(gone)]);
}
