import type { Browser, Page } from '@playwright/test';
import { beIn, enterAs, expect, expectNoAxe, test, useTestServer, visit } from './test-server';
import { conversationsScreen } from './screens/conversations';
import { widgetScreen } from './screens/widget';
import { frameScreen } from './screens/frame';

const testServer = useTestServer();

const DARK = 'How dark must it be for the tour?';
const BOAT = 'Which boat goes back at night?';

/** A visitor asks something; gives the address of their conversation at the desk. */
async function asked(browser: Browser, desk: Page, question: string): Promise<string> {
  const visitor = await visit(browser, `${testServer.site}/tonight`);
  await visitor.launcher.click();
  await visitor.say(question);
  const link = conversationsScreen.list(desk).getByRole('link', { name: question });
  await expect(link).toBeVisible();
  return (await link.getAttribute('href')) ?? '';
}

const shows = async (desk: Page, address: string, question: string): Promise<void> => {
  await expect(desk).toHaveURL(`${testServer.app}${address}`);
  await expect(conversationsScreen.messages(desk).getByText(question)).toBeVisible();
};

test('every conversation has an address: back and forward lead through them, and a colleague opens it by the link', async ({
  browser,
}) => {
  const desk = await enterAs(browser, testServer, 'conversations');
  await beIn(desk, true);
  const [dark, boat] = [await asked(browser, desk, DARK), await asked(browser, desk, BOAT)];
  await conversationsScreen.list(desk).getByText(DARK).click();
  await shows(desk, dark, DARK);
  await conversationsScreen.list(desk).getByText(BOAT).click();
  await shows(desk, boat, BOAT);
  await desk.goBack();
  await shows(desk, dark, DARK);
  await desk.goBack();
  await expect(desk).toHaveURL(/\/conversations$/);
  await expect(conversationsScreen.messages(desk)).toBeHidden();
  await desk.goForward();
  await desk.goForward();
  await shows(desk, boat, BOAT);
  await desk.reload();
  await shows(desk, boat, BOAT);

  const colleague = await enterAs(browser, testServer, dark.split('/').slice(3).join('/'), { who: 'Rui' });
  await shows(colleague, dark, DARK);
  const none = `${dark.slice(0, -4)}zzzz`;
  await colleague.goto(`${testServer.app}${none}`);
  await expect(colleague.getByText('There is no such conversation on this site.')).toBeVisible();
  await colleague.setViewportSize({ width: 390, height: 844 });
  await conversationsScreen.backToAll(colleague).click();
  await expect(conversationsScreen.list(colleague).getByText(BOAT)).toBeVisible();
});

test('a half-written answer survives another conversation, another screen, a reload and a crash, and is gone when it is sent', async ({
  browser,
}) => {
  const desk = await enterAs(browser, testServer, 'conversations');
  await beIn(desk, true);
  const [PATH, DOGS] = ['Is the path lit?', 'Are dogs let in?'];
  const [lit, dogs] = [await asked(browser, desk, PATH), await asked(browser, desk, DOGS)];
  const half = 'It is lit until';
  await conversationsScreen.list(desk).getByRole('link', { name: PATH }).click();
  await conversationsScreen.reply(desk).fill(half);
  await conversationsScreen.list(desk).getByRole('link', { name: DOGS }).click();
  await shows(desk, dogs, DOGS);
  await expect(conversationsScreen.reply(desk)).toHaveValue('');
  await desk.goBack();
  await expect(conversationsScreen.reply(desk)).toHaveValue(half);
  await frameScreen.todayLink(frameScreen.screens(desk)).click();
  await expect(desk).toHaveURL(/\/today$/);
  await desk.goto(`${testServer.app}${lit}`);
  await expect(conversationsScreen.reply(desk)).toHaveValue(half);
  await desk.reload();
  await expect(conversationsScreen.reply(desk)).toHaveValue(half);

  const crashed = await desk.context().newPage();
  await crashed.goto(`${testServer.app}${lit}`);
  await conversationsScreen.reply(crashed).fill(`${half} an hour`);
  const gone = crashed.waitForEvent('crash');
  await crashed.goto('chrome://crash').catch(() => undefined); // what crashes does not answer
  await gone;
  const again = await desk.context().newPage();
  await again.goto(`${testServer.app}${lit}`);
  await expect(conversationsScreen.reply(again)).toHaveValue(`${half} an hour`);

  await conversationsScreen.reply(again).fill(`${half} an hour after sunset.`);
  await conversationsScreen.send(again).click();
  await expect(conversationsScreen.messages(again).getByText('an hour after sunset.')).toBeVisible();
  await expect(conversationsScreen.reply(again)).toHaveValue('');
  await again.reload();
  await expect(conversationsScreen.messages(again).getByText('an hour after sunset.')).toBeVisible();
  await expect(conversationsScreen.reply(again)).toHaveValue('');
});

