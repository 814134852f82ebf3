import { SECOND_MS } from '../core/model/units';
import { compileSite } from '../core/decide/compile-site';
import type { Decision } from '../core/decide/decision';
import { decideWith } from '../core/decide/decide-with';
import { type Circumstances, pageViewAt } from '../core/model/circumstances';
import type { WireWidget } from '../core/wire/design-file';
import type { PublishedSite } from '../core/wire/published-site';
import { askingWith } from './asking';
import { serverClock } from './clock';
import { guarded, inBackground, warn } from './guard';
import { type GuestState, hereWith } from './here';
import { NO_SITE, UNREACHABLE, siteLoader } from './load';
import { loopWith } from './loop';
import { openingWith } from './opening';
import { type CallQueue, answerCalls, listenToPage, pageQueue, tell } from './page-api';
import { preferredLocalesFor, pageSurroundings } from './page-surroundings';
import { painterOn } from './painter';
import type { DraftModule, PanelModule, PanelPort } from './port';
import { type Tag, readTag } from './tag';
import { visitLoader } from './visit-loader';
import { visitorStoreFor } from './visitor-store';
import { whenIdle } from './when-idle';

const RETRY_SECONDS = [5, 15, 60];
const RETRY_SECONDS_MAX = 300;

/** The whole guest: what each machine lends the others. What they do stands with each of them. */
function porch(tag: Tag, queue: CallQueue): void {
  const startedAt = Math.round(performance.now());
  const clock = serverClock();
  const { host, surroundings } = pageSurroundings(clock);
  const base = `${tag.origin}/w/${tag.siteKey}`;
  const passKey = `sunny-porch:draft:${tag.siteKey}`;
  const store = visitorStoreFor(tag.siteKey, tag.level);
  const preferredLocales = preferredLocalesFor(tag.lang);
  const state: GuestState = {
    runtime: null,
    conversation: null,
    unread: 0,
    asksAgain: false,
    asksFor: null,
    attributes: {},
    page: pageViewAt(location.href, clock.now()),
  };
  let loader = siteLoader(base, clock);
  const fetchModule = <T>(name: string): Promise<T> =>
    import(/* @vite-ignore */ `${tag.origin}/w/${name}`) as Promise<T>;
  const runtime = () => state.runtime;

  const decide = (site: PublishedSite, here: Circumstances): Decision => {
    const panel = opening.panel;
    return decideWith(site, here, {
      momentResultOf: panel?.momentResultOf,
      why: panel?.why,
      due: runtime()?.due,
    });
  };
  const carryOut = (site: PublishedSite, here: Circumstances, decision: Decision): void => {
    const widget = compileSite(site).widget(decision.widget);
    const painted = { site, decision, circumstances: here };
    painter.paint(painted, widget);
    if (widget !== undefined) opening.panel?.paint({ ...painted, widget, isWindowOpen: here.isWindowOpen });
    tell('decided', decision);
    const asked = decision.wantsFresh ? asking.askOnceFresh() : null;
    if (asked !== null) runtime()?.asked(asked);
    // A case of the launcher's own words may ask why it is closed, which the window knows.
    if (decision.state === 'closed' && opening.panel === null && widget !== undefined && asksWhy(widget))
      inBackground(opening.fetchPanel().then(look));
    if (state.runtime !== null) state.runtime.follow(site, decision);
    else if (widget !== undefined && (widget.invitations.length > 0 || store.level() === 'kept'))
      inBackground(fetchVisitRuntime(site));
  };
  const { look, circumstances: here } = loopWith({
    surroundings,
    site: () => asking.site,
    circumstances: hereWith({
      tag,
      state,
      store,
      surroundings,
      heardAt: () => asking.heardAt,
      isOpen: () => opening.isOpen,
    }),
    decide,
    carryOut,
  });
  const asking = askingWith({
    surroundings,
    load: () => loader.load(preferredLocales),
    onHeard: (site) => {
      if (site === null) host.remove();
      else runtime()?.learnt(site);
    },
    look,
  });
  const opening = openingWith({
    importPanel: async () => {
      const [site, own] = [asking.site, painter.frame];
      if (site === null || own === null) throw new Error('no launcher');
      const { mountPanel } = await fetchModule<PanelModule>(site.pointer.panel);
      return mountPanel({ ...panelPort, frame: own });
    },
    askIfStale: () =>
      Promise.race([
        asking.askIfStale(),
        // Longer nobody waits for a server that does not answer: the window says nothing of people then.
        new Promise<void>((resolve) => surroundings.wakeAt(surroundings.now() + SECOND_MS, resolve)),
      ]),
    look,
    sawAll: () => {
      state.unread = 0;
    },
    runtime,
    launcher: () => painter.frame?.launcher,
    tell,
  });
  const { open, prepare } = opening;
  const painter = painterOn({ host, surroundings, base, startedAt, look, prepare, open, fetchModule });

  const panelPort: Omit<PanelPort, 'frame'> = {
    surroundings,
    base,
    memory: store,
    passKey,
    page: () => here().page.address,
    hearTeams: asking.hearTeams,
    hearConversation: (conversation, unread) => set({ conversation, unread: opening.isOpen ? 0 : unread }),
    setAsksFor: (asksFor) => set({ asksFor }),
    setAsksAgain: (asksAgain) => set({ asksAgain }),
    ask: () => inBackground(asking.ask()),
    close: opening.close,
    accept: () => inBackground(open()),
    decline: () => runtime()?.declined(),
    designName: () => asking.site?.pointer.design ?? '',
  };
  const set = (changed: Partial<typeof state>): void => {
    Object.assign(state, changed);
    look();
  };

  const fetchVisitRuntime = visitLoader({
    state,
    fetchModule,
    base,
    store,
    lockName: `sunny-porch:${tag.siteKey}`,
    startedAt,
    now: clock.now,
    look,
    site: () => asking.site,
    circumstances: here,
    decide,
    fetchPanel: opening.fetchPanel,
    open: opening.openQuietly,
    launcher: () => painter.frame?.launcher,
    setAttributes: (attributes) => set({ attributes }),
    moveTo: (address) => moveTo(address),
    tell,
  });

  const moveTo = (address: string): void => {
    state.page = pageViewAt(new URL(address, location.href).href, clock.now());
    runtime()?.moveTo(address);
    inBackground(asking.askIfStale());
  };

  /** What a page may call, also before the script has come; what is asked for seldom comes with the visit runtime. */
  const call = (name: string, value: unknown): void => {
    const site = asking.site;
    if (name === 'open') inBackground(open());
    else if (name === 'close') opening.close();
    else if (site !== null) inBackground(fetchVisitRuntime(site).then(() => runtime()?.call(name, value)));
  };

  /** A server that is down when the page loads is asked again; what it refuses, it refuses for good. */
  const askUntilHeard = async (tries = 0): Promise<void> => {
    try {
      await asking.ask();
    } catch (error) {
      const { message } = error as Error;
      if (message !== UNREACHABLE) throw error;
      if (tries === 0) warn(message);
      const pause = (RETRY_SECONDS[tries] ?? RETRY_SECONDS_MAX) * SECOND_MS;
      await new Promise<void>((resolve) => surroundings.wakeAt(clock.now() + pause, resolve));
      return askUntilHeard(tries + 1);
    }
  };

  const start = async (): Promise<void> => {
    if (hasPass(passKey)) {
      const { draftLoader } = await fetchModule<DraftModule>('draft.js');
      loader = draftLoader({ base, key: passKey, clock, live: loader });
    }
    await askUntilHeard();
    listenToPage({
      look,
      askIfStale: asking.askIfStale,
      onTurn: (isVisible) => runtime()?.turn(isVisible),
      moveTo,
      onClick: (event) => opening.openFrom(event, painter.widget),
    });
    answerCalls(queue, call);
    const isTalking = store.read().token !== null || store.hasUnsent();
    if (isTalking && asking.site !== null) await opening.fetchPanel(); // a running conversation goes on
  };

  start().catch(({ message }: Error) => warn(message));
}

/** [threat 18] Somebody came by a private link, on this page or before in this tab. */
function hasPass(key: string): boolean {
  try {
    return location.hash.startsWith('#sunny-porch-draft=') || key in sessionStorage;
  } catch {
    return false; // storage that throws counts as none
  }
}

function asksWhy({ words }: WireWidget): boolean {
  return JSON.stringify([words['launcher.words'], words['launcher.name']]).includes('closed-by');
}

/** One instance, however often the tag was pasted. */
function begin(): void {
  const tag = readTag(document.currentScript as HTMLScriptElement | null);
  if (tag === null) return warn(NO_SITE);
  const queue = pageQueue();
  if (queue === null) return warn('The snippet is on this page twice.');
  whenIdle(guarded(() => porch(tag, queue)));
}

guarded(begin)();
