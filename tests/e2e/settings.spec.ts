import { circumstancesScreen } from './screens/circumstances';
import { conversationsScreen } from './screens/conversations';
import { frameScreen } from './screens/frame';
import { publishingScreen } from './screens/publishing';
import { accountScreen, settingsScreen } from './screens/settings';
import { enterAs, expect, expectNoAxe, test, useTestServer } from './test-server';

const testServer = useTestServer();

test('an owner names the site, adds an address that lacks its scheme, chooses the zone, and offers one more language', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'today');
  await frameScreen.account(page).click();
  await frameScreen.settingsLink(page).click();
  const name = settingsScreen.siteName(page);
  await expect(name).toHaveValue('Farrow Isle Observatory');
  await name.fill('Farrow Isle');
  await settingsScreen.save(page).click();
  await expect(frameScreen.sitePicker(page)).toHaveText(/^Farrow Isle /);

  const typed = settingsScreen.anotherAddress(page);
  await typed.fill('granite');
  await settingsScreen.add(page).click();
  await expect(page.getByText('Type an address such as farrowisle.example', { exact: false })).toBeVisible();
  await typed.fill('*.granite.example');
  await settingsScreen.add(page).click();
  await expect(settingsScreen.domains(page)).toContainText('https://*.granite.example · all subdomains');
  await expect(typed).toHaveValue('');
  await settingsScreen.removeSubdomains(page).click();
  await expect(settingsScreen.domains(page)).not.toContainText('granite');

  await settingsScreen.zone(page).fill('Lisbon');
  await settingsScreen.lisbon(page).click();
  await expect(settingsScreen.zone(page)).toHaveValue('Europe/Lisbon');

  // The name of a place is dropped with its zone.
  await expect(settingsScreen.placeInPortuguese(page)).toHaveValue('');
  await settingsScreen.placeInPortuguese(page).fill('Lisboa');
  await settingsScreen.savePortuguese(page).click();
  await expect(page.getByText('“20:30 (19:30, Lisboa)”')).toBeVisible();

  await settingsScreen.addLanguage(page).click();
  await settingsScreen.spanish(page).click();
  await expect(settingsScreen.languages(page)).toContainText('español · your own words, else English');
  await expectNoAxe(page, 'site settings');
  await page.reload();
  await expect(settingsScreen.zone(page)).toHaveValue('Europe/Lisbon');

  await frameScreen.designLink(frameScreen.screens(page)).click();
  await circumstancesScreen.inEnglish(page).click();
  await expect(circumstancesScreen.spanish(page)).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(publishingScreen.publishCount(2)(page)).toBeVisible();
});

test('one’s own name is changed, and a wrong password is told at its field', async ({ browser }) => {
  const page = await enterAs(browser, testServer, 'account');
  await accountScreen.name(page).fill('Inês M.');
  await accountScreen.save(page).click();
  await expect(frameScreen.account(page)).toHaveAccessibleName('Account of Inês M.');
  await accountScreen.passwordNow(page).fill('not the one');
  await accountScreen.newPassword(page).fill('short');
  await accountScreen.changePassword(page).click();
  await expect(page.getByText('Use 10 characters or more.')).toBeVisible();
  await accountScreen.newPassword(page).fill('long enough this time');
  await accountScreen.changePassword(page).click();
  await expect(page.getByText('This is not your password.')).toBeVisible();
  await expectNoAxe(page, 'my account');
  await expect(accountScreen.sessions(page)).toContainText('This browser');
});

test('a shorter time for conversations says how many it would delete, and deletes them only when told to', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'settings');
  await settingsScreen.keptDays(page).fill('5');
  await settingsScreen.saveDays(page).click();
  const question = page.getByRole('main').getByRole('alert');
  await expect(question).toContainText(/is older than 5 days\. It would be deleted within the hour/);
  await settingsScreen.keepAsBefore(page).click();
  await expect(question).toHaveCount(0);
  await expect(settingsScreen.keptDays(page)).toHaveValue('365');
  await expect(settingsScreen.keptDays(page)).toBeFocused();

  await settingsScreen.keptDays(page).fill('5');
  await settingsScreen.saveDays(page).click();
  await expectNoAxe(page, 'the question before conversations are deleted');
  await settingsScreen.deleteOlder(page).click();
  await expect(question).toHaveCount(0);
  await expect(settingsScreen.keptDays(page)).toHaveValue('5');
  const desk = await enterAs(browser, testServer, 'conversations');
  await expect(desk.getByText('Lovely, then we come on Saturday. Thank you!')).toBeVisible();
  await conversationsScreen.list(desk).getByText('Lovely, then we come on Saturday. Thank you!').click();
  await testServer.moveTo(Date.now() + 3_700_000);
  await expect(desk.getByText('This one was older, so it has been deleted.')).toBeVisible();
});
