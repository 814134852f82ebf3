import { AT_ONCE } from '../designs/publish';
import { versionInForce } from '../../core/publish/in-force';
import { beforeEach, describe, expect, it } from 'vitest';
import { DEFAULT_ALERTS } from '../../core/model/alert-settings';
import {
  type TestServer,
  type MadePorch,
  makeTestServer,
  madeMember,
  madeMessage,
  madePorch,
} from '../../../tests/made/test-server';
import type { Patch } from '../../core/model/json';
import type { PointerV1 } from '../../core/wire/pointer';
import type { SentAnswer } from '../../core/wire/talk';
import { connectionOf } from '../db/open';
import { newId, newSecret } from '../ids';
import type { DraftView } from '../../core/wire/desk';
import { DESK_ROUTES } from './endpoint';

let testServer: TestServer;
let porch: MadePorch;
beforeEach(async () => {
  testServer = await makeTestServer();
  porch = await madePorch(testServer, 'farrowisle');
});
const read = async <T>(response: Response): Promise<T> => (await response.json()) as T;
const change = (base: number, patches: Patch[], label = 'brand colour', clientId = newId(1)) =>
  porch.desk('POST draft', { clientId, base, patches, label });
const brand = (value: string): Patch => ({ op: 'set', path: ['widgets', 0, 'look', 'brand'], value });
const draft = async () => read<DraftView>(await porch.desk('GET draft'));
const ask = async (of: MadePorch) =>
  (
    await read<SentAnswer>(
      await of.visit('POST messages', { body: madeMessage('secret', { newToken: newSecret() }) }),
    )
  ).conversation.id;

/** A body that each route that takes one would accept. */
const BODIES: Readonly<Record<string, object>> = {
  'POST draft': { clientId: newId(2), base: 1, patches: [brand('#000000')], label: 'x' },
  'POST draft/steps': { clientId: newId(3), kind: 'undo' },
  'POST publish': { revision: 1, remark: '', ...AT_ONCE },
  'POST design-file': { text: '{}' },
  'POST previews': {},
  'POST previews/*/end': {},
  'POST versions/*/bring-back': { remark: '' },
  'POST publications/*/cancel': {},
  'POST pause': { isPaused: true },
  'POST findings/dismiss': { key: 'rule-swallowed a b', reason: 'On purpose.' },
  'POST visits': {
    id: 'kept-visit-0000001',
    name: 'A teacher',
    assumptions: {
      page: '/tonight',
      at: 1_795_640_400_000,
      visit: 'first',
      device: 'desktop',
      locale: 'en',
      who: 'in',
      asks: null,
      zone: null,
    },
    held: {},
    steps: 'w40~open',
    expects: { kind: 'ends-at', moment: 'at-the-door' },
  },
  'POST situations': {
    id: 'kept-situation-001',
    name: 'A teacher, in summer',
    assumptions: {
      page: 'https://farrowisle.example/tonight',
      at: null,
      visit: 'first',
      device: 'desktop',
      locale: 'en',
      who: null,
      asks: null,
      zone: null,
    },
  },
  'POST conversations/*/remove-practice': {},
  'POST conversations/*/end/undo': {},
  'POST settings/name': { name: 'Taken over' },
  'POST settings/place': { locale: 'en', place: 'the Azores' },
  'POST settings/retention': { days: 1, isSure: true },
  'POST settings/zone': { zone: 'Europe/Lisbon' },
  'POST settings/domains': { origin: 'https://elsewhere.example' },
  'POST settings/domains/remove': { origin: 'https://elsewhere.example' },
  'POST account/name': { name: 'Nobody' },
  'POST account/alerts': { ...DEFAULT_ALERTS, sound: 'bell' },
  'POST account/mail': { mail: 'nobody@elsewhere.example', password: 'clear skies tonight' },
  'POST account/password': { password: 'clear skies tonight', newPassword: 'cloudy skies tonight' },
  'POST account/sessions/end-others': {},
  'POST page-pictures/*': {},
  'POST look-pictures/*': {},
  'POST page-source': { address: 'https://farrowisle.example/' },
  'POST people/*/face': {},
  'POST people/*/role': { role: 'designer' },
  'POST people/*/teams': { teamIds: [] },
  'POST people/*/remove': {},
  'POST teams': { locale: 'en', name: 'Night desk' },
  'POST teams/order': { teamIds: [] },
  'POST teams/*/name': { locale: 'en', name: 'Night desk' },
  'POST teams/*/remove': {},
  'POST join-links/*/withdraw': {},
  'POST join-links': { role: 'responder', teamIds: [] },
  'POST people/*/face/remove': {},
  'POST page-bars/*': { upper: 0, lower: 64 },
  'POST page-pictures/*/remove': {},
  'POST situations/remove': { id: 'kept-situation-001' },
  'POST visits/remove': { id: 'kept-visit-0000001' },
  'POST recipients': { teamId: 'teamoftheirs01', mails: ['porch@farrowisle.example'] },
  'POST findings/restore': { key: 'rule-swallowed a b' },
  'POST conversations/*/entries': { clientId: newId(4), body: 'mine now' },
  'POST conversations/*/end': {},
  'POST presence': { choice: 'in' },
  'POST pong': {},
};
const ROUTES = Object.keys(DESK_ROUTES);

