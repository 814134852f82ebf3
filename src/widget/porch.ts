import type { Decision } from '../core/decide/decision';
import { decideWith } from '../core/decide/decide-with';
import { originOf } from '../core/decide/origin';
import { FRESH_MS } from '../core/context/presence';
import { type Circumstances, pageViewAt } from '../core/model/circumstances';
import type { Moment } from '../core/model/moment';
import type { WireWidget } from '../core/wire/design-file';
import type { PublishedSite } from '../core/wire/published-site';
import type { ConversationFacts } from '../core/model/conversation';
import { inBackground, guarded, warn } from './guard';
import { serverClock } from './clock';
import { type Frame, buildFrame, setFont } from './frame';
import { visitorStoreFor } from './visitor-store';
import { NO_SITE, siteLoader } from './load';
import { preferredLocalesFor, pageFont, pageSurroundings } from './page-surroundings';
import type {
  DraftModule,
  MountedPanel,
  PanelModule,
  PanelPort,
  VisitRuntime,
  VisitRuntimeModule,
} from './port';
import { type Off, listen } from './surroundings';
import { type Tag, readTag } from './tag';
import { formatTextFor } from './format-text';
import { whenIdle } from './when-idle';

/** The whole guest: reads the tag, loads what is published, decides, paints, and waits for the next occasion. */
function porch(tag: Tag, queue: CallQueue): void {
  const startedAt = Math.round(performance.now());
  const clock = serverClock();
  const { host, surroundings } = pageSurroundings(clock);
  const base = `${tag.origin}/w/${tag.siteKey}`;
  let loader = siteLoader(base, clock);
  const passKey = `sunny-porch:draft:${tag.siteKey}`;
  const store = visitorStoreFor(tag.siteKey, tag.level);
  const preferredLocales = preferredLocalesFor(tag.lang);

  let site: PublishedSite | null = null;
  let frame: Frame | null = null;
  let panel: Promise<MountedPanel> | null = null;
  let mounted: MountedPanel | null = null;
  let runtime: VisitRuntime | null = null;
  let runtimeComes: Promise<void> | null = null;
  let cancelWake: Off = () => undefined;
  let cancelAsk: Off = () => undefined;
  let cancelArrival: Off = () => undefined;
  let heardAt: number | null = null;
  /** By the monotonic clock: an answer may set the other one back. */
  let askedAt = -Infinity;
  let conversation: ConversationFacts | null = null;
  let unread = 0;
  let isWindowOpen = false;
  let asksAgain = false;
  let asksFor: string | null = null;
  let shown: WireWidget | undefined;
  /** What of the page's own opened the window: the focus goes back there. */
  let opener: HTMLElement | null = null;
  let moment: Moment | null = null;
  let isLit = false;
  let attributes: Readonly<Record<string, string>> = {};
  let page = pageViewAt(location.href, clock.now());

  const circumstances = (): Circumstances => {
    if (runtime === null && page.address !== location.href) page = pageViewAt(location.href, clock.now());
    const plain: Circumstances = {
      now: clock.now(),
      heardAt,
      isLit,
      page,
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
      isWindowOpen,
      invited: null,
      conversation,
      unread,
      asksAgain,
      asksFor,
    };
    return runtime?.enrich(plain) ?? plain;
  };

  const decideHere = (live: PublishedSite, here: Circumstances): Decision =>
    decideWith(live, here, { momentResultOf: mounted?.momentResultOf, why: mounted?.why, due: runtime?.due });

  /** The whole loop: decide, paint, one timer for when time alone may change something. */
  const look = guarded((): void => {
    cancelWake();
    cancelArrival();
    if (site === null) return;
    let here = circumstances();
    let decision = decideHere(site, here);
    // A step along the ways may lead straight on to the next ([M6]).
    for (let steps = 0; steps < 3 && (decision.moment !== moment || isLitBy(decision) !== isLit); steps++) {
      moment = decision.moment;
      isLit = isLitBy(decision);
      decision = decideHere(site, (here = circumstances()));
    }
    const widget = paint(site, here, decision);
    if (decision.askAgainAt !== null) cancelWake = surroundings.wakeAt(decision.askAgainAt, look);
    tell('decided', decision);
    if (decision.wantsFresh && performance.now() - askedAt >= FRESH_MS) {
      const asking = ask().catch(unheard);
      runtime?.asked(asking);
    }
    // A case of the launcher's own words may ask why it is closed, which the window knows.
    if (decision.state === 'closed' && mounted === null && widget !== undefined && asksWhy(widget))
      inBackground(fetchPanel().then(look));
    if (runtime !== null) runtime.follow(site, decision);
    else if (widget !== undefined && (widget.invitations.length > 0 || store.level() === 'kept'))
      inBackground(fetchVisitRuntime(site));
  });

  const paint = (live: PublishedSite, here: Circumstances, decision: Decision): WireWidget | undefined => {
    const widget = (shown = live.design.widgets.find((one) => one.key === decision.widget));
    if (widget === undefined) host.remove();
    else {
      const own = (frame ??= firstFrame());
      const arrivesIn = startedAt + (widget.launcher.delay ?? 0) * 1000 - performance.now();
      const isAwaited = here.isWindowOpen || here.invited !== null || here.unread > 0;
      if (arrivesIn > 0 && !isAwaited) cancelArrival = surroundings.wakeAt(clock.now() + arrivesIn, look);
      else if (!host.isConnected) document.documentElement.append(host);
      setFont(own.root, pageFont());
      const painted = { site: live, widget, decision, circumstances: here };
      own.paint(painted, formatTextFor(painted));
      mounted?.paint({ ...painted, isWindowOpen });
    }
    return widget;
  };

  const firstFrame = (): Frame => {
    const made = buildFrame(surroundings, base);
    for (const kind of ['pointerenter', 'focus', 'touchstart'])
      listen(made.launcher, kind, () => inBackground(prepare()), { passive: true });
    listen(made.launcher, 'click', () => inBackground(open()));
    return made;
  };

  /** An occasion to ask how things stand ([S7]); never a rhythm. */
  const ask = async (): Promise<void> => {
    askedAt = performance.now();
    const live = await loader.load(preferredLocales);
    heardAt = live === null ? null : clock.now();
    site = live;
    if (live === null) host.remove();
    else runtime?.learnt(live);
    const { askBefore = null } = live?.pointer ?? {};
    cancelAsk();
    // [L5] When another version comes into force; pages do not all ask at once.
    if (askBefore !== null)
      cancelAsk = surroundings.wakeAt(askBefore + Math.random() * SPREAD_MS, () => inBackground(ask()));
    look();
  };

  /** No words about people that nobody confirmed ([S6]). */
  const unheard = (): void => {
    heardAt = null;
    look();
  };

  const askIfStale = async (): Promise<void> => {
    if (heardAt === null || clock.now() - heardAt >= FRESH_MS) await ask().catch(unheard);
    else look();
  };

  const prepare = async (): Promise<void> => {
    await Promise.all([fetchPanel(), askIfStale()]);
  };

  /** The next hover or click tries again ([L9]). */
  const fetchPanel = (): Promise<MountedPanel> =>
    (panel ??= importPanel().catch((error: unknown) => {
      panel = null;
      throw error;
    }));

  const importPanel = async (): Promise<MountedPanel> => {
    if (site === null || frame === null) throw new Error('no launcher to open from');
    const module = await fetchModule<PanelModule>(site.pointer.panel);
    return (mounted = module.mountPanel(portFor(frame)));
  };

  const fetchModule = <T>(name: string): Promise<T> =>
    import(/* @vite-ignore */ `${tag.origin}/w/${name}`) as Promise<T>;

  const fetchVisitRuntime = (live: PublishedSite): Promise<void> =>
    (runtimeComes ??= importVisitRuntime(live));

  const importVisitRuntime = async (live: PublishedSite): Promise<void> => {
    if (live.pointer.watch === undefined) return;
    const { startVisitRuntime } = await fetchModule<VisitRuntimeModule>(live.pointer.watch);
    runtime = startVisitRuntime({
      base,
      store,
      lockName: `sunny-porch:${tag.siteKey}`,
      startedAt,
      now: clock.now,
      look,
      site: () => site ?? live,
      circumstances,
      decide: (here) => decideHere(site ?? live, here),
      fetchPanel,
      open: () => {
        isWindowOpen = true;
        look();
      },
      launcher: () => frame?.launcher,
      setAttributes: (given) => {
        attributes = given;
        look();
      },
      moveTo,
      tell,
    });
    runtime.learnt(live);
    look();
  };

  const portFor = (own: Frame): PanelPort => ({
    frame: own,
    surroundings,
    base,
    memory: store,
    passKey,
    page: () => circumstances().page.address,
    hearTeams: (teams, at) => {
      heardAt = at;
      if (site !== null && teams !== null) site = { ...site, pointer: { ...site.pointer, teams } };
      look();
    },
    hearConversation: (facts, count) => {
      conversation = facts;
      unread = isWindowOpen ? 0 : count;
      look();
    },
    setAsksFor: (team) => {
      asksFor = team;
      look();
    },
    setAsksAgain: (value) => {
      asksAgain = value;
      look();
    },
    ask: () => inBackground(ask()),
    close,
    accept: () => inBackground(open()),
    decline: () => runtime?.declined(),
    designName: () => site?.pointer.design ?? '',
  });

  const open = async (openRequest?: string): Promise<void> => {
    await prepare();
    if (openRequest) mounted?.openRequest(openRequest);
    runtime?.opened();
    isWindowOpen = true;
    unread = 0;
    look();
    mounted?.focus();
    tell('opened', {});
  };

  const close = (): void => {
    isWindowOpen = false;
    runtime?.closed();
    look();
    (opener ?? frame?.launcher)?.focus();
    opener = null;
    tell('closed', {});
  };

  /** The page says that it shows another address, or came back from the cache. */
  const moveTo = (address: string): void => {
    page = pageViewAt(new URL(address, location.href).href, clock.now());
    runtime?.moveTo(address);
    inBackground(askIfStale());
  };

  /** A link or button of the page's opens the window; its value may name a team, and a first question. */
  const openFrom = guarded((event: MouseEvent): void => {
    if (shown === undefined || event.defaultPrevented || event.ctrlKey || event.metaKey) return;
    const { element } = shown.launcher;
    const at = event.target as Element;
    const from = at.closest<HTMLElement>('[data-porch-open]') ?? nearest(at, element);
    if (from === null) return;
    event.preventDefault();
    opener = from;
    inBackground(open(from.dataset.porchOpen));
  });

  /** Another page view may have begun, whatever the server says then ([P17]). */
  const route = (): void => {
    look();
    inBackground(askIfStale());
  };

  /** What a page may call, also before the script has come; what is asked for seldom comes with the visit runtime. */
  const call = (name: string, value: unknown): void => {
    if (name === 'open') inBackground(open());
    else if (name === 'close') close();
    else if (site !== null) inBackground(fetchVisitRuntime(site).then(() => runtime?.call(name, value)));
  };

  const start = async (): Promise<void> => {
    if (hasPass(passKey))
      loader = (await fetchModule<DraftModule>('draft.js')).draftLoader({
        base,
        key: passKey,
        clock,
        live: loader,
      });
    await ask();
    listen(document, 'visibilitychange', () => {
      const isVisible = document.visibilityState === 'visible';
      runtime?.turn(isVisible);
      if (isVisible) inBackground(askIfStale());
    });
    listen(window, 'pagehide', () => runtime?.turn(false));
    listen(window, 'pageshow', (event) => (event as PageTransitionEvent).persisted && moveTo(location.href));
    listen(document, 'click', openFrom as (event: Event) => void);
    for (const kind of ['resize', 'storage']) listen(window, kind, look);
    const { navigation = window } = window as { navigation?: EventTarget };
    for (const kind of ['popstate', 'hashchange']) listen(window, kind, route);
    listen(navigation, 'currententrychange', route);
    queue.call = guarded(call);
    for (const [name, value] of queue.q.splice(0)) queue.call(name, value);
    if ((store.read().token !== null || store.hasUnsent()) && site !== null) await fetchPanel(); // a running conversation goes on
  };

  start().catch(({ message }: Error) => warn(message));
}

