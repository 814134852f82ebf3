import { readFileSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { beIn, enterAs, expect, test, useHouse, visit } from './house';

const house = useHouse();

const stage = (page: Page) => page.getByRole('region', { name: 'Stage' });
const stone = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Path' }).getByRole('button', { name: new RegExp(`^${name}`) });
const isSaved = (page: Page) => expect(page.getByRole('status').filter({ hasText: /^saved$/ })).toBeVisible();

/** Edits a text where it stands on the stage. */
async function editOnStage(page: Page, name: string, text: string): Promise<void> {
  await stage(page)
    .getByRole('button', { name: new RegExp(name) })
    .first()
    .click();
  const field = page.getByRole('textbox', { name: new RegExp(name) });
  await field.fill(text);
  await field.press('Escape');
}

async function publish(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^Publish \d/ }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Publish', exact: true }).click();
  await expect(page.getByText(/Version \d+ is live\./)).toBeVisible();
}

function filesIn(dir: string): Record<string, string> {
  return Object.fromEntries(
    readdirSync(dir, { recursive: true, encoding: 'utf8' })
      .filter((name) => statSync(join(dir, name)).isFile())
      .map((name) => [name, readFileSync(join(dir, name), 'utf8')]),
  );
}

test('colour, corner and words reach the stage at once, the draft soon, and visitors with Publish; the tag stays as it was pasted', async ({
  browser,
}) => {
  const before = filesIn(house.siteDir);
  const page = await enterAs(browser, house, 'design');
  await stone(page, 'At the door').click();
  await page.getByRole('tab', { name: 'Everywhere' }).click();
  await page.getByRole('textbox', { name: 'Brand colour' }).fill('#e79a1b');
  await expect(page.getByText(/Dark text on it: \d+\.\d:1/)).toBeVisible();
  await expect(stage(page).locator('sunny-porch .head')).toHaveCSS('background-color', 'rgb(231, 154, 27)');
  await page.getByRole('textbox', { name: 'Brand colour' }).fill('#2f6f8f');
  await page.getByRole('button', { name: /^Place lower right/ }).click();
  await page.getByRole('radio', { name: 'lower left' }).click();
  await editOnStage(page, 'Greeting', 'Good evening from the island.');
  await expect(stage(page).locator('sunny-porch [data-say=greeting]')).toHaveText(
    'Good evening from the island.',
  );
  await stone(page, 'Passing by').click();
  await isSaved(page);

  const visitor = await visit(browser, `${house.site}/tonight`);
  await expect(visitor.launcher).toHaveCSS('background-color', 'rgb(122, 46, 93)');
  await page.getByRole('button', { name: /^Publish 3 changes/ }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('Brand colour: #7a2e5d → #2f6f8f');
  await expect(dialog).toContainText('Launcher moves from the lower right to the lower left');
  await expect(dialog).toContainText('→ “Good evening from the island.”');
  await dialog.getByRole('button', { name: 'Publish', exact: true }).click();
  await expect(page.getByText(/^Version \d+ is live\./)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Nothing to publish' })).toBeDisabled();

  await visitor.page.reload();
  await expect(visitor.launcher).toHaveCSS('background-color', 'rgb(47, 111, 143)');
  const box = await visitor.launcher.boundingBox();
  expect(box?.x).toBe(20);
  expect(filesIn(house.siteDir)).toEqual(before);
});

test('[L7] an open window keeps the look and words it was opened with, and learns of what is new; closed, it shows it', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'design');
  await beIn(page, true);
  const visitor = await visit(browser, `${house.site}/tonight`);
  await visitor.launcher.click();
  const head = visitor.window.locator('.head');
  const colour = await head.evaluate((one) => getComputedStyle(one).backgroundColor);
  await expect(visitor.window.locator('[data-say=greeting]')).toBeVisible();
  const greeting = (await visitor.window.locator('[data-say=greeting]').textContent()) ?? '';

  await stone(page, 'At the door').click();
  await page.getByRole('tab', { name: 'Everywhere' }).click();
  await page.getByRole('textbox', { name: 'Brand colour' }).fill('#0b5d4e');
  await editOnStage(page, 'Greeting', 'The sky is clear tonight.');
  await isSaved(page);
  const learnt = visitor.page.waitForResponse((response) =>
    /\/d\d+-[0-9a-f]+\.en\.json$/.test(response.url()),
  );
  await page.getByRole('button', { name: /^Publish 2 changes/ }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Publish', exact: true }).click();
  await (await learnt).finished();
  await expect(head).toHaveCSS('background-color', colour);
  await expect(visitor.window.locator('[data-say=greeting]')).toHaveText(greeting);
  await visitor.window.getByRole('button', { name: 'Close' }).click();
  await expect(visitor.launcher).toHaveCSS('background-color', 'rgb(11, 93, 78)');
  await visitor.launcher.click();
  await expect(visitor.window.locator('[data-say=greeting]')).toHaveText('The sky is clear tonight.');
});

test('the words on the launcher are edited where they stand, and a text without its other brace is not saved', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'design');
  await stone(page, 'Passing by').click();
  await editOnStage(page, 'Words on the launcher', 'Write to us');
  await expect(stage(page).locator('sunny-porch .words')).toHaveText('Write to us');
  await isSaved(page);
  await stage(page)
    .getByRole('button', { name: /Words on the launcher/ })
    .first()
    .click();
  const field = page.getByRole('textbox', { name: /Words on the launcher/ });
  await field.fill('Write {to us');
  await expect(page.getByText('A brace { or } is without its other half. Not saved yet.')).toBeVisible();
  await expect(stage(page).locator('sunny-porch .words')).toHaveText('Write to us');
  await field.fill('Write {nobody} today');
  await expect(page.getByText(/\{nobody\} is not known here/)).toBeVisible();
});

