import type { Page } from '@playwright/test';
import { conversationsScreen } from './screens/conversations';
import { practiceScreen } from './screens/practice';
import { todayScreen } from './screens/today';
import { beIn, enterAs, expect, expectNoAxe, test, useTestServer } from './test-server';

const testServer = useTestServer();

/** Every figure that the application shows of conversations: on Today, and in the top bar. */
async function counters(page: Page): Promise<string[]> {
  await page.goto(`${testServer.app}/s/${testServer.siteKey}/today`);
  // The last of what is counted there.
  await expect(todayScreen.findings(page).getByRole('listitem').first()).toBeVisible();
  const lines = await page.getByRole('main').getByRole('listitem').allTextContents();
  const counts = await page.getByRole('banner').locator('[aria-label]').allTextContents();
  return [...lines, ...counts].map((line) => line.replace(/(waited|longest for) [^.]+/, '$1'));
}

test('both sides of a conversation: it is marked, counted nowhere, alerts no other desk, and goes away by one click', async ({
  browser,
}) => {
  const other = await enterAs(browser, testServer, 'today');
  await beIn(other, true);
  const before = await counters(other);
  const page = await enterAs(browser, testServer, 'practice');
  await expectNoAxe(page, 'before practice');
  await practiceScreen.start(page).click();
  const visitor = page.frameLocator('iframe');
  await visitor.locator('sunny-porch .launcher').click();
  const window = visitor.locator('sunny-porch').getByRole('dialog');
  const words = window.getByRole('textbox').first();
  await words.fill('Can you hear me?');
  await words.press('Enter');

  const desk = practiceScreen.desk(page);
  await expect(desk).toContainText('Can you hear me?');
  await expect(desk).toContainText('Practice');
  expect(await counters(other)).toEqual(before);
  await practiceScreen.write(desk).fill('Loud and clear.');
  await practiceScreen.write(desk).press('Enter');
  await expect(window).toContainText('Loud and clear.');
  expect(await counters(other)).toEqual(before);
  await expectNoAxe(page, 'practice');

  await practiceScreen.remove(page).click();
  await expect(desk).toContainText('what the visitor writes appears here');
  expect(await counters(other)).toEqual(before);
  await other.goto(`${testServer.app}/s/${testServer.siteKey}/conversations`);
  await expect(conversationsScreen.list(other)).toBeVisible();
  await expect(other.getByText('Can you hear me?')).toHaveCount(0);
});
