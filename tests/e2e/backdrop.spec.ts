import { enterAs, expect, expectNoAxe, test, useHouse, visit } from './house';

const house = useHouse();

test('a picture of the owner’s page stands behind the widget; what is no picture is refused in a sentence; it can be taken away', async ({
  browser,
}) => {
  const visitor = await visit(browser, `${house.site}/tonight`);
  const picture = await visitor.page.screenshot();
  const page = await enterAs(browser, house, 'design?on=/tonight&moment=at-the-door&with=in');
  const stage = page.locator('section[aria-label=Stage]');
  await page.getByRole('button', { name: 'Behind the widget: a page we draw' }).click();
  const sheet = page.getByRole('dialog', { name: 'Behind the widget' });
  await expect(sheet.getByRole('radio', { name: /^A picture of your page/ })).toBeDisabled();
  const field = sheet.locator('input[type=file]');
  await field.setInputFiles({
    name: 'page.png',
    mimeType: 'image/png',
    buffer: Buffer.from('<html><script>alert(1)</script>'),
  });
  await expect(
    page.getByText('That is not a PNG, JPEG or WebP picture. Nothing was stored', { exact: false }),
  ).toBeVisible();
  await field.setInputFiles({ name: 'page.png', mimeType: 'image/png', buffer: picture });
  const drawn = stage.locator('img');
  await expect.poll(() => drawn.evaluate((one: HTMLImageElement) => one.naturalWidth)).toBe(1280);
  await expect(sheet.getByRole('radio', { name: /^A picture of your page/ })).toBeChecked();
  await expectNoAxe(page, 'what stands behind the widget');
  await page.keyboard.press('Escape');
  // The draft stands over it, as it is.
  await expect(stage.locator('sunny-porch .window')).toBeVisible();
  await page.reload();
  await expect(drawn).toBeVisible();
  // Phones have a picture of their own.
  await page.getByRole('group', { name: 'Device' }).getByRole('button', { name: 'Phone' }).click();
  await expect(drawn).toHaveCount(0);
  await page.getByRole('group', { name: 'Device' }).getByRole('button', { name: 'Desktop' }).click();
  await page.getByRole('button', { name: 'Behind the widget: a picture' }).click();
  await sheet.getByRole('button', { name: 'Take it away' }).click();
  await expect(drawn).toHaveCount(0);
});

test('[threat 30] the owner’s page itself stands in a frame without scripts, with the draft over it', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'design?on=/tonight&moment=passing-by');
  await page.getByRole('button', { name: 'Behind the widget: a page we draw' }).click();
  await page.getByRole('radio', { name: 'Your page itself' }).click();
  const frame = page.locator('section[aria-label=Stage]').locator('iframe');
  await expect(frame).toHaveAttribute('src', `${house.site}/tonight`);
  await expect(frame).toHaveAttribute('sandbox', 'allow-same-origin');
  const inside = frame.contentFrame();
  await expect(inside.locator('h1')).toBeVisible();
  await expect(inside.locator('sunny-porch')).toHaveCount(0);
  await page.keyboard.press('Escape');
  await expect(page.locator('section[aria-label=Stage]').locator('sunny-porch .launcher')).toBeVisible();
});
