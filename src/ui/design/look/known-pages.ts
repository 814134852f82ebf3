import type { PicturesPort } from '../pictures-port';

/** More would be waited for too long; the first ones of a sitemap are rarely all of one kind. */
export const PAGES_MAX = 60;
const SITEMAPS_MAX = 4;

/**
 * Addresses of a site's pages, as its sitemap names them, or, where it has none, as its front page links to them; on its
 * own origin, the front page first, so many at most. Throws what the port threw where not even the front page can be had.
 */
export async function knownPages(
  port: Pick<PicturesPort, 'getPageSource'>,
  siteAddress: string,
): Promise<readonly string[]> {
  const { origin } = new URL(siteAddress);
  const named = await fromSitemap(port, `${origin}/sitemap.xml`).catch(() => []); // many sites have none
  const all = named.length > 0 ? named : linksIn((await port.getPageSource(siteAddress)).text, siteAddress);
  const own = all.filter((address) => new URL(address).origin === origin);
  return [...new Set([new URL(siteAddress).href, ...own])].slice(0, PAGES_MAX);
}

async function fromSitemap(port: Pick<PicturesPort, 'getPageSource'>, first: string): Promise<string[]> {
  const { sitemapReader } = await import('../../../formats/site/sitemap');
  const [waiting, pages]: [string[], string[]] = [[first], []];
  for (let count = 0; count < SITEMAPS_MAX && pages.length < PAGES_MAX; count++) {
    const next = waiting.shift();
    if (next === undefined) break;
    const { text } = await port.getPageSource(next);
    const reader = sitemapReader({
      page: ({ address }) => pages.length < PAGES_MAX && pages.push(new URL(address).href),
      sitemap: (address) => waiting.push(address),
      leftOut: () => undefined,
      fault: () => undefined,
    });
    reader.take(text);
    reader.end();
  }
  return pages;
}

function linksIn(html: string, base: string): string[] {
  const links = [...parsed(html).querySelectorAll('a[href]')].map((link) => link.getAttribute('href') ?? '');
  return links.flatMap((href) => {
    if (!URL.canParse(href, base)) return [];
    const url = new URL(href, base);
    url.hash = '';
    return /^https?:$/.test(url.protocol) ? [url.href] : [];
  });
}

/** A document that runs and loads nothing. */
export function parsed(html: string): Document {
  return new DOMParser().parseFromString(html, 'text/html');
}
