import { LIMITS } from '../limits';
import type { CaseKey } from '../model/text-keys';
import type { Condition, ConditionBody } from './condition';
import type { Design, Launcher, Place, Widget } from './design';
import type { Field, FieldKind } from './form';
import type { Invitation, InvitationLimits } from './invitation';
import type { Behaviour, WidgetState } from './moment';
import { defaultLook } from './starting-looks';
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

/** The considered defaults of a widget; everything else is derived from them. */
export const WIDGET_DEFAULTS = {
  corner: { value: 'lower-right', why: 'out-of-the-way' },
  offset: { value: 20, why: 'out-of-the-way' },
  phoneOffset: { value: 16, why: 'out-of-the-way' },
  lift: { value: 0, why: 'out-of-the-way' },
  layer: { value: 2_147_483_000, why: 'above-the-page' },
  windowWidth: { value: 360, why: 'as-wide-as-a-phone' },
  windowHeight: { value: 500, why: 'as-wide-as-a-phone' },
  delay: { value: 0, why: 'never-competes-with-the-page' },
  launcherSize: { value: 56, why: 'easy-to-touch' },
  wordsFrom: { value: 700, why: 'out-of-the-way' },
  radius: { value: 12, why: 'front-door-look' },
  textSize: { value: 15, why: 'front-door-look' },
  scheme: { value: 'visitor', why: 'no-dark-window-on-a-light-page' },
  comfortAfter: { value: 45, why: 'silence-feels-long' },
  slowReplyAfter: { value: 90, why: 'offer-mail-before-they-leave' },
  slowReplyNearbyAfter: { value: 240, why: 'people-have-to-walk' },
  endsAfterQuiet: { value: 12 * 3600, why: 'an-evening-and-a-night' },
  keepsWaiting: { value: false, why: 'nobody-waits-at-a-closed-door' },
  offersAgain: { value: true, why: 'one-question-leads-to-another' },
  invitationsPerVisit: { value: 1, why: 'asked-once-is-enough' },
  invitationGap: { value: 120, why: 'asked-once-is-enough' },
  invitationsBeforeClosing: { value: 600, why: 'nobody-invited-to-a-closing-door' },
  invitationsAfterTalk: { value: 24 * 3600, why: 'they-know-where-we-are' },
  restAfterNo: { value: 30, why: 'a-no-is-a-no' },
  behaviours: {
    value: { in: 'chat', nearby: 'chat', busy: 'queue', nobody: 'note', closed: 'note' },
    why: 'say-who-is-there',
  },
} as const satisfies Record<
  string,
  Reasoned<string | number | boolean | Readonly<Record<WidgetState, Behaviour>>>
>;

/** A complete, publishable widget after three answers. `ids` gives new ids. */
export function defaultDesign(siteName: string, locale: Locale, brand: HexColor, ids: () => string): Design {
  return {
    v: 1,
    siteName,
    defaultLocale: locale,
    locales: [locale],
    widgets: [defaultWidget(brand, ids)],
    limits: defaultLimits(),
  };
}

/** [I6], [I7] */
export function defaultLimits(): InvitationLimits {
  const defaults = WIDGET_DEFAULTS;
  return {
    perVisit: defaults.invitationsPerVisit.value,
    gap: defaults.invitationGap.value,
    beforeClosing: defaults.invitationsBeforeClosing.value,
    afterTalk: defaults.invitationsAfterTalk.value,
    restDays: defaults.restAfterNo.value,
  };
}

