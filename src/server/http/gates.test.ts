import { describe, expect, it } from 'vitest';
import { clientAddress, sealedPeer } from './address';
import { isLoopbackHost, passesOriginGate } from './origin-gate';
import { depthOf } from '../../core/json-depth';
import { fromWeb } from './web-bridge';
import { readJson } from './read-body';

describe('passesOriginGate', () => {
  const passes = (
    origin: string | null,
    { method = 'POST', path = '/signin', host = '127.0.0.1:4310', publicUrl = null as string | null } = {},
  ) => passesOriginGate({ method, path, origin }, { publicUrl }, host);

  it('[threat 4] no Origin, null, another port, another name: nothing is changed', () => {
    for (const origin of [
      null,
      'null',
      'http://127.0.0.1:4320',
      'http://localhost:4310',
      'https://127.0.0.1:4310',
      'http://127.0.0.1:4310.evil.example',
    ])
      expect(passes(origin), String(origin)).toBe(false);
    expect(passes('http://127.0.0.1:4310')).toBe(true);
  });

  it('[threat 4] reading needs none, and every other method does', () => {
    expect(['GET', 'HEAD', 'OPTIONS'].map((method) => passes(null, { method }))).toEqual([true, true, true]);
    expect(['PUT', 'DELETE', 'PATCH', 'POST', 'QUERY'].map((method) => passes(null, { method }))).toEqual([
      false,
      false,
      false,
      false,
      false,
    ]);
  });

  it('[threat 4] a Host that is not this computer’s is believed only as PUBLIC_URL says it', () => {
    expect(passes('http://evil.example', { host: 'evil.example' })).toBe(false);
    expect(
      passes('https://porch.example', { host: 'porch.example', publicUrl: 'https://porch.example' }),
    ).toBe(true);
    expect(isLoopbackHost('127.0.0.1.evil.example')).toBe(false);
    expect(isLoopbackHost('localhost:4310')).toBe(true);
  });
});

describe('clientAddress', () => {
  it.each([
    ['203.0.113.7', null, [], '203.0.113.7'],
    ['203.0.113.7', '198.51.100.1', [], '198.51.100.1 via 203.0.113.7'],
    ['10.0.0.2', '6.6.6.6, 198.51.100.1', [], '198.51.100.1 via 10.0.0.2'],
    ['203.0.113.7', '198.51.100.1', ['127.0.0.1'], '203.0.113.7'],
    ['127.0.0.1', '198.51.100.1', ['127.0.0.1'], '198.51.100.1'],
    ['127.0.0.1', '6.6.6.6, 198.51.100.1', ['127.0.0.1'], '198.51.100.1'],
    ['127.0.0.1', '6.6.6.6, 198.51.100.1, 10.0.0.2', ['127.0.0.1', '10.0.0.2'], '198.51.100.1'],
    ['::ffff:127.0.0.1', '198.51.100.1', ['127.0.0.1'], '198.51.100.1'],
    ['2001:db8:1:2:3:4:5:6', null, [], '2001:db8:1:2::/64'],
    ['127.0.0.1', 'nonsense', ['127.0.0.1'], 'unknown'],
  ] as const)(
    '[threat 16] peer %s with X-Forwarded-For %s and proxies %j counts as %s',
    (peer, header, trusted, address) => {
      expect(clientAddress(peer, header, [...trusted])).toBe(address);
    },
  );

  it('[threat 16] a peer in the header is believed only with the seal of this process', () => {
    expect(sealedPeer('seal 203.0.113.7', 'seal')).toBe('203.0.113.7');
    expect(sealedPeer('203.0.113.7', 'seal')).toBe('unknown');
    expect(sealedPeer(null, 'seal')).toBe('unknown');
  });
});

describe('readJson', () => {
  const body = (text: string) =>
    fromWeb(
      new Request('http://h/', {
        method: 'POST',
        body: text,
        headers: { 'Content-Type': 'application/json' },
      }),
    );

  it('counts depth outside of strings only', () => {
    expect(depthOf('{"a":"[[[[","b":[{"c":1}]}')).toBe(3);
    expect(depthOf('"\\"[["')).toBe(0);
  });

  it('[threat 15] refuses what is too deep or too large before anything walks it', async () => {
    expect(await readJson(body('[[[1]]]'), 100, 2)).toMatchObject({ ok: false });
    expect(await readJson(body('[[1]]'), 100, 2)).toEqual({ ok: true, value: [[1]] });
    expect(await readJson(body(`"${'é'.repeat(60)}"`), 100, 2)).toMatchObject({ ok: false });
  });
});
