import type { Browser, Locator, Page } from '@playwright/test';
import {
  beStill,
  type Visitor,
  beIn,
  enterAs,
  expect,
  expectNoAxe,
  expectNoSidewaysScroll,
  test,
  useTestServer,
  visit,
} from './test-server';
import { runUntil, stopTime } from './page-clock';
import { conversationsScreen } from './screens/conversations';
import { entranceScreen } from './screens/entrance';
import { frameScreen } from './screens/frame';
import { partsScreen } from './screens/parts';
import { teamScreen } from './screens/team';
import { widgetScreen } from './screens/widget';

const testServer = useTestServer();

const deskEntries = (page: Page) =>
  page
    .locator('[role=log] [data-entry]')
    .evaluateAll((all) => all.map((one) => (one as HTMLElement).dataset.entry ?? ''));

/** Inês at her desk, who is in. */
async function openDesk(browser: Browser): Promise<Page> {
  const desk = await enterAs(browser, testServer, 'conversations');
  await beIn(desk, true);
  return desk;
}

/** Finds the visitor's conversation in the list by what they said. */
async function choose(desk: Page, text: string): Promise<void> {
  await conversationsScreen.list(desk).getByText(text).click();
  await expect(conversationsScreen.messages(desk).getByText(text)).toBeVisible();
}

async function answer(desk: Page, text: string): Promise<void> {
  await conversationsScreen.reply(desk).fill(text);
  await conversationsScreen.send(desk).click();
  await expect(conversationsScreen.messages(desk).getByText(text)).toBeVisible();
}

async function expectEqualLists(visitor: Visitor, desk: Page): Promise<void> {
  await expect.poll(() => visitor.entries()).not.toEqual([]);
  await expect
    .poll(async () => JSON.stringify(await visitor.entries()))
    .toBe(JSON.stringify(await deskEntries(desk)));
}

test('a question travels through the whole house and back, without a reload on either side', async ({
  browser,
}) => {
  const desk = await openDesk(browser);
  const visitor = await visit(browser, `${testServer.site}/tonight`);
  await expect(visitor.launcher.locator('[data-lamp]')).toHaveAttribute('data-lamp', 'lit');
  await visitor.launcher.click();
  await expect(visitor.window).toContainText('We are here');
  await visitor.say('Is the last ferry back after the late look?');
  await expect(visitor.window).toHaveAttribute('data-moment', 'waiting');

  await choose(desk, 'Is the last ferry back after the late look?');
  await expect(desk.getByRole('log')).toContainText('/tonight');
  await answer(desk, 'It is, at twenty to one.');
  await expect(visitor.window.getByText('It is, at twenty to one.')).toBeVisible();
  await expect(visitor.window).toHaveAttribute('data-moment', 'talking');
  await expect(visitor.window.getByRole('heading')).toContainText('Farrow Isle Observatory');

  await visitor.say('Lovely, thank you.');
  await expect(desk.getByRole('log').getByText('Lovely, thank you.')).toBeVisible();
  await expectEqualLists(visitor, desk);

  await conversationsScreen.end(desk).click();
  await expect(visitor.window).toHaveAttribute('data-moment', 'goodbye');
  await expect(visitor.window).toContainText(
    'Inês Matos has said goodbye.'.replace('Inês Matos', '\u2068Inês Matos\u2069'),
  );

  const before = await visitor.entries();
  await visitor.page.reload();
  await visitor.launcher.click();
  await expect.poll(() => visitor.entries()).toEqual(before);
  await desk.reload();
  await choose(desk, 'Lovely, thank you.');
  await expect.poll(() => deskEntries(desk)).toEqual(before);
  expect(visitor.errors).toEqual([]);
});

