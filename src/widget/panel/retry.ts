/** How long to wait before the next try, in ms; the last one again and again. */
export const RETRY_MS = [1000, 2000, 4000, 8000, 15000, 30000] as const;

export function pause(ms: number): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, ms));
}
