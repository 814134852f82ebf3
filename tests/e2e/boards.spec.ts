import { enterAs, expect, expectNoAxe, test, useHouse } from './house';
import { designScreen } from './screens/design';
import { frameScreen } from './screens/frame';
import { partsScreen } from './screens/parts';
import { todayScreen } from './screens/today';

const house = useHouse();

test('loose boards: counted on the beam, listed on Today with a place to mend each, put aside with a reason and taken back', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'today');
  const boards = todayScreen.findings(page);
  const beam = frameScreen.screens(page);
  await expect(boards.getByRole('listitem')).toHaveCount(1);
  await expect(boards).toContainText('works only on this computer');
  await expect(boards).toContainText('mend before publishing');
  await expect(frameScreen.mustFixCount(1)(beam)).toBeVisible();
  await expectNoAxe(page, 'loose boards');

  await todayScreen.dismiss(boards).click();
  const store = todayScreen.dismiss(boards).last();
  await expect(store).toBeDisabled();
  await designScreen.reasonsLabel(boards).fill('We try it at home first.');
  await page.keyboard.press('Enter');
  await expect(frameScreen.mustFixCount(1)(beam)).toHaveCount(0);
  await expect(boards).not.toContainText('works only on this computer');
  await page.reload();
  await todayScreen.dismissed1(boards).click();
  await expect(boards).toContainText('Put aside by Inês Matos: “We try it at home first.”');
  await partsScreen.takeBack(boards).click();
  await expect(frameScreen.mustFixCount(1)(beam)).toBeVisible();

  await todayScreen.moreSuggestions(boards).click();
  await todayScreen.openFinding(boards).first().click();
  await expect(designScreen.invitedHeading(designScreen.inspector(page))).toBeVisible();
});

test('a dead end is a cracked stone that says why, as soon as it is made, and none once it is taken back', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'design?on=/tonight&moment=invited&with=in');
  const stone = page.locator('[data-stone=invited]');
  await expect(stone).not.toHaveAccessibleName(/Dead end/);
  const inspector = designScreen.inspector(page);
  await designScreen.invitationsPerVisit(inspector).fill('0');
  await expect(stone).toHaveAccessibleName(
    /Dead end: “.*” can never be shown: no invitation is allowed in a visit/,
  );
  await expect(inspector.getByRole('note').first()).toContainText('can never be shown');
  await designScreen.undo(page).click();
  await expect(stone).not.toHaveAccessibleName(/Dead end/);
});

test('whoever only answers is not asked to mend anything', async ({ browser }) => {
  const page = await enterAs(browser, house, 'today', { who: 'Rui' });
  await expect(todayScreen.heading(page)).toBeVisible();
  await expect(todayScreen.findings(page)).toHaveCount(0);
});
