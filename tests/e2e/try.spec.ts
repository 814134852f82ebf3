import { enterAs, expect, expectNoAxe, expectNoSidewaysScroll, test, useTestServer } from './test-server';
import { circumstancesScreen } from './screens/circumstances';
import { designScreen } from './screens/design';
import { partsScreen } from './screens/parts';
import { publishingScreen } from './screens/publishing';
import { trialScreen } from './screens/trial';

const testServer = useTestServer();

test('a visit is tried step by step: what shows, what comes next and when, why the rest does not; it stands in the address', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&with=in');
  await trialScreen.open(page).click();
  const visit = trialScreen.visit(page);
  const panel = trialScreen.panel(page);
  const path = trialScreen.path(page);
  const card = designScreen.stage(page).locator('sunny-porch .invitation');
  await expect(panel).toContainText('“Clear skies” needs 40 s more');
  await expect(panel).toContainText('“Clear skies” shows in 0:40');
  await expect(path.locator('[aria-current=step]')).toHaveText('Passing by');
  await expectNoAxe(page, 'a visit that is tried');

  await trialScreen.tenSeconds(visit).click();
  await trialScreen.hideTab(visit).click();
  await trialScreen.tenSeconds(visit).click();
  await trialScreen.backToTab(visit).click();
  await expect(panel).toContainText('“Clear skies” needs 30 s more'); // its clock stood still
  await trialScreen.nextAt50(visit).click();
  await expect(panel).toContainText('Invited: “Clear skies” is on the screen');
  await expect(card).toBeVisible();
  await expect(path.locator('[aria-current=step]')).toHaveText('Invited');

  await trialScreen.decline(visit).click();
  await expect(card).toHaveCount(0);
  await trialScreen.goToPage(visit).fill('groups/schools');
  await page.keyboard.press('Enter');
  await expect(panel).toContainText('on /groups/schools');
  await trialScreen.openWindow(visit).click();
  await trialScreen.write(visit).click();
  await trialScreen.somebodyAnswers(visit).click();
  await expect(path.locator('[aria-current=step]')).toHaveText('Talking');
  await expect(trialScreen.wasWaiting(path)).toBeVisible();
  await expect(trialScreen.happened(visit)).toContainText('says “no, thanks”');

  const told = await trialScreen.happened(visit).textContent();
  await page.reload();
  await expect(trialScreen.happened(visit)).toHaveText(told ?? '');
  await partsScreen.takeBack(visit).click();
  await expect(path.locator('[aria-current=step]')).toHaveText('Waiting');
  await trialScreen.tomorrow(visit).click();
  await expect(panel).toContainText('1 day');
  await page.keyboard.press('t');
  await expect(panel).toHaveCount(0);
  expect(page.url()).not.toContain('try=');
});

test('who arrives, when and with whom is what the circumstances say, and the engine goes by the draft as it stands', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&with=nobody&try=open');
  const panel = trialScreen.panel(page);
  await expect(panel).toContainText('Nobody home');
  await circumstancesScreen.who(page).click();
  await circumstancesScreen.somebodyAnswers(page).last().click();
  await expect(panel).toContainText('At the door');
  await page.setViewportSize({ width: 1024, height: 768 });
  await expectNoSidewaysScroll(page);
});

test('a visit is kept as a check: it is walked with every change of the draft, and told before publishing', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&with=in&try=w40');
  const panel = trialScreen.panel(page);
  const keep = trialScreen.keepForm(panel);
  await trialScreen.keepName(keep).fill('Somebody who stays');
  await keep.getByRole('combobox').click();
  await trialScreen.mustGetClearSkies(page).click();
  await trialScreen.keep(keep).click();
  const kept = trialScreen.kept(panel);
  await expect(kept).toContainText('✓Somebody who stays must get “Clear skies”.');

  await trialScreen.back(panel).click();
  await page.locator('[data-moment-card=invited]').click();
  await designScreen.invitationsPerVisit(designScreen.inspector(page)).fill('0');
  await publishingScreen.publishCount(1)(page).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('alert')).toContainText('1 of 1 saved tests fails');
  await expect(dialog.getByRole('alert')).toContainText('it gets no invitation and ends at Passing by');
  await expectNoAxe(page, 'publishing with a check that does not hold');
  await partsScreen.cancel(dialog).click();
  await designScreen.undo(page).click();

  await trialScreen.open(page).click();
  await trialScreen.runKept(kept).click();
  await expect(panel).toContainText('“Clear skies” is on the screen');
  await trialScreen.removeKept(kept).click();
  await expect(kept).toHaveCount(0);
});
