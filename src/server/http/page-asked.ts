/** From the proxy to the pages: the address that was asked for, without its host. */
export const PAGE_HEADER = 'x-porch-page';
