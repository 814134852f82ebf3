/** What a visitor looks at a page with, by the size of its screen. */
export const DEVICES = ['desktop', 'tablet', 'phone'] as const;
export type Device = (typeof DEVICES)[number];
