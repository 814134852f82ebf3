import { contrast } from '../../core/look/contrast';
import { textOn } from '../../core/look/palette';
import type { HexColor } from '../../core/model/units';

/** What stands beside a brand colour: which text goes on it, and its ratio. One always reads: white, ink, or black. */
export function contrastSentence(brand: HexColor): string {
  const text = textOn(brand);
  const ratio = contrast(text, brand);
  const name = text === '#ffffff' ? 'White' : 'Dark';
  return `${name} text on it: ${(Math.floor(ratio * 10) / 10).toFixed(1)}:1, ${ratio >= 7 ? 'reads very well' : 'reads well'}.`;
}

/** Whether a text is a colour we can read here: # and six digits, or three. Null: not yet. */
export function toHex(text: string): HexColor | null {
  const clean = text.trim().toLowerCase().replace(/^#?/, '#');
  if (/^#[0-9a-f]{6}$/.test(clean)) return clean;
  if (/^#[0-9a-f]{3}$/.test(clean)) return `#${[...clean.slice(1)].map((digit) => digit + digit).join('')}`;
  return null;
}
