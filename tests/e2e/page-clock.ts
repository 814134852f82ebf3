import { expect, type Page } from '@playwright/test';

/**
 * Stops a page's clock at an instant, in milliseconds since 1970, before it goes anywhere. From then on it
 * moves only by `page.clock.runFor` and `fastForward`, so that a slow machine takes no seconds of a story's.
 */
export async function stopTime(page: Page, instant: number): Promise<void> {
  await page.clock.install({ time: instant - STOPS_WITHIN_MS });
  await page.clock.pauseAt(instant);
}

/** An installed clock runs until it is stopped, which a slow machine takes its time for; it cannot be stopped in its past. */
const STOPS_WITHIN_MS = 60_000;

/** Lets a page's time go on, tenths of a second at a time, until something holds that waits for the network too. */
export async function runUntil(page: Page, holds: () => Promise<boolean>): Promise<void> {
  await expect
    .poll(async () => {
      if (await holds()) return true;
      await page.clock.runFor(100);
      return holds();
    })
    .toBe(true);
}
