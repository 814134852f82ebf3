import { contrast } from '../../core/look/contrast';
import { textOn } from '../../core/look/palette';
import type { HexColor } from '../../core/model/units';

/** What stands beside a brand colour: which text goes on it, and its ratio. One always reads: white, ink, or black. */
export function contrastSentence(brand: HexColor): string {
  const text = textOn(brand);
  const ratio = contrast(text, brand);
  const name = text === '#ffffff' ? 'White' : 'Dark';
  return `${name} text on it: ${(Math.floor(ratio * 10) / 10).toFixed(1)}:1, ${ratio >= 7 ? 'very easy to read' : 'easy to read'}.`;
}
