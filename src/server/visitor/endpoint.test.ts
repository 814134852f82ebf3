import { beforeEach, describe, expect, it, vi } from 'vitest';
import {
  type TestServer,
  type MadePorch,
  makeTestServer,
  madeMessage,
  madePorch,
  visitorAnswer,
} from '../../../tests/made/test-server';
import type { PointerV1 } from '../../core/wire/pointer';
import type { SentAnswer, VisitorTalk } from '../../core/wire/talk';
import { connectionOf } from '../db/open';
import { newSecret } from '../ids';
import { choosePresence } from '../conversations/leaving';

let testServer: TestServer;
let porch: MadePorch;
beforeEach(async () => {
  testServer = await makeTestServer();
  porch = await madePorch(testServer, 'farrowisle');
});

const read = async <T>(response: Response): Promise<T> => (await response.json()) as T;
const write = async (body = 'Is it dark yet?', change: Record<string, unknown> = {}) => {
  const token = newSecret();
  const response = await porch.visit('POST messages', {
    body: madeMessage(body, { newToken: token, ...change }),
  });
  return { token, response, answer: await read<SentAnswer>(response.clone()) };
};

describe('the pointer', () => {
  it('[L2] names both files together, with the state of each team', async () => {
    const pointer = await read<PointerV1>(await porch.visit('GET live.json'));
    expect(pointer).toMatchObject({
      v: 1,
      version: 1,
      revision: 1,
      locales: ['en'],
      localeTable: { own: { 'en-Latn': 'en' }, related: {} },
      paused: false,
      askBefore: null,
      overrides: {},
    });
    expect(pointer.design).toMatch(/^d1-[0-9a-f]{16}$/);
    expect(pointer.facts).toMatch(/^f1-[0-9a-f]{16}\.json$/);
    expect(Object.values(pointer.teams)).toEqual(['nobody']);
  });

  it('[L3] the files it names are there, immutable, and say what they are', async () => {
    const pointer = await read<PointerV1>(await porch.visit('GET live.json'));
    const design = await porch.visit(`GET ${pointer.design}.en.json`);
    expect([design.status, design.headers.get('Cache-Control')]).toEqual([
      200,
      'public, max-age=31536000, immutable',
    ]);
    expect(await read(design)).toMatchObject({ v: 1, version: 1, locale: 'en', siteName: 'farrowisle' });
    expect(await read(await porch.visit(`GET ${pointer.facts}`))).toMatchObject({ v: 1, revision: 1 });
  });

  it('[L4] tells the time by Date, of the server’s clock, and may be read from another origin', async () => {
    const { headers } = await porch.visit('GET live.json');
    expect(Math.abs(Date.parse(headers.get('Date') ?? '') - testServer.state.clock.now())).toBeLessThan(5000);
    expect(headers.get('Access-Control-Expose-Headers')).toBe('Date, Age');
    expect(headers.get('Cache-Control')).toBe('no-cache, s-maxage=5');
  });

  it('answers 304 where nothing changed, and the next state where it did', async () => {
    const etag = (await porch.visit('GET live.json')).headers.get('ETag') ?? '';
    expect((await porch.visit('GET live.json', { headers: { 'If-None-Match': etag } })).status).toBe(304);
    await choosePresence(testServer.state, porch.siteId, porch.ownerId, 'in');
    testServer.state.board.arrive(porch.ownerId);
    testServer.state.board.answer(porch.ownerId);
    const changed = await porch.visit('GET live.json', { headers: { 'If-None-Match': etag } });
    expect(Object.values((await read<PointerV1>(changed)).teams)).toEqual(['in']);
  });

  it('[L2] names no design while nothing is published, and an unknown site is 404', async () => {
    const empty = await madePorch(testServer, 'unpublished', { isPublished: false });
    expect(await read<PointerV1>(await empty.visit('GET live.json'))).toMatchObject({
      design: null,
      version: 0,
      locales: [],
    });
    const request = new Request('http://127.0.0.1/w/zzzzzzzzzzzz/live.json', {
      headers: { Origin: 'https://farrowisle.example' },
    });
    expect((await visitorAnswer(testServer.state, request)).status).toBe(404);
  });

  it('[L9] names the panel that was built; only files of the guest are served', async () => {
    expect((await read<PointerV1>(await porch.visit('GET live.json'))).panel).toBe(
      'panel-0123456789abcdef.js',
    );
    const file = (name: string) => visitorAnswer(testServer.state, new Request(`http://127.0.0.1/w/${name}`));
    expect((await file('porch.js')).status).toBe(200);
    for (const name of ['built.json', '..%2f..%2fpackage.json', 'panel-zz.js', ''])
      expect((await file(name)).status, name).toBe(404);
  });
});

