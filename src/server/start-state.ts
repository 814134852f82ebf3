import { randomBytes } from 'node:crypto';
import { join } from 'node:path';
import { openDatabase } from './db/open';
import { migrateDatabase } from './db/migrate';
import { countPersons } from './accounts/persons.repository';
import type { Env } from './env';
import { makeClock } from './live/clock';
import { makeFactsCache } from './facts/facts-cache';
import { makeKnownSites } from './facts/known-sites';
import { makeGroupCommit } from './db/group-commit';
import { makeHub } from './live/hub';
import { makePresenceBoard } from './facts/presence-board';
import { makeLimits } from './live/rates';
import { takeLock } from './lock';
import { type State, hasState, setState, state } from './state';
import { watchQuiet } from './conversations/end-talk';
import { watchEnding } from './conversations/ending';
import { watchSweep } from './conversations/sweep';
import { watchFacts } from './facts/renew-facts';
import { watchPresence } from './conversations/leaving';
import { newSecret } from './ids';
import { makePasswords } from './accounts/passwords';
import { keepGuest } from './visitor/kept-guest';
import { makeDrawer } from './pictures/drawer';
import { makeWhereabouts } from './live/whereabouts';
import { makeWidgetFiles } from './visitor/widget-files';

/** Takes the data for this process, brings them up to date, and makes what lives longer than a request. Harmless when done already. Throws LockedError. */
export async function startState(env: Env): Promise<State> {
  if (hasState()) return state();
  const clock = makeClock();
  const letGo = takeLock(env.dataDir, clock.now());
  const db = openDatabase(join(env.dataDir, 'sunny-porch.db'));
  await migrateDatabase(db, join(env.dataDir, 'backups'));
  const facts = makeFactsCache();
  const made: State = {
    env,
    db,
    letGo,
    clock,
    hub: makeHub(clock),
    board: makePresenceBoard(clock),
    whereabouts: makeWhereabouts(),
    rates: makeLimits(),
    drawer: makeDrawer(env.drawScript, clock),
    widgetFiles: makeWidgetFiles(),
    facts,
    sites: makeKnownSites(db, facts, clock),
    commits: makeGroupCommit(db),
    passwords: makePasswords(),
    peerSeal: newSecret(),
    proxySeen: null,
    setupCode: (await countPersons(db)) === 0 ? newSetupCode() : null,
  };
  keepGuest(env.widgetDir, env.dataDir, clock.now());
  setState(made);
  watchPresence(made);
  watchQuiet(made);
  watchEnding(made);
  watchSweep(made);
  watchFacts(made);
  return made;
}

/** Eight characters in two groups, without those that are mistaken for one another: 40 bits, good for one start. */
function newSetupCode(): string {
  const signs = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';
  const code = Array.from(randomBytes(8), (byte) => signs[byte % 32]).join('');
  return `${code.slice(0, 4)}-${code.slice(4)}`;
}
