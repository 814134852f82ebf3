import { RE2JS } from 're2js';
import { describe, expect, it } from 'vitest';
import { finds } from '../../src/core/pages/automaton';
import { compileExpression, compileWildcard, statesOf } from '../../src/core/pages/compile-pattern';

const SEED = 20261126;

/** Mulberry32: the same numbers for the same seed, anywhere. */
function chance(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

const next = chance(SEED);
const pick = <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)] as T;
const ATOMS = [
  'a',
  'b',
  'c',
  '/',
  '-',
  '.',
  '\\.',
  '\\d',
  '\\w',
  '\\S',
  '\\D',
  '[ab]',
  '[^a]',
  '[a-c/]',
  '[^\\d]',
  '[\\w-]',
  '^',
  '$',
];
const TIMES = ['', '', '', '*', '+', '?', '{2}', '{0,2}', '{1,}', '{1,3}'];

function expression(depth: number): string {
  const row = (): string =>
    Array.from({ length: 1 + Math.floor(next() * 4) }, () => {
      const atom =
        depth > 0 && next() < 0.3 ? `(${next() < 0.3 ? '?:' : ''}${expression(depth - 1)})` : pick(ATOMS);
      return atom === '^' || atom === '$' ? atom : atom + pick(TIMES);
    }).join('');
  return next() < 0.25 ? `${row()}|${row()}` : row();
}
const text = (): string =>
  Array.from({ length: Math.floor(next() * 12) }, () =>
    pick(['a', 'b', 'c', '/', '-', '.', '1', '7', 'x', '_', 'ü']),
  ).join('');

describe(`patterns, seed ${SEED}`, () => {
  it('[P12] law: agrees with RegExp on 100,000 pairs, with a linear-time library on as many, and keeps to its steps', () => {
    let pairs = 0;
    const faults: string[] = [];
    while (pairs < 100_000) {
      const source = expression(2);
      const made = compileExpression(source);
      if (!made.ok) {
        expect(['too-many-states', 'too-long'], `${source}: ${made.errors.code}`).toContain(made.errors.code);
        continue;
      }
      const [native, linear] = [new RegExp(source, 'u'), RE2JS.compile(source)];
      for (let turn = 0; turn < 20; turn++, pairs++) {
        const input = text();
        let steps = 0;
        const found = finds(made.value, input, () => steps++);
        if (found !== native.test(input))
          faults.push(`${source} on "${input}": ${found}, RegExp says otherwise`);
        if (found !== linear.matcher(input).find())
          faults.push(`${source} on "${input}": ${found}, the library says otherwise`);
        if (steps > [...input].length * statesOf(made.value))
          faults.push(`${source} on "${input}": ${steps} steps`);
      }
    }
    expect(faults.slice(0, 5)).toEqual([]);
  }, 120_000);

  it('[P12] law: wildcards agree with RegExp as well, in every part', () => {
    const faults: string[] = [];
    for (let turn = 0; turn < 4000; turn++) {
      const source = Array.from({ length: 1 + Math.floor(next() * 6) }, () =>
        pick(['a', 'b', '/', '.', '*', '**', '\\*', '?', '-']),
      ).join('');
      const part = pick(['path', 'host'] as const);
      const made = compileWildcard(source, part);
      if (!made.ok) continue;
      const native = new RegExp(`^${asExpression(source, part)}$`, 'su');
      for (let pair = 0; pair < 10; pair++) {
        const input = Array.from({ length: Math.floor(next() * 8) }, () =>
          pick(['a', 'b', '/', '.', '*', '?', '-', '#']),
        ).join('');
        if (finds(made.value, input) !== native.test(input))
          faults.push(`${source} in ${part} on "${input}"`);
      }
    }
    expect(faults.slice(0, 5)).toEqual([]);
  });
});

/** [P10] as an expression, written independently of our reader. */
function asExpression(source: string, part: 'path' | 'host'): string {
  const parent = source.endsWith('/**') && source !== '/**';
  const body = (parent ? source.slice(0, -3) : source).replace(/\\\*|\*\*|\*|[^*\\]/g, (token) => {
    if (token === '\\*') return '\\*';
    if (token === '**') return '.*';
    if (token === '*') return part === 'host' ? '[^.]*' : '[^/?#]*';
    return token.replace(/[.?/-]/g, (character) => (character === '-' ? '\\x2d' : `\\${character}`));
  });
  return parent ? `${body}(?:\\/.*)?` : body;
}
