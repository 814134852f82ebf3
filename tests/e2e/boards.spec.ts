import { enterAs, expect, expectNoAxe, test, useHouse } from './house';

const house = useHouse();

test('loose boards: counted on the beam, listed on Today with a place to mend each, put aside with a reason and taken back', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'today');
  const boards = page.getByRole('region', { name: 'Loose boards' });
  const beam = page.getByRole('navigation', { name: 'Screens' });
  await expect(boards.getByRole('listitem')).toHaveCount(1);
  await expect(boards).toContainText('works only on this computer');
  await expect(boards).toContainText('mend before publishing');
  await expect(beam.getByLabel('1 to mend')).toBeVisible();
  await expectNoAxe(page, 'loose boards');

  await boards.getByRole('button', { name: 'Put aside' }).click();
  const store = boards.getByRole('button', { name: 'Put aside' }).last();
  await expect(store).toBeDisabled();
  await boards.getByLabel('Because').fill('We try it at home first.');
  await page.keyboard.press('Enter');
  await expect(beam.getByLabel('1 to mend')).toHaveCount(0);
  await expect(boards).not.toContainText('works only on this computer');
  await page.reload();
  await boards.getByRole('button', { name: '1 put aside' }).click();
  await expect(boards).toContainText('Put aside by Inês Matos: “We try it at home first.”');
  await boards.getByRole('button', { name: 'Take back' }).click();
  await expect(beam.getByLabel('1 to mend')).toBeVisible();

  await boards.getByRole('button', { name: /more worth a look/ }).click();
  await boards.getByRole('link', { name: 'Look at them' }).first().click();
  await expect(
    page.getByRole('complementary', { name: 'Inspector' }).getByRole('heading', { name: 'Invited' }),
  ).toBeVisible();
});

test('a dead end is a cracked stone that says why, as soon as it is made, and none once it is taken back', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'design?on=/tonight&moment=invited&with=in');
  const stone = page.locator('[data-stone=invited]');
  await expect(stone).not.toHaveAccessibleName(/Dead end/);
  const inspector = page.getByRole('complementary', { name: 'Inspector' });
  await inspector.getByLabel('Invitations in one visit, at most').fill('0');
  await expect(stone).toHaveAccessibleName(
    /Dead end: “.*” can never be shown: no invitation is allowed in a visit/,
  );
  await expect(inspector.getByRole('note').first()).toContainText('can never be shown');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(stone).not.toHaveAccessibleName(/Dead end/);
});

test('whoever only answers is not asked to mend anything', async ({ browser }) => {
  const page = await enterAs(browser, house, 'today', { who: 'Rui' });
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Loose boards' })).toHaveCount(0);
});
