import { type EpochMs, MINUTE_MS } from './units';

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
  /** Since when whoever had joined is not there any more, and nobody has taken over ([M3]); null, or absent: that is not so. */
  readonly leftMs?: EpochMs | null;
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
  /** Whether a note was answered: what is written after that begins another conversation ([M4]). */
  readonly isAnswered: boolean;
}

/** [M4] What was ended can be gone on with for so long, on the same widget; later it begins another conversation. */
export const RESUMES_WITHIN_MS = 10 * MINUTE_MS;

/** [M4] Whether what a visitor writes goes into a conversation without a question: it runs, or is a note nobody has answered. */
export function isUnsettled(
  conversation: Pick<ConversationFacts, 'standing' | 'isAnswered'> | null,
): boolean {
  if (conversation === null || conversation.standing === 'ended') return false;
  return conversation.standing !== 'note' || !conversation.isAnswered;
}
