import { mkdirSync, mkdtempSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { makeTestServer, visitorAnswer } from '../../../tests/made/test-server';
import { keepGuest, keptGuestDir } from './kept-guest';

const HOUR = 3_600_000;
const nameOf = (part: string, build: number): string => `${part}-${String(build).padStart(16, '0')}.js`;

/** A program built anew: other parts, in a folder of its own. */
function built(build: number): string {
  const dir = mkdtempSync(join(tmpdir(), 'porch-built-'));
  for (const part of ['panel', 'watch']) {
    writeFileSync(join(dir, `${nameOf(part, build)}.gz`), gzipSync(`/* ${part} ${build} */`));
    writeFileSync(join(dir, `${nameOf(part, build)}.br`), 'not asked for');
  }
  writeFileSync(join(dir, 'porch.js.gz'), gzipSync('/* porch */'));
  return dir;
}

describe('[L9] parts of the guest from programs before this one', () => {
  it('are served to pages that were opened before an upgrade', async () => {
    const { state } = await makeTestServer();
    const ask = async (name: string) => {
      const answer = await visitorAnswer(state, new Request(`http://127.0.0.1/w/${name}`));
      return answer.status === 200 ? answer.text() : answer.status;
    };
    expect(await ask(nameOf('panel', 1))).toBe(404);
    keepGuest(built(1), state.env.dataDir, HOUR);
    keepGuest(built(2), state.env.dataDir, 2 * HOUR);
    expect(await ask(nameOf('panel', 1))).toBe('/* panel 1 */');
    expect(await ask(nameOf('watch', 2))).toBe('/* watch 2 */');
  });

  it('nothing but those parts is served from there', async () => {
    const { state } = await makeTestServer();
    const dir = keptGuestDir(state.env.dataDir);
    mkdirSync(dir, { recursive: true });
    for (const name of ['secret.js', 'panel-.js', 'porch.js.js'])
      writeFileSync(join(dir, `${name}.gz`), gzipSync('x'));
    for (const name of ['secret.js', 'panel-.js', 'porch.js.js', '..%2fsunny-porch.db'])
      expect((await visitorAnswer(state, new Request(`http://127.0.0.1/w/${name}`))).status, name).toBe(404);
  });

  it('the last ten that were used stay, of each part; one that is used again is young again', () => {
    const data = mkdtempSync(join(tmpdir(), 'porch-data-'));
    const first = built(1);
    keepGuest(first, data, HOUR);
    for (let build = 2; build <= 11; build++) keepGuest(built(build), data, build * HOUR);
    const kept = () => readdirSync(keptGuestDir(data));
    expect(kept()).toHaveLength(10 * 2 * 2);
    expect(kept().filter((name) => name.startsWith(nameOf('panel', 1)))).toEqual([]);
    keepGuest(first, data, 12 * HOUR);
    keepGuest(built(12), data, 13 * HOUR);
    expect(kept()).toContain(`${nameOf('panel', 1)}.gz`);
    expect(kept().filter((name) => /0{14}0[23]\.js/.test(name))).toEqual([]);
  });
});
