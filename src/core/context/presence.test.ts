import { describe, expect, it } from 'vitest';
import { at, calendar, day, everyDay } from '../../../tests/made/hours';
import { DESK, EVENING, madeDesign, madeSite, madeVisit } from '../../../tests/made/site';
import { decide } from '../decide/decide';
import type { TeamState } from '../model/moment';
import { SECOND_MS } from '../model/units';
import { lampOf } from '../model/lamp';
import { bestOf, stateOf } from './presence';

const stateAt = (lastReport: TeamState, ageMs: number | null) => {
  const site = madeSite({ teams: { [DESK]: lastReport } });
  const [widget] = site.design.widgets;
  if (widget === undefined) throw new Error('Expected a widget.');
  return stateOf(site, widget, madeVisit(ageMs === null ? { heardAt: null } : { now: EVENING + ageMs }));
};
import { type TeamMember, teamStateOf } from './team-state';

describe('stateOf', () => {
  it('[S3] the best of several teams: in before nearby before busy before nobody', () => {
    expect(bestOf(['nobody', 'busy', 'nearby'])).toBe('nearby');
    expect(bestOf(['busy', 'in', 'nobody'])).toBe('in');
    expect(bestOf([])).toBe('nobody');
  });

  it('[S3] a widget asks its own teams only', () => {
    const site = madeSite({
      design: madeDesign({ teams: ['another'] }),
      teams: { [DESK]: 'in', another: 'busy' },
    });
    const [widget] = site.design.widgets;
    if (widget === undefined) throw new Error('Expected a widget.');
    expect(stateOf(site, widget, madeVisit()).state).toBe('busy');
  });

  it('[S6] what was said about people is held for three minutes, not a millisecond longer', () => {
    expect(stateAt('in', 180 * SECOND_MS - 1)).toMatchObject({ state: 'in', isKnown: true });
    expect(stateAt('in', 180 * SECOND_MS)).toMatchObject({ state: 'nobody', isKnown: false });
    expect(stateAt('in', null)).toMatchObject({ state: 'nobody', isKnown: false });
  });

  it('[S4] unknown is unlit like nobody, and closed is not nobody', () => {
    expect(lampOf('in', true)).toBe('lit');
    expect(lampOf('in', false)).toBe('unlit');
    expect([
      lampOf('nearby', true),
      lampOf('busy', true),
      lampOf('nobody', true),
      lampOf('closed', true),
    ]).toEqual(['half', 'queue', 'unlit', 'shutter']);
  });

  const night = calendar({ week: everyDay('19:00-21:00') }); // 20:00Z to 22:00Z in winter
  const nightSite = (more: Parameters<typeof madeSite>[0] = {}) =>
    madeSite({ design: madeDesign({ calendarId: 'night' }), calendars: [night], ...more });

  it('[S3] hours that are closed close, whoever is in; open hours give way to the team', () => {
    expect(
      decide(nightSite(), madeVisit({ now: at('2026-11-25T22:00'), heardAt: at('2026-11-25T22:00') })).state,
    ).toBe('closed');
    expect(decide(nightSite(), madeVisit()).state).toBe('in');
    expect(decide(nightSite({ teams: { [DESK]: 'nobody' } }), madeVisit()).state).toBe('nobody');
  });

  it('[H12] an override in the pointer wins over the hours, and ends that very second', () => {
    const closed = nightSite({
      overrides: { night: { isOpen: false, until: EVENING + 60_000, reason: 'Cloud' } },
    });
    const decision = decide(closed, madeVisit());
    expect(decision).toMatchObject({ state: 'closed', closedBy: 'override', askAgainAt: EVENING + 60_000 });
    const later = EVENING + 60_000;
    expect(decide(closed, madeVisit({ now: later, heardAt: later })).state).toBe('in');
    const open = { isWindowOpen: true };
    expect(decide(closed, madeVisit(open)).lines).toContainEqual({
      key: 'nobodyHome',
      values: { openingTime: later, reason: 'Cloud' },
    });
  });

  it('[S6] from dark to lit takes a fresh word: until it was asked for, nobody is said to be there', () => {
    const visit = madeVisit({ now: EVENING + 20_000, isLit: false });
    expect(decide(madeSite(), visit)).toMatchObject({
      state: 'nobody',
      isStateKnown: false,
      wantsFresh: true,
    });
    expect(decide(madeSite(), { ...visit, heardAt: visit.now })).toMatchObject({
      state: 'in',
      wantsFresh: false,
    });
    expect(decide(madeSite(), { ...visit, isLit: true })).toMatchObject({ state: 'in', wantsFresh: false });
  });

  it('[S7] the calendar’s next change is an occasion: opening asks the pointer before it says that somebody is in', () => {
    const before = madeVisit({ now: at('2026-11-25T19:58'), heardAt: at('2026-11-25T19:58'), isLit: false });
    expect(decide(nightSite(), before)).toMatchObject({
      state: 'closed',
      askAgainAt: at('2026-11-25T20:00'),
    });
    expect(decide(nightSite(), { ...before, now: at('2026-11-25T20:00') })).toMatchObject({
      state: 'nobody',
      wantsFresh: true,
    });
  });

  it('[S6] with the window open a word is asked for again when it is no longer fresh', () => {
    const open = madeVisit({ isWindowOpen: true });
    expect(decide(madeSite(), open)).toMatchObject({ wantsFresh: false, askAgainAt: EVENING + 15_000 });
    expect(decide(madeSite(), { ...open, now: EVENING + 15_000 }).wantsFresh).toBe(true);
    expect(decide(madeSite(), madeVisit({ now: EVENING + 15_000 })).wantsFresh).toBe(false);
  });

  it('[D6] a calendar that is gone goes by who is in, and a zone that is gone never throws', () => {
    const gone = madeSite({ design: madeDesign({ calendarId: 'gone' }) });
    expect(decide(gone, madeVisit())).toMatchObject({ state: 'in', closedBy: null });
    const site = nightSite();
    expect(() => decide({ ...site, facts: { ...site.facts, zones: {} } }, madeVisit())).not.toThrow();
  });

  it('[H15] why it is closed is told, and asked for anew when another date gives another reason', () => {
    const moon = {
      id: 'moon',
      name: 'Moon festival',
      days: { kind: 'holiday' as const, day: day('2026-11-26') },
      intervals: [],
      endsNightBefore: false,
    };
    const site = nightSite({ calendars: [calendar({ week: everyDay('19:00-21:00'), exceptions: [moon] })] });
    const late = decide(site, madeVisit({ now: at('2026-11-25T23:00') }));
    expect(late).toMatchObject({ closedBy: 'outside', askAgainAt: at('2026-11-26T01:00') }); // midnight in the Azores
    const holiday = decide(site, madeVisit({ now: at('2026-11-26T01:00'), isWindowOpen: true }));
    expect(holiday.closedBy).toBe('holiday');
    expect(holiday.lines).toContainEqual({
      key: 'nobodyHome',
      values: { openingTime: at('2026-11-27T20:00'), holidayName: 'Moon festival' },
    });
  });

  it('two hours before closing the door says until when, and ten minutes before a waiting visitor is told', () => {
    const keys = (text: string) =>
      decide(nightSite(), madeVisit({ now: at(text), heardAt: at(text), isWindowOpen: true })).lines.map(
        ({ key }) => key,
      );
    expect(keys('2026-11-25T20:00')).toContain('status.until');
    const long = nightSite({ calendars: [calendar({ week: everyDay('15:00-21:00') })] });
    const at19 = decide(
      long,
      madeVisit({ now: at('2026-11-25T19:59'), heardAt: at('2026-11-25T19:59'), isWindowOpen: true }),
    );
    expect(at19.lines.map(({ key }) => key)).not.toContain('status.until');
  });
});

describe('teamStateOf', () => {
  const team = (...members: [TeamMember['presence'], number][]) =>
    teamStateOf(members.map(([presence, freeSlots]) => ({ presence, freeSlots })));

  it('[S1] somebody in with room is in; room of who is only nearby makes nearby, not in, whoever else is full; out counts for nothing', () => {
    expect(team(['in', 0], ['in', 1], ['nearby', 1])).toBe('in');
    expect(team(['in', 0], ['nearby', 2])).toBe('nearby');
    expect(team(['in', 0], ['nearby', 0], ['out', 5])).toBe('busy');
    expect(team(['in', -1])).toBe('busy'); // a limit that was lowered meanwhile
    expect(team(['out', 5])).toBe('nobody');
    expect(team()).toBe('nobody');
  });
});
