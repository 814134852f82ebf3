import Database from 'better-sqlite3';
import { beforeEach, describe, expect, it } from 'vitest';
import type { SentAnswer } from '../../src/core/wire/talk';
import { choosePresence } from '../../src/server/conversations/leaving';
import { dbOver } from '../../src/server/db/open';
import { newId, newSecret } from '../../src/server/ids';
import {
  type MadePorch,
  type TestServer,
  madeMessage,
  madePorch,
  makeTestServer,
  read,
} from '../made/test-server';

/** So many statements may one message take, from the request to what desks and windows are told. */
const STATEMENTS_MAX = 12;

let server: TestServer;
let porch: MadePorch;
let statements: string[];

beforeEach(async () => {
  statements = [];
  const db = dbOver(new Database(':memory:', { verbose: (text) => statements.push(String(text)) }));
  server = await makeTestServer(db);
  porch = await madePorch(server, 'farrowisle');
  server.state.board.arrive(porch.ownerId);
  server.state.board.answer(porch.ownerId);
  await choosePresence(server.state, porch.siteId, porch.ownerId, 'in');
  await porch.desk('GET stream');
});

async function countOf(work: () => Promise<unknown>): Promise<number> {
  await new Promise(setImmediate); // what was told of the one before
  statements.length = 0;
  await work();
  return statements.length;
}

const send = async (body: string, more: Record<string, unknown>, token?: string): Promise<SentAnswer> =>
  read<SentAnswer>(
    await porch.visit('POST messages', {
      body: madeMessage(body, more),
      ...(token === undefined ? {} : { token }),
    }),
  );

/** A visitor who has asked something, and keeps the window open. */
async function madeVisitor(): Promise<{ token: string; id: string }> {
  const token = newSecret();
  const { conversation } = await send('Is it dark yet?', { newToken: token });
  await porch.visit('GET stream', { token });
  return { token, id: conversation.id };
}

const reply = (id: string): Promise<Response> =>
  porch.desk(`POST conversations/${id}/entries`, { clientId: newId(1), body: 'From ten on.' });

describe('the statements of a message', () => {
  it('are twelve at most for a visitor’s, with the window and the desk open', async () => {
    const { token } = await madeVisitor();
    expect(await countOf(() => send('We are nine.', {}, token))).toBeLessThanOrEqual(STATEMENTS_MAX);
  });

  it('are hardly more for the first one, which makes a visitor and a conversation', async () => {
    await madeVisitor();
    const first = () => send('And we are two.', { newToken: newSecret() });
    expect(await countOf(first)).toBeLessThanOrEqual(STATEMENTS_MAX);
  });

  it('are twelve at most for an answer of whoever has joined', async () => {
    const { id } = await madeVisitor();
    await reply(id);
    expect(await countOf(() => reply(id))).toBeLessThanOrEqual(STATEMENTS_MAX);
  });

  it('are fewer where many come at once: what all need is asked once, and one COMMIT is for all', async () => {
    const visitors = await Promise.all(Array.from({ length: 20 }, madeVisitor));
    const count = await countOf(() =>
      Promise.all(visitors.map(({ token }, place) => send(`Here is ${place}.`, {}, token))),
    );
    expect(statements.filter((text) => text === 'commit')).toHaveLength(1);
    expect(count / visitors.length).toBeLessThanOrEqual(STATEMENTS_MAX - 3);
  });
});

describe('what owners have set', () => {
  it('is read once for any number of messages, and anew once it was set', async () => {
    const { token } = await madeVisitor();
    await send('One.', {}, token);
    const ofSite = () => statements.filter((text) => /from "(site|version|publication|team)"/.test(text));
    await countOf(() => send('Two.', {}, token));
    expect(ofSite()).toEqual([]);
    await porch.desk('POST pause', { isPaused: true });
    await countOf(() => send('Three.', {}, token));
    expect(ofSite().length).toBeGreaterThan(0);
  });

  it('holds for the very next request: an address that was taken out is refused', async () => {
    const { token } = await madeVisitor();
    expect((await porch.visit('GET conversation', { token })).status).toBe(200);
    await porch.desk('POST settings/domains', { origin: 'https://elsewhere.example', isTest: false });
    await porch.desk('POST settings/domains/remove', { origin: porch.origin });
    expect((await porch.visit('GET conversation', { token })).status).toBe(403);
  });

  it('is what it was before where a change of it was undone', async () => {
    const { token } = await madeVisitor();
    await send('One.', {}, token);
    await expect(
      server.db.transaction().execute(async (tx) => {
        await tx.updateTable('site').set({ paused_ms: 1 }).where('id', '=', porch.siteId).execute();
        throw new Error('undone');
      }),
    ).rejects.toThrow('undone');
    expect((await server.state.sites.get(porch.siteId)).site.pausedAt).toBeNull();
  });
});
