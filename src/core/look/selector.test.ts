import { expect, it } from 'vitest';
import { isSelector } from './selector';

it.each([
  ['.contact', true],
  ['header > nav a[href^="/visit"]:not(.quiet), #ask', true],
  ['li:nth-child(2n + 1)', true],
  ['', false],
  ['   ', false],
  ['.contact[', false],
  ['a {', false],
  ['a, ', false],
  ['.a } .b', false],
])('%j is a selector: %s', (text, expected) => {
  expect(isSelector(text)).toBe(expected);
});
