import type { Browser, Page } from '@playwright/test';
import { conversationsScreen } from './screens/conversations';
import { frameScreen } from './screens/frame';
import { joinScreen, teamScreen } from './screens/team';
import { beIn, enterAs, expect, expectNoAxe, test, useTestServer, visit } from './test-server';

const testServer = useTestServer();

/** The owner makes a link as it is proposed, and reads it where it stands. */
async function linkFrom(owner: Page): Promise<string> {
  await teamScreen.invite(owner).click();
  await teamScreen.makeLink(owner).click();
  const link = await owner.getByTestId('join-link').innerText();
  await teamScreen.done(owner).click();
  return link;
}

/** Somebody without an account opens a link, and makes one. */
async function joins(browser: Browser, link: string, name: string, mail: string): Promise<Page> {
  const page = await (await browser.newContext()).newPage();
  await page.goto(link);
  await joinScreen.name(page).fill(name);
  await joinScreen.email(page).fill(mail);
  await joinScreen.password(page).fill('clear skies tonight');
  await joinScreen.join(page).click();
  return page;
}

test('task 10: a colleague is let in with three clicks and a link, and answers the first question; removed, they are out at once and what they wrote stays', async ({
  browser,
}) => {
  const owner = await enterAs(browser, testServer, 'team');
  const link = await linkFrom(owner); // invite, make the link, done
  await expect(teamScreen.linkOut(owner)).toHaveCount(1);

  const lena = await joins(browser, link, 'Lena Fuchs', 'lena@farrowisle.example');
  await expect(lena).toHaveURL(/\/conversations$/);
  await beIn(lena, true);
  await expect(teamScreen.person('Lena Fuchs')(owner)).toBeVisible(); // by itself
  await expect(teamScreen.linkOut(owner)).toHaveCount(0);
  const late = await (await browser.newContext()).newPage();
  await late.goto(link);
  await expect(joinScreen.gone(late)).toBeVisible();

  const visitor = await visit(browser, `${testServer.site}/tonight`);
  await visitor.launcher.click();
  await visitor.say('Is the path to the dome lit?');
  await conversationsScreen.list(lena).getByText('Is the path to the dome lit?').click();
  await conversationsScreen.reply(lena).fill('With red lamps, from nine on.');
  await conversationsScreen.send(lena).click();
  await expect(visitor.window).toContainText('With red lamps, from nine on.');
  await expect(visitor.window).toContainText('Lena Fuchs');

  await teamScreen.changeRightsOf('Lena Fuchs')(owner).click();
  await teamScreen.removeFromSite('Lena Fuchs')(owner).click();
  await expect(owner.getByText('What they wrote stays.')).toBeVisible();
  await teamScreen.remove(owner).click();
  await expect(lena.getByText('You no longer answer on Farrow Isle Observatory')).toBeVisible();
  await expect(teamScreen.person('Lena Fuchs')(owner)).toHaveCount(0);
  await lena.reload();
  await expect(lena.getByText('Page not found')).toBeVisible();
  await expect(visitor.window).toContainText('With red lamps, from nine on.');
  await teamScreen.history(owner).click();
  await expect(owner.getByText('Inês Matos removed Lena Fuchs.').last()).toBeVisible();
});

