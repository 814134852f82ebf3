import type { BarsByDevice } from '../../core/model/page-bars';
import type { Bars } from '../../core/model/page-bars';
import type { LookPictureKind, PagePicture } from '../../core/wire/desk';
import type { PageDevice } from '../../core/model/page-bars';
import type { Db } from '../db/open';

export type UploadKind = 'page' | 'face' | LookPictureKind;

export interface Upload {
  readonly hash: string;
  readonly kind: UploadKind;
  readonly mime: string;
  readonly width: number;
  readonly height: number;
  readonly bytes: number;
  readonly personId: string;
  readonly at: number;
}

/** Uploaded twice it is kept once; what belongs to a look may be seen by visitors from then on. */
export async function insertUpload(db: Db, siteId: string, { personId, at, ...one }: Upload): Promise<void> {
  await db
    .insertInto('upload')
    .values({ site_id: siteId, ...one, person_id: personId, at_ms: at })
    .onConflict((on) =>
      one.kind === 'page'
        ? on.columns(['site_id', 'hash']).doNothing()
        : on.columns(['site_id', 'hash']).doUpdateSet({ kind: one.kind }),
    )
    .execute();
}

/** What was uploaded under a hash; null: nothing of this site was. */
export async function findUpload(
  db: Db,
  siteId: string,
  hash: string,
): Promise<Pick<Upload, 'kind' | 'mime'> | null> {
  const row = await db
    .selectFrom('upload')
    .select(['kind', 'mime'])
    .where('site_id', '=', siteId)
    .where('hash', '=', hash)
    .executeTakeFirst();
  return row ?? null;
}

/** Forgets what was uploaded as something; what is named by more than that stays. Gives the hashes that no site names any more. */
export async function deleteUploads(
  db: Db,
  siteId: string,
  kind: UploadKind,
  hashes: readonly string[],
): Promise<string[]> {
  if (hashes.length === 0) return [];
  await db
    .deleteFrom('upload')
    .where('site_id', '=', siteId)
    .where('kind', '=', kind)
    .where('hash', 'in', hashes)
    .execute();
  const named = await db.selectFrom('upload').select('hash').where('hash', 'in', hashes).execute();
  return hashes.filter((hash) => !named.some((one) => one.hash === hash));
}

export async function setPagePicture(
  db: Db,
  siteId: string,
  device: PageDevice,
  hash: string,
): Promise<void> {
  await db
    .insertInto('page_picture')
    .values({ site_id: siteId, device, hash })
    .onConflict((on) => on.columns(['site_id', 'device']).doUpdateSet({ hash }))
    .execute();
}

export async function removePagePicture(db: Db, siteId: string, device: PageDevice): Promise<void> {
  await db.deleteFrom('page_picture').where('site_id', '=', siteId).where('device', '=', device).execute();
}

/** Bars that stay in place on the owner's page; none where none were marked. */
export async function listPageBars(db: Db, siteId: string): Promise<BarsByDevice> {
  const rows = await db
    .selectFrom('page_bars')
    .select(['device', 'upper_px', 'lower_px'])
    .where('site_id', '=', siteId)
    .execute();
  const marked = Object.fromEntries(
    rows.map((row) => [row.device, { upper: row.upper_px, lower: row.lower_px }]),
  );
  return { desktop: NO_BARS, phone: NO_BARS, ...marked };
}
const NO_BARS: Bars = { upper: 0, lower: 0 };

export async function setPageBars(
  db: Db,
  siteId: string,
  device: PageDevice,
  { upper, lower }: Bars,
): Promise<void> {
  const values = { upper_px: upper, lower_px: lower };
  await db
    .insertInto('page_bars')
    .values({ site_id: siteId, device, ...values })
    .onConflict((on) => on.columns(['site_id', 'device']).doUpdateSet(values))
    .execute();
}

/** Pictures of the owner's page, by device. */
export async function listPagePictures(
  db: Db,
  siteId: string,
): Promise<Partial<Record<PageDevice, PagePicture>>> {
  const rows = await db
    .selectFrom('page_picture')
    .innerJoin('upload', (on) =>
      on.onRef('upload.site_id', '=', 'page_picture.site_id').onRef('upload.hash', '=', 'page_picture.hash'),
    )
    .select(['page_picture.device', 'upload.hash', 'upload.width', 'upload.height'])
    .where('page_picture.site_id', '=', siteId)
    .execute();
  return Object.fromEntries(rows.map(({ device, hash, width, height }) => [device, { hash, width, height }]));
}
