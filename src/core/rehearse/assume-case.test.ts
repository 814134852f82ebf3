import { describe, expect, it } from 'vitest';
import { at, calendar, day, everyDay, utc } from '../../../tests/made/hours';
import { EVENING, madeDesign, madeSite } from '../../../tests/made/site';
import type { HoursException } from '../model/calendar';
import type { Widget } from '../model/design';
import type { CaseCondition } from '../model/case-condition';
import { assumeCase } from './assume-case';
import type { Assumptions } from './assumptions';
import type { DrawnMoment } from '../model/moment';

const PLAIN: Assumptions = {
  page: '/tonight',
  at: null,
  visit: 'first',
  device: 'phone',
  locale: 'en',
  who: null,
  asks: null,
  zone: null,
};
const week = everyDay('19:00-21:00 21:30-23:00');
const holiday: HoursException = {
  id: 'eve',
  name: 'Christmas Eve',
  days: { kind: 'holiday', day: day('2026-12-24') },
  intervals: [],
  endsNightBefore: false,
};

function look(
  when: CaseCondition[],
  change: {
    widget?: Partial<Widget>;
    moment?: DrawnMoment;
    before?: CaseCondition[][];
    now?: number;
    assumptions?: Partial<Assumptions>;
  } = {},
) {
  const { moment = 'nobody-home', before = [], now = EVENING } = change;
  const design = madeDesign({ calendarId: 'night', ...change.widget }, { locales: ['en', 'pt'] });
  const teams = design.widgets[0]?.teams ?? [];
  const site = madeSite({
    design,
    teams: Object.fromEntries(teams.map((id) => [id, 'in'])),
    calendars: [calendar({ week, exceptions: [holiday] })],
  });
  const scene = {
    site,
    widgetKey: 'main',
    calendarId: 'night',
    teams,
    moment,
    locales: ['en', 'pt'],
    now,
  };
  const found = assumeCase(scene, when, before, { ...PLAIN, ...change.assumptions });
  return found === null ? null : { ...found, at: utc(found.at) };
}

describe('assumeCase', () => {
  it('leaves everything as it is where the case is heard already', () => {
    expect(look([['state', 'in']], { moment: 'at-the-door' })).toEqual({ ...PLAIN, at: null });
  });

  it('assumes no more than it takes: a visitor, a language, people', () => {
    expect(look([['visit', 'returning']], { moment: 'at-the-door' })).toEqual({
      ...PLAIN,
      at: null,
      visit: 'returning',
    });
    expect(look([['language', 'pt']], { moment: 'at-the-door' })).toEqual({
      ...PLAIN,
      at: null,
      locale: 'pt',
    });
    expect(look([['state', 'nobody']])).toEqual({ ...PLAIN, at: null, who: 'nobody' });
    expect(look([], { moment: 'at-the-door', before: [[['visit', 'first']]] })).toMatchObject({
      visit: 'returning',
    });
  });

  it('asks for another team where a case is that team’s, and for none where the widget has one only', () => {
    const widget = { teams: ['night', 'schools'] };
    expect(look([['team', 'schools']], { moment: 'at-the-door', widget })).toEqual({
      ...PLAIN,
      asks: 'schools',
    });
    expect(look([['team', 'night']], { moment: 'waiting', widget })).toEqual(PLAIN);
    expect(
      look([['team', 'night']], { moment: 'waiting', widget, assumptions: { asks: 'schools' } }),
    ).toMatchObject({ asks: 'night' });
    expect(look([['team', 'schools']], { moment: 'waiting' })).toBeNull();
  });

  it('finds the next break, and the next holiday from its first minute, though midnight opens and closes nothing', () => {
    expect(look([['closed-by', 'break']])).toMatchObject({ at: '2026-11-25T22:00Z', who: null });
    expect(look([['closed-by', 'holiday']])).toMatchObject({ at: '2026-12-24T01:00Z' });
    expect(look([['closed-by', 'outside']])).toMatchObject({ at: '2026-11-26T00:00Z' });
  });

  it('finds a holiday that is a whole year ahead, behind well over a thousand changes of the hours', () => {
    const dayAfter = at('2025-12-24T20:00');
    expect(look([['closed-by', 'holiday']], { now: dayAfter })).toMatchObject({ at: '2026-12-24T01:00Z' });
  });

  it('from a closed hour, an open one for who is in', () => {
    expect(look([['state', 'busy']], { moment: 'at-the-door', now: at('2026-11-25T03:00') })).toMatchObject({
      at: '2026-11-25T20:00Z',
      who: 'busy',
    });
  });

  it('null where it never comes about: nothing is imported, and nobody is home only where a note is the behaviour', () => {
    expect(look([['closed-by', 'import']])).toBeNull();
    expect(look([['state', 'in']])).toBeNull();
    expect(
      look([], { moment: 'at-the-door', before: [[['visit', 'first']], [['visit', 'returning']]] }),
    ).toBeNull();
  });
});
