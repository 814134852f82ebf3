import { describe, expect, it } from 'vitest';
import { AZORES, ZONES, at, day } from '../../../tests/made/hours';
import { all, any, condition, not } from '../../../tests/made/invitations';
import { EVENING, madeVisit, pageRule } from '../../../tests/made/site';
import { pageFactsOf } from '../pages/page-facts';
import { EMPTY_MEMORY, type VisitRecord } from '../model/memory';
import { toZone } from '../hours/zone';
import type { Circumstances } from '../model/circumstances';
import type { ConditionBody, When } from '../model/condition';
import { DAY_MS, SECOND_MS } from '../model/units';
import { toWireGroup } from './compile';
import { type JudgeContext, judge } from './judge';

const ZONE = toZone(ZONES.offsetsOf(AZORES, Date.UTC(2025, 0, 1), Date.UTC(2038, 0, 1)) ?? []);
const VISIT: VisitRecord = {
  number: 1,
  startedAt: EVENING,
  lastAt: EVENING,
  doneMs: 0,
  tabs: 1,
  pages: 1,
  referrer: null,
  campaign: null,
  shown: 0,
  leftAt: null,
};

function askedFor(visit: Circumstances, change: Partial<JudgeContext> = {}): JudgeContext {
  const page = pageFactsOf(visit.page);
  return {
    circumstances: visit,
    address: page.address,
    takes: page.takes(visit),
    state: 'in',
    stateNext: Infinity,
    zone: ZONE,
    statesOnly: false,
    ...change,
  };
}
const wire = (when: When) => toWireGroup(when, (fault) => expect(fault).toBeNull());
const judged = (when: When, visit: Circumstances = madeVisit(), change: Partial<JudgeContext> = {}) =>
  judge(wire(when), askedFor(visit, change));
const holds = (body: ConditionBody, visit: Circumstances = madeVisit(), change: Partial<JudgeContext> = {}) =>
  judged(all(condition(body)), visit, change).is;
const kept = (change: Partial<VisitRecord>, before: number[] = []) =>
  madeVisit({ level: 'kept', memory: { ...EMPTY_MEMORY, visit: { ...VISIT, ...change }, before } });

