import { gzipSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { checkReplies } from '../../src/core/forms/check';
import { FIELD_KINDS, type Replies } from '../../src/core/model/form';
import type { WireField } from '../../src/core/wire/form-file';
import { insertFile } from '../../src/server/db/repositories/publications';
import { NoteInput } from '../../src/server/input/visitor.input';
import { parseInput } from '../../src/server/input/parse-input';
import { noteFaults } from '../../src/server/usecases/note-form';
import { type Dice, diceOf } from '../made/dice';
import { madeHouse, madePorch } from '../made/house';
import { EVENING, madeSite } from '../made/site';

const SEED = 20_261_126;
const TEXTS = [
  '',
  ' ',
  'yes',
  'no',
  'a',
  'b',
  'c',
  'Ana',
  'a@b.example',
  'a@b',
  '12',
  '-3,5',
  '2026-12-24',
  '2026-02-30',
  '+351 292 202 020',
  'x'.repeat(90),
  'x'.repeat(4001),
];

function anyFields(dice: Dice): WireField[] {
  return Array.from({ length: dice.int(1, 8) }, (_, place): WireField => {
    const kind = dice.pick(FIELD_KINDS);
    return {
      id: `0000000${place}`,
      kind,
      isRequired: dice.flip(0.4),
      ...(dice.flip(0.3) ? { least: dice.int(0, 5) } : {}),
      ...(dice.flip(0.3) ? { most: dice.int(3, 60) } : {}),
      ...(kind === 'choice' || kind === 'choices' ? { options: [['a', 'A'] as const, ['b', 'B'] as const] } : {}),
      ...(place > 0 && dice.flip(0.3) ? { shownIf: [`0000000${dice.int(0, place)}`, dice.pick(['yes', 'a'])] as const } : {}),
    };
  });
}

describe('forms', () => {
  it('[L10] whatever validates in the widget validates on the server, and the reverse, with the same messages, by the design it was given under', async () => {
    const house = await madeHouse();
    const { siteId } = await madePorch(house, 'farrowisle');
    const published = madeSite().design;
    let [fits, fails] = [0, 0];
    for (let turn = 0; turn < 40; turn++) {
      const dice = diceOf(SEED + turn);
      const fields = anyFields(dice);
      const widgets = published.widgets.map((widget) => ({ ...widget, forms: { before: [], note: fields } }));
      const design = `d${turn + 50}-0123456789abcdef`;
      const body = gzipSync(JSON.stringify({ ...published, widgets }));
      await insertFile(
        house.db,
        siteId,
        { name: `${design}.en.json`, kind: 'design', versionNumber: null, factsRevision: null, body },
        EVENING,
      );
      for (let filled = 0; filled < 25; filled++) {
        const replies: Replies = Object.fromEntries(
          fields.filter(() => dice.flip(0.85)).map(({ id }) => [id, dice.flip(0.15) ? dice.some(['a', 'b', 'c'], 3) : dice.pick(TEXTS)]),
        );
        const words = fields.find(({ kind }) => kind === 'long');
        const draft = words === undefined ? 'said' : String(replies[words.id] ?? '');
        const own = checkReplies(fields, words === undefined ? replies : { ...replies, [words.id]: draft }, []);
        const textOf = (kind: WireField['kind']) => String(own.replies[fields.find((one) => one.kind === kind)?.id ?? ''] ?? '');
        const sent = {
          clientId: 'a'.repeat(20),
          body: draft,
          page: 'https://farrowisle.example/',
          design,
          locale: 'en',
          widget: 'everywhere',
          mail: textOf('email'),
          name: '',
          replies: own.replies,
        };
        const parsed = parseInput(NoteInput, sent);
        const theirs = parsed.ok ? await noteFaults(house, siteId, parsed.value, false) : null;
        if (Object.keys(own.faults).length === 0) {
          fits++;
          expect(parsed.ok && theirs, `seed ${SEED + turn}`).toEqual({});
        } else {
          fails++;
          // The same replies, sent by somebody who skipped the widget's own check, meet the same messages.
          const forced = parseInput(NoteInput, { ...sent, mail: '', replies });
          if (forced.ok) expect(await noteFaults(house, siteId, forced.value, false), `seed ${SEED + turn}`).toEqual(own.faults);
        }
      }
    }
    expect(Math.min(fits, fails)).toBeGreaterThan(50);
  });
});
