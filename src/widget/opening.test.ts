import { describe, expect, it } from 'vitest';
import { openingWith } from './opening';
import type { MountedPanel } from './port';

/** A window whose panel comes at the second try, and all that it did, in order. */
function openingOf(failing = 0) {
  const did: string[] = [];
  let left = failing;
  const panel = {
    openRequest: (text: string) => did.push(`asked for ${text}`),
    focus: () => did.push('focus inside'),
  } as unknown as MountedPanel;
  const opening = openingWith({
    importPanel: () => {
      did.push('fetch');
      return left-- > 0 ? Promise.reject(new TypeError('cut')) : Promise.resolve(panel);
    },
    askIfStale: () => Promise.resolve(),
    look: () => did.push('look'),
    sawAll: () => did.push('saw all'),
    runtime: () => null,
    launcher: () => ({ focus: () => did.push('focus on the launcher') }) as unknown as HTMLElement,
    tell: (name) => did.push(name),
  });
  return { opening, did };
}

describe('opening the window', () => {
  it('fetches it once, shows it, and gives the focus back when it closes', async () => {
    const { opening, did } = openingOf();
    await Promise.all([opening.prepare(), opening.prepare()]);
    await opening.open('schools');
    opening.close();
    expect(did).toEqual([
      'fetch',
      'asked for schools',
      'saw all',
      'look',
      'focus inside',
      'opened',
      'look',
      'focus on the launcher',
      'closed',
    ]);
  });

  it('what waited for the visitor is seen with the opening: closed again, nothing is counted', async () => {
    const { opening, did } = openingOf();
    await opening.open();
    expect(did.indexOf('saw all')).toBeLessThan(did.indexOf('look'));
    expect(opening.isOpen).toBe(true);
  });

  it('[L9] a window that could not be fetched is fetched at the next try', async () => {
    const { opening, did } = openingOf(1);
    await expect(opening.open()).rejects.toThrow('cut');
    expect(opening.isOpen).toBe(false);
    await opening.open();
    expect(did.filter((one) => one === 'fetch')).toHaveLength(2);
    expect(opening.isOpen).toBe(true);
  });
});
