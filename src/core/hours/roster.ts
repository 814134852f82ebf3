import { DAY_MS, type EpochMs } from '../model/units';
import { type Hours, SOUGHT_DAYS, isOpenAt, nextChange } from './hours';

/** [H17] A team's own hours (null: none) and those of its people. */
export interface Roster {
  readonly team: Hours | null;
  readonly people: readonly Hours[];
}

/** [H17] Whether somebody of the team is planned: its calendar and at least one of its people's. It never closes anything. */
export function isRosteredAt({ team, people }: Roster, instant: EpochMs): boolean {
  return (team === null || isOpenAt(team, instant)) && people.some((hours) => isOpenAt(hours, instant));
}

/** The least instant after `instant` at which that is otherwise; null where it stays so for 372 days. */
export function nextRosterChange(roster: Roster, instant: EpochMs): EpochMs | null {
  const now = isRosteredAt(roster, instant);
  const all = roster.team === null ? roster.people : [roster.team, ...roster.people];
  const until = instant + SOUGHT_DAYS * DAY_MS;
  for (let at: EpochMs | null = instant; at !== null && at < until;) {
    const changes: EpochMs[] = all
      .map((hours) => nextChange(hours, at ?? instant))
      .filter((one) => one !== null);
    at = changes.length === 0 ? null : Math.min(...changes);
    if (at !== null && isRosteredAt(roster, at) !== now) return at;
  }
  return null;
}
