import { describe, expect, it } from 'vitest';
import { all, condition, invitations, not } from '../../../tests/made/invitations';
import { DESK, EVENING, madeDesign, madeSite, pageRule } from '../../../tests/made/site';
import type { Invitation } from '../model/invitation';
import type { Moment, TeamState } from '../model/moment';
import { arrivingAt } from './arriving';
import { firstInvited } from './first-invited';
import { findReachability } from './find-reachability';

const made = (list: Partial<Invitation>[], team: TeamState = 'in', path = '/tonight') => {
  const site = madeSite({ design: madeDesign(invitations(...list)), teams: { [DESK]: team } });
  return Object.fromEntries(
    findReachability(site, arrivingAt(`https://farrowisle.example${path}`, EVENING)).map((one) => [
      one.moment,
      one,
    ]),
  ) as Record<Moment, ReturnType<typeof findReachability>[number]>;
};
const reachability = (...args: Parameters<typeof made>) =>
  Object.fromEntries(Object.entries(made(...args)).map(([moment, one]) => [moment, one.reachability]));

describe('reach', () => {
  it('[M9] somebody in: the launcher is here, the rest is possible, and nobody home is never', () => {
    expect(reachability([])).toEqual({
      'passing-by': 'here',
      invited: 'never',
      'at-the-door': 'possible',
      waiting: 'possible',
      talking: 'possible',
      'slow-reply': 'possible',
      goodbye: 'possible',
      'nobody-home': 'never',
      'note-left': 'possible',
    });
  });

  it('[M9] nobody in: no door, no talk, and the note is what there is; who is in is held still', () => {
    expect(reachability([], 'nobody')).toMatchObject({
      'at-the-door': 'never',
      talking: 'never',
      'nobody-home': 'possible',
      'note-left': 'possible',
    });
  });

  it('[M9] an invitation by time alone is on the way, one that needs a behaviour is possible, one that opens leads to the door', () => {
    const waits = { when: all(condition({ kind: 'on-page', seconds: 40 })) };
    const scrolls = {
      when: all(condition({ kind: 'on-page', seconds: 40 }), condition({ kind: 'scrolled', percent: 60 })),
    };
    expect(reachability([waits]).invited).toBe('on-the-way');
    expect(made([waits]).invited.by).toEqual([{ wait: 40_000 }]);
    expect(reachability([scrolls]).invited).toBe('possible');
    expect(reachability([{ ...waits, approach: 'open' }])).toMatchObject({
      invited: 'never',
      'at-the-door': 'on-the-way',
    });
  });

  it('the invitation that comes first is the one this visitor gets, not the first in the list', () => {
    const returning = { when: all(condition({ kind: 'visit', is: 'returning' })) };
    const waits = { when: all(condition({ kind: 'on-page', seconds: 40 })) };
    const site = madeSite({ design: madeDesign(invitations(returning, waits)) });
    const firstOf = (visit: 'first' | 'returning') => {
      const visitor = arrivingAt('https://farrowisle.example/tonight', EVENING, visit);
      return firstInvited(site, visitor, findReachability(site, visitor));
    };
    expect([firstOf('first'), firstOf('returning')]).toEqual(['invitation-b', 'invitation-a']);
    const none = madeSite();
    const visitor = arrivingAt('https://farrowisle.example/tonight', EVENING);
    expect(firstInvited(none, visitor, findReachability(none, visitor))).toBeNull();
  });

  it('[M9] conditions that cannot hold together are never, though each of them can', () => {
    const both = all(condition({ kind: 'on-page', seconds: 40 }), not({ kind: 'on-page', seconds: 30 }));
    expect(reachability([{ when: both }]).invited).toBe('never');
    const later = all(condition({ kind: 'on-page', seconds: 40 }), not({ kind: 'idle', seconds: 10 }));
    expect(reachability([{ when: later }]).invited).toBe('possible');
  });

  it('[M9] never says why, and an invitation on another page says which condition fails', () => {
    const elsewhere = made([
      { when: all(condition({ kind: 'page', rules: [pageRule('exact', '/visit')] })) },
    ]).invited;
    expect(elsewhere.reachability).toBe('never');
    expect(elsewhere.because.map(({ code }) => code)).toContain('condition-fails');
  });

  it('[M9] on a page without a widget nothing is reached', () => {
    const site = madeSite({
      design: madeDesign({ pages: { showOn: [], neverOn: [pageRule('exact', '/privacy')] } }),
    });
    const found = findReachability(site, arrivingAt('https://farrowisle.example/privacy', EVENING));
    expect(found.every((one) => one.reachability === 'never')).toBe(true);
    expect(found[0]?.because[0]).toMatchObject({ code: 'no-widget-here' });
  });
});
