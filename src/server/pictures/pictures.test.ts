import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { crc32, deflateSync } from 'node:zlib';
import sharp from 'sharp';
import { beforeEach, describe, expect, it } from 'vitest';
import {
  type TestServer,
  type MadePorch,
  makeTestServer,
  madeMember,
  madePorch,
  deskAnswer,
} from '../../../tests/made/test-server';
import type { PagePictures } from '../../core/wire/desk';
import { PICTURE_BYTES_MAX } from './drawer';

let testServer: TestServer;
let porch: MadePorch;
beforeEach(async () => {
  testServer = await makeTestServer();
  porch = await madePorch(testServer, 'farrowisle');
});

const png = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#7a2e5d' } })
    .png()
    .toBuffer();
const send = (body: Buffer | ReadableStream<Uint8Array>, device = 'desktop', secret = porch.secret) =>
  deskAnswer(
    testServer.state,
    new Request(`http://127.0.0.1/api/s/${porch.key}/page-pictures/${device}`, {
      method: 'POST',
      headers: { Cookie: `porch=${secret}`, 'Content-Type': 'image/png' },
      body: body instanceof ReadableStream ? body : new Uint8Array(body),
      duplex: 'half',
    } as RequestInit),
  );
const read = async (response: Response) => (await response.json()) as PagePictures;
const filesKept = () => {
  const dir = join(testServer.state.env.dataDir, 'uploads');
  return existsSync(dir)
    ? readdirSync(dir, { recursive: true, withFileTypes: true }).filter((one) => one.isFile()).length
    : 0;
};

/** A PNG whose header claims a size, and whose pixels are not there. */
function claiming(width: number, height: number): Buffer {
  const chunk = (name: string, data: Buffer): Buffer => {
    const body = Buffer.concat([Buffer.from(name, 'latin1'), data]);
    const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)];
    length.writeUInt32BE(data.length);
    sum.writeUInt32BE(crc32(body));
    return Buffer.concat([length, body, sum]);
  };
  const header = Buffer.alloc(13);
  header.writeUInt32BE(width, 0);
  header.writeUInt32BE(height, 4);
  header.set([8, 2, 0, 0, 0], 8);
  const sign = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
  return Buffer.concat([
    sign,
    chunk('IHDR', header),
    chunk('IDAT', deflateSync(Buffer.alloc(1000))),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}

describe('pictures of the owner’s page', () => {
  it('is kept as drawn: no wider than the stage, cut below some screens, and served as nothing but a picture', async () => {
    const { pictures } = await read(await send(await png(2560, 9000)));
    expect(pictures.desktop).toMatchObject({ width: 1280, height: 2400 });
    const served = await porch.desk(`GET uploads/${pictures.desktop?.hash}`);
    expect([served.status, served.headers.get('Content-Type')]).toEqual([200, 'image/webp']);
    expect(served.headers.get('X-Content-Type-Options')).toBe('nosniff');
    expect(served.headers.get('Content-Security-Policy')).toBe("default-src 'none'; sandbox");
    expect(await sharp(Buffer.from(await served.arrayBuffer())).metadata()).toMatchObject({
      format: 'webp',
      width: 1280,
      height: 2400,
    });
  });

  it('a small one is not made larger; the phone’s is its own, and can be taken away', async () => {
    await send(await png(900, 500));
    const { pictures } = await read(await send(await png(1170, 2532), 'phone'));
    expect([pictures.desktop?.width, pictures.phone?.width]).toEqual([900, 780]);
    const after = await read(await porch.desk('POST page-pictures/desktop/remove', {}));
    expect(Object.keys(after.pictures)).toEqual(['phone']);
    expect((await porch.desk(`GET uploads/${pictures.desktop?.hash}`)).status).toBe(404);
    expect((await porch.desk(`GET uploads/${pictures.phone?.hash}`)).status).toBe(200);
    expect((await send(await png(10, 10), 'fridge')).status).toBe(404);
  });

  it('is turned the right way up, and where it was taken is not kept', async () => {
    const taken = await sharp({ create: { width: 300, height: 200, channels: 3, background: '#fff' } })
      .jpeg()
      .withExif({ IFD0: { Copyright: 'Inês' }, IFD3: { GPSLatitude: '37/1 5/1 0/1' } })
      .withMetadata({ orientation: 6 })
      .toBuffer();
    const { pictures } = await read(await send(taken));
    expect(pictures.desktop).toMatchObject({ width: 200, height: 300 });
    const served = Buffer.from(
      await (await porch.desk(`GET uploads/${pictures.desktop?.hash}`)).arrayBuffer(),
    );
    expect((await sharp(served).metadata()).exif).toBeUndefined();
  });

  it.each([
    ['a page that is called .png', Buffer.from('<!doctype html><script>alert(1)</script>')],
    [
      'an SVG with a script',
      Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>'),
    ],
    [
      'an entity bomb',
      Buffer.from(
        '<?xml version="1.0"?><!DOCTYPE s [<!ENTITY a "aaaaaaaa"><!ENTITY b "&a;&a;&a;">]><svg>&b;</svg>',
      ),
    ],
    ['a GIF', Buffer.from('R0lGODlhAQABAIAAAAAAAP///yH5BAEAAAAALAAAAAABAAEAAAIBRAA7', 'base64')],
    ['nothing at all', Buffer.alloc(0)],
    ['50,000 pixels either way', claiming(50_000, 50_000)],
    ['a picture whose pixels are not there', claiming(400, 400)],
  ])('[threat 13] %s is refused in a sentence, and nothing is stored', async (_, sent) => {
    const response = await send(sent);
    expect(response.status).toBe(400);
    expect(JSON.stringify(await response.json())).toMatch(/Nothing was stored/);
    expect(filesKept()).toBe(0);
  });

  it('[threat 13] a picture that is something else as well is only a picture afterwards', async () => {
    const both = Buffer.concat([await png(20, 20), Buffer.from('PK\u0003\u0004<script>alert(1)</script>')]);
    const { pictures } = await read(await send(both));
    const served = Buffer.from(
      await (await porch.desk(`GET uploads/${pictures.desktop?.hash}`)).arrayBuffer(),
    );
    expect(served.includes('script')).toBe(false);
  });

  it('more than 5 MB is not read to its end', async () => {
    let sent = 0;
    const endless = new ReadableStream<Uint8Array>({
      pull: (controller) => {
        sent += 64 * 1024;
        controller.enqueue(new Uint8Array(64 * 1024));
      },
    });
    expect((await send(endless)).status).toBe(400);
    expect(sent).toBeLessThan(PICTURE_BYTES_MAX + 1024 * 1024);
    expect(filesKept()).toBe(0);
  });

  it('[threat 2] another site, and whoever only answers, get none of it', async () => {
    const { pictures } = await read(await send(await png(50, 50)));
    const other = await madePorch(testServer, 'elsewhere');
    expect((await other.desk(`GET uploads/${pictures.desktop?.hash}`)).status).toBe(404);
    expect((await send(await png(50, 50), 'desktop', other.secret)).status).toBe(404);
    const { secret } = await madeMember(testServer, porch, 'responder', 'rui@farrowisle.example');
    expect((await send(await png(50, 50), 'desktop', secret)).status).toBe(403);
    expect((await porch.desk('GET uploads/..%2f..%2fsunny-porch.db')).status).toBe(404);
  });
});
