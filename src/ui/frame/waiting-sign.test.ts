import { describe, expect, it } from 'vitest';
import { iconWith, titleWith } from './waiting-sign';

describe('the sign of who waits on the browser’s tab', () => {
  it.each([
    ['Today · Sunny Porch', 2, '(2) Today · Sunny Porch'],
    ['(2) Today · Sunny Porch', 3, '(3) Today · Sunny Porch'],
    ['(2) Today · Sunny Porch', 0, 'Today · Sunny Porch'],
    ['Today · Sunny Porch', 0, 'Today · Sunny Porch'],
    ['2027 (2) nights', 12, '(12) 2027 (2) nights'],
  ])('of %s and %d makes %s', (title, waiting, made) => {
    expect(titleWith(title, waiting)).toBe(made);
  });

  it('is legible from one to many', () => {
    expect(decodeURIComponent(iconWith(1))).toContain('>1</text>');
    expect(decodeURIComponent(iconWith(60))).toContain('>9+</text>');
  });
});
