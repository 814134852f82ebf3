/**
 * [I12] Runs `paint` in one tab at a time: under the browser's lock, or, on pages without locks, after a claim that is
 * read back in the next task.
 */
export function claimed(name: string, paint: () => void, isMine: () => boolean): Promise<void> {
  const { locks } = navigator as { locks?: LockManager };
  if (locks !== undefined) return locks.request(name, paint);
  return new Promise((resolve) =>
    setTimeout(() => {
      if (isMine()) paint();
      resolve();
    }),
  );
}
