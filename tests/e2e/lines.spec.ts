import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Relay } from './relay';
import { conversationsScreen } from './screens/conversations';
import { beIn, enterAs, expect, test, useTestServer, visit } from './test-server';

const testServer = useTestServer();

/** A page of the site whose widget reaches the server over a line of its own. */
async function pageOver(relay: Relay, name: string): Promise<string> {
  const address = await relay.open(testServer.app);
  const page = readFileSync(join(testServer.siteDir, 'tonight', 'index.html'), 'utf8');
  mkdirSync(join(testServer.siteDir, name), { recursive: true });
  writeFileSync(join(testServer.siteDir, name, 'index.html'), page.replaceAll(testServer.app, address));
  return `${testServer.site}/${name}`;
}

test('[S6] a connection that dies without a sign loses nothing: both sides notice within twelve seconds, and hear what they missed', async ({
  browser,
}) => {
  const [visitors, desks] = [new Relay(), new Relay()];
  const desk = await enterAs(browser, testServer, 'conversations');
  await desk.goto(`${await desks.open(testServer.app)}/s/${testServer.siteKey}/conversations`);
  await beIn(desk, true);
  const visitor = await visit(browser, await pageOver(visitors, 'over-the-sea'));
  await visitor.launcher.click();
  await visitor.say('Can we still book for Saturday?');
  await conversationsScreen.list(desk).getByText('Can we still book for Saturday?').click();
  await conversationsScreen.reply(desk).fill('You can, until Friday noon.');
  await conversationsScreen.send(desk).click();
  await expect(visitor.window.getByText('You can, until Friday noon.')).toBeVisible();

  desks.stall();
  visitors.stall();
  await visitor.say('For nine people?'); // on a line of its own
  const other = await enterAs(browser, testServer, 'conversations', { who: 'Rui' });
  await conversationsScreen.list(other).getByText('For nine people?').click();
  await conversationsScreen.reply(other).fill('For nine as well.');
  await conversationsScreen.send(other).click();
  await expect(visitor.window.getByText('For nine as well.')).toBeVisible();
  await expect(conversationsScreen.messages(desk).getByText('For nine as well.')).toBeVisible();
  await expect(conversationsScreen.messages(desk).getByText('For nine people?')).toHaveCount(1);
  visitors.close();
  desks.close();
});

test('[S6] a server that accepts and does not answer: no word of people stands in the window fifteen seconds after the last beat', async ({
  browser,
}) => {
  const line = new Relay();
  const desk = await enterAs(browser, testServer, 'conversations');
  await beIn(desk, true);
  const visitor = await visit(browser, await pageOver(line, 'on-the-mainland'));
  await visitor.launcher.click();
  await expect(visitor.window).toContainText('We are here');
  line.stall({ forAll: true });
  await expect(visitor.window).toContainText('The connection is gone.');
  await expect(visitor.window).not.toContainText('We are here');
  await expect(visitor.window).toHaveAttribute('data-moment', 'at-the-door');
  await visitor.window.press('Escape');
  await visitor.launcher.click();
  await expect(visitor.window).toBeVisible(); // it opens all the same
  line.mend();
  await expect(visitor.window).toContainText('We are here');
  line.close();
});

test('a server that is down when the page loads is asked again, and the launcher comes', async ({
  browser,
}) => {
  const page = await (await browser.newContext()).newPage();
  const lines: string[] = [];
  page.on('console', (message) => lines.push(message.text()));
  await page.route('**/live.json', (route) => route.abort());
  await page.goto(`${testServer.site}/tonight`);
  await expect.poll(() => lines.filter((one) => one.includes('cannot be reached'))).toHaveLength(1);
  await page.unroute('**/live.json');
  await expect(page.locator('sunny-porch .launcher')).toBeVisible({ timeout: 20_000 });
  expect(lines.filter((one) => one.includes('cannot be reached'))).toHaveLength(1);
});
