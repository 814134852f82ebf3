import { randomBytes } from 'node:crypto';
import { join } from 'node:path';
import { openDatabase } from './db/open';
import { migrateDatabase } from './db/migrate';
import { countPersons } from './db/repositories/persons';
import { listSitesOf } from './db/repositories/sites';
import type { Env } from './env';
import { makeClock } from './live/clock';
import { makeFactsCache } from './live/facts-cache';
import { makeHub } from './live/hub';
import { makePresenceBoard } from './live/presence-board';
import { makeLimits } from './live/rates';
import { type State, hasState, setState, state } from './state';
import { watchQuiet } from './usecases/end-talk';
import { watchFacts } from './usecases/renew-facts';
import { tellTeams } from './usecases/presence';
import { newSecret } from './ids';
import { makePasswords } from './passwords';
import { makeWidgetFiles } from './visitor/widget-files';

/** Opens the database, brings it up to date, and makes what lives longer than a request. Harmless when done already. */
export async function startState(env: Env): Promise<State> {
  if (hasState()) return state();
  const db = openDatabase(join(env.dataDir, 'sunny-porch.db'));
  await migrateDatabase(db, join(env.dataDir, 'backups'));
  const clock = makeClock();
  const passwords = makePasswords();
  const made: State = {
    env,
    db,
    clock,
    hub: makeHub(clock),
    board: makePresenceBoard(clock),
    rates: makeLimits(),
    widgetFiles: makeWidgetFiles(),
    facts: makeFactsCache(),
    passwords,
    peerSeal: newSecret(),
    strawHash: passwords.hash(newSecret()),
    setupCode: (await countPersons(db)) === 0 ? newSetupCode() : null,
  };
  setState(made);
  watchPresence(made);
  watchQuiet(made);
  watchFacts(made);
  return made;
}

/** Whoever comes or goes is told on to everybody who looks at their sites. */
function watchPresence(made: State): void {
  made.board.onChange((personId) => {
    void listSitesOf(made.db, personId).then((sites) =>
      Promise.all(sites.map(({ id }) => tellTeams(made, id))),
    );
  });
}

/** Eight characters in two groups, without those that are mistaken for one another: 40 bits, good for one start. */
function newSetupCode(): string {
  const signs = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';
  const code = Array.from(randomBytes(8), (byte) => signs[byte % 32]).join('');
  return `${code.slice(0, 4)}-${code.slice(4)}`;
}
