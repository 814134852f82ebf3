import { existsSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { spawnSync } from 'node:child_process';
import { hostname, tmpdir } from 'node:os';
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
  it('is held by one process, which is named to the next with since when', () => {
    const dir = mkdtempSync(join(tmpdir(), 'porch-lock-'));
    const letGo = takeLock(dir, 0);
    expect(() => takeLock(dir, 1)).toThrow(LockedError);
    expect(() => takeLock(dir, 1)).toThrow(
      `process ${process.pid} on ${hostname()} since 1970-01-01T00:00:00.000Z`,
    );
    letGo();
    expect(existsSync(join(dir, 'lock'))).toBe(false);
    takeLock(dir, 2)();
  });

  it('goes by no process’s number: what a process that was killed has left keeps nobody out', () => {
    const dir = mkdtempSync(join(tmpdir(), 'porch-lock-'));
    writeFileSync(join(dir, 'lock'), 'process 1 on another computer since 1970-01-01T00:00:00.000Z');
    const hold = `const held = new (require('better-sqlite3'))(${JSON.stringify(join(dir, 'lock.db'))});
      held.pragma('locking_mode = EXCLUSIVE'); held.exec('BEGIN EXCLUSIVE'); held.pragma('user_version = 1');
      process.kill(process.pid, 'SIGKILL')`;
    expect(spawnSync(process.execPath, ['-e', hold]).signal).toBe('SIGKILL');
    const letGo = takeLock(dir, 0);
    expect(readFileSync(join(dir, 'lock'), 'utf8')).toContain(`process ${process.pid}`);
    letGo();
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
