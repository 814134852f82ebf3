/** A tab's title with how many wait before it; 0 takes the number away. */
export function titleWith(title: string, waiting: number): string {
  const bare = title.replace(/^\(\d+\) /, '');
  return waiting === 0 ? bare : `(${waiting}) ${bare}`;
}

/** The tab's mark with how many wait, as an address; a tab has room for one figure, so that more than nine are nine and a plus. */
export function iconWith(waiting: number): string {
  const count = waiting > 9 ? '9+' : String(waiting);
  const size = count.length === 1 ? 23 : 17;
  return `data:image/svg+xml,${encodeURIComponent(
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 32 32"><rect width="32" height="32" rx="8" fill="#1F5B4A"/><path d="M14 6 25 12.4v2.5a2.8 2.8 0 0 1-5.5 0 2.8 2.8 0 0 1-5.5 0 2.8 2.8 0 0 1-5.5 0 2.8 2.8 0 0 1-5.5 0v-2.5z" fill="#FFFDF7"/><circle cx="18.5" cy="18.5" r="13.5" fill="#FFFDF7"/><circle cx="18.5" cy="18.5" r="12" fill="#8A2B0E"/><text x="18.5" y="26.5" text-anchor="middle" font-family="sans-serif" font-weight="700" font-size="${size}" fill="#FFFDF7">${count}</text></svg>`,
  )}`;
}
