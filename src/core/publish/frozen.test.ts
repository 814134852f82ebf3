import { describe, expect, it } from 'vitest';
import { at, calendar, everyDay } from '../../../tests/made/hours';
import { DESK, EVENING, madeDesign, madeSite, madeVisit } from '../../../tests/made/site';
import { decide } from '../decide/decide';
import { frozenPointer } from './frozen';

describe('frozenPointer', () => {
  const site = madeSite({
    design: madeDesign({ calendarId: 'night' }),
    calendars: [calendar({ week: everyDay('19:00-21:00') })],
    overrides: { night: { isOpen: false, until: EVENING + 3600_000, reason: 'Cloud' } },
    teams: { [DESK]: 'in' },
  });

  it('[L11] as files alone: nobody, whatever was told last; the hours still open and close, and no override stays for ever', () => {
    const frozen = {
      ...site,
      pointer: frozenPointer({ ...site.pointer, askBefore: EVENING, leftOut: true }).pointer,
    };
    expect(frozen.pointer).not.toHaveProperty('leftOut');
    expect(decide(frozen, madeVisit({ now: EVENING, isWindowOpen: true }))).toMatchObject({
      state: 'nobody',
      moment: 'nobody-home',
    });
    expect(decide(frozen, madeVisit({ now: at('2026-11-26T12:00') })).state).toBe('closed');
    expect(frozen.pointer.askBefore).toBeNull();
  });

  it('[L11] lists what needs the server, of what the site uses', () => {
    expect(frozenPointer(site.pointer).without).toEqual(['team-states', 'overrides', 'conversations']);
    expect(
      frozenPointer({ ...madeSite({ teams: {} }).pointer, leftOut: true, askBefore: 1 }).without,
    ).toEqual(['address-ranges', 'conversations', 'later-versions']);
  });
});
