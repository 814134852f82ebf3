import { gzipSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { SENDS_LETTERS } from '../../src/server/facts/letters';
import { askedFields } from '../../src/core/forms/fill';
import { checkReplies } from '../../src/core/forms/check';
import { FORMS } from '../../src/core/model/form';
import { FIELD_KINDS, type Replies } from '../../src/core/model/form';
import type { WireField } from '../../src/core/wire/form-file';
import { insertFile } from '../../src/server/designs/publications.repository';
import { AfterInput, MessageInput, NoteInput } from '../../src/server/input/visitor.input';
import { parseInput } from '../../src/server/input/parse-input';
import { checkForm } from '../../src/server/conversations/forms';
import { type Dice, diceOf } from '../made/dice';
import { makeTestServer, madePorch } from '../made/test-server';
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
      ...(kind === 'choice' || kind === 'choices'
        ? { options: [['a', 'A'] as const, ['b', 'B'] as const] }
        : {}),
      ...(place > 0 && dice.flip(0.3)
        ? { shownIf: [`0000000${dice.int(0, place)}`, dice.pick(['yes', 'a'])] as const }
        : {}),
    };
  });
}

describe('forms', () => {
  it('[L10] whatever validates in the widget validates on the server, and the reverse, with the same messages, by the design it was given under', async () => {
    const testServer = await makeTestServer();
    const { siteId } = await madePorch(testServer, 'farrowisle');
    const published = madeSite().design;
    let [fits, fails] = [0, 0];
    for (let turn = 0; turn < 40; turn++) {
      const dice = diceOf(SEED + turn);
      const fields = anyFields(dice);
      const widgets = published.widgets.map((widget) => ({
        ...widget,
        forms: { before: fields, note: fields, after: fields },
      }));
      const design = `d${turn + 50}-0123456789abcdef`;
      const body = gzipSync(JSON.stringify({ ...published, widgets }));
      await insertFile(
        testServer.db,
        siteId,
        { name: `${design}.en.json`, kind: 'design', versionNumber: null, factsRevision: null, body },
        EVENING,
      );
      for (let filled = 0; filled < 25; filled++) {
        const place = dice.pick(FORMS);
        const replies: Replies = Object.fromEntries(
          fields
            .filter(() => dice.flip(0.85))
            .map(({ id }) => [id, dice.flip(0.15) ? dice.some(['a', 'b', 'c'], 3) : dice.pick(TEXTS)]),
        );
        const words = place === 'note' ? fields.find(({ kind }) => kind === 'long') : undefined;
        const draft = words === undefined ? 'said' : String(replies[words.id] ?? '');
        const own = checkReplies(
          askedFields(fields, { hasSaid: false, sendsLetters: SENDS_LETTERS }),
          words === undefined ? replies : { ...replies, [words.id]: draft },
          [],
        );
        const textOf = (kind: WireField['kind']) =>
          String(own.replies[fields.find((one) => one.kind === kind)?.id ?? ''] ?? '');
        const under = { clientId: 'a'.repeat(20), design, locale: 'en', widget: 'main' };
        const faultsOf = async (given: Replies) => {
          const isTidy = given === own.replies;
          const mail = isTidy ? textOf('email') : '';
          const body = isTidy && words !== undefined ? String(own.replies[words.id] ?? '') : draft;
          const said = { ...under, body, page: 'https://farrowisle.example/' };
          const parsed =
            place === 'note'
              ? parseInput(NoteInput, { ...said, mail, name: '', replies: given })
              : place === 'before'
                ? parseInput(MessageInput, { ...said, replies: given })
                : parseInput(AfterInput, { ...under, replies: given });
          return parsed.ok ? (await checkForm(testServer, siteId, place, parsed.value)).faults : null;
        };
        if (Object.keys(own.faults).length === 0) {
          fits++;
          expect(await faultsOf(own.replies), `seed ${SEED + turn}, ${place}`).toEqual({});
        } else {
          fails++;
          // The same replies, sent by somebody who skipped the widget's own check, meet the same messages.
          const forced = await faultsOf(replies);
          if (forced !== null) expect(forced, `seed ${SEED + turn}, ${place}`).toEqual(own.faults);
        }
      }
    }
    expect(Math.min(fits, fails)).toBeGreaterThan(50);
  });
});
