/** Version 1 of the facts of a site, all locales in one: immutable, named by its content ([L1], [L3]). */
export interface FactsFileV1 {
  readonly v: 1;
  readonly revision: number;
  /** IANA name of the site's own zone, in which its dates and times are meant. */
  readonly zone?: string;
  /** What the place of that zone is called, by locale; absent: the zone's city ([T8]). */
  readonly places?: Readonly<Record<string, string>>;
  /** Per zone: alternating delta minutes since the one before, offset minutes from then on ([H16]). */
  readonly zones: Readonly<Record<string, readonly number[]>>;
  /** Symbolic calendars by id. */
  readonly calendars: Readonly<Record<string, WireCalendar>>;
  readonly teams: Readonly<Record<string, WireTeam>>;
  /** Whether e-mail goes out: as long as it does not, no text promises one. Absent: it does not. */
  readonly sendsLetters?: boolean;
}

export interface WireTeam {
  /** The name in `data-porch-open`; absent in files of the first program. */
  readonly key?: string;
  /** Public names by locale; the site's default locale is always there. */
  readonly name: Readonly<Record<string, string>>;
  readonly calendar: string | null;
}

/** `[from, to)` in minutes of the wall clock; `to` may pass midnight ([H1]). */
export type WireIntervals = readonly (readonly [from: number, to: number])[];
/** Monday first. */
export type WireWeek = readonly WireIntervals[];

/**
 * `[rank, from, to, intervals, endsNightBefore]`, the best rank first ([H8]): 0 own date, 1 own range, 2 own yearly date,
 * 3 own yearly range, 4 holiday. Ranks 2 and 3 count by month × 100 + day, the others by days since 1970; ends belong to it.
 */
export type WireException = readonly [
  rank: 0 | 1 | 2 | 3 | 4,
  from: number,
  to: number,
  intervals: WireIntervals,
  endsNightBefore: 0 | 1,
  /** Of holidays only: names of an owner's own exceptions stay at home. */
  name?: string,
];

/** Symbolic hours ([H16]): the widget evaluates them with the same code as the server. */
export interface WireCalendar {
  readonly zone: string;
  readonly week: WireWeek;
  /** Ends as month × 100 + day; both belong to it. */
  readonly seasons: readonly (readonly [from: number, to: number, week: WireWeek])[];
  readonly exceptions: readonly WireException[];
  /** Imported closings in seconds since 1970, in order ([H11]). */
  readonly closings: readonly (readonly [from: number, to: number])[];
  /** Imported closed days, since 1970. */
  readonly closedDays: readonly number[];
}
