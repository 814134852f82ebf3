import { enterAs, expect, expectNoAxe, expectNoSidewaysScroll, test, useHouse } from './house';

const house = useHouse();

test('a visit is tried step by step: what shows, what comes next and when, why the rest does not; it stands in the address', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'design?on=/tonight&with=in');
  await page.getByRole('button', { name: 'Try a visit' }).click();
  const visit = page.getByRole('region', { name: 'The visit' });
  const panel = page.getByRole('complementary', { name: 'Try a visit' });
  const path = page.getByRole('navigation', { name: 'Path of this visit' });
  const card = page.getByRole('region', { name: 'Stage' }).locator('sunny-porch .invitation');
  await expect(panel).toContainText('“Clear skies” is 40 s short');
  await expect(panel).toContainText('“Clear skies” shows in 0:40');
  await expect(path.locator('[aria-current=step]')).toHaveText('Passing by');
  await expectNoAxe(page, 'a visit that is tried');

  await visit.getByRole('button', { name: '+10 s' }).click();
  await visit.getByRole('button', { name: 'Hide the tab' }).click();
  await visit.getByRole('button', { name: '+10 s' }).click();
  await visit.getByRole('button', { name: 'Back to the tab' }).click();
  await expect(panel).toContainText('“Clear skies” is 30 s short'); // its clock stood still
  await visit.getByRole('button', { name: 'To the next thing: 0:50' }).click();
  await expect(panel).toContainText('Invited: “Clear skies” is on the screen');
  await expect(card).toBeVisible();
  await expect(path.locator('[aria-current=step]')).toHaveText('Invited');

  await visit.getByRole('button', { name: 'Say “no, thanks”' }).click();
  await expect(card).toHaveCount(0);
  await visit.getByLabel('Go to the page').fill('groups/schools');
  await page.keyboard.press('Enter');
  await expect(panel).toContainText('on /groups/schools');
  await visit.getByRole('button', { name: 'Open the window' }).click();
  await visit.getByRole('button', { name: 'Write', exact: true }).click();
  await visit.getByRole('button', { name: 'Somebody answers' }).click();
  await expect(path.locator('[aria-current=step]')).toHaveText('Talking');
  await expect(path.getByRole('listitem', { name: 'Waiting, was here' })).toBeVisible();
  await expect(visit.getByRole('group', { name: 'What happened' })).toContainText('says “no, thanks”');

  const told = await visit.getByRole('group', { name: 'What happened' }).textContent();
  await page.reload();
  await expect(visit.getByRole('group', { name: 'What happened' })).toHaveText(told ?? '');
  await visit.getByRole('button', { name: 'Take back' }).click();
  await expect(path.locator('[aria-current=step]')).toHaveText('Waiting');
  await visit.getByRole('button', { name: 'Come back tomorrow' }).click();
  await expect(panel).toContainText('1 day');
  await page.keyboard.press('t');
  await expect(panel).toHaveCount(0);
  expect(page.url()).not.toContain('try=');
});

test('who arrives, when and with whom is what the circumstances say, and the engine goes by the draft as it stands', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'design?on=/tonight&with=nobody&try=open');
  const panel = page.getByRole('complementary', { name: 'Try a visit' });
  await expect(panel).toContainText('Nobody home');
  await page.getByRole('button', { name: /^Who is in/ }).click();
  await page.getByRole('menuitem', { name: 'somebody is in' }).last().click();
  await expect(panel).toContainText('At the door');
  await page.setViewportSize({ width: 1024, height: 768 });
  await expectNoSidewaysScroll(page);
});

test('a visit is kept as a check: it is walked with every change of the draft, and told before publishing', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'design?on=/tonight&with=in&try=w40');
  const panel = page.getByRole('complementary', { name: 'Try a visit' });
  const keep = panel.getByRole('form', { name: 'Keep it as a check' });
  await keep.getByLabel('Who is it?').fill('Somebody who stays');
  await keep.getByRole('combobox').click();
  await page.getByRole('option', { name: 'must get “Clear skies”' }).click();
  await keep.getByRole('button', { name: 'Keep' }).click();
  const kept = panel.getByRole('region', { name: 'Kept visits' });
  await expect(kept).toContainText('✓Somebody who stays must get “Clear skies”.');

  await panel.getByRole('button', { name: 'Back to designing' }).click();
  await page.locator('[data-stone=invited]').click();
  await page
    .getByRole('complementary', { name: 'Inspector' })
    .getByLabel('Invitations in one visit, at most')
    .fill('0');
  await page.getByRole('button', { name: /^Publish 1 change/ }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('alert')).toContainText('1 of 1 kept visits does not come to what it must');
  await expect(dialog.getByRole('alert')).toContainText('it gets no invitation and ends at Passing by');
  await expectNoAxe(page, 'publishing with a check that does not hold');
  await dialog.getByRole('button', { name: 'Not yet' }).click();
  await page.getByRole('button', { name: /^Undo/ }).click();

  await page.getByRole('button', { name: 'Try a visit' }).click();
  await kept.getByRole('button', { name: 'Walk it: Somebody who stays' }).click();
  await expect(panel).toContainText('“Clear skies” is on the screen');
  await kept.getByRole('button', { name: 'Remove: Somebody who stays' }).click();
  await expect(kept).toHaveCount(0);
});
