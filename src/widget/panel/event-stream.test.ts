import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type StreamEvent, eventCutter } from './event-stream';

const TEXT =
  ': a comment\n\nevent: beat\ndata: {}\n\nid: 7\nevent: entry\ndata: {"a":1}\n\nevent: teams\r\ndata:{}\r\n\r\ndata: one\ndata: two\n\nevent: half';
const EVENTS: StreamEvent[] = [
  { name: 'beat', id: null, data: '{}' },
  { name: 'entry', id: '7', data: '{"a":1}' },
  { name: 'teams', id: null, data: '{}' },
  { name: 'message', id: null, data: 'one\ntwo' },
];

describe('eventCutter', () => {
  it('law: gives the same events however the text is cut into chunks, and keeps the unfinished one back', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 80 }), (sizes) => {
        const events: StreamEvent[] = [];
        const cut = eventCutter((event) => events.push(event));
        let at = 0;
        for (let turn = 0; at < TEXT.length; turn++) {
          const size = sizes[turn % sizes.length] ?? 1;
          cut(TEXT.slice(at, at + size));
          at += size;
        }
        expect(events).toEqual(EVENTS);
      }),
      { numRuns: 500, seed: 20261124 },
    );
  });
});
