import { describe, expect, it } from 'vitest';
import { at } from '../../../tests/made/hours';
import { type PageViewFault, type PageViewRecord, csvReader, ndjsonReader } from './page-views';

function read(make: typeof csvReader, ...pieces: string[]) {
  const views: PageViewRecord[] = [];
  const faults: PageViewFault[] = [];
  const reader = make({ view: (view) => views.push(view), fault: (fault) => faults.push(fault) });
  pieces.forEach((piece) => reader.write(piece));
  reader.end();
  return { views, faults };
}

describe('page views', () => {
  it('reads CSV in pieces that break anywhere, with quoted fields, by the names in its first row', () => {
    const text =
      'time,url,visitor,referrer\r\n2026-11-25T21:00:00Z,"https://farrowisle.example/a,b",7,\r\n1795640400,/tonight,8,https://news.example/';
    for (const size of [1, 5, 1000]) {
      const pieces = Array.from({ length: Math.ceil(text.length / size) }, (_, place) =>
        text.slice(place * size, (place + 1) * size),
      );
      expect(read(csvReader, ...pieces)).toEqual({
        views: [
          {
            visitor: '7',
            at: at('2026-11-25T21:00'),
            address: 'https://farrowisle.example/a,b',
            referrer: null,
          },
          { visitor: '8', at: 1_795_640_400_000, address: '/tonight', referrer: 'https://news.example/' },
        ],
        faults: [],
      });
    }
  });

  it('reads NDJSON, and a time without a zone is no instant', () => {
    const lines = [
      '{"at":1795640400000,"page":"/x","session":"s"}',
      '{"at":"2026-11-25T21:00:00","page":"/x","session":"s"}',
      '[1]',
      '{"at"',
    ];
    expect(read(ndjsonReader, lines.join('\n'))).toEqual({
      views: [{ visitor: 's', at: 1_795_640_400_000, address: '/x', referrer: null }],
      faults: [
        { line: 2, reason: 'no-time' },
        { line: 3, reason: 'not-json' },
        { line: 4, reason: 'not-json' },
      ],
    });
  });

  it('a hostile line is skipped and told, without being kept: a megabyte without a break, a name every object has', () => {
    const long = Array.from({ length: 64 }, () => 'x'.repeat(16_384));
    expect(read(ndjsonReader, ...long, '\n{"at":1795640400000,"page":"/x","session":"s"}\n')).toMatchObject({
      views: [{ address: '/x' }],
      faults: [{ line: 1, reason: 'too-long' }],
    });
    expect(
      read(ndjsonReader, '{"at":1795640400000,"page":"javascript:alert(1)","session":"s"}\n').faults,
    ).toEqual([{ line: 1, reason: 'no-address' }]);
  });
});
