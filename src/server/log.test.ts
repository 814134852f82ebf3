import { describe, expect, it, vi } from 'vitest';
import { makeTestServer, madePorch } from '../../tests/made/test-server';
import { closeDatabase } from './db/open';
import { inTransaction } from './db/transaction';
import { insertMember } from './accounts/sites.repository';
import { watchPresence } from './conversations/leaving';
import { siteChannel } from './facts/presence';
import { health } from './http/health';
import { log, loggedPath, runAside } from './log';

describe('a path in the log', () => {
  it('leaves queries, ids and secrets out', () => {
    expect(loggedPath('/w/porch.js')).toBe('/w/porch.js');
    expect(loggedPath('/w/1k2m3n4p5q6r/pointer?visitor=secret')).toBe('/w/*/pointer');
    expect(loggedPath('/api/s/1k2m3n4p5q6r/conversations/01kabcdefghjkmnpqrstvwxyz0/entries')).toBe(
      '/api/s/*/conversations/*/entries',
    );
    expect(loggedPath('/start#ABCD-EFGH')).toBe('/start');
    expect(loggedPath(undefined)).toBe('/');
    expect(loggedPath(`/${'a/'.repeat(500)}`).length).toBeLessThanOrEqual(120);
  });
});

describe('work that nobody waits for', () => {
  it('is logged under its name where it fails, and goes no further', async () => {
    const error = vi.spyOn(log, 'error').mockReturnValue(undefined);
    runAside('a made-up work', Promise.reject(new Error('made to fail')));
    await vi.waitFor(() => expect(error).toHaveBeenCalledOnce());
    expect(error.mock.calls[0]?.[0]).toMatchObject({ work: 'a made-up work' });
    error.mockRestore();
  });

  it('somebody who comes in is told to all their sites, also where one of them cannot be told', async () => {
    const error = vi.spyOn(log, 'error').mockReturnValue(undefined);
    const server = await makeTestServer();
    const [damaged, sound] = [await madePorch(server, 'damaged'), await madePorch(server, 'sound')];
    await inTransaction(server.db, (tx) => insertMember(tx, sound.siteId, damaged.ownerId, 'responder', 4));
    const told: string[] = [];
    const send = server.state.hub.send;
    server.state.hub.send = (channel, event) => {
      if (channel === siteChannel(damaged.siteId)) throw new Error('a damaged page');
      told.push(channel);
      send(channel, event);
    };
    watchPresence(server.state);
    server.state.board.arrive(damaged.ownerId);
    server.state.board.answer(damaged.ownerId);
    await vi.waitFor(() => expect(told).toContain(siteChannel(sound.siteId)));
    expect(error.mock.calls.map(([what]) => (what as { work: string }).work)).toEqual(['presence']);
    error.mockRestore();
  });
});

describe('GET /health', () => {
  it('says that the database answers, and 503 where it does not; nothing of any site', async () => {
    const error = vi.spyOn(log, 'error').mockReturnValue(undefined);
    const { db } = await makeTestServer();
    const well = await health(db, false);
    expect([well.status, JSON.parse(well.body as string)]).toEqual([
      200,
      { database: 'answers', pages: 'starting' },
    ]);
    await closeDatabase(db);
    const ill = await health(db, true);
    expect([ill.status, JSON.parse(ill.body as string)]).toEqual([
      503,
      { database: 'fails', pages: 'served' },
    ]);
    error.mockRestore();
  });
});
