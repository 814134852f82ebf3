import { compileSite } from '../../core/decide/compile-site';
import { INVITATION_ID } from '../../core/wire/invitation';
import type { Decision } from '../../core/decide/decision';
import { EMPTY_MEMORY } from '../../core/model/memory';
import { readMemory } from '../../core/decide/read-memory';
import {
  type MemoryEvent,
  isNoByClosing,
  pruned,
  remember,
  visitOf,
  withinLevel,
} from '../../core/decide/remember';
import { dueOf } from '../../core/invitations/due';
import { approachHere, selectorsOf } from '../../core/invitations/approach';
import type { Circumstances, Level } from '../../core/model/circumstances';
import type { WireInvitation } from '../../core/wire/design-file';
import { limitsOf } from '../../core/wire/limits';
import type { PublishedSite } from '../../core/wire/published-site';
import { limitedFetch } from '../limited-fetch';
import type { VisitRuntime, VisitRuntimePort } from '../port';
import { claimed, pause } from './claim';
import { viewOf } from './page-view';
import { sensorsFor } from './sensors';

/** [I4] A instant event lasts until the ask it caused is answered, at most so long. */
const INSTANT_EVENT_MS = 2000;

/**
 * Watches over the page where there is something to invite to, or visits may be remembered: clocks, listeners, memory,
 * and what becomes of an invitation. It decides nothing: the engine's own part for that is `due`.
 */
export function startVisitRuntime(port: VisitRuntimePort): VisitRuntime {
  const { store, now, look } = port;
  const hasLocks = 'locks' in navigator;
  let attributes: Readonly<Record<string, string>> = {};
  let invited: Circumstances['invited'] = null;
  let openedByItself: number | null = null;
  let busy: Promise<unknown> = Promise.resolve();
  /** An invitation is on its way to the screen: the looks meanwhile bring no second one. */
  let isComing = false;

  const memory = () => readMemory(JSON.stringify(store.read()), now());
  const rememberEvent = (event: MemoryEvent): void => store.write(remember(memory(), event, store.level()));
  const view = viewOf({
    memory: () => withinLevel(memory(), store.level()),
    rememberEvent,
    now,
    startedAt: port.startedAt,
  });

  const sensors = sensorsFor({
    scrolled: (percent) => {
      if (percent <= view.read().scrolled) return;
      view.put({ scrolled: percent });
      look();
    },
    active: () => {
      if (view.wasActive()) look();
    },
    seen: (selector) => {
      view.put({ seen: [...view.read().seen, selector] });
      look();
    },
    focus: look,
    instantEvent: (instantEvent) => {
      view.put({ instantEvent });
      look();
      void Promise.race([busy, pause(INSTANT_EVENT_MS)]).then(() => view.put({ instantEvent: null }));
    },
  });

  /** It goes from the screen, for whatever cause. */
  const left = (): void => {
    if (invited === null && openedByItself === null) return;
    invited = null;
    openedByItself = null;
    view.left();
    rememberEvent({ kind: 'invitation-left', at: now() });
  };

  const decline = (): void => {
    view.put({ hasDeclined: true });
    const { restDays } = limitsOf(port.site().design);
    rememberEvent({ kind: 'declined', at: now(), restDays });
    left();
    look();
  };

  /** [I12] One tab shows it: what was kept is read again, and decided again, before it is painted. */
  const prepare = async (id: string): Promise<void> => {
    await port.fetchPanel();
    const at = now();
    if (!hasLocks) rememberEvent({ kind: 'invitation-shown', id, at });
    await claimed(
      port.lockName,
      () => show(id, at),
      () => memory().counts[id]?.[2] === at || store.level() !== 'kept',
    );
  };

  const show = (id: string, at: number): void => {
    const here = port.circumstances();
    const site = port.site();
    const decision = port.decide(site, here);
    const invitation = invitationsOf(site, decision).find((one) => one[INVITATION_ID] === id);
    if (invitation === undefined || (hasLocks && decision.show !== id)) return;
    view.put({ shown: [...view.read().shown, id] });
    if (hasLocks) rememberEvent({ kind: 'invitation-shown', id, at });
    const approach = approachHere(invitation, here);
    port.tell('invited', { invitation: id, approach });
    if (approach === 'open') openedByItself = at;
    else invited = { id, at };
    if (approach === 'stir') {
      stir(port.launcher());
      left();
    }
    if (approach === 'open') port.open();
    else look();
  };

  /** [V8] A page view that may be remembered is remembered from now on; going down removes what may not be kept. */
  const setLevel = (level: Level): void => {
    if (level === 'kept' && store.level() === 'kept') return;
    store.setLevel(level);
    store.write(withinLevel(memory(), level));
    view.tellAnew();
  };

  /** [V8] Removes all that is kept here, and asks the server for the same; it is not told of before it is gone here. */
  const forget = (): void => {
    const { token } = memory();
    store.write(EMPTY_MEMORY);
    if (token === null) return;
    const asked = {
      method: 'POST',
      keepalive: true,
      headers: { Authorization: `Bearer ${token}` },
    } as const;
    void limitedFetch(`${port.base}/forget`, asked).catch(() => undefined); // the page cannot wait; this browser has forgotten
  };

  return {
    due: dueOf,
    enrich: (base) => {
      if (view.hasMoved()) left();
      const kept = withinLevel(memory(), store.level());
      const { referrer, campaign } = view.origin();
      return {
        ...base,
        page: { ...view.read(), isTyping: isTyping() },
        visitor: { ...base.visitor, isStill: asksForStillness(), visit: visitOf(kept), referrer, campaign },
        memory: kept,
        invited,
      };
    },
    follow: (site, decision) => {
      const invitations = invitationsOf(site, decision);
      sensors.listenTo(
        decision.askAgainOn,
        selectorsOf(invitations, 'seen'),
        selectorsOf(invitations, 'clicked'),
      );
      if (decision.withdraw !== null && invited !== null) {
        left();
        look();
      } else if (decision.show !== null && !isComing) {
        isComing = true;
        busy = prepare(decision.show)
          .catch(() => undefined) // due again with the next look
          .finally(() => {
            isComing = false;
          });
      }
    },
    asked: (ask) => {
      busy = ask;
    },
    opened: () => {
      view.put({ hasOpened: true });
      left();
    },
    closed: () => {
      const isNo = isNoByClosing(openedByItself, now());
      left();
      if (isNo) decline();
    },
    declined: decline,
    turn: view.turn,
    moveTo: (address) => {
      left();
      view.setAddress(address);
    },
    learnt: (site) => {
      const ids = site.design.widgets.flatMap(({ invitations }) => invitations.map(([id]) => id));
      if (Object.keys(memory().counts).some((id) => !ids.includes(id))) store.write(pruned(memory(), ids));
    },
    call: (name, value) => {
      if (name === 'page') port.moveTo(String(value));
      if (name === 'attributes')
        port.setAttributes((attributes = { ...attributes, ...readAttributes(value) }));
      if (name === 'consent') setLevel(value === true ? 'kept' : 'asked');
      if (name === 'forget') forget();
      look();
    },
  };
}