describe('every route of the desk', () => {
  it.each(ROUTES)(
    '[threat 2] %s answers 404 to somebody of another site, and changes nothing',
    async (route) => {
      const other = await madePorch(testServer, 'elsewhere');
      const id = await ask(porch);
      const before = dump();
      const response = await porch.desk(route.replace('*', id), BODIES[route] ?? {}, other.secret);
      expect(response.status).toBe(404);
      expect(dump()).toBe(before);
    },
  );

  it.each(ROUTES.filter((route) => route.includes('*')))(
    '[threat 2] %s answers 404 to ids of another site',
    async (route) => {
      const other = await madePorch(testServer, 'elsewhere');
      const id = await ask(porch);
      const before = dump();
      const response = await other.desk(route.replace('*', id), BODIES[route] ?? {});
      expect(response.status).toBe(404);
      expect(dump()).toBe(before);
    },
  );

  it.each(ROUTES)('%s answers 401 to nobody, to a made-up session and to one that ran out', async (route) => {
    const id = await ask(porch);
    for (const secret of ['', newSecret()])
      expect((await porch.desk(route.replace('*', id), BODIES[route] ?? {}, secret)).status).toBe(401);
    testServer.state.clock.moveTo(testServer.state.clock.now() + 31 * 86_400_000);
    expect((await porch.desk(route.replace('*', id), BODIES[route] ?? {})).status).toBe(401);
  });

  it('[threat 2] notes of another site’s team cannot be had by mail; those of one’s own can, at valid addresses, each once', async () => {
    const other = await madePorch(testServer, 'elsewhere');
    const teamOf = async (who: typeof porch) =>
      Object.keys(
        (await read<{ recipients: Record<string, string[]> }>(await who.desk('GET recipients'))).recipients,
      );
    const [theirs = ''] = await teamOf(other);
    const [ours = ''] = await teamOf(porch);
    const before = dump();
    expect(
      (await porch.desk('POST recipients', { teamId: theirs, mails: ['me@farrowisle.example'] })).status,
    ).toBe(404);
    expect(
      (await porch.desk('POST recipients', { teamId: ours, mails: ['a@b.example\r\nBcc: x@y.example'] }))
        .status,
    ).toBe(400);
    expect(
      (await porch.desk('POST recipients', { teamId: ours, mails: ['a@b.example', 'a@b.example'] })).status,
    ).toBe(400);
    expect(dump()).toBe(before);
    expect(
      (await porch.desk('POST recipients', { teamId: ours, mails: ['notes@farrowisle.example'] })).status,
    ).toBe(200);
    expect(await read(await porch.desk('GET recipients'))).toMatchObject({
      recipients: { [ours]: ['notes@farrowisle.example'] },
    });
  });

  it('a situation is kept once however often it is sent, also at no certain time, and taken away by its own site alone', async () => {
    const other = await madePorch(testServer, 'elsewhere');
    const listed = async () =>
      (
        await read<{ situations: { name: string; assumptions: { at: null } }[] }>(
          await porch.desk('GET situations'),
        )
      ).situations;
    for (let count = 0; count < 2; count++)
      expect((await porch.desk('POST situations', BODIES['POST situations'] ?? {})).status).toBe(200);
    expect(await listed()).toMatchObject([
      { name: 'A teacher, in summer', assumptions: { at: null, who: null } },
    ]);
    expect((await other.desk('POST situations/remove', { id: 'kept-situation-001' })).status).toBe(200);
    expect(await listed()).toHaveLength(1);
    await porch.desk('POST situations/remove', { id: 'kept-situation-001' });
    expect(await listed()).toEqual([]);
  });

  it('every route has a body in this test, so that a new one is tried too', () => {
    expect(ROUTES.filter((route) => route.startsWith('POST') && BODIES[route] === undefined)).toEqual([]);
  });

  it('a responder answers, and does not design or publish', async () => {
    const { secret } = await madeMember(testServer, porch, 'responder', 'rui@farrowisle.example');
    const statuses = await Promise.all(
      [
        'GET draft',
        'POST draft',
        'POST draft/steps',
        'POST publish',
        'GET overview',
        'GET conversations',
      ].map(async (route) => (await porch.desk(route, BODIES[route] ?? {}, secret)).status),
    );
    expect(statuses).toEqual([403, 403, 403, 403, 200, 200]);
  });
});

