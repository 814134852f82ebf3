import { type CssNode, type Declaration, type Rule, type StyleSheet } from 'css-tree';
import parse from 'css-tree/parser';
import { COLOURS } from '../model/look';
import { memoByKey } from '../memo';

/** Something of an owner's CSS that visitors do not get, and why. Lines and columns count from 1. */
export interface Dropped {
  readonly line: number;
  readonly column: number;
  readonly code:
    'syntax' | 'at-rule' | 'selector' | 'nested' | 'property' | 'value' | 'size' | 'important' | 'too-many';
  /** What is meant, as it was written, shortened. */
  readonly detail: string;
}

export interface OwnCss {
  /** Written anew from what was understood and is allowed; may be empty. */
  readonly css: string;
  readonly dropped: readonly Dropped[];
}

/** Parts of the widget that an owner may dress, by their class. */
export const PARTS = [
  'launcher',
  'mark',
  'sign',
  'words',
  'count',
  'window',
  'head',
  'logo',
  'title',
  'state',
  'close',
  'log',
  'card',
  'person',
  'visitor',
  'house',
  'who',
  'time',
  'face',
  'line',
  'progress',
  'foot',
  'text',
  'button',
  'send',
  'link',
  'note',
  'field',
  'help',
  'error',
  'slow',
  'invitation',
  'invitation-words',
  'quiet',
] as const;

/** Named three times, it outweighs every rule of ours. */
const ROOT = '.root.root.root';
const RULES_MAX = 200;
const PX_MAX = 64;

/**
 * An owner's CSS, parsed and written anew from the tree ([threat 12]): only rules on parts of the widget, only properties
 * and values of the lists below, no addresses, nothing that moves, hides, covers or reaches out. Everything else is
 * dropped, and told with its line.
 */
export const rewriteCss = memoByKey(20, rewrite);

function rewrite(text: string): OwnCss {
  const dropped: Dropped[] = [];
  const drop = (node: CssNode, code: Dropped['code'], detail?: string): null => {
    const { line, column, offset } = node.loc?.start ?? { line: 1, column: 1, offset: 0 };
    const written = text
      .slice(offset, node.loc?.end.offset ?? offset + 40)
      .replace(/\s+/g, ' ')
      .trim();
    dropped.push({ line, column, code, detail: (detail ?? written).slice(0, 60) });
    return null;
  };
  const tree = parse(text, {
    positions: true,
    parseCustomProperty: true,
    parseRulePrelude: true,
  }) as StyleSheet;
  const rules = rulesIn(tree, drop);
  if (rules.length > RULES_MAX)
    dropped.push({ line: 1, column: 1, code: 'too-many', detail: String(RULES_MAX) });
  return {
    css: rules.slice(0, RULES_MAX).join('\n'),
    dropped: [...dropped].sort((a, b) => a.line - b.line || a.column - b.column),
  };
}

type Drop = (node: CssNode, code: Dropped['code'], detail?: string) => null;

function rulesIn(tree: StyleSheet, drop: Drop): string[] {
  return tree.children.toArray().flatMap((node) => {
    if (node.type === 'Comment' || node.type === 'WhiteSpace') return [];
    if (node.type === 'Rule') return ruleOf(node, drop) ?? [];
    drop(
      node,
      node.type === 'Atrule' ? 'at-rule' : 'syntax',
      node.type === 'Atrule' ? `@${node.name}` : undefined,
    );
    return [];
  });
}

function ruleOf(rule: Rule, drop: Drop): string | null {
  const { prelude } = rule;
  if (prelude.type !== 'SelectorList') return drop(prelude, 'selector');
  const selectors = prelude.children.toArray().map((one) => selectorOf(one) ?? drop(one, 'selector'));
  const inside = rule.block.children.toArray().flatMap((node) => {
    if (node.type === 'Declaration') return declarationOf(node, drop) ?? [];
    if (node.type !== 'Comment')
      drop(
        node,
        node.type === 'Rule' || node.type === 'Atrule' || (node.type === 'Raw' && node.value.includes('{'))
          ? 'nested'
          : 'syntax',
      );
    return [];
  });
  const known = selectors.filter((one) => one !== null);
  return known.length === 0 || inside.length === 0 ? null : `${known.join(',')}{${inside.join(';')}}`;
}

