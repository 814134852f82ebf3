import { beforeEach, describe, expect, it } from 'vitest';
import {
  type MadePorch,
  type TestServer,
  madeMember,
  makeTestServer,
  madePorch,
} from '../../../tests/made/test-server';
import { newId } from '../ids';
import { getDraft, saveChange, stepDraft } from './draft';

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
