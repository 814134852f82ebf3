/** What a pure function made of a text, kept for the last `most` texts: the same text is asked for with every change of a draft. */
export function remembering<T>(most: number): (text: string, make: () => T) => T {
  const known = new Map<string, T>();
  return (text, make) => {
    const found = known.get(text);
    if (found !== undefined) return found;
    const made = make();
    known.set(text, made);
    if (known.size > most) known.delete(known.keys().next().value ?? text);
    return made;
  };
}