test('undo and redo, by button and by keyboard, survive a reload', async ({ browser }) => {
  const page = await enterAs(browser, house, 'design');
  await page.getByRole('tab', { name: 'Everywhere' }).click();
  const colour = page.getByRole('textbox', { name: 'Brand colour' });
  const first = await colour.inputValue();
  await page.getByRole('button', { name: '#5b6b2d' }).click();
  await isSaved(page);
  await page.reload();
  await page.getByRole('tab', { name: 'Everywhere' }).click();
  await expect(colour).toHaveValue('#5b6b2d');
  await page.getByRole('button', { name: 'Undo: brand colour' }).click();
  await expect(colour).toHaveValue(first);
  await page.getByRole('tab', { name: 'Everywhere' }).focus();
  await page.keyboard.press('Control+Shift+Z');
  await expect(colour).toHaveValue('#5b6b2d');
  await page.keyboard.press('Control+z');
  await expect(colour).toHaveValue(first);
  await isSaved(page);
});

test('the server is killed before a save is answered: not saved is said, and the change is stored when it is back', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'design');
  await stone(page, 'At the door').click();
  await house.kill();
  await editOnStage(page, 'Greeting', 'Written while the power was off.');
  await expect(page.getByRole('status').filter({ hasText: 'not saved' })).toBeVisible();
  await expect(stage(page).locator('sunny-porch [data-say=greeting]')).toHaveText(
    'Written while the power was off.',
  );
  await house.restart();
  await expect(page.getByRole('status').filter({ hasText: /^saved$/ })).toBeVisible({ timeout: 20_000 });
  await page.reload();
  await stone(page, 'At the door').click();
  await expect(stage(page).locator('sunny-porch [data-say=greeting]')).toHaveText(
    'Written while the power was off.',
  );
});

test('a session that ran out: sign in where one was, the draft intact', async ({ browser }) => {
  const page = await enterAs(browser, house, 'design');
  await page.getByRole('tab', { name: 'Everywhere' }).click();
  await expect(page.getByLabel(/^\d+ to mend$/)).toBeVisible(); // everything the screen asks for has come
  await page.context().clearCookies();
  await page.getByRole('button', { name: '#34518c' }).click();
  const dialog = page.getByRole('dialog', { name: 'Your session has ended' });
  await expect(dialog).toBeVisible();
  await dialog.getByLabel('Your e-mail').fill('ines@farrowisle.example');
  await dialog.getByLabel('Password').fill('clear skies tonight');
  await dialog.getByRole('button', { name: 'Sign in' }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByRole('textbox', { name: 'Brand colour' })).toHaveValue('#34518c');
  await isSaved(page);
  await page.reload();
  await page.getByRole('tab', { name: 'Everywhere' }).click();
  await expect(page.getByRole('textbox', { name: 'Brand colour' })).toHaveValue('#34518c');
});

test('two people at once: each other’s changes are kept, and undo is not lost', async ({ browser }) => {
  const first = await enterAs(browser, house, 'design');
  const second = await enterAs(browser, house, 'design');
  await first.getByRole('tab', { name: 'Everywhere' }).click();
  await second.getByRole('tab', { name: 'Everywhere' }).click();
  await first.getByRole('button', { name: '#b4472b' }).click();
  await isSaved(first);
  await second.getByRole('button', { name: /^Place lower/ }).click();
  await second.getByRole('radio', { name: 'upper right' }).click();
  await isSaved(second);
  await expect(second.getByRole('textbox', { name: 'Brand colour' })).toHaveValue('#b4472b');
  await first.reload();
  await first.getByRole('tab', { name: 'Everywhere' }).click();
  await expect(first.getByRole('button', { name: /^Place upper right/ })).toBeVisible();
});

