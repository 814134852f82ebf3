import { beforeEach, describe, expect, it, vi } from 'vitest';
import {
  type MadePorch,
  type TestServer,
  madeMember,
  makeTestServer,
  madePorch,
} from '../../../tests/made/test-server';
import { diceOf } from '../../../tests/made/dice';
import { newId } from '../ids';
import { stepsOf } from '../../core/draft/history';
import { getDraft, saveChange, stepDraft } from './draft';
import { findStep, listChangesAfter } from './drafts.repository';

let testServer: TestServer;
let porch: MadePorch;
beforeEach(async () => {
  testServer = await makeTestServer();
  porch = await madePorch(testServer, 'farrowisle');
});

const EDIT = 'e'.repeat(20);
const actor = (personId = porch.ownerId) => ({
  siteId: porch.siteId,
  personId,
  at: testServer.state.clock.now(),
});
const draft = () => getDraft(testServer.db, porch.siteId);
const nameSite = async (name: string, editId: string | null, by = actor()) =>
  saveChange(testServer.state, by, {
    clientId: newId(by.at),
    base: (await draft()).revision,
    patches: [{ op: 'set', path: ['siteName'], value: name }],
    label: 'site name',
    editId,
  });
const undo = (by = actor()) => stepDraft(testServer.state, by, { clientId: newId(by.at), kind: 'undo' });
const siteName = async () => (await draft()).design.siteName;

describe('what can be taken back and brought again', () => {
  it('is what walking the whole log would say, after any run of changes, steps and edits', async () => {
    const dice = diceOf(20261201);
    for (let turn = 0; turn < 120; turn++) {
      if (dice.flip(0.45)) await nameSite(`Farrow ${turn}`, dice.flip(0.4) ? EDIT : null);
      else {
        const by = actor();
        await stepDraft(testServer.state, by, {
          clientId: newId(by.at),
          kind: dice.flip(0.55) ? 'undo' : 'redo',
        });
      }
      const log = await listChangesAfter(testServer.db, porch.siteId, 0);
      const { done, undone } = stepsOf(log);
      const labelOf = (revision: number | undefined) =>
        log.find((one) => one.revision === revision)?.label ?? null;
      expect(await draft(), `turn ${turn}`).toMatchObject({
        canUndo: done.length > 0,
        canRedo: undone.length > 0,
        undoLabel: labelOf(done.at(-1)),
        redoLabel: labelOf(undone.at(-1)),
      });
      expect((await findStep(testServer.db, porch.siteId, 'undo'))?.revision ?? null).toBe(
        done.at(-1) ?? null,
      );
      expect((await findStep(testServer.db, porch.siteId, 'redo'))?.revision ?? null).toBe(
        undone.at(-1) ?? null,
      );
    }
  });

  it('reads as many changes for one at the end of a long log as of a short one', async () => {
    const countOf = async (): Promise<number> => {
      const prepare = vi.spyOn(JSON, 'parse');
      await nameSite(`Farrow ${newId(1)}`, null);
      const count = prepare.mock.calls.length;
      prepare.mockRestore();
      return count;
    };
    for (let turn = 0; turn < 10; turn++) await nameSite(`Farrow ${turn}`, null);
    const short = await countOf();
    for (let turn = 0; turn < 300; turn++) await nameSite(`Farrow ${turn}`, null);
    expect(await countOf()).toBe(short);
  });

  it('stands as it was where a step is refused', async () => {
    await nameSite('Farrow', null);
    const last = await findStep(testServer.db, porch.siteId, 'undo');
    await testServer.db
      .updateTable('draft_change')
      .set({ inverse_json: JSON.stringify([{ op: 'set', path: ['siteName'], value: 7 }]) })
      .where('revision', '=', last?.revision ?? 0)
      .execute();
    expect((await undo()).kind).toBe('refused');
    expect((await findStep(testServer.db, porch.siteId, 'undo'))?.revision).toBe(last?.revision);
  });
});

describe('changes of one edit', () => {
  it('are one step of undo, and one of redo, however many pauses there were', async () => {
    const before = await siteName();
    for (const name of ['Farrow', 'Farrow Isle', 'Farrow Isle Sky']) await nameSite(name, EDIT);
    await undo();
    expect(await siteName()).toBe(before);
    const by = actor();
    await stepDraft(testServer.state, by, { clientId: newId(by.at), kind: 'redo' });
    expect(await siteName()).toBe('Farrow Isle Sky');
  });

  it('that come to nothing leave no step', async () => {
    const { design, undoLabel } = await draft();
    await nameSite('Farrow', EDIT);
    await nameSite(design.siteName, EDIT);
    expect(await draft()).toMatchObject({ undoLabel, design: { siteName: design.siteName } });
  });

  it('end where somebody else has changed something in between, or another edit has begun', async () => {
    const colleague = await madeMember(testServer, porch, 'designer', 'rui@farrowisle.example');
    await nameSite('Farrow', EDIT);
    await nameSite('Sky', null, actor(colleague.personId));
    await nameSite('Farrow Isle', EDIT);
    await nameSite('Isle', 'f'.repeat(20));
    await undo();
    expect(await siteName()).toBe('Farrow Isle');
    await undo();
    expect(await siteName()).toBe('Sky');
    await undo();
    expect(await siteName()).toBe('Farrow');
  });
});

describe('what a draft may hold of a launcher', () => {
  it('states without words are some of ours, each once, or not said at all: never null, which nothing could publish', async () => {
    const by = actor();
    const set = async (value: string[] | null) =>
      (
        await saveChange(testServer.state, by, {
          clientId: newId(by.at),
          base: (await draft()).revision,
          patches: [{ op: 'set', path: ['widgets', 0, 'launcher', 'noWordsIn'], value }],
          label: 'when the launcher has words',
        })
      ).kind;
    for (const wrong of [null, ['asleep'], ['busy', 'busy']]) expect(await set(wrong)).toBe('refused');
    expect((await draft()).design.widgets[0]?.launcher).not.toHaveProperty('noWordsIn');
    for (const right of [[], ['busy', 'closed']]) expect(await set(right)).toBe('saved');
  });
});
