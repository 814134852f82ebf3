/** What a change in the log was: something new, or a step back or forth over earlier ones. */
export interface LoggedChange {
  readonly revision: number;
  readonly kind: 'change' | 'undo' | 'redo';
}

export interface Steps {
  /** Revisions of changes that are in the draft, oldest first: undo takes the last one back. */
  readonly done: readonly number[];
  /** Revisions of changes that were taken back: redo brings the last one again. */
  readonly undone: readonly number[];
}

/** Walks a log, oldest first: a new change forgets what could have been redone. */
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
  return { done, undone };
}

function push(list: number[], revision: number | undefined): void {
  if (revision !== undefined) list.push(revision);
}
