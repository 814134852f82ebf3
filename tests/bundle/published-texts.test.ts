import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import { beforeAll, describe, expect, it } from 'vitest';
import type { DesignFileV1 } from '../../src/core/wire/design-file';
import { type WindowFileV1, joinDesign } from '../../src/core/wire/split';
import { splitDesign } from '../../src/core/publish/split-design';
import { NOT_PUBLISHED, TEXT_KEYS } from '../../src/core/words/catalogue';
import { fillDemo } from '../../src/demo/fill';
import { makeTestServer } from '../made/test-server';

const KB = 1024;
const size = (value: unknown) => gzipSync(Buffer.from(JSON.stringify(value)), { level: 9 }).length;

/** Everything that may say a text to a visitor. */
const SPEAKERS = ['src/widget', 'src/core/decide', 'src/core/forms', 'src/core/context', 'src/core/model'];
const SPOKEN = SPEAKERS.flatMap((dir) =>
  readdirSync(dir, { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.tsx?$/.test(name) && !/\.test\.|text-keys/.test(name))
    .map((name) => readFileSync(join(dir, name), 'utf8')),
).join('\n');

describe('texts that are published', () => {
  it('are those that something says, and no others', () => {
    const said = TEXT_KEYS.filter((key) => SPOKEN.includes(`'${key}'`) || SPOKEN.includes(`"${key}"`));
    const published = TEXT_KEYS.filter((key) => !NOT_PUBLISHED.has(key));
    expect(published.filter((key) => !said.includes(key))).toEqual([]);
    // What an invitation may say is published as the invitation's own words.
    const hidden = said.filter((key) => NOT_PUBLISHED.has(key) && !key.startsWith('invitation.'));
    expect(hidden).toEqual([]);
  });
});

describe('the demo’s own files', () => {
  const designs: DesignFileV1[] = [];
  beforeAll(async () => {
    const { state, db } = await makeTestServer();
    await fillDemo(state, 'http://localhost:4320');
    const rows = await db.selectFrom('published_file').selectAll().where('kind', '=', 'design').execute();
    const bodies = new Map(
      rows.map(({ name, body }) => [name, JSON.parse(gunzipSync(body).toString()) as unknown]),
    );
    const newest = Math.max(...rows.map((row) => row.version_number ?? 0));
    for (const { name, version_number } of rows) {
      if (version_number !== newest || name.endsWith('.room.json')) continue;
      const door = bodies.get(name) as DesignFileV1;
      const room = bodies.get(name.replace(/\.json$/, '.room.json')) as WindowFileV1 | undefined;
      designs.push(room === undefined ? door : joinDesign(door, room));
    }
  }, 60_000);

  it('in every language a widget is at most 2.5 KB for the launcher and 3.5 KB for the window', () => {
    expect(designs.map(({ locale }) => locale).sort()).toEqual(['ar', 'de', 'en', 'pt']);
    for (const design of designs)
      for (const widget of design.widgets) {
        const { door, room } = splitDesign({ ...design, widgets: [widget] });
        const name = `${design.locale} ${widget.key}`;
        expect(size(door), `${name}, launcher`).toBeLessThanOrEqual(2.5 * KB);
        expect(size(room), `${name}, window`).toBeLessThanOrEqual(3.5 * KB);
      }
  });
});
