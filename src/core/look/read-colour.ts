import { colorsNamed, clampChroma, displayable, formatHex, parse } from 'culori/fn';
import type { HexColor } from '../model/units';
import { type Result, fail, ok } from '../result';
import './modes';
import { hexByte, channels } from './oklch';

/** A colour as it was read, and what had to be done for it. */
export interface ReadColour {
  readonly color: HexColor;
  /** `see-through`: laid on white; `out-of-reach`: brought into sRGB by lowering chroma. */
  readonly note: 'see-through' | 'out-of-reach' | null;
}

/** Why a text is no colour that can be read. `detail` is what is meant: the digits' count, a sign, a name. */
export interface ColourFault {
  readonly code:
    | 'empty'
    | 'hex-digits'
    | 'hex-sign'
    | 'name'
    | 'name-like'
    | 'numbers'
    | 'function'
    | 'gradient'
    | 'variable';
  readonly detail: string;
}

const FUNCTIONS = ['rgb', 'rgba', 'hsl', 'hsla', 'oklch'];
const CHARS_MAX = 100;

/**
 * Reads a colour as people paste it: hex of 3, 4, 6 or 8 digits with or without #, rgb(), hsl(), oklch() with commas or
 * spaces, a CSS name; also a whole declaration (`color: …;`).
 */
export function readColour(typed: string): Result<ReadColour, ColourFault> {
  const text = typed
    .slice(0, CHARS_MAX)
    .trim()
    .toLowerCase()
    .replace(/^[a-z-]+\s*:\s*/, '')
    .replace(/\s*(!\s*important)?\s*;?$/, '')
    .replace(/^(['"])(.*)\1$/, '$2')
    .trim();
  if (text === '') return fault('empty', '');
  const name = /^([a-z-]+)\s*\(/.exec(text)?.[1];
  if (name !== undefined) return readFunction(name, text);
  const hex = text.replace(/\s+/g, '').replace(/^#/, '');
  if (text.startsWith('#') || (/^[0-9a-f]+$/.test(hex) && /\d/.test(hex))) return readHex(hex);
  if (Object.hasOwn(colorsNamed, text)) return read(text);
  if (/^[0-9a-f]{3}$|^[0-9a-f]{6}$/.test(hex)) return readHex(hex);
  const like = nearestName(text);
  return like === null ? fault('name', text) : fault('name-like', like);
}

function readHex(digits: string): Result<ReadColour, ColourFault> {
  const sign = /[^0-9a-f]/u.exec(digits)?.[0];
  if (sign !== undefined) return fault('hex-sign', sign);
  return [3, 4, 6, 8].includes(digits.length)
    ? read(`#${digits}`)
    : fault('hex-digits', String(digits.length));
}

function readFunction(name: string, text: string): Result<ReadColour, ColourFault> {
  if (name.endsWith('gradient')) return fault('gradient', '');
  if (name === 'var' || name === 'env') return fault('variable', /--[\w-]+/.exec(text)?.[0] ?? '');
  if (!FUNCTIONS.includes(name)) return fault('function', name);
  const inside = text
    .slice(text.indexOf('(') + 1)
    .replace(/\)?$/, '')
    .trim();
  const commas = inside.replace(/\s*,\s*/g, ', ').replace(/\s+/g, ' ');
  const spaces = commas.replace(/,/g, '').replace(/\s*\/\s*/g, ' / ');
  const [form, legacy] = [`${name.replace(/a$/, '')}(${spaces})`, `${name}(${commas})`];
  const parts = spaces.split(' ').filter((part) => part !== '/');
  const modern =
    parts.length === 4 && !form.includes('/')
      ? `${name.replace(/a$/, '')}(${parts.slice(0, 3).join(' ')} / ${parts[3]})`
      : form;
  for (const one of [modern, legacy]) if (parse(one) !== undefined) return read(one);
  return fault('numbers', name.replace(/a$/, ''));
}

/** Something that the package reads, as `#rrggbb`. */
function read(text: string): Result<ReadColour, ColourFault> {
  const parsed = parse(text);
  if (parsed === undefined) return fault('name', text);
  const isShown = displayable(parsed);
  const color = formatHex(isShown ? parsed : clampChroma(parsed, 'oklch'));
  const { alpha = 1 } = parsed;
  if (alpha >= 1) return ok({ color, note: isShown ? null : 'out-of-reach' });
  const onWhite = channels(color).map((value) => hexByte(255 + (value - 255) * alpha));
  return ok({ color: `#${onWhite.join('')}`, note: 'see-through' });
}

/** A name that differs in at most two letters; null: none, or several different ones. */
function nearestName(text: string): string | null {
  if (text.length < 3 || text.length > 24) return null;
  const near = Object.keys(colorsNamed)
    .map((name) => ({ name, far: distance(name, text) }))
    .filter(({ far }) => far <= 2)
    .sort((a, b) => a.far - b.far);
  return near[0]?.name ?? null;
}

/** Letters to add, drop, change or swap (Damerau, 1964; each place touched once). */
function distance(a: string, b: string): number {
  const rows = [Array.from({ length: b.length + 1 }, (_, at) => at)];
  const at = (row: number, to: number): number => rows[row]?.[to] ?? 0;
  for (let row = 1; row <= a.length; row++) {
    const next = [row];
    rows.push(next);
    for (let to = 1; to <= b.length; to++) {
      const isSwap = row > 1 && to > 1 && a[row - 1] === b[to - 2] && a[row - 2] === b[to - 1];
      const changed = at(row - 1, to - 1) + (a[row - 1] === b[to - 1] ? 0 : 1);
      next.push(
        Math.min(
          at(row - 1, to) + 1,
          at(row, to - 1) + 1,
          changed,
          isSwap ? at(row - 2, to - 2) + 1 : Infinity,
        ),
      );
    }
  }
  return at(a.length, b.length);
}

function fault(code: ColourFault['code'], detail: string): Result<ReadColour, ColourFault> {
  return fail({ code, detail });
}
