import { describe, expect, it } from 'vitest';
import { at, calendar, everyDay, utc } from '../../../tests/made/hours';
import { madeDesign, madeSite } from '../../../tests/made/site';
import type { Widget } from '../model/design';
import type { TransitionId } from '../model/transition';
import { laterAt } from './later';

const later = (
  transition: TransitionId,
  now: string,
  change: Partial<Widget> = {},
  week = everyDay('19:00-21:00'),
) => {
  const design = madeDesign({ calendarId: 'night', ...change });
  const site = madeSite({ design, calendars: [calendar({ week })] });
  const found = laterAt(site, design.widgets[0] as Widget, transition, at(now));
  return typeof found === 'number' ? utc(found) : found;
};

describe('laterAt', () => {
  it('while open, when we close; while closed, when we open; the island is an hour behind UTC', () => {
    expect([
      later('availability-lost', '2026-11-25T20:30'),
      later('availability-lost-while-waiting', '2026-11-25T20:30'),
    ]).toEqual(['2026-11-25T22:00Z', '2026-11-25T22:00Z']);
    expect(later('availability-gained', '2026-11-25T20:30')).toBeNull();
    expect([
      later('availability-lost', '2026-11-25T23:00'),
      later('availability-gained', '2026-11-25T23:00'),
    ]).toEqual([null, '2026-11-26T20:00Z']);
  });

  it('nobody knows when where there are no hours, where closing changes nothing, and where it never closes', () => {
    expect(later('availability-lost', '2026-11-25T20:30', { calendarId: null })).toBeNull();
    const { behaviours } = madeDesign().widgets[0] as Widget;
    expect(
      later('availability-lost', '2026-11-25T20:30', { behaviours: { ...behaviours, closed: 'chat' } }),
    ).toBeNull();
    expect(later('availability-lost', '2026-11-25T20:30', {}, everyDay('00:00-00:00'))).toBeNull();
  });

  it('other transitions wait for no such change', () => {
    expect([
      later('first-message-sent', '2026-11-25T20:30'),
      later('answer-overdue', '2026-11-25T20:30'),
    ]).toEqual([undefined, undefined]);
  });
});
