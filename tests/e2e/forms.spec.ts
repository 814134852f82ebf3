import type { DesignFileV1 } from '../../src/core/wire/design-file';
import { splitDesign } from '../../src/core/publish/split-design';
import { beIn, enterAs, expect, expectNoAxe, test, useTestServer, visit } from './test-server';
import { conversationsScreen } from './screens/conversations';
import { widgetScreen } from './screens/widget';

const testServer = useTestServer();

test('before a chat and after it: the first words wait for what is asked, the desk reads both, and nothing typed is lost', async ({
  browser,
}) => {
  const desk = await enterAs(browser, testServer, 'conversations', { who: 'Rui' });
  await beIn(desk, true);
  const visitor = await visit(browser, `${testServer.site}/telescopes`);
  await visitor.page.evaluate(() =>
    (window as unknown as { SunnyPorch(name: string, value: object): void }).SunnyPorch('attributes', {
      booking: 'FI-2031',
    }),
  );
  await visitor.launcher.click();
  const before = visitor.window.locator('[data-form=before]');
  await expect(before.getByRole('group', { name: 'Who will look through it?' })).toBeVisible();
  await expect(before).not.toContainText('Booking');
  await expectNoAxe(visitor.page, 'the form before a chat');

  const field = visitor.window.locator('.foot textarea');
  await field.fill('Which one shows Saturn’s rings?');
  await field.press('Enter');
  await expect(before.getByRole('alert')).toHaveText('Please fill this in.');
  await expect(before.getByRole('radio').first()).toBeFocused();
  await expect(field).toHaveValue('Which one shows Saturn’s rings?');
  await visitor.page.keyboard.press('ArrowDown'); // the second of the three
  await expect(before.getByRole('alert')).toHaveCount(0);
  await field.press('Enter');
  await expect(visitor.window).toHaveAttribute('data-moment', 'waiting');
  await expect(before).toHaveCount(0);

  await conversationsScreen.list(desk).getByText('Which one shows').click();
  const asked = conversationsScreen.formBefore(desk);
  await expect(asked).toContainText('Who will look through it?');
  await expect(asked).toContainText('My family');
  await expect(asked).toContainText('FI-2031');
  await conversationsScreen.reply(desk).fill('The 130 mm one, easily.');
  await conversationsScreen.send(desk).click();
  await expect(visitor.window.getByText('The 130 mm one, easily.')).toBeVisible();
  await conversationsScreen.end(desk).click();

  const after = visitor.window.locator('[data-form=after]');
  await after.getByRole('radio', { name: 'No' }).check();
  await after.getByLabel('What is still open?').fill('Does it need a tripod?');
  await expectNoAxe(visitor.page, 'the form after a chat');
  await visitor.page.route('**/after', (route) => route.abort());
  await widgetScreen.send(after).click();
  await expect(after.getByRole('alert')).toContainText('This did not go through.');
  await expect(after.getByLabel('What is still open?')).toHaveValue('Does it need a tripod?');
  await visitor.page.unroute('**/after');
  await widgetScreen.send(after).click();
  await expect(widgetScreen.formThanks(visitor.window)).toBeVisible();
  await expect(after).toHaveCount(0);
  await expect(conversationsScreen.formAfter(desk)).toContainText('Does it need a tripod?');
  await expectNoAxe(desk, 'a conversation with its forms');

  await visitor.page.reload();
  await visitor.launcher.click();
  await expect(widgetScreen.formThanks(visitor.window)).toBeVisible();
});

test('[M5] a form that is half filled in stays so when everybody leaves and comes back', async ({
  browser,
}) => {
  const desk = await enterAs(browser, testServer, 'conversations', { who: 'Rui' });
  await beIn(desk, true);
  const visitor = await visit(browser, `${testServer.site}/telescopes`, { locale: 'en' });
  await visitor.launcher.click();
  const before = visitor.window.locator('[data-form=before]');
  await before.getByRole('radio', { name: 'A group' }).check();
  await beIn(desk, false);
  await expect(visitor.window).toHaveAttribute('data-moment', 'nobody-home');
  await widgetScreen.email(visitor.window).fill('ana@isle.example');
  await beIn(desk, true);
  await expect(visitor.window).toHaveAttribute('data-moment', 'at-the-door');
  await expect(before.getByRole('radio', { name: 'A group' })).toBeChecked();
  await beIn(desk, false);
  await expect(widgetScreen.email(visitor.window)).toHaveValue('ana@isle.example');
});