test('[M4] the visitor ends it and asks something else: a conversation of its own, under a dated line, with the earlier one above it on both sides', async ({
  browser,
}) => {
  const desk = await openDesk(browser);
  const visitor = await visit(browser, `${testServer.site}/volunteer`);
  await visitor.launcher.click();
  await visitor.say('How large is the big mirror?');
  await choose(desk, 'How large is the big mirror?');
  await answer(desk, 'Sixty centimetres.');
  await widgetScreen.endConversation(visitor.window).click();
  await expect(visitor.window).toContainText('You have ended the conversation.');
  await expect(desk.getByRole('log')).toContainText('The visitor ended the conversation');
  await widgetScreen.askAgain(visitor.window).click();
  await expect(visitor.window).toHaveAttribute('data-moment', 'at-the-door');
  await visitor.say('And the small one?');
  await choose(desk, 'And the small one?');
  await expect(conversationsScreen.messages(desk).getByText('Sixty centimetres.')).toBeVisible();
  await expectEqualLists(visitor, desk);
  await expect(widgetScreen.datedLines(visitor.window)).toHaveCount(1);
  await answer(desk, 'Twenty.');
  await visitor.page.reload();
  await visitor.launcher.click();
  await expect(visitor.window.getByText('Twenty.')).toBeVisible();
  await expectEqualLists(visitor, desk);
});

test('[M7] a reload in the middle repeats no line and loses none; a second tab shows the same', async ({
  browser,
}) => {
  const desk = await openDesk(browser);
  const visitor = await visit(browser, `${testServer.site}/visit/access`);
  await visitor.launcher.click();
  await visitor.say('Is the lawn level?');
  await choose(desk, 'Is the lawn level?');
  await conversationsScreen.reply(desk).fill('It is.');
  await conversationsScreen.list(desk).getByText('Peter Lindqvist').click();
  await choose(desk, 'Is the lawn level?');
  await expect(conversationsScreen.reply(desk)).toHaveValue('It is.');
  await answer(desk, 'It is.');
  await expect(visitor.window.getByText('It is.')).toBeVisible();
  const before = await visitor.entries();
  await visitor.page.reload();
  await visitor.launcher.click();
  await expect.poll(() => visitor.entries()).toEqual(before);
  await expect(visitor.window.getByText('is here.')).toHaveCount(1);
  const tab = await visitor.page.context().newPage();
  await tab.goto(`${testServer.site}/`);
  await tab.locator('sunny-porch .launcher').click();
  await expect(tab.locator('sunny-porch [data-entry]')).toHaveCount(before.length);
});

test('a closed window counts what was answered meanwhile', async ({ browser }) => {
  const desk = await openDesk(browser);
  const visitor = await visit(browser, `${testServer.site}/sky-log/3`);
  await visitor.launcher.click();
  await visitor.say('What are shearwaters?');
  await choose(desk, 'What are shearwaters?');
  await widgetScreen.close(visitor.window).click();
  await expect(visitor.window).toBeHidden();
  await answer(desk, 'Sea birds that come home by night.');
  await expect(visitor.launcher).toHaveAccessibleName(/^1 new message from/);
  await visitor.launcher.click();
  await widgetScreen.close(visitor.window).click();
  await expect(visitor.launcher).toHaveAccessibleName(/^Ask/);
});

test('nobody in: no lamp, no word of a person, and a note that is kept and stands in Conversations', async ({
  browser,
}) => {
  const desk = await enterAs(browser, testServer, 'conversations');
  await beIn(desk, false);
  const visitor = await visit(browser, `${testServer.site}/telescopes/loan`);
  await expect(visitor.launcher.locator('[data-lamp]')).toHaveAttribute('data-lamp', 'unlit');
  await expect(visitor.launcher).toHaveAccessibleName(/^Leave/);
  await visitor.launcher.click();
  await expect(visitor.window).toHaveAttribute('data-moment', 'nobody-home');
  await widgetScreen.leaveNote(visitor.window).click();
  await expect(visitor.window.getByRole('alert').first()).toContainText('Write a line or two first.');
  await widgetScreen.noteText(visitor.window).fill('May I borrow a telescope in August?');
  await widgetScreen.email(visitor.window).fill('joana@');
  await widgetScreen.leaveNote(visitor.window).click();
  await expect(visitor.window.getByRole('alert')).toContainText('Something is missing around the @.');
  await widgetScreen.email(visitor.window).fill('joana@example.org');
  await widgetScreen.leaveNote(visitor.window).click();
  await expect(visitor.window).toHaveAttribute('data-moment', 'note-left');
  await expect(visitor.window).toContainText('Come back to this page to read our answer.');
  await expect(
    conversationsScreen.notes(desk).getByText('May I borrow a telescope in August?'),
  ).toBeVisible();
});

