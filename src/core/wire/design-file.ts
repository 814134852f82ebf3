import { type Device } from '../model/device';
import type { CaseCondition } from '../model/case-condition';
import type { Corner } from '../model/design';
import type { ADDRESS_PARTS } from '../model/page-rule';
import type { PAGE_RULE_KINDS } from '../model/page-rule';
import type { Font, LauncherForm } from '../model/look';
import type { Approach } from '../model/invitation';
import type { Behaviour, WidgetState } from '../model/moment';
import type { Locale, Px, Seconds } from '../model/units';
import type { Automaton } from './automaton';
import type { WireField } from './form-file';

/** Version 1 of what a page downloads for one locale ([L3]): immutable, named by its content, free of secrets. */
export interface DesignFileV1 {
  readonly v: 1;
  /** The design version's number; 0 on the stage. */
  readonly version: number;
  readonly locale: Locale;
  /** [T9] */
  readonly dir: 'ltr' | 'rtl';
  readonly siteName: string;
  /** In order ([P14]). */
  readonly widgets: readonly WireWidget[];
  /** Absent in files of the first program: ours hold. */
  readonly limits?: WireLimits;
  /** Forms and the window’s words stand in a file beside this one (`split.ts`). */
  readonly room?: true;
}

export interface WireWidget {
  readonly id: string;
  readonly key: string;
  readonly teams: readonly string[];
  readonly calendar: string | null;
  readonly show: readonly WireRule[];
  readonly never: readonly WireRule[];
  /** [P15] Absent: everybody. */
  readonly audience?: readonly WireCondition[];
  /** `lift`: further from the upper or lower edge; absent: none. */
  /** `phoneLift`: absent, as `lift`. */
  readonly place: {
    readonly corner: Corner;
    readonly phoneCorner?: Corner;
    readonly offset: Px;
    readonly phoneOffset: Px;
    readonly lift?: Px;
    readonly phoneLift?: Px;
  };
  /** Width and height of the window on larger screens; absent: 360 × 500. */
  readonly window?: readonly [width: Px, height: Px];
  /** A z-index; absent: ours. */
  readonly zIndex?: number;
  readonly launcher: WireLauncher;
  readonly scheme: 'visitor' | 'day' | 'evening';
  /** CSS custom properties without their dashes, day and evening. */
  readonly palette: { readonly day: Palette; readonly evening: Palette };
  readonly measures: { readonly radius: Px; readonly textSize: Px };
  /** Words of the style (`messages-cards awning …`), which the sheets ask for; absent in files of the first program. */
  readonly style?: string;
  /** Absent: the page's own font. */
  readonly fonts?: WireFonts;
  /** Names of pictures below the site's address, at 1× and 2×, and their size at 1×. */
  readonly logo?: WirePicture;
  readonly headerPicture?: WirePicture;
  /** The owner's own CSS, written anew from what was parsed. */
  readonly css?: string;
  readonly deeds: Readonly<Record<WidgetState, Behaviour>>;
  readonly timings: {
    readonly comfortAfter: Seconds;
    readonly slowReplyAfter: Seconds;
    readonly slowReplyNearbyAfter: Seconds;
    /** Null or absent: off. */
    readonly slowReplyTalkingAfter?: Seconds | null;
    readonly endsAfterQuiet: Seconds;
  };
  /** Absent: who waits when nobody can answer any more leaves a note, and something else may be asked after goodbye. */
  readonly talks?: { readonly keepsWaiting?: true; readonly offersAgain?: false };
  readonly forms: {
    readonly before: readonly WireField[];
    readonly note: readonly WireField[];
    readonly after?: readonly WireField[];
  };
  /** In order ([I4]); those that are off are left out. */
  readonly invitations: readonly WireInvitation[];
  /** Every text of the locale, fallback resolved ([T2]). */
  readonly words: Readonly<Record<string, WireText>>;
}

export interface WireLauncher {
  readonly form: LauncherForm;
  readonly size: Px;
  readonly wordsFrom: Px;
  /** Absent: the lamp. While nobody can answer the second one, where there is one. */
  readonly icons?: readonly [usual: WireIcon, closed?: WireIcon];
  readonly delay?: Seconds;
  readonly hiddenOn?: readonly Device[];
  /** Selector of the page's own element; for the form `own-element`. */
  readonly element?: string;
}

/** The paths of a drawing on 24 × 24, in lines; or a picture. */
export type WireIcon = string | WirePicture;

