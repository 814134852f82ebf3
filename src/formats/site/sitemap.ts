import { SaxesParser } from 'saxes';

/** A page a sitemap names. */
export interface SitemapPage {
  readonly address: string;
  /** As it was written (W3C date-time); null where none was. */
  readonly changed: string | null;
}

/** Why a sitemap cannot be read on, and at which line. What was read before stays read. */
export interface SitemapFault {
  readonly line: number;
  readonly reason: 'not-xml' | 'not-a-sitemap' | 'too-many' | 'too-deep' | 'too-large' | 'not-gzip';
}

export interface SitemapReader {
  take(chunk: string): void;
  end(): void;
}

export interface SitemapHearer {
  page(page: SitemapPage): void;
  /** Another sitemap, out of an index. */
  sitemap(address: string): void;
  /** An address that is none, or too long: left out and told. */
  leftOut(text: string, line: number): void;
  /** Said once; nothing comes after it. */
  fault(fault: SitemapFault): void;
}

/** Bounds of the protocol itself (sitemaps.org), and ours. */
export const ADDRESSES_MAX = 50_000;
export const UNPACKED_BYTES_MAX = 52_428_800;
const ADDRESS_UNITS_MAX = 2048;
const DEPTH_MAX = 8;
const SITEMAP_UNITS_MAX = 4096;

/**
 * Reads a sitemap or an index of sitemaps piece by piece; it never holds more than one address. Entities beyond XML's
 * own are not known: a document that makes its own is refused.
 */
export function sitemapReader(on: SitemapHearer): SitemapReader {
  const parser = new SaxesParser();
  const open: string[] = [];
  let isOver = false;
  let text = '';
  let address: string | null = null;
  let changed: string | null = null;
  let count = 0;

  const fail = (reason: SitemapFault['reason']): void => {
    if (isOver) return;
    isOver = true;
    on.fault({ line: parser.line, reason });
  };
  parser.on('error', () => fail('not-xml'));
  parser.on('doctype', () => fail('not-xml'));
  parser.on('opentag', ({ name }) => {
    const own = name.replace(/^.*:/, '');
    open.push(own);
    if (open.length === 1 && own !== 'urlset' && own !== 'sitemapindex') return fail('not-a-sitemap');
    if (open.length > DEPTH_MAX) return fail('too-deep');
    if (open.length === 2) [address, changed] = [null, null];
    text = '';
  });
  const add = (more: string): void => {
    if (!isOver && text.length < SITEMAP_UNITS_MAX) text += more;
  };
  parser.on('text', add);
  parser.on('cdata', add);
  parser.on('closetag', () => {
    const name = open.pop();
    if (isOver) return;
    if (open.length === 2 && name === 'loc') address = text.trim();
    if (open.length === 2 && name === 'lastmod') changed = text.trim();
    if (open.length === 1 && (name === 'url' || name === 'sitemap')) tell(name);
    text = '';
  });
  const tell = (name: 'url' | 'sitemap'): void => {
    if (++count > ADDRESSES_MAX) return fail('too-many');
    if (address === null || address.length > ADDRESS_UNITS_MAX || !/^https?:\/\/[^\s]+$/i.test(address))
      return on.leftOut((address ?? '').slice(0, 200), parser.line);
    if (name === 'sitemap') on.sitemap(address);
    else on.page({ address, changed });
  };
  const guarded = (work: () => void): void => {
    if (isOver) return;
    try {
      work();
    } catch {
      fail('not-xml'); // told to whoever reads
    }
  };
  return {
    take: (chunk) => guarded(() => parser.write(chunk)),
    end: () => guarded(() => parser.close()),
  };
}

/** Reads the bytes of a sitemap, gzip or not by what they begin with; stops where it unpacks to more than the protocol allows. */
export async function readSitemapBytes(bytes: AsyncIterable<Uint8Array>, on: SitemapHearer): Promise<void> {
  const reader = sitemapReader(on);
  const decoder = new TextDecoder();
  let unpacked = 0;
  try {
    for await (const part of unzipped(bytes)) {
      unpacked += part.byteLength;
      if (unpacked > UNPACKED_BYTES_MAX) return on.fault({ line: 0, reason: 'too-large' });
      reader.take(decoder.decode(part, { stream: true }));
    }
  } catch {
    return on.fault({ line: 0, reason: 'not-gzip' }); // told to whoever reads
  }
  reader.take(decoder.decode());
  reader.end();
}

async function* unzipped(bytes: AsyncIterable<Uint8Array>): AsyncGenerator<Uint8Array> {
  const parts = bytes[Symbol.asyncIterator]();
  const first = await parts.next();
  if (first.done === true) return;
  const all = (async function* () {
    yield first.value;
    for (let part = await parts.next(); part.done !== true; part = await parts.next()) yield part.value;
  })();
  if (first.value[0] !== 0x1f || first.value[1] !== 0x8b) return yield* all;
  const stream = new ReadableStream<Uint8Array<ArrayBuffer>>({
    pull: async (controller) => {
      const part = await all.next();
      if (part.done === true) controller.close();
      else controller.enqueue(new Uint8Array(part.value));
    },
  });
  const reader = stream.pipeThrough(new DecompressionStream('gzip')).getReader();
  for (let part = await reader.read(); !part.done; part = await reader.read()) yield part.value;
}
