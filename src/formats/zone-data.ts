import type { ZoneOffsets } from '../core/hours/zone';
import { type EpochMs, MINUTE_MS } from '../core/model/units';

/** The packed IANA data of moment-timezone (`data/packed/latest.json`); only the data is used ([H16]). */
export interface PackedZones {
  readonly version: string;
  /** `name|abbreviations|offsets|indices|differences of the changes|population`, numbers in base 60. */
  readonly zones: readonly string[];
  /** `name|other name`. */
  readonly links: readonly string[];
}

/** Every zone by name, with links followed. */
export interface ZoneTable {
  readonly version: string;
  readonly names: readonly string[];
  /** Offsets that hold between two instants; null for a name nobody knows. */
  offsetsOf(name: string, from: EpochMs, until: EpochMs): ZoneOffsets | null;
}

/** Reads the packed data; each zone is unpacked when it is asked for. */
export function readZones(packed: PackedZones): ZoneTable {
  const lines = new Map(packed.zones.map((line) => [line.slice(0, line.indexOf('|')), line]));
  for (const link of packed.links) {
    const [a = '', b = ''] = link.split('|');
    const line = lines.get(a) ?? lines.get(b);
    if (line !== undefined) lines.set(a, line).set(b, line);
  }
  return {
    version: packed.version,
    names: [...lines.keys()].sort(),
    offsetsOf: (name, from, until) => {
      const line = lines.get(name);
      return line === undefined ? null : cut(unpack(line), from, until);
    },
  };
}

interface Change {
  /** Minutes since 1970; -Infinity for the first. */
  readonly at: number;
  /** Minutes east of UTC from then on. */
  readonly offset: number;
}

function unpack(line: string): Change[] {
  const [, , offsets = '', indices = '', differences = ''] = line.split('|');
  const values = offsets.split(' ').map((text) => 0 - fromBase60(text));
  let at = 0;
  const changes = differences === '' ? [] : differences.split(' ').map((text) => (at += fromBase60(text)));
  return [...indices].map((index, place) => ({
    at: place === 0 ? -Infinity : (changes[place - 1] ?? 0),
    offset: values[digitOf(index)] ?? 0,
  }));
}

/** Digits 0–9, a–z, A–X; a point before sixtieths (that package's format). */
function fromBase60(text: string): number {
  const sign = text.startsWith('-') ? -1 : 1;
  const [whole = '', part = ''] = text.replace('-', '').split('.');
  let value = 0;
  for (const digit of whole) value = value * 60 + digitOf(digit);
  let weight = 1;
  for (const digit of part) value += digitOf(digit) * (weight /= 60);
  return sign * value;
}

function digitOf(sign: string): number {
  const code = sign.charCodeAt(0);
  if (code > 96) return code - 87;
  return code > 64 ? code - 29 : code - 48;
}

/** What holds from an instant on until another, as it travels; changes that change nothing are left out. */
function cut(changes: readonly Change[], from: EpochMs, until: EpochMs): ZoneOffsets {
  const [begins, ends] = [Math.floor(from / MINUTE_MS), Math.ceil(until / MINUTE_MS)];
  const held = changes.filter(({ at }) => at <= begins).at(-1);
  const kept = [
    { at: begins, offset: held?.offset ?? 0 },
    ...changes.filter(({ at }) => begins < at && at < ends),
  ].map(({ at, offset }) => ({
    at: Math.round(at),
    offset: Math.round(offset),
  }));
  const real = kept.filter(({ offset }, index) => index === 0 || offset !== kept[index - 1]?.offset);
  return real.flatMap(({ at, offset }, index) => [at - (real[index - 1]?.at ?? 0), offset]);
}