describe('judge', () => {
  it('[I1] empty all of holds, empty any of does not', () => {
    expect(judged(all()).is).toBe(true);
    expect(judged(any()).is).toBe(false);
  });

  it('[I1] a negated group of any of is neither of them, not one of them missing', () => {
    const phone: ConditionBody = { kind: 'device', devices: ['phone'] };
    const desktop: ConditionBody = { kind: 'device', devices: ['desktop'] };
    const neither = all({ join: 'any', isNot: true, conditions: [condition(phone), condition(desktop)] });
    expect(judged(neither).is).toBe(false);
    expect(judged(neither, madeVisit({ visitor: { device: 'tablet' } })).is).toBe(true);
  });

  it('[D4] an unknown kind counts as false, also where it is negated', () => {
    const visit = askedFor(madeVisit());
    expect(judge(['moon', 0, 'full'] as never, visit).is).toBe(false);
    expect(judge(['moon', 1, 'full'] as never, visit).is).toBe(false);
  });

  it('[I2] page: one of the rules takes it, by the same reading as a widget’s', () => {
    const rules = [pageRule('begins-with', '/groups/'), pageRule('exact', '/tonight')];
    expect(holds({ kind: 'page', rules })).toBe(true);
    expect(
      holds({ kind: 'page', rules }, madeVisit({ page: { address: 'https://farrowisle.example/groups' } })),
    ).toBe(true);
    expect(
      holds({ kind: 'page', rules }, madeVisit({ page: { address: 'https://farrowisle.example/visit' } })),
    ).toBe(false);
  });

  it('[I2] referrer: the page before it; none takes nothing', () => {
    const rules = [{ ...pageRule('exact', 'news.example'), part: 'host' as const }];
    expect(
      holds({ kind: 'referrer', rules }, madeVisit({ visitor: { referrer: 'https://news.example/a' } })),
    ).toBe(true);
    expect(holds({ kind: 'referrer', rules })).toBe(false);
  });

  it('[I2] language goes by the browser’s first; pt is also pt-BR, and not the other way round', () => {
    const visit = madeVisit({ visitor: { languages: ['pt-BR', 'en'] } });
    expect(holds({ kind: 'language', languages: ['pt'] }, visit)).toBe(true);
    expect(holds({ kind: 'language', languages: ['en'] }, visit)).toBe(false);
    expect(
      holds({ kind: 'language', languages: ['pt-BR'] }, madeVisit({ visitor: { languages: ['pt'] } })),
    ).toBe(false);
    expect(holds({ kind: 'language', languages: ['p'] }, visit)).toBe(false);
  });

  it('[I2] parameter is set also if empty, and any value of that name counts', () => {
    const visit = madeVisit({ page: { address: 'https://farrowisle.example/?look=&group=a&group=b+c' } });
    expect(holds({ kind: 'parameter', name: 'look', value: null }, visit)).toBe(true);
    expect(holds({ kind: 'parameter', name: 'group', value: 'b c' }, visit)).toBe(true);
    expect(holds({ kind: 'parameter', name: 'absent', value: null }, visit)).toBe(false);
    expect(holds({ kind: 'attribute', name: 'constructor', value: null }, visit)).toBe(false);
  });

  it('[I2] visits in N days count this one; days since the last visit are whole days before this one began', () => {
    const visit = kept({ number: 3 }, [EVENING - 3 * DAY_MS, EVENING - 20 * DAY_MS]);
    expect(holds({ kind: 'visits-in-days', atLeast: 2, days: 14 }, visit)).toBe(true);
    expect(holds({ kind: 'visits-in-days', atLeast: 3, days: 14 }, visit)).toBe(false);
    expect(holds({ kind: 'days-since-visit', atLeast: 3 }, visit)).toBe(true);
    expect(holds({ kind: 'days-since-visit', atLeast: 4 }, visit)).toBe(false);
    expect(holds({ kind: 'visit-number', atLeast: 3 }, visit)).toBe(true);
    expect(holds({ kind: 'pages-seen', atLeast: 2 }, visit)).toBe(false);
  });

  it('[I2] a window of the week belongs to the day it began: Friday 22:00 to 02:00 holds on Saturday at 01:00, not on Friday at 01:00', () => {
    const late: ConditionBody = { kind: 'week-time', days: [4], from: 22 * 60, to: 2 * 60 };
    const on = (text: string) => judged(all(condition(late)), madeVisit({ now: at(text) }));
    expect(on('2026-11-28T02:00').is).toBe(true); // Saturday 01:00 in the Azores
    expect(on('2026-11-27T02:00').is).toBe(false); // Friday 01:00
    expect(on('2026-11-27T12:00').next).toBe(at('2026-11-27T23:00'));
    expect(on('2026-11-28T02:00').next).toBe(at('2026-11-28T03:00'));
  });

  it('[I2] dates are whole days of the site, not of the visitor and not of UTC', () => {
    const eclipse: ConditionBody = { kind: 'dates', from: day('2027-08-02'), to: day('2027-08-02') };
    const on = (text: string) => judged(all(condition(eclipse)), madeVisit({ now: at(text) })).is;
    expect([
      on('2027-08-01T23:59'),
      on('2027-08-02T00:00'),
      on('2027-08-02T23:59'),
      on('2027-08-03T00:00'),
    ]).toEqual([false, true, true, false]);
    const winter = all(condition({ kind: 'dates', from: day('2026-12-24'), to: day('2026-12-24') }));
    expect(judged(winter, madeVisit({ now: at('2026-12-25T00:30') })).is).toBe(true); // an hour behind UTC in winter
  });

  it('[I2] a clock holds from its second on, and says when; one that stands never comes', () => {
    const body: ConditionBody = { kind: 'on-page', seconds: 40 };
    const on = (ms: number) => judged(all(condition(body)), madeVisit({ now: EVENING + ms }));
    expect([on(39_999).is, on(40_000).is]).toEqual([false, true]);
    expect(on(0).next).toBe(EVENING + 40_000);
    const hidden = madeVisit({ now: EVENING + 60_000, page: { clock: { doneMs: 39_000, since: null } } });
    expect(judged(all(condition(body)), hidden)).toMatchObject({ is: false, next: Infinity });
  });

  it('[A5] a clock that stands wakes nobody; idle listens for activity, and only idle does', () => {
    expect(judged(all(condition({ kind: 'idle', seconds: 20 })))).toMatchObject({
      is: false,
      next: EVENING + 20 * SECOND_MS,
      on: 4,
    });
    expect(judged(all(condition({ kind: 'on-page', seconds: 20 })))).toMatchObject({ on: 0 });
  });

  it('[I2] a latch stays true; an instant event is an instant and only of its own selector', () => {
    expect(holds({ kind: 'scrolled', percent: 60 }, madeVisit({ page: { scrolled: 60 } }))).toBe(true);
    expect(judged(all(condition({ kind: 'scrolled', percent: 60 }))).on).toBe(1);
    expect(holds({ kind: 'seen', selector: '.map' }, madeVisit({ page: { seen: ['.map'] } }))).toBe(true);
    const clicked = madeVisit({ page: { instantEvent: { kind: 'clicked', selector: '.map' } } });
    expect(holds({ kind: 'clicked', selector: '.map' }, clicked)).toBe(true);
    expect(holds({ kind: 'clicked', selector: '.other' }, clicked)).toBe(false);
    expect(holds({ kind: 'leaving' }, clicked)).toBe(false);
  });

  it('what one member keeps false asks for nothing: no instant, no listener', () => {
    const phone = condition({ kind: 'device', devices: ['phone'] });
    const waits = condition({ kind: 'on-page', seconds: 40 });
    const scrolls = condition({ kind: 'scrolled', percent: 50 });
    expect(judged(all(waits, scrolls, phone))).toMatchObject({ is: false, next: Infinity, on: 0 });
    expect(judged(any(waits, not({ kind: 'device', devices: ['phone'] })))).toMatchObject({
      is: true,
      next: Infinity,
      on: 0,
    });
  });

  it('all of come true with the last of them, any of with the first', () => {
    const [early, late] = [
      condition({ kind: 'on-page', seconds: 10 }),
      condition({ kind: 'on-page', seconds: 30 }),
    ];
    expect(judged(all(early, late)).next).toBe(EVENING + 30_000);
    expect(judged(any(early, late)).next).toBe(EVENING + 10_000);
    expect(judged(all(not({ kind: 'on-page', seconds: 10 }), late)).next).toBe(EVENING + 30_000);
  });
});
