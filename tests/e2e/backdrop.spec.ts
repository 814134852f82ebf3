import { circumstancesScreen } from './screens/circumstances';
import { enterAs, expect, expectNoAxe, test, useTestServer, visit } from './test-server';
import { partsScreen } from './screens/parts';
import { stageScreen } from './screens/stage';

const testServer = useTestServer();

test('a picture of the owner’s page stands behind the widget; what is no picture is refused in a sentence; it can be taken away', async ({
  browser,
}) => {
  const visitor = await visit(browser, `${testServer.site}/tonight`);
  const picture = await visitor.page.screenshot();
  const page = await enterAs(browser, testServer, 'design?on=/tonight&moment=at-the-door&with=in');
  const stage = page.locator('section[aria-label=Stage]');
  await stageScreen.backdropDrawn(page).click();
  const sheet = stageScreen.backdropMenu(page);
  await expect(stageScreen.backdropPicture(sheet)).toBeDisabled();
  const field = sheet.locator('input[type=file]');
  await field.setInputFiles({
    name: 'page.png',
    mimeType: 'image/png',
    buffer: Buffer.from('<html><script>alert(1)</script>'),
  });
  await expect(stageScreen.notAPicture(page)).toBeVisible();
  await field.setInputFiles({ name: 'page.png', mimeType: 'image/png', buffer: picture });
  const drawn = stage.locator('img');
  await expect.poll(() => drawn.evaluate((one: HTMLImageElement) => one.naturalWidth)).toBe(1280);
  await expect(stageScreen.backdropPicture(sheet)).toBeChecked();
  await expectNoAxe(page, 'what stands behind the widget');
  await page.keyboard.press('Escape');
  // The draft stands over it, as it is.
  await expect(stage.locator('sunny-porch .window')).toBeVisible();
  await page.reload();
  await expect(drawn).toBeVisible();
  // Phones have a picture of their own.
  await circumstancesScreen.onAComputer(page).click();
  await circumstancesScreen.phone(page).click();
  await expect(drawn).toHaveCount(0);
  await circumstancesScreen.onAPhone(page).click();
  await circumstancesScreen.computer(page).click();
  await stageScreen.backdropPictured(page).click();
  await partsScreen.remove(sheet).click();
  await expect(drawn).toHaveCount(0);
});

test('[threat 30] the owner’s page itself stands in a frame without scripts, with the draft over it', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&moment=passing-by');
  await stageScreen.backdropDrawn(page).click();
  await stageScreen.backdropFramed(page).click();
  const frame = page.locator('section[aria-label=Stage]').locator('iframe');
  await expect(frame).toHaveAttribute('src', `${testServer.site}/tonight`);
  await expect(frame).toHaveAttribute('sandbox', 'allow-same-origin');
  const inside = frame.contentFrame();
  await expect(inside.locator('h1')).toBeVisible();
  await expect(inside.locator('sunny-porch')).toHaveCount(0);
  await page.keyboard.press('Escape');
  await expect(page.locator('section[aria-label=Stage]').locator('sunny-porch .launcher')).toBeVisible();
});
