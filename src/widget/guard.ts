const WRONG = 'Something went wrong.';

/** One line in the console, for whoever looks after the page. */
export function warn(text: string): void {
  console.warn(`Sunny Porch: ${text}`);
}

/** All errors stay inside: the page's own scripts never see a throw. */
export function guarded<T extends unknown[]>(call: (...values: T) => void): (...values: T) => void {
  return (...values) => {
    try {
      call(...values);
    } catch {
      warn(WRONG); // the page goes on; its console says that something of ours broke
    }
  };
}

/** What fails in the background is said once in the console, and never thrown at the page. */
export function inBackground(work: Promise<unknown>): void {
  work.catch(() => warn(WRONG));
}
