import { describe, expect, it } from 'vitest';
import { diceOf } from '../../../tests/made/dice';
import {
  type MadePorch,
  type TestServer,
  madeMessage,
  madePorch,
  makeTestServer,
  read,
} from '../../../tests/made/test-server';
import { MINUTE_MS } from '../../core/model/units';
import type { SentAnswer } from '../../core/wire/talk';
import { connectionOf } from '../db/open';
import { newId, newSecret } from '../ids';
import { findDeskConversation } from './desk-conversations.repository';
import { getFacts } from './facts.repository';

interface Kept {
  readonly kind: string;
  readonly author: string;
  readonly seq: number;
  readonly stored_ms: number;
}

/** [M3] as its words say: a walk over everything that was said. */
function walked({ state }: TestServer, id: string): number | null {
  const connection = connectionOf(state.db);
  const asked = connection
    .prepare(`SELECT asked_ms FROM conversation WHERE id = ?`)
    .pluck()
    .get(id) as number;
  const all = connection
    .prepare<[string], Kept>(`SELECT * FROM entry WHERE conversation_id = ? ORDER BY seq`)
    .all(id);
  const answered = all.findLast(({ author, kind }) => author === 'person' && kind === 'message')?.seq ?? 0;
  const open = all.find(
    ({ author, kind, seq, stored_ms: at }) =>
      author === 'visitor' && kind !== 'ended' && seq > answered && at >= asked,
  );
  return open?.stored_ms ?? null;
}

async function step(porch: MadePorch, act: string, { token, id }: { token: string; id: string }) {
  if (act === 'say') await porch.visit('POST messages', { token, body: madeMessage('And tomorrow?') });
  if (act === 'reply')
    await porch.desk(`POST conversations/${id}/entries`, { clientId: newId(1), body: 'No.' });
  if (act === 'end') await porch.desk(`POST conversations/${id}/end`);
  if (act === 'leave') await porch.visit('POST end', { token, body: {} });
}

describe('[M3] since when a visitor waits', () => {
  it('stands with the conversation as a walk over its entries would find it, whatever happens in it', async () => {
    const testServer = await makeTestServer();
    const { state } = testServer;
    const porch = await madePorch(testServer, 'farrowisle');
    const chance = diceOf(20261202);
    const token = newSecret();
    const began = await porch.visit('POST messages', {
      body: madeMessage('Is it dark yet?', { newToken: token }),
    });
    let { id } = (await read<SentAnswer>(began)).conversation;
    const seen = new Set<string>();
    for (let turn = 0; turn < 150; turn++) {
      state.clock.moveTo(state.clock.now() + chance.int(0, 6) * MINUTE_MS + 1);
      await step(porch, chance.pick(['say', 'say', 'reply', 'end', 'leave']), { token, id });
      const now = await read<{ conversation: { id: string } }>(
        await porch.visit('GET conversation', { token }),
      );
      id = now.conversation.id;
      const [facts, desk] = await Promise.all([
        getFacts(state.db, porch.siteId, id),
        findDeskConversation(state.db, porch.siteId, id),
      ]);
      expect(facts.waitingMs, `turn ${turn}`).toBe(walked(testServer, id));
      expect(desk?.waitingSinceMs).toBe(desk?.isDone === true ? null : facts.waitingMs);
      seen.add(`${facts.standing} ${facts.waitingMs === null ? 'answered' : 'waits'}`);
    }
    expect(seen.size).toBeGreaterThan(4);
  });
});
