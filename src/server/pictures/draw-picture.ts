import { createHash } from 'node:crypto';
import { fileTypeFromBuffer } from 'file-type';
import sharp from 'sharp';
import type { Px } from '../../core/model/units';
import { type Result, fail, ok } from '../../core/result';

/** A picture as it is kept: drawn anew, so that nothing of what was sent remains but its pixels. */
export interface Picture {
  readonly hash: string;
  readonly mime: 'image/webp';
  readonly width: Px;
  readonly height: Px;
  readonly bytes: Buffer;
}

export const PICTURE_BYTES_MAX = 5 * 1024 * 1024;
/** Pixels of what is read, before it is made smaller: 50 million, about 200 MB while it is drawn. */
const PIXELS_MAX = 50_000_000;
const KINDS = ['image/png', 'image/jpeg', 'image/webp'];

/**
 * Draws what somebody sent to pixels ([threat 13]): judged by its content and not by its name, oriented, without
 * metadata, no wider than `width`, cut below `height`. Errors name the whole (`''`), in a sentence.
 */
export async function drawPicture(sent: Buffer, { width, height }: { readonly width: Px; readonly height: Px }): Promise<Result<Picture>> {
  const kind = await fileTypeFromBuffer(sent);
  if (kind === undefined || !KINDS.includes(kind.mime))
    return fail({ '': 'That is not a PNG, JPEG or WebP picture. Nothing was stored; save it as one of these and try again.' });
  try {
    const drawn = sharp(sent, { limitInputPixels: PIXELS_MAX, failOn: 'error', animated: false });
    const { data } = await drawn.rotate().resize({ width, withoutEnlargement: true }).png().toBuffer({ resolveWithObject: true });
    const whole = sharp(data);
    const size = await whole.metadata();
    const cut = { left: 0, top: 0, width: size.width, height: Math.min(size.height, height) };
    const { data: bytes, info } = await whole.extract(cut).webp({ quality: 82 }).toBuffer({ resolveWithObject: true });
    const hash = createHash('sha256').update(bytes).digest('hex').slice(0, 40);
    return ok({ hash, mime: 'image/webp', width: info.width, height: info.height, bytes });
  } catch {
    return fail({ '': 'That picture cannot be drawn: it is damaged, or far too large. Nothing was stored; try another one.' });
  }
}
