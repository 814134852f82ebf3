import { enterAs, expect, expectNoAxe, test, useTestServer } from './test-server';
import { designScreen } from './screens/design';
import { frameScreen } from './screens/frame';
import { partsScreen } from './screens/parts';
import { settingsScreen } from './screens/settings';
import { todayScreen } from './screens/today';

const testServer = useTestServer();

test('findings: counted on the top bar, listed on Today with a place to mend each, dismissed with a reason and taken back', async ({
  browser,
}) => {
  // A site that visitors reach, and a server that only this computer does.
  const page = await enterAs(browser, testServer, 'settings');
  await settingsScreen.anotherAddress(page).fill('farrowisle.example');
  await settingsScreen.add(page).click();
  await expect(settingsScreen.domains(page)).toContainText('https://farrowisle.example');
  await frameScreen.todayLink(frameScreen.screens(page)).click();
  const findings = todayScreen.findings(page);
  const topBar = frameScreen.screens(page);
  await expect(findings.getByRole('listitem')).toHaveCount(1);
  await expect(findings).toContainText('only works on this computer');
  await expect(findings).toContainText('Fix this first');
  await expect(frameScreen.mustFixCount(1)(topBar)).toBeVisible();
  await expectNoAxe(page, 'loose boards');

  await todayScreen.dismiss(findings).click();
  const store = todayScreen.dismiss(findings).last();
  await expect(store).toBeDisabled();
  await todayScreen.reason(findings).fill('We try it at home first.');
  await page.keyboard.press('Enter');
  await expect(frameScreen.mustFixCount(1)(topBar)).toHaveCount(0);
  await expect(findings).not.toContainText('only works on this computer');
  await page.reload();
  await todayScreen.dismissed1(findings).click();
  await expect(findings).toContainText('Dismissed by Inês Matos: “We try it at home first.”');
  await partsScreen.takeBack(findings).click();
  await expect(frameScreen.mustFixCount(1)(topBar)).toBeVisible();

  await todayScreen.moreSuggestions(findings).click();
  await todayScreen.openFinding(findings).first().click();
  await expect(designScreen.invitedHeading(designScreen.inspector(page))).toBeVisible();
});

test('a dead end is a cracked moment card that says why, as soon as it is made, and none once it is taken back', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&moment=invited&with=in');
  const momentCard = page.locator('[data-moment-card=invited]');
  await expect(momentCard).not.toHaveAccessibleName(/Dead end/);
  const inspector = designScreen.inspector(page);
  await designScreen.invitationsPerVisit(inspector).fill('0');
  await expect(momentCard).toHaveAccessibleName(
    /Dead end: “.*” can never be shown: invitations are limited to none per visit/,
  );
  await expect(inspector.getByRole('note').first()).toContainText('can never be shown');
  await designScreen.undo(page).click();
  await expect(momentCard).not.toHaveAccessibleName(/Dead end/);
});

test('whoever only answers is not asked to mend anything', async ({ browser }) => {
  const page = await enterAs(browser, testServer, 'today', { who: 'Rui' });
  await expect(todayScreen.heading(page)).toBeVisible();
  await expect(todayScreen.findings(page)).toHaveCount(0);
});