const PART_NAMES: ReadonlySet<string> = new Set(PARTS);
const PSEUDO_CLASSES = new Set([
  'hover',
  'focus',
  'focus-visible',
  'active',
  'first-child',
  'last-child',
  'empty',
]);
const PSEUDO_ELEMENTS = new Set(['before', 'after', 'placeholder']);
const COMBINATORS = new Set([' ', '>', '+', '~']);
const SELECTOR_PARTS_MAX = 12;

/** A selector that names parts of the widget, within its root; null: it says something else. */
function selectorOf(selector: CssNode): string | null {
  if (selector.type !== 'Selector') return null;
  const parts = selector.children.toArray().map((node): string | null => {
    if (node.type === 'ClassSelector') return PART_NAMES.has(node.name) ? `.${node.name}` : null;
    if (node.type === 'PseudoClassSelector')
      return node.children === null && PSEUDO_CLASSES.has(node.name) ? `:${node.name}` : null;
    if (node.type === 'PseudoElementSelector')
      return node.children === null && PSEUDO_ELEMENTS.has(node.name) ? `::${node.name}` : null;
    return node.type === 'Combinator' && COMBINATORS.has(node.name) ? node.name : null;
  });
  const isWhole =
    parts.length > 0 && parts.length <= SELECTOR_PARTS_MAX && parts[0]?.startsWith('.') === true;
  return isWhole && parts.every((one) => one !== null) ? `${ROOT} ${parts.join('')}` : null;
}

const SIDES = [
  '',
  '-top',
  '-right',
  '-bottom',
  '-left',
  '-block',
  '-inline',
  '-block-start',
  '-block-end',
  '-inline-start',
  '-inline-end',
];
const CORNERS = [
  '',
  '-top-left',
  '-top-right',
  '-bottom-left',
  '-bottom-right',
  '-start-start',
  '-start-end',
  '-end-start',
  '-end-end',
];
/** What may be set. Nothing of it moves a part, hides it, makes it larger than a little, or takes clicks from others. */
const PROPERTIES: ReadonlySet<string> = new Set([
  'color',
  'background',
  'background-color',
  'background-image',
  'box-shadow',
  'text-shadow',
  'opacity',
  'font-size',
  'font-weight',
  'font-style',
  'font-variant-caps',
  'font-variant-numeric',
  'letter-spacing',
  'word-spacing',
  'line-height',
  'text-align',
  'text-transform',
  'text-decoration',
  'text-decoration-color',
  'text-decoration-line',
  'text-decoration-style',
  'text-decoration-thickness',
  'text-underline-offset',
  'gap',
  'row-gap',
  'column-gap',
  'accent-color',
  'caret-color',
  ...SIDES.flatMap((side) => [
    `padding${side}`,
    `border${side}`,
    `border${side}-color`,
    `border${side}-style`,
    `border${side}-width`,
  ]),
  ...CORNERS.map((corner) => `border${corner}-radius`),
]);

function declarationOf(declaration: Declaration, drop: Drop): string | null {
  const { property, value, important } = declaration;
  if (!PROPERTIES.has(property)) return drop(declaration, 'property', property);
  if (value.type !== 'Value') return drop(declaration, 'syntax');
  const nodes = value.children.toArray();
  const written = nodes.map((node) => valueOf(node, { property, isInside: false }));
  const isOdd = nodes.length === 0 || (property === 'opacity' && !isVisible(nodes[0]));
  if (written.some((one) => one === TOO_LARGE)) return drop(declaration, 'size');
  if (isOdd || written.some((one) => one === null)) return drop(declaration, 'value');
  if (important !== false) drop(declaration, 'important');
  return `${property}:${joined(written as readonly string[])}`;
}

