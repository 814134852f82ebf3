import type { HttpAnswer } from './exchange';
import { type Db, isAnswering } from '../db/open';
import { log } from '../log';
import { json } from './replies';

/** What a supervisor is told: whether the database answers, and whether pages are served yet. */
export interface Health {
  readonly database: 'answers' | 'fails';
  readonly pages: 'served' | 'starting';
}

/** Answers `GET /health`: 200 where visitors can be served, 503 where the database does not answer. Says nothing of any site. */
export async function health(db: Db, arePagesServed: boolean): Promise<HttpAnswer> {
  const database = await isAnswering(db).then(
    () => 'answers' as const,
    (error: unknown) => {
      log.error({ error }, 'The database does not answer.');
      return 'fails' as const;
    },
  );
  const said: Health = { database, pages: arePagesServed ? 'served' : 'starting' };
  return json(database === 'answers' ? 200 : 503, said, {});
}
