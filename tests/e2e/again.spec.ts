import type { Browser, Page } from '@playwright/test';
import { beIn, enterAs, expect, test, useTestServer, visit } from './test-server';
import { conversationsScreen } from './screens/conversations';
import { widgetScreen } from './screens/widget';

const testServer = useTestServer();

/** Inês at her desk, who is in. */
async function openDesk(browser: Browser): Promise<Page> {
  const desk = await enterAs(browser, testServer, 'conversations');
  await beIn(desk, true);
  return desk;
}

async function answer(desk: Page, question: string, words: string): Promise<void> {
  await conversationsScreen.list(desk).getByText(question).click();
  await expect(conversationsScreen.messages(desk).getByText(question)).toBeVisible();
  await desk.getByRole('textbox').fill(words);
  await conversationsScreen.send(desk).click();
  await expect(conversationsScreen.messages(desk).getByText(words)).toBeVisible();
}

test('[M4] goodbye keeps its field: what is written there at once goes on in the same conversation', async ({
  browser,
}) => {
  const desk = await openDesk(browser);
  const visitor = await visit(browser, `${testServer.site}/volunteer`);
  await visitor.launcher.click();
  await visitor.say('May I bring a dog?');
  await answer(desk, 'May I bring a dog?', 'On a lead.');
  await widgetScreen.endConversation(visitor.window).click();
  await expect(visitor.window).toHaveAttribute('data-moment', 'goodbye');
  await expect(widgetScreen.askAgain(visitor.window)).toBeVisible();
  await visitor.say('And two of them?');
  await expect(visitor.window).toHaveAttribute('data-moment', 'waiting');
  await expect(widgetScreen.datedLines(visitor.window)).toHaveCount(0);
  await expect(conversationsScreen.messages(desk).getByText('And two of them?')).toBeVisible();
  await expect(conversationsScreen.messages(desk).getByText('On a lead.')).toBeVisible();
});

test('[M3] a responder who stops answering in the midst of it: the visitor is told once, and whoever comes back finds it first', async ({
  browser,
}) => {
  const desk = await openDesk(browser);
  const visitor = await visit(browser, `${testServer.site}/visit/access`);
  await visitor.launcher.click();
  await visitor.say('Is there a ramp to the dome?');
  await answer(desk, 'Is there a ramp to the dome?', 'There is, let me look up how wide.');
  await expect(visitor.window).toHaveAttribute('data-moment', 'talking');
  await beIn(desk, false);
  await expect(visitor.window).toHaveAttribute('data-moment', 'slow-reply');
  await expect(visitor.window.getByText('had to step away')).toHaveCount(1);
  await visitor.page.reload();
  await visitor.launcher.click();
  await expect(visitor.window.getByText('had to step away')).toHaveCount(1);
  await expect(conversationsScreen.withSomebody(desk)).toContainText('and nobody has taken over yet');
  await beIn(desk, true);
  const first = conversationsScreen.yourTurn(desk).getByRole('link').first();
  await expect(first).toContainText('let me look up how wide');
  await first.click();
  await conversationsScreen.reply(desk).fill('Ninety centimetres.');
  await conversationsScreen.send(desk).click();
  await expect(visitor.window.getByText('Ninety centimetres.')).toBeVisible();
  await expect(visitor.window).toHaveAttribute('data-moment', 'talking');
  await expect(visitor.window.getByText('had to step away')).toHaveCount(0);
  await expect(visitor.window.getByText('is here.')).toHaveCount(1);
});

test('[M4] a note that is answered: the visitor finds it unread on a later page, and what they reply begins a conversation', async ({
  browser,
}) => {
  const desk = await enterAs(browser, testServer, 'conversations');
  await beIn(desk, false);
  const visitor = await visit(browser, `${testServer.site}/volunteer`);
  await visitor.launcher.click();
  await widgetScreen.noteText(visitor.window).fill('Is the small telescope free in August?');
  await widgetScreen.leaveNote(visitor.window).click();
  await expect(visitor.window).toHaveAttribute('data-moment', 'note-left');
  await visitor.page.goto('about:blank');
  await answer(desk, 'Is the small telescope free in August?', 'From the ninth on.');
  await expect(conversationsScreen.done(desk).getByText('From the ninth on.')).toBeVisible();
  await beIn(desk, true);
  await visitor.page.goto(`${testServer.site}/tonight`);
  await expect(visitor.launcher).toHaveAccessibleName(/1/);
  await visitor.launcher.click();
  await expect(visitor.window).toHaveAttribute('data-moment', 'note-left');
  await expect(visitor.window.getByText('From the ninth on.')).toBeVisible();
  await visitor.say('Then I take it for a week.');
  await expect(visitor.window).toHaveAttribute('data-moment', 'waiting');
  await expect(widgetScreen.datedLines(visitor.window)).toHaveCount(1);
  await expect(conversationsScreen.yourTurn(desk).getByText('Then I take it for a week.')).toBeVisible();
  await visitor.page.reload();
  await expect(visitor.launcher).not.toHaveAccessibleName(/1/);
});

test('a question that its visitor gave up is missed: it stays at Your turn until somebody answers it or marks it as done', async ({
  browser,
}) => {
  const desk = await openDesk(browser);
  const visitor = await visit(browser, `${testServer.site}/tonight`);
  await visitor.launcher.click();
  await visitor.say('Will the aurora be seen?');
  await widgetScreen.endConversation(visitor.window).click();
  const row = conversationsScreen.yourTurn(desk).getByRole('link', { name: /aurora/ });
  await expect(row).toContainText('missed');
  const today = await enterAs(browser, testServer, 'today');
  await expect(today.getByText(/not answered in time\.$/)).toBeVisible();
  await row.click();
  await expect(conversationsScreen.withSomebody(desk)).toContainText(
    'Nobody answered this question in time.',
  );
  await conversationsScreen.markDone(desk).click();
  await expect(conversationsScreen.done(desk).getByText('Will the aurora be seen?')).toBeVisible();
  await expect(row).toHaveCount(0);
});