export type OwnFont = Exclude<Font, 'page' | 'system' | 'mono'>;

/** Families as CSS, and the fonts of ours that the window fetches for them. */
export interface WireFonts {
  readonly text?: string;
  readonly head?: string;
  readonly load?: readonly OwnFont[];
}

export type WirePicture = readonly [once: string, twice: string, width: Px, height: Px];

/** `[kind, part, operand, ignoresCase]`; wildcards and expressions carry their automaton as operand ([P12]). */
export type WireRule = readonly [
  kind: (typeof PAGE_RULE_KINDS)[number],
  part: (typeof ADDRESS_PARTS)[number],
  operand: string | Automaton,
  ignoresCase: boolean,
];

/** [I6], [I7] */
export type WireLimits = readonly [
  perVisit: number,
  gap: Seconds,
  beforeClosing: Seconds,
  afterTalk: Seconds,
  restDays: number,
];

/** A group of items ([I1]); a bare condition is `[kind, isNot, ...operands]`. */
export type WireGroup = readonly ['all' | 'any', isNot: 0 | 1, ...items: WireItem[]];
export type WireItem = WireGroup | WireCondition;
/** One condition for each of the kinds, all with the same operands. */
type Each<K extends string, Operands extends readonly unknown[]> = K extends string
  ? readonly [K, isNot: 0 | 1, ...Operands]
  : never;
export type WireCondition =
  | Each<'page' | 'referrer', [...rules: WireRule[]]>
  | Each<'pages-seen' | 'visit-number' | 'days-since-visit', [atLeast: number]>
  | readonly ['visit', isNot: 0 | 1, is: 'first' | 'returning']
  | readonly ['visits-in-days', isNot: 0 | 1, atLeast: number, days: number]
  | readonly ['campaign', isNot: 0 | 1, name: string]
  | Each<'language' | 'device' | 'state' | 'country', [...values: string[]]>
  | Each<'attribute' | 'parameter', [name: string, value: string | null]>
  /** Days as bits, Monday the lowest; minutes of the wall clock. */
  | readonly ['week-time', isNot: 0 | 1, days: number, from: number, to: number]
  | readonly ['dates', isNot: 0 | 1, from: number, to: number]
  | Each<'on-page' | 'in-visit' | 'idle', [seconds: Seconds]>
  | readonly ['scrolled', isNot: 0 | 1, percent: number]
  | Each<'seen' | 'clicked', [selector: string]>
  | readonly ['leaving', isNot: 0]
  | readonly ['form-left', isNot: 0];

/** `needsMemory` ([I13]); its words stand under `invitation:<id>`; `days` of the own limit ([I5]): 0 a page view, -1 a visit, -2 for ever; `atMost` 0: none. */
export type WireInvitation = readonly [
  id: string,
  approach: Approach,
  opensOnPhones: 0 | 1,
  needsMemory: 0 | 1,
  days: number,
  atMost: number,
  when: WireGroup,
];

/** Names of colours, such as `launcher`, `onLauncher`, `ground`; values are CSS colours. `headerFill`: what fills the header instead of its colour. */
export type Palette = Readonly<Record<string, string>>;

/** A message compiled at publish ([T3]): plain text, or pieces to put together. */
export type Message = string | readonly Piece[];
export type Piece =
  | string
  | readonly ['v', name: string]
  | readonly ['n', name: string]
  | readonly ['p' | 'o', name: string, offset: number, forms: Readonly<Record<string, Message>>]
  | readonly ['s', name: string, forms: Readonly<Record<string, Message>>]
  | readonly ['#']
  /** An instant: date, time, or whichever of both tells it best ([T3], [T8]). */
  | readonly ['d' | 't', name: string, style: 'short' | 'medium' | 'long' | 'full']
  | readonly ['w', name: string];

/**
 * A text with its cases ([T4]): `c` in order, `o` otherwise. `w` is said instead of `o` where a value is unknown ([T6]).
 */
export type WireText =
  Message | { readonly c?: readonly WireCase[]; readonly o: Message; readonly w?: Message };
export type WireCase = readonly [when: readonly WireCaseCondition[], message: Message, without?: Message];
/** What a case asks; of ours, also that no letters are sent ([T10]): a runtime that does not know it says what it did before. */
export type WireCaseCondition = CaseCondition | readonly ['letters', 'none'];

export type RulesCondition = Extract<WireCondition, readonly ['page' | 'referrer', ...unknown[]]>;
