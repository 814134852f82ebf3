import { describe, expect, it } from 'vitest';
import { at, calendar, everyDay, utc } from '../../../tests/made/hours';
import { DESK, madeDesign, madeSite, pageRule } from '../../../tests/made/site';
import { decide } from '../decide/decide';
import { visitOf } from '../decide/remember';
import type { Calendar } from '../model/calendar';
import { pageShowing } from './page-showing';
import { situationsOf, assumedSite, assumedVisitor } from './assumptions';
import type { Assumptions } from './assumptions';

const PAGE = { page: '/tonight', locale: 'en', locales: ['en', 'pt'] };
const nights = (change: Partial<Calendar> = {}) =>
  madeSite({
    design: madeDesign({ calendarId: 'night' }),
    calendars: [calendar({ week: everyDay('19:00-21:00'), ...change })],
  });
const told = (site: ReturnType<typeof nights>, now: string, id: string | null = 'night') =>
  Object.fromEntries(
    situationsOf(site, id, PAGE, at(now)).map(({ code, assumptions }) => [code, assumptions]),
  );
const times = (site: ReturnType<typeof nights>, now: string) =>
  Object.fromEntries(
    Object.entries(told(site, now)).map(([code, assumptions]) => [code, utc(assumptions.at)]),
  );

describe('situationsOf', () => {
  it('without hours: nothing that hours make; the phone speaks the second language', () => {
    const all = told(madeSite(), '2026-11-25T21:00', null);
    expect(Object.keys(all)).toEqual(['now', 'all-busy', 'nobody-in', 'returning', 'phone']);
    expect(all['phone']).toMatchObject({ device: 'phone', locale: 'pt', page: '/tonight', at: null });
    expect(all['all-busy']).toMatchObject({ who: 'busy', at: null });
  });

  it('open: ten minutes before closing, and closed from then; the island is an hour behind UTC', () => {
    expect(times(nights(), '2026-11-25T20:30')).toMatchObject({
      now: null,
      'before-closing': '2026-11-25T21:50Z',
      'next-closed': '2026-11-25T22:00Z',
      'all-busy': null,
    });
  });

  it('closing within ten minutes: the next evening; closed: who is busy or away is shown in the next open hour', () => {
    expect(times(nights(), '2026-11-25T21:55')).toMatchObject({
      'before-closing': '2026-11-26T21:50Z',
      'next-closed': '2026-11-25T22:00Z',
    });
    expect(times(nights(), '2026-11-25T23:00')).toMatchObject({
      'before-closing': '2026-11-26T21:50Z',
      'all-busy': '2026-11-26T20:00Z',
      'nobody-in': '2026-11-26T20:00Z',
    });
  });

  it('always open never closes; a holiday is looked at by day', () => {
    expect(Object.keys(told(nights({ week: everyDay('00:00-00:00') }), '2026-11-25T21:00'))).not.toContain(
      'next-closed',
    );
    const moon = {
      id: 'moon',
      name: 'Moon festival',
      days: { kind: 'holiday', day: 20_800 } as const,
      intervals: [],
      endsNightBefore: false,
    };
    expect(times(nights({ exceptions: [moon] }), '2026-11-25T21:00')['next-holiday']).toBe(
      '2026-12-13T13:00Z',
    );
  });

  it('what is told is what the engine then says', () => {
    const site = nights();
    const now = at('2026-11-25T20:30');
    const states = situationsOf(site, 'night', PAGE, now).map(({ code, assumptions }) => {
      const { state } = decide(assumedSite(site, assumptions), assumedVisitor(assumptions, now));
      return [code, state];
    });
    expect(Object.fromEntries(states)).toEqual({
      now: 'in',
      'before-closing': 'in',
      'next-closed': 'closed',
      'all-busy': 'busy',
      'nobody-in': 'nobody',
      returning: 'in',
      phone: 'in',
    });
  });
});

describe('supposedVisitor', () => {
  const assumptions: Assumptions = {
    page: 'tonight',
    at: null,
    visit: 'returning',
    device: 'phone',
    locale: 'pt',
    who: null,
    asks: 'night',
    zone: null,
  };

  it('a returning one was here before, and memory says so too', () => {
    const now = at('2026-11-25T20:30');
    const visitor = assumedVisitor(assumptions, now);
    expect(visitor).toMatchObject({
      now,
      asksFor: 'night',
      visitor: { visit: 'returning', device: 'phone', languages: ['pt'] },
    });
    expect(visitor.page.address).toBe('https://your-site.example/tonight');
    expect(visitOf(visitor.memory)).toBe('returning');
    expect(visitOf(assumedVisitor({ ...assumptions, visit: 'first' }, now).memory)).toBe('first');
  });

  it('who is in holds for every team, and nothing else is bent', () => {
    const site = madeSite({ teams: { [DESK]: 'nobody' } });
    expect(assumedSite(site, { who: 'busy' }).pointer.teams).toEqual({ [DESK]: 'busy' });
    expect(assumedSite(site, { who: null })).toBe(site);
  });
});

describe('pageShowing', () => {
  const [one] = madeDesign().widgets;
  if (one === undefined) throw new Error('Expected a widget.');
  const named = (key: string, ...showOn: ReturnType<typeof pageRule>[]) => ({
    ...one,
    key,
    pages: { showOn, neverOn: [] },
  });
  const widgets = [
    named('loans', pageRule('expression', '^/telescopes(/loan)?$')),
    named('groups', pageRule('wildcard', '/groups/**')),
    named('hidden', pageRule('exact', '/groups/x')),
    named('rest'),
  ];
  const site = madeSite({ design: madeDesign({}, { widgets }) });
  const assumptions: Assumptions = {
    page: '/tonight',
    at: null,
    visit: 'first',
    device: 'desktop',
    locale: 'en',
    who: null,
    asks: null,
    zone: null,
  };

  it('stays where the widget shows already, else goes by its rules; one that never goes first has no page', () => {
    const pages = widgets.map((widget) => pageShowing(site, widget, assumptions, at('2026-11-25T20:30')));
    expect(pages).toEqual(['/telescopes', '/groups/page', null, '/tonight']);
  });
});