test('[V8] “Forget me”: asked once more, kept where the server was not reached, then gone here, at the desk, and after a reload', async ({
  browser,
}) => {
  const desk = await enterAs(browser, testServer, 'conversations');
  await beIn(desk, false);
  const visitor = await visit(browser, `${testServer.site}/telescopes/loan`);
  await visitor.launcher.click();
  await widgetScreen.noteText(visitor.window).fill('Please send me the loan form.');
  await widgetScreen.email(visitor.window).fill('ana@example.org');
  await widgetScreen.leaveNote(visitor.window).click();
  await widgetScreen.forgetMe(visitor.window).click();
  await expect(widgetScreen.forgetGroup(visitor.window)).toBeVisible();
  await expect(widgetScreen.keepConversation(visitor.window)).toBeFocused();
  await beStill(visitor.page);
  await expectNoAxe(visitor.page, 'the question before one is forgotten');
  await visitor.page.keyboard.press('Enter');
  await expect(widgetScreen.forgetMe(visitor.window)).toBeFocused();

  await visitor.page.route('**/forget', (route) => route.abort());
  await widgetScreen.forgetMe(visitor.window).click();
  await widgetScreen.forgetMe(visitor.window).click();
  await expect(visitor.window.getByRole('alert')).toContainText('It is still here');
  await expect(visitor.window).toContainText('Please send me the loan form.');

  await choose(desk, 'Please send me the loan form.');
  await visitor.page.unroute('**/forget');
  await widgetScreen.forgetMe(visitor.window).click();
  await expect(visitor.window).toHaveAttribute('data-moment', 'nobody-home');
  await expect(widgetScreen.noteText(visitor.window)).toBeFocused();
  await expect(desk.getByText('The visitor asked to be forgotten.')).toBeVisible();
  await expect(desk.getByText('Please send me the loan form.')).toHaveCount(0);
  expect(await visitor.page.evaluate(() => JSON.stringify(localStorage))).not.toContain('"token":"');
  await visitor.page.reload();
  await visitor.launcher.click();
  await expect(visitor.window).toHaveAttribute('data-moment', 'nobody-home');
  expect(visitor.errors).toEqual([]);
});

test('[M5] everybody leaves while the question waits: it goes into the note, and half-written text stays', async ({
  browser,
}) => {
  const desk = await openDesk(browser);
  const visitor = await visit(browser, `${testServer.site}/eclipse-2027`);
  await visitor.launcher.click();
  await visitor.say('Do we need filters?');
  await visitor.field.fill('And where do we');
  await beIn(desk, false);
  await expect(visitor.window).toHaveAttribute('data-moment', 'nobody-home');
  await expect(visitor.window).toContainText('What you have written is kept.');
  await expect(widgetScreen.noteText(visitor.window)).toHaveValue('And where do we');
  await beIn(desk, true);
  await expect(visitor.window).toHaveAttribute('data-moment', 'waiting');
  await expect(visitor.field).toHaveValue('And where do we');
});

test('[M5] people come in and leave again while a note is being typed: one types on, without a touch of the mouse', async ({
  browser,
}) => {
  const desk = await enterAs(browser, testServer, 'conversations');
  await beIn(desk, false);
  const visitor = await visit(browser, `${testServer.site}/tonight`);
  await visitor.launcher.click();
  await expect(visitor.window).toHaveAttribute('data-moment', 'nobody-home');
  await visitor.page.keyboard.type('Is the small ');
  await beIn(desk, true);
  await expect(visitor.window).toHaveAttribute('data-moment', 'at-the-door');
  await visitor.page.keyboard.type('dome open ');
  await expect(visitor.field).toHaveValue('Is the small dome open ');
  await beIn(desk, false);
  await expect(visitor.window).toHaveAttribute('data-moment', 'nobody-home');
  await visitor.page.keyboard.type('tonight?');
  await expect(visitor.window.getByLabel('Your note')).toHaveValue('Is the small dome open tonight?');
  await visitor.page.keyboard.press('Escape');
  await expect(visitor.launcher).toBeFocused();
});

