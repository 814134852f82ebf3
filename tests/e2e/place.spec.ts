import { circumstancesScreen } from './screens/circumstances';
import type { Page } from '@playwright/test';
import { enterAs, expect, expectNoAxe, test, useTestServer, visit } from './test-server';
import { designScreen } from './screens/design';
import { lookScreen } from './screens/look';
import { publishingScreen } from './screens/publishing';

const testServer = useTestServer();

const grip = (page: Page) => lookScreen.grip(designScreen.stage(page));
const inspector = (page: Page) => designScreen.inspector(page);

async function drag(page: Page, by: { x: number; y: number }): Promise<void> {
  const box = await grip(page).boundingBox();
  if (box === null) throw new Error('Expected the launcher on the stage.');
  const [x, y] = [box.x + 20, box.y + 20];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + by.x / 2, y + by.y / 2, { steps: 4 });
  await page.mouse.move(x + by.x, y + by.y, { steps: 4 });
}

test('the launcher is dragged along the edges, says where it stands, snaps into corners, and is moved by keys as well', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&moment=passing-by');
  await expect(grip(page)).toHaveAccessibleName(/^Place: lower right, 20 px from both edges/);
  await expectNoAxe(page, 'the stage with its grip');
  await drag(page, { x: 0, y: -50 });
  await expect(page.getByRole('status').filter({ hasText: 'from below' })).toHaveText(
    /^lower right, 20 px from the side, \d+ px from below$/,
  );
  await page.mouse.up();
  await expect(grip(page)).toHaveAccessibleName(
    /^Place: lower right, 20 px from the side, (9|1\d)\d px from below/,
  );
  await expect(lookScreen.undoLowerRight(page)).toBeVisible();
  await drag(page, { x: 3, y: 52 }); // nearly in the corner
  await page.mouse.up();
  await expect(grip(page)).toHaveAccessibleName(/^Place: lower right, 20 px from both edges/);

  await grip(page).focus();
  await page.keyboard.press('ArrowUp');
  await expect(grip(page)).toHaveAccessibleName(/^Place: lower right, 20 px from the side, 28 px from below/);
  await page.keyboard.press('Shift+ArrowLeft');
  await expect(grip(page)).toHaveAccessibleName(/^Place: lower left, 20 px from the side, 28 px from below/);
  await page.keyboard.press('Shift+ArrowUp');
  await expect(grip(page)).toHaveAccessibleName(/^Place: upper left, 20 px from both edges/);
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Shift+ArrowRight');
  await expect(grip(page)).toHaveAccessibleName(/^Place: lower right, 20 px from both edges/);

  await grip(page).click({ position: { x: 10, y: 10 } }); // on its mark: the words beside it are edited where they stand
  await expect(lookScreen.heading(inspector(page))).toBeVisible();
  await expect(lookScreen.lowerRight(inspector(page))).toBeChecked();
  await expect(page.getByRole('status').filter({ hasText: /^saved$/i })).toBeVisible(); // the next visitor of this house begins there
});

test('with the window open its head is the grip; in Arabic the page is the mirror; visitors get what was dropped', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&moment=at-the-door&with=in&locale=ar');
  await expect(grip(page)).toHaveAccessibleName(/^Place: lower right, 20 px from both edges/);
  await drag(page, { x: 0, y: -39 });
  await page.mouse.up();
  await expect(grip(page)).toHaveAccessibleName(/^Place: lower right, 20 px from the side, 60 px from below/);
  await publishingScreen.anyPublish(page).click();
  await publishingScreen.anyPublish(page.getByRole('dialog')).click();
  await expect(publishingScreen.isLive(page)).toBeVisible();

  const site = await (await browser.newContext({ locale: 'en' })).newPage();
  await site.setViewportSize({ width: 1000, height: 700 });
  await site.goto(`${testServer.site}/tonight`);
  const launcher = site.locator('sunny-porch .launcher');
  await expect.poll(async () => (await launcher.boundingBox())?.y).toBe(700 - 60 - 56);
  await launcher.click();
  const window = site.locator('sunny-porch .window');
  await expect
    .poll(async () => ((box) => (box === null ? null : box.y + box.height))(await window.boundingBox()))
    .toBe(700 - 60);
});

test('on a phone it may stand in another corner: dragged there, told so before publishing, and only phones see it', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&moment=passing-by&device=phone');
  await expect(grip(page)).toHaveAccessibleName(/^Place: lower right, 16 px/);
  await drag(page, { x: -130, y: 0 });
  await page.mouse.up();
  await expect(grip(page)).toHaveAccessibleName(/^Place: lower left, /);
  await expect(lookScreen.undoPhoneLowerLeft(page)).toBeVisible();
  await circumstancesScreen.onAPhone(page).click();
  await circumstancesScreen.computer(page).click();
  await expect(grip(page)).toHaveAccessibleName(/^Place: lower right, /);
  await publishingScreen.publishChanges(page).click();
  await expect(page.getByRole('dialog')).toContainText('Launcher moves to the lower left on phones');
  await publishingScreen.anyPublish(page.getByRole('dialog')).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  const sides = async (viewport: { width: number; height: number }) => {
    const visitor = await visit(browser, `${testServer.site}/tonight`, { viewport });
    await expect(visitor.launcher).toBeVisible();
    const box = await visitor.launcher.boundingBox();
    return box !== null && box.x > viewport.width / 2 ? 'right' : 'left';
  };
  expect(await sides({ width: 390, height: 844 })).toBe('left');
  expect(await sides({ width: 1280, height: 800 })).toBe('right');
  await designScreen.lookTab(page).click();
  await lookScreen.place(inspector(page)).click();
  await lookScreen.phoneCorner(inspector(page)).click();
  await lookScreen.sameCorner(page).click();
  await expect(page.getByRole('status').filter({ hasText: /^saved$/i })).toBeVisible();
});
