import type { ADDRESS_PARTS, Corner, Field, PAGE_RULE_KINDS } from '../model/design';
import type { Deed, WidgetState } from '../model/moment';
import type { Locale, Px, Seconds } from '../model/units';

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
}

export interface WireWidget {
  readonly id: string;
  readonly key: string;
  readonly teams: readonly string[];
  readonly calendar: string | null;
  readonly show: readonly WireRule[];
  readonly never: readonly WireRule[];
  readonly place: { readonly corner: Corner; readonly offset: Px; readonly phoneOffset: Px };
  readonly launcher: { readonly form: 'lamp'; readonly size: Px; readonly wordsFrom: Px };
  readonly scheme: 'visitor' | 'day' | 'evening';
  /** CSS custom properties without their dashes, day and evening. */
  readonly palette: { readonly day: Palette; readonly evening: Palette };
  readonly measures: { readonly radius: Px; readonly textSize: Px };
  readonly deeds: Readonly<Record<WidgetState, Deed>>;
  readonly timings: {
    readonly comfortAfter: Seconds;
    readonly slowReplyAfter: Seconds;
    readonly slowReplyNearbyAfter: Seconds;
    readonly endsAfterQuiet: Seconds;
  };
  readonly forms: { readonly before: readonly Field[]; readonly note: readonly Field[] };
  /** Code tuples, in order; none before the engine has them. */
  readonly invitations: readonly unknown[];
  /** Every text of the locale, fallback resolved ([T2]). */
  readonly words: Readonly<Record<string, WireText>>;
}

/** `[kind, part, operand, ignoresCase]`; wildcards and expressions will carry their automaton as operand. */
export type WireRule = readonly [
  kind: (typeof PAGE_RULE_KINDS)[number],
  part: (typeof ADDRESS_PARTS)[number],
  operand: string,
  ignoresCase: boolean,
];

/** Names such as `brand`, `onBrand`, `ground`; values are CSS colours. */
export type Palette = Readonly<Record<string, string>>;

/** A message compiled at publish ([T3]): plain text, or pieces to put together. */
export type Message = string | readonly Piece[];
export type Piece =
  | string
  | readonly ['v', name: string]
  | readonly ['n', name: string]
  | readonly ['p' | 'o', name: string, offset: number, forms: Readonly<Record<string, Message>>]
  | readonly ['s', name: string, forms: Readonly<Record<string, Message>>]
  | readonly ['#'];

/**
 * A text with its cases ([T4]): `c` in order, `o` otherwise. `w` is said instead of `o` where a value is unknown ([T6]).
 */
export type WireText = Message | { readonly c?: readonly WireCase[]; readonly o: Message; readonly w?: Message };
export type WireCase = readonly [when: readonly CaseCondition[], message: Message, without?: Message];

/** [T4] What a case may ask. An unknown kind holds never ([D4]). */
export type CaseCondition =
  | readonly ['state', ...states: WidgetState[]]
  | readonly ['visit', 'first' | 'returning']
  | readonly ['team', string]
  | readonly ['language', string]
  | readonly ['closed-by', string];
