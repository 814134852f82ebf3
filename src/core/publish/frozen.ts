import type { PointerV1 } from '../wire/pointer';

/** What a site that is served as files alone cannot do; each is said where it is exported. */
export const NEEDS_SERVER = [
  'team-states',
  'overrides',
  'address-ranges',
  'conversations',
  'later-versions',
] as const;
export type NeedsServer = (typeof NEEDS_SERVER)[number];

/** A pointer for a web server that only has files, and what it leaves out. */
export interface Frozen {
  readonly pointer: PointerV1;
  /** Of what this site uses: whatever a file cannot say. */
  readonly without: readonly NeedsServer[];
}

/**
 * [L11] The pointer frozen as *nobody*: hours still open and close, as they are symbolic, but nobody is told to be
 * there, nothing is overridden, and no later version comes by itself.
 */
export function frozenPointer(pointer: PointerV1): Frozen {
  const rest: PointerV1 = { ...pointer };
  delete (rest as { leftOut?: true }).leftOut;
  const teams = Object.fromEntries(Object.keys(pointer.teams).map((id) => [id, 'nobody' as const]));
  const uses: Readonly<Record<NeedsServer, boolean>> = {
    'team-states': Object.keys(pointer.teams).length > 0,
    overrides: Object.keys(pointer.overrides).length > 0,
    'address-ranges': pointer.leftOut === true,
    conversations: true,
    'later-versions': pointer.askBefore !== null,
  };
  return {
    pointer: { ...rest, teams, overrides: {}, askBefore: null },
    without: NEEDS_SERVER.filter((one) => uses[one]),
  };
}
