import type { VisitorEntry } from '../../core/wire/talk';

/** Entries of both lists, each id once, in the order in which they were said. Law: merging in any order, any number of times, ends equal. */
export function mergeEntries(known: readonly VisitorEntry[], more: readonly VisitorEntry[]): VisitorEntry[] {
  const byId = new Map([...known, ...more].map((entry) => [entry.id, entry]));
  return [...byId.values()].sort((a, b) => a.id - b.id);
}
