/** What somebody may do on a site; each role may do what the ones before it may. */
export const ROLES = ['responder', 'designer', 'owner'] as const;
export type Role = (typeof ROLES)[number];

/** What can change of who may do what on a site. */
export type RightsChangeKind =
  'link-made' | 'link-withdrawn' | 'joined' | 'role-set' | 'teams-set' | 'removed';
