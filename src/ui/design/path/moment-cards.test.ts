import { describe, expect, it } from 'vitest';
import { all, condition, invitations } from '../../../../tests/made/invitations';
import { DESK, EVENING, madeDesign, madeSite } from '../../../../tests/made/site';
import { assumedSite, assumedVisitor } from '../../../core/rehearse/assumptions';
import { reachabilityOf } from '../../../core/rehearse/reachability-of';
import { momentCardsOf } from './moment-cards';

const design = madeDesign(invitations({ when: all(condition({ kind: 'on-page', seconds: 40 })) }));
const WORDS = { nameOfTeam: String, minutesEast: () => 0 };
const [widget] = design.widgets;
if (widget === undefined) throw new Error('Expected a widget.');
const site = madeSite({ design, teams: { [DESK]: 'in' } });
const base = assumedVisitor(
  {
    page: '/tonight',
    at: EVENING,
    visit: 'first',
    device: 'desktop',
    locale: 'en',
    who: null,
    asks: null,
    zone: null,
  },
  EVENING,
);
const of = (momentCards: ReturnType<typeof momentCardsOf>, moment: string) =>
  momentCards.find((one) => one.moment === moment);

describe('moment cards', () => {
  it('say by themselves what time alone brings, what is possible, and why the rest is not', () => {
    const momentCards = momentCardsOf(site, widget, base, reachabilityOf(site, base), WORDS);
    expect([
      of(momentCards, 'passing-by')?.reachability,
      of(momentCards, 'invited')?.reachability,
      of(momentCards, 'talking')?.reachability,
    ]).toEqual(['here', 'on-the-way', 'possible']);
    expect(of(momentCards, 'nobody-home')?.outOfReach).toBe('only while nobody is answering');
    expect(of(momentCards, 'invited')?.words).toContain('just ask');
  });

  it('what was worked out before everybody left says nothing of now', () => {
    const empty = assumedSite(site, { who: 'nobody' });
    const momentCards = momentCardsOf(empty, widget, base, reachabilityOf(site, base), WORDS);
    expect(of(momentCards, 'at-the-door')?.outOfReach).toBe('only while somebody is answering');
    expect(of(momentCards, 'nobody-home')?.outOfReach).toBeNull();
    expect(of(momentCards, 'invited')?.reachability).not.toBe('on-the-way');
  });

  it('a widget without invitations that are on has no moment card to be invited at', () => {
    const plain = madeDesign();
    const quiet = madeSite({ design: plain });
    const momentCards = momentCardsOf(
      quiet,
      plain.widgets[0] ?? widget,
      base,
      reachabilityOf(quiet, base),
      WORDS,
    );
    expect(of(momentCards, 'invited')).toMatchObject({
      reachability: 'never',
      outOfReach: 'no invitations',
      words: '',
    });
  });
});
