import { type RequestListener, createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { gzipSync } from 'node:zlib';
import { afterEach, describe, expect, it } from 'vitest';
import { type FetchGuard, guardedFetch } from './guarded-fetch';

const closers: (() => void)[] = [];
afterEach(() => closers.splice(0).forEach((close) => close()));

async function served(answer: RequestListener, host = '127.0.0.1'): Promise<string> {
  const server = createServer(answer);
  await new Promise<void>((resolve) => server.listen(0, host, resolve));
  closers.push(() => {
    server.closeAllConnections();
    server.close();
  });
  return `http://${host.includes(':') ? `[${host}]` : host}:${(server.address() as AddressInfo).port}`;
}
const guard = (more: Partial<FetchGuard> = {}): FetchGuard => ({
  mayAsk: () => true,
  allowsLoopback: true,
  bytesMax: 100_000,
  msMax: 10_000,
  ...more,
});
const said = async (address: string, more?: Partial<FetchGuard>): Promise<string> => {
  const got = await guardedFetch(address, guard(more));
  return got.ok ? got.value.text : (got.errors[''] ?? '');
};
const PRIVATE = /private network/;

describe('guardedFetch', () => {
  it('gives the page, its kind, and where it was found in the end', async () => {
    const base = await served((request, response) => {
      if (request.url === '/old') return void response.writeHead(301, { Location: '/new' }).end();
      response
        .writeHead(200, { 'Content-Type': 'text/html; charset=iso-8859-1' })
        .end(Buffer.from('Observat\xf3rio', 'latin1'));
    });
    expect(await guardedFetch(`${base}/old`, guard())).toEqual({
      ok: true,
      value: { address: `${base}/new`, type: 'text/html; charset=iso-8859-1', text: 'Observatório' },
    });
  });

  it.each([
    'http://127.0.0.1/',
    'http://2130706433/',
    'http://0x7f.1/',
    'http://017700000001/',
    'http://[::1]/',
    'http://[::ffff:127.0.0.1]/',
    'http://[::ffff:7f00:1]/',
    'http://[64:ff9b::7f00:1]/',
    'http://10.0.0.8/',
    'http://192.168.1.1/',
    'http://169.254.169.254/latest/meta-data',
    'http://[fd00::1]/',
    'http://[fe80::1]/',
    'http://0.0.0.0/',
    'http://100.64.0.1/',
  ])('[threat 14] %s is not opened', async (address) => {
    expect(await said(address, { allowsLoopback: false })).toMatch(PRIVATE);
  });

  it('[threat 14] a name is judged by the address that was connected to, not by itself', async () => {
    let asked = 0;
    const base = await served((_, response) => {
      asked++;
      response.end('inside');
    });
    const byName = base.replace('127.0.0.1', 'localhost');
    expect(await said(byName, { allowsLoopback: false })).toMatch(PRIVATE);
    expect(asked).toBe(0);
    expect(await said(byName)).toBe('inside');
  });

  it('[threat 14] a refusal tells nothing of which ports are open inside', async () => {
    const open = (await served((_, response) => void response.end('inside'))).replace(
      '127.0.0.1',
      'localhost',
    );
    const closed = (await served(() => undefined)).replace('127.0.0.1', 'localhost');
    closers.pop()?.(); // nothing listens there any more
    const [ofOpen, ofClosed] = [
      await said(open, { allowsLoopback: false }),
      await said(closed, { allowsLoopback: false }),
    ];
    expect(ofOpen).toMatch(PRIVATE);
    expect(ofClosed).toBe(ofOpen);
  });

  it('[threat 14] each hop is judged anew: by the site it belongs to, and by where it leads', async () => {
    const inner = await served((_, response) => void response.end('secret'));
    const outer = await served(
      (request, response) => void response.writeHead(302, { Location: request.url?.slice(1) ?? '' }).end(),
    );
    expect(await said(`${outer}/http://10.0.0.8/`)).toMatch(PRIVATE);
    expect(await said(`${outer}/${inner}/`, { mayAsk: ({ origin }) => origin === outer })).toMatch(
      /own addresses/,
    );
    expect(await said(`${outer}/file:///etc/passwd`)).toMatch(/no address/);
  });

  it('[threat 14] a ring of redirects ends', async () => {
    const base = await served((_, response) => void response.writeHead(302, { Location: '/again' }).end());
    expect(await said(base)).toMatch(/on and on/);
  });

  it('[threat 14] bytes are counted unpacked, and reading stops there', async () => {
    const bomb = gzipSync(Buffer.alloc(20_000_000));
    const base = await served(
      (_, response) => void response.writeHead(200, { 'Content-Encoding': 'gzip' }).end(bomb),
    );
    expect(bomb.length).toBeLessThan(100_000);
    expect(await said(base)).toMatch(/too large/);
  });

  it('[threat 14] an answer that drips for ever is left', async () => {
    const base = await served((_, response) => {
      response.writeHead(200, { 'Content-Type': 'text/html' });
      const drip = setInterval(() => response.write('.'), 20);
      response.on('close', () => clearInterval(drip));
    });
    expect(await said(base, { msMax: 300 })).toMatch(/in time/);
  });

  it.each(['ftp://farrowisle.example/', 'javascript:alert(1)', 'data:text/html,hi', 'nonsense', ''])(
    '%j is told to be no address of a page',
    async (address) => {
      expect(await said(address)).toMatch(/no address/);
    },
  );

  it('tells what a page answers that is not there, and that nothing answers', async () => {
    const base = await served((_, response) => void response.writeHead(404).end('no'));
    expect(await said(base)).toBe('The page answers 404.');
    closers.splice(0).forEach((close) => close());
    expect(await said(base)).toMatch(/Nothing answers/);
  });
});
