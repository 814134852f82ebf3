import { describe, expect, it } from 'vitest';
import { all, condition, invitations } from '../../../tests/made/invitations';
import { DESK, EVENING, madeDesign, madeSite } from '../../../tests/made/site';
import { supposedSite, supposedVisitor } from '../../core/rehearse/suppose';
import { nearOf } from '../../core/rehearse/near';
import { stonesOf } from './stones';

const design = madeDesign(invitations({ when: all(condition({ kind: 'on-page', seconds: 40 })) }));
const [widget] = design.widgets;
if (widget === undefined) throw new Error('Expected a widget.');
const site = madeSite({ design, teams: { [DESK]: 'in' } });
const base = supposedVisitor(
  { page: '/tonight', at: EVENING, visit: 'first', device: 'desktop', locale: 'en', who: null, asks: null },
  EVENING,
);
const of = (stones: ReturnType<typeof stonesOf>, moment: string) =>
  stones.find((one) => one.moment === moment);

describe('stones', () => {
  it('say by themselves what time alone brings, what is possible, and why the rest is not', () => {
    const stones = stonesOf(site, widget, base, nearOf(site, base), String);
    expect([
      of(stones, 'passing-by')?.nearness,
      of(stones, 'invited')?.nearness,
      of(stones, 'talking')?.nearness,
    ]).toEqual(['here', 'on-the-way', 'possible']);
    expect(of(stones, 'nobody-home')?.outOfReach).toBe('not while somebody is in');
    expect(of(stones, 'invited')?.words).toContain('just ask');
  });

  it('what was worked out before everybody left says nothing of now', () => {
    const empty = supposedSite(site, { who: 'nobody' });
    const stones = stonesOf(empty, widget, base, nearOf(site, base), String);
    expect(of(stones, 'at-the-door')?.outOfReach).toBe('not while nobody is in');
    expect(of(stones, 'nobody-home')?.outOfReach).toBeNull();
    expect(of(stones, 'invited')?.nearness).not.toBe('on-the-way');
  });

  it('a widget without invitations that are on has no stone to be invited at', () => {
    const plain = madeDesign();
    const quiet = madeSite({ design: plain });
    const stones = stonesOf(quiet, plain.widgets[0] ?? widget, base, nearOf(quiet, base), String);
    expect(of(stones, 'invited')).toMatchObject({
      nearness: 'never',
      outOfReach: 'no invitations',
      words: '',
    });
  });
});
