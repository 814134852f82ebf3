import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { SITE_PAGES, type SitePage } from './pages';
import { SITE_CSS } from './style';

const NAV: Readonly<Record<SitePage['lang'], readonly (readonly [string, string])[]>> = {
  en: [
    ['/tonight', 'Tonight'],
    ['/visit/getting-here', 'Getting here'],
    ['/visit/night-programme', 'Night programme'],
    ['/groups/schools', 'Schools'],
    ['/telescopes', 'Telescopes'],
    ['/sky-log/', 'Sky log'],
    ['/pt/', 'Português'],
    ['/de/', 'Deutsch'],
  ],
  pt: [
    ['/pt/tonight', 'Esta noite'],
    ['/pt/visit/getting-here', 'Como chegar'],
    ['/pt/visit/night-programme', 'Programa'],
    ['/', 'English'],
    ['/de/', 'Deutsch'],
  ],
  de: [
    ['/de/tonight', 'Heute Nacht'],
    ['/de/visit/getting-here', 'Anreise'],
    ['/de/visit/night-programme', 'Programm'],
    ['/', 'English'],
    ['/pt/', 'Português'],
  ],
};
const NAMES: Readonly<Record<SitePage['lang'], string>> = {
  en: 'Farrow Isle Observatory',
  pt: 'Observatório da Ilha Farrow',
  de: 'Sternwarte Farrow',
};

/** Writes the observatory's pages as plain files, with the tag pasted once into each. */
export function writeSite(dir: string, tag: string, origin: string): void {
  for (const page of SITE_PAGES) {
    const file = join(dir, page.path, 'index.html');
    mkdirSync(dirname(file), { recursive: true });
    writeFileSync(file, toHtml(page, tag));
  }
  writeFileSync(join(dir, 'style.css'), SITE_CSS);
  writeFileSync(join(dir, 'sitemap.xml'), sitemap(origin));
}

function sitemap(origin: string): string {
  const pages = SITE_PAGES.map(({ path }) => `  <url><loc>${origin}${path}</loc></url>\n`).join('');
  return `<?xml version="1.0" encoding="UTF-8"?>\n<urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9">\n${pages}</urlset>\n`;
}

function toHtml(page: SitePage, tag: string): string {
  const nav = NAV[page.lang]
    .map(([href, name]) => `<a href="${href}"${href === page.path ? ' aria-current="page"' : ''}>${name}</a>`)
    .join('');
  const home = page.lang === 'en' ? '/' : `/${page.lang}/`;
  return `<!doctype html>
<html lang="${page.lang}">
<head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><title>${page.title} · ${NAMES[page.lang]}</title><link rel="stylesheet" href="/style.css"><link rel="icon" href="data:,"></head>
<body>
<header><div><a class="name" href="${home}">${NAMES[page.lang]}</a><nav>${nav}</nav></div></header>
<main>
${page.body}
</main>
<footer>Farrow Isle · <a href="/volunteer">Volunteer</a> · <a href="/visit/access">Access</a> · <a href="/privacy">Privacy</a></footer>
${tag}
</body>
</html>
`;
}