test('who has an account signs in first and joins with one click; role and teams are changed, and their screens follow', async ({
  browser,
}) => {
  const owner = await enterAs(browser, testServer, 'team');
  const first = await joins(browser, await linkFrom(owner), 'Tomás Reis', 'tomas@farrowisle.example');
  await expect(first).toHaveURL(/\/conversations$/);
  await expect(frameScreen.designLink(first)).toHaveCount(0);

  await teamScreen.changeRightsOf('Tomás Reis')(owner).click();
  await teamScreen.role('Designs and answers')(owner).check();
  await teamScreen.team('School visits')(owner).check();
  await teamScreen.save(owner).click();
  await expect(
    teamScreen.teams(owner).getByRole('listitem').filter({ hasText: 'School visits' }),
  ).toContainText('Tomás Reis');
  await expect(frameScreen.designLink(first)).toBeVisible(); // by itself

  const again = await linkFrom(owner);
  const known = await joins(browser, again, 'Tomás Reis', 'tomas@farrowisle.example');
  await expect(known.getByText('There is an account with this address.')).toBeVisible();
  await joinScreen.signInInstead(known).click();
  await known.getByLabel('Your e-mail').fill('tomas@farrowisle.example');
  await known.getByLabel('Password').fill('clear skies tonight');
  await known.getByRole('button', { name: 'Sign in' }).click();
  await expect(joinScreen.joinAs('Tomás Reis')(known)).toBeVisible();
  await joinScreen.joinAs('Tomás Reis')(known).click();
  await expect(known.getByText('You answer on this site already.')).toBeVisible();
  await teamScreen.takeBack(owner).click();
  await expect(teamScreen.linkOut(owner)).toHaveCount(0);
  await known.reload();
  await expect(joinScreen.gone(known)).toBeVisible();
});

test('a team is added, named in another language and put in order; it goes again, and what still names another is said', async ({
  browser,
}) => {
  const owner = await enterAs(browser, testServer, 'team');
  await teamScreen.anotherTeam(owner).fill('Cloud watch');
  await teamScreen.add(owner).click();
  await expect(teamScreen.teamRow('Cloud watch')(owner)).toContainText('Nobody is in this team.');
  await teamScreen.changeTeam('Cloud watch')(owner).click();
  await teamScreen.nameIn('Português')(owner).fill('Vigia das nuvens');
  await teamScreen.saveNameIn('Português')(owner).click();
  await expect(teamScreen.saveNameIn('Português')(owner)).toBeDisabled();
  await expectNoAxe(owner, 'a team');
  await teamScreen.close(owner).click();
  await teamScreen.moveUp('Cloud watch')(owner).click();
  await expect(teamScreen.teams(owner).getByRole('heading', { level: 3 }).nth(2)).toHaveText('Cloud watch');

  await teamScreen.changeTeam('Night desk')(owner).click();
  await expect(owner.getByText('It cannot be removed while these name it:')).toBeVisible();
  await expect(owner.getByText('The widget “Main” asks this team (draft)')).toBeVisible();
  await teamScreen.close(owner).click();
  await teamScreen.changeTeam('Cloud watch')(owner).click();
  await expect(teamScreen.nameIn('Português')(owner)).toHaveValue('Vigia das nuvens');
  await teamScreen.removeTeam('Cloud watch')(owner).click();
  await expect(teamScreen.teamRow('Cloud watch')(owner)).toHaveCount(0);
});

test('the dialogs of people have nothing for axe, in both schemes', async ({ browser }) => {
  for (const colorScheme of ['light', 'dark'] as const) {
    const owner = await enterAs(browser, testServer, 'team', { colorScheme });
    await teamScreen.invite(owner).click();
    await expectNoAxe(owner, `invite, ${colorScheme}`);
    await teamScreen.makeLink(owner).click();
    await expect(owner.getByTestId('join-link')).toBeVisible();
    await expect(teamScreen.mail(owner)).toHaveAttribute('href', /^mailto:\?subject=.*%2Fjoin%2F/);
    await expectNoAxe(owner, `the link, ${colorScheme}`);
    const link = await owner.getByTestId('join-link').innerText();
    await teamScreen.done(owner).click();
    await teamScreen.changeRightsOf('Rui Faria')(owner).click();
    await expectNoAxe(owner, `rights, ${colorScheme}`);
    const page = await (await browser.newContext({ colorScheme })).newPage();
    await page.goto(link);
    await expect(joinScreen.heading(page)).toBeVisible();
    await expectNoAxe(page, `join, ${colorScheme}`);
  }
});
