import {
  type Color,
  filterDeficiencyDeuter,
  filterDeficiencyProt,
  filterDeficiencyTrit,
  filterGrayscale,
  formatHex,
} from 'culori/fn';
import type { HexColor } from '../model/units';
import './modes';

/** How people see colours who see fewer of them; `red`, `green`, `blue` names the cones that are missing. */
export const SIGHTS = ['green', 'red', 'blue', 'none'] as const;
export type Sight = (typeof SIGHTS)[number];

type Filter = (color: HexColor) => { readonly mode: string } | undefined;
const FILTERS: Readonly<Record<Sight, Filter>> = {
  red: filterDeficiencyProt(1) as Filter,
  green: filterDeficiencyDeuter(1) as Filter,
  blue: filterDeficiencyTrit(1) as Filter,
  none: filterGrayscale(1, 'rgb'),
};

/** A colour as it is seen without some cones (G. Machado, M. Oliveira, L. Fernandes, 2009, severity 1). */
export function seenBy(sight: Sight, color: HexColor): HexColor {
  const seen = FILTERS[sight](color);
  return seen === undefined ? color : formatHex(seen as Color);
}

/** The matrix of the same for an SVG filter in sRGB: three rows of five. */
export function matrixOf(sight: Sight): string {
  const [r, g, b] = ['#ff0000', '#00ff00', '#0000ff'].map((color) => rawOf(sight, color));
  const rows = (['r', 'g', 'b'] as const).map(
    (channel) => [r, g, b].map((one) => (one?.[channel] ?? 0).toFixed(5)).join(' ') + ' 0 0',
  );
  return `${rows.join(' ')} 0 0 0 1 0`;
}

function rawOf(
  sight: Sight,
  color: HexColor,
): { readonly r: number; readonly g: number; readonly b: number } {
  const seen = FILTERS[sight](color) as { mode: string; r: number; g: number; b: number } | undefined;
  return seen ?? { r: 0, g: 0, b: 0 };
}
