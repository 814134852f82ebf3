import { WIDGET_DEFAULTS } from './defaults';
import type { Design, Widget } from './design';
import type { Moment } from './moment';
import type { TransitionId } from './transition';

/** What an owner may set that cannot be seen on the stage: a number of seconds, days, px or times, or a switch, 1 for on. */
export type SettingId =
  | 'perVisit'
  | 'gap'
  | 'beforeClosing'
  | 'afterTalk'
  | 'restDays'
  | 'comfortAfter'
  | 'slowReplyAfter'
  | 'slowReplyNearbyAfter'
  | 'slowReplyTalkingAfter'
  | 'endsAfterQuiet'
  | 'keepsWaiting'
  | 'offersAgain'
  | 'offset'
  | 'phoneOffset'
  | 'lift'
  | 'phoneLift'
  | 'layer'
  | 'windowWidth'
  | 'windowHeight'
  | 'delay'
  | 'launcherSize'
  | 'wordsFrom'
  | 'radius'
  | 'textSize';

export interface Setting {
  readonly id: SettingId;
  /** Where it stands in a widget, or in the design itself. */
  readonly of: 'widget' | 'design';
  readonly path: readonly [string, string];
  /** What it is typed in; stored values are `size` times as large. */
  readonly unit: 'seconds' | 'minutes' | 'hours' | 'days' | 'px' | 'times' | 'switch';
  readonly size: number;
  /** Bounds of the stored value, which the server holds too. */
  readonly least: number;
  readonly most: number;
  /** Our considered default, and why (a code); null: off. */
  readonly defaultValue: number | null;
  readonly why: string;
  /** It may be switched off: then it is null. */
  readonly canBeOff: boolean;
}

const defaults = WIDGET_DEFAULTS;
type Bounds = readonly [least: number, most: number];

function setting(
  id: SettingId,
  [of, ...path]: readonly ['widget' | 'design', string, string],
  [unit, size]: readonly [Setting['unit'], number],
  [least, most]: Bounds,
  { value, why }: { readonly value: number | null; readonly why: string },
  canBeOff = false,
): Setting {
  return { id, of, path: path, unit, size, least, most, defaultValue: value, why, canBeOff };
}

const [SECONDS, MINUTES, HOURS] = [
  ['seconds', 1] as const,
  ['minutes', 60] as const,
  ['hours', 3600] as const,
];
const PX = ['px', 1] as const;
const SWITCH = ['switch', 1] as const;

function asSwitch({ value, why }: { readonly value: boolean; readonly why: string }): {
  readonly value: number;
  readonly why: string;
} {
  return { value: value ? 1 : 0, why };
}