test('a design that came in two files: the launcher stands by the first, the window waits for the second even when it is cut off once, and is focused then', async ({
  browser,
}) => {
  const desk = await enterAs(browser, testServer, 'conversations', { who: 'Rui' });
  await beIn(desk, true);
  const page = await (await browser.newContext()).newPage();
  let come = (): void => undefined;
  const mayCome = new Promise<void>((resolve) => (come = resolve));
  const asked: string[] = [];
  const said: string[] = [];
  page.on('console', (message) => message.text().startsWith('Sunny Porch') && said.push(message.text()));
  await page.route(/\/d\d+-[0-9a-f]+\.en(\.room)?\.json$/, async (route) => {
    const address = route.request().url();
    asked.push(address.replace(/^.*\.en/, ''));
    const whole = (await (await route.fetch({ url: address.replace('.room', '') })).json()) as DesignFileV1;
    const { door, room } = splitDesign(whole);
    if (address.includes('.room')) await mayCome;
    if (asked.length === 2) return route.abort(); // the room is cut off once
    await route.fulfill({
      json: address.includes('.room') ? room : door,
      headers: { 'Access-Control-Allow-Origin': '*' },
    });
  });
  await page.goto(`${testServer.site}/telescopes`);
  const launcher = page.locator('sunny-porch .launcher');
  await expect(launcher).toHaveText('Ask us');
  expect(asked).toEqual(['.json']);
  await launcher.click();
  await expect.poll(() => asked).toEqual(['.json', '.room.json']);
  await expect(page.locator('sunny-porch').getByRole('dialog')).toHaveCount(0);
  come();
  const window = page.locator('sunny-porch').getByRole('dialog');
  await expect(window.locator('[data-say=greeting]')).toContainText('Which telescope');
  await expect(window.locator('[data-form=before]')).toContainText('Who will look through it?');
  await expect(window.locator('.foot textarea')).toBeFocused();
  expect(asked).toEqual(['.json', '.room.json', '.room.json']);
  expect(said).toEqual([expect.stringContaining('could not be fetched')]);
});

test('a visitor whose token ran out in an open page begins anew: the words come back to the field, with the form that goes before them', async ({
  browser,
}) => {
  const desk = await enterAs(browser, testServer, 'conversations', { who: 'Rui' });
  await beIn(desk, true);
  const visitor = await visit(browser, `${testServer.site}/telescopes`);
  await visitor.launcher.click();
  const before = visitor.window.locator('[data-form=before]');
  await before.getByRole('radio', { name: 'Just me' }).check();
  await visitor.say('Is the small one free?');
  await expect(before).toHaveCount(0);
  await conversationsScreen.list(desk).getByText('Is the small one free?').click();
  await expect(conversationsScreen.reply(desk)).toBeVisible();
  const allowed = { 'Access-Control-Allow-Origin': new URL(testServer.site).origin };
  let tries = 0;
  await visitor.page.route('**/messages', async (route) => {
    if (tries++ === 0) return route.fulfill({ status: 401, json: {}, headers: allowed });
    // By now the window knows nobody; what is said to whom it was is not said to whom it is.
    if (tries === 2) {
      await conversationsScreen.reply(desk).fill('It is, until ten.');
      await conversationsScreen.send(desk).click();
      await expect(desk.getByRole('log').getByText('It is, until ten.')).toBeVisible();
    }
    return route.continue();
  });
  await visitor.field.fill('And until when?');
  await visitor.field.press('Enter');
  await expect(before.getByRole('alert')).toHaveText('Please fill this in.');
  await expect(visitor.field).toHaveValue('And until when?');
  await visitor.field.press('Enter');
  await expect(before).toHaveCount(0);
  await expect(visitor.window.locator('[data-entry]', { hasText: 'And until when?' })).toHaveCount(1);
  await expect(visitor.window).not.toContainText('It is, until ten.');
});