describe('a message', () => {
  it('is stored before it is acknowledged, with the page it came from', async () => {
    const { answer } = await write('Is it dark yet?');
    const row = connectionOf(testServer.db)
      .prepare<[number], { body: string; page: string }>('SELECT body, page FROM entry WHERE id = ?')
      .get(answer.entries[0]?.id ?? 0);
    expect(row).toEqual({ body: 'Is it dark yet?', page: 'https://farrowisle.example/tonight' });
  });

  it('[S8] is kept also when nobody is in, and the answer says the state', async () => {
    const { response, answer } = await write();
    expect([response.status, answer.state, answer.conversation.standing]).toEqual([200, 'nobody', 'asked']);
  });

  it('sent twice is stored once, also when the first answer was lost with the token', async () => {
    const token = newSecret();
    const body = madeMessage('Once', { newToken: token });
    await porch.visit('POST messages', { body });
    await porch.visit('POST messages', { body });
    await porch.visit('POST messages', { body, token });
    const talk = await read<VisitorTalk>(await porch.visit('GET conversation', { token }));
    expect(talk.entries.map((entry) => entry.body)).toEqual(['Once']);
    expect(await testServer.db.selectFrom('visitor').selectAll().execute()).toHaveLength(1);
  });

  it('keeps line breaks and loses control and direction characters', async () => {
    const { answer } = await write('one\r\ntwo\u0000\u202ethree\u0007');
    expect(answer.entries[0]?.body).toBe('one\ntwothree');
  });

  it.each([
    ['not JSON', '{', ''],
    ['a list', '[]', ''],
    ['no text', madeMessage('  '), 'body'],
    ['too long a text', madeMessage('x'.repeat(4001)), 'body'],
    ['a page that is none', madeMessage('x', { page: 'javascript:alert(1)' }), 'page'],
    ['a name nobody asked for', madeMessage('x', { isAdmin: true }), 'isAdmin'],
    ['an id that is none', madeMessage('x', { clientId: 'x' }), 'clientId'],
    ['3,000 brackets', `${'['.repeat(3000)}${']'.repeat(3000)}`, ''],
  ])('with %s gets 400 and the field', async (_what, body, field) => {
    const response = await porch.visit('POST messages', { body });
    expect(response.status).toBe(400);
    const { errors } = await read<{ errors: Record<string, string> }>(response);
    expect(Object.keys(errors)).toEqual([field]);
    expect(errors[field]?.length).toBeGreaterThan(8);
  });

  it('is told to come again where the data are locked, also outside of a transaction', async () => {
    const connection = connectionOf(testServer.db);
    const prepare = connection.prepare.bind(connection);
    vi.spyOn(connection, 'prepare').mockImplementation((text: string) => {
      if (text.includes('visitor_token')) throw Object.assign(new Error('locked'), { code: 'SQLITE_BUSY' });
      return prepare(text);
    });
    const response = await porch.visit('GET conversation', { token: newSecret() });
    expect([response.status, response.headers.get('Retry-After')]).toEqual([503, '5']);
    expect(response.headers.get('Access-Control-Allow-Origin')).toBe(porch.origin);
  });

  it('[threat 15] of 65 KB stops being read there', async () => {
    let pulled = 0;
    const endless = new ReadableStream<Uint8Array>({
      pull: (controller) => {
        pulled += 1024;
        controller.enqueue(new Uint8Array(1024).fill(32));
      },
    });
    const init = {
      method: 'POST',
      body: endless,
      duplex: 'half',
      headers: { Origin: porch.origin, 'Content-Type': 'application/json' },
    };
    const response = await visitorAnswer(
      testServer.state,
      new Request(`http://127.0.0.1/w/${porch.key}/messages`, init),
    );
    expect([response.status, pulled < 80 * 1024]).toEqual([400, true]);
  });

  it('when the disk is full gets 503 and the word to keep it, and nothing half stored', async () => {
    const connection = connectionOf(testServer.db);
    const { token } = await write('first');
    connection.exec('VACUUM'); // no free page is left
    connection.pragma(`max_page_count = ${Number(connection.pragma('page_count', { simple: true }))}`);
    const long = await porch.visit('POST messages', { token, body: madeMessage('x'.repeat(4000)) });
    expect([long.status, long.headers.get('Retry-After')]).toEqual([503, '5']);
    connection.pragma('max_page_count = 1000000');
    const talk = await read<VisitorTalk>(await porch.visit('GET conversation', { token }));
    expect(talk.entries).toHaveLength(1);
    expect((await porch.visit('POST messages', { token, body: madeMessage('x'.repeat(4000)) })).status).toBe(
      200,
    );
  });

  it('beyond twelve a minute is refused for now, with the word to keep it', async () => {
    const { token } = await write();
    const statuses: number[] = [];
    for (let count = 0; count < 13; count++)
      statuses.push((await porch.visit('POST messages', { token, body: madeMessage('x') })).status);
    expect(statuses).toEqual([...Array<number>(12).fill(200), 429]);
  });
});

