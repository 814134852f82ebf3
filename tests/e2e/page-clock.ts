import { expect, type Page } from '@playwright/test';

/**
 * Stops a page's clock at an instant, in milliseconds since 1970, before it goes anywhere. From then on it
 * moves only by `page.clock.runFor` and `fastForward`, so that a slow machine takes no seconds of a story's.
 */
export async function stopTime(page: Page, instant: number): Promise<void> {
  await page.clock.install({ time: instant });
  await page.clock.pauseAt(instant + 1);
}

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
