import type { EpochMs } from '../model/units';
import type { Moment } from '../model/moment';
import { type Line, linesOf } from '../words/lines';
import type { Settled } from './decide';
import { momentOf } from './moment';
import type { ReasonCode } from './reason';

/** Where a visitor stands, and what is said there. */
export interface Standing {
  readonly moment: Moment;
  readonly code: ReasonCode;
  readonly lines: readonly Line[];
  /** When time alone leads on, or adds a line; Infinity: it does neither. */
  readonly next: EpochMs;
}

/** The moment ([M1]–[M5]) and its lines. */
export function standOf(settled: Settled): Standing {
  const { circumstances, presence, behaviour, widget } = settled;
  const stands = momentOf(circumstances, {
    state: presence.state,
    behaviour,
    timings: widget.timings,
    talks: widget.talks,
  });
  const { said, next } = linesOf(stands.moment, settled);
  return { moment: stands.moment, code: stands.code, lines: said, next: Math.min(stands.next, next) };
}
