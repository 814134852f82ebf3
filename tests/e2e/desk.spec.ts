import type { Browser, Page } from '@playwright/test';
import { beIn, enterAs, expect, test, useTestServer, visit } from './test-server';
import { conversationsScreen } from './screens/conversations';

const testServer = useTestServer();

const DARK = 'How dark must it be for the tour?';
const BOAT = 'Which boat goes back at night?';

/** A visitor asks something; gives the address of their conversation at the desk. */
async function asked(browser: Browser, desk: Page, question: string): Promise<string> {
  const visitor = await visit(browser, `${testServer.site}/tonight`);
  await visitor.launcher.click();
  await visitor.say(question);
  const link = conversationsScreen.list(desk).getByRole('link', { name: question });
  await expect(link).toBeVisible();
  return (await link.getAttribute('href')) ?? '';
}

const shows = async (desk: Page, address: string, question: string): Promise<void> => {
  await expect(desk).toHaveURL(`${testServer.app}${address}`);
  await expect(conversationsScreen.messages(desk).getByText(question)).toBeVisible();
};

test('every conversation has an address: back and forward lead through them, and a colleague opens it by the link', async ({
  browser,
}) => {
  const desk = await enterAs(browser, testServer, 'conversations');
  await beIn(desk, true);
  const [dark, boat] = [await asked(browser, desk, DARK), await asked(browser, desk, BOAT)];
  await conversationsScreen.list(desk).getByText(DARK).click();
  await shows(desk, dark, DARK);
  await conversationsScreen.list(desk).getByText(BOAT).click();
  await shows(desk, boat, BOAT);
  await desk.goBack();
  await shows(desk, dark, DARK);
  await desk.goBack();
  await expect(desk).toHaveURL(/\/conversations$/);
  await expect(conversationsScreen.messages(desk)).toBeHidden();
  await desk.goForward();
  await desk.goForward();
  await shows(desk, boat, BOAT);
  await desk.reload();
  await shows(desk, boat, BOAT);

  const colleague = await enterAs(browser, testServer, dark.split('/').slice(3).join('/'), { who: 'Rui' });
  await shows(colleague, dark, DARK);
  const none = `${dark.slice(0, -4)}zzzz`;
  await colleague.goto(`${testServer.app}${none}`);
  await expect(colleague.getByText('There is no such conversation on this site.')).toBeVisible();
  await colleague.setViewportSize({ width: 390, height: 844 });
  await conversationsScreen.backToAll(colleague).click();
  await expect(conversationsScreen.list(colleague).getByText(BOAT)).toBeVisible();
});
