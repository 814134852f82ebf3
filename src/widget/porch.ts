import { type Decision, decide } from '../core/decide/decide';
import { FRESH_MS } from '../core/decide/state';
import { isRunning } from '../core/decide/widget';
import type { Circumstances } from '../core/model/circumstances';
import type { PublishedSite } from '../core/wire/published-site';
import type { ConversationFacts } from '../core/wire/talk';
import { serverClock } from './clock';
import { type Frame, buildFrame, setFont } from './frame';
import { keepFor } from './keep';
import { LoadError, siteLoader } from './load';
import { languageWishes, pageFont, pageSurroundings } from './page-surroundings';
import type { MountedPanel, PanelModule, PanelPort } from './port';
import { type Off, listen } from './surroundings';
import { type Tag, readTag } from './tag';
import { voiceOf } from './voice';

/** The whole guest: reads the tag, loads what is published, decides, paints, and waits for the next occasion. */
function porch(tag: Tag): void {
  const clock = serverClock();
  const { host, surroundings } = pageSurroundings(clock);
  const base = `${tag.origin}/w/${tag.siteKey}`;
  const loader = siteLoader(base, clock);
  const keep = keepFor(tag.siteKey, tag.consent !== 'wait');
  const wishes = languageWishes(tag.lang);

  let site: PublishedSite | null = null;
  let frame: Frame | null = null;
  let panel: Promise<MountedPanel> | null = null;
  let mounted: MountedPanel | null = null;
  let cancelWake: Off = () => undefined;
  let heardAt: number | null = null;
  let conversation: ConversationFacts | null = null;
  let unread = 0;
  let isWindowOpen = false;
  let asksAgain = false;

  const circumstances = (): Circumstances => ({
    now: clock.now(),
    heardAt,
    page: { address: location.href },
    forcedWidget: tag.widget,
    visitor: { visit: 'unknown', device: surroundings.device() },
    isWindowOpen,
    isPutAway: (keep.read().putAwayUntil ?? 0) > clock.now(),
    conversation,
    unread,
    asksAgain,
  });

  /** The whole loop: decide, paint, one timer for when time alone may change something. */
  const look = guarded((): void => {
    cancelWake();
    if (site === null) return;
    const here = circumstances();
    const decision = decide(site, here);
    paint(site, here, decision);
    if (decision.askAgainAt !== null) cancelWake = surroundings.wakeAt(decision.askAgainAt, look);
    tell('decided', { askAgainAt: decision.askAgainAt, moment: decision.moment, state: decision.state, widget: decision.widget });
  });

  const paint = (live: PublishedSite, here: Circumstances, decision: Decision): void => {
    const widget = live.design.widgets.find((one) => one.key === decision.widget);
    if (widget === undefined) {
      host.remove();
      return;
    }
    const own = (frame ??= firstFrame());
    if (!host.isConnected) document.documentElement.append(host);
    setFont(own.root, pageFont());
    const voice = voiceOf(live.design, widget, decision, here.visitor.visit);
    own.paint({
      widget,
      decision,
      voice,
      dir: live.design.dir,
      locale: live.design.locale,
      isWindowOpen: isWindowOpen && mounted !== null,
      unread,
    });
    mounted?.paint({ design: live.design, widget, decision, visit: here.visitor.visit, isWindowOpen });
  };

  const firstFrame = (): Frame => {
    const made = buildFrame(surroundings);
    for (const kind of ['pointerenter', 'focus', 'touchstart']) listen(made.launcher, kind, () => calmly(prepare()), { passive: true });
    listen(made.launcher, 'click', () => calmly(open()));
    return made;
  };

  /** An occasion to ask how things stand ([S7]); never a rhythm. */
  const ask = async (): Promise<void> => {
    const live = await loader.load(wishes);
    heardAt = live === null ? null : clock.now();
    site = live;
    if (live === null) host.remove();
    look();
  };

  const askIfStale = async (): Promise<void> => {
    if (heardAt !== null && clock.now() - heardAt < FRESH_MS) return;
    await ask().catch(() => {
      heardAt = null; // no words about people that nobody confirmed ([S6])
      look();
    });
  };

  const prepare = async (): Promise<void> => {
    await Promise.all([fetchPanel(), askIfStale()]);
  };

  const fetchPanel = (): Promise<MountedPanel> => {
    panel ??= importPanel().catch((error: unknown) => {
      panel = null; // the next hover or click tries again ([L9])
      throw error;
    });
    return panel;
  };

  const importPanel = async (): Promise<MountedPanel> => {
    if (site === null || frame === null) throw new Error('The panel was asked for before the launcher stood.');
    const module = (await import(/* @vite-ignore */ `${tag.origin}/w/${site.pointer.panel}`)) as PanelModule;
    mounted = module.mountPanel(portFor(frame));
    return mounted;
  };

  const portFor = (own: Frame): PanelPort => ({
    frame: own,
    surroundings,
    base,
    memory: keep,
    page: () => location.href,
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
    setAsksAgain: (value) => {
      asksAgain = value;
      look();
    },
    close,
    designName: () => site?.pointer.design ?? '',
  });

  const open = async (): Promise<void> => {
    const [ready] = await Promise.all([fetchPanel(), askIfStale()]);
    isWindowOpen = true;
    unread = 0;
    look();
    ready.focus();
    tell('opened', {});
  };

  const close = (): void => {
    isWindowOpen = false;
    look();
    frame?.launcher.focus();
    tell('closed', {});
  };

  const start = async (): Promise<void> => {
    await ask();
    listen(document, 'visibilitychange', () => document.visibilityState === 'visible' && calmly(askIfStale()));
    listen(window, 'resize', look);
    for (const kind of ['popstate', 'hashchange']) listen(window, kind, () => calmly(askIfStale().then(look)));
    if ((keep.read().token !== null || keep.hasUnsent()) && site !== null) await fetchPanel(); // a running conversation goes on
    if (isRunning(circumstances())) look();
  };

  start().catch((error: unknown) =>
    say(error instanceof LoadError ? FAULTS[error.fault] : 'The widget could not start; the page is not affected.'),
  );
}

