import { expect, expectNoAxe, expectNoSidewaysScroll, test, useTestServer } from './test-server';
import { designScreen } from './screens/design';
import { practiceScreen } from './screens/practice';
import { entranceScreen } from './screens/entrance';
import { publishingScreen } from './screens/publishing';

// One story: an empty installation can be opened only once.
test.describe.configure({ mode: 'serial' });
const testServer = useTestServer({ isEmpty: true });
const PASSWORD = 'clear skies tonight';

test('[threat 5] without the code nothing is made; the code travels in the form, never in an address', async ({
  page,
}) => {
  expect(testServer.printed).toContain(`/start#${testServer.setupCode}`);
  expect(testServer.printed).toContain('Public address    not set: the snippet works on this computer only.');
  expect(testServer.printed).toContain('X-Forwarded-For   not believed: no proxy is trusted.');
  const asked: string[] = [];
  page.on('request', (request) => asked.push(request.url()));
  await page.goto(`${testServer.app}/`);
  await expect(page).toHaveURL(`${testServer.app}/start`);
  await entranceScreen.setupCode(page).fill('AAAA-AAAA');
  await entranceScreen.siteName(page).fill('Farrow Isle');
  await entranceScreen.email(page).fill('ines@farrowisle.example');
  await entranceScreen.newPassword(page).fill(PASSWORD);
  await entranceScreen.create(page).click();
  await expect(entranceScreen.setupCodeNeeded(page)).toBeVisible();
  await page.goto('about:blank');
  await page.goto(`${testServer.app}/start#${testServer.setupCode}`);
  await expect(entranceScreen.setupCode(page)).toBeHidden();
  expect(asked.filter((url) => url.includes(testServer.setupCode ?? 'never'))).toEqual([]);
});

test('five answers make owner, site and a widget that can be published; the door is gone afterwards', async ({
  page,
  request,
}) => {
  await page.goto(`${testServer.app}/start#${testServer.setupCode}`);
  await expect(entranceScreen.languageAndZone(page)).toBeVisible();
  await expect(entranceScreen.siteName(page)).toBeFocused();
  await expectNoAxe(page, 'the first page');
  await entranceScreen.create(page).click();
  await expect(entranceScreen.siteNameNeeded(page)).toBeVisible();
  await expect(entranceScreen.emailFault(page)).toBeVisible();

  await entranceScreen.siteName(page).fill('Farrow Isle');
  await expect(entranceScreen.preview(page).locator('sunny-porch .title')).toHaveText(/Farrow Isle/);
  await entranceScreen.siteAddress(page).fill(testServer.site);
  await entranceScreen.colour(page).fill('#7a2e5d');
  await expect(entranceScreen.whiteTextRatio(page)).toBeVisible();
  await page.reload();
  await expect(entranceScreen.siteName(page)).toHaveValue('Farrow Isle');
  await entranceScreen.email(page).fill('ines@farrowisle.example');
  await entranceScreen.newPassword(page).fill(PASSWORD);
  await entranceScreen.create(page).click();
  await page.waitForURL(/\/s\/[a-z0-9]{12}\/design\?moment=at-the-door&with=in$/);
  await expect(designScreen.momentHeading('at-the-door')(page)).toBeVisible();
  await expect(practiceScreen.sayHello(practiceScreen.firstSteps(page))).toBeVisible();
  await expect(publishingScreen.publishFirst(page)).toBeEnabled();

  expect((await request.get(`${testServer.app}/start`)).status()).toBe(404);
  await publishingScreen.publishFirst(page).click();
  await expect(page.getByRole('dialog')).toContainText('Visitors will see your widget for the first time.');
  await publishingScreen.publish(page).click();
  await expect(publishingScreen.firstIsLive(page)).toBeVisible();
});

test('[threat 6] a real installation has no demo door; wrong mail and wrong password are told alike', async ({
  page,
}) => {
  await page.goto(`${testServer.app}/signin?next=/`);
  await expect(entranceScreen.demoDoor(page)).toHaveCount(0);
  await expectNoAxe(page, 'signing in');
  for (const [mail, password] of [
    ['ines@farrowisle.example', 'cloudy all night'],
    ['nobody@farrowisle.example', PASSWORD],
  ] as const) {
    await entranceScreen.email(page).fill(mail);
    await entranceScreen.password(page).fill(password);
    await entranceScreen.signIn(page).click();
    await expect(entranceScreen.wrongPassword(page)).toBeVisible();
    await expect(entranceScreen.email(page)).toHaveValue(mail);
  }
  await entranceScreen.email(page).fill('INES@farrowisle.example');
  await entranceScreen.password(page).fill(PASSWORD);
  await entranceScreen.signIn(page).click();
  await page.waitForURL(/\/today$/);
});

test('signing in leads where one was going, and nowhere else', async ({ page }) => {
  for (const [next, lands] of [
    ['/new', /\/new$/],
    ['//evil.example', /\/signin|127\.0\.0\.1/],
  ] as const) {
    await page.context().clearCookies();
    await page.goto(`${testServer.app}/signin?next=${encodeURIComponent(next)}`);
    await entranceScreen.email(page).fill('ines@farrowisle.example');
    await entranceScreen.password(page).fill(PASSWORD);
    await entranceScreen.signIn(page).click();
    await expect(page).toHaveURL(lands);
    expect(new URL(page.url()).host).toBe(new URL(testServer.app).host);
  }
  await page.context().clearCookies();
  await page.goto(`${testServer.app}/signin?next=/`);
  await entranceScreen.email(page).fill('ines@farrowisle.example');
  await entranceScreen.password(page).fill(PASSWORD);
  await entranceScreen.signIn(page).click();
  await page.waitForURL(/\/s\/[a-z0-9]{12}\/today$/);
  for (const screen of ['conversations/01m8t1z8my88eq2s7hwgvmy0ny', 'design?moment=at-the-door']) {
    const asked = page.url().replace(/\/s\/([a-z0-9]{12})\/.*$/, `/s/$1/${screen}`);
    await page.context().clearCookies();
    await page.goto(asked);
    await entranceScreen.email(page).fill('ines@farrowisle.example');
    await entranceScreen.password(page).fill(PASSWORD);
    await entranceScreen.signIn(page).click();
    await expect(page).toHaveURL(asked);
  }
});

test('another site of the same person, by the same first page without an account; on a phone', async ({
  page,
}) => {
  await page.goto(`${testServer.app}/signin?next=/new`);
  await entranceScreen.email(page).fill('ines@farrowisle.example');
  await entranceScreen.password(page).fill(PASSWORD);
  await entranceScreen.signIn(page).click();
  await expect(entranceScreen.heading(page)).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  await expect(entranceScreen.newPassword(page)).toHaveCount(0);
  await expectNoSidewaysScroll(page);
  await expectNoAxe(page, 'the first page on a phone');
  await entranceScreen.siteName(page).fill('Second isle');
  await entranceScreen.create(page).click();
  await page.waitForURL(/\/s\/[a-z0-9]{12}\/design\?moment=at-the-door&with=in$/);
  const base = page.url().replace(/\/design.*$/, '');
  for (const [screen, words] of [
    ['conversations', 'Nobody has written yet'],
    ['today', 'Visitors see it when you publish.'],
    ['install', 'Nothing until you publish.'],
  ] as const) {
    await page.goto(`${base}/${screen}`);
    await expect(page.getByText(words)).toBeVisible();
    await expectNoAxe(page, `${screen}, empty`);
    await expectNoSidewaysScroll(page);
  }
});
