import type { Compilable, CompiledQuery } from 'kysely';
import { type Db, runAtOnce } from './open';

/**
 * A query that is built and compiled once, and asked again and again with other values: building one anew costs more
 * than SQLite takes to answer it. `build` sees stand-ins in place of the values, so it may not decide anything by them.
 */
export function keptQuery<Values extends object, Row>(
  build: (db: Db, values: Values) => Compilable<Row>,
): (db: Db, values: Values) => Promise<Row[]> {
  let kept: CompiledQuery<Row> | null = null;
  return async (db, values) => {
    kept ??= build(db, standIns<Values>()).compile();
    const parameters = kept.parameters.map((one) =>
      one instanceof StandIn ? (values as Record<string, unknown>)[one.name] : one,
    );
    const query = { ...kept, parameters };
    return runAtOnce(db, query) ?? (await db.executeQuery<Row>(query)).rows;
  };
}

class StandIn {
  constructor(readonly name: string) {}
}

function standIns<Values extends object>(): Values {
  return new Proxy({} as Values, { get: (_, name) => new StandIn(String(name)) });
}
