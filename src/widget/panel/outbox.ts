import type { CheckedReplies } from '../../core/forms/check';
import type { Replies } from '../../core/model/form';
import type { Memory } from '../../core/model/memory';
import { newEntryId, newVisitorToken } from './ids';
import type { UnsentStore } from './unsent';

/** Something written here that the server has not acknowledged yet. */
export interface Outgoing {
  readonly clientId: string;
  readonly body: string;
  readonly note: NoteReplies | null;
  /** Something else is asked, however soon after a goodbye. */
  readonly anew?: boolean;
  /** The form before a chat, given with its first words. */
  readonly before?: Replies;
  /** [V9] Pages on the way, with the first words. */
  readonly trail?: Memory['trail'];
  /** The form's faults, where the server found some. */
  readonly faults?: CheckedReplies['faults'];
  /** The page it was written on; it may go out from a later one. */
  readonly page: string;
  readonly standing: 'sending' | 'waiting';
}

/** What a note brings besides its words; an address alone turns a waiting question into a note (*address left*). */
export interface NoteReplies {
  readonly mail: string;
  readonly name: string;
  /** By field ([L10]). */
  readonly replies?: Replies;
}

/** What became of an offer: taken, to be tried again, or refused for good with the faults of its form by field. */
export type Outcome = 'taken' | 'later' | CheckedReplies['faults'];

export interface OutboxPort {
  readonly store: UnsentStore;
  offer(one: Outgoing): Promise<Outcome>;
  changed(): void;
  /** Resolves when it is time for the next try. */
  pause(failedTries: number): Promise<void>;
}

/** What was written here and is on its way. It loses nothing: each item stays until the server took or refused it. */
export interface Outbox {
  items(): readonly Outgoing[];
  /** Sends what is here, unless it is being sent. */
  drain(): void;
  /** What the server would not take: back to the field it came from. */
  refused(): Outgoing | null;
  takeBackRefused(): void;
  add(written: Omit<Outgoing, 'clientId' | 'standing'>): void;
  /** The token a new visitor's first message goes under: made once, so that sending again cannot make a second visitor. */
  newToken(): string;
  dropToken(): void;
  /** Stores what is on its way, for the next page of this tab. */
  keep(): void;
  clear(): void;
}

/** An outbox over what the page before left unsent. */
export function outboxWith({ store, offer, changed, pause }: OutboxPort): Outbox {
  const unsent = store.read();
  const state = {
    items: unsent.items,
    token: unsent.token,
    refused: null as Outgoing | null,
    isSending: false,
  };

  /** Oldest first, one at a time; an outcome that settles the oldest takes it off. */
  const drain = async (): Promise<void> => {
    if (state.isSending) return;
    state.isSending = true;
    for (let failedTries = 0; state.items.length > 0;) {
      const [next] = state.items as [Outgoing];
      const outcome = await offer(next);
      if (outcome === 'later') {
        state.items = state.items.map((one) => ({ ...one, standing: 'waiting' }));
        changed();
        await pause(failedTries++);
        continue;
      }
      failedTries = 0;
      state.items = state.items.slice(1);
      if (outcome !== 'taken') state.refused = { ...next, faults: outcome };
      changed();
    }
    state.isSending = false;
  };

  return {
    items: () => state.items,
    drain: () => void drain(),
    refused: () => state.refused,
    takeBackRefused: () => {
      state.refused = null;
    },
    add: (written) => {
      state.items = [...state.items, { ...written, clientId: newEntryId(), standing: 'sending' }];
      changed();
      void drain();
    },
    newToken: () => (state.token ??= newVisitorToken()),
    dropToken: () => {
      state.token = null;
    },
    keep: () => store.write(state),
    clear: () => {
      state.items = [];
      state.refused = null;
    },
  };
}
