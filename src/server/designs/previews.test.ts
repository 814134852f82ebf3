import { beforeEach, describe, expect, it } from 'vitest';
import {
  type TestServer,
  type MadePorch,
  makeTestServer,
  madeMessage,
  madePorch,
} from '../../../tests/made/test-server';
import { HOUR_MS } from '../../core/model/units';
import type { DeskTalk } from '../../core/wire/desk';
import type { PublishedSite } from '../../core/wire/published-site';
import type { PointerV1 } from '../../core/wire/pointer';
import type { SentAnswer } from '../../core/wire/talk';
import { newId, newSecret } from '../ids';

let testServer: TestServer;
let porch: MadePorch;
beforeEach(async () => {
  testServer = await makeTestServer();
  porch = await madePorch(testServer, 'farrow');
});

const read = async <T>(response: Response): Promise<T> => (await response.json()) as T;
const open = async (of: MadePorch) => {
  const { id, link } = await read<{ id: string; link: string }>(await of.desk('POST previews'));
  const [address = '', token = ''] = link.split('#sunny-porch-draft=');
  return { id, address, token };
};
const see = (of: MadePorch, token?: string) =>
  of.visit('GET draft.json?wishes=pt,en', token === undefined ? {} : { token });
const darken = () =>
  porch.desk('POST draft', {
    clientId: newId(1),
    base: 1,
    patches: [{ op: 'set', path: ['widgets', 0, 'texts'], value: { en: { greeting: 'Soon to be said' } } }],
    label: 'greeting',
  });

describe('a private link', () => {
  it('shows the draft as it is by then, with what is live of people and hours, and nothing is kept on the way', async () => {
    const { token, address } = await open(porch);
    await darken();
    const response = await see(porch, token);
    const { design, pointer, facts } = await read<PublishedSite>(response);
    expect(JSON.stringify(design.widgets[0]?.words['greeting'])).toContain('Soon to be said');
    const live = await read<PointerV1>(await porch.visit('GET live.json'));
    expect([pointer.facts, pointer.teams, pointer.design, facts.revision]).toEqual([
      live.facts,
      live.teams,
      live.design,
      live.revision,
    ]);
    expect(response.headers.get('Cache-Control')).toBe('no-store');
    // The secret is in the fragment alone: no server is sent it, nor is it stored as it is.
    expect(address).not.toContain(token);
    expect(JSON.stringify(await testServer.db.selectFrom('preview').selectAll().execute())).not.toContain(
      token,
    );
    expect(JSON.stringify(live)).not.toContain('Soon to be said');
  });

  it('[threat 18] is over after an hour, when it is ended, on another site, and for who has none', async () => {
    const other = await madePorch(testServer, 'elsewhere');
    const [one, two] = [await open(porch), await open(porch)];
    expect((await see(porch, one.token)).status).toBe(200);
    expect([
      (await see(other, one.token)).status,
      (await see(porch, newSecret())).status,
      (await see(porch)).status,
    ]).toEqual([401, 401, 401]);
    expect((await other.desk(`POST previews/${one.id}/end`)).status).toBe(404);
    expect((await porch.desk(`POST previews/${one.id}/end`)).status).toBe(200);
    expect([(await see(porch, one.token)).status, (await see(porch, two.token)).status]).toEqual([401, 200]);
    testServer.state.clock.moveTo(testServer.state.clock.now() + HOUR_MS);
    expect((await see(porch, two.token)).status).toBe(401);
    await open(porch);
    expect(await testServer.db.selectFrom('preview').select('id').execute()).toHaveLength(1);
  });

  it('names its own end as when to ask again, so that an open page does not outlive it', async () => {
    const { token } = await open(porch);
    const { pointer } = await read<PublishedSite>(await see(porch, token));
    expect(pointer.askBefore).toBeGreaterThan(testServer.state.clock.now() + HOUR_MS - 60_000);
  });

  it('[threat 18] what is written under it is a try, and told as one; under a link that is over, or of another site, it is not', async () => {
    const other = await madePorch(testServer, 'elsewhere');
    const [mine, over, theirs] = [await open(porch), await open(porch), await open(other)];
    await porch.desk(`POST previews/${over.id}/end`);
    const standing = async (previewToken?: string) => {
      const newToken = newSecret();
      const pass = previewToken === undefined ? {} : { pass: previewToken };
      const body = madeMessage('Does it look right?', { newToken, ...pass });
      const { conversation } = await read<SentAnswer>(await porch.visit('POST messages', { body }));
      return (await read<DeskTalk>(await porch.desk(`GET conversations/${conversation.id}`))).conversation
        .isPractice;
    };
    expect([
      await standing(mine.token),
      await standing(over.token),
      await standing(theirs.token),
      await standing(),
    ]).toEqual([true, false, false, false]);
  });
});
