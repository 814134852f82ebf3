import type { Page } from '@playwright/test';
import { enterAs, expect, expectNoAxe, test, useTestServer } from './test-server';
import { designScreen } from './screens/design';
import { frameScreen } from './screens/frame';
import { partsScreen } from './screens/parts';
import { pathScreen } from './screens/path';
import { trialScreen } from './screens/trial';

const testServer = useTestServer();

const whole = (page: Page) => pathScreen.whole(page);

test('the whole path: every moment as it looks and every way with all its words, by key and by button; a transition opens its settings', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&moment=waiting&with=in');
  await pathScreen.openWhole(page).click();
  await expect(designScreen.stage(page)).toHaveCount(0);
  await expect(whole(page).locator('sunny-porch')).toHaveCount(9);
  const transitions = pathScreen.transitions(whole(page)).getByRole('button');
  await expect(transitions).toHaveCount(20);
  const texts = await transitions.evaluateAll((all) => all.map((one) => one.textContent));
  expect(new Set(texts).size).toBe(20);
  await expect(whole(page)).not.toContainText('An e-mail to the visitor'); // none can be sent yet
  await expectNoAxe(page, 'the whole path');

  // No words stand on a picture or on other words.
  const boxes = await whole(page)
    .locator('[data-transition-words], [data-moment-card]')
    .evaluateAll((all) =>
      all.map((one) => {
        const { x, y, width, height } = one.getBoundingClientRect();
        return {
          name: one.getAttribute('data-transition-words') ?? one.getAttribute('data-moment-card'),
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

  await transitions.filter({ hasText: 'no answer after 90 s' }).click();
  const card = pathScreen.card(page);
  await expect(pathScreen.slowReplyCard(card)).toBeVisible();
  await expect(card).toContainText('2 settings, all at our defaults.');
  await designScreen.slowReplyAfter(card).fill('60');
  await expect(whole(page).locator('[data-transition-words=answer-overdue]')).toHaveText(
    'no answer after 60 s',
  );
  await expect(card).toContainText('2 settings, 1 changed.');
  await designScreen.restoreDefaults(card).click();
  await expect(whole(page).locator('[data-transition-words=answer-overdue]')).toHaveText(
    'no answer after 90 s',
  );
  await page.keyboard.press('Escape');
  await expect(card).toHaveCount(0);

  await pathScreen.availabilityCard(whole(page)).click();
  await expect(designScreen.whenSomebody(card)).toBeVisible();
  await partsScreen.close(card).click();

  const momentCard = (name: string) => whole(page).locator('[data-moment-card]', { hasText: name });
  await momentCard('Waiting').focus();
  await page.keyboard.press('ArrowRight');
  await expect(momentCard('Talking')).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(designScreen.stage(page)).toBeVisible();
  await expect(designScreen.talkingHeading(designScreen.inspector(page))).toBeVisible();
  await page.keyboard.press('p');
  await expect(whole(page)).toBeVisible();
  await page.keyboard.press('p');
  await expect(whole(page)).toHaveCount(0);
});

test('printed, the whole path stands alone', async ({ browser }) => {
  const page = await enterAs(browser, testServer, 'design?path=whole');
  await expect(whole(page).locator('sunny-porch')).toHaveCount(9);
  await page.emulateMedia({ media: 'print' });
  await expect(pathScreen.print(page)).toBeHidden();
  await expect(frameScreen.screens(page)).toBeHidden();
  await expect(whole(page).locator('[data-transition-words=first-message-sent]')).toBeVisible();
  await expect(whole(page).locator('[data-moment-card=talking]')).toBeVisible();
});

test('at rest the short words of a transition open its settings, and *Leads to* does the same for the keyboard', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&moment=waiting&with=in');
  const inspector = designScreen.inspector(page);
  await page.locator('[data-transition-words=conversation-ended]').click();
  await expect(pathScreen.goodbyeCard(inspector)).toBeVisible();
  await designScreen.endsAfterSilence(inspector).fill('6');
  await pathScreen.waiting(page).click();
  await pathScreen.somebodyAnswers(inspector).click();
  await expect(pathScreen.joinedCard(inspector)).toBeVisible();
  await expect(inspector.getByRole('list')).toContainText('Night desk');
  await page.locator('[data-transition-words=invitation-shown]').click();
  await expect(inspector).toContainText('Clear skies');
  await expect(inspector).toContainText('40 s on /tonight');
});

test('on a phone *Who can answer?* stands below the walk, and opens its behaviours', async ({ browser }) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&with=nobody', {
    viewport: { width: 390, height: 844 },
  });
  await pathScreen.availabilityToNobodyHome(page).click();
  await expect(designScreen.whenNobody(page)).toBeVisible();
  await pathScreen.backToPath(page).click();
  await expect(pathScreen.availabilityCard(page)).toBeVisible();
});

test('on a narrow screen what cannot be seen lies over the stage while it is asked for, and Escape gives the stage back', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&moment=waiting&with=in', {
    viewport: { width: 1024, height: 768 },
  });
  const inspector = designScreen.inspector(page);
  await expect(designScreen.stage(page).locator('sunny-porch .window')).toBeVisible();
  await expect(inspector).toHaveCount(0);
  const opener = designScreen.settings(page);
  await opener.click();
  await expect(designScreen.momentTab(inspector)).toBeFocused();
  await expectNoAxe(page, 'the inspector over the stage');
  await designScreen.reassureAfter(inspector).fill('50');
  await page.keyboard.press('Escape');
  await expect(inspector).toHaveCount(0);
  await expect(opener).toBeFocused();
  // A transition asks for its settings by itself; a moment card is looked at first.
  await page.locator('[data-transition-words=answer-overdue]').click();
  await expect(pathScreen.slowReplyCard(inspector)).toBeVisible();
  await pathScreen.talking(pathScreen.path(page)).click();
  await expect(inspector).toHaveCount(0);
  await expect(page.getByRole('status').filter({ hasText: /^saved$/i })).toBeVisible();
});

test('on a phone a visit is tried with stage, behaviours and what is due below one another', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&with=in', {
    viewport: { width: 390, height: 844 },
  });
  await trialScreen.open(page).click();
  const panel = trialScreen.panel(page);
  await expect(panel).toContainText('“Clear skies”');
  await trialScreen.next(page).click();
  await expect(panel).toContainText('“Clear skies” is on the screen');
  await expect(trialScreen.invitedHere(trialScreen.path(page))).toBeAttached();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(390);
  await expectNoAxe(page, 'a tried visit on a phone');
  await trialScreen.back(panel).click();
  await expect(pathScreen.passingBy(page)).toBeVisible();
});
