import { describe, expect, it } from 'vitest';
import { makeTestServer, madePorch } from '../../../tests/made/test-server';
import { connectionOf } from './open';
import { UnwritableError, inTransaction } from './transaction';

describe('the database itself', () => {
  it('refuses a row that reaches across sites', async () => {
    const testServer = await makeTestServer();
    const [a, b] = [await madePorch(testServer, 'farrowisle'), await madePorch(testServer, 'elsewhere')];
    const connection = connectionOf(testServer.db);
    const visitor = connection.prepare(
      `INSERT INTO visitor (site_id, id, locale, first_ms, seen_ms) VALUES (?, 'v', 'en', 1, 1)`,
    );
    visitor.run(a.siteId);
    const conversation = connection.prepare(
      `INSERT INTO conversation (site_id, id, visitor_id, widget_key, design_file, is_practice, status, state_at_start, page, asked_ms, last_entry_ms, last_seq)
       VALUES (?, 'c', 'v', 'w', '', 0, 'asked', 'in', '/', 1, 1, 0)`,
    );
    expect(() => conversation.run(b.siteId)).toThrow(/FOREIGN KEY/);
    conversation.run(a.siteId);
    const entry = connection.prepare(
      `INSERT INTO entry (site_id, conversation_id, seq, kind, author, body, stored_ms) VALUES (?, 'c', 1, 'message', 'visitor', 'x', 1)`,
    );
    expect(() => entry.run(b.siteId)).toThrow(/FOREIGN KEY/);
    const member = connection.prepare(`INSERT INTO team_member SELECT ?, id, ? FROM team WHERE site_id = ?`);
    expect(() => member.run(b.siteId, a.ownerId, b.siteId)).toThrow(/FOREIGN KEY/);
  });

  it('settles two tabs: one running conversation a visitor', async () => {
    const testServer = await makeTestServer();
    const { siteId } = await madePorch(testServer, 'farrowisle');
    const connection = connectionOf(testServer.db);
    connection
      .prepare(`INSERT INTO visitor (site_id, id, locale, first_ms, seen_ms) VALUES (?, 'v', 'en', 1, 1)`)
      .run(siteId);
    const begin = connection.prepare(
      `INSERT INTO conversation (site_id, id, visitor_id, widget_key, design_file, is_practice, status, state_at_start, page, asked_ms, last_entry_ms, last_seq)
       VALUES (?, ?, 'v', 'w', '', 0, ?, 'in', '/', 1, 1, 0)`,
    );
    begin.run(siteId, 'c1', 'asked');
    expect(() => begin.run(siteId, 'c2', 'joined')).toThrow(/UNIQUE/);
    begin.run(siteId, 'c3', 'ended');
  });

  it('a transaction takes the write lock at once, and leaves nothing of work that threw', async () => {
    const testServer = await makeTestServer();
    const { siteId } = await madePorch(testServer, 'farrowisle');
    const work = inTransaction(testServer.db, async (tx) => {
      await tx.updateTable('site').set({ name: 'changed' }).where('id', '=', siteId).execute();
      throw new Error('half-way');
    });
    await expect(work).rejects.toThrow('half-way');
    const row = await testServer.db
      .selectFrom('site')
      .select('name')
      .where('id', '=', siteId)
      .executeTakeFirst();
    expect(row?.name).toBe('farrowisle');
  });

  it('a full disk is told as such, and nothing is half stored', async () => {
    const testServer = await makeTestServer();
    await madePorch(testServer, 'farrowisle');
    const connection = connectionOf(testServer.db);
    connection.exec('VACUUM'); // no free page is left
    connection.pragma(`max_page_count = ${Number(connection.pragma('page_count', { simple: true }))}`);
    const work = inTransaction(testServer.db, (tx) =>
      tx
        .insertInto('instance')
        .values({ key: 'k', value: 'x'.repeat(100_000) })
        .execute(),
    );
    await expect(work).rejects.toThrow(UnwritableError);
    expect(await testServer.db.selectFrom('instance').selectAll().execute()).toEqual([]);
  });
});
