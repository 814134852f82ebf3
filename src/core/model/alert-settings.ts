/** The sounds that a question can make; each is made in the browser. */
export const ALERT_SOUNDS = ['knock', 'bell', 'drops'] as const;
export type AlertSound = (typeof ALERT_SOUNDS)[number];

/** Whose questions somebody is alerted to: those that nobody's team or one of theirs is asked, or every one. */
export const ALERT_SCOPES = ['my-teams', 'all'] as const;
export type AlertScope = (typeof ALERT_SCOPES)[number];

/** After how many minutes without an answer a question is told again. */
export const ALERT_AGAIN_MINUTES = [2, 5, 10, 30] as const;

/** How somebody wants to be told of questions, on every site and device. */
export interface AlertSettings {
  readonly scope: AlertScope;
  /** Null: none. */
  readonly sound: AlertSound | null;
  /** Whether browsers that are allowed to show notifications do. */
  readonly isNotified: boolean;
  /** Whether a notification says the visitor's first words. */
  readonly showsWords: boolean;
  /** Null: it is told once. */
  readonly againMinutes: number | null;
  /** When nothing is told, in minutes of the day by the clock of the device; it may run over midnight. Null: never. */
  readonly quietHours: QuietHours | null;
}

export interface QuietHours {
  readonly from: number;
  /** Not before that minute. */
  readonly until: number;
}

/** Nobody is startled by what they have not chosen: no sound, and no words on a screen that others may see. */
export const DEFAULT_ALERTS: AlertSettings = {
  scope: 'my-teams',
  sound: null,
  isNotified: true,
  showsWords: false,
  againMinutes: 5,
  quietHours: null,
};
