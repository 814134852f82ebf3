import { describe, expect, it } from 'vitest';
import { calendar, everyDay } from '../../../tests/made/hours';
import { invitations } from '../../../tests/made/invitations';
import { DESK, EVENING, madeDesign, madeSite, madeVisit } from '../../../tests/made/site';
import { decide } from '../decide/decide';
import { TEAM_STATES } from '../model/moment';
import { HOUR_MS } from '../model/units';
import { previewAt } from './preview-at';
import { DRAWN_MOMENTS } from '../model/moment';

describe('standing at a moment', () => {
  const night = calendar({ week: everyDay('17:30-23:00') });
  const design = madeDesign({ calendarId: 'night', ...invitations({}) });
  const site = (teams: (typeof TEAM_STATES)[number], isOpen: boolean | null) =>
    madeSite({
      design,
      calendars: [night],
      teams: { [DESK]: teams },
      ...(isOpen === null
        ? {}
        : { overrides: { night: { isOpen, until: EVENING + 24 * HOUR_MS, reason: 'Cloud' } } }),
    });

  it('law: each moment is drawn as itself, whoever is in, in hours and out of them, closed by hand or held open', () => {
    for (const teams of TEAM_STATES)
      for (const isOpen of [true, false, null])
        for (const hour of [0, 8])
          for (const moment of DRAWN_MOMENTS) {
            const now = EVENING + hour * HOUR_MS;
            const previewOf = previewAt(site(teams, isOpen), madeVisit({ now, heardAt: now }), moment);
            expect([teams, isOpen, hour, decide(previewOf.site, previewOf.circumstances).moment]).toEqual([
              teams,
              isOpen,
              hour,
              moment,
            ]);
          }
  });

  it('what can be reached as things are is not bent', () => {
    const now = EVENING + 8 * HOUR_MS;
    const home = previewAt(site('in', null), madeVisit({ now, heardAt: now }), 'nobody-home');
    expect([home.needs, decide(home.site, home.circumstances).state]).toEqual([null, 'closed']);
    expect(previewAt(site('in', null), madeVisit(), 'at-the-door').needs).toBeNull();
  });
});
