/** The first letters of the first and of the last word of a name; whole letters, whatever the script. */
export function initialsOf(name: string): string {
  const words = name.trim().split(/\s+/);
  const first = (word = ''): string => [...word][0]?.toUpperCase() ?? '';
  return words.length < 2 ? first(words[0]) : first(words[0]) + first(words.at(-1));
}
