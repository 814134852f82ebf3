import { AT_ONCE } from './publish';
import { describe, expect, it } from 'vitest';
import { diceOf } from '../../../tests/made/dice';
import { makeTestServer, madeMessage, madePorch } from '../../../tests/made/test-server';
import type { Patch } from '../../core/model/json';
import { publish } from '../../core/publish/publish';
import type { DesignFileV1 } from '../../core/wire/design-file';
import type { PointerV1 } from '../../core/wire/pointer';
import { type WindowFileV1, joinDesign } from '../../core/wire/split';
import type { CaseKey } from '../../core/model/text-keys';
import { OUR_TEXTS, entryOf, isCaseKey, textKeyOf } from '../../core/words/catalogue';
import { findDraft } from './drafts.repository';
import { newId, newSecret } from '../ids';

const read = async <T>(response: Response): Promise<T> => (await response.json()) as T;

describe('a design that is larger than a launcher should wait for', () => {
  it('is published in two files that are the whole again, and its forms are still checked by it ([L10])', async () => {
    const testServer = await makeTestServer();
    const porch = await madePorch(testServer, 'farrowisle');
    const before = await read<PointerV1>(await porch.visit('GET live.json'));
    expect((await porch.visit(`GET ${before.design}.en.room.json`)).status).toBe(404); // ours fits into one

    const dice = diceOf(20_261_126);
    const letters = (length: number) =>
      Array.from({ length }, () => 'abcdefghijklmnopqrstuvwxyz'[dice.int(0, 26)] ?? 'x').join('');
    const plain = Object.entries(OUR_TEXTS['en'] ?? {}).filter(
      ([key, text]) => isCaseKey(key) && !text.includes('{') && !key.includes('#'),
    );
    const texts = Object.fromEntries(
      plain.map(([key]) => [key, letters(entryOf(textKeyOf(key as CaseKey)).atMost)]),
    );
    const patches: Patch[] = [{ op: 'set', path: ['widgets', 0, 'texts', 'en'], value: texts }];
    expect(
      (await porch.desk('POST draft', { clientId: newId(1), base: 1, patches, label: 'words' })).status,
    ).toBe(200);
    expect((await porch.desk('POST publish', { revision: 2, remark: '', ...AT_ONCE })).status).toBe(200);

    const pointer = await read<PointerV1>(await porch.visit('GET live.json'));
    expect(pointer.locales).toEqual(['en']);
    const door = await read<DesignFileV1>(await porch.visit(`GET ${pointer.design}.en.json`));
    const room = await read<WindowFileV1>(await porch.visit(`GET ${pointer.design}.en.room.json`));
    const draft = await findDraft(testServer.db, porch.siteId);
    const whole = draft === null ? null : publish(draft.design, 2, 'en');
    expect(whole?.ok && joinDesign(door, room)).toEqual(whole?.ok && whole.value);
    expect(JSON.stringify(door)).not.toContain(texts['nobodyHome'] ?? texts['note.text']);

    const mailField =
      whole?.ok === true
        ? whole.value.widgets[0]?.forms.note.find(({ kind }) => kind === 'email')?.id
        : undefined;
    const note = {
      newToken: newSecret(),
      design: pointer.design,
      locale: 'en',
      widget: 'main',
      mail: '',
      name: '',
      replies: { [mailField ?? '']: 'no address' },
    };
    const answer = await porch.visit('POST notes', { body: madeMessage('Hello', note) });
    expect(answer.status).toBe(400);
    expect(
      Object.values((await read<{ faults: Record<string, { say: string }> }>(answer)).faults).map(
        ({ say }) => say,
      ),
    ).toEqual(['note.badEmail']);
  });
});
