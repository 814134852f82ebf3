import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { House, beIn, enterAs, expect, test, useHouse, visit } from './house';

// Not a test of anything: takes the pictures that the README shows (npm run screenshots).
const house = useHouse();

async function take(page: Page, name: string): Promise<void> {
  await page.evaluate(() => document.fonts.ready);
  await page.screenshot({ path: join('docs/screenshots', `${name}.png`), animations: 'disabled' });
}

test('Design, Conversations, Today, Install and the widget on the site', async ({ browser }) => {
  const desk = await enterAs(browser, house, 'conversations');
  await beIn(desk, true);
  await expect(desk.getByText('I am in.')).toHaveCount(0);
  const visitor = await visit(browser, `${house.site}/tonight`);
  await visitor.launcher.click();
  await visitor.say('Is the last ferry back after the late look?');
  await desk.getByRole('navigation', { name: 'Conversations' }).getByText('Is the last ferry back').click();
  await desk
    .getByLabel('Write')
    .fill('It is: at twenty to one on Saturdays. If we run late, the boat waits ten minutes.');
  await desk.getByRole('button', { name: 'Send', exact: true }).click();
  await expect(visitor.window.getByText('the boat waits')).toBeVisible();
  await visitor.page.mouse.move(10, 10);
  await take(visitor.page, 'visitor');
  await expect(desk.getByText('Visitors see this from now.')).toHaveCount(0, { timeout: 15_000 });
  await take(desk, 'conversations');
  await desk.goto(`${house.app}/s/${house.siteKey}/today`);
  await expect(desk.getByRole('heading', { name: 'Today' })).toBeVisible();
  await expect(desk.getByRole('button', { name: 'I am in' })).toBeVisible();
  await take(desk, 'today');
  await desk.goto(`${house.app}/s/${house.siteKey}/versions`);
  await desk.getByRole('listitem', { name: 'Version 3' }).getByRole('button', { name: 'Compare' }).click();
  await expect(desk.getByRole('group', { name: 'Changes' })).toBeVisible();
  await take(desk, 'versions');
  await desk.goto(`${house.app}/s/${house.siteKey}/team`);
  await expect(desk.getByRole('heading', { name: /Inês Matos/ })).toBeVisible();
  await take(desk, 'team');
  await desk.goto(`${house.app}/s/${house.siteKey}/install`);
  await expect(desk.getByText(/^Version \d+, from the next page view on\.$/)).toBeVisible();
  await take(desk, 'install');
  await desk.goto(`${house.app}/s/${house.siteKey}/design?on=/tonight&moment=waiting`);
  await expect(desk.getByRole('region', { name: 'Stage' }).locator('sunny-porch .window')).toBeVisible();
  // Footprints follow a little later than the stage.
  await expect(desk.locator('[data-stone=invited]')).toHaveAccessibleName(/gets here by themselves/);
  await take(desk, 'design');
  await desk.goto(`${house.app}/s/${house.siteKey}/design?on=/tonight&path=whole`);
  await expect(
    desk.getByRole('navigation', { name: 'Whole path' }).locator('sunny-porch .launcher').first(),
  ).toBeVisible();
  await expect(desk.locator('[data-stone=invited]')).toHaveAccessibleName(/gets here by themselves/);
  await take(desk, 'design-whole-path');
  await desk.goto(`${house.app}/s/${house.siteKey}/design?on=/groups/schools&moment=talking&side=everywhere`);
  await desk.getByRole('region', { name: 'Starting look', exact: true }).getByRole('button').first().click();
  await desk.getByRole('radio', { name: /^Letterbox/ }).click();
  await expect(desk.getByRole('region', { name: 'Stage' }).locator('sunny-porch .logo')).toHaveJSProperty(
    'complete',
    true,
  );
  await take(desk, 'look');
  await desk.goto(`${house.app}/s/${house.siteKey}/design?on=/tonight&try=w10~s50~w30`);
  await expect(desk.getByRole('complementary', { name: 'Try a visit' })).toContainText('is on the screen');
  await take(desk, 'design-try');
});

test('Design in the evening in Arabic, and on a phone', async ({ browser }) => {
  const evening = await enterAs(browser, house, 'design?on=/eclipse-2027&moment=at-the-door&locale=ar', {
    colorScheme: 'dark',
  });
  await expect(evening.getByRole('region', { name: 'Stage' }).locator('sunny-porch .window')).toBeVisible();
  await take(evening, 'design-evening');
  const phone = await enterAs(browser, house, 'design', { viewport: { width: 390, height: 844 } });
  await expect(phone.getByRole('button', { name: /^Passing by/ })).toBeVisible();
  await take(phone, 'design-phone');
});

test('the first page of an empty installation', async ({ browser }) => {
  const empty = new House();
  await empty.open({ isEmpty: true });
  const page = await (await browser.newContext()).newPage();
  await page.goto(`${empty.app}/start#${empty.setupCode}`);
  await page.getByLabel('What stands on your door?').fill('Farrow Isle Observatory');
  await page.getByLabel('Where is your site?').fill('https://farrowisle.example');
  await page.getByRole('textbox', { name: 'Your colour' }).fill('#7a2e5d');
  await take(page, 'start');
  await empty.close();
});
