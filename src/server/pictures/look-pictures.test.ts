import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { beforeEach, describe, expect, it } from 'vitest';
import {
  type TestServer,
  type MadePorch,
  makeTestServer,
  madeMember,
  madePorch,
  visitorAnswer,
  deskAnswer,
} from '../../../tests/made/test-server';
import type { HeaderPicture } from '../../core/model/look';
import { faultOfSvg, isSvg } from './svg';

let testServer: TestServer;
let porch: MadePorch;
beforeEach(async () => {
  testServer = await makeTestServer();
  porch = await madePorch(testServer, 'farrowisle');
});

const made = (width: number, height: number, background = '#7a2e5d') =>
  sharp({ create: { width, height, channels: 3, background } });
const svg = (inside: string, attributes = 'width="200" height="100"') =>
  Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ${attributes}>${inside}</svg>`,
  );
const SQUARE = '<rect width="200" height="100" fill="#7a2e5d"/>';

const send = (body: Buffer, kind = 'logo', secret = porch.secret, key = porch.key) =>
  deskAnswer(
    testServer.state,
    new Request(`http://127.0.0.1/api/s/${key}/look-pictures/${kind}`, {
      method: 'POST',
      headers: { Cookie: `porch=${secret}`, 'Content-Type': 'image/png' },
      body: new Uint8Array(body),
    }),
  );
const take = async (body: Buffer, kind?: string) => (await (await send(body, kind)).json()) as HeaderPicture;
const visit = (path: string, key = porch.key) =>
  visitorAnswer(testServer.state, new Request(`http://127.0.0.1/w/${key}/${path}`));
const pixels = async (hash: string) =>
  sharp(Buffer.from(await (await visit(`${hash}.webp`)).arrayBuffer())).metadata();
const filesKept = () => {
  const dir = join(testServer.state.env.dataDir, 'uploads');
  return existsSync(dir)
    ? readdirSync(dir, { recursive: true, withFileTypes: true }).filter((one) => one.isFile()).length
    : 0;
};

