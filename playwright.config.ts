import { defineConfig } from '@playwright/test';
import { findBrowser } from './scripts/lib/browser.mjs';

/** No web server here: each file forks the built entry on a port of its own (tests/e2e/test-server.ts). */
export default defineConfig({
  testDir: 'tests/e2e',
  testMatch: '*.spec.ts',
  outputDir: 'test-results/e2e',
  workers: 2,
  fullyParallel: false, // the tests of a file share its server and go one after the other
  timeout: 180_000, // only against what never ends: a story may take its time on a busy machine
  expect: { timeout: 30_000 },
  use: {
    browserName: 'chromium',
    locale: 'en-GB',
    timezoneId: 'America/St_Johns',
    viewport: { width: 1280, height: 800 },
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: findBrowser() ?? undefined,
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
