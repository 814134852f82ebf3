/** An id for a change or a message made here: sending it twice counts once. */
export function newClientId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(24));
  return Array.from(bytes, (byte) => 'abcdefghijklmnopqrstuvwxyz234567'[byte & 31]).join('');
}
