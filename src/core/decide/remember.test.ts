import { describe, expect, it } from 'vitest';
import { DAY_MS, MINUTE_MS, SECOND_MS } from '../model/units';
import { elapsedAt } from '../model/page-clock';
import { EMPTY_MEMORY, type Memory, visitClock } from '../model/memory';
import { originOf } from './origin';
import { readMemory } from './read-memory';
import { type MemoryEvent, isNoByClosing, pruned, remember, visitOf, withinLevel } from './remember';

const TOKEN = 'a'.repeat(43);
const NOW = 1_795_640_400_000;
const view = (at: number, address = '/a'): MemoryEvent => ({
  kind: 'page-view',
  at,
  address,
  referrer: null,
  campaign: null,
});
const played = (happenings: readonly MemoryEvent[], from: Memory = EMPTY_MEMORY) =>
  happenings.reduce((memory, event) => remember(memory, event, 'kept'), from);
const visibleMs = (memory: Memory, at: number) =>
  memory.visit === null ? 0 : elapsedAt(visitClock(memory.visit), at);

describe('remember', () => {
  it('[V7] at asked nothing is kept of a page view; then the token, the no and the put-away, and no more', () => {
    const asked = (memory: Memory, event: MemoryEvent) => remember(memory, event, 'asked');
    expect(asked(EMPTY_MEMORY, view(NOW))).toEqual(EMPTY_MEMORY);
    expect(asked(EMPTY_MEMORY, { kind: 'wrote', token: TOKEN })).toEqual({ ...EMPTY_MEMORY, token: TOKEN });
    expect(asked(EMPTY_MEMORY, { kind: 'declined', at: NOW, restDays: 30 }).restUntil).toBe(
      NOW + 30 * DAY_MS,
    );
  });

  it('[V8] consent taken back removes what the lower level may not keep, and leaves what the visitor asked for', () => {
    const kept = played([
      view(NOW),
      { kind: 'seen', at: NOW },
      { kind: 'invitation-shown', id: 'x', at: NOW },
      { kind: 'wrote', token: TOKEN },
    ]);
    expect(kept.visit).not.toBeNull();
    expect(withinLevel(kept, 'asked')).toEqual({ ...EMPTY_MEMORY, token: TOKEN });
  });

  it('[V8] a page that has not asked yet takes away nothing that was kept under consent, and adds nothing to it', () => {
    const kept = played([
      view(NOW),
      { kind: 'seen', at: NOW },
      { kind: 'invitation-shown', id: 'x', at: NOW },
    ]);
    expect(remember(kept, view(NOW + 1000), 'asked')).toEqual(kept);
    expect(remember(kept, { kind: 'declined', at: NOW, restDays: 1 }, 'asked')).toEqual({
      ...kept,
      restUntil: NOW + DAY_MS,
    });
  });

  it('[V8] forgotten takes everything, a refused token only itself', () => {
    const memory = played([
      { kind: 'wrote', token: TOKEN },
      { kind: 'put-away', until: 5 },
    ]);
    expect(remember(memory, { kind: 'token-refused' }, 'asked')).toEqual({
      ...EMPTY_MEMORY,
      putAwayUntil: 5,
    });
    expect(remember(memory, { kind: 'forgotten' }, 'asked')).toEqual(EMPTY_MEMORY);
  });

  it('[V2] a visit ends after 30 minutes in which no tab was visible, not after 30 minutes of looking', () => {
    const looked = played([
      view(NOW),
      { kind: 'seen', at: NOW },
      { kind: 'hidden', at: NOW + 50 * MINUTE_MS },
    ]);
    expect(played([view(NOW + 79 * MINUTE_MS)], looked).visit?.number).toBe(1);
    expect(played([view(NOW + 80 * MINUTE_MS)], looked).visit?.number).toBe(2);
    const second = played([view(NOW + 40 * MINUTE_MS)], played([view(NOW), { kind: 'seen', at: NOW }]));
    expect(second.visit?.number).toBe(1); // another tab has been visible all the time
  });

  it('[V3] the visit’s clock runs while a tab is visible, and stands while none is', () => {
    const memory = played([view(NOW), { kind: 'seen', at: NOW }, { kind: 'hidden', at: NOW + 10_000 }]);
    expect(visibleMs(memory, NOW + 60_000)).toBe(10_000);
    expect(visibleMs(played([{ kind: 'seen', at: NOW + 60_000 }], memory), NOW + 65_000)).toBe(15_000);
  });

  it('[V4] two visible tabs do not count twice', () => {
    const both = played([
      view(NOW),
      { kind: 'seen', at: NOW },
      view(NOW + 5000),
      { kind: 'seen', at: NOW + 5000 },
    ]);
    expect(visibleMs(both, NOW + 20_000)).toBe(20_000);
    expect(visibleMs(played([{ kind: 'hidden', at: NOW + 20_000 }], both), NOW + 30_000)).toBe(30_000);
  });

  it('[V5] referrer and campaign are those of the first page; one on the site’s own domains is none', () => {
    const first = originOf('https://a.example/?utm_campaign=eclipse', 'https://else.example/list');
    const memory = played([{ kind: 'page-view', at: NOW, address: '/', ...first }, view(NOW + SECOND_MS)]);
    expect(memory.visit).toMatchObject({
      pages: 2,
      referrer: 'https://else.example/list',
      campaign: 'eclipse',
    });
    expect(originOf('https://a.example/x', 'https://a.example/').referrer).toBeNull();
    expect(originOf('https://a.example/x', 'https://www.a.example/', ['www.a.example']).referrer).toBeNull();
  });

  it('[V6] what cannot be known is neither first nor returning', () => {
    expect(visitOf(EMPTY_MEMORY)).toBe('unknown');
    expect(visitOf(played([view(NOW)]))).toBe('first');
    expect(visitOf(played([view(NOW), view(NOW + DAY_MS)]))).toBe('returning');
  });

  it('[V9] without consent to more, the trail begins when the visitor has written, and a page loaded again is one', () => {
    const view = (memory: Memory, address: string, at: number, level: 'none' | 'asked' = 'asked') =>
      remember(memory, { kind: 'page-view', at, address, referrer: null, campaign: null }, level);
    const before = view(EMPTY_MEMORY, 'isle.example/', 1);
    expect(before).toEqual(EMPTY_MEMORY);
    const wrote = remember(before, { kind: 'wrote', token: 'x'.repeat(43) }, 'asked');
    const after = [
      'https://isle.example/a?utm_source=x',
      'https://isle.example/a#b',
      'https://isle.example/b?x=1',
    ].reduce((memory, address, at) => view(memory, address, at), wrote);
    expect(after.trail).toEqual([
      ['isle.example/a', 0],
      ['isle.example/b?x=1', 2],
    ]);
    expect(after.visit).toBeNull();
    expect(withinLevel(after, 'asked').trail).toHaveLength(2);
    expect(withinLevel(after, 'none').trail).toEqual([]);
    expect(view(wrote, 'isle.example/a', 1, 'none').trail).toEqual([]);
  });

  it('[V9] the trail holds the visit’s pages, the last 50, and begins anew with the next visit', () => {
    const many = played(Array.from({ length: 60 }, (_, index) => view(NOW + index, `/p${index}`)));
    expect(many.trail.map(([address]) => address)).toEqual(
      Array.from({ length: 50 }, (_, index) => `/p${index + 10}`),
    );
    expect(played([view(NOW + DAY_MS, '/again')], many).trail).toEqual([['/again', NOW + DAY_MS]]);
  });

  it('[V8] never more than 4 KB: the oldest steps go first, then the oldest counters', () => {
    const shown = Array.from({ length: 30 }, (_, index): MemoryEvent => ({
      kind: 'invitation-shown',
      id: `invitation${index}`.padEnd(40, 'x'),
      at: NOW,
    }));
    const views = Array.from({ length: 50 }, (_, index) =>
      view(NOW + index, `/${String(index)}${'y'.repeat(300)}`),
    );
    const memory = played([...views, ...shown]);
    expect(JSON.stringify(memory).length).toBeLessThanOrEqual(4096);
    expect(Object.keys(memory.counts)).toContain('invitation29'.padEnd(40, 'x'));
    expect(memory.visit?.shown).toBe(30);
  });

  it('[V8] what is kept is read back; damaged, foreign or too long counts as none', () => {
    const memory = played([
      view(NOW),
      { kind: 'seen', at: NOW },
      { kind: 'invitation-shown', id: 'x', at: NOW },
      { kind: 'wrote', token: TOKEN },
    ]);
    expect(readMemory(JSON.stringify(memory), NOW)).toEqual(memory);
    for (const text of [
      null,
      '',
      '{',
      'null',
      '[]',
      '{"v":2,"token":"x"}',
      `{"v":1,"x":"${'x'.repeat(4096)}"}`,
    ])
      expect(readMemory(text, NOW)).toEqual(EMPTY_MEMORY);
  });

  it('[V8] a damaged part counts as none without taking the rest with it', () => {
    expect(readMemory('{"v":1,"token":"<b>","putAwayUntil":7}', NOW)).toEqual({
      ...EMPTY_MEMORY,
      putAwayUntil: 7,
    });
    expect(readMemory(`{"v":1,"token":"${TOKEN}","putAwayUntil":"soon"}`, NOW)).toEqual({
      ...EMPTY_MEMORY,
      token: TOKEN,
    });
    expect(
      readMemory('{"v":1,"visit":{"number":"x"},"counts":{"a":7,"b":[1,2,3]},"trail":[["/",1],7]}', NOW),
    ).toMatchObject({
      visit: null,
      counts: { b: [1, 2, 3] },
      trail: [['/', 1]],
    });
  });

  it('[V8] instants in the future count as now: a clock that was set back keeps nobody from anything', () => {
    const kept = played([
      view(NOW + 9 * DAY_MS),
      { kind: 'invitation-shown', id: 'x', at: NOW + 9 * DAY_MS },
    ]);
    const read = readMemory(JSON.stringify(kept), NOW);
    expect(read.visit).toMatchObject({ startedAt: NOW, lastAt: NOW });
    expect(read.counts['x']).toEqual([1, 1, NOW]);
  });

  it('[I11] counters go by id: those of invitations that are published no more are dropped', () => {
    const memory = played([
      view(NOW),
      { kind: 'invitation-shown', id: 'x', at: NOW },
      { kind: 'invitation-shown', id: 'y', at: NOW },
    ]);
    expect(Object.keys(pruned(memory, ['y', 'z']).counts)).toEqual(['y']);
  });

  it('[I7] closing within 10 s a window that an invitation opened counts as a no; one the visitor opened does not', () => {
    expect(isNoByClosing(NOW, NOW + 10 * SECOND_MS)).toBe(true);
    expect(isNoByClosing(NOW, NOW + 10 * SECOND_MS + 1)).toBe(false);
    expect(isNoByClosing(null, NOW)).toBe(false);
  });
});