test('[V9] whoever has written is followed from then on: the pages on the way stand with the next question, and none before', async ({
  browser,
}) => {
  const desk = await openDesk(browser);
  const visitor = await visit(browser, `${testServer.site}/visit/getting-here?utm_source=letter`);
  await visitor.page.goto(`${testServer.site}/tonight?utm_source=letter`);
  await visitor.launcher.click();
  await visitor.say('Do you have blankets?');
  await choose(desk, 'Do you have blankets?');
  const seen = conversationsScreen.withSomebody(desk);
  await expect(seen).not.toContainText('Pages before');
  await answer(desk, 'Plenty.');
  await conversationsScreen.end(desk).click();
  await expect(visitor.window).toHaveAttribute('data-moment', 'goodbye');
  await visitor.page.goto(`${testServer.site}/sky-log`);
  await visitor.launcher.click();
  await widgetScreen.askAgain(visitor.window).click();
  await visitor.say('And tea?');
  await choose(desk, 'And tea?');
  await expect(seen).toContainText('Pages before: /tonight → /sky-log.');
  expect(JSON.stringify(await visitor.page.evaluate(() => ({ ...localStorage })))).not.toContain(
    'utm_source',
  );
});

test('the desk says what the visitor sees and follows them: from page to page, with the window closed, and until they have left', async ({
  browser,
}) => {
  const desk = await openDesk(browser);
  const visitor = await visit(browser, `${testServer.site}/volunteer`);
  await visitor.launcher.click();
  await visitor.say('Whom do we ask for?');
  await choose(desk, 'Whom do we ask for?');
  const now = conversationsScreen.visitorNow(desk);
  await expect(now).toContainText(/The visitor sees Waiting, on [^ ]*\/volunteer since \d\d:\d\d\./);
  await answer(desk, 'For Marta.');
  await expect(now).toContainText('The visitor sees Talking');
  await visitor.page.goto(`${testServer.site}/sky-log`);
  await expect(now).toContainText('/sky-log since');
  await expect(now).toContainText('The visitor has closed the window');
  await visitor.launcher.click();
  await expect(now).toContainText('The visitor sees Talking');
  await visitor.page.goto('about:blank');
  await expect(now).toContainText('The visitor left the site at');
  await expect(now).toContainText('When they come back they see Talking.');
  await visitor.page.goto(`${testServer.site}/tonight`);
  await expect(now).toContainText('/tonight since');
  await expect(now).toContainText(/Pages since: [^ ]*\/sky-log → [^ ]*\/tonight\./);
});

test('by keyboard alone: to the launcher, into the window, a question sent, and back to where one was', async ({
  browser,
}) => {
  await openDesk(browser);
  const visitor = await visit(browser, `${testServer.site}/volunteer`);
  await expect(visitor.launcher).toBeVisible();
  for (
    let count = 0;
    count < 40 && !(await visitor.launcher.evaluate((one) => one.matches(':focus')));
    count++
  )
    await visitor.page.keyboard.press('Tab');
  await expect(visitor.launcher).toBeFocused();
  await expect(visitor.launcher).toHaveAttribute('aria-expanded', 'false');
  await visitor.page.keyboard.press('Enter');
  await expect(visitor.field).toBeFocused();
  await visitor.page.keyboard.type('Whom do I ask');
  await visitor.page.keyboard.press('Shift+Enter');
  await visitor.page.keyboard.type('on a Sunday?');
  await visitor.page.keyboard.press('Enter');
  await expect(visitor.window.locator('[data-entry]')).toContainText('Whom do I ask');
  await visitor.page.keyboard.press('Escape');
  await expect(visitor.window).toBeHidden();
  await expect(visitor.launcher).toBeFocused();
});