/** Every setting by its name, with bounds that field and server share. */
export const SETTINGS: Readonly<Record<SettingId, Setting>> = {
  perVisit: setting(
    'perVisit',
    ['design', 'limits', 'perVisit'],
    ['times', 1],
    [0, 20],
    defaults.invitationsPerVisit,
  ),
  gap: setting('gap', ['design', 'limits', 'gap'], SECONDS, [0, 3600], defaults.invitationGap),
  beforeClosing: setting(
    'beforeClosing',
    ['design', 'limits', 'beforeClosing'],
    MINUTES,
    [0, 4 * 3600],
    defaults.invitationsBeforeClosing,
  ),
  afterTalk: setting(
    'afterTalk',
    ['design', 'limits', 'afterTalk'],
    HOURS,
    [0, 30 * 86_400],
    defaults.invitationsAfterTalk,
  ),
  restDays: setting(
    'restDays',
    ['design', 'limits', 'restDays'],
    ['days', 1],
    [1, 365],
    defaults.restAfterNo,
  ),
  comfortAfter: setting(
    'comfortAfter',
    ['widget', 'timings', 'comfortAfter'],
    SECONDS,
    [5, 3600],
    defaults.comfortAfter,
  ),
  slowReplyAfter: setting(
    'slowReplyAfter',
    ['widget', 'timings', 'slowReplyAfter'],
    SECONDS,
    [10, 3600],
    defaults.slowReplyAfter,
  ),
  slowReplyNearbyAfter: setting(
    'slowReplyNearbyAfter',
    ['widget', 'timings', 'slowReplyNearbyAfter'],
    SECONDS,
    [10, 3600],
    defaults.slowReplyNearbyAfter,
  ),
  slowReplyTalkingAfter: setting(
    'slowReplyTalkingAfter',
    ['widget', 'timings', 'slowReplyTalkingAfter'],
    MINUTES,
    [60, 86_400],
    { value: null, why: 'a-pause-is-a-pause' },
    true,
  ),
  endsAfterQuiet: setting(
    'endsAfterQuiet',
    ['widget', 'timings', 'endsAfterQuiet'],
    HOURS,
    [3600, 7 * 86_400],
    defaults.endsAfterQuiet,
  ),
  keepsWaiting: setting(
    'keepsWaiting',
    ['widget', 'talks', 'keepsWaiting'],
    SWITCH,
    [0, 1],
    asSwitch(defaults.keepsWaiting),
  ),
  offersAgain: setting(
    'offersAgain',
    ['widget', 'talks', 'offersAgain'],
    SWITCH,
    [0, 1],
    asSwitch(defaults.offersAgain),
  ),
  offset: setting('offset', ['widget', 'place', 'offset'], PX, [0, 400], defaults.offset),
  phoneOffset: setting('phoneOffset', ['widget', 'place', 'phoneOffset'], PX, [0, 400], defaults.phoneOffset),
  lift: setting('lift', ['widget', 'place', 'lift'], PX, [-400, 400], defaults.lift),
  phoneLift: setting('phoneLift', ['widget', 'place', 'phoneLift'], PX, [-400, 400], defaults.lift),
  layer: setting('layer', ['widget', 'place', 'layer'], ['times', 1], [1, 2_147_483_647], defaults.layer),
  windowWidth: setting(
    'windowWidth',
    ['widget', 'place', 'windowWidth'],
    PX,
    [280, 640],
    defaults.windowWidth,
  ),
  windowHeight: setting(
    'windowHeight',
    ['widget', 'place', 'windowHeight'],
    PX,
    [320, 900],
    defaults.windowHeight,
  ),
  delay: setting('delay', ['widget', 'launcher', 'delay'], SECONDS, [0, 120], defaults.delay),
  launcherSize: setting('launcherSize', ['widget', 'launcher', 'size'], PX, [44, 96], defaults.launcherSize),
  wordsFrom: setting('wordsFrom', ['widget', 'launcher', 'wordsFrom'], PX, [0, 10_000], defaults.wordsFrom),
  radius: setting('radius', ['widget', 'look', 'radius'], PX, [0, 40], defaults.radius),
  textSize: setting('textSize', ['widget', 'look', 'textSize'], PX, [12, 24], defaults.textSize),
};

/** Which settings belong to a moment, or hold everywhere. What can be seen is edited on the stage. */
export const SETTINGS_AT: Readonly<Record<Moment | 'everywhere', readonly SettingId[]>> = {
  'passing-by': [],
  invited: ['perVisit', 'gap', 'beforeClosing', 'afterTalk', 'restDays'],
  'at-the-door': [],
  waiting: ['comfortAfter', 'slowReplyAfter', 'slowReplyNearbyAfter', 'keepsWaiting'],
  talking: ['slowReplyTalkingAfter', 'endsAfterQuiet'],
  'slow-reply': ['slowReplyAfter', 'slowReplyNearbyAfter', 'slowReplyTalkingAfter'],
  goodbye: ['endsAfterQuiet', 'offersAgain'],
  'nobody-home': [],
  'note-left': [],
  everywhere: [
    'offset',
    'lift',
    'phoneOffset',
    'phoneLift',
    'layer',
    'windowWidth',
    'windowHeight',
    'launcherSize',
    'wordsFrom',
    'delay',
    'radius',
    'textSize',
  ],
};

/** Which settings make a transition what it is. Those of a transition that is not here are texts, people, hours or fields. */
export const SETTINGS_OF_TRANSITION: Readonly<Partial<Record<TransitionId, readonly SettingId[]>>> = {
  'invitation-shown': ['perVisit', 'gap', 'beforeClosing', 'afterTalk'],
  'invitation-declined': ['restDays'],
  'answer-overdue': ['slowReplyAfter', 'slowReplyNearbyAfter'],
  'availability-lost-while-waiting': ['keepsWaiting'],
  'reply-overdue': ['slowReplyTalkingAfter'],
  'conversation-ended': ['endsAfterQuiet'],
  'asked-again': ['offersAgain'],
};

/** The stored value of a setting. */
export function settingValue(design: Design, widget: Widget, { of, path }: Setting): number | null {
  const owner: object = of === 'design' ? design : widget;
  const part = (owner as Readonly<Record<string, Readonly<Record<string, unknown>>>>)[path[0]] ?? {};
  const value = part[path[1]];
  if (typeof value === 'boolean') return value ? 1 : 0;
  return typeof value === 'number' ? value : null;
}

/** Why a stored value cannot be taken; null: it can. */
export function settingFault(
  value: number | null,
  { least, most, canBeOff }: Setting,
): 'off' | 'bounds' | 'whole' | null {
  if (value === null) return canBeOff ? null : 'off';
  if (!Number.isInteger(value)) return 'whole';
  return value < least || value > most ? 'bounds' : null;
}
