import type { WireRule } from '../wire/design-file';
import type { Address } from './address';
import { finds } from './automaton';
import type { Automaton } from '../wire/automaton';

/** Whether one published rule takes an address ([P8]–[P12]). An unknown kind takes none ([D4]). */
export function ruleTakes([kind, part, operand, ignoresCase]: WireRule, address: Address): boolean {
  const isFolded = ignoresCase || part === 'host';
  const seen = isFolded ? lowered(partOf(address, part)) : partOf(address, part);
  if (typeof operand !== 'string') return takesFound(operand, seen);
  const wanted = isFolded ? lowered(operand) : operand;
  switch (kind) {
    case 'exact':
      return seen === wanted;
    case 'begins-with':
      return seen.startsWith(wanted) || isBareParent(seen, wanted);
    case 'contains':
      return seen.includes(wanted);
    case 'ends-with':
      return seen.endsWith(wanted);
    case 'wildcard':
    case 'expression':
      return false; // a pattern without its automaton
    default:
      return takesUnknown(kind);
  }
}

/** [D4] A rule of a kind that a later program knows takes nothing. */
function takesUnknown(_kind: never): boolean {
  return false;
}

/** A pattern that cannot be read counts as one that takes nothing ([D4]). */
function takesFound(automaton: Automaton, seen: string): boolean {
  return Array.isArray(automaton) && finds(automaton, seen);
}

/** [P13] Which rule decided: the first `never` that holds, else the first `show`; -1 for the empty list. */
export type PageVerdict =
  | { readonly accepts: true; readonly rule: number }
  | { readonly accepts: false; readonly rule: number | null };

/** [P13] Judges an address by a widget's two lists. `rule` is the place in the list that decided, null: none of it held. */
export function judgePage(
  show: readonly WireRule[],
  never: readonly WireRule[],
  address: Address,
): PageVerdict {
  const forbidding = never.findIndex((rule) => ruleTakes(rule, address));
  if (forbidding >= 0) return { accepts: false, rule: forbidding };
  if (show.length === 0) return { accepts: true, rule: -1 };
  const showing = show.findIndex((rule) => ruleTakes(rule, address));
  return showing >= 0 ? { accepts: true, rule: showing } : { accepts: false, rule: null };
}

function partOf(address: Address, part: WireRule[1]): string {
  if (part === 'query') {
    const at = address.whole.indexOf('?');
    return at < 0 ? '' : address.whole.slice(at + 1);
  }
  return address[part];
}

/** [P9] *begins with* `/groups/` takes `/groups` too: the page that stands for the folder. */
function isBareParent(seen: string, wanted: string): boolean {
  return seen !== '' && wanted.length - seen.length === 1 && wanted === `${seen}/`;
}

/** [P8] A–Z only; no locale has a say. */
export function lowered(text: string): string {
  return text.replace(/[A-Z]/g, (character) => character.toLowerCase());
}