describe('a note', () => {
  const note = (change: Record<string, unknown> = {}) =>
    porch.visit('POST notes', {
      body: madeMessage('Please call', {
        newToken: newSecret(),
        mail: 'joana@example.org',
        name: '',
        ...change,
      }),
    });

  it('is stored with its address and stands as a note', async () => {
    const { conversation } = await read<SentAnswer>(await note());
    expect(conversation).toMatchObject({ standing: 'note', noteMail: 'joana@example.org' });
    const rows = await testServer.db.selectFrom('note').select(['state', 'conversation_id']).execute();
    expect(rows).toEqual([{ state: 'new', conversation_id: conversation.id }]);
  });

  it('[M5] takes along what was asked before: the same conversation, an empty text allowed', async () => {
    const { token, answer } = await write('Is it dark yet?');
    const left = await porch.visit('POST notes', {
      token,
      body: madeMessage('', { mail: 'joana@example.org', name: 'Joana' }),
    });
    const { conversation } = await read<SentAnswer>(left);
    expect([conversation.id, conversation.standing]).toEqual([answer.conversation.id, 'note']);
  });

  it('without text or with half an address gets 400 and the field', async () => {
    const broken = await read<{ errors: object }>(await note({ mail: 'joana@' }));
    expect(broken.errors).toEqual({ mail: 'Something is missing around the @.' });
    const empty = await read<{ errors: object }>(await note({ body: '  ' }));
    expect(empty.errors).toEqual({ body: 'Write a line or two first.' });
  });
});

describe('the token', () => {
  it('[threat 1] of one visitor opens nobody else’s conversation, and of one site nothing on another', async () => {
    const other = await madePorch(testServer, 'elsewhere');
    const { token } = await write('secret of Ana');
    const second = await write('secret of Rui');
    const own = await read<VisitorTalk>(await porch.visit('GET conversation', { token: second.token }));
    expect(own.entries.map(({ body }) => body)).toEqual(['secret of Rui']);
    expect((await other.visit('GET conversation', { token })).status).toBe(401);
    expect((await porch.visit('GET conversation', { token: newSecret() })).status).toBe(401);
    expect((await porch.visit('GET conversation', { token: 'x' })).status).toBe(401);
  });

  it('[threat 1] dies after 30 days without use, and lives on with it', async () => {
    const { token } = await write();
    const day = 86_400_000;
    testServer.state.clock.moveTo(testServer.state.clock.now() + 29 * day);
    expect((await porch.visit('POST messages', { token, body: madeMessage('again') })).status).toBe(200);
    testServer.state.clock.moveTo(testServer.state.clock.now() + 29 * day);
    expect((await porch.visit('GET conversation', { token })).status).toBe(200);
    testServer.state.clock.moveTo(testServer.state.clock.now() + 2 * day);
    expect((await porch.visit('GET conversation', { token })).status).toBe(401);
  });

  it('is stored as a hash only', async () => {
    const { token } = await write();
    const rows = JSON.stringify(await testServer.db.selectFrom('visitor_token').selectAll().execute());
    expect(rows).not.toContain(token);
  });
});

describe('other origins', () => {
  it.each([
    ['a foreign page', 'https://elsewhere.example'],
    ['a sandboxed page', 'null'],
    ['another port', 'https://farrowisle.example:8443'],
    ['plain http', 'http://farrowisle.example'],
  ])('[threat 17] %s gets 403 and no allow header, and nothing is stored', async (_what, origin) => {
    const response = await porch.visit('POST messages', {
      origin,
      body: madeMessage('x', { newToken: newSecret() }),
    });
    expect([
      response.status,
      response.headers.get('Access-Control-Allow-Origin'),
      response.headers.get('Vary'),
    ]).toEqual([403, null, 'Origin']);
    expect((await porch.visit('GET live.json', { origin })).status).toBe(403);
    expect(await testServer.db.selectFrom('entry').selectAll().execute()).toEqual([]);
  });

  it('[threat 17] no Origin may read and not write', async () => {
    expect((await porch.visit('GET live.json', { origin: null })).status).toBe(200);
    expect(
      (
        await porch.visit('POST messages', {
          origin: null,
          body: madeMessage('x', { newToken: newSecret() }),
        })
      ).status,
    ).toBe(403);
  });

  it('[threat 17] a preflight is answered for the site’s own pages, and told no for others', async () => {
    const ask = (origin: string) =>
      porch.visit('OPTIONS messages', { origin, headers: { 'Access-Control-Request-Method': 'POST' } });
    expect((await ask(porch.origin)).headers.get('Access-Control-Allow-Headers')).toBe(
      'Authorization, Content-Type, Last-Event-ID',
    );
    const foreign = await ask('https://elsewhere.example');
    expect([
      foreign.headers.get('Access-Control-Allow-Origin'),
      foreign.headers.get('Access-Control-Allow-Methods'),
    ]).toEqual([null, null]);
  });

  it('[threat 17] only JSON is taken: a plain form of another page cannot write', async () => {
    const response = await porch.visit('POST messages', {
      body: JSON.stringify(madeMessage('x')),
      headers: { 'Content-Type': 'text/plain' },
    });
    expect(response.status).toBe(400);
  });
});