test('the circumstances ask the engine: another page, another language, somebody in or not, and Because says why', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'design');
  const because = page.getByRole('region', { name: 'Because' });
  await expect(because).toContainText('“Everywhere” takes /');
  await page.getByRole('button', { name: /^On the page/ }).click();
  await page.getByLabel('Page', { exact: true }).fill('/privacy');
  await page.getByRole('button', { name: 'Look there' }).click();
  await expect(because).toContainText('no widget is meant for /privacy');
  await expect(stone(page, 'At the door')).toHaveAccessibleName(/not on this page/);
  await because.getByRole('button', { name: /reason/ }).click();
  await expect(page.getByRole('dialog', { name: 'All reasons' })).toContainText(
    '“Everywhere” is never shown on /privacy',
  );
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^On the page/ }).click();
  await page.getByLabel('Page', { exact: true }).fill('/tonight');
  await page.getByLabel('Page', { exact: true }).press('Enter');

  await page.getByRole('button', { name: /^Who is in/ }).click();
  await page.getByRole('menuitem', { name: 'somebody is in', exact: true }).click();
  await expect(because).toContainText('somebody of Night desk is in');
  await expect(stone(page, 'Nobody home')).toHaveAccessibleName(/not while somebody is in/);
  await page.getByRole('button', { name: /^To first visit/ }).click();
  await page.getByRole('radio', { name: 'العربية' }).check();
  await page.keyboard.press('Escape');
  await stone(page, 'At the door').click();
  await expect(stage(page).locator('sunny-porch .root')).toHaveAttribute('dir', 'rtl');
});

test('the situations of this site are flipped by button and by key, stand in the address, and what cannot be reached says why', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'design?on=/tonight');
  await beIn(page, true);
  const situation = page.getByRole('group', { name: 'Situation' });
  await expect(situation).toContainText('Now, 1 of 8');
  await expect(stone(page, 'Invited')).toHaveAccessibleName(/this visitor gets here by themselves/);
  await page.getByRole('button', { name: 'The next situation' }).click();
  await expect(situation).toContainText('Ten minutes before closing, 2 of 8');
  await page.getByRole('button', { name: 'The next situation' }).click();
  await expect(situation).toContainText('The next closed hour, 3 of 8');
  await expect(stone(page, 'Waiting')).toHaveAccessibleName(/not while closed/);
  await expect(page.getByRole('region', { name: 'Who can answer?' })).toContainText(
    'now closed → Nobody home',
  );
  await expect(page).toHaveURL(/at=20\d\d-/);

  const colleague = await enterAs(browser, house, `design${new URL(page.url()).search}`);
  await expect(colleague.getByRole('group', { name: 'Situation' })).toContainText(
    'The next closed hour, 3 of 8',
  );
  await expect(stone(colleague, 'Waiting')).toHaveAccessibleName(/not while closed/);

  await stone(page, 'Passing by').focus();
  await page.keyboard.press(']');
  await expect(situation).toContainText('Everybody busy');
  await page.keyboard.press('[');
  await page.keyboard.press('[');
  await page.keyboard.press('[');
  await expect(situation).toContainText('Now, 1 of 8');
  await page.keyboard.press('[');
  await expect(situation).toContainText('8 of 8');
});

test('another widget is looked at on a page of its own, at a time by the site’s clock, on a phone', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'design?on=/tonight&moment=at-the-door');
  await page.getByRole('button', { name: /^Widget: / }).click();
  await page.getByRole('menuitem', { name: 'Telescope loans' }).click();
  await expect(page.getByRole('button', { name: /^On the page \/telescopes/ })).toBeVisible();
  await expect(stage(page).locator('sunny-porch [data-form=before]')).toContainText(
    'Who will look through it?',
  );
  await page.getByRole('button', { name: /^At now/ }).click();
  await page.getByLabel('Date and time').fill('2026-12-24T22:00');
  await page.getByRole('button', { name: 'Look then' }).click();
  await expect(page.getByRole('button', { name: /^At Thu 24 Dec, 22:00/ })).toBeVisible();
  await expect(page).toHaveURL(/at=2026-12-24T23%3A00%3A00Z/);
  await page.getByRole('button', { name: /^To first visit/ }).click();
  await page.getByRole('radio', { name: 'phone' }).check();
  await page.keyboard.press('Escape');
  await expect(stage(page).locator('sunny-porch .root')).toHaveAttribute('data-device', 'phone');
  await expect(page.getByRole('group', { name: 'Situation' })).toContainText('Your own');
});

