import type { Px } from './units';

/** How high the bars are that stay in place at the upper and the lower edge of a page; 0: there is none. */
export type Bars = {
  readonly upper: Px;
  readonly lower: Px;
};

export const PAGE_DEVICES = ['desktop', 'phone'] as const;

export type PageDevice = (typeof PAGE_DEVICES)[number];

export type BarsByDevice = Readonly<Record<PageDevice, Bars>>;
