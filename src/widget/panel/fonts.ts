import type { OwnFont } from '../../core/wire/design-file';
import { limitedFetch } from '../limited-fetch';

/** Of the packages that they come from; it is part of the files' names, so that they never change. */
export const FONTS_VERSION = '5.3.0';

const asked = new Set<string>();

/**
 * Fetches fonts of ours, once each, for a look that asks for them. They are read as bytes: so the page's policy for fonts
 * need not name us. One that does not come is not missed: the next of its family stands in.
 */
export function askFonts(load: readonly OwnFont[], base: string): void {
  for (const name of load) {
    if (asked.has(name)) continue;
    asked.add(name);
    void fetchFont(name, base).catch(() => asked.delete(name));
  }
}

async function fetchFont(name: OwnFont, base: string): Promise<void> {
  const response = await limitedFetch(`${base.replace(/[^/]*$/, '')}font-${name}-${FONTS_VERSION}.woff2`);
  if (!response.ok) throw new Error(String(response.status));
  document.fonts.add(
    await new FontFace(`Sunny Porch ${name}`, await response.arrayBuffer(), { weight: '300 900' }).load(),
  );
}
