import { describe, expect, it } from 'vitest';
import { madeSite } from '../../tests/made/site';
import { madeSurroundings } from '../../tests/made/surroundings';
import type { Decision } from '../core/decide/decision';
import type { Circumstances } from '../core/model/circumstances';
import type { Moment } from '../core/model/moment';
import { loopWith } from './loop';

/** A loop whose decisions a test writes; it gives what was carried out, and when. */
function loopOf(decide: (at: number, moment: Moment | null, isLit: boolean) => Partial<Decision>) {
  const surroundings = madeSurroundings();
  const carriedOut: { at: number; moment: Moment | null }[] = [];
  let site: ReturnType<typeof madeSite> | null = madeSite();
  let decisions = 0;
  const loop = loopWith({
    surroundings,
    site: () => site,
    circumstances: (moment, isLit) => ({ moment, isLit }) as Circumstances,
    decide: (_, { moment, isLit }) => {
      decisions += 1;
      const plain = { moment: null, state: 'nobody', isStateKnown: true, askAgainAt: null };
      return { ...plain, ...decide(surroundings.now(), moment, isLit) } as Decision;
    },
    carryOut: (_, here, { moment }) => carriedOut.push({ at: surroundings.now(), moment }),
  });
  return {
    loop,
    surroundings,
    carriedOut,
    decisions: () => decisions,
    unpublish: () => {
      site = null;
    },
  };
}

describe('the loop of the widget', () => {
  it('decides again at the instant a decision names, and at no other', async () => {
    const { loop, surroundings, carriedOut } = loopOf((at) => ({ askAgainAt: at < 2500 ? at + 1000 : null }));
    loop.look();
    await surroundings.pass(60_000);
    expect(carriedOut.map(({ at }) => at)).toEqual([0, 1000, 2000, 3000]);
    expect(surroundings.awaited()).toEqual([]);
  });

  it('an occasion in between replaces the timer: there is never more than one', async () => {
    const { loop, surroundings, carriedOut } = loopOf(() => ({ askAgainAt: 5000 }));
    for (let times = 0; times < 20; times++) loop.look();
    expect(surroundings.awaited()).toEqual([5000]);
    await surroundings.pass(4999);
    expect(carriedOut).toHaveLength(20);
  });

  it('[M6] a step that leads straight on is taken before anything is painted', () => {
    const { loop, carriedOut } = loopOf((_, moment) => ({
      moment: moment === 'waiting' || moment === 'talking' ? 'talking' : 'waiting',
    }));
    loop.look();
    expect(carriedOut).toEqual([{ at: 0, moment: 'talking' }]);
    expect(loop.circumstances().moment).toBe('talking');
  });

  it('the lamp that was seen last is a part of the next circumstances', () => {
    const { loop } = loopOf(() => ({ state: 'in' }));
    expect(loop.circumstances().isLit).toBe(false);
    loop.look();
    expect(loop.circumstances().isLit).toBe(true);
  });

  it('decisions that never agree end after three steps, not in a loop', () => {
    const { loop, carriedOut, decisions } = loopOf((_, moment) => ({
      moment: moment === 'waiting' ? 'talking' : 'waiting',
    }));
    loop.look();
    expect(decisions()).toBe(4);
    expect(carriedOut).toHaveLength(1);
  });

  it('with nothing published it decides nothing, and the timer of before does not wake it', async () => {
    const { loop, surroundings, carriedOut, unpublish } = loopOf(() => ({ askAgainAt: 1000 }));
    loop.look();
    unpublish();
    loop.look();
    await surroundings.pass(60_000);
    expect(carriedOut).toHaveLength(1);
  });
});
