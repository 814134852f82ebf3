/** An id for what was written here: 26 signs from `getRandomValues`, which plain-http pages have too. */
export function newEntryId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(26));
  return Array.from(bytes, (byte) => 'abcdefghijklmnopqrstuvwxyz234567'[byte & 31]).join('');
}

/** A secret of 32 random bytes, base64url without padding: 43 signs. */
export function newVisitorToken(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(32));
  return btoa(String.fromCharCode(...bytes))
    .replace(/\+/g, '-')
    .replace(/\//g, '_')
    .replace(/=/g, '');
}