const TABLES = [
  'team',
  'kept_visit',
  'kept_situation',
  'preview',
  'upload',
  'page_picture',
  'page_bars',
  'dismissed_finding',
  'draft',
  'draft_change',
  'version',
  'publication',
  'entry',
  'conversation',
  'presence',
  'published_file',
];
function dump(): string {
  return JSON.stringify(
    TABLES.map((table) => connectionOf(testServer.db).prepare(`SELECT * FROM ${table}`).all()),
  );
}

describe('the list of conversations', () => {
  it('a question nobody has joined is on the first page behind any number of newer notes', async () => {
    const waiting = await ask(porch);
    const connection = connectionOf(testServer.db);
    const row =
      connection
        .prepare<[string], Record<string, unknown>>('SELECT * FROM conversation WHERE id = ?')
        .get(waiting) ?? {};
    const insert = connection.prepare(
      `INSERT INTO conversation (${Object.keys(row).join()}) VALUES (${Object.keys(row)
        .map(() => '?')
        .join()})`,
    );
    for (let count = 1; count <= 1100; count++)
      insert.run(
        Object.values({
          ...row,
          id: `note${count}`,
          status: 'note',
          last_entry_ms: Number(row.last_entry_ms) + count,
        }),
      );
    const { conversations } = await read<{ conversations: { id: string }[] }>(
      await porch.desk('GET conversations'),
    );
    expect(conversations[0]?.id).toBe(waiting);
  });

  it('shows who waits on the first page however many have ended since, and pages the ended ones without a gap', async () => {
    const waiting = await ask(porch);
    const connection = connectionOf(testServer.db);
    const row =
      connection
        .prepare<[string], Record<string, unknown>>('SELECT * FROM conversation WHERE id = ?')
        .get(waiting) ?? {};
    const columns = Object.keys(row);
    const insert = connection.prepare(
      `INSERT INTO conversation (${columns.join()}) VALUES (${columns.map(() => '?').join()})`,
    );
    for (let count = 1; count <= 250; count++)
      insert.run(
        Object.values({
          ...row,
          id: `ended${count}`,
          status: 'ended',
          is_done: 1,
          last_entry_ms: Number(row.last_entry_ms) + count,
        }),
      );
    const page = async (before: number | null) =>
      read<{ conversations: { id: string; lastEntryMs: number }[]; hasMore: boolean }>(
        await porch.desk(`GET conversations${before === null ? '' : `?before=${before}`}`),
      );
    const first = await page(null);
    expect([first.conversations.length, first.conversations[0]?.id, first.hasMore]).toEqual([
      101,
      waiting,
      true,
    ]);
    const second = await page(first.conversations.at(-1)?.lastEntryMs ?? 0);
    const third = await page(second.conversations.at(-1)?.lastEntryMs ?? 0);
    const ids = [first, second, third].flatMap(({ conversations }) => conversations.map(({ id }) => id));
    expect([new Set(ids).size, third.hasMore]).toEqual([251, false]);
  });
});

