import { practiceScreen } from './screens/practice';
import { settingsScreen } from './screens/settings';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { TestServer, beIn, enterAs, expect, test, useTestServer, visit } from './test-server';
import { conversationsScreen } from './screens/conversations';
import { designScreen } from './screens/design';
import { entranceScreen } from './screens/entrance';
import { frameScreen } from './screens/frame';
import { lookScreen } from './screens/look';
import { pathScreen } from './screens/path';
import { todayScreen } from './screens/today';
import { trialScreen } from './screens/trial';
import { versionsScreen } from './screens/versions';
import { teamScreen } from './screens/team';
import { publishingScreen } from './screens/publishing';

// Not a test of anything: takes the pictures that the README shows (npm run screenshots).
const testServer = useTestServer();

async function take(page: Page, name: string): Promise<void> {
  await page.evaluate(() => document.fonts.ready);
  await page.screenshot({ path: join('docs/screenshots', `${name}.png`), animations: 'disabled' });
}

test('Design, Conversations, Today, Install and the widget on the site', async ({ browser }) => {
  const desk = await enterAs(browser, testServer, 'conversations');
  await beIn(desk, true);
  const visitor = await visit(browser, `${testServer.site}/tonight`);
  await visitor.launcher.click();
  await visitor.say('Is the last ferry back after the late look?');
  await conversationsScreen.list(desk).getByText('Is the last ferry back').click();
  await conversationsScreen
    .reply(desk)
    .fill('It is: at twenty to one on Saturdays. If we run late, the boat waits ten minutes.');
  await conversationsScreen.send(desk).click();
  await expect(visitor.window.getByText('the boat waits')).toBeVisible();
  await visitor.page.mouse.move(10, 10);
  await take(visitor.page, 'visitor');
  await expect(frameScreen.visitorsSeeThis(desk)).toHaveCount(0, { timeout: 15_000 });
  await take(desk, 'conversations');
  await desk.goto(`${testServer.app}/s/${testServer.siteKey}/today`);
  await expect(todayScreen.findings(desk)).toBeVisible();
  await expect(frameScreen.answeringSwitch(desk)).toBeVisible();
  await take(desk, 'today');
  await desk.goto(`${testServer.app}/s/${testServer.siteKey}/versions`);
  await versionsScreen.compare(versionsScreen.third(desk)).click();
  await expect(versionsScreen.changes(desk)).toBeVisible();
  await take(desk, 'versions');
  await desk.goto(`${testServer.app}/s/${testServer.siteKey}/team`);
  await expect(teamScreen.inesHeading(desk)).toBeVisible();
  await take(desk, 'team');
  await desk.goto(`${testServer.app}/s/${testServer.siteKey}/install`);
  await expect(publishingScreen.fromNextPageView(desk)).toBeVisible();
  await take(desk, 'install');
  await desk.goto(`${testServer.app}/s/${testServer.siteKey}/settings`);
  await expect(settingsScreen.languages(desk)).toBeVisible();
  await take(desk, 'settings');
  await desk.goto(`${testServer.app}/s/${testServer.siteKey}/practice`);
  await practiceScreen.start(desk).click();
  const page = desk.frameLocator('iframe').locator('sunny-porch');
  await page.locator('.launcher').click();
  await page.locator('.foot textarea').fill('Does it still start at ten if it is cloudy?');
  await page.locator('.foot textarea').press('Enter');
  await expect(practiceScreen.desk(desk)).toContainText('if it is cloudy');
  await expect(frameScreen.visitorsSeeThis(desk)).toHaveCount(0, { timeout: 15_000 });
  await take(desk, 'practice');
  await practiceScreen.remove(desk).click();
  await expect(practiceScreen.desk(desk)).toContainText('appears here');
  await desk.goto(`${testServer.app}/s/${testServer.siteKey}/design?on=/tonight&moment=waiting`);
  await expect(designScreen.stage(desk).locator('sunny-porch .window')).toBeVisible();
  // Footprints follow a little later than the stage.
  await expect(desk.locator('[data-moment-card=invited]')).toHaveAccessibleName(/gets here by themselves/);
  await take(desk, 'design');
  await desk.goto(`${testServer.app}/s/${testServer.siteKey}/design?on=/tonight&path=whole`);
  await expect(pathScreen.whole(desk).locator('sunny-porch .launcher').first()).toBeVisible();
  await expect(desk.locator('[data-moment-card=invited]')).toHaveAccessibleName(/gets here by themselves/);
  await take(desk, 'design-whole-path');
  await desk.goto(
    `${testServer.app}/s/${testServer.siteKey}/design?on=/groups/schools&moment=talking&side=look`,
  );
  await lookScreen.startingLooks(desk).getByRole('button').first().click();
  await lookScreen.letterboxLook(desk).click();
  await expect(designScreen.stage(desk).locator('sunny-porch .logo')).toHaveJSProperty('complete', true);
  await take(desk, 'look');
  await desk.goto(`${testServer.app}/s/${testServer.siteKey}/design?on=/tonight&try=w10~s50~w30`);
  await expect(trialScreen.panel(desk)).toContainText('is on the screen');
  await take(desk, 'design-try');
});

test('Design in the evening in Arabic, and on a phone', async ({ browser }) => {
  const evening = await enterAs(browser, testServer, 'design?on=/eclipse-2027&moment=at-the-door&locale=ar', {
    colorScheme: 'dark',
  });
  await expect(designScreen.stage(evening).locator('sunny-porch .window')).toBeVisible();
  await take(evening, 'design-evening');
  const phone = await enterAs(browser, testServer, 'design', { viewport: { width: 390, height: 844 } });
  await expect(pathScreen.passingBy(phone)).toBeVisible();
  await take(phone, 'design-phone');
});

test('the first page of an empty installation', async ({ browser }) => {
  const empty = new TestServer();
  await empty.open({ isEmpty: true });
  const page = await (await browser.newContext()).newPage();
  await page.goto(`${empty.app}/start#${empty.setupCode}`);
  await entranceScreen.siteName(page).fill('Farrow Isle Observatory');
  await entranceScreen.siteAddress(page).fill('https://farrowisle.example');
  await entranceScreen.colour(page).fill('#7a2e5d');
  await take(page, 'start');
  await empty.close();
});
