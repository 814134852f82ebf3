import type { ConversationFacts } from '../model/conversation';
import type { WidgetState } from '../model/moment';
import type { EpochMs } from '../model/units';

export type EntryKind = 'message' | 'joined' | 'ended' | 'note';
export type Author = 'visitor' | 'person' | 'house';

/** Names of the two drawings of a face: for screens of one, and of two device pixels to a CSS pixel. */
export type Face = readonly [once: string, twice: string];

/** One line of a conversation as a visitor may see it. `id` orders the stream, `seq` the conversation. */
export interface VisitorEntry {
  readonly id: number;
  readonly conversationId: string;
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

/** A run of entries, oldest first. */
export interface EntryPage {
  readonly entries: readonly VisitorEntry[];
  /** Whether there are entries before these. */
  readonly hasEarlier?: boolean;
}

/** What a visitor is told of the conversation they stand in: on load, on resuming, and in each answer. */
export interface VisitorTalk extends EntryPage {
  readonly conversation: ConversationFacts;
  /** Entries of their other conversations, from the oldest of `entries` on; absent where no whole page is told. */
  readonly earlier?: readonly VisitorEntry[];
}

/** The answer to anything a visitor sends ([S8]); `entries` holds that one entry. */
export interface SentAnswer extends VisitorTalk {
  readonly state: WidgetState;
}

/** Events of the visitor's stream by name; entries alone carry an id to resume from. */
export interface VisitorEvents {
  readonly teams: {
    readonly teams: Readonly<Record<string, string>>;
    readonly paused: boolean;
    readonly now: EpochMs;
  };
  readonly entry: VisitorEntry;
  /** In another conversation of theirs than the one they stand in. */
  readonly 'earlier-entry': VisitorEntry;
  readonly conversation: ConversationFacts;
  /** More than could be sent: read the conversation anew. */
  readonly reload: Record<string, never>;
}
