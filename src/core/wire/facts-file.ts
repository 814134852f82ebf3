/** Version 1 of the facts of a site, all locales in one: immutable, named by its content ([L1], [L3]). */
export interface FactsFileV1 {
  readonly v: 1;
  readonly revision: number;
  /** Per zone: alternating delta minutes since the one before, offset minutes from then on ([H16]). */
  readonly zones: Readonly<Record<string, readonly number[]>>;
  /** Symbolic calendars by id. */
  readonly calendars: Readonly<Record<string, WireCalendar>>;
  readonly teams: Readonly<Record<string, WireTeam>>;
}

export interface WireTeam {
  /** Public names by locale; the site's default locale is always there. */
  readonly name: Readonly<Record<string, string>>;
  readonly calendar: string | null;
}

/** Minutes and days as engine.md [H1] counts them. */
export interface WireCalendar {
  readonly zone: string;
  /** Monday first; each day a list of `[from, to)` minutes. */
  readonly week: readonly (readonly (readonly [from: number, to: number])[])[];
  readonly seasons: readonly unknown[];
  readonly exceptions: readonly unknown[];
  readonly closings: readonly unknown[];
}
