import { describe, expect, it } from 'vitest';
import { EXTRAS_CSS } from './extras/extras-style';
import { LAUNCHER_CSS } from './launcher-style';
import { PANEL_CSS } from './panel/style';

const classesIn = (css: string): string[] => [
  ...new Set(
    [...css.replace(/\{[^{}]*\}/g, '{}').matchAll(/\.([a-z][\w-]*)/g)].map(([, name]) => name ?? ''),
  ),
];

describe('the two sheets of the guest', () => {
  it('share no class but the root and the count’s: the panel’s sheet, which comes later, must not move the launcher', () => {
    expect(classesIn(LAUNCHER_CSS)).toContain('mark');
    expect(classesIn(PANEL_CSS).filter((name) => classesIn(LAUNCHER_CSS).includes(name))).toEqual([
      'root',
      'count',
      'mark',
    ]);
    expect(PANEL_CSS).toMatch(/\.root\[data-count-only\] \.mark \{ visibility: hidden; \}/);
    expect(PANEL_CSS.match(/\.mark\b/g)).toHaveLength(1);
  });

  it('what is usual knows nothing of the other forms and arrivals, which are of parts that stand there anyway', () => {
    expect(classesIn(LAUNCHER_CSS + EXTRAS_CSS)).toEqual([...classesIn(LAUNCHER_CSS), 'sign']);
    expect(LAUNCHER_CSS).not.toMatch(/data-form|arrival/);
  });

  it('know no unit of the page’s: no rem, em, vw, vh, and no width query', () => {
    for (const css of [LAUNCHER_CSS, EXTRAS_CSS, PANEL_CSS]) {
      expect(css).not.toMatch(/\d(rem|em|vw|vh|dvh|svh)\b/);
      expect(css).not.toMatch(/@media[^{]*width/);
    }
  });
});
