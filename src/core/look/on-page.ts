import type { Scheme } from '../model/look';
import type { LauncherForm, Look } from '../model/look';
import type { HexColor } from '../model/units';
import { contrast } from './contrast';
import { nearestOnAll } from './nearest';
import { type Mend, withOwn } from './pairs';
import { CONTROL_RATIO, type Colours, NO_RING, paletteOf } from './palette';

/** What stands on the page itself: it is told from the page by its ground, or by the line around that. */
export const ON_PAGE = ['launcher', 'invitation'] as const;
export type OnPage = (typeof ON_PAGE)[number];

const PARTS = { launcher: ['launcher', 'ring'], invitation: ['ground', 'edge'] } as const;

/** What a launcher of a form puts on the page: the page's own element is the page's. */
export function standsOnPage(form: LauncherForm): readonly OnPage[] {
  return form === 'own-element' ? ['invitation'] : ON_PAGE;
}

export interface JudgedOnPage {
  readonly what: OnPage;
  /** Of the page's main colours the one it is told from worst. */
  readonly page: HexColor;
  readonly ratio: number;
  readonly passes: boolean;
}

/** How well something is told from the main colours of the page behind it (WCAG 2.2, 1.4.11: 3:1), at the worst of them. */
export function judgeOnPage(colours: Colours, what: OnPage, page: readonly HexColor[]): JudgedOnPage {
  const worst = page
    .map((one) => ({
      page: one,
      ratio: Math.max(...seenOf(colours, what).map((part) => contrast(part, one))),
    }))
    .reduce((least, one) => (one.ratio < least.ratio ? one : least), { page: '#ffffff', ratio: Infinity });
  return { what, ...worst, passes: worst.ratio >= CONTROL_RATIO };
}

/** A ground, and the line around it where there is one. */
function seenOf(colours: Colours, what: OnPage): readonly HexColor[] {
  return PARTS[what].map((name) => colours[name]).filter((color) => color !== NO_RING);
}

/**
 * The nearest colour of the line around it that is told from every colour of the page that its ground is not told from;
 * for an invitation it must still be told from the window's own grounds. Null: it passes, or no single line does it.
 */
export function mendOnPage(look: Look, scheme: Scheme, what: OnPage, page: readonly HexColor[]): Mend | null {
  const colours = paletteOf(look, scheme);
  if (judgeOnPage(colours, what, page).passes) return null;
  const [ground, line] = PARTS[what];
  const hidden = page.filter((one) => contrast(colours[ground], one) < CONTROL_RATIO);
  const own = what === 'invitation' ? [colours.ground, colours.field] : [];
  const meets = [...hidden, ...own].map((color) => ({ color, needs: CONTROL_RATIO }));
  const now = colours[line];
  const candidates =
    now === NO_RING
      ? [colours.onLauncher, colours.ink, '#000000', '#ffffff']
      : [now, colours.ink, '#000000', '#ffffff'];
  for (const from of candidates) {
    const to = nearestOnAll(from, meets);
    if (to !== null && judgeOnPage(paletteOf(withOwn(look, scheme, line, to), scheme), what, page).passes)
      return { colour: line, from: now, to };
  }
  return null;
}
