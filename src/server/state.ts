import type { Env } from './env';
import type { Db } from './db/open';
import type { ServerTime } from './live/clock';
import type { GroupCommit } from './db/group-commit';
import type { FactsCache } from './facts/facts-cache';
import type { KnownSites } from './facts/known-sites';
import type { Hub } from './live/hub';
import type { Limits } from './live/rates';
import type { PresenceBoard } from './facts/presence-board';
import type { Drawer } from './pictures/drawer';
import type { Passwords } from './accounts/passwords';
import type { WhereaboutsBoard } from './live/whereabouts';
import type { WidgetFiles } from './visitor/widget-files';

/** Whatever lives longer than a request. The entry and Next are two bundles in one process and share this one. */
export interface State {
  readonly env: Env;
  readonly db: Db;
  /** Lets go of the data, which one process has at a time. */
  letGo(): void;
  readonly clock: ServerTime;
  readonly hub: Hub;
  readonly board: PresenceBoard;
  readonly whereabouts: WhereaboutsBoard;
  readonly rates: Limits;
  readonly drawer: Drawer;
  readonly widgetFiles: WidgetFiles;
  readonly facts: FactsCache;
  readonly sites: KnownSites;
  /** What visitors and responders say, stored together where it comes together. */
  readonly commits: GroupCommit;
  readonly passwords: Passwords;
  /** Goes before the peer's address in the header by which the entry tells it to pages: nobody outside can write it. */
  readonly peerSeal: string;
  /** The proxy that sends addresses which are not believed, as no proxy is trusted; null: none has. */
  proxySeen: string | null;
  /** The setup code of an empty installation, made at each start; null once an owner exists. */
  setupCode: string | null;
}

const KEY = Symbol.for('sunny-porch');
type StateHolder = typeof globalThis & { [KEY]?: State };

/** The one state. Throws where nothing has started it: a route was reached outside a running server. */
export function state(): State {
  const found = (globalThis as StateHolder)[KEY];
  if (found === undefined)
    throw new Error('The server has not started: state() was asked for before startState().');
  return found;
}

/** Whether the state was made. */
export function hasState(): boolean {
  return (globalThis as StateHolder)[KEY] !== undefined;
}

/** Puts the state in its place; tests replace it. */
export function setState(made: State | undefined): void {
  if (made === undefined) delete (globalThis as StateHolder)[KEY];
  else (globalThis as StateHolder)[KEY] = made;
}
