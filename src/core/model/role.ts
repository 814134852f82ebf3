/** What somebody may do on a site; each role may do what the ones before it may. */
export const ROLES = ['responder', 'designer', 'owner'] as const;
export type Role = (typeof ROLES)[number];
