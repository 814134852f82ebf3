import type { ConversationFacts } from '../wire/talk';
import type { EpochMs } from './units';

/** Everything `decide` may know about a visitor right now. Made by the widget from the page, by the stage from the sentence above it. */
export interface Circumstances {
  /** The server's time ([D5], [L4]). */
  readonly now: EpochMs;
  /** When the pointer, or the stream, last told about people; null: never ([S6]). */
  readonly heardAt: EpochMs | null;
  readonly page: { readonly address: string };
  /** `data-widget` ([P14]). */
  readonly forcedWidget: string | null;
  readonly visitor: Visitor;
  readonly isWindowOpen: boolean;
  readonly isPutAway: boolean;
  readonly conversation: ConversationFacts | null;
  /** Entries of the responder that the visitor has not had before their eyes. */
  readonly unread: number;
  /** *Ask something else* after a goodbye ([M4]): the window stands at the door with the ended conversation kept. */
  readonly asksAgain: boolean;
}

export interface Visitor {
  /** `unknown` where nothing may be remembered: then neither first nor returning ([V6]). */
  readonly visit: 'first' | 'returning' | 'unknown';
  readonly device: 'desktop' | 'tablet' | 'phone';
}
