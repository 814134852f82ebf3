import { contrast } from '../../core/look/contrast';
import { TEXT_RATIO, textOn } from '../../core/look/palette';
import type { HexColor } from '../../core/model/units';

/** What stands beside a brand colour: which text goes on it, its ratio, and whether that reads. */
export function contrastSentence(brand: HexColor): { readonly sentence: string; readonly reads: boolean } {
  const text = textOn(brand);
  const ratio = contrast(text, brand);
  const name = text === '#ffffff' ? 'White' : 'Dark';
  const reads = ratio >= TEXT_RATIO;
  const verdict = ratio >= 7 ? 'reads very well' : reads ? 'reads well' : `is hard to read; ${TEXT_RATIO}:1 is needed`;
  return { sentence: `${name} text on it: ${(Math.floor(ratio * 10) / 10).toFixed(1)}:1, ${verdict}.`, reads };
}

/** Whether a text is a colour we can read here: # and six digits, or three. Null: not yet. */
export function toHex(text: string): HexColor | null {
  const clean = text.trim().toLowerCase().replace(/^#?/, '#');
  if (/^#[0-9a-f]{6}$/.test(clean)) return clean;
  if (/^#[0-9a-f]{3}$/.test(clean)) return `#${[...clean.slice(1)].map((digit) => digit + digit).join('')}`;
  return null;
}
