import type { Page } from '@playwright/test';
import { enterAs, expect, expectNoAxe, test, useHouse } from './house';

const house = useHouse();

const whole = (page: Page) => page.getByRole('navigation', { name: 'Whole path' });

test('the whole path: every moment as it looks and every way with all its words, by key and by button; a way opens its settings', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'design?on=/tonight&moment=waiting&with=in');
  await page.getByRole('button', { name: 'The whole path' }).click();
  await expect(page.getByRole('region', { name: 'Stage' })).toHaveCount(0);
  await expect(whole(page).locator('sunny-porch')).toHaveCount(9);
  const ways = whole(page).getByRole('list', { name: 'Ways' }).getByRole('button');
  await expect(ways).toHaveCount(19);
  const texts = await ways.evaluateAll((all) => all.map((one) => one.textContent));
  expect(new Set(texts).size).toBe(19);
  await expect(whole(page)).toContainText('A letter to the visitor');
  await expectNoAxe(page, 'the whole path');

  // No words stand on a picture or on other words.
  const boxes = await whole(page)
    .locator('[data-way-words], [data-stone]')
    .evaluateAll((all) =>
      all.map((one) => {
        const { x, y, width, height } = one.getBoundingClientRect();
        return {
          name: one.getAttribute('data-way-words') ?? one.getAttribute('data-stone'),
          x,
          y,
          width,
          height,
        };
      }),
    );
  const onEachOther = boxes.flatMap((a, index) =>
    boxes
      .slice(index + 1)
      .filter(
        (b) =>
          a.x + 1 < b.x + b.width &&
          b.x + 1 < a.x + a.width &&
          a.y + 1 < b.y + b.height &&
          b.y + 1 < a.y + a.height,
      )
      .map((b) => `${a.name} and ${b.name}`),
  );
  expect(onEachOther).toEqual([]);

  await ways.filter({ hasText: 'no answer in 90 s' }).click();
  const card = page.getByRole('dialog', { name: 'Settings' });
  await expect(card.getByRole('heading', { name: 'Waiting → Slow reply' })).toBeVisible();
  await expect(card).toContainText('2 settings, as we would have them.');
  await card.getByLabel('An answer by mail is offered after').fill('60');
  await expect(whole(page).locator('[data-way-words=W10]')).toHaveText('no answer in 60 s');
  await expect(card).toContainText('2 settings, 1 changed from ours.');
  await card.getByRole('button', { name: 'Back to ours' }).click();
  await expect(whole(page).locator('[data-way-words=W10]')).toHaveText('no answer in 90 s');
  await page.keyboard.press('Escape');
  await expect(card).toHaveCount(0);

  await whole(page)
    .getByRole('button', { name: /^Who can answer/ })
    .click();
  await expect(card.getByRole('combobox', { name: 'Somebody is in (now)' })).toBeVisible();
  await card.getByRole('button', { name: 'Close' }).click();

  const stone = (name: string) => whole(page).locator('[data-stone]', { hasText: name });
  await stone('Waiting').focus();
  await page.keyboard.press('ArrowRight');
  await expect(stone('Talking')).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Stage' })).toBeVisible();
  await expect(
    page.getByRole('complementary', { name: 'Inspector' }).getByRole('heading', { name: 'Talking' }),
  ).toBeVisible();
  await page.keyboard.press('p');
  await expect(whole(page)).toBeVisible();
  await page.keyboard.press('p');
  await expect(whole(page)).toHaveCount(0);
});

test('printed, the whole path stands alone', async ({ browser }) => {
  const page = await enterAs(browser, house, 'design?path=whole');
  await expect(whole(page).locator('sunny-porch')).toHaveCount(9);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await expect(page.getByRole('navigation', { name: 'Screens' })).toBeHidden();
  await expect(whole(page).locator('[data-way-words=W7]')).toBeVisible();
  await expect(whole(page).locator('[data-stone=talking]')).toBeVisible();
});

