/** A code and the values that belong to it; `ui/wording` puts it into words. */
export interface Reason {
  readonly about: 'pause' | 'widget' | 'presence' | 'moment';
  readonly code: ReasonCode;
  readonly facts: Readonly<Record<string, string | number>>;
}

export const REASON_CODES = [
  'site-paused',
  'nothing-published',
  'no-widget-here',
  'not-a-web-address',
  'forced',
  'keeps-its-widget',
  'first-that-takes-the-page',
  'never-here',
  'not-among-its-pages',
  'after-another-widget',
  'somebody-in',
  'somebody-nearby',
  'all-busy',
  'nobody-in',
  'not-heard-lately',
  'window-closed',
  'deed-of-state',
  'asked',
  'joined',
  'ended',
  'note-sent',
  'nobody-left-to-answer',
  'asks-again',
] as const;
export type ReasonCode = (typeof REASON_CODES)[number];
