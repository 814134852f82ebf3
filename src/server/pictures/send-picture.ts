import type { HttpAnswer } from '../http/exchange';
import { type UploadKind, findUpload } from './uploads.repository';
import type { State } from '../state';
import { readPicture } from './picture-store';

/** [threat 13] A picture of a site, of a kind that may be shown here, as nothing but a picture; null: there is none. */
export async function pictureOf(
  { db, env }: Pick<State, 'db' | 'env'>,
  siteId: string,
  hash: string,
  mayShow: (kind: UploadKind) => boolean,
  headers: Readonly<Record<string, string>> = { 'Cache-Control': 'private, max-age=31536000, immutable' },
): Promise<HttpAnswer | null> {
  const upload = /^[0-9a-f]{40}$/.test(hash) ? await findUpload(db, siteId, hash) : null;
  if (upload === null || !mayShow(upload.kind)) return null;
  const bytes = await readPicture(env.dataDir, hash);
  if (bytes === null) return null;
  return {
    status: 200,
    headers: {
      ...headers,
      'Content-Type': upload.mime,
      'X-Content-Type-Options': 'nosniff',
      'Content-Security-Policy': "default-src 'none'; sandbox",
    },
    body: bytes,
  };
}
