import type { Locator, Page } from '@playwright/test';
import { enterAs, expect, test, useTestServer } from './test-server';
import { circumstancesScreen } from './screens/circumstances';
import { designScreen } from './screens/design';
import { frameScreen } from './screens/frame';
import { installScreen } from './screens/install';
import { lookScreen } from './screens/look';
import { pathScreen } from './screens/path';
import { todayScreen } from './screens/today';

const testServer = useTestServer();

/** Somebody who starts on Today; every press of the mouse counts, typing does not. */
class Stranger {
  clicks = 0;
  constructor(readonly page: Page) {}
  async click(what: Locator): Promise<void> {
    this.clicks++;
    await what.click();
  }
  async design(): Promise<void> {
    await this.click(frameScreen.designLink(frameScreen.screens(this.page)));
    await expect(this.stage.locator('sunny-porch').first()).toBeAttached();
  }
  readonly stage = designScreen.stage(this.page);
  readonly inspector = designScreen.inspector(this.page);
}

async function onToday(browser: Parameters<typeof enterAs>[0]): Promise<Stranger> {
  const page = await enterAs(browser, testServer, 'today');
  await expect(todayScreen.heading(page)).toBeVisible();
  return new Stranger(page);
}

test('task 1: change the greeting, in three clicks', async ({ browser }) => {
  const one = await onToday(browser);
  await one.design();
  await one.click(pathScreen.atTheDoor(pathScreen.path(one.page)));
  await one.click(designScreen.editGreeting(one.stage));
  await one.page.keyboard.type('The dome is open.');
  await expect(one.stage.locator('sunny-porch [data-say=greeting]')).toHaveText('The dome is open.');
  expect(one.clicks).toBeLessThanOrEqual(3);
  await expect(one.page.getByRole('status').filter({ hasText: /^saved$/i })).toBeVisible();
});

test('task 3: what a visitor sees at our next closed hour, in three clicks', async ({ browser }) => {
  const one = await onToday(browser);
  await one.design();
  const next = circumstancesScreen.nextSituation(one.page);
  await one.click(next);
  await one.click(next);
  await expect(circumstancesScreen.situation(one.page)).toContainText('Next closed hour');
  await expect(pathScreen.nobodyHome(one.page)).not.toHaveAccessibleName(/only (while|during)|see “Who/);
  // Which closed hour is the next one depends on when the demo was filled: its desks are held open for twenty hours.
  await expect(designScreen.reasons(one.page)).toContainText(
    /closed( for a break| for a holiday)? until (\w+ )?\d\d:\d\d/,
  );
  expect(one.clicks).toBeLessThanOrEqual(3);
});

test('task 4: why the invitation did not show on /groups/schools, in three clicks', async ({ browser }) => {
  const one = await onToday(browser);
  await one.design();
  await one.click(circumstancesScreen.onPage(one.page));
  await circumstancesScreen.pageField(one.page).fill('/groups/schools');
  await one.page.keyboard.press('Enter');
  await one.click(designScreen.openAllReasons(one.page));
  await expect(designScreen.allReasons(one.page)).toContainText(/“Class dates”/);
  expect(one.clicks).toBeLessThanOrEqual(3);
});

test('task 5: move the launcher above a bar that lies there, in two', async ({ browser }) => {
  const one = await onToday(browser);
  await one.design();
  const grip = lookScreen.grip(one.stage);
  await expect(one.stage.locator('sunny-porch .window')).toBeVisible();
  const box = await grip.boundingBox();
  if (box === null) throw new Error('Expected a window to take hold of.');
  one.clicks++;
  await one.page.mouse.move(box.x + box.width * 0.75, box.y + box.height / 2);
  await one.page.mouse.down();
  await one.page.mouse.move(box.x + box.width * 0.75, box.y - 60, { steps: 8 });
  await one.page.mouse.up();
  await expect(grip).toHaveAccessibleName(/px from below/);
  expect(one.clicks).toBeLessThanOrEqual(2);
  await expect(one.page.getByRole('status').filter({ hasText: /^saved$/i })).toBeVisible();
});

test('task 6: who gets the notes, and change it, in three clicks', async ({ browser }) => {
  const one = await onToday(browser);
  await one.design();
  await one.click(one.page.locator('[data-transition-words=note-sent]'));
  await expect(one.inspector).toContainText('of Night desk, under Conversations.');
  await one.click(designScreen.recipients(one.inspector));
  await one.page.keyboard.type('notes@farrowisle.example');
  await one.page.keyboard.press('Enter');
  await expect(frameScreen.notesGoThere(one.page)).toBeVisible();
  expect(one.clicks).toBeLessThanOrEqual(3);
});

test('task 11: what a webmaster needs, in three clicks: the snippet, and the lines for a strict policy', async ({
  browser,
}) => {
  const one = await onToday(browser);
  await one.page.context().grantPermissions(['clipboard-read', 'clipboard-write']);
  const copied = () => one.page.evaluate(() => navigator.clipboard.readText());
  await one.click(frameScreen.installLink(frameScreen.screens(one.page)));
  await one.click(installScreen.copySnippet(one.page));
  await expect.poll(copied).toBe(testServer.tag());
  await one.click(installScreen.copyPolicy(one.page));
  await expect(installScreen.copiedPolicy(one.page)).toBeVisible();
  expect(await copied()).toContain(testServer.app);
  expect(one.clicks).toBeLessThanOrEqual(3);
});
