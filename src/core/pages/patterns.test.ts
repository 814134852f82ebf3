import { describe, expect, it } from 'vitest';
import { finds } from './automaton';
import { compileExpression, compileWildcard, literalStartOf, statesOf } from './compile-pattern';
import { widerThanItsStart } from './compile-rules';
import type { Automaton } from '../wire/automaton';

const wildcard = (text: string, part: 'path' | 'host' = 'path'): Automaton => {
  const made = compileWildcard(text, part);
  if (!made.ok) throw new Error(`Expected "${text}" to compile, got ${made.errors.code}.`);
  return made.value;
};
const expression = (text: string): Automaton => {
  const made = compileExpression(text);
  if (!made.ok)
    throw new Error(`Expected "${text}" to compile, got ${made.errors.code} at ${made.errors.at}.`);
  return made.value;
};
const refused = (text: string) => {
  const made = compileExpression(text);
  return made.ok ? null : [made.errors.code, made.errors.at];
};
const taken = (pattern: Automaton, texts: readonly string[]) => texts.filter((text) => finds(pattern, text));

describe('wildcards', () => {
  it('[P10] covers the whole part: nothing before and nothing after it', () => {
    expect(taken(wildcard('/tonight'), ['/tonight', '/tonight/late', '/pt/tonight', '/tonigh'])).toEqual([
      '/tonight',
    ]);
  });

  it('[P10] one star is any run without a slash, also an empty one', () => {
    expect(
      taken(wildcard('/sky-log/*'), ['/sky-log/', '/sky-log/3', '/sky-log/3/notes', '/sky-log']),
    ).toEqual(['/sky-log/', '/sky-log/3']);
    expect(taken(wildcard('/*/tonight'), ['/pt/tonight', '//tonight', '/pt/x/tonight'])).toEqual([
      '/pt/tonight',
      '//tonight',
    ]);
  });

  it('[P10] in a host it stops at a dot', () => {
    expect(
      taken(wildcard('*.farrowisle.example', 'host'), [
        'www.farrowisle.example',
        'a.b.farrowisle.example',
        'farrowisle.example',
      ]),
    ).toEqual(['www.farrowisle.example']);
  });

  it('[P10] two stars are any run; a final /** takes the bare parent too, and not its neighbour', () => {
    expect(taken(wildcard('/groups/**'), ['/groups', '/groups/schools/request', '/groups-old'])).toEqual([
      '/groups',
      '/groups/schools/request',
    ]);
    expect(taken(wildcard('/**/request'), ['/groups/schools/request', '/request'])).toEqual([
      '/groups/schools/request',
    ]);
    expect(taken(wildcard('/**'), ['/', '/a/b'])).toEqual(['/', '/a/b']);
  });

  it('[P10] a star behind a backslash is a star, a question mark is itself', () => {
    expect(taken(wildcard('/a\\*b'), ['/a*b', '/axb'])).toEqual(['/a*b']);
    expect(taken(wildcard('/a?b'), ['/a?b', '/axb', '/ab'])).toEqual(['/a?b']);
  });
});