test('addresses in what is said can be opened on both sides, and nothing in it is more than text', async ({
  browser,
}) => {
  const desk = await enterAs(browser, testServer, 'conversations');
  await beIn(desk, true);
  const visitor = await visit(browser, `${testServer.site}/tonight`);
  await visitor.launcher.click();
  await visitor.say(
    'Is https://isle.example/tonight right? <b>javascript:alert(1)</b> or tours@isle.example',
  );
  await conversationsScreen.list(desk).getByText('Is https://isle.example/tonight').click();
  for (const said of [conversationsScreen.messages(desk), visitor.window]) {
    const links = said.getByRole('link');
    await expect(links).toHaveText(['https://isle.example/tonight', 'tours@isle.example']);
    await expect(links.first()).toHaveAttribute('href', 'https://isle.example/tonight');
    await expect(links.first()).toHaveAttribute('rel', 'noopener noreferrer nofollow');
    await expect(links.last()).toHaveAttribute('href', 'mailto:tours@isle.example');
    await expect(said.getByText('<b>javascript:alert(1)</b>')).toBeVisible();
  }
  await conversationsScreen.reply(desk).fill('It is.\nOr call +351 291 555 012');
  await conversationsScreen.send(desk).click();
  await expect(visitor.window.getByRole('link', { name: '+351 291 555 012' })).toHaveAttribute(
    'href',
    'tel:+351291555012',
  );
  await expectNoAxe(visitor.page, 'a window with links');
  await expectNoAxe(desk, 'a conversation with links');
});

test('the tab says how many wait, in its title and on its mark, on every screen, and stops when they are answered', async ({
  browser,
}) => {
  const desk = await enterAs(browser, testServer, 'settings');
  await beIn(desk, true);
  await expect(desk).toHaveTitle(/^\(\d+\) Site settings/); // the demo has one that waits
  const before = Number(/^\((\d+)\)/.exec(await desk.title())?.[1]);
  const mark = desk.locator('link[rel="icon"]').first();
  const visitor = await visit(browser, `${testServer.site}/tonight`);
  await visitor.launcher.click();
  await visitor.say('Do red lamps disturb the dome?');
  await expect(desk).toHaveTitle(new RegExp(`^\\(${before + 1}\\) Site settings`));
  await expect(mark).toHaveAttribute('href', new RegExp(`%3E${before + 1}%3C%2Ftext`));
  await frameScreen.conversationsLink(desk).click();
  await expect(desk).toHaveTitle(new RegExp(`^\\(${before + 1}\\) Conversations`));
  await conversationsScreen.list(desk).getByText('Do red lamps disturb the dome?').click();
  await conversationsScreen.reply(desk).fill('No, they are what we use ourselves.');
  await conversationsScreen.send(desk).click();
  await expect(desk).toHaveTitle(new RegExp(`^\\(${before}\\) Conversations`));
});

test('an end is carried out ten seconds later: until then it is undone with one key, and the visitor is told nothing', async ({
  browser,
}) => {
  const desk = await enterAs(browser, testServer, 'conversations', { who: 'Rui' });
  await beIn(desk, true);
  const visitor = await visit(browser, `${testServer.site}/tonight`);
  await visitor.launcher.click();
  await visitor.say('Is the late look cancelled in rain?');
  await conversationsScreen.list(desk).getByText('Is the late look cancelled in rain?').click();
  await conversationsScreen.reply(desk).fill('Only in a storm.');
  await conversationsScreen.send(desk).click();
  await expect(visitor.window.getByText('Only in a storm.')).toBeVisible();
  const colleague = await enterAs(browser, testServer, 'conversations');
  await conversationsScreen.list(colleague).getByText('Only in a storm.').click();

  await conversationsScreen.end(desk).click();
  await expect(conversationsScreen.undoEnd(colleague)).toBeVisible();
  await expect(conversationsScreen.undoEnd(desk)).toBeFocused();
  await expectNoAxe(desk, 'an end that can be undone');
  await desk.keyboard.press('Enter');
  await expect(conversationsScreen.end(desk)).toBeVisible();
  await expect(conversationsScreen.end(colleague)).toBeVisible();
  await visitor.say('Thank you!');
  await expect(visitor.window).toHaveAttribute('data-moment', 'talking');

  await conversationsScreen.end(desk).click();
  await expect(conversationsScreen.undoEnd(desk)).toBeVisible();
  await expect(visitor.window).toHaveAttribute('data-moment', 'talking');
  await expect(visitor.window).toHaveAttribute('data-moment', 'goodbye');
});