/** Less than half there is hidden, and still takes clicks. */
function isVisible(node: CssNode | undefined): boolean {
  return node?.type === 'Number' && Number(node.value) >= 0.5 && Number(node.value) <= 1;
}

interface Where {
  readonly property: string;
  /** Inside of a function: there, shares are of the part itself. */
  readonly isInside: boolean;
}

const FUNCTIONS = new Set([
  'rgb',
  'rgba',
  'hsl',
  'hsla',
  'hwb',
  'lab',
  'lch',
  'oklab',
  'oklch',
  'color-mix',
  'linear-gradient',
  'radial-gradient',
  'conic-gradient',
  'repeating-linear-gradient',
  'repeating-radial-gradient',
]);
const VARIABLES: ReadonlySet<string> = new Set(COLOURS.map((name) => `--${name}`));
/** Sizes that are counted in the text's own, and in degrees. */
const UNITS: Readonly<Record<string, number>> = { px: PX_MAX, em: 4, deg: 360, turn: 1 };

/** Written instead of a number that is out of bounds; it stands in no value. */
const TOO_LARGE = '!';

/** One part of a value, written anew; null: it is not allowed. */
function valueOf(node: CssNode, where: Where): string | null {
  switch (node.type) {
    case 'Identifier':
      return /^[a-z][a-z0-9-]*$/i.test(node.name) ? node.name : null;
    case 'Hash':
      return /^[0-9a-f]{3,8}$/i.test(node.value) ? `#${node.value}` : null;
    case 'Number':
      return numberOf(node.value, 1000, false);
    case 'Percentage':
      return where.isInside || /radius|font-size|line-height/.test(where.property)
        ? suffixed(numberOf(node.value, 300, false), '%')
        : null;
    case 'Dimension':
      return dimensionOf(node.value, node.unit.toLowerCase(), where);
    case 'Operator':
      return [',', '/'].includes(node.value.trim()) ? node.value.trim() : null;
    case 'Function':
      return functionOf(node.name.toLowerCase(), node.children.toArray(), where);
    case 'WhiteSpace':
      return '';
    // eslint-disable-next-line no-restricted-syntax -- what somebody typed: CSS knows many more
    default:
      return null;
  }
}

function dimensionOf(value: string, unit: string, { property, isInside }: Where): string | null {
  const most = Object.hasOwn(UNITS, unit) ? UNITS[unit] : undefined;
  if (most === undefined) return null;
  const mayBeNegative = isInside || /shadow|spacing|offset/.test(property);
  if (property === 'font-size') {
    const [least, largest] = unit === 'px' ? [10, 40] : [0.7, 2.5];
    if (Number(value) < least || Number(value) > largest) return TOO_LARGE;
  }
  return suffixed(numberOf(value, most, mayBeNegative), unit);
}

function numberOf(written: string, most: number, mayBeNegative: boolean): string | null {
  const value = Number(written);
  if (!Number.isFinite(value)) return null;
  return Math.abs(value) > most || (value < 0 && !mayBeNegative) ? TOO_LARGE : String(value);
}

function suffixed(number: string | null, unit: string): string | null {
  return number === null || number === TOO_LARGE ? number : number + unit;
}

function functionOf(name: string, children: readonly CssNode[], { property }: Where): string | null {
  if (name === 'var') {
    const [only, ...more] = children;
    return only?.type === 'Identifier' && more.length === 0 && VARIABLES.has(only.name)
      ? `var(${only.name})`
      : null;
  }
  if (!FUNCTIONS.has(name)) return null;
  const inside = children.map((child) => valueOf(child, { property, isInside: true }));
  if (inside.some((one) => one === TOO_LARGE)) return TOO_LARGE;
  return inside.some((one) => one === null) ? null : `${name}(${joined(inside as readonly string[])})`;
}

function joined(parts: readonly string[]): string {
  return parts
    .filter((one) => one !== '')
    .join(' ')
    .replace(/ ,/g, ',');
}
