import type { Decision } from '../core/decide/decision';
import type { Circumstances } from '../core/model/circumstances';
import type { Moment } from '../core/model/moment';
import type { PublishedSite } from '../core/wire/published-site';
import { guarded } from './guard';
import type { Off, Surroundings } from './surroundings';

export interface LoopPort {
  readonly surroundings: Pick<Surroundings, 'wakeAt'>;
  /** Null: nothing is published, or nothing was heard yet. */
  site(): PublishedSite | null;
  /** As they are at this instant, with the moment and the lamp of the decision before. */
  circumstances(moment: Moment | null, isLit: boolean): Circumstances;
  decide(site: PublishedSite, here: Circumstances): Decision;
  /** Whatever a decision leads to: it is painted, told to the page, and followed by whoever waits for it. */
  carryOut(site: PublishedSite, here: Circumstances, decision: Decision): void;
}

export interface Loop {
  /** An occasion to decide anew. */
  look(): void;
  /** The circumstances as the next decision would see them. */
  circumstances(): Circumstances;
}

/** A step along the path may lead straight on to the next ([M6]); no published site leads further than this. */
const STEPS_MAX = 3;

/** The whole loop: decide, carry out, one timer for when time alone may change something. */
export function loopWith({ surroundings, site, circumstances, decide, carryOut }: LoopPort): Loop {
  const state = { moment: null as Moment | null, isLit: false, cancelWake: undefined as Off | undefined };
  const here = (): Circumstances => circumstances(state.moment, state.isLit);
  const look = guarded((): void => {
    state.cancelWake?.();
    const live = site();
    if (live === null) return;
    let seen = here();
    let decision = decide(live, seen);
    for (
      let steps = 0;
      steps < STEPS_MAX && (decision.moment !== state.moment || isLitBy(decision) !== state.isLit);
      steps++
    ) {
      state.moment = decision.moment;
      state.isLit = isLitBy(decision);
      seen = here();
      decision = decide(live, seen);
    }
    if (decision.askAgainAt !== null) state.cancelWake = surroundings.wakeAt(decision.askAgainAt, look);
    carryOut(live, seen, decision);
  });
  return { look, circumstances: here };
}

function isLitBy({ state, isStateKnown }: Decision): boolean {
  return isStateKnown && state !== 'nobody' && state !== 'closed';
}
