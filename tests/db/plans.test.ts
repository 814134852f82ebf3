import { beforeAll, describe, expect, it, vi } from 'vitest';
import { connectionOf } from '../../src/server/db/open';
import { choosePresence } from '../../src/server/conversations/leaving';
import { endQuiet } from '../../src/server/conversations/end-talk';
import { sweep } from '../../src/server/conversations/sweep';
import { DAY_MS } from '../../src/core/model/units';
import { DESK_ROUTES } from '../../src/server/desk/endpoint';
import { newId, newSecret } from '../../src/server/ids';
import type { SentAnswer } from '../../src/core/wire/talk';
import { type MadePorch, type TestServer, madeMessage, makeTestServer, madePorch } from '../made/test-server';

/** Tables that grow for as long as a site is used, and what queries call them. */
const GROWING =
  'conversation|earlier|entry|ours|visitor|visitor_token|form_reply|note|draft_change|version|publication|published_file|session|upload|preview';

/** A walk over a whole table, over all that a site has of it, or over all of it that is older or newer than something. */
const WALK = new RegExp(
  String.raw`^SCAN (${GROWING})\b|^SEARCH (${GROWING})\b.*\(site_id=\?( AND id[<>]\?)?\)$`,
);

/** A site's entries after an id are walked by id, where a desk resumes; those of one conversation are not. */
const WALK_OF_ENTRIES = /^SEARCH entry\b.*\(site_id=\? AND rowid/;

function isCostly(detail: string, query: string): boolean {
  if (WALK_OF_ENTRIES.test(detail)) return query.includes('"conversation_id" =');
  // The newest of a whole site are walked in their order, and no further than the limit.
  if (/ where "(\w+"\.")?site_id" = \? order by [^?]+ limit \d+$/.test(query))
    return detail.startsWith('USE TEMP B-TREE');
  // What is returned whole may be sorted; where a limit cuts, more would be sorted than is returned.
  return WALK.test(detail) || (detail.startsWith('USE TEMP B-TREE') && / limit \d+$/.test(query));
}

let server: TestServer;
let queries: readonly string[];

/** A busy hour: whatever a visitor and a desk may ask, with all the queries it takes. */
async function busyHour(porch: MadePorch): Promise<void> {
  const token = newSecret();
  const first = madeMessage('Is it dark yet?', { newToken: token, trail: [['farrowisle.example/', 1]] });
  const answer = (await (await porch.visit('POST messages', { body: first })).json()) as SentAnswer;
  const { id } = answer.conversation;
  await porch.visit('POST messages', { body: first }); // its answer was lost
  await porch.visit('POST messages', { token, body: madeMessage('We are nine.') });
  await porch.visit('POST here', {
    token,
    body: { moment: 'waiting', step: ['farrowisle.example/loans', 1] },
  });
  await porch.desk(`POST conversations/${id}/entries`, { clientId: newId(1), body: 'From ten on.' });
  for (const route of Object.keys(DESK_ROUTES).filter((one) => one.startsWith('GET ')))
    await (await porch.desk(route.replace('*', id))).body?.cancel();
  await (await porch.desk('GET conversations?before=9007199254740000')).body?.cancel();
  for (const route of ['GET conversation', 'GET conversation?before=9', 'GET stream', 'GET live.json'])
    await (await porch.visit(route, { token, headers: { 'Last-Event-ID': '1' } })).body?.cancel();
  await porch.desk(`POST conversations/${id}/end`, {});
  await porch.visit('POST notes', {
    token,
    body: madeMessage('Call me.', { mail: 'ana@isle.example', name: 'Ana' }),
  });
  await porch.visit('POST end', { token, body: {} });
  await endQuiet(server.state);
  await porch.visit('POST messages', { token, body: madeMessage('And this?', { anew: true }) });
  await choosePresence(server.state, porch.siteId, porch.ownerId, 'out');
  server.state.clock.moveTo(server.state.clock.now() + DAY_MS);
  await endQuiet(server.state);
  await porch.visit('POST forget', { token, body: {} });
  await porch.visit('POST messages', { body: madeMessage('Still there?', { newToken: newSecret() }) });
  server.state.clock.moveTo(server.state.clock.now() + 400 * DAY_MS);
  await sweep(server.state);
}

/** Two sites with years of talk. */
function fill(server: TestServer, [ours, theirs]: readonly [string, string]): void {
  connectionOf(server.db).exec(`
    WITH RECURSIVE n (i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < 4000)
      INSERT INTO visitor (site_id, id, name, mail, locale, device, first_ms, seen_ms)
      SELECT iif(i % 3, '${ours}', '${theirs}'), printf('v%025d', i), NULL, NULL, 'en', NULL, i, i FROM n;
    INSERT INTO visitor_token (token_hash, site_id, visitor_id, created_ms, seen_ms, expires_ms)
      SELECT printf('%064d', rowid), site_id, id, 1, 1, 9007199254740000 FROM visitor WHERE id LIKE 'v0%';
    INSERT INTO conversation (site_id, id, visitor_id, team_id, widget_key, design_file, is_practice, status, state_at_start, page,
        asked_ms, ended_ms, ended_by, last_entry_ms, last_seq)
      SELECT site_id, 'c' || substr(id, 2), id, NULL, 'main', '', 0, iif(first_ms % 9, 'ended', 'joined'), 'in', 'https://isle.example/',
        first_ms, iif(first_ms % 9, first_ms, NULL), iif(first_ms % 9, 'person', NULL), first_ms, 12 FROM visitor WHERE id LIKE 'v0%';
    WITH RECURSIVE n (i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < 12)
      INSERT INTO entry (site_id, conversation_id, seq, kind, author, client_id, body, stored_ms)
      SELECT site_id, id, i, 'message', iif(i % 2, 'visitor', 'person'), printf('m%025d', i), 'x', asked_ms
        FROM n JOIN conversation ON conversation.id LIKE 'c0%';
  `);
}

/** What is costly in how SQLite would answer each query, by query. */
function costly(): string[] {
  const connection = connectionOf(server.db);
  return queries.flatMap((text) =>
    connection
      .prepare<unknown[], { detail: string }>(`EXPLAIN QUERY PLAN ${text}`)
      .all(...Array.from({ length: (text.match(/\?/g) ?? []).length }, () => null))
      .filter(({ detail }) => isCostly(detail, text))
      .map(({ detail }) => `${detail}: ${text}`),
  );
}

beforeAll(async () => {
  server = await makeTestServer();
  const porch = await madePorch(server, 'farrowisle');
  const other = await madePorch(server, 'elsewhere');
  const prepare = vi.spyOn(connectionOf(server.db), 'prepare');
  await busyHour(porch);
  queries = [...new Set(prepare.mock.calls.map(([text]) => text))].filter((text) =>
    /^(select|update|delete|insert|with)\b/i.test(text),
  );
  prepare.mockRestore();
  fill(server, [porch.siteId, other.siteId]);
});

describe('the plan of every query', () => {
  it('is known of as many as a site asks in an hour', () => {
    expect(queries.length).toBeGreaterThan(55);
  });

  it('is made once: SQLite plans a statement anew for every limit that is bound to it', () => {
    expect(queries.filter((text) => /\blimit\b/.test(text)).length).toBeGreaterThan(10);
    expect(queries.filter((text) => / limit \?/.test(text))).toEqual([]);
  });

  it('walks over no table that grows, and sorts nothing, without statistics', () => {
    expect(costly()).toEqual([]);
  });

  it('nor with them', () => {
    // Of what was filled: a table of one row would be walked rightly.
    connectionOf(server.db).exec(
      'ANALYZE visitor; ANALYZE visitor_token; ANALYZE conversation; ANALYZE entry',
    );
    expect(costly()).toEqual([]);
  });
});
