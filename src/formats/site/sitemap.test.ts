import { gzipSync } from 'node:zlib';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  ADDRESSES_MAX,
  type SitemapFault,
  type SitemapPage,
  readSitemapBytes,
  sitemapReader,
} from './sitemap';

const SITEMAP = `<?xml version="1.0" encoding="UTF-8"?>
<urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9" xmlns:image="http://www.google.com/schemas/sitemap-image/1.1">
  <url><loc>https://farrowisle.example/tonight?a=1&amp;b=2</loc><lastmod>2026-11-25</lastmod><image:image><image:loc>https://farrowisle.example/moon.png</image:loc></image:image></url>
  <url><loc><![CDATA[ https://farrowisle.example/sky-log/ ]]></loc></url>
  <url><loc>/relative</loc></url>
</urlset>`;

function hearer() {
  const heard = {
    pages: [] as SitemapPage[],
    sitemaps: [] as string[],
    leftOut: [] as string[],
    faults: [] as SitemapFault[],
  };
  return {
    heard,
    on: {
      page: (page: SitemapPage) => void heard.pages.push(page),
      sitemap: (address: string) => void heard.sitemaps.push(address),
      leftOut: (text: string) => void heard.leftOut.push(text),
      fault: (fault: SitemapFault) => void heard.faults.push(fault),
    },
  };
}

function readAll(chunks: readonly string[]) {
  const { heard, on } = hearer();
  const reader = sitemapReader(on);
  chunks.forEach(reader.take);
  reader.end();
  return heard;
}

async function* pieces(bytes: Uint8Array, size: number) {
  for (let at = 0; at < bytes.length; at += size) yield await Promise.resolve(bytes.subarray(at, at + size));
}

describe('sitemaps', () => {
  it('reads pages with their dates, not the pictures inside of them; what is no address is told', () => {
    expect(readAll([SITEMAP])).toEqual({
      pages: [
        { address: 'https://farrowisle.example/tonight?a=1&b=2', changed: '2026-11-25' },
        { address: 'https://farrowisle.example/sky-log/', changed: null },
      ],
      sitemaps: [],
      leftOut: ['/relative'],
      faults: [],
    });
  });

  it('reads an index', () => {
    const index =
      '<sitemapindex><sitemap><loc>https://farrowisle.example/a.xml.gz</loc></sitemap></sitemapindex>';
    expect(readAll([index]).sitemaps).toEqual(['https://farrowisle.example/a.xml.gz']);
  });

  it.each([
    ['<html><body>Not found</body></html>', 'not-a-sitemap'],
    ['<urlset><url><loc>https://a.example/</loc></url>', 'not-xml'],
    ['plain text', 'not-xml'],
    ['', 'not-xml'],
    [
      '<!DOCTYPE urlset [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]><urlset><url><loc>&b;</loc></url></urlset>',
      'not-xml',
    ],
    [`<urlset>${'<a>'.repeat(20)}`, 'too-deep'],
  ] as const)('refuses %s', (text, reason) => {
    expect(readAll([text]).faults.map((fault) => fault.reason)).toEqual([reason]);
  });

  it('says the line it could not read on from, and keeps what it read before', () => {
    const { pages, faults } = readAll([
      '<urlset>\n<url><loc>https://a.example/</loc></url>\n<url><loc>oops</url>',
    ]);
    expect([pages.length, faults]).toEqual([1, [{ line: 3, reason: 'not-xml' }]]);
  });

  it('reads no more addresses than the protocol allows', () => {
    const { pages, faults } = readAll([
      '<urlset>',
      '<url><loc>https://a.example/</loc></url>'.repeat(ADDRESSES_MAX + 5),
      '</urlset>',
    ]);
    expect([pages.length, faults.map(({ reason }) => reason)]).toEqual([ADDRESSES_MAX, ['too-many']]);
  });

  it('unpacks gzip by what the bytes begin with, whatever the pieces; broken gzip is told', async () => {
    for (const bytes of [Buffer.from(SITEMAP), gzipSync(SITEMAP)]) {
      const { heard, on } = hearer();
      await readSitemapBytes(pieces(bytes, 7), on);
      expect([heard.pages.length, heard.faults]).toEqual([2, []]);
    }
    const { heard, on } = hearer();
    await readSitemapBytes(pieces(gzipSync(SITEMAP).subarray(0, 60), 7), on);
    expect(heard.faults.map(({ reason }) => reason)).toEqual(['not-gzip']);
  });

  it('stops where a small file unpacks to more than the protocol allows', async () => {
    const bomb = gzipSync(Buffer.concat([Buffer.from('<urlset>'), Buffer.alloc(60 * 1024 * 1024, 32)]));
    const { heard, on } = hearer();
    await readSitemapBytes(pieces(bomb, 65_536), on);
    expect([bomb.length < 100_000, heard.faults.map(({ reason }) => reason)]).toEqual([true, ['too-large']]);
  });

  it('law: reads the same wherever the text is cut', () => {
    const whole = readAll([SITEMAP]);
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 50 }), { minLength: 1, maxLength: 30 }), (sizes) => {
        const chunks: string[] = [];
        for (let at = 0, turn = 0; at < SITEMAP.length; turn++) {
          chunks.push(SITEMAP.slice(at, at + (sizes[turn % sizes.length] ?? 1)));
          at += sizes[turn % sizes.length] ?? 1;
        }
        expect(readAll(chunks)).toEqual(whole);
      }),
      { numRuns: 200, seed: 20261126 },
    );
  });
});