/** Our widget on every page, answered by nobody's team in particular until teams are named. */
export function defaultWidget(brand: HexColor, ids: () => string): Widget {
  const defaults = WIDGET_DEFAULTS;
  return {
    id: ids(),
    key: 'main',
    name: 'Main',
    teams: [],
    calendarId: null,
    pages: { showOn: [], neverOn: [] },
    audience: [],
    place: defaultPlace(),
    launcher: {
      form: 'lamp',
      size: defaults.launcherSize.value,
      wordsFrom: defaults.wordsFrom.value,
      ...defaultLauncherDetails(),
    },
    look: defaultLook(brand),
    behaviours: defaults.behaviours.value,
    timings: {
      comfortAfter: defaults.comfortAfter.value,
      slowReplyAfter: defaults.slowReplyAfter.value,
      slowReplyNearbyAfter: defaults.slowReplyNearbyAfter.value,
      slowReplyTalkingAfter: null,
      endsAfterQuiet: defaults.endsAfterQuiet.value,
    },
    talks: { keepsWaiting: defaults.keepsWaiting.value, offersAgain: defaults.offersAgain.value },
    forms: {
      before: [],
      note: [
        { ...plainField(ids(), 'long', 'note.text'), isRequired: true },
        { ...plainField(ids(), 'email', 'note.email'), isRequired: true, isKept: true },
        { ...plainField(ids(), 'short', 'note.name'), most: LIMITS.noteNameChars, isKept: true },
      ],
      after: [],
    },
    invitations: preparedInvitations(ids),
    texts: {},
    cases: [],
  };
}

/** Lower right, out of the way. */
export function defaultPlace(): Place {
  const defaults = WIDGET_DEFAULTS;
  return {
    corner: defaults.corner.value,
    phoneCorner: null,
    offset: defaults.offset.value,
    phoneOffset: defaults.phoneOffset.value,
    lift: defaults.lift.value,
    phoneLift: defaults.lift.value,
    layer: defaults.layer.value,
    windowWidth: defaults.windowWidth.value,
    windowHeight: defaults.windowHeight.value,
  };
}

/** How a launcher comes, and with which mark, unless it is said otherwise. */
export function defaultLauncherDetails(): Omit<Launcher, 'form' | 'size' | 'wordsFrom'> {
  return { icon: null, closedIcon: null, delay: WIDGET_DEFAULTS.delay.value, hiddenOn: [], element: null };
}

/** A field that says one of our labels and has no rules of its own. */
export function plainField(id: string, kind: FieldKind, label: CaseKey): Field {
  return {
    id,
    kind,
    label,
    own: null,
    isRequired: false,
    least: null,
    most: null,
    options: [],
    asButtons: false,
    shownIf: null,
    isKept: false,
    link: null,
    attribute: null,
  };
}

/** Three that are prepared and off: whether they annoy cannot be answered before there was traffic. */
export function preparedInvitations(ids: () => string): Invitation[] {
  const when = (...bodies: ConditionBody[]) => ({
    join: 'all' as const,
    items: bodies.map((body): Condition => ({ ...body, isNot: false })),
  });
  const someone: ConditionBody = { kind: 'state', states: ['in', 'nearby'] };
  const base = { isOn: false, approach: 'speak', opensOnPhones: false, atMost: null, texts: {} } as const;
  const stayed = when({ kind: 'on-page', seconds: 40 }, { kind: 'scrolled', percent: 50 }, someone);
  const notOnPhones: Condition = { kind: 'device', devices: ['phone'], isNot: true };
  return [
    {
      ...base,
      id: ids(),
      name: 'Stayed and read',
      when: { ...stayed, items: [...stayed.items, notOnPhones] },
      oncePer: { kind: 'days', days: 14 },
      defaultText: 'invitation.stayed',
    },
    {
      ...base,
      id: ids(),
      name: 'Leaving a form behind',
      when: when({ kind: 'form-left' }, { kind: 'state', states: ['in'] }),
      oncePer: { kind: 'visit' },
      defaultText: 'invitation.formLeft',
    },
    {
      ...base,
      id: ids(),
      name: 'Back again',
      when: when({ kind: 'visits-in-days', atLeast: 3, days: 14 }, { kind: 'state', states: ['in'] }),
      oncePer: { kind: 'visitor' },
      defaultText: 'invitation.backAgain',
    },
  ];
}
