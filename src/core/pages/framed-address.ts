/**
 * [threat 30] The page of the owner's site that may stand in the stage's frame; null: it is no web address, not on their
 * site, or our own application, whose origin is `own`. `page` is a path, or a whole address.
 */
export function framedAddress(siteAddress: string, page: string, own: string): string | null {
  if (!URL.canParse(siteAddress) || !URL.canParse(page, siteAddress)) return null;
  const url = new URL(page, siteAddress);
  const isTheirs = url.origin === new URL(siteAddress).origin && /^https?:$/.test(url.protocol);
  return isTheirs && url.origin !== own ? url.href : null;
}
