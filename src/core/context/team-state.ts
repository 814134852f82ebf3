import type { TeamState } from '../model/moment';
import { bestOf } from './presence';

/** One person of a team, as the server sees them now. */
export interface TeamMember {
  /** Said so and answers pings ([S2]); nearby: can be called by a device; else out. */
  readonly presence: 'in' | 'nearby' | 'out';
  /** Conversations they can take yet: their limit less those joined and not ended. */
  readonly freeSlots: number;
}

/** [S1] *In* with somebody in who has room, else *nearby* with somebody nearby who has; *busy* where none of them has room; else *nobody*. */
export function teamStateOf(members: readonly TeamMember[]): TeamState {
  const there = members.filter(({ presence }) => presence !== 'out');
  return bestOf(
    there.map(({ presence, freeSlots }) => {
      if (freeSlots <= 0) return 'busy';
      return presence === 'in' ? 'in' : 'nearby';
    }),
  );
}