test('what cannot be seen is set beside the stage: at once in the words of the way, within bounds, and back to ours in one click', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'design?on=/tonight&moment=waiting');
  const inspector = page.getByRole('complementary', { name: 'Inspector' });
  await expect(inspector).toContainText('4 settings, as we would have them.');
  const offered = inspector.getByLabel('An answer by mail is offered after');
  await offered.fill('75');
  await expect(stone(page, 'Waiting')).toHaveAccessibleName(/leads to Slow reply: no answer in 75 s/);
  await expect(inspector).toContainText('4 settings, 1 changed from ours.');
  await offered.fill('4000');
  await expect(inspector).toContainText('A whole number from 10 to 3600 s. Not saved yet.');
  await expect(stone(page, 'Waiting')).toHaveAccessibleName(/no answer in 75 s/);
  await offered.fill('80');
  await isSaved(page);
  await page.reload();
  await expect(offered).toHaveValue('80');
  await page.getByRole('button', { name: /^Publish/ }).click();
  await expect(page.getByRole('dialog')).toContainText('An answer by mail is offered after: 90 s → 80 s');
  await page.keyboard.press('Escape');
  await inspector.getByRole('button', { name: 'Back to ours' }).click();
  await expect(offered).toHaveValue('90');

  await stone(page, 'Talking').click();
  await inspector.getByRole('switch', { name: 'While talking, it is offered after' }).check();
  await expect(stone(page, 'Talking')).toHaveAccessibleName(/leads to Slow reply: no reply for 10 min/);
  await inspector.getByRole('button', { name: 'Back to ours' }).click();
  await expect(stone(page, 'Talking')).toHaveAccessibleName(/leads to Slow reply: off/);
  await isSaved(page);
});

test('Who can answer? is its own editor: what happens in each state, and where it leads', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'design?on=/tonight&with=nobody');
  const gate = page.getByRole('region', { name: 'Who can answer?' });
  await gate.getByRole('button', { name: /^Who can answer/ }).click();
  const inspector = page.getByRole('complementary', { name: 'Inspector' });
  await inspector.getByRole('combobox', { name: 'Nobody is in (now)' }).click();
  await page.getByRole('option', { name: 'At the door: a chat' }).click();
  await expect(gate).toContainText('nobody → At the door');
  await expect(stone(page, 'Nobody home')).toHaveAccessibleName(/not while nobody is in/);
  await expect(stone(page, 'At the door')).not.toHaveAccessibleName(/not while/);
  await expect(inspector).toContainText('5 settings, 1 changed from ours.');
  await inspector.getByRole('button', { name: 'Back to ours' }).click();
  await expect(gate).toContainText('nobody → Nobody home');
  await isSaved(page);
});

test('by keyboard alone: along the path, between its lanes, to the stage, and a text changed', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'design?moment=passing-by');
  await stone(page, 'Passing by').focus();
  await page.keyboard.press('ArrowRight');
  await expect(stone(page, 'Invited')).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await expect(stone(page, 'At the door')).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await expect(stone(page, 'Nobody home')).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await expect(stone(page, 'Slow reply')).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await expect(stone(page, 'Note left')).toBeFocused();
  await page.keyboard.press('ArrowUp');
  await expect(stone(page, 'Talking')).toBeFocused();
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowLeft');
  await expect(stone(page, 'At the door')).toHaveAttribute('aria-current', 'true');
  await page.keyboard.press('Enter');
  await expect(stage(page).getByRole('button', { name: /Title/ })).toBeFocused();
  await page.keyboard.press('b');
  await expect(page.getByRole('dialog', { name: 'All reasons' })).toBeVisible();
});

test('for a screen reader the path is one ordered list in visit order, with its ways as leads to', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'design');
  const stones = page.getByRole('navigation', { name: 'Path' }).getByRole('list').first().getByRole('button');
  await expect(stones).toHaveCount(9);
  const names = await stones.evaluateAll((all) => all.map((one) => one.getAttribute('aria-label') ?? ''));
  expect(names.map((name) => name.split('.')[0])).toEqual([
    'Passing by',
    'Invited',
    'At the door',
    'Waiting',
    'Talking',
    'Goodbye',
    'Nobody home',
    'Slow reply',
    'Note left',
  ]);
  expect(names[0]).toContain('leads to Invited: 4 invitations, first: ');
  expect(names[0]).toContain('leads to At the door: clicks the launcher');
  expect(names[3]).toContain('leads to Talking: somebody of Night desk answers');
  expect(names[3]).toContain('leads to Slow reply: no answer in 90 s');
});

test('publishing what somebody else changed meanwhile is refused until it was looked at', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'design');
  await page.getByRole('tab', { name: 'Everywhere' }).click();
  await page.getByRole('button', { name: '#4b3f8f' }).click();
  await isSaved(page);
  await page.getByRole('button', { name: /^Publish \d/ }).click();
  const other = await enterAs(browser, house, 'design');
  await other.getByRole('tab', { name: 'Everywhere' }).click();
  await other.getByRole('button', { name: '#3b4540' }).click();
  await isSaved(other);
  await page.getByRole('dialog').getByRole('button', { name: 'Publish', exact: true }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Nothing was published' })).toBeVisible();
  await publish(other);
});