const FAULTS: Readonly<Record<LoadError['fault'], string>> = {
  'unknown-site': 'No site has the key in data-site; the widget stays away. Copy the tag anew from Install.',
  'foreign-origin': "This page's address is not among the site's allowed ones; the widget stays away.",
  unreachable: 'The server could not be reached; the widget stays away until the next page.',
};

function say(text: string): void {
  console.warn(`Sunny Porch: ${text}`);
}

/** All errors stay inside: the page's own scripts never see a throw. */
function guarded(call: () => void): () => void {
  return () => {
    try {
      call();
    } catch {
      say('Something went wrong inside the widget; the page is not affected.');
    }
  };
}

/** What fails in the background is said once in the console, and never thrown at the page. */
function calmly(work: Promise<unknown>): void {
  work.catch(() => say('The window could not be opened just now. The next click tries again.'));
}

function tell(name: string, detail: Record<string, unknown>): void {
  window.dispatchEvent(new CustomEvent(`sunnyporch:${name}`, { detail }));
}

/** Waits for the first idle moment after load, at the latest 3 s: it never competes with the page. */
function whenIdle(call: () => void): void {
  const idle = (): void => {
    if ('requestIdleCallback' in window) requestIdleCallback(call, { timeout: 3 * 1000 });
    else setTimeout(call, 200);
  };
  if (document.readyState === 'complete') idle();
  else listen(window, 'load', idle, { once: true });
}

/** One instance, however often the tag was pasted ([widget.md], Isolation). */
function begin(): void {
  const tag = readTag(document.currentScript as HTMLScriptElement | null);
  const shelf = window as unknown as { SunnyPorch?: { isHere?: true; q?: unknown[] } };
  if (tag === null) return say('The tag has no valid data-site; the widget stays away. Copy it anew from Install.');
  if (shelf.SunnyPorch?.isHere) return say('The tag stands twice on this page; the first one works.');
  shelf.SunnyPorch = Object.assign(() => undefined, { isHere: true as const });
  whenIdle(guarded(() => porch(tag)));
}

guarded(begin)();
