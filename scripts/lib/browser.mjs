// Which of Debian's Chromiums the tests drive: the shell without windows where it is there, since it needs a third less of the
// processor for the same pages; else the whole browser.
import { existsSync } from 'node:fs';

export const SHELL = { package: 'chromium-headless-shell', path: '/usr/bin/chromium-headless-shell' };
export const WHOLE = { package: 'chromium', path: '/usr/bin/chromium' };

/** The browser to start; null: neither is installed. */
export function findBrowser() {
  return [SHELL, WHOLE].map(({ path }) => path).find((path) => existsSync(path)) ?? null;
}
