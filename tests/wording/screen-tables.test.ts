import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';

const FOLDER = 'src/ui/wording/screens';
/** The same letters for different things: a heading and a card, a group and a button, a page and a switch, a time and a mark. */
const HOMONYMS: readonly string[] = ['Settings', 'Done', 'On', 'Now', 'now'];

interface Entry {
  /** As a component writes it: `TODAY_WORDS.answer`. */
  readonly name: string;
  readonly words: unknown;
}

describe('the tables of screens', () => {
  let entries: readonly Entry[] = [];
  beforeAll(async () => {
    const files = readdirSync(FOLDER).map((name) => `../../${FOLDER}/${name}`);
    const tables = await Promise.all(
      files.map((file) => import(file) as Promise<Record<string, Record<string, unknown>>>),
    );
    entries = tables.flatMap((file) =>
      Object.entries(file).flatMap(([table, words]) =>
        Object.entries(words).map(([key, one]) => ({ name: `${table}.${key}`, words: one })),
      ),
    );
  });

  it('hold nothing that no screen says', () => {
    const sources = ['src/ui', 'src/app'].flatMap((room) =>
      readdirSync(room, { recursive: true, encoding: 'utf8' })
        .filter((name) => /\.tsx?$/.test(name) && !name.includes('wording/screens'))
        .map((name) => readFileSync(join(room, name), 'utf8')),
    );
    const said = new Set(sources.join('\n').match(/\b[A-Z_]+_WORDS\.\w+/g));
    expect(entries.length).toBeGreaterThan(500);
    expect(entries.map(({ name }) => name).filter((name) => !said.has(name))).toEqual([]);
  });

  it('say the same thing in one place: what two screens say is shared', () => {
    const places = new Map<unknown, string[]>();
    for (const { name, words } of entries)
      if (typeof words === 'string' && !HOMONYMS.includes(words))
        places.set(words, [...(places.get(words) ?? []), name]);
    expect([...places.values()].filter(({ length }) => length > 1)).toEqual([]);
  });
});
