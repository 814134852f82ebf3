/** The browser to start; null: neither is installed. */
export function findBrowser(): string | null;
