import type { Device } from './device';
import type { PageClock } from './page-clock';
import type { Memory } from './memory';
import type { ConversationFacts } from './conversation';
import type { Moment } from './moment';
import type { EpochMs } from './units';

/** Everything `decide` may know about a visitor right now. Made by the widget from the page, by the stage from the sentence above it. */
export interface Circumstances {
  /** The server's time ([D5], [L4]). */
  readonly now: EpochMs;
  /** When the pointer, or the stream, last told about people; null: never ([S6]). */
  readonly heardAt: EpochMs | null;
  /** Whether the lamp, as it is painted, says that somebody is there: from dark to lit takes a fresh word ([S6]). */
  readonly isLit: boolean;
  readonly page: PageView;
  /** `data-widget` ([P14]). */
  readonly forcedWidget: string | null;
  readonly visitor: Visitor;
  /** What may be kept of them ([V7]), and what is. */
  readonly level: Level;
  readonly memory: Memory;
  readonly isWindowOpen: boolean;
  /** The moment painted last on this page; null: none yet. A visitor goes by the transitions, a step at a time ([M6]). */
  readonly moment: Moment | null;
  /** The invitation that is on the screen, since when. */
  readonly invited: { readonly id: string; readonly at: EpochMs } | null;
  readonly conversation: ConversationFacts | null;
  /** Entries of the responder that the visitor has not had before their eyes. */
  readonly unread: number;
  /** *Ask something else* after a goodbye ([M4]): the window stands at the door with the ended conversation kept. */
  readonly asksAgain: boolean;
  /** The team that is asked for before anything is written; null: none in particular. */
  readonly asksFor: string | null;
}

/** [V7] *none*: this page only; *asked*: what the visitor asked for; *kept*: visits, counters, trail. */
export type Level = 'none' | 'asked' | 'kept';

/** [V1] One page view, up to now. Latches and clocks begin anew with the next ([P18]). */
export interface PageView {
  readonly address: string;
  readonly isVisible: boolean;
  /** Runs while the page is visible. */
  readonly clock: PageClock;
  /** The same since the last pointer, key, touch or scroll. */
  readonly idle: PageClock;
  /** Percent of the page that was above the lower edge at the furthest; a page that cannot scroll is 100. */
  readonly scrolled: number;
  /** Selectors of which half an element was seen. */
  readonly seen: readonly string[];
  /** What happened just now, until the ask it caused is answered ([I4]). */
  readonly instantEvent: InstantEvent | null;
  /** [I9] Focus is in an editable element of the page. */
  readonly isTyping: boolean;
  /** The visitor opened the window in it ([I6]). */
  readonly hasOpened: boolean;
  /** Invitations painted in it, oldest first. */
  readonly shown: readonly string[];
  /** When the last one left the screen; null: none did. */
  readonly leftAt: EpochMs | null;
  /** [I7] A *No, thanks* in it, where nothing may be remembered further. */
  readonly hasDeclined: boolean;
}

export type InstantEvent =
  { readonly kind: 'leaving' | 'form-left' } | { readonly kind: 'clicked'; readonly selector: string };

export interface Visitor {
  /** `unknown` where nothing may be remembered: then neither first nor returning ([V6]). */
  readonly visit: 'first' | 'returning' | 'unknown';
  readonly device: Device;
  /** Reduced motion is asked for ([I10]). */
  readonly isStill: boolean;
  /** As the browser says them, best first. */
  readonly languages: readonly string[];
  /** Address of the page before the visit's first ([V5]); null: none, or one of the site's own. */
  readonly referrer: string | null;
  readonly campaign: string | null;
  /** [P16] ISO 3166 code that the page says; null: it says none. */
  readonly country: string | null;
  readonly attributes: Readonly<Record<string, string>>;
}

/** A page view that begins now, at the top of a page that can scroll. */
export function pageViewAt(address: string, now: EpochMs): PageView {
  const runs = { doneMs: 0, since: now };
  return {
    address,
    isVisible: true,
    clock: runs,
    idle: runs,
    scrolled: 0,
    seen: [],
    instantEvent: null,
    isTyping: false,
    hasOpened: false,
    shown: [],
    leftAt: null,
    hasDeclined: false,
  };
}

/** Somebody of whom nothing is known. */
export const UNKNOWN_VISITOR: Visitor = {
  visit: 'unknown',
  device: 'desktop',
  isStill: false,
  languages: [],
  referrer: null,
  campaign: null,
  country: null,
  attributes: {},
};

/** [M8] Whether a conversation is under way: it then outlives pause and pages without a widget. */
export function isRunning({ conversation }: Pick<Circumstances, 'conversation'>): boolean {
  return conversation !== null && (conversation.standing === 'asked' || conversation.standing === 'joined');
}
