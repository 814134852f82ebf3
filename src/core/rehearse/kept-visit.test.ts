import { describe, expect, it } from 'vitest';
import { calendar } from '../../../tests/made/hours';
import { all, condition, invitations } from '../../../tests/made/invitations';
import { DESK, EVENING, madeDesign, madeSite } from '../../../tests/made/site';
import { type Expectation, checkVisit, heldAt, readExpectation } from './kept-visit';

const stay = (seconds: number) =>
  invitations({ when: all(condition({ kind: 'on-page', seconds })), oncePer: { kind: 'visit' } });
const assumptions = {
  page: '/tonight',
  at: EVENING,
  visit: 'first',
  device: 'desktop',
  locale: 'en',
  who: 'in',
  asks: null,
  zone: null,
} as const;
const check = (seconds: number, steps: string, expects: Expectation, team: 'in' | 'nobody' = 'nobody') =>
  checkVisit(madeSite({ design: madeDesign(stay(seconds)), teams: { [DESK]: team } }), {
    assumptions,
    held: {},
    steps,
    expects,
  });
const gets: Expectation = { kind: 'gets', invitation: 'invitation-a' };

describe('a kept visit', () => {
  it('goes by its own people and time, not by who is in when it is run', () => {
    expect(check(40, 'w40', gets)).toEqual({ holds: true, moment: 'invited', got: ['invitation-a'] });
    expect(check(40, 'open', { kind: 'ends-at', moment: 'at-the-door' }).holds).toBe(true);
  });

  it('tells when a design no longer comes to it', () => {
    expect(check(60, 'w40', gets).holds).toBe(false);
    expect(check(60, 'w40', { ...gets, kind: 'never-gets' }).holds).toBe(true);
    expect(check(40, 'w40', { ...gets, kind: 'never-gets' }).holds).toBe(false);
  });

  it('what was held by hand then holds whenever it is run, and what is held now does not', () => {
    const design = madeDesign({ ...stay(40), calendarId: 'night' });
    const now = { night: { isOpen: true, until: EVENING + 60_000, reason: '' } };
    const site = madeSite({ design, calendars: [calendar({})], overrides: now });
    const visit = {
      assumptions,
      steps: 'open',
      expects: { kind: 'ends-at', moment: 'at-the-door' } as const,
    };
    expect(checkVisit(site, { ...visit, held: heldAt(now, EVENING) }).holds).toBe(true);
    expect(
      checkVisit(
        { ...site, pointer: { ...site.pointer, overrides: {} } },
        { ...visit, held: { night: true } },
      ).holds,
    ).toBe(true);
    expect(checkVisit(site, { ...visit, held: {} }).holds).toBe(false);
    expect(heldAt(now, EVENING + 60_000)).toEqual({});
  });

  it('what was shown and went counts as got', () => {
    expect(check(10, 'w10~no~w60', gets)).toMatchObject({ holds: true, moment: 'passing-by' });
  });

  it('an expectation that cannot be read is none', () => {
    for (const wrong of [
      null,
      'gets',
      {},
      { kind: 'gets' },
      { kind: 'gets', invitation: '<b>' },
      { kind: 'ends-at', moment: 'constructor' },
    ])
      expect(readExpectation(wrong)).toBeNull();
    expect(readExpectation({ kind: 'ends-at', moment: 'goodbye', more: 1 })).toEqual({
      kind: 'ends-at',
      moment: 'goodbye',
    });
  });
});
