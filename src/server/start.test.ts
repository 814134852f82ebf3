import { existsSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { readEnv } from './env';
import { hashOf, newId, newSecret, newSiteKey } from './ids';
import { LockedError, takeLock } from './lock';

const env = (change: Record<string, string>) => readEnv({ NODE_ENV: 'production', ...change });

describe('the environment', () => {
  it('takes an origin out of PUBLIC_URL, and refuses what is none in a sentence', () => {
    expect(env({ PUBLIC_URL: 'https://porch.example/app/' }).publicUrl).toBe('https://porch.example');
    expect(env({}).publicUrl).toBeNull();
    expect(() => env({ PUBLIC_URL: 'porch.example' })).toThrow(/PUBLIC_URL must be an http or https address/);
    expect(() => env({ PUBLIC_URL: 'ftp://porch.example' })).toThrow(/PUBLIC_URL/);
  });

  it('takes a port from 0 to 65535', () => {
    expect([env({}).port, env({ PORT: '0' }).port]).toEqual([4310, 0]);
    for (const port of ['x', '-1', '65536', '80.5'])
      expect(() => env({ PORT: port })).toThrow(/PORT must be a number/);
  });
});

describe('the lock', () => {
  it('is held by one process, named to the next, and taken over from one that is gone', () => {
    const dir = mkdtempSync(join(tmpdir(), 'porch-lock-'));
    writeFileSync(join(dir, 'lock'), '1');
    expect(() => takeLock(dir)).toThrow(LockedError);
    expect(() => takeLock(dir)).toThrow(/process 1,/);
    writeFileSync(join(dir, 'lock'), '4194303');
    const letGo = takeLock(dir);
    expect(readFileSync(join(dir, 'lock'), 'utf8')).toBe(String(process.pid));
    letGo();
    expect(existsSync(join(dir, 'lock'))).toBe(false);
  });
});

describe('ids', () => {
  it('sort by time, also across a change of length, and are of characters that cannot be mistaken', () => {
    const times = [1, 31, 32, 1023, 1024, 1_795_640_400_000, 2 ** 47];
    const ids = times.map((at) => newId(at));
    expect([...ids].sort()).toEqual(ids);
    for (const id of ids) expect(id).toMatch(/^[0-9a-hjkmnp-tv-z]{26}$/);
    expect(newSiteKey()).toMatch(/^[0-9a-hjkmnp-tv-z]{12}$/);
  });

  it('a secret is 43 characters and its hash is not it', () => {
    const secret = newSecret();
    expect([secret.length, hashOf(secret).length, hashOf(secret).includes(secret)]).toEqual([43, 64, false]);
  });
});
