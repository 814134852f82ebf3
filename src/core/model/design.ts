import { type Device } from './device';
import type { PageRule } from './page-rule';
import type { CaseCondition } from './case-condition';
import type { CaseKey } from '../model/text-keys';
import type { TextKey } from './text-keys';
import type { Condition } from './condition';
import type { Field } from './form';
import type { Invitation, InvitationLimits } from './invitation';
import type { Icon, LauncherForm, Look } from './look';
import type { Behaviour, WidgetState } from './moment';
import type { Locale, Px, Seconds } from './units';

/** What an owner edits and publishes as one document. Plain data: it is compared, undone and sent as JSON. */
export type Design = {
  readonly v: 1;
  /** Stands at the top of the window; the value of `{siteName}`. */
  readonly siteName: string;
  /** The language every other one falls back to ([T2]); one of `locales`. */
  readonly defaultLocale: Locale;
  /** The languages offered, in the site's order ([T1]). */
  readonly locales: readonly Locale[];
  /** In order: the first that accepts a page shows there ([P14]). */
  readonly widgets: readonly Widget[];
  /** [I6] */
  readonly limits: InvitationLimits;
};

export type Widget = {
  readonly id: string;
  /** The name in `data-widget`. */
  readonly key: string;
  readonly name: string;
  /** Ids of the teams that answer here ([S3]); one that is gone counts as nobody ([D6]). */
  readonly teams: readonly string[];
  /** Null: it goes by who is in. */
  readonly calendarId: string | null;
  readonly pages: PageList;
  /** [P15] All of them must hold; of the kinds of AUDIENCE_KINDS. */
  readonly audience: readonly Condition[];
  readonly place: Place;
  readonly launcher: Launcher;
  readonly look: Look;
  readonly behaviours: Readonly<Record<WidgetState, Behaviour>>;
  readonly timings: Timings;
  readonly talks: Talks;
  readonly forms: Forms;
  readonly invitations: readonly Invitation[];
  /** The owner's own words, per locale; what is absent is ours (the catalogue). */
  readonly texts: Readonly<Record<Locale, Readonly<Partial<Record<CaseKey, string>>>>>;
  /** The owner's own cases, in order, before ours ([T4]). */
  readonly cases: readonly OwnCase[];
};

/** [T4] A text said differently for somebody: at most three conditions, all of which must hold. */
export type OwnCase = {
  readonly id: string;
  readonly key: TextKey;
  readonly when: readonly CaseCondition[];
  readonly texts: Readonly<Record<Locale, string>>;
  /** Said where a value is unknown ([T6]). */
  readonly without: Readonly<Record<Locale, string>>;
};

/** [P13] Accepts if no `neverOn` holds and `showOn` is empty or one of it holds. */
export type PageList = {
  readonly showOn: readonly PageRule[];
  readonly neverOn: readonly PageRule[];
};

/** Four corners, and the middles of both edges. */
export const CORNERS = [
  'lower-right',
  'lower-left',
  'upper-right',
  'upper-left',
  'middle-right',
  'middle-left',
] as const;
export type Corner = (typeof CORNERS)[number];
export type Place = {
  readonly corner: Corner;
  /** On phones; null: the same. */
  readonly phoneCorner: Corner | null;
  readonly offset: Px;
  readonly phoneOffset: Px;
  /** Further from the upper or lower edge than from the side: above a bar that lies there. May be negative. In the middle of an edge: so much below it. */
  readonly lift: Px;
  readonly phoneLift: Px;
  /** What lies above what on the page: a z-index. */
  readonly layer: number;
  /** The window on larger screens, as far as they have room for it. */
  readonly windowWidth: Px;
  readonly windowHeight: Px;
};

export type Launcher = {
  readonly form: LauncherForm;
  readonly size: Px;
  /** The words beside the mark are shown from this width of the page on. */
  readonly wordsFrom: Px;
  /** Null: the lamp, which shows who is there. */
  readonly icon: Icon | null;
  /** While nobody can answer; null: the same. */
  readonly closedIcon: Icon | null;
  /** After the first idle moment of the page. */
  readonly delay: Seconds;
  /** Devices on which there is no launcher; the page's own links still open the window. */
  readonly hiddenOn: readonly Device[];
  /** States in which no words stand beside the mark; its accessible name stays. Absent: in none. */
  readonly noWordsIn?: readonly WidgetState[];
  /** Selector of an element of the page that opens the window instead of a launcher of ours; null: there is none. */
  readonly element: string | null;
};

export type Timings = {
  readonly comfortAfter: Seconds;
  readonly slowReplyAfter: Seconds;
  readonly slowReplyNearbyAfter: Seconds;
  /** [M3] While talking; null: off. */
  readonly slowReplyTalkingAfter: Seconds | null;
  readonly endsAfterQuiet: Seconds;
};

/** How conversations go where there is a choice. */
export type Talks = {
  /** [M5] Who waits when nobody can answer any more goes on waiting, and is offered an answer by mail; else it becomes a note. */
  readonly keepsWaiting: boolean;
  /** [M4] After goodbye something else may be asked at once. */
  readonly offersAgain: boolean;
};

export type Forms = {
  readonly before: readonly Field[];
  readonly note: readonly Field[];
  readonly after: readonly Field[];
};
