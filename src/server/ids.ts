import { createHash, randomBytes } from 'node:crypto';
import type { EpochMs } from '../core/model/units';

const CHARACTERS = '0123456789abcdefghjkmnpqrstvwxyz';

/** 26 characters that sort by time: 48 bits of milliseconds, 80 random ones. Never a secret. */
export function newId(at: EpochMs): string {
  let time = '';
  for (let left = at, count = 0; count < 10; count++, left = Math.floor(left / 32))
    time = CHARACTERS[left % 32] + time;
  return time + Array.from(randomBytes(16), (byte) => CHARACTERS[byte % 32]).join('');
}

/** An id that sorts after another one, also where both are made in the same millisecond. */
export function newIdAfter(before: string | null, at: EpochMs): string {
  const id = newId(at);
  return before === null || id > before ? id : newId(timeOf(before) + 1);
}

function timeOf(id: string): EpochMs {
  return [...id.slice(0, 10)].reduce((time, character) => time * 32 + CHARACTERS.indexOf(character), 0);
}

/** A site's public key: 12 characters. */
export function newSiteKey(): string {
  return Array.from(randomBytes(12), (byte) => CHARACTERS[byte % 32]).join('');
}

/** 32 random bytes for a token or a session. Only its hash is stored. */
export function newSecret(): string {
  return randomBytes(32).toString('base64url');
}

/** SHA-256 of a secret, in hex. */
export function hashOf(secret: string): string {
  return createHash('sha256').update(secret).digest('hex');
}
