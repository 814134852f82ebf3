import { gzipSync } from 'node:zlib';
import { beforeEach, describe, expect, it } from 'vitest';
import {
  type TestServer,
  type MadePorch,
  makeTestServer,
  madeMessage,
  madePorch,
} from '../../../tests/made/test-server';
import { EVENING, madeSite } from '../../../tests/made/site';
import type { DeskTalk } from '../../core/wire/desk';
import type { WireField } from '../../core/wire/form-file';
import type { SentAnswer, VisitorTalk } from '../../core/wire/talk';
import { insertFile } from '../designs/publications.repository';
import { newId, newSecret } from '../ids';

const DESIGN = 'd9-0123456789abcdef';
const who = (words: string): WireField => ({
  id: 'who',
  kind: 'choice',
  isRequired: true,
  words,
  options: [
    ['one', `${words} 1`],
    ['all', `${words} 2`],
  ],
});
const BOOKING: WireField = { id: 'booking', kind: 'hidden', isRequired: false, attribute: 'booking' };
const HELPED: WireField = { id: 'helped', kind: 'yes-no', isRequired: true, words: 'Did that help?' };

let testServer: TestServer;
let porch: MadePorch;
beforeEach(async () => {
  testServer = await makeTestServer();
  porch = await madePorch(testServer, 'farrowisle');
  for (const [locale, words] of [
    ['en', 'Who comes?'],
    ['pt', 'Quem vem?'],
  ] as const) {
    const design = madeSite().design;
    const forms = { before: [who(words), BOOKING], note: [], after: [HELPED] };
    const file = { ...design, widgets: design.widgets.map((widget) => ({ ...widget, forms })) };
    const body = gzipSync(JSON.stringify(file));
    const name = `${DESIGN}.${locale}.json`;
    await insertFile(
      testServer.db,
      porch.siteId,
      { name, kind: 'design', versionNumber: null, factsRevision: null, body },
      EVENING,
    );
  }
});
const read = async <T>(response: Response): Promise<T> => (await response.json()) as T;
const under = { design: DESIGN, locale: 'pt', widget: 'main' };
const first = (replies: object | undefined, token = newSecret()) =>
  madeMessage('Olá', { ...under, newToken: token, ...(replies === undefined ? {} : { replies }) });
const formsAtDesk = async (id: string) =>
  (await read<DeskTalk>(await porch.desk(`GET conversations/${id}`))).forms;

describe('the form before a chat', () => {
  it('goes along with the first words; the desk reads it by its labels, in its own language', async () => {
    const token = newSecret();
    const body = first({ who: 'all', booking: 'B-17', other: 'x' }, token);
    const { conversation } = await read<SentAnswer>(await porch.visit('POST messages', { body }));
    await porch.visit('POST messages', { body }); // the answer was lost
    expect(await formsAtDesk(conversation.id)).toEqual([
      {
        place: 'before',
        storedMs: expect.any(Number) as number,
        replies: [
          { label: 'Who comes?', kind: 'choice', values: ['Who comes? 2'] },
          { label: 'booking', kind: 'hidden', values: ['B-17'] },
        ],
      },
    ]);
  });

  it('what is missing is told by its field and nothing is stored; later words are not asked again', async () => {
    for (const replies of [undefined, {}, { who: 'nobody' }]) {
      const response = await porch.visit('POST messages', { body: first(replies) });
      expect(response.status).toBe(400);
      expect(Object.keys((await read<{ faults: object }>(response)).faults)).toEqual(['who']);
    }
    expect(await testServer.db.selectFrom('conversation').selectAll().execute()).toEqual([]);
    const token = newSecret();
    await porch.visit('POST messages', { body: first({ who: 'one' }, token) });
    expect((await porch.visit('POST messages', { token, body: madeMessage('And?', under) })).status).toBe(
      200,
    );
  });
});

describe('the form after a chat', () => {
  const talked = async () => {
    const token = newSecret();
    const { conversation } = await read<SentAnswer>(
      await porch.visit('POST messages', { body: first({ who: 'one' }, token) }),
    );
    await porch.desk(`POST conversations/${conversation.id}/entries`, {
      clientId: newId(1),
      body: 'From ten on.',
    });
    await porch.desk(`POST conversations/${conversation.id}/end`);
    return { token, id: conversation.id };
  };
  const give = (token: string | undefined, replies: object, clientId = 'a'.repeat(20)) =>
    porch.visit('POST after', {
      ...(token === undefined ? {} : { token }),
      body: { ...under, clientId, replies },
    });

  it('is taken once, and asked again only after the conversation has gone on', async () => {
    const { token, id } = await talked();
    expect((await give(token, {})).status).toBe(400);
    expect((await read<VisitorTalk>(await give(token, { helped: 'yes' }))).conversation.isAfterGiven).toBe(
      true,
    );
    await give(token, { helped: 'yes' });
    expect((await formsAtDesk(id)).map(({ place }) => place)).toEqual(['before', 'after']);
    testServer.state.clock.moveTo(EVENING + 60_000);
    const again = await read<SentAnswer>(
      await porch.visit('POST messages', { token, body: madeMessage('One more thing', under) }),
    );
    expect(again.conversation.isAfterGiven).toBe(false);
  });

  it('belongs to whoever wrote: without a token it is refused, on another site it opens nothing', async () => {
    const { token, id } = await talked();
    expect((await give(undefined, { helped: 'yes' })).status).toBe(401);
    const other = await madePorch(testServer, 'elsewhere');
    const body = { ...under, clientId: 'b'.repeat(20), replies: { helped: 'no' } };
    expect((await other.visit('POST after', { token, body })).status).toBe(401);
    expect((await other.desk(`GET conversations/${id}`)).status).toBe(404);
    expect((await formsAtDesk(id)).map(({ place }) => place)).toEqual(['before']);
  });
});
