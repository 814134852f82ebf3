/** An instant: milliseconds since 1970-01-01T00:00Z, as the server's clock says it. */
export type EpochMs = number;
/** A length of time in whole seconds. */
export type Seconds = number;
/** Lengths on screen in CSS pixels. */
export type Px = number;
/** A BCP 47 language tag such as `pt` or `de-AT`. */
export type Locale = string;
/** A colour written `#rrggbb`, lower-case. */
export type HexColor = string;

export const SECOND_MS = 1000;
export const MINUTE_MS = 60 * SECOND_MS;
export const HOUR_MS = 60 * MINUTE_MS;
export const DAY_MS = 24 * HOUR_MS;
