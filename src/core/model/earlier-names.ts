/** What the first program called parts of a design, and what they are called now. */
const RENAMED: Readonly<Record<string, string>> = { deeds: 'behaviours', manner: 'approach' };

/**
 * A design as a file of an earlier program has it, under today's names; whatever else it is, it comes back as it is.
 * Stored designs were renamed by a migration of the database, so only files need this.
 */
export function withTodaysNames(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(withTodaysNames);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([name, inner]) => [todaysName(name, value), withTodaysNames(inner)]),
  );
}

/** `ours` was the drawing of an icon, where it stood alone, and the text of ours that an invitation says. */
function todaysName(name: string, inside: object): string {
  if (name !== 'ours') return RENAMED[name] ?? name;
  return Object.keys(inside).length === 1 ? 'drawing' : 'defaultText';
}
