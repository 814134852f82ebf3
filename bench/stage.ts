import { chromium } from '@playwright/test';
import { findBrowser } from '../scripts/lib/browser.mjs';

/** What the browser measured of one letter that was typed, in ms from the keystroke to the frame in which it shows. */
interface Typed {
  readonly stage: number;
  readonly words: number;
  readonly picture: number;
  /** The words of the path stand in the very frame in which the stage does. */
  readonly isSameFrame: boolean;
}

const LETTERS = 60;
/** Nobody types faster: what may follow a little later has the time to. */
const BETWEEN_MS = 100;

/** Types into the greeting where it stands, and measures when stage, moment card and thumbnail follow. */
export async function typeOnStage(
  origin: string,
  siteKey: string,
  cookie: string,
): Promise<readonly Typed[]> {
  const browser = await chromium.launch({
    executablePath: findBrowser() ?? undefined,
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-sync',
    ],
  });
  try {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const [name = '', value = ''] = cookie.split('=');
    await context.addCookies([{ name, value, url: origin }]);
    const page = await context.newPage();
    await page.goto(`${origin}/s/${siteKey}/design?on=/tonight&moment=at-the-door&with=in`);
    const stage = page.getByRole('region', { name: 'Stage' });
    await stage.getByRole('button', { name: /^Edit Greeting/ }).click();
    const field = page.getByRole('textbox', { name: 'Greeting' });
    await field.fill('');
    await page.waitForTimeout(1500);
    const typed: Typed[] = [];
    for (let letter = 0; letter < LETTERS; letter++) {
      const measured = page.evaluate(measureNext);
      await field.press(letter % 7 === 6 ? 'Space' : 'abcdefghij'.charAt(letter % 10));
      typed.push(await measured);
      await page.waitForTimeout(BETWEEN_MS);
    }
    return typed;
  } finally {
    await browser.close();
  }
}

/** Runs in the page: waits for the next letter, and for all three to follow it. */
function measureNext(): Promise<Typed> {
  return new Promise((resolve) => {
    const momentCard = document.querySelector('nav[aria-label=Path] [data-moment-card=at-the-door]');
    const stageRoot = document.querySelector('section[aria-label=Stage] sunny-porch')?.shadowRoot;
    const pictureRoot = momentCard?.querySelector('sunny-porch')?.shadowRoot;
    if (!momentCard || !stageRoot || !pictureRoot)
      throw new Error('Expected a stage and a card of the path.');
    let began = 0;
    const at: {
      stage?: readonly [number, number];
      words?: readonly [number, number];
      picture?: readonly [number, number];
    } = {};
    let frame = 0;
    const count = (): void => {
      frame++;
      if (at.stage !== undefined && at.words !== undefined && at.picture !== undefined)
        return resolve({
          stage: at.stage[0],
          words: at.words[0],
          picture: at.picture[0],
          isSameFrame: at.stage[1] === at.words[1],
        });
      requestAnimationFrame(count);
    };
    const seen = (name: keyof typeof at) => (): void => {
      if (began === 0 || at[name] !== undefined) return;
      const drawnIn = frame;
      // A message sent in a frame comes in once that frame is drawn.
      requestAnimationFrame(() => {
        const { port1, port2 } = new MessageChannel();
        port1.onmessage = () => (at[name] ??= [performance.now() - began, drawnIn]);
        port2.postMessage(null);
      });
    };
    const options = { subtree: true, childList: true, characterData: true };
    new MutationObserver(seen('stage')).observe(stageRoot, options);
    new MutationObserver(seen('words')).observe(momentCard, options);
    new MutationObserver(seen('picture')).observe(pictureRoot, options);
    document.addEventListener('input', () => (began = performance.now()), { capture: true, once: true });
    requestAnimationFrame(count);
  });
}