test('on a phone the window is the whole screen, focus stays in it, and nothing scrolls sideways', async ({
  browser,
}) => {
  await openDesk(browser);
  const visitor = await visit(browser, `${testServer.site}/tonight`, {
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true,
  });
  const target = await visitor.launcher.boundingBox();
  expect(Math.min(target?.width ?? 0, target?.height ?? 0)).toBeGreaterThanOrEqual(44);
  await visitor.launcher.tap();
  await expect(visitor.field).toBeVisible();
  await beStill(visitor.page);
  expect(await visitor.window.boundingBox()).toEqual({ x: 0, y: 0, width: 390, height: 844 });
  await visitor.say('On the boat just now, is it dark?');
  for (let count = 0; count < 12; count++) {
    await visitor.page.keyboard.press('Tab');
    expect(await visitor.page.evaluate(() => document.activeElement?.localName)).toBe('sunny-porch');
  }
  await expectNoSidewaysScroll(visitor.page);
  await expectNoAxe(visitor.page, 'the open window on a phone');
});

test('what is too long stays in the field and is told; the rest of the way is counted', async ({
  browser,
}) => {
  await openDesk(browser);
  const visitor = await visit(browser, `${testServer.site}/tonight`);
  await visitor.launcher.click();
  await visitor.field.fill('x'.repeat(4003));
  await visitor.field.press('Enter');
  await expect(visitor.window).toContainText('3 characters too many. Nothing is lost.');
  await expect(visitor.field).toHaveValue('x'.repeat(4003));
  expect(await visitor.entries()).toEqual([]);
  await visitor.field.fill('x'.repeat(3990));
  await expect(visitor.window).toContainText('10 characters left');
});

test('a line that is cut: what was written is kept, told, and goes out once when it is back', async ({
  browser,
}) => {
  const desk = await openDesk(browser);
  const visitor = await visit(browser, `${testServer.site}/visit/getting-here`);
  await visitor.launcher.click();
  await visitor.say('Does the minibus wait?');
  await testServer.kill();
  await visitor.field.fill('We are nine people');
  await visitor.field.press('Enter');
  await expect(visitor.window).toContainText('This has not reached us yet.');
  await expect(
    desk.getByRole('status').filter({ hasText: 'connection to the server is gone' }),
  ).toBeVisible();
  await testServer.restart();
  await expect(visitor.window.locator('[data-entry]', { hasText: 'We are nine people' })).toHaveCount(1, {
    timeout: 40_000,
  });
  await expect(conversationsScreen.list(desk).getByText('We are nine people')).toBeVisible({
    timeout: 30_000,
  });
  await choose(desk, 'We are nine people');
  await expectEqualLists(visitor, desk);
});

test('[threat 8] what a visitor sends is text and nothing else, on both sides', async ({ browser }) => {
  const desk = await openDesk(browser);
  const dialogs: string[] = [];
  desk.on('dialog', (dialog) => {
    dialogs.push(dialog.message());
    void dialog.dismiss();
  });
  const visitor = await visit(browser, `${testServer.site}/privacy-not/../tonight`);
  await visitor.launcher.click();
  const texts = [
    '<img src=x onerror=alert(1)>',
    'javascript:alert(1) https://farrowisle.example/',
    '{siteName} ${1} </script><b>bold</b>',
    '\u05d0\u202e gnp.exe',
  ];
  for (const text of texts) await visitor.say(text.replace('\u202e', ''));
  await choose(desk, 'gnp.exe');
  for (const text of texts)
    await expect(desk.getByRole('log').getByText(text.replace('\u202e', ''), { exact: true })).toBeVisible();
  for (const log of [desk.getByRole('log'), visitor.window.getByRole('log')]) {
    expect(await log.locator('img, b, script').count()).toBe(0);
    const leads = await log.locator('a').evaluateAll((all) => all.map((one) => one.getAttribute('href')));
    expect(leads).toEqual(['https://farrowisle.example/']);
  }
  expect([dialogs, visitor.errors]).toEqual([[], []]);
});

