import { describe, expect, it } from 'vitest';
import { decide } from '../../src/core/decide/decide';
import { arrivingAt } from '../../src/core/rehearse/arriving';
import { frozenSite, findReachability, taken } from '../../src/core/rehearse/find-reachability';
import {
  type VisitStep,
  beginSimulation,
  takeStep,
  waitUntil,
} from '../../src/core/rehearse/visit-simulation';
import type { Moment } from '../../src/core/model/moment';
import { MINUTE_MS } from '../../src/core/model/units';
import { anySite } from '../made/chance';
import { type Dice, diceOf } from '../made/dice';
import { EVENING } from '../made/site';

const SEED = 20_261_126;
const SITES = 100;
const VISITS_EACH = 100;

/** What a visitor does by chance, on the page they are on. */
function anyAct(dice: Dice, moment: Moment | null): VisitStep {
  if (moment === 'invited' && dice.flip()) return { kind: dice.pick(['accept', 'decline'] as const) };
  return dice.pick<() => VisitStep>([
    () => ({ kind: 'scroll', percent: dice.int(1, 101) }),
    () => ({ kind: 'seen', selector: '.map' }),
    () => ({
      kind: 'instant',
      instantEvent: dice.pick([
        { kind: 'leaving' },
        { kind: 'form-left' },
        { kind: 'clicked', selector: '.map' },
      ] as const),
    }),
    () => ({ kind: 'move' }),
    () => ({ kind: dice.pick(['open', 'close', 'nothing', 'nothing'] as const) }),
  ])();
}

describe('reach', () => {
  it('[M9] law: 10,000 random visits reach nothing that is never, nothing by time alone that is not on the way, and every way that is told leads there', () => {
    for (let place = 0; place < SITES; place++) {
      const dice = diceOf(SEED + place);
      const site = anySite(dice);
      const start = {
        ...arrivingAt('https://farrowisle.example/tonight', EVENING + dice.int(0, 1440) * MINUTE_MS),
        level: dice.pick(['kept', 'asked'] as const),
      };
      const found = findReachability(site, start);
      const reachability = new Map(found.map((one) => [one.moment, one.reachability]));
      const still = frozenSite(site, start).site;
      const first = beginSimulation(still, start);
      for (const { moment, by } of found) {
        if (by === null) continue;
        const there = by.reduce(taken, first);
        expect(
          there.seen.some((seen) => seen.kind === 'moment' && seen.moment === moment),
          `seed ${SEED + place}: ${moment}`,
        ).toBe(true);
      }
      for (let visit = 0; visit < VISITS_EACH; visit++) {
        const isIdle = visit === 0; // one of them only waits
        let simulation = first;
        for (let step = 0; step < 8; step++) {
          simulation = waitUntil(simulation, simulation.circumstances.now + dice.int(0, 120) * 1000);
          const isShown = decide(simulation.site, simulation.circumstances).widget !== null; // nobody clicks what is not there
          if (!isIdle && isShown)
            simulation = takeStep(simulation, anyAct(dice, simulation.circumstances.moment));
        }
        for (const seen of simulation.seen) {
          if (seen.kind !== 'moment') continue;
          expect(reachability.get(seen.moment), `seed ${SEED + place}: ${seen.moment} was reached`).not.toBe(
            'never',
          );
          if (isIdle)
            expect(['here', 'on-the-way'], `seed ${SEED + place}: ${seen.moment} by time alone`).toContain(
              reachability.get(seen.moment),
            );
        }
      }
    }
  });
});
