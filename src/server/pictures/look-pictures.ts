import type { HeaderPicture } from '../../core/model/look';
import type { EpochMs } from '../../core/model/units';
import { type Result, fail, ok } from '../../core/result';
import type { LookPictureKind } from '../../core/wire/desk';
import { insertUpload } from './uploads.repository';
import { inTransaction } from '../db/transaction';
import type { Fit } from './draw-picture';
import { storePicture } from './picture-store';
import type { State } from '../state';

/** In CSS px: a mark is as large as the lamp, a logo stands 32 px high in the header and 40 px on a card; a header is as wide as a large phone. */
const FITS: Readonly<Record<LookPictureKind, Fit>> = {
  logo: { width: 160, height: 40, as: 'inside' },
  icon: { width: 96, height: 30, as: 'inside' },
  header: { width: 480, height: 160, as: 'cover' },
};

/** Draws and keeps a picture that belongs to a look: the files first, then the rows that name them. The draft names it later. */
export async function keepLookPicture(
  { db, env, drawer }: Pick<State, 'db' | 'env' | 'drawer'>,
  { siteId, personId, at }: { readonly siteId: string; readonly personId: string; readonly at: EpochMs },
  kind: LookPictureKind,
  sent: Buffer,
): Promise<Result<HeaderPicture>> {
  const drawn = await drawer.twice(personId, sent, FITS[kind]);
  if (!drawn.ok) return fail(drawn.errors);
  const { once, twice, darkest, lightest } = drawn.value;
  for (const one of [once, twice]) await storePicture(env.dataDir, one, at);
  return inTransaction(db, async (tx) => {
    for (const { bytes, ...one } of [once, twice])
      await insertUpload(tx, siteId, { ...one, kind, bytes: bytes.length, personId, at });
    return ok({
      once: once.hash,
      twice: twice.hash,
      width: once.width,
      height: once.height,
      darkest,
      lightest,
    });
  });
}
