import type { Circumstances } from '../model/circumstances';
import { TEAM_STATES, type TeamState, type WidgetState } from '../model/moment';
import { type EpochMs, MINUTE_MS, SECOND_MS } from '../model/units';
import type { WireWidget } from '../wire/design-file';
import type { PublishedSite } from '../wire/published-site';
import type { Reason, ReasonCode } from './reason';

/** [S6] How long a word about people is fresh, and how long it is held. */
export const FRESH_MS = 15 * SECOND_MS;
export const HELD_MS = 3 * MINUTE_MS;

export interface StateVerdict {
  readonly state: WidgetState;
  readonly isKnown: boolean;
  /** When what was heard stops being held; null where nothing would change by it. */
  readonly heldUntil: EpochMs | null;
  readonly because: Reason;
}

/** State of a widget ([S3]): the best of its teams; *nobody* where nothing was heard for three minutes ([S6]). */
export function stateOf(site: PublishedSite, widget: WireWidget, circumstances: Circumstances): StateVerdict {
  const told = bestOf(widget.teams.map((id) => site.pointer.teams[id] ?? 'nobody'));
  const heldUntil = circumstances.heardAt === null ? null : circumstances.heardAt + HELD_MS;
  const isHeld = heldUntil !== null && circumstances.now < heldUntil;
  const state = isHeld ? told : 'nobody';
  const code = isHeld ? CODES[told] : 'not-heard-lately';
  return {
    state,
    isKnown: isHeld,
    heldUntil: isHeld && told !== 'nobody' ? heldUntil : null,
    because: { about: 'presence', code, facts: { state, team: widget.teams[0] ?? '' } },
  };
}

const CODES: Readonly<Record<TeamState, ReasonCode>> = {
  in: 'somebody-in',
  nearby: 'somebody-nearby',
  busy: 'all-busy',
  nobody: 'nobody-in',
};

/** [S3] in > nearby > busy > nobody; no team at all is nobody. */
export function bestOf(states: readonly TeamState[]): TeamState {
  return TEAM_STATES.find((state) => states.includes(state)) ?? 'nobody';
}
