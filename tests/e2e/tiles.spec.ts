import { enterAs, expect, test, useTestServer } from './test-server';
import { designScreen } from './screens/design';
import { lookScreen } from './screens/look';
import { pathScreen } from './screens/path';

const testServer = useTestServer();

test('a change paints the tiles it is seen in, and no other: neither words said elsewhere nor a delay touch them', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&moment=at-the-door&with=in');
  await expect(pathScreen.path(page).locator('sunny-porch')).toHaveCount(9);
  await expect(designScreen.stage(page).locator('sunny-porch .window')).toBeVisible();
  // The search for what comes first has come back: from here on only changes paint.
  await expect(page.locator('[data-moment-card=invited]')).toHaveAccessibleName(/gets here by themselves/);
  await page.evaluate(() => {
    const painted = new Set<string>();
    Object.assign(window, { painted });
    for (const host of document.querySelectorAll('sunny-porch')) {
      const name = host.closest('[data-moment-card]')?.getAttribute('data-moment-card') ?? 'stage';
      const watch = new MutationObserver(() => painted.add(name));
      if (host.shadowRoot !== null)
        watch.observe(host.shadowRoot, {
          subtree: true,
          childList: true,
          characterData: true,
          attributes: true,
        });
    }
  });
  const painted = () =>
    page.evaluate(() => [...(window as unknown as { painted: Set<string> }).painted].sort());
  const field = designScreen.greetingField(page);
  await designScreen.editGreeting(designScreen.stageTexts(designScreen.stage(page))).click();
  await field.fill('The dome is open.');
  await expect(designScreen.stage(page).locator('sunny-porch [data-say=greeting]')).toHaveText(
    'The dome is open.',
  );
  await expect(page.getByRole('status').filter({ hasText: /^saved$/i })).toBeVisible();
  expect(await painted()).toEqual(['at-the-door', 'stage']);

  await page.locator('[data-transition-words=answer-overdue]').click();
  await designScreen.slowReplyAfter(page).fill('75');
  await expect(page.locator('[data-transition-words=answer-overdue]')).toHaveText('75 s');
  await expect(page.getByRole('status').filter({ hasText: /^saved$/i })).toBeVisible();
  expect(await painted()).toEqual(['at-the-door', 'stage']);

  // What is seen everywhere is painted everywhere.
  await designScreen.lookTab(page).click();
  await lookScreen.brickSwatch(page).click();
  await expect.poll(painted).toHaveLength(10);
});

test('law against settings beside a preview: no field beside the stage holds a text that is seen on it', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&with=in');
  const inspector = designScreen.inspector(page);
  const momentCards = pathScreen.path(page).locator('[data-moment-card]');
  await expect(momentCards).toHaveCount(9);
  const count = await momentCards.count();
  let seenInAll = 0;
  let fieldsInAll = 0;
  const compare = async (): Promise<void> => {
    await expect(designScreen.stage(page).locator('sunny-porch')).toBeAttached();
    const seen = await designScreen
      .stage(page)
      .locator('sunny-porch [data-say]')
      .evaluateAll((all) => all.map((one) => one.textContent.trim()).filter((text) => text !== ''));
    const fields = await inspector
      .locator('input:not([type=radio]):not([type=checkbox]), textarea')
      .evaluateAll((all) =>
        all.map((one) => (one as HTMLInputElement).value.trim()).filter((text) => text !== ''),
      );
    seenInAll += seen.length;
    fieldsInAll += fields.length;
    expect(fields.filter((value) => seen.includes(value))).toEqual([]);
  };
  await designScreen.lookTab(page).click();
  for (const part of ['Colours', 'Type and shape', 'Logo and header', 'Launcher', 'Place', 'Your own CSS'])
    await lookScreen.part(part)(inspector).getByRole('button', { expanded: false }).first().click();
  for (let index = 0; index < count; index++) {
    await momentCards.nth(index).click();
    for (const side of ['This moment', 'Look & place']) {
      await designScreen.side(side)(page).click();
      await compare();
    }
  }
  for (const transition of await page.locator('[data-transition-words]').all()) {
    await transition.click();
    await compare();
  }
  // It would be no law if there were nothing to compare.
  expect([count, seenInAll > 60, fieldsInAll > 60]).toEqual([9, true, true]);
});
