/** Places in a published invitation, by name; constants of their own, so that the build writes the numbers in. */
export const INVITATION_ID = 0;
export const APPROACH = 1;
export const NEEDS_MEMORY = 3;
/** Days of its own limit ([I5]). */
export const OWN_DAYS = 4;
export const AT_MOST = 5;
export const WHEN = 6;
