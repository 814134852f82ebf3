import { beforeEach, describe, expect, it } from 'vitest';
import {
  type MadePorch,
  type TestServer,
  madeMessage,
  makeTestServer,
  madePorch,
} from '../../../tests/made/test-server';
import type { DeskConversation } from '../../core/wire/desk';
import type { SentAnswer } from '../../core/wire/talk';
import { openPreview } from '../designs/previews';
import { teamStates } from '../facts/presence';
import { newSecret } from '../ids';

let testServer: TestServer;
let porch: MadePorch;
beforeEach(async () => {
  testServer = await makeTestServer();
  porch = await madePorch(testServer, 'farrowisle');
});
const read = async <T>(response: Response): Promise<T> => (await response.json()) as T;
const pass = async () =>
  (
    await openPreview(testServer.state, {
      siteId: porch.siteId,
      personId: porch.ownerId,
      at: testServer.state.clock.now(),
    })
  ).token;
const ask = async (more: Record<string, unknown> = {}) =>
  (
    await read<SentAnswer>(
      await porch.visit('POST messages', {
        body: madeMessage('Hello', { newToken: newSecret(), ...more }),
      }),
    )
  ).conversation;
const list = async () =>
  (await read<{ conversations: DeskConversation[] }>(await porch.desk('GET conversations'))).conversations;

describe('practice', () => {
  it('keeps no visitor waiting longer: neither in line, nor by the responder’s limit', async () => {
    const one = await pass();
    for (let turn = 0; turn < 4; turn++) {
      const { id } = await ask({ pass: one });
      await porch.desk(`POST conversations/${id}/entries`, {
        clientId: newSecret().slice(0, 20),
        body: 'Hi',
      });
    }
    await ask({ pass: one });
    await porch.desk('POST presence', { choice: 'in' });
    testServer.state.board.arrive(porch.ownerId);
    testServer.state.board.answer(porch.ownerId);
    expect(Object.values(await teamStates(testServer.state, porch.siteId))).toEqual(['in']);
    expect((await ask()).place).toBe(1);
  });

  it('goes away whole by one question, and nothing else does that way', async () => {
    const practice = await ask({ pass: await pass() });
    const real = await ask();
    expect((await porch.desk(`POST conversations/${real.id}/remove-practice`)).status).toBe(404);
    const other = await madePorch(testServer, 'elsewhere');
    expect((await other.desk(`POST conversations/${practice.id}/remove-practice`)).status).toBe(404);
    expect((await porch.desk(`POST conversations/${practice.id}/remove-practice`)).status).toBe(200);
    expect((await list()).map(({ id }) => id)).toEqual([real.id]);
  });

  it('has a page of its own that only the desk may frame', async () => {
    const page = await porch.visit('GET practice');
    expect(page.headers.get('Content-Security-Policy')).toContain("frame-ancestors 'self'");
    expect(await page.text()).toContain(`data-site="${porch.key}"`);
  });
});
