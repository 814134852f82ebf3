import { expect, expectNoAxe, expectNoSidewaysScroll, test, useHouse } from './house';

// One story: an empty installation can be opened only once.
test.describe.configure({ mode: 'serial' });
const house = useHouse({ isEmpty: true });
const PASSWORD = 'clear skies tonight';

test('[threat 5] without the code nothing is made; the code travels in the form, never in an address', async ({
  page,
}) => {
  expect(house.printed).toContain(`/start#${house.setupCode}`);
  expect(house.printed).toContain('Public address    not set: the tag will work on this computer only.');
  const asked: string[] = [];
  page.on('request', (request) => asked.push(request.url()));
  await page.goto(`${house.app}/`);
  await expect(page).toHaveURL(`${house.app}/start`);
  await page.getByLabel('Setup code').fill('AAAA-AAAA');
  await page.getByLabel('What stands on your door?').fill('Farrow Isle');
  await page.getByLabel('Your e-mail').fill('ines@farrowisle.example');
  await page.getByLabel('A password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Open the porch' }).click();
  await expect(page.getByText('Type the code that was printed where Sunny Porch was started.')).toBeVisible();
  await page.goto('about:blank');
  await page.goto(`${house.app}/start#${house.setupCode}`);
  await expect(page.getByLabel('Setup code')).toBeHidden();
  expect(asked.filter((url) => url.includes(house.setupCode ?? 'never'))).toEqual([]);
});

test('five answers make owner, site and a widget that can be published; the door is gone afterwards', async ({
  page,
  request,
}) => {
  await page.goto(`${house.app}/start#${house.setupCode}`);
  await expect(page.getByText(/English, and it is \d\d:\d\d in America\/St_Johns, right\?/)).toBeVisible();
  await expect(page.getByLabel('What stands on your door?')).toBeFocused();
  await expectNoAxe(page, 'the first page');
  await page.getByRole('button', { name: 'Open the porch' }).click();
  await expect(
    page.getByText('Give your site a name; visitors read it at the top of the window.'),
  ).toBeVisible();
  await expect(page.getByText('Something is missing around the @.')).toBeVisible();

  await page.getByLabel('What stands on your door?').fill('Farrow Isle');
  await expect(
    page.getByRole('complementary', { name: 'Your widget' }).locator('sunny-porch .title'),
  ).toHaveText(/Farrow Isle/);
  await page.getByLabel('Where is your site?').fill(house.site);
  await page.getByRole('textbox', { name: 'Your colour' }).fill('#7a2e5d');
  await expect(page.getByText(/White text on it: 8\.\d:1, reads very well\./)).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('What stands on your door?')).toHaveValue('Farrow Isle');
  await page.getByLabel('Your e-mail').fill('ines@farrowisle.example');
  await page.getByLabel('A password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Open the porch' }).click();
  await page.waitForURL(/\/s\/[a-z0-9]{12}\/design$/);
  await expect(page.getByRole('button', { name: 'Publish version 1' })).toBeEnabled();

  expect((await request.get(`${house.app}/start`)).status()).toBe(404);
  await page.getByRole('button', { name: 'Publish version 1' }).click();
  await expect(page.getByRole('dialog')).toContainText('A widget where there was none.');
  await page.getByRole('button', { name: 'Publish', exact: true }).click();
  await expect(page.getByText('Version 1 is live.')).toBeVisible();
});

test('[threat 6] a real installation has no demo door; wrong mail and wrong password are told alike', async ({
  page,
}) => {
  await page.goto(`${house.app}/signin?next=/`);
  await expect(page.getByRole('button', { name: /Enter as/ })).toHaveCount(0);
  await expectNoAxe(page, 'signing in');
  for (const [mail, password] of [
    ['ines@farrowisle.example', 'cloudy all night'],
    ['nobody@farrowisle.example', PASSWORD],
  ] as const) {
    await page.getByLabel('Your e-mail').fill(mail);
    await page.getByLabel('Password').fill(password);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByText('E-mail and password do not go together. Check both.')).toBeVisible();
    await expect(page.getByLabel('Your e-mail')).toHaveValue(mail);
  }
  await page.getByLabel('Your e-mail').fill('INES@farrowisle.example');
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL(/\/today$/);
});

test('signing in leads where one was going, and nowhere else', async ({ page }) => {
  for (const [next, lands] of [
    ['/new', /\/new$/],
    ['//evil.example', /\/signin|127\.0\.0\.1/],
  ] as const) {
    await page.context().clearCookies();
    await page.goto(`${house.app}/signin?next=${encodeURIComponent(next)}`);
    await page.getByLabel('Your e-mail').fill('ines@farrowisle.example');
    await page.getByLabel('Password').fill(PASSWORD);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page).toHaveURL(lands);
    expect(new URL(page.url()).host).toBe(new URL(house.app).host);
  }
});

test('another site of the same person, by the same first page without an account; on a phone', async ({
  page,
}) => {
  await page.goto(`${house.app}/signin?next=/new`);
  await page.getByLabel('Your e-mail').fill('ines@farrowisle.example');
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { name: 'Whose porch is this?' })).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  await expect(page.getByLabel('A password')).toHaveCount(0);
  await expectNoSidewaysScroll(page);
  await expectNoAxe(page, 'the first page on a phone');
  await page.getByLabel('What stands on your door?').fill('Second isle');
  await page.getByRole('button', { name: 'Open the porch' }).click();
  await page.waitForURL(/\/s\/[a-z0-9]{12}\/design$/);
  const base = page.url().replace(/\/design$/, '');
  for (const [screen, words] of [
    ['conversations', 'Nobody has written yet'],
    ['today', 'Nothing is published yet, so visitors see nothing.'],
    ['install', 'Nothing yet: nothing is published.'],
  ] as const) {
    await page.goto(`${base}/${screen}`);
    await expect(page.getByText(words)).toBeVisible();
    await expectNoAxe(page, `${screen}, empty`);
    await expectNoSidewaysScroll(page);
  }
});
