/** The parts of the look that can lie open. */
export const LOOK_PARTS = ['looks', 'colours', 'shape', 'pictures', 'launcher', 'place', 'css'] as const;
export type LookPart = (typeof LOOK_PARTS)[number];
