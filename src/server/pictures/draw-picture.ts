import { createHash } from 'node:crypto';
import { fileTypeFromBuffer } from 'file-type';
import sharp, { type Sharp } from 'sharp';
import { hexByte } from '../../core/look/oklch';
import type { HexColor, Px } from '../../core/model/units';
import { type Result, fail, ok } from '../../core/result';
import { faultOfSvg, isSvg } from './svg';

/** A picture as it is kept: drawn anew, so that nothing of what was sent remains but its pixels. */
export interface DrawnPicture {
  readonly hash: string;
  readonly mime: 'image/webp';
  readonly width: Px;
  readonly height: Px;
  readonly bytes: Buffer;
}

/** A picture for screens of one and of two device pixels to a CSS pixel. */
export interface TwoSizes {
  readonly once: DrawnPicture;
  readonly twice: DrawnPicture;
  /** Bounds of its pixels, channel by channel, on white. */
  readonly darkest: HexColor;
  readonly lightest: HexColor;
}

/** Sizes at 1×; `inside`: all of it, `cover`: cut to fill it. */
export interface Fit {
  readonly width: Px;
  readonly height: Px;
  readonly as: 'inside' | 'cover';
}

/** Pixels of what is read, before it is made smaller: 50 million, about 200 MB while it is drawn. */
const PIXELS_MAX = 50_000_000;
const PAGE_KINDS = ['image/png', 'image/jpeg', 'image/webp'];
const LOOK_KINDS = [...PAGE_KINDS, 'image/gif', 'image/avif'];

const DAMAGED =
  'That picture cannot be drawn: it is damaged, or far too large. Nothing was stored; try another one.';

/**
 * Draws what somebody sent to pixels ([threat 13]): judged by its content and not by its name, oriented, without
 * metadata, no wider than `width`, cut below `height`. Errors name the whole (`''`), in a sentence.
 */
export async function drawPicture(
  sent: Buffer,
  { width, height }: { readonly width: Px; readonly height: Px },
): Promise<Result<DrawnPicture>> {
  if (!(await isOneOf(sent, PAGE_KINDS)))
    return fail({
      '': 'That is not a PNG, JPEG or WebP picture. Nothing was stored; save it as one of these and try again.',
    });
  try {
    const { data } = await opened(sent)
      .rotate()
      .resize({ width, withoutEnlargement: true })
      .png()
      .toBuffer({ resolveWithObject: true });
    const whole = sharp(data);
    const size = await whole.metadata();
    const cut = { left: 0, top: 0, width: size.width, height: Math.min(size.height, height) };
    return ok(await kept(whole.extract(cut)));
  } catch {
    return fail({ '': DAMAGED }); // whatever the decoder found: the owner is told, nothing was stored
  }
}

/** The same for what belongs to a look, in two sizes; takes drawings (SVG) too, of which only the pixels are kept. */
export async function drawTwice(sent: Buffer, fit: Fit): Promise<Result<TwoSizes>> {
  const isDrawing = isSvg(sent);
  const fault = isDrawing ? faultOfSvg(sent) : null;
  if (fault !== null) return fail({ '': fault });
  if (!isDrawing && !(await isOneOf(sent, LOOK_KINDS)))
    return fail({
      '': 'That is not a PNG, JPEG, WebP, GIF, AVIF or SVG picture. Nothing was stored; save it as one of these and try again.',
    });
  try {
    const largest = isDrawing ? await densityFor(sent, fit) : {};
    const { data } = await opened(sent, largest)
      .rotate()
      .resize({
        width: 2 * fit.width,
        height: 2 * fit.height,
        fit: fit.as,
        withoutEnlargement: fit.as === 'inside',
      })
      .png()
      .toBuffer({ resolveWithObject: true });
    // A logo keeps its very colours; its few pixels are small all the same.
    const isExact = fit.as === 'inside';
    const twice = await kept(sharp(data), isExact);
    const once = await kept(
      sharp(data).resize({ width: fit.width, height: fit.height, fit: fit.as, withoutEnlargement: true }),
      isExact,
    );
    return ok({ once, twice, ...(await boundsOf(data)) });
  } catch {
    return fail({ '': DAMAGED }); // whatever the decoder found: the owner is told, nothing was stored
  }
}

function opened(sent: Buffer, more: { readonly density?: number } = {}) {
  return sharp(sent, { limitInputPixels: PIXELS_MAX, failOn: 'error', animated: false, ...more });
}

async function isOneOf(sent: Buffer, kinds: readonly string[]): Promise<boolean> {
  return kinds.includes((await fileTypeFromBuffer(sent))?.mime ?? '');
}

/** Points to an inch at which a drawing comes out as large as it is needed; 72 is its own size. */
async function densityFor(sent: Buffer, { width, height, as }: Fit): Promise<{ readonly density: number }> {
  const own = await sharp(sent, { limitInputPixels: false }).metadata(); // nothing is drawn for that
  const [across, down] = [(2 * width) / own.width, (2 * height) / own.height];
  const share = as === 'inside' ? Math.min(across, down) : Math.max(across, down);
  const density = Math.min(2400, Math.max(1, 72 * share));
  const pixels = own.width * own.height * (density / 72) ** 2;
  if (!(pixels <= DRAWN_PIXELS_MAX)) throw new Error('Expected a drawing that comes out no larger.');
  return { density };
}

/** A drawing comes out a few hundred pixels wide; one that is a thousand times as long as it is wide is nobody's logo. */
const DRAWN_PIXELS_MAX = 4_000_000;

async function kept(drawn: Sharp, isExact = false): Promise<DrawnPicture> {
  const { data: bytes, info } = await drawn
    .webp(isExact ? { lossless: true } : { quality: 86 })
    .toBuffer({ resolveWithObject: true });
  const hash = createHash('sha256').update(bytes).digest('hex').slice(0, 40);
  return { hash, mime: 'image/webp', width: info.width, height: info.height, bytes };
}

/** Of all pixels at an eighth of the size: text is wider than that. */
async function boundsOf(png: Buffer): Promise<Pick<TwoSizes, 'darkest' | 'lightest'>> {
  const small = sharp(png).flatten({ background: '#ffffff' }).toColourspace('srgb').removeAlpha();
  const { width } = await sharp(png).metadata();
  const pixels = await small
    .resize({ width: Math.max(1, Math.round(width / 8)), kernel: 'linear' })
    .raw()
    .toBuffer();
  const least = [255, 255, 255];
  const most = [0, 0, 0];
  for (const [at, value] of pixels.entries()) {
    least[at % 3] = Math.min(least[at % 3] ?? 0, value);
    most[at % 3] = Math.max(most[at % 3] ?? 0, value);
  }
  const hex = (values: readonly number[]): HexColor => `#${values.map(hexByte).join('')}`;
  return { darkest: hex(least), lightest: hex(most) };
}