test('Enter sends and Shift Enter breaks, or the other way if that is chosen; the last answer is sent and ends it from the menu', async ({
  browser,
}) => {
  const desk = await enterAs(browser, testServer, 'conversations', { who: 'Rui' });
  await beIn(desk, true);
  const visitor = await visit(browser, `${testServer.site}/tonight`);
  await visitor.launcher.click();
  await visitor.say('What do we bring for the walk?');
  await conversationsScreen.list(desk).getByText('What do we bring for the walk?').click();
  const reply = conversationsScreen.reply(desk);
  await reply.fill('Warm shoes,');
  await reply.press('Shift+Enter');
  await reply.pressSequentially('and a red torch.');
  await reply.press('Enter');
  await expect(visitor.window.getByText('Warm shoes,\nand a red torch.')).toBeVisible();
  await expect(reply).toHaveValue('');

  await conversationsScreen.moreWays(desk).click();
  await expect(conversationsScreen.sendAndEnd(desk)).toBeDisabled(); // nothing is to be sent
  await conversationsScreen.ctrlEnterSends(desk).click();
  await desk.reload();
  await reply.fill('A flask of tea');
  await reply.press('Enter');
  await reply.pressSequentially('helps too.');
  await expect(reply).toHaveValue('A flask of tea\nhelps too.');
  await reply.press('Control+Enter');
  await expect(visitor.window.getByText('A flask of tea\nhelps too.')).toBeVisible();

  await reply.fill('Enjoy the stars!');
  await conversationsScreen.moreWays(desk).click();
  await conversationsScreen.sendAndEnd(desk).click();
  await expect(visitor.window.getByText('Enjoy the stars!')).toBeVisible();
  await expect(conversationsScreen.undoEnd(desk)).toBeFocused();
  await expect(visitor.window).toHaveAttribute('data-moment', 'talking');
  await conversationsScreen.undoEnd(desk).click();
  await expect(conversationsScreen.end(desk)).toBeVisible();
});

test('visitors on one page are told apart by a shape and a word, the same in each conversation of one of them', async ({
  browser,
}) => {
  const desk = await enterAs(browser, testServer, 'conversations', { who: 'Rui' });
  await beIn(desk, true);
  const questions = ['tripods', 'flashlights', 'dogs', 'drones'].map((what) => `Are ${what} allowed?`);
  const visitors = await Promise.all(questions.map(() => visit(browser, `${testServer.site}/tonight`)));
  for (const [at, visitor] of visitors.entries()) {
    await visitor.launcher.click();
    await visitor.say(questions[at] ?? '');
  }
  const rowOf = (words: string) => conversationsScreen.row(words)(desk);
  const markOf = async (words: string) => {
    const shape = await rowOf(words).locator('[data-shape]').getAttribute('data-shape');
    return `${shape} ${(await rowOf(words).locator('bdi').innerText()).replace(/ on \/tonight$/, '')}`;
  };
  const marks: string[] = [];
  for (const words of questions) marks.push(await markOf(words));
  expect(new Set(marks).size).toBeGreaterThan(1); // four alike are one in sixteen million
  const [[first = ''], [one]] = [marks, visitors];
  if (one === undefined) throw new Error('There is no visitor.');
  await rowOf('Are tripods allowed?').click();
  await expect(conversationsScreen.withSomebody(desk)).toContainText(
    `${first.slice(first.indexOf(' ') + 1)} on /tonight`,
  );
  await conversationsScreen.reply(desk).fill('They are.');
  await conversationsScreen.send(desk).click();
  await expect(one.window).toContainText('They are.');
  await widgetScreen.endConversation(one.window).click();
  await widgetScreen.askAgain(one.window).click();
  await one.say('And kites?');
  expect(await markOf('And kites?')).toEqual(first);
});
