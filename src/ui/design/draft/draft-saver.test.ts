import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { madeDesign } from '../../../../tests/made/site';
import { applyPatches } from '../../../core/draft/patch';
import type { Patch } from '../../../core/model/json';
import type { DraftView } from '../../../core/wire/desk';
import { PortError } from '../../frame/api';
import { type DraftSaver, draftSaver } from './draft-saver';

const viewOf = (revision: number, design = madeDesign()): DraftView => ({
  revision,
  design,
  canUndo: false,
  canRedo: false,
  undoLabel: null,
  redoLabel: null,
});
const brand = (value: string): Patch => ({ op: 'set', path: ['widgets', 0, 'look', 'brand'], value });
const corner = (value: string): Patch => ({ op: 'set', path: ['widgets', 0, 'place', 'corner'], value });
const AWAY = new PortError('unreachable', 'The server does not answer.');
const unused = () => Promise.reject(new Error('Not asked for here.'));

/** A server that keeps the draft as ours does: a change for an older revision is behind, one known by its id counts once. */
function madeServer() {
  let view = viewOf(1);
  const seen = new Set<string>();
  const fates: ('ok' | 'away' | 'answer-lost' | 'refused')[] = [];
  const somebodyElse = (patch: Patch): void => {
    view = { ...view, revision: view.revision + 1, design: applyPatches(view.design, [patch]).value };
  };
  const saveChange: Parameters<typeof draftSaver>[0]['saveChange'] = ({ clientId, base, patches }) => {
    const fate = fates.shift() ?? 'ok';
    if (fate === 'away') return Promise.reject(AWAY);
    if (fate === 'refused') return Promise.reject(new PortError('refused', 'Choose another colour.'));
    if (!seen.has(clientId)) {
      if (base !== view.revision) return Promise.resolve({ kind: 'behind', view });
      seen.add(clientId);
      patches.forEach(somebodyElse);
    }
    return fate === 'answer-lost' ? Promise.reject(AWAY) : Promise.resolve({ kind: 'saved', view });
  };
  return { saveChange, fates, somebodyElse, view: () => view };
}

