import { describe, expect, it } from 'vitest';
import { type Literal, literalsIn, literalsOfScreens } from './literals';
import { NOT_PLAIN } from './not-plain';

/** Where stands what people read: screens, texts of the widget, answers of the server. */
const ROOMS = ['src/ui', 'src/app', 'src/server', 'src/core/words', 'src/widget'];

describe('what people read', () => {
  const all = ROOMS.flatMap(wordsOfRoom);

  it('has none of the constructions that are read twice', () => {
    const found = all.flatMap(([where, said]) =>
      NOT_PLAIN.filter(([pattern]) => pattern.test(said)).map(
        ([, better]) => `${where} “${said}”: ${better}`,
      ),
    );
    expect(found).toEqual([]);
  });

  it('is really looked at: every room says something, in JSX and in strings', () => {
    for (const room of ROOMS)
      expect(
        all.filter(([where]) => where.startsWith(room)),
        room,
      ).not.toEqual([]);
    expect(all.length).toBeGreaterThan(1200);
    expect(all.map(([, said]) => said)).toContain(
      'Visitors see it when you publish. Three things, in any order:',
    );
  });
});

describe('screens', () => {
  it('say nothing of their own: their words stand in the tables of src/ui/wording', () => {
    const own = ['src/ui', 'src/app'].flatMap(literalsOfScreens).filter(([, text]) => !CODE.has(text));
    expect(own).toEqual([]);
  });
});

/** What is shown as it is typed: an attribute, what an address begins with, and style rules. */
const CODE: ReadonlySet<string> = new Set([
  'data-porch-open="',
  'https://',
  '.contact',
  '.head { letter-spacing: 0.5px }',
]);

function wordsOfRoom(room: string): Literal[] {
  return literalsIn(room, /\.test\.|migrations|repository|style\.ts|texts-(ar|de|pt)/).filter(
    ([, text]) =>
      /[a-z’…] [a-z“]/i.test(text) && !/^(GET|POST) |var\(--|solid var|^<!doctype|data-porch-open/.test(text),
  );
}