/** The launcher's lamp, when the first pointer has lit it; the page's time stands still but for this. */
async function lampOnceLit(page: Page): Promise<Locator> {
  const lamp = page.locator('sunny-porch .launcher [data-lamp]');
  await runUntil(page, () => page.locator('sunny-porch .launcher [data-lamp=lit]').isVisible());
  return lamp;
}

test('[S7] the closed widget asks the pointer on occasions only: an hour of silence asks nothing, and the lamp goes out after three minutes', async ({
  browser,
}) => {
  await openDesk(browser);
  const page = await (await browser.newContext()).newPage();
  const asked: string[] = [];
  page.on('request', (request) => request.url().endsWith('/live.json') && asked.push(request.url()));
  await stopTime(page, Date.now());
  await page.goto(`${testServer.site}/volunteer`);
  const lamp = await lampOnceLit(page);
  await page.clock.fastForward(170_000);
  await expect(lamp).toHaveAttribute('data-lamp', 'lit');
  await page.clock.fastForward(12_000);
  await expect(lamp).toHaveAttribute('data-lamp', 'unlit');
  await expect(page.locator('sunny-porch .launcher')).toHaveAccessibleName(/^Leave/);
  await page.clock.fastForward(3_600_000);
  expect(asked).toHaveLength(1);
  await page.locator('sunny-porch .launcher').hover();
  await expect.poll(() => asked.length).toBe(2);
});

test('[L4] a device three hours wrong changes nothing: the widget goes by the server’s time', async ({
  browser,
}) => {
  await openDesk(browser);
  const page = await (await browser.newContext()).newPage();
  await stopTime(page, Date.now() - 3 * 3_600_000);
  await page.goto(`${testServer.site}/volunteer`);
  const lamp = await lampOnceLit(page);
  await page.clock.fastForward(170_000);
  await expect(lamp).toHaveAttribute('data-lamp', 'lit');
  await page.clock.fastForward(12_000);
  await expect(lamp).toHaveAttribute('data-lamp', 'unlit');
});

test('a month later: the session has run out where one is, and the visitor’s words are a new conversation', async ({
  browser,
}) => {
  const desk = await openDesk(browser);
  const visitor = await visit(browser, `${testServer.site}/sky-log/1`);
  await visitor.launcher.click();
  await visitor.say('Who counted the meteors?');
  await choose(desk, 'Who counted the meteors?');
  await conversationsScreen.reply(desk).fill('Somebody from the');
  await testServer.moveTo(Date.now() + 31 * 86_400_000);
  const again = frameScreen.sessionEnded(desk);
  await entranceScreen.email(again).fill('ines@farrowisle.example');
  await entranceScreen.password(again).fill('clear skies tonight');
  await entranceScreen.signIn(again).click();
  await expect(again).toBeHidden();
  await expect(conversationsScreen.reply(desk)).toHaveValue('Somebody from the');
  await visitor.page.reload();
  await visitor.launcher.click();
  await expect(visitor.window).not.toHaveAttribute('data-moment', 'waiting');
  expect(await visitor.entries()).toEqual([]);
  await testServer.moveTo(Date.now());
});

test('a page that is left before the server took the words: the next page sends them, once, from the page they were written on', async ({
  browser,
}) => {
  const desk = await openDesk(browser);
  const visitor = await visit(browser, `${testServer.site}/visit/night-programme`);
  await visitor.launcher.click();
  await expect(visitor.field).toBeVisible();
  await visitor.page.route('**/messages', (route) => route.abort());
  await visitor.field.fill('Is Saturday for requests?');
  await visitor.field.press('Enter');
  await expect(visitor.window).toContainText('This has not reached us yet.');
  await visitor.page.unroute('**/messages');
  await visitor.page.goto(`${testServer.site}/tonight`);
  await choose(desk, 'Is Saturday for requests?');
  await expect(desk.getByRole('log')).toContainText('/visit/night-programme');
  await visitor.launcher.click();
  await expect(visitor.window.locator('[data-entry]', { hasText: 'Is Saturday for requests?' })).toHaveCount(
    1,
  );
  expect(await visitor.page.evaluate(() => sessionStorage.length)).toBe(0);
});

