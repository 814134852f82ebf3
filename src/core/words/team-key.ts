/** What links ask for a team by: its name in small letters and hyphens, unlike those that are there. */
export function teamKey(name: string, taken: readonly string[]): string {
  const plain = name
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, ' ')
    .trim()
    .replace(/ /g, '-')
    .slice(0, 40);
  const own = plain === '' ? 'team' : plain;
  for (let number = 2, key = own; ; key = `${own}-${number++}`) if (!taken.includes(key)) return key;
}