describe('expressions', () => {
  it('[P11] is searched anywhere unless it is anchored, and anchors hold inside of groups', () => {
    expect(taken(expression('sky'), ['/sky-log', 'sky', 'sk'])).toEqual(['/sky-log', 'sky']);
    expect(taken(expression('^/sky'), ['/sky-log', '/pt/sky'])).toEqual(['/sky-log']);
    expect(taken(expression('log$'), ['/sky-log', '/sky-log/3'])).toEqual(['/sky-log']);
    expect(taken(expression('(^/pt|/de$)'), ['/pt/x', '/x/de', '/x/pt/y', '/de/x'])).toEqual([
      '/pt/x',
      '/x/de',
    ]);
    expect(taken(expression('^$'), ['', 'a'])).toEqual(['']);
    expect(taken(expression('a*$'), ['b', ''])).toEqual(['b', '']);
  });

  it('[P11] classes, their opposites and ranges are of ASCII', () => {
    expect(taken(expression('^[\\d\\-]+$'), ['12-3', '١٢', '12a'])).toEqual(['12-3']);
    expect(taken(expression('^\\w+$'), ['a_1', 'é', 'a-b'])).toEqual(['a_1']);
    expect(taken(expression('^[^a-c/]$'), ['d', 'b', '/', '😀'])).toEqual(['d', '😀']);
    expect(taken(expression('^.$'), ['x', '\n', '😀'])).toEqual(['x', '😀']);
    expect(taken(expression('^[\\D]$'), ['7', 'x'])).toEqual(['x']);
  });

  it('[P11] bounded repeats mean what they say at both ends', () => {
    expect(taken(expression('^a{2,3}$'), ['a', 'aa', 'aaa', 'aaaa'])).toEqual(['aa', 'aaa']);
    expect(taken(expression('^(ab){2}$'), ['ab', 'abab', 'ababab'])).toEqual(['abab']);
    expect(taken(expression('^a{2,}$'), ['a', 'aa', 'aaaaa'])).toEqual(['aa', 'aaaaa']);
    expect(taken(expression('^a{0}b$'), ['b', 'ab'])).toEqual(['b']);
    expect(taken(expression('^(a|b*)+c$'), ['c', 'abbac', 'd'])).toEqual(['c', 'abbac']);
  });

  it('[P11] what is not offered is refused at its place, with a word why', () => {
    expect(refused('a(?=b)')).toEqual(['look-around', 1]);
    expect(refused('a(?<!b)')).toEqual(['look-around', 1]);
    expect(refused('(a)\\1')).toEqual(['back-reference', 3]);
    expect(refused('(?<x>a)')).toEqual(['named-group', 0]);
    expect(refused('(?i)a')).toEqual(['flag', 0]);
    expect(refused('a+?')).toEqual(['lazy-repeat', 2]);
    expect(refused('a**')).toEqual(['nothing-to-repeat', 2]);
    expect(refused('*a')).toEqual(['nothing-to-repeat', 0]);
    expect(refused('^*')).toEqual(['nothing-to-repeat', 0]);
    expect(refused('(a')).toEqual(['unclosed-group', 0]);
    expect(refused('a)')).toEqual(['unopened-group', 1]);
    expect(refused('[a')).toEqual(['unclosed-class', 0]);
    expect(refused('[]')).toEqual(['empty-class', 0]);
    expect(refused('[z-a]')).toEqual(['range-backwards', 1]);
    expect(refused('a{51}')).toEqual(['repeat-too-large', 1]);
    expect(refused('a{3,2}')).toEqual(['repeat-backwards', 1]);
    expect(refused('a{x}')).toEqual(['not-a-repeat', 1]);
    expect(refused('a\\b')).toEqual(['unknown-escape', 1]);
    expect(refused('a]')).toEqual(['lone-bracket', 1]);
    expect(refused('')).toEqual(['empty', 0]);
    expect(refused('a'.repeat(201))).toEqual(['too-long', 200]);
  });

  it('[P11] repeats cost states, counted before anything is built: 50 times 50 is refused at once', () => {
    expect(statesOf(expression('.{0,50}'))).toBe(50);
    expect(refused('(.{0,50}){0,50}')?.[0]).toBe('too-many-states');
    expect(refused('a{50}b{50}c')?.[0]).toBe('too-many-states');
    expect(statesOf(expression('a{50}b{50}'))).toBe(100);
  });

  it('[P11] the plain characters it begins with are known, to be held against what it takes', () => {
    expect(literalStartOf('/groups/(schools|visits)')).toBe('/groups/');
    expect(literalStartOf('^/sky-log')).toBe('/sky-log');
    expect(literalStartOf('[ab]c')).toBe('');
  });

  it('[P12] the worst patterns take at most length × states steps', () => {
    for (const text of [
      '^(a*)*b$',
      '(a|a)*(a|a)*c',
      '(.*a){20}',
      '((a+)+)+$',
      '.*.*.*.*.*x',
      '(a?){50}a{50}',
    ]) {
      const pattern = expression(text);
      const input = 'a'.repeat(2048);
      let steps = 0;
      finds(pattern, input, () => steps++);
      expect(steps, text).toBeLessThanOrEqual(input.length * statesOf(pattern));
    }
  });

  it('[P11] an expression that is not anchored and takes more than its literal start is pointed out', () => {
    const takes = (text: string) => {
      const made = compileExpression(text);
      return (known: string) => made.ok && finds(made.value, known);
    };
    const known = ['/groups', '/old/groups', '/visit'];
    expect(widerThanItsStart('/groups', known, takes('/groups'))).toBe('/groups');
    expect(widerThanItsStart('^/groups', known, takes('^/groups'))).toBeNull();
    expect(widerThanItsStart('/visit', known, takes('/visit'))).toBeNull();
  });
});