test('a face chosen in Team & hours stands beside what one answers, at once, and is initials where it cannot be had', async ({
  browser,
}) => {
  const visitor = await visit(browser, `${testServer.site}/tonight`);
  const desk = await openDesk(browser);
  await visitor.launcher.click();
  await visitor.say('Who am I talking to?');
  await choose(desk, 'Who am I talking to?');
  await desk.goto(`${testServer.app}/s/${testServer.siteKey}/team`);
  const own = desk.getByRole('listitem').filter({ hasText: 'Inês Matos (you)' });
  await partsScreen.remove(own).click();
  await expect(own.getByRole('img')).toHaveCount(0);
  await teamScreen
    .photoOfInes(own)
    .setInputFiles({ name: 'me.png', mimeType: 'image/png', buffer: Buffer.from('<html>') });
  await expect(own.getByRole('alert')).toContainText('Nothing was stored');
  const png = await desk.screenshot({ clip: { x: 0, y: 0, width: 120, height: 160 } });
  await teamScreen.photoOfInes(own).setInputFiles({ name: 'me.html', mimeType: 'text/html', buffer: png });
  await expect(teamScreen.changePhoto(own)).toBeVisible();
  await expect(own.getByRole('alert')).toHaveCount(0);

  await desk.goto(`${testServer.app}/s/${testServer.siteKey}/conversations`);
  await choose(desk, 'Who am I talking to?');
  await answer(desk, 'To Inês, under the dome.');
  const face = visitor.window.locator('.card.person').filter({ hasText: 'under the dome' }).locator('.face');
  await expect
    .poll(() =>
      face.evaluate(
        (one) => one instanceof HTMLImageElement && one.complete && [one.naturalWidth, one.offsetWidth],
      ),
    )
    .toEqual([64, 30]);
  await visitor.page.route('**/*.webp', (route) => route.abort());
  await visitor.page.reload();
  await visitor.launcher.click();
  await expect(face).toHaveText('IM');
  expect(visitor.errors).toEqual([]);
});

test('eight tabs of one desk hear every word by one stream, and go on when the tab that kept it is closed', async ({
  browser,
}) => {
  const first = await openDesk(browser);
  const tabs = [first];
  const seen = (page: Page, text: string) => conversationsScreen.list(page).getByText(text);
  while (tabs.length < 8) {
    const tab = await first.context().newPage();
    await tab.goto(`${testServer.app}/s/${testServer.siteKey}/conversations`);
    await expect(conversationsScreen.list(tab)).toBeVisible();
    tabs.push(tab);
  }
  const visitor = await visit(browser, `${testServer.site}/tonight`);
  await visitor.launcher.click();
  await visitor.say('How many steps up to the dome?');
  for (const tab of tabs) await expect(seen(tab, 'How many steps up to the dome?')).toBeVisible();
  await first.close();
  await visitor.say('And is there a rail?');
  for (const tab of tabs.slice(1)) {
    await expect(seen(tab, 'And is there a rail?')).toBeVisible();
    await expect(frameScreen.answeringSwitch(tab)).toBeVisible();
  }
  await expect(visitor.launcher.locator('[data-lamp]')).toHaveAttribute('data-lamp', 'lit');
});

test('whoever signs in in the same browser has a stream of their own: a tab that somebody else left open does not keep them out', async ({
  browser,
}) => {
  const left = await enterAs(browser, testServer, 'today');
  await beIn(left, false);
  await left.context().clearCookies();
  const own = await left.context().newPage();
  await own.goto(`${testServer.app}/signin`);
  await entranceScreen.demoDoorRui(own).click();
  await own.waitForURL(/\/s\/[a-z0-9]+\/today/);
  await own.goto(`${testServer.app}/s/${testServer.siteKey}/today`);
  await beIn(own, true);
  await expect(own.getByRole('banner').getByRole('status')).toContainText('Answering');
});
