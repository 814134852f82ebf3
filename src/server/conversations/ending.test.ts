import { beforeEach, describe, expect, it } from 'vitest';
import {
  type MadePorch,
  type TestServer,
  madeMessage,
  madePorch,
  makeTestServer,
  read,
} from '../../../tests/made/test-server';
import { SECOND_MS } from '../../core/model/units';
import type { DeskTalk } from '../../core/wire/desk';
import type { SentAnswer, VisitorTalk } from '../../core/wire/talk';
import { inTransaction } from '../db/transaction';
import { newId, newSecret } from '../ids';
import { watchEnding } from './ending';

let testServer: TestServer;
let porch: MadePorch;
beforeEach(async () => {
  testServer = await makeTestServer();
  porch = await madePorch(testServer, 'farrowisle');
});
const ask = async () => {
  const token = newSecret();
  const said = { body: madeMessage('Is it dark yet?', { newToken: token }) };
  const { id } = (await read<SentAnswer>(await porch.visit('POST messages', said))).conversation;
  await porch.desk(`POST conversations/${id}/entries`, { clientId: newId(1), body: 'From ten on.' });
  return { token, id };
};
const end = (id: string) => porch.desk(`POST conversations/${id}/end`, { isSoon: true });
const atDesk = async (id: string) =>
  (await read<DeskTalk>(await porch.desk(`GET conversations/${id}`))).conversation;
const seen = async (token: string) => read<VisitorTalk>(await porch.visit('GET conversation', { token }));
/** What has come due is carried out. */
const pass = async (seconds: number): Promise<void> => {
  testServer.state.clock.moveTo(testServer.state.clock.now() + seconds * SECOND_MS);
  await new Promise((resolve) => setTimeout(resolve, 0));
  await inTransaction(testServer.db, () => Promise.resolve()); // after whatever that has begun
};

describe('an end that can be undone', () => {
  it('is carried out ten seconds later, in the name of whoever ended it; the visitor is told nothing before', async () => {
    const { token, id } = await ask();
    const before = await seen(token);
    await end(id);
    expect((await atDesk(id)).endsMs).toBeGreaterThan(testServer.state.clock.now());
    await pass(5);
    expect(await seen(token)).toEqual(before);
    await pass(6);
    await expect.poll(async () => (await atDesk(id)).status).toBe('ended');
    const { conversation, entries } = await seen(token);
    expect(conversation.endedBy).toBe('person');
    expect(entries.at(-1)).toMatchObject({ kind: 'ended', author: 'person', name: 'Inês Matos' });
    expect(await atDesk(id)).toMatchObject({ endsMs: null, isDone: true });
  });

  it.each(['is undone', 'the visitor writes', 'one of ours writes'])('goes on where it %s', async (what) => {
    const { token, id } = await ask();
    await end(id);
    if (what === 'is undone') await porch.desk(`POST conversations/${id}/end/undo`);
    else if (what === 'the visitor writes')
      await porch.visit('POST messages', { token, body: madeMessage('One more thing.') });
    else
      await porch.desk(`POST conversations/${id}/entries`, {
        clientId: newId(2),
        body: 'Oh, and bring gloves.',
      });
    expect((await atDesk(id)).endsMs).toBeNull();
    await pass(11);
    expect((await atDesk(id)).status).toBe('joined');
  });

  it('is carried out by a server that was away meanwhile', async () => {
    const { id } = await ask();
    await testServer.db
      .updateTable('conversation')
      .set({ ends_ms: testServer.state.clock.now() - 1, ends_by: porch.ownerId })
      .where('id', '=', id)
      .execute();
    watchEnding(testServer.state);
    await expect.poll(async () => (await atDesk(id)).status).toBe('ended');
  });

  it('changes nothing where the visitor has ended it in between', async () => {
    const { token, id } = await ask();
    await porch.visit('POST end', { token, body: {} });
    await end(id);
    expect(await atDesk(id)).toMatchObject({ status: 'ended', endsMs: null });
  });

  it('is carried out once and counts from the last time where it was asked for twice', async () => {
    const { token, id } = await ask();
    await end(id);
    await pass(8);
    await end(id);
    await pass(4);
    expect((await atDesk(id)).status).toBe('joined');
    await pass(7);
    await expect.poll(async () => (await atDesk(id)).status).toBe('ended');
    expect((await seen(token)).entries.filter(({ kind }) => kind === 'ended')).toHaveLength(1);
  });
});
