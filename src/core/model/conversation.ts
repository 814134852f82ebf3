import type { EpochMs } from './units';

/** What visitors and the server say to each other, version 1. */

export type ConversationStatus = 'asked' | 'joined' | 'ended' | 'note';

/** The conversation's facts, with the server's times ([M7]). */
export interface ConversationFacts {
  readonly id: string;
  readonly standing: ConversationStatus;
  readonly widgetKey: string;
  readonly askedMs: EpochMs;
  readonly joinedMs: EpochMs | null;
  readonly endedMs: EpochMs | null;
  readonly endedBy: 'visitor' | 'person' | 'silence' | null;
  /** Public name of who joined last. */
  readonly responderName: string | null;
  /** Where a note's answer goes; null unless a note was left. */
  readonly noteMail: string | null;
  /** When anything was said last by visitor or responder ([I6], [M4]). */
  readonly lastMs: EpochMs;
  /** The oldest message of the visitor that nobody has answered; null: all are ([M3]). */
  readonly waitingMs: EpochMs | null;
  /** How many of that team’s questions are to be taken up until it is this one’s turn, itself counted; null: it is not waiting. */
  readonly place: number | null;
  /** The team that is asked; null: none in particular. */
  readonly teamId: string | null;
  /** Whether the form after a chat was given since it was asked last. */
  readonly isAfterGiven: boolean;
  /** Whether a responder has written since the note was left ([M4]). */
  readonly isAnswered: boolean;
}