describe('pictures of a look', () => {
  it.each([
    ['PNG', () => made(400, 200).png().toBuffer()],
    ['JPEG', () => made(400, 200).jpeg().toBuffer()],
    ['WebP', () => made(400, 200).webp().toBuffer()],
    ['GIF', () => made(400, 200).gif().toBuffer()],
    ['AVIF', () => made(400, 200).avif().toBuffer()],
    ['SVG', () => Promise.resolve(svg(SQUARE))],
  ])(
    '%s is drawn in two sizes, and served to visitors as a picture and nothing else, for a year',
    async (_, picture) => {
      const { once, twice, width, height } = await take(await picture());
      expect([width, height]).toEqual([80, 40]);
      expect(await pixels(once)).toMatchObject({ format: 'webp', width: 80, height: 40 });
      expect(await pixels(twice)).toMatchObject({ format: 'webp', width: 160, height: 80 });
      const { headers } = await visit(`${once}.webp`);
      expect(headers.get('Content-Type')).toBe('image/webp');
      expect(headers.get('X-Content-Type-Options')).toBe('nosniff');
      expect(headers.get('Content-Security-Policy')).toBe("default-src 'none'; sandbox");
      expect(headers.get('Cache-Control')).toContain('immutable');
      expect(headers.get('Access-Control-Allow-Origin')).toBe('*');
    },
  );

  it('a small drawing is drawn sharp, not made larger from few pixels', async () => {
    const stripes = Array.from({ length: 10 }, (_, at) => `<rect x="${at * 2}" width="1" height="10"/>`).join(
      '',
    );
    const { twice } = await take(
      svg(`<rect width="20" height="10" fill="#fff"/>${stripes}`, 'width="20" height="10"'),
    );
    const { data, info } = await sharp(Buffer.from(await (await visit(`${twice}.webp`)).arrayBuffer()))
      .greyscale()
      .raw()
      .toBuffer({ resolveWithObject: true });
    expect([info.width, info.height]).toEqual([160, 80]);
    const row = [...data.subarray(40 * info.width, 41 * info.width)];
    expect(row.filter((value) => value > 60 && value < 195).length).toBeLessThan(40); // few greys: edges, no blur
  });

  it('a header fills its box, and the bounds of its pixels are told', async () => {
    const half = await sharp({ create: { width: 960, height: 960, channels: 3, background: '#204060' } })
      .composite([{ input: await made(960, 480, '#e0c080').png().toBuffer(), left: 0, top: 0 }])
      .png()
      .toBuffer();
    const { width, height, darkest, lightest } = await take(half, 'header');
    expect([width, height, darkest, lightest]).toEqual([480, 160, '#204060', '#e0c080']);
  });

  it('is turned the right way up, and where it was taken is not kept', async () => {
    const taken = await made(300, 200)
      .jpeg()
      .withExif({ IFD0: { Copyright: 'Inês' } })
      .withMetadata({ orientation: 6 })
      .toBuffer();
    const { once, width, height } = await take(taken);
    expect(height > width).toBe(true);
    expect((await pixels(once)).exif).toBeUndefined();
  });

  it.each([
    ['a page that is called .png', Buffer.from('<!doctype html><svg><script>alert(1)</script></svg>')],
    [
      'an entity bomb',
      Buffer.from(
        `<!DOCTYPE svg [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]>${svg('<text>&b;</text>').toString()}`,
      ),
    ],
    [
      'a file of this computer, as an entity',
      Buffer.from(
        `<!DOCTYPE svg [<!ENTITY a SYSTEM "file:///etc/passwd">]>${svg('<text>&a;</text>').toString()}`,
      ),
    ],
    [
      'an SVG with a picture of somebody’s inside',
      svg('<image xlink:href="http://127.0.0.1:1/x.png" width="9" height="9"/>'),
    ],
    [
      'an SVG with a page inside',
      svg(
        '<foreignObject width="9" height="9"><p xmlns="http://www.w3.org/1999/xhtml">x</p></foreignObject>',
      ),
    ],
    ['an SVG whose filter fetches', svg('<filter id="a"><feImage href="file:///etc/passwd"/></filter>')],
    ['an SVG of too many parts', svg('<g/>'.repeat(20_001))],
    ['an SVG that is too deep', svg('<g>'.repeat(200) + '</g>'.repeat(200))],
    ['an SVG that breaks off', svg(SQUARE).subarray(0, 120)],
    ['nothing at all', Buffer.alloc(0)],
  ])('[threat 13] %s is refused in a sentence, and nothing is stored', async (_, sent) => {
    const response = await send(sent);
    expect(response.status).toBe(400);
    expect(JSON.stringify(await response.json())).toMatch(/Nothing was stored/);
    expect(filesKept()).toBe(0);
  });

  it('[threat 13] scripts, handlers and styles of a drawing are not there any more; 50,000 px come out small', async () => {
    const evil = svg(
      `<script>alert(1)</script><style>@import url(http://127.0.0.1:1/x.css);</style><a xlink:href="javascript:alert(1)">${SQUARE}</a>`,
      'onload="alert(1)" width="50000" height="25000" viewBox="0 0 200 100"',
    );
    const { twice, width, height } = await take(evil);
    expect([width, height]).toEqual([80, 40]);
    const bytes = Buffer.from(await (await visit(`${twice}.webp`)).arrayBuffer());
    expect(bytes.includes('alert')).toBe(false);
  });

  it('[threat 13] a picture that is an SVG as well is only the picture afterwards', async () => {
    const both = Buffer.concat([await made(80, 40).png().toBuffer(), svg('<script>alert(1)</script>')]);
    const { once } = await take(both);
    expect(Buffer.from(await (await visit(`${once}.webp`)).arrayBuffer()).includes('svg')).toBe(false);
  });

  it('[threat 2] another site, whoever only answers, and visitors get none of what is not theirs', async () => {
    const { once } = await take(await made(400, 200).png().toBuffer());
    const other = await madePorch(testServer, 'elsewhere');
    expect((await visit(`${once}.webp`, other.key)).status).toBe(404);
    expect((await other.desk(`GET uploads/${once}`)).status).toBe(404);
    expect((await send(svg(SQUARE), 'logo', other.secret)).status).toBe(404);
    expect((await send(svg(SQUARE), 'fridge')).status).toBe(404);
    const { secret } = await madeMember(testServer, porch, 'responder', 'rui@farrowisle.example');
    expect((await send(svg(SQUARE), 'logo', secret)).status).toBe(403);
  });

  it('[threat 13] the owner’s page is not for visitors, whoever knows its name', async () => {
    const response = await deskAnswer(
      testServer.state,
      new Request(`http://127.0.0.1/api/s/${porch.key}/page-pictures/desktop`, {
        method: 'POST',
        headers: { Cookie: `porch=${porch.secret}` },
        body: new Uint8Array(await made(60, 40).png().toBuffer()),
      }),
    );
    const { pictures } = (await response.json()) as { pictures: { desktop: { hash: string } } };
    expect((await visit(`${pictures.desktop.hash}.webp`)).status).toBe(404);
  });
});

describe('what is an SVG', () => {
  it('is told by its first element', () => {
    expect(
      isSvg(
        Buffer.from(
          '\uFEFF<?xml version="1.0"?><!-- made by <svg> --> <svg:svg xmlns:svg="http://www.w3.org/2000/svg"/>',
        ),
      ),
    ).toBe(true);
    expect(isSvg(Buffer.from('<html><svg/></html>'))).toBe(false);
    expect(isSvg(Buffer.from('<svgs/>'))).toBe(false);
    // A pattern that could read two comments as one would go through all ways to do so.
    expect(isSvg(Buffer.from('<!---->'.repeat(580)))).toBe(false);
    expect(isSvg(Buffer.from(`${'<!---->'.repeat(500)}<svg/>`))).toBe(true);
  });

  it('one without its namespace says so: browsers would not draw it either', () => {
    expect(faultOfSvg(Buffer.from('<svg width="9" height="9"/>'))).toMatch(/xmlns/);
    expect(faultOfSvg(svg(SQUARE))).toBeNull();
  });
});
