import { describe, expect, it } from 'vitest';
import { AZORES, ZONES, at, calendar, day, everyDay, utc } from '../../../tests/made/hours';
import type { Closing } from '../../core/model/calendar';
import { DAY_MS } from '../../core/model/units';
import { type ICalendarReading, readICalendar, writeICalendar } from './icalendar';

const FROM = at('2026-11-01T00:00');
const READING: ICalendarReading = { zone: AZORES, zones: ZONES, from: FROM, until: FROM + 400 * DAY_MS };
const file = (...lines: string[]) =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//x//y', ...lines, 'END:VCALENDAR', ''].join('\r\n');
const event = (...lines: string[]) => [
  'BEGIN:VEVENT',
  'UID:a',
  'SUMMARY:Mast repair',
  ...lines,
  'END:VEVENT',
];
const read = (text: string, reading = READING) => {
  const made = readICalendar(text, reading);
  if (!made.ok) throw new Error(`Expected a calendar, got ${JSON.stringify(made.errors)}.`);
  return made.value.value;
};
const told = (closings: readonly Closing[]) =>
  closings.map((one) => (one.kind === 'timed' ? `${utc(one.from) ?? ''}/${utc(one.to) ?? ''}` : one.day));

describe('iCalendar', () => {
  it('[H11] floating times are in the calendar’s zone, those with a Z are not, those with a zone are in that one', () => {
    expect(told(read(file(...event('DTSTART:20261201T100000', 'DTEND:20261201T120000'))))).toEqual([
      '2026-12-01T11:00Z/2026-12-01T13:00Z',
    ]);
    expect(told(read(file(...event('DTSTART:20261201T100000Z', 'DTEND:20261201T120000Z'))))).toEqual([
      '2026-12-01T10:00Z/2026-12-01T12:00Z',
    ]);
    const berlin = event('DTSTART;TZID=Europe/Berlin:20261201T100000', 'DURATION:PT2H');
    expect(told(read(file(...berlin)))).toEqual(['2026-12-01T09:00Z/2026-12-01T11:00Z']);
  });

  it('[H11] an all-day event closes its days, and its end does not belong to it', () => {
    expect(told(read(file(...event('DTSTART;VALUE=DATE:20261224', 'DTEND;VALUE=DATE:20261227'))))).toEqual(
      ['2026-12-24', '2026-12-25', '2026-12-26'].map(day),
    );
    expect(told(read(file(...event('DTSTART;VALUE=DATE:20261224'))))).toEqual([day('2026-12-24')]);
  });

  it('[H11] cancelled and transparent events do not count', () => {
    const when = ['DTSTART;VALUE=DATE:20261224'];
    expect(
      read(file(...event(...when, 'STATUS:CANCELLED'), ...event(...when, 'TRANSP:TRANSPARENT'))),
    ).toEqual([]);
  });

  it('[H11] a weekly rule is expanded by the wall clock, over the change of the clock, without what it excepts', () => {
    const weekly = event(
      'DTSTART;TZID=Atlantic/Azores:20270320T100000',
      'DTEND;TZID=Atlantic/Azores:20270320T110000',
      'RRULE:FREQ=WEEKLY;COUNT=4',
      'EXDATE;TZID=Atlantic/Azores:20270327T100000',
    );
    expect(told(read(file(...weekly)))).toEqual([
      '2027-03-20T11:00Z/2027-03-20T12:00Z',
      '2027-04-03T10:00Z/2027-04-03T11:00Z',
      '2027-04-10T10:00Z/2027-04-10T11:00Z',
    ]);
  });

  it('[H11] an occurrence that was moved is where it was moved to; one that was cancelled is gone', () => {
    const weekly = event('DTSTART:20261201T100000Z', 'DTEND:20261201T110000Z', 'RRULE:FREQ=WEEKLY;COUNT=3');
    const moved = event(
      'RECURRENCE-ID:20261208T100000Z',
      'DTSTART:20261209T150000Z',
      'DTEND:20261209T160000Z',
    );
    const gone = event(
      'RECURRENCE-ID:20261215T100000Z',
      'DTSTART:20261215T100000Z',
      'DTEND:20261215T110000Z',
      'STATUS:CANCELLED',
    );
    expect(told(read(file(...weekly, ...moved, ...gone)))).toEqual([
      '2026-12-01T10:00Z/2026-12-01T11:00Z',
      '2026-12-09T15:00Z/2026-12-09T16:00Z',
    ]);
  });

  it('[H11] rules are expanded for the days asked for and no further', () => {
    const yearly = event('DTSTART;VALUE=DATE:19991224', 'RRULE:FREQ=YEARLY');
    expect(told(read(file(...yearly)))).toEqual([day('2026-12-24')]);
  });

  it('[H11] an unknown TZID goes by the file’s own zone, or is refused by its name', () => {
    const zone = [
      'BEGIN:VTIMEZONE',
      'TZID:Island time',
      'BEGIN:STANDARD',
      'DTSTART:19700101T000000',
      'TZOFFSETFROM:+0530',
      'TZOFFSETTO:+0530',
      'END:STANDARD',
      'END:VTIMEZONE',
    ];
    const when = event('DTSTART;TZID=Island time:20261201T100000', 'DTEND;TZID=Island time:20261201T110000');
    expect(told(read(file(...zone, ...when)))).toEqual(['2026-12-01T04:30Z/2026-12-01T05:30Z']);
    expect(readICalendar(file(...when), READING)).toMatchObject({
      ok: false,
      errors: { reason: 'unknown-zone', about: 'Island time' },
    });
  });

  it('malformed, truncated, huge and hostile files end with a reason and bounded work', () => {
    expect(readICalendar('hello', READING)).toMatchObject({ ok: false, errors: { reason: 'not-icalendar' } });
    expect(readICalendar(file(...event('DTSTART:20261201T100000Z')).slice(0, 90), READING)).toMatchObject({
      ok: false,
    });
    expect(readICalendar('x'.repeat(4 * 1024 * 1024 + 1), READING)).toMatchObject({
      ok: false,
      errors: { reason: 'too-large' },
    });
    const everySecond = event('DTSTART:19700101T000000Z', 'DURATION:PT1S', 'RRULE:FREQ=SECONDLY');
    expect(readICalendar(file(...everySecond), READING)).toMatchObject({
      ok: false,
      errors: { reason: 'too-many', about: 'Mast repair' },
    });
  });

  it('[H19] what is written is read back as it was, where nothing is left unsaid', () => {
    const closings: Closing[] = [
      { kind: 'all-day', day: day('2026-12-24'), name: 'Christmas, with “quotes”; and, commas' },
      { kind: 'timed', from: at('2027-01-05T10:00'), to: at('2027-01-05T12:30'), name: 'Mast\nrepair' },
    ];
    const written = writeICalendar(calendar({ closings }), FROM);
    expect(written.unsaid).toEqual([]);
    expect(read(written.value)).toEqual(closings);
    const week = writeICalendar(calendar({ week: everyDay('10:00-12:00'), closings }), FROM);
    expect(week.unsaid).toEqual([{ what: 'open-end', about: 'Night desk' }]);
  });
});
