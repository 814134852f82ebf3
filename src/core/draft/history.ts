/** What a change in the log was: something new, or a step back or forth over earlier ones. */
export interface LoggedChange {
  readonly revision: number;
  readonly kind: 'change' | 'undo' | 'redo';
}

export interface Steps {
  /** Revision of the change that undo would take back; null: none. */
  readonly undo: number | null;
  /** Revision of the change that redo would bring again; null: none. */
  readonly redo: number | null;
}

/** Walks the log, oldest first: a new change forgets what could have been redone. */
export function stepsOf(log: readonly LoggedChange[]): Steps {
  const done: number[] = [];
  const undone: number[] = [];
  for (const { revision, kind } of log) {
    if (kind === 'undo') push(undone, done.pop());
    else if (kind === 'redo') push(done, undone.pop());
    else {
      done.push(revision);
      undone.length = 0;
    }
  }
  return { undo: done.at(-1) ?? null, redo: undone.at(-1) ?? null };
}

function push(list: number[], revision: number | undefined): void {
  if (revision !== undefined) list.push(revision);
}