const ATTRIBUTES_MAX = 50;
const ATTRIBUTE_CHARS = 200;

/** What the page says of its visitor: texts by name, bounded; anything else says nothing. */
function readAttributes(given: unknown): Record<string, string> {
  if (typeof given !== 'object' || given === null) return {};
  const entries = Object.entries(given).slice(0, ATTRIBUTES_MAX);
  return Object.fromEntries(entries.map(([name, value]) => [name, String(value).slice(0, ATTRIBUTE_CHARS)]));
}

function invitationsOf(site: PublishedSite, decision: Decision): readonly WireInvitation[] {
  return compileSite(site).widget(decision.widget)?.invitations ?? [];
}

function asksForStillness(): boolean {
  return matchMedia('(prefers-reduced-motion: reduce)').matches;
}

/** [I9] Focus is in something of the page that can be written in. */
function isTyping(): boolean {
  const active = document.activeElement as HTMLElement | null;
  return active !== null && (active.isContentEditable || /^(input|textarea|select)$/i.test(active.tagName));
}

const STIR = { transform: ['none', 'rotate(-7deg)', 'rotate(5deg)', 'rotate(-2deg)', 'none'] };

/** [I10] The launcher moves once, and takes no focus. Under reduced motion nothing stirs: `approach` says so. */
function stir(launcher: HTMLElement | undefined): void {
  launcher?.animate(STIR, { id: 'stir', duration: 600, easing: 'ease-in-out' });
}
