import type { AddressPart } from '../model/page-rule';
import { type Result, fail, ok } from '../result';
import type { Automaton } from '../wire/automaton';
import type { Finds } from '../wire/automaton';
import type { WireCharacters } from '../wire/automaton';
import {
  type Node,
  type PatternFault,
  type CharacterClass,
  readExpression,
  readWildcard,
} from './pattern-tree';

/** [P11] States of one pattern, and of all patterns of a site. */
export const PATTERN_STATES_MAX = 100;
export const SITE_STATES_MAX = 300;

/** [P10] A wildcard as an automaton. `folds` as below. */
export function compileWildcard(
  text: string,
  part: AddressPart,
  folds = false,
): Result<Automaton, PatternFault> {
  const read = readWildcard(text, part);
  return read.ok ? compile(read.value, text, folds) : read;
}

/** [P11] An expression as an automaton. `folds`: A–Z count as a–z, in it and in the text it is run on ([P8]). */
export function compileExpression(text: string, folds = false): Result<Automaton, PatternFault> {
  const read = readExpression(text);
  return read.ok ? compile(read.value, text, folds) : read;
}

/** How many states an automaton has. */
export function statesOf([, classes]: Automaton): number {
  return classes.length;
}

/** [P11] The plain characters an expression begins with, wherever it is searched; empty where it begins with something else. */
export function literalStartOf(text: string): string {
  const read = readExpression(text);
  if (!read.ok) return '';
  const nodes = read.value.kind === 'row' ? read.value.nodes : [read.value];
  let start = '';
  for (const node of nodes.slice(nodes[0]?.kind === 'start' ? 1 : 0)) {
    if (
      node.kind !== 'sign' ||
      node.character.not ||
      node.character.ranges.length !== 2 ||
      node.character.ranges[0] !== node.character.ranges[1]
    )
      break;
    start += String.fromCodePoint(node.character.ranges[0] ?? 0);
  }
  return start;
}

/** How many states a node costs, counted before anything is copied: bounded repeats multiply. */
function costOf(node: Node): number {
  switch (node.kind) {
    case 'sign':
      return 1;
    case 'row':
    case 'either':
      return node.nodes.reduce((sum, one) => sum + costOf(one), 0);
    case 'repeat':
      return costOf(node.node) * Math.max(1, node.most ?? node.least);
    case 'start':
    case 'end':
      return 0;
  }
}

type Part =
  | { readonly kind: 'sign'; readonly character: CharacterClass; readonly to: number; readonly state: number }
  | { readonly kind: 'split'; to: number[] }
  | { readonly kind: 'start' | 'end'; readonly to: number }
  | { readonly kind: 'found' };

function compile(root: Node, text: string, folds: boolean): Result<Automaton, PatternFault> {
  const cost = costOf(root);
  if (cost > PATTERN_STATES_MAX) return fail({ code: 'too-many-states', at: text.length });
  const parts: Part[] = [{ kind: 'found' }];
  let states = 0;
  const add = (part: Part): number => parts.push(part) - 1;

  /** Puts a node before the part `to`; gives where it is entered. */
  const put = (node: Node, to: number): number => {
    switch (node.kind) {
      case 'sign':
        return add({ kind: 'sign', character: node.character, to, state: states++ });
      case 'start':
      case 'end':
        return add({ kind: node.kind, to });
      case 'row':
        return [...node.nodes].reverse().reduce((next, one) => put(one, next), to);
      case 'either':
        return add({ kind: 'split', to: node.nodes.map((one) => put(one, to)) });
      case 'repeat':
        return putRepeat(node, to);
    }
  };
  const putRepeat = ({ node, least, most }: Extract<Node, { kind: 'repeat' }>, to: number): number => {
    if (most === null) {
      const loop: Extract<Part, { kind: 'split' }> = { kind: 'split', to: [to] };
      const turn = add(loop);
      const body = put(node, turn);
      loop.to.push(body);
      return least === 0 ? turn : copies(node, least - 1, body);
    }
    let next = to;
    for (let count = least; count < most; count++) next = add({ kind: 'split', to: [put(node, next), to] });
    return copies(node, least, next);
  };
  const copies = (node: Node, count: number, to: number): number =>
    count === 0 ? to : put(node, copies(node, count - 1, to));

  const entry = put(root, 0);
  return ok(toAutomaton(parts, entry, states, folds));
}

interface Reached {
  readonly states: readonly number[];
  readonly finds: Finds;
}

/** What can be reached from a part without taking a sign; `$` leads on to the end only, `^` at the first sign only. */
function reach(parts: readonly Part[], from: number, isAtStart: boolean): Reached {
  const states = new Set<number>();
  const seen = new Set<string>();
  let found: Finds = 0;
  const simulation = (index: number, isAtEnd: boolean): void => {
    const key = `${index} ${isAtEnd}`;
    const part = parts[index];
    if (part === undefined || seen.has(key)) return;
    seen.add(key);
    if (part.kind === 'found') found = isAtEnd && found !== 1 ? 2 : isAtEnd ? found : 1;
    else if (part.kind === 'sign') {
      if (!isAtEnd) states.add(part.state);
    } else if (part.kind === 'split') part.to.forEach((to) => simulation(to, isAtEnd));
    else if (part.kind === 'end') simulation(part.to, true);
    else if (isAtStart) simulation(part.to, isAtEnd);
  };
  simulation(from, false);
  return { states: [...states], finds: found };
}

function toAutomaton(parts: readonly Part[], entry: number, states: number, folds: boolean): Automaton {
  const words = Math.max(1, Math.ceil(states / 32));
  const characters = parts
    .filter((part): part is Extract<Part, { kind: 'sign' }> => part.kind === 'sign')
    .sort((a, b) => a.state - b.state);
  const after = characters.map(({ to }) => reach(parts, to, false));
  const finding = (finds: Finds): number[] =>
    after.flatMap((one, state) => (one.finds === finds ? [state] : []));
  const [start, again] = [reach(parts, entry, true), reach(parts, entry, false)];
  return [
    words,
    characters.map(({ character }) => toWireCharacters(folds ? folded(character) : character)),
    after.flatMap((one) => bitsOf(one.states, words)),
    bitsOf(finding(1), words),
    bitsOf(finding(2), words),
    bitsOf(start.states, words),
    start.finds,
    bitsOf(again.states, words),
    again.finds,
  ];
}

function bitsOf(states: readonly number[], words: number): number[] {
  const bits = new Array<number>(words).fill(0);
  for (const state of states) bits[state >> 5] = (bits[state >> 5] ?? 0) | (1 << (state & 31));
  return bits;
}

/** [P8] The class with the small letter of each capital in it; the text it is held against has small ones only. */
function folded({ not, ranges }: CharacterClass): CharacterClass {
  const more: number[] = [];
  for (let at = 0; at < ranges.length; at += 2) {
    const from = Math.max(ranges[at] ?? 0, 65);
    const to = Math.min(ranges[at + 1] ?? 0, 90);
    if (from <= to) more.push(from + 32, to + 32);
  }
  const [only] = ranges;
  const isOneCapital = !not && ranges.length === 2 && more.length === 2 && only === ranges[1];
  return { not, ranges: isOneCapital ? more : [...ranges, ...more] };
}

function toWireCharacters({ not, ranges }: CharacterClass): WireCharacters {
  const [from, to] = ranges;
  if (!not && ranges.length === 2 && from === to) return String.fromCodePoint(from ?? 0);
  return not ? [-1, ...ranges] : ranges;
}
