/** Remembers what a pure function made of an object, for as long as the object lives. */
export function memoByObject<K extends object, V>(make: (key: K) => V): (key: K) => V {
  const known = new WeakMap<K, V>();
  return (key) => {
    const found = known.get(key);
    if (found !== undefined) return found;
    const made = make(key);
    known.set(key, made);
    return made;
  };
}

/** Remembers what a pure function made of the last `most` keys; the oldest is forgotten first. */
export function memoByKey<K extends string | number, V>(most: number, make: (key: K) => V): (key: K) => V {
  const known = new Map<K, V>();
  return (key) => {
    const found = known.get(key);
    if (found !== undefined) return found;
    const made = make(key);
    known.set(key, made);
    if (known.size > most) known.delete(known.keys().next().value ?? key);
    return made;
  };
}