describe('draftSaver', () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());
  const saverFor = (server: ReturnType<typeof madeServer>, refused = vi.fn()): DraftSaver =>
    draftSaver(
      { getDraft: () => Promise.resolve(server.view()), saveChange: server.saveChange, stepDraft: unused },
      server.view(),
      {
        change: () => undefined,
        refused,
        failed: () => undefined,
      },
    );
  const brandOf = (saver: DraftSaver) => saver.state().design.widgets[0]?.look.brand;

  it('reaches the screen at once and the server soon; changes of one place in a row are one', async () => {
    const server = madeServer();
    const saver = saverFor(server);
    for (const value of ['#111111', '#222222', '#333333']) saver.change([brand(value)], 'brand colour');
    expect([brandOf(saver), saver.state().status]).toEqual(['#333333', 'saving']);
    await vi.advanceTimersByTimeAsync(400);
    expect([server.view().revision, saver.state().status]).toEqual([2, 'saved']);
  });

  it('takes over what the server did to the draft by itself, but never over something typed here', async () => {
    const server = madeServer();
    const saver = saverFor(server);
    server.somebodyElse(brand('#444444'));
    await saver.reload();
    expect(brandOf(saver)).toBe('#444444');
    saver.change([brand('#555555')], 'brand colour');
    server.somebodyElse({ op: 'set', path: ['siteName'], value: 'Elsewhere' });
    await saver.reload();
    expect([brandOf(saver), saver.state().design.siteName]).not.toContain('Elsewhere');
    await vi.advanceTimersByTimeAsync(800);
    expect([brandOf(saver), saver.state().design.siteName]).toEqual(['#555555', 'Elsewhere']);
  });

  it('says not saved and why while the server is away, and stores it when it is back', async () => {
    const server = madeServer();
    const saver = saverFor(server);
    server.fates.push('away', 'away');
    saver.change([brand('#111111')], 'brand colour');
    await vi.advanceTimersByTimeAsync(400);
    expect(saver.state()).toMatchObject({ status: 'not-saved', why: 'The server does not answer.' });
    expect([brandOf(saver), saver.isPending()]).toEqual(['#111111', true]);
    await vi.advanceTimersByTimeAsync(5000);
    expect([saver.state().status, server.view().design.widgets[0]?.look.brand]).toEqual(['saved', '#111111']);
  });

  it('puts its change on top of what somebody else did meanwhile', async () => {
    const server = madeServer();
    const saver = saverFor(server);
    server.somebodyElse(corner('lower-left'));
    saver.change([brand('#111111')], 'brand colour');
    await vi.advanceTimersByTimeAsync(1000);
    expect(server.view().design.widgets[0]).toMatchObject({
      look: { brand: '#111111' },
      place: { corner: 'lower-left' },
    });
    expect(saver.state().design).toEqual(server.view().design);
  });

  it('of the same text theirs stands, both are told, and mine is stored only once it is chosen', async () => {
    const server = madeServer();
    const saver = saverFor(server);
    const greet = (text: string): Patch => ({
      op: 'set',
      path: ['widgets', 0, 'texts', 'en', 'greeting'],
      value: text,
    });
    server.somebodyElse({
      op: 'set',
      path: ['widgets', 0, 'texts', 'en'],
      value: { greeting: 'Good evening', status: 'In' },
    });
    saver.change(
      [{ op: 'set', path: ['widgets', 0, 'texts', 'en'], value: { greeting: 'Hello' } }],
      'greeting',
    );
    saver.change([brand('#111111')], 'brand colour');
    await vi.advanceTimersByTimeAsync(1000);
    expect(saver.state().clashes).toEqual([
      { path: greet('').path, mine: 'Hello', theirs: 'Good evening', label: 'greeting' },
    ]);
    expect(saver.state().design.widgets[0]).toMatchObject({
      texts: { en: { greeting: 'Good evening' } },
      look: { brand: '#111111' },
    });
    expect(saver.state().status).toBe('saved');
    saver.choose('mine');
    await vi.advanceTimersByTimeAsync(1000);
    expect(server.view().design.widgets[0]?.texts).toEqual({ en: { greeting: 'Hello', status: 'In' } });
    expect(saver.state().clashes).toEqual([]);
  });

  it('of the same text, keeping theirs stores nothing', async () => {
    const server = madeServer();
    const saver = saverFor(server);
    server.somebodyElse(brand('#222222'));
    saver.change([brand('#111111')], 'brand colour');
    await vi.advanceTimersByTimeAsync(1000);
    const { revision } = server.view();
    saver.choose('theirs');
    await vi.advanceTimersByTimeAsync(1000);
    expect([server.view().revision, brandOf(saver), saver.state().clashes]).toEqual([
      revision,
      '#222222',
      [],
    ]);
  });

  it('takes a refused change back and tells it, and goes on with the next', async () => {
    const server = madeServer();
    const refused = vi.fn();
    const saver = saverFor(server, refused);
    const before = brandOf(saver);
    server.fates.push('refused');
    saver.change([brand('#111111')], 'brand colour');
    await vi.advanceTimersByTimeAsync(1000);
    expect([refused.mock.calls, brandOf(saver), saver.state().status]).toEqual([
      [['Choose another colour.']],
      before,
      'saved',
    ]);
  });

  it('law: whatever the line does, every change ends on the server once and in order', async () => {
    const fate = fc.constantFrom('ok' as const, 'away' as const, 'answer-lost' as const);
    await fc.assert(
      fc.asyncProperty(
        fc.array(fate, { maxLength: 12 }),
        fc.array(fc.integer({ min: 0, max: 900 }), { minLength: 1, maxLength: 6 }),
        async (fates, pauses) => {
          const server = madeServer();
          const saver = saverFor(server);
          server.fates.push(...fates);
          for (const [index, pause] of pauses.entries()) {
            const places = [brand(`#00000${index}`), corner(index % 2 === 0 ? 'upper-left' : 'lower-left')];
            saver.change([places[index % 2] ?? brand('#000000')], `change ${index}`);
            await vi.advanceTimersByTimeAsync(pause);
          }
          const wanted = saver.state().design;
          await vi.advanceTimersByTimeAsync(120_000);
          expect(server.view().design).toEqual(wanted);
          expect([saver.state().status, saver.isPending(), server.view().revision]).toEqual([
            'saved',
            false,
            1 + pauses.length,
          ]);
        },
      ),
      { numRuns: 200, seed: 20261124 },
    );
  });
});
