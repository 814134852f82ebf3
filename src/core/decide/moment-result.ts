import type { EpochMs } from '../model/units';
import type { Moment } from '../model/moment';
import { linesOf } from './lines';
import type { Line } from './decision';
import type { DecisionContext } from '../context/decision-context';
import { momentOf } from './moment';
import type { ReasonCode } from './reason';

/** Where a visitor stands, and what is said there. */
export interface MomentResult {
  readonly moment: Moment;
  readonly code: ReasonCode;
  readonly lines: readonly Line[];
  /** When time alone leads on, or adds a line; Infinity: it does neither. */
  readonly next: EpochMs;
}

/** The moment ([M1]–[M5]) and its lines. */
export function momentResultOf(context: DecisionContext): MomentResult {
  const { circumstances, presence, behaviour, widget } = context;
  const result = momentOf(circumstances, {
    state: presence.state,
    behaviour,
    timings: widget.timings,
    talks: widget.talks,
  });
  const { said, next } = linesOf(result.moment, context);
  return { moment: result.moment, code: result.code, lines: said, next: Math.min(result.next, next) };
}
