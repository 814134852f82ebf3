import type { WidgetState } from '../model/moment';
import type { EpochMs } from '../model/units';

/** What visitors and the server say to each other, version 1. */

export type ConversationStatus = 'asked' | 'joined' | 'ended' | 'note';
export type EntryKind = 'message' | 'joined' | 'ended' | 'note';
export type Author = 'visitor' | 'person' | 'house';

/** Names of the two drawings of a face: for screens of one, and of two device pixels to a CSS pixel. */
export type Face = readonly [once: string, twice: string];

/** One line of a conversation as a visitor may see it. `id` orders the stream, `seq` the conversation. */
export interface VisitorEntry {
  readonly id: number;
  readonly seq: number;
  readonly kind: EntryKind;
  readonly author: Author;
  /** The id its author's client made; null for the system. */
  readonly clientId: string | null;
  /** Public name of the responder; null for others. */
  readonly name: string | null;
  /** Of the responder, as they show it now; null or absent: their initials are shown. */
  readonly face?: Face | null;
  readonly body: string;
  readonly storedMs: EpochMs;
}

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

/** What a visitor is told of the conversation: on load, on resuming, and in each answer. */
export interface VisitorTalk {
  readonly conversation: ConversationFacts;
  readonly entries: readonly VisitorEntry[];
}

/** The answer to anything a visitor sends ([S8]); `entries` holds that one entry. */
export interface SentAnswer extends VisitorTalk {
  readonly state: WidgetState;
}

/** Events of the visitor's stream by name; `entry` alone carries an id to resume from. */
export interface VisitorEvents {
  readonly teams: {
    readonly teams: Readonly<Record<string, string>>;
    readonly paused: boolean;
    readonly now: EpochMs;
  };
  readonly entry: VisitorEntry;
  readonly conversation: ConversationFacts;
  /** More than could be sent: read the conversation anew. */
  readonly reload: Record<string, never>;
}
