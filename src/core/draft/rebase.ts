import { type Patch, isJsonObject, type PatchPath, type Json } from '../model/json';
import { valueAt } from './patch';

/** A place that two people have changed, each in a way of their own. */
export interface Clash {
  /** In the newer document. */
  readonly path: PatchPath;
  /** Undefined: taken away. */
  readonly mine: Json | undefined;
  readonly theirs: Json | undefined;
}

export interface Rebased {
  /** To be applied to the newer document. */
  readonly patches: readonly Patch[];
  readonly clashes: readonly Clash[];
  /** Some of it was about something that is not there any more. */
  readonly isLost: boolean;
}

/**
 * Changes made to a document, as changes of a newer one. What stands in a list is found again by its `id`, wherever it
 * stands now; what is put behind a list's end goes behind its new end. A place that has changed in both ways is a clash:
 * it stays as it is in the newer one until somebody chooses.
 */
export function rebase(patches: readonly Patch[], older: Json, newer: Json): Rebased {
  const kept: Patch[] = [];
  const clashes: Clash[] = [];
  let isLost = false;
  for (const patch of patches) {
    const path = movedPath(patch.path, older, newer);
    if (path === null) {
      isLost = true;
      continue;
    }
    const before = valueAt(older, patch.path);
    const now = valueAt(newer, path);
    const mine = patch.op === 'set' ? patch.value : undefined;
    if (isSame(before, now)) kept.push({ ...patch, path });
    else if (before === undefined && isJsonObject(mine) && isJsonObject(now)) {
      // Both gave a language its first words: each text counts by itself.
      for (const [name, value] of Object.entries(mine)) {
        const there = Object.hasOwn(now, name) ? now[name] : undefined;
        if (there === undefined) kept.push({ op: 'set', path: [...path, name], value });
        else if (!isSame(there, value)) clashes.push({ path: [...path, name], mine: value, theirs: there });
      }
    } else if (!isSame(mine, now)) clashes.push({ path, mine, theirs: now });
  }
  return { patches: kept, clashes, isLost };
}

/** The same place in the newer document; null: it is not there any more. */
export function movedPath(path: PatchPath, older: Json, newer: Json): PatchPath | null {
  const moved: (string | number)[] = [];
  let [old, now]: [Json | undefined, Json | undefined] = [older, newer];
  for (const name of path) {
    if (!Array.isArray(old) || !Array.isArray(now) || typeof name !== 'number') moved.push(name);
    else if (name === old.length) moved.push(now.length);
    else {
      const id = idOf(old[name] as Json | undefined);
      const same = name < now.length ? name : -1;
      const at = id === undefined ? same : now.findIndex((one: Json) => idOf(one) === id);
      if (at < 0) return null;
      moved.push(at);
    }
    old = old === undefined ? undefined : valueAt(old, [name]);
    now = now === undefined ? undefined : valueAt(now, moved.slice(-1));
  }
  return moved;
}

function idOf(value: Json | undefined): Json | undefined {
  return isJsonObject(value) && Object.hasOwn(value, 'id') ? value['id'] : undefined;
}

function isSame(a: Json | undefined, b: Json | undefined): boolean {
  return a === b || JSON.stringify(a) === JSON.stringify(b);
}
