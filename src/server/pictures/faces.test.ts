import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { beforeEach, describe, expect, it } from 'vitest';
import {
  type TestServer,
  type MadePorch,
  makeTestServer,
  madeMember,
  madeMessage,
  madePorch,
  deskAnswer,
} from '../../../tests/made/test-server';
import type { PersonView } from '../../core/wire/desk';
import type { SentAnswer, VisitorTalk } from '../../core/wire/talk';
import { newId, newSecret } from '../ids';

let testServer: TestServer;
let porch: MadePorch;
beforeEach(async () => {
  testServer = await makeTestServer();
  porch = await madePorch(testServer, 'farrowisle');
});

const read = async <T>(response: Response): Promise<T> => (await response.json()) as T;
const picture = (width = 300, height = 200, background = '#e79a1b') =>
  sharp({ create: { width, height, channels: 3, background } })
    .png()
    .toBuffer();
const send = (of: string, body: Buffer, secret = porch.secret) =>
  deskAnswer(
    testServer.state,
    new Request(`http://127.0.0.1/api/s/${porch.key}/people/${of}/face`, {
      method: 'POST',
      headers: { Cookie: `porch=${secret}` },
      body: new Uint8Array(body),
    }),
  );
const people = async (of = porch) =>
  (await read<{ people: PersonView[] }>(await of.desk('GET people'))).people;

describe('a face', () => {
  it('stands beside what its owner has said, before and after, and goes back to initials', async () => {
    const token = newSecret();
    const asked = await read<SentAnswer>(
      await porch.visit('POST messages', { body: madeMessage('Is it open?', { newToken: token }) }),
    );
    const reply = (body: string) =>
      porch.desk(`POST conversations/${asked.conversation.id}/entries`, { clientId: newId(9), body });
    await reply('It is.');
    const faces = async () =>
      (await read<VisitorTalk>(await porch.visit('GET conversation', { token }))).entries
        .filter(({ kind }) => kind === 'message')
        .map(({ author, face }) => [author, face]);
    expect(await faces()).toEqual([
      ['visitor', null],
      ['person', null],
    ]);
    expect((await send(porch.ownerId, await picture())).status).toBe(200);
    const [owner] = await people();
    expect(owner?.face).toHaveLength(2);
    await reply('Until one.');
    expect(await faces()).toEqual([
      ['visitor', null],
      ['person', owner?.face],
      ['person', owner?.face],
    ]);
    const [once = '', twice = ''] = owner?.face ?? [];
    for (const [hash, px] of [
      [once, 64],
      [twice, 128],
    ] as const) {
      const shown = await porch.visit(`GET ${hash}.webp`, { origin: null });
      expect(await sharp(Buffer.from(await shown.arrayBuffer())).metadata()).toMatchObject({
        format: 'webp',
        width: px,
        height: px,
      });
    }
    expect((await porch.desk(`POST people/${porch.ownerId}/face/remove`)).status).toBe(200);
    expect((await faces()).flatMap(([, face]) => face)).toEqual([null, null, null]);
  });

  it('is one’s own, or the owner’s to change; nobody reaches people of another site', async () => {
    const other = await madePorch(testServer, 'elsewhere');
    const { personId: rui, secret } = await madeMember(
      testServer,
      porch,
      'responder',
      'rui@farrowisle.example',
    );
    expect((await send(rui, await picture(), secret)).status).toBe(200);
    expect((await send(porch.ownerId, await picture(), secret)).status).toBe(403);
    expect((await porch.desk(`POST people/${porch.ownerId}/face/remove`, {}, secret)).status).toBe(403);
    expect((await send(other.ownerId, await picture())).status).toBe(404);
    expect((await other.desk(`POST people/${rui}/face/remove`)).status).toBe(404);
    expect((await people()).map(({ name, face }) => [name, face !== null]).sort()).toEqual([
      ['Inês Matos', false],
      ['Rui Faria', true],
    ]);
    expect((await people(other)).map(({ id, isYou }) => [id, isYou])).toEqual([[other.ownerId, true]]);
    expect((await send(rui, await picture(90, 90))).status).toBe(200);
  });

  it('taken away or replaced, its pictures are gone: from the rows, from the disk and for visitors, but for who shows the same', async () => {
    const other = await madePorch(testServer, 'elsewhere');
    const { personId: rui } = await madeMember(testServer, porch, 'responder', 'rui@farrowisle.example');
    const same = await picture();
    await send(porch.ownerId, same);
    await send(rui, same);
    const [shown = ''] = (await people())[0]?.face ?? [];
    const isServed = async (hash: string) => (await porch.visit(`GET ${hash}.webp`)).status === 200;
    await send(porch.ownerId, await picture(200, 300, '#2f6f8f'));
    expect(await isServed(shown)).toBe(true); // Rui has it still
    const [now = ''] = (await people()).find(({ isYou }) => isYou)?.face ?? [];
    expect(now).not.toBe(shown);
    await other.desk(`POST people/${porch.ownerId}/face/remove`);
    expect(await isServed(now)).toBe(true);
    for (const id of [porch.ownerId, rui]) await porch.desk(`POST people/${id}/face/remove`);
    expect([await isServed(shown), await isServed(now)]).toEqual([false, false]);
    expect(await testServer.db.selectFrom('upload').selectAll().execute()).toEqual([]);
    const left = readdirSync(join(testServer.state.env.dataDir, 'uploads'), {
      recursive: true,
      withFileTypes: true,
    });
    expect(left.filter((one) => one.isFile())).toEqual([]);
  });

  it.each([
    ['a page that is called a picture', Buffer.from('<!doctype html><script>alert(1)</script>')],
    [
      'a drawing with a script',
      Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><!ENTITY x "y"><script/></svg>'),
    ],
    ['more than 5 MB', Buffer.alloc(5 * 1024 * 1024 + 1)],
  ])('[threat 13] %s is refused in a sentence, and nothing is kept', async (_, body) => {
    const refused = await send(porch.ownerId, body);
    expect(refused.status).toBe(400);
    expect((await read<{ errors: Record<string, string> }>(refused)).errors['']).toMatch(
      /Nothing was stored/,
    );
    expect(await testServer.db.selectFrom('upload').selectAll().execute()).toEqual([]);
    expect((await people())[0]?.face).toBeNull();
  });
});