describe('the draft', () => {
  it('stores a change with its inverse, and undo and redo go through the log', async () => {
    const first = (await draft()).design.widgets[0]?.look.brand;
    await change(1, [brand('#111111')]);
    const colour = async () => (await draft()).design.widgets[0]?.look.brand;
    expect(await colour()).toBe('#111111');
    expect(await draft()).toMatchObject({
      revision: 2,
      canUndo: true,
      undoLabel: 'brand colour',
      redoLabel: null,
    });
    await porch.desk('POST draft/steps', { clientId: newId(5), kind: 'undo' });
    expect([await colour(), (await draft()).redoLabel]).toEqual([first, 'brand colour']);
    await porch.desk('POST draft/steps', { clientId: newId(6), kind: 'redo' });
    expect(await colour()).toBe('#111111');
  });

  it('a change sent twice counts once, also after others came', async () => {
    const clientId = newId(1);
    await change(1, [brand('#111111')], 'brand colour', clientId);
    await change(2, [brand('#222222')]);
    expect((await change(1, [brand('#111111')], 'brand colour', clientId)).status).toBe(200);
    expect(await draft()).toMatchObject({
      revision: 3,
      design: { widgets: [{ look: { brand: '#222222' } }] },
    });
  });

  it('a change for an older draft is answered 409 with what came between', async () => {
    await change(1, [brand('#111111')]);
    const late = await change(
      1,
      [{ op: 'set', path: ['widgets', 0, 'place', 'corner'], value: 'lower-left' }],
      'corner',
    );
    expect(late.status).toBe(409);
    expect(await read(late)).toMatchObject({ view: { revision: 2 }, between: [brand('#111111')] });
  });

  it.each([
    ['a colour that is none', [brand('plum')], 'widgets.0.look.brand'],
    ['a place that is not there', [{ op: 'set', path: ['widgets', 7, 'name'], value: 'x' }], ''],
    ['a new name in the design', [{ op: 'set', path: ['admin'], value: true }], 'admin'],
    ['the prototype', [{ op: 'set', path: ['__proto__', 'x'], value: 1 }], ''],
    ['no widget left', [{ op: 'set', path: ['widgets'], value: [] }], 'widgets'],
  ] as const)('refuses %s with the field, and stays as it was', async (_what, patches, field) => {
    const response = await change(1, patches as unknown as Patch[]);
    expect(response.status).toBe(400);
    expect(Object.keys((await read<{ errors: object }>(response)).errors)).toEqual([field]);
    expect((await draft()).revision).toBe(1);
  });
});

describe('publishing', () => {
  const pointer = async () => read<PointerV1>(await porch.visit('GET live.json'));

  it('makes the draft the version in force from now on, under a new name', async () => {
    const before = await pointer();
    await change(1, [brand('#111111')]);
    expect(await pointer()).toEqual(before);
    expect(
      await read(await porch.desk('POST publish', { revision: 2, remark: 'darker', ...AT_ONCE })),
    ).toEqual({ version: 2 });
    const after = await pointer();
    expect(after.version).toBe(2);
    expect(after.design).not.toBe(before.design);
    expect((await porch.visit(`GET ${before.design}.en.json`)).status).toBe(200);
  });

  it('[L5] which version is in force is computed for the instant that is asked', async () => {
    const { listPublications } = await import('../designs/publications.repository');
    const inForce = async (instant: number) =>
      versionInForce(await listPublications(testServer.db, porch.siteId, instant), instant);
    const at = testServer.state.clock.now();
    testServer.state.clock.moveTo(at + 60_000);
    await porch.desk('POST publish', { revision: 1, remark: '', ...AT_ONCE });
    expect(await inForce(at + 30_000)).toBe(1);
    expect(await inForce(at + 120_000)).toBe(2);
    expect(await inForce(at - 120_000)).toBeNull();
  });

  it('only what was looked at: another revision is answered 409 and nothing happens', async () => {
    await change(1, [brand('#111111')]);
    expect((await porch.desk('POST publish', { revision: 1, remark: '', ...AT_ONCE })).status).toBe(409);
    expect((await pointer()).version).toBe(1);
  });

  it('[L3] a text that cannot be said stops it at its place, and stores no file', async () => {
    await change(
      1,
      [{ op: 'set', path: ['widgets', 0, 'texts'], value: { en: { greeting: 'Good {evening}' } } }],
      'greeting',
    );
    const files = async () =>
      (await testServer.db.selectFrom('published_file').select('name').execute()).length;
    const count = await files();
    const response = await porch.desk('POST publish', { revision: 2, remark: '', ...AT_ONCE });
    expect([
      response.status,
      Object.keys((await read<{ errors: object }>(response)).errors),
      await files(),
    ]).toEqual([400, ['en.greeting'], count]);
  });
});
