/** So long the lock is kept after painting: what was written reaches the storage of other tabs a moment later. */
const SPREAD_MS = 250;

/**
 * [I12] Runs `paint` in one tab at a time: under the browser's lock, or, on pages without locks, after a claim that is
 * read back in the next task.
 */
export function claimed(name: string, paint: () => void, isMine: () => boolean): Promise<void> {
  const { locks } = navigator as { locks?: LockManager };
  if (locks === undefined) return pause(0).then(() => (isMine() ? paint() : undefined));
  return new Promise((resolve, reject) => {
    void locks
      .request(name, () => {
        paint();
        resolve();
        return pause(SPREAD_MS);
      })
      .catch(reject);
  });
}

export function pause(ms: number): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, ms));
}