test('at rest the short words of a way open its settings, and a signpost does the same for the keyboard', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'design?on=/tonight&moment=waiting&with=in');
  const inspector = page.getByRole('complementary', { name: 'Inspector' });
  await page.locator('[data-way-words=W15]').click();
  await expect(inspector.getByRole('heading', { name: 'Talking → Goodbye' })).toBeVisible();
  await inspector.getByLabel('It ends by itself after silence of').fill('6');
  await page
    .getByRole('region', { name: 'Stage' })
    .getByRole('button', { name: 'somebody of Night desk answers' })
    .click();
  await expect(inspector.getByRole('heading', { name: 'Waiting → Talking' })).toBeVisible();
  await expect(inspector.getByRole('list')).toContainText('Night desk');
  await page.locator('[data-way-words=W1]').click();
  await expect(inspector).toContainText('Clear skies');
  await expect(inspector).toContainText('40 s on /tonight');
});

test('on a phone *Who can answer?* stands below the walk, and opens its deeds', async ({ browser }) => {
  const page = await enterAs(browser, house, 'design?on=/tonight&with=nobody', {
    viewport: { width: 390, height: 844 },
  });
  await page.getByRole('button', { name: /^Who can answer.*Now nobody: Nobody home/ }).click();
  await expect(page.getByRole('combobox', { name: 'Nobody is in (now)' })).toBeVisible();
  await page.getByRole('button', { name: /Back to the path/ }).click();
  await expect(page.getByRole('button', { name: /^Who can answer/ })).toBeVisible();
});

test('on a narrow screen what cannot be seen lies over the stage while it is asked for, and Escape gives the stage back', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'design?on=/tonight&moment=waiting&with=in', {
    viewport: { width: 1024, height: 768 },
  });
  const inspector = page.getByRole('complementary', { name: 'Inspector' });
  await expect(page.getByRole('region', { name: 'Stage' }).locator('sunny-porch .window')).toBeVisible();
  await expect(inspector).toHaveCount(0);
  const opener = page.getByRole('button', { name: 'Settings' });
  await opener.click();
  await expect(inspector.getByRole('tab', { name: 'Here', exact: true })).toBeFocused();
  await expectNoAxe(page, 'the inspector over the stage');
  await inspector.getByLabel('A word of comfort after').fill('50');
  await page.keyboard.press('Escape');
  await expect(inspector).toHaveCount(0);
  await expect(opener).toBeFocused();
  // A way asks for its settings by itself; a stone is looked at first.
  await page.locator('[data-way-words=W10]').click();
  await expect(inspector.getByRole('heading', { name: 'Waiting → Slow reply' })).toBeVisible();
  await page
    .getByRole('navigation', { name: 'Path' })
    .getByRole('button', { name: /^Talking/ })
    .click();
  await expect(inspector).toHaveCount(0);
  await expect(page.getByRole('status').filter({ hasText: /^saved$/ })).toBeVisible();
});

test('on a phone a visit is tried with stage, deeds and what is due below one another', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'design?on=/tonight&with=in', {
    viewport: { width: 390, height: 844 },
  });
  await page.getByRole('button', { name: 'Try a visit' }).click();
  const panel = page.getByRole('complementary', { name: 'Try a visit' });
  await expect(panel).toContainText('“Clear skies”');
  await page.getByRole('button', { name: /^To the next thing/ }).click();
  await expect(panel).toContainText('“Clear skies” is on the screen');
  await expect(
    page
      .getByRole('navigation', { name: 'Path of this visit' })
      .getByRole('listitem', { name: 'Invited, here' }),
  ).toBeAttached();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(390);
  await expectNoAxe(page, 'a tried visit on a phone');
  await panel.getByRole('button', { name: 'Back to designing' }).click();
  await expect(page.getByRole('button', { name: /^Passing by/ })).toBeVisible();
});
