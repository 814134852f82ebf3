import type { Design, Widget } from './design';
import type { HexColor, Locale } from './units';

/** Ours: the brand colour of a site that has not chosen one. */
export const DEFAULT_BRAND: HexColor = '#1f6f6b';

/** Colours offered at the first run; each reads with white or ink on it at 4.5:1 or better. */
export const BRAND_SWATCHES: readonly HexColor[] = [
  '#1f6f6b',
  '#1f5b4a',
  '#2f6f8f',
  '#34518c',
  '#4b3f8f',
  '#7a2e5d',
  '#9c2f3f',
  '#b4472b',
  '#e79a1b',
  '#8a6a1f',
  '#5b6b2d',
  '#3b4540',
];

/** A default and why it is so; the reason is a code that `ui/wording` puts into words. */
export interface Reasoned<T> {
  readonly value: T;
  readonly why: string;
}

/** The considered defaults of a widget (defaults.md); everything else is derived from them. */
export const WIDGET_DEFAULTS = {
  corner: { value: 'lower-right', why: 'out-of-the-way' },
  offset: { value: 20, why: 'out-of-the-way' },
  phoneOffset: { value: 16, why: 'out-of-the-way' },
  launcherSize: { value: 56, why: 'easy-to-touch' },
  wordsFrom: { value: 700, why: 'out-of-the-way' },
  radius: { value: 12, why: 'front-door-look' },
  textSize: { value: 15, why: 'front-door-look' },
  scheme: { value: 'visitor', why: 'no-dark-window-on-a-light-page' },
  comfortAfter: { value: 45, why: 'silence-feels-long' },
  slowReplyAfter: { value: 90, why: 'offer-mail-before-they-leave' },
  slowReplyNearbyAfter: { value: 240, why: 'people-have-to-walk' },
  endsAfterQuiet: { value: 12 * 3600, why: 'an-evening-and-a-night' },
} as const satisfies Record<string, Reasoned<string | number>>;

/** A complete, publishable widget after three answers. `ids` gives new ids. */
export function defaultDesign(siteName: string, locale: Locale, brand: HexColor, ids: () => string): Design {
  return { v: 1, siteName, defaultLocale: locale, locales: [locale], widgets: [defaultWidget(brand, ids)] };
}

/** Our widget on every page, answered by nobody's team in particular until teams are named. */
export function defaultWidget(brand: HexColor, ids: () => string): Widget {
  const ours = WIDGET_DEFAULTS;
  return {
    id: ids(),
    key: 'everywhere',
    name: 'Everywhere',
    teams: [],
    calendarId: null,
    pages: { showOn: [], neverOn: [] },
    place: { corner: ours.corner.value, offset: ours.offset.value, phoneOffset: ours.phoneOffset.value },
    launcher: { form: 'lamp', size: ours.launcherSize.value, wordsFrom: ours.wordsFrom.value },
    look: { name: 'front-door', brand, radius: ours.radius.value, textSize: ours.textSize.value, scheme: ours.scheme.value },
    deeds: { in: 'chat', nearby: 'chat', busy: 'queue', nobody: 'note', closed: 'note' },
    timings: {
      comfortAfter: ours.comfortAfter.value,
      slowReplyAfter: ours.slowReplyAfter.value,
      slowReplyNearbyAfter: ours.slowReplyNearbyAfter.value,
      endsAfterQuiet: ours.endsAfterQuiet.value,
    },
    forms: {
      before: [],
      note: [
        { id: ids(), kind: 'long', label: 'note.text', isRequired: true },
        { id: ids(), kind: 'email', label: 'note.email', isRequired: true },
        { id: ids(), kind: 'short', label: 'note.name', isRequired: false },
      ],
    },
    invitations: [],
    texts: {},
  };
}
