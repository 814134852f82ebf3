import type { InvitationLimits } from '../model/invitation';
import type { DesignFileV1, WireLimits } from './design-file';

/** The defaults under which designs of the first program run: their files carry no limits. */
const FIRST_LIMITS: WireLimits = [1, 2 * 60, 10 * 60, 24 * 3600, 30];

/** [I6], [I7] The limits of a published design by name; lengths in seconds, the rest after a no in days. */
export function limitsOf({ limits = FIRST_LIMITS }: Pick<DesignFileV1, 'limits'>): InvitationLimits {
  const [perVisit, gap, beforeClosing, afterTalk, restDays] = limits;
  return { perVisit, gap, beforeClosing, afterTalk, restDays };
}
