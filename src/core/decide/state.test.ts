import { describe, expect, it } from 'vitest';
import { DESK, EVENING, madeDesign, madeSite, madeVisit } from '../../../tests/made/site';
import type { TeamState } from '../model/moment';
import { SECOND_MS } from '../model/units';
import { lampOf } from '../model/lamp';
import { bestOf, stateOf } from './state';

const stateAt = (told: TeamState, ageMs: number | null) => {
  const site = madeSite({ teams: { [DESK]: told } });
  const [widget] = site.design.widgets;
  if (widget === undefined) throw new Error('Expected a widget.');
  return stateOf(site, widget, madeVisit(ageMs === null ? { heardAt: null } : { now: EVENING + ageMs }));
};

describe('stateOf', () => {
  it('[S3] the best of several teams: in before nearby before busy before nobody', () => {
    expect(bestOf(['nobody', 'busy', 'nearby'])).toBe('nearby');
    expect(bestOf(['busy', 'in', 'nobody'])).toBe('in');
    expect(bestOf([])).toBe('nobody');
  });

  it('[S3] a widget asks its own teams only', () => {
    const site = madeSite({ design: madeDesign({ teams: ['another'] }), teams: { [DESK]: 'in', another: 'busy' } });
    const [widget] = site.design.widgets;
    if (widget === undefined) throw new Error('Expected a widget.');
    expect(stateOf(site, widget, madeVisit()).state).toBe('busy');
  });

  it('[S6] what was said about people is held for three minutes, not a millisecond longer', () => {
    expect(stateAt('in', 180 * SECOND_MS - 1)).toMatchObject({ state: 'in', isKnown: true });
    expect(stateAt('in', 180 * SECOND_MS)).toMatchObject({ state: 'nobody', isKnown: false, because: { code: 'not-heard-lately' } });
    expect(stateAt('in', null)).toMatchObject({ state: 'nobody', isKnown: false });
  });

  it('[S4] unknown is unlit like nobody, and closed is not nobody', () => {
    expect(lampOf('in', true)).toBe('lit');
    expect(lampOf('in', false)).toBe('unlit');
    expect([lampOf('nearby', true), lampOf('busy', true), lampOf('nobody', true), lampOf('closed', true)]).toEqual([
      'half',
      'queue',
      'unlit',
      'shutter',
    ]);
  });
});