/** A selector that this browser cannot read finds nothing. */
function nearest(at: Element, selector: string | undefined): HTMLElement | null {
  try {
    return selector ? at.closest<HTMLElement>(selector) : null;
  } catch {
    return null;
  }
}

/** [threat 18] Somebody came by a private link, on this page or before in this tab. */
function hasPass(key: string): boolean {
  try {
    return location.hash.startsWith('#sunny-porch-draft=') || key in sessionStorage;
  } catch {
    return false;
  }
}

function tell(name: string, detail: object): void {
  window.dispatchEvent(new CustomEvent(`sunnyporch:${name}`, { detail }));
}

const SPREAD_MS = 10_000;

function asksWhy({ words }: WireWidget): boolean {
  return JSON.stringify([words['launcher.words'], words['launcher.name']]).includes('closed-by');
}

function isLitBy({ state, isStateKnown }: Decision): boolean {
  return isStateKnown && state !== 'nobody' && state !== 'closed';
}

/** What the page may call; calls before the guest stands wait in `q`. */
interface CallQueue {
  readonly q: [name: string, value: unknown][];
  call(name: string, value: unknown): void;
}

/** One instance, however often the tag was pasted. */
function begin(): void {
  const tag = readTag(document.currentScript as HTMLScriptElement | null);
  const here = window as unknown as { SunnyPorch?: { isHere?: true; q?: ArrayLike<unknown>[] } };
  if (tag === null) return warn(NO_SITE);
  if (here.SunnyPorch?.isHere) return warn('The tag stands twice on this page; the first one works.');
  const q = (here.SunnyPorch?.q ?? []).map((call): [string, unknown] => [String(call[0]), call[1]]);
  const queue: CallQueue = { q, call: (name, value) => void q.push([name, value]) };
  here.SunnyPorch = Object.assign((name: string, value: unknown) => queue.call(name, value), {
    isHere: true as const,
  });
  whenIdle(guarded(() => porch(tag, queue)));
}

guarded(begin)();
