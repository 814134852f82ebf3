import { createHash } from 'node:crypto';
import { join } from 'node:path';
import Database from 'better-sqlite3';

/** The token of a visitor that the bench makes, by number. */
export function tokenOf(number: number): string {
  return createHash('sha256').update(`visitor ${number}`).digest('base64url');
}

interface Talk {
  readonly conversations: number;
  readonly entriesEach: number;
  /** Of every so many conversations one still runs; the others have ended. */
  readonly oneRunsOf: number;
}

const DAY_MS = 86_400_000;

/** Puts conversations into the first site of a database that no process has open, each of a visitor of its own, over the last year. */
export function fillTalk(dataDir: string, { conversations, entriesEach, oneRunsOf }: Talk): void {
  const db = new Database(join(dataDir, 'sunny-porch.db'));
  const site = db.prepare<[], { id: string }>('SELECT id FROM site ORDER BY id').get();
  const person = db.prepare<[], { id: string }>(`SELECT id FROM person WHERE name LIKE 'In%'`).get();
  if (site === undefined || person === undefined) throw new Error('Expected the demo’s site and its owner.');
  const visitor = db.prepare(
    `INSERT INTO visitor (site_id, id, name, mail, locale, device, first_ms, seen_ms) VALUES (?, ?, NULL, NULL, 'en', NULL, ?, ?)`,
  );
  const token = db.prepare(
    'INSERT INTO visitor_token (token_hash, site_id, visitor_id, created_ms, seen_ms, expires_ms) VALUES (?, ?, ?, ?, ?, ?)',
  );
  const conversation = db.prepare(
    `INSERT INTO conversation (site_id, id, visitor_id, team_id, widget_key, design_file, is_practice, status, state_at_start, page, asked_ms,
       joined_ms, ended_ms, ended_by, last_entry_ms, last_seq, assigned_to, is_done, waiting_ms)
     VALUES (?, ?, ?, NULL, 'main', '', 0, ?, 'in', 'https://farrowisle.example/tonight', ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
  );
  const entry = db.prepare(
    `INSERT INTO entry (site_id, conversation_id, seq, kind, author, person_id, client_id, body, stored_ms) VALUES (?, ?, ?, 'message', ?, ?, ?, ?, ?)`,
  );
  const now = Date.now();
  db.transaction(() => {
    for (let number = 0; number < conversations; number++) {
      const [visitorId, id] = [idOf('v', number), conversationIdOf(number)];
      const runs = number % oneRunsOf === 0;
      const at = runs ? now - 60_000 : now - DAY_MS - Math.floor((number * 363 * DAY_MS) / conversations);
      const hash = createHash('sha256').update(tokenOf(number)).digest('hex');
      visitor.run(site.id, visitorId, at, at);
      token.run(hash, site.id, visitorId, at, now, now + 30 * DAY_MS);
      const [status, ended] = runs ? ['joined', null] : ['ended', at];
      conversation.run(
        ...[site.id, id, visitorId, status, at, at, ended, runs ? null : 'person'],
        ...[at, entriesEach, person.id, runs ? 0 : 1, entriesEach % 2 === 1 ? at : null],
      );
      for (let seq = 1; seq <= entriesEach; seq++) {
        const isOurs = seq % 2 === 0;
        entry.run(
          ...[site.id, id, seq, isOurs ? 'person' : 'visitor', isOurs ? person.id : null],
          ...[`m${number}-${seq}`.padEnd(20, '0'), `Is it clear on night ${seq}?`, at],
        );
      }
    }
  })();
  db.close();
}

/** The id of a conversation that the bench makes, by number. */
export function conversationIdOf(number: number): string {
  return idOf('c', number);
}

/** Sorts like the ids that are made by time, and before all of them. */
function idOf(kind: string, number: number): string {
  return `00${kind}${String(number).padStart(23, '0')}`;
}
