import { originOf } from '../core/decide/origin';
import { type Circumstances, type PageView, pageViewAt } from '../core/model/circumstances';
import type { ConversationFacts } from '../core/model/conversation';
import type { Moment } from '../core/model/moment';
import type { EpochMs } from '../core/model/units';
import type { VisitRuntime } from './port';
import type { Surroundings } from './surroundings';
import type { Tag } from './tag';
import type { VisitorStore } from './visitor-store';

/** What the guest knows besides what is published: the page, the conversation, and what was asked for. */
export interface GuestState {
  runtime: VisitRuntime | null;
  conversation: ConversationFacts | null;
  unread: number;
  asksAgain: boolean;
  /** The team that the visitor asks for, by its id. */
  asksFor: string | null;
  /** What the page says of its visitor, by name. */
  attributes: Readonly<Record<string, string>>;
  page: PageView;
}

export interface HerePort {
  readonly tag: Tag;
  readonly state: GuestState;
  readonly store: VisitorStore;
  readonly surroundings: Surroundings;
  heardAt(): EpochMs | null;
  isOpen(): boolean;
}

/** The circumstances as they are here and now; what only the visit runtime knows it puts in, once it has come. */
export function hereWith({ tag, state, store, surroundings, heardAt, isOpen }: HerePort) {
  return (moment: Moment | null, isLit: boolean): Circumstances => {
    const { runtime, attributes } = state;
    const now = surroundings.now();
    if (runtime === null && state.page.address !== location.href) state.page = pageViewAt(location.href, now);
    const plain: Circumstances = {
      now,
      heardAt: heardAt(),
      isLit,
      page: state.page,
      forcedWidget: tag.widget,
      visitor: {
        visit: 'unknown',
        device: surroundings.device(),
        isStill: false, // only invitations ask: the visit runtime looks
        languages: navigator.languages,
        ...originOf(location.href, document.referrer),
        country: attributes['country'] ?? tag.country,
        attributes,
      },
      level: store.level(),
      memory: store.read(),
      moment,
      isWindowOpen: isOpen(),
      invited: null,
      conversation: state.conversation,
      unread: isOpen() ? 0 : state.unread,
      asksAgain: state.asksAgain,
      asksFor: state.asksFor,
    };
    return runtime?.enrich(plain) ?? plain;
  };
}
