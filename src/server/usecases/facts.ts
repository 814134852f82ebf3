import { createHash } from 'node:crypto';
import { gzipSync } from 'node:zlib';
import type { EpochMs } from '../../core/model/units';
import type { FactsFileV1 } from '../../core/wire/facts-file';
import { findNewestFacts, insertFacts, insertFile } from '../db/repositories/publications';
import { listTeams } from '../db/repositories/teams';
import type { Tx } from '../db/open';

/** Writes the facts as they are now as the next revision ([L1], [L3]), in the transaction of their cause. */
export async function writeFacts(tx: Tx, siteId: string, personId: string, at: EpochMs, what: string): Promise<void> {
  const teams = await listTeams(tx, siteId);
  const revision = ((await findNewestFacts(tx, siteId))?.revision ?? 0) + 1;
  const facts: FactsFileV1 = {
    v: 1,
    revision,
    zones: {},
    calendars: {},
    teams: Object.fromEntries(teams.map(({ id, name }) => [id, { name, calendar: null }])),
  };
  const json = JSON.stringify(facts);
  await insertFacts(tx, siteId, revision, json, personId, at, what);
  const name = `f${revision}-${createHash('sha256').update(json).digest('hex').slice(0, 16)}.json`;
  await insertFile(
    tx,
    siteId,
    { name, kind: 'facts', versionNumber: null, factsRevision: revision, body: gzipSync(json, { level: 9 }) },
    at,
  );
}
