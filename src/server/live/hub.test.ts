import { describe, expect, it, vi } from 'vitest';
import { makeClock } from './clock';
import { makeHub } from './hub';

/** Where a stream's bytes go in a test: what was told, whether it was ended, and how far its reader is behind. */
function madeSink(isStuck = false) {
  const parts: Uint8Array[] = [];
  const sink = {
    write: (bytes: Uint8Array) => void parts.push(bytes),
    behind: () => (isStuck ? parts.reduce((sum, { length }) => sum + length, 0) : 0),
    end: vi.fn(),
    drop: vi.fn(),
  };
  return { sink, text: () => Buffer.concat(parts).toString() };
}

describe('the hub', () => {
  it('sends an event to the streams of its channel and to no other', () => {
    const hub = makeHub(makeClock());
    const [ana, rui] = [madeSink(), madeSink()];
    hub.open({ channels: ['site:a', 'visitor:a:1'], sink: ana.sink });
    hub.open({ channels: ['site:a', 'visitor:a:2'], sink: rui.sink });
    hub.send('visitor:a:1', { name: 'entry', id: 7, data: { body: 'for Ana' } });
    hub.send('site:a', { name: 'teams', data: {} });
    expect(ana.text()).toBe('id: 7\nevent: entry\ndata: {"body":"for Ana"}\n\nevent: teams\ndata: {}\n\n');
    expect(rui.text()).toBe('event: teams\ndata: {}\n\n');
  });

  it('[threat 15] drops a reader that is far behind, and tells whoever opened it', () => {
    const hub = makeHub(makeClock());
    const onClose = vi.fn();
    const [slow, quick] = [madeSink(true), madeSink()];
    hub.open({ channels: ['site:a'], sink: slow.sink, onClose });
    hub.open({ channels: ['site:a'], sink: quick.sink });
    for (let count = 0; count < 140; count++) hub.send('site:a', { name: 'entry', data: 'x'.repeat(16_000) });
    expect([onClose.mock.calls.length, hub.count('site:a')]).toEqual([1, 1]);
    expect([slow.sink.drop.mock.calls.length, quick.sink.drop.mock.calls.length]).toEqual([1, 0]);
  });

  it('forgets a stream once, however it ends', () => {
    const hub = makeHub(makeClock());
    const onClose = vi.fn();
    const stream = hub.open({ channels: ['site:a'], sink: madeSink().sink, onClose });
    stream.close();
    stream.close();
    stream.send({ name: 'teams', data: {} });
    hub.closeAll();
    expect([onClose.mock.calls.length, hub.count('site:a')]).toEqual([1, 0]);
  });

  it('keeps one stream of a holder: the one opened before may be on a dead line', () => {
    const hub = makeHub(makeClock());
    const onClose = vi.fn();
    const before = hub.open({ channels: ['site:a'], holder: 'tab', sink: madeSink().sink, onClose });
    hub.open({ channels: ['site:a'], holder: 'tab', sink: madeSink().sink });
    hub.open({ channels: ['site:a'], holder: 'another tab', sink: madeSink().sink });
    before.close();
    expect([hub.count('site:a'), hub.count('site:a', 'tab'), hub.count('site:b', 'tab')]).toEqual([2, 1, 0]);
    hub.open({ channels: ['site:a'], holder: 'tab', sink: madeSink().sink });
    expect([onClose.mock.calls.length, hub.count('site:a')]).toEqual([1, 2]);
  });

  it('beats for all of them, by the server’s clock', async () => {
    const clock = makeClock();
    const hub = makeHub(clock);
    const { sink, text } = madeSink();
    hub.open({ channels: ['site:a'], sink });
    const beaten = new Promise<void>((resolve) => clock.wakeAt(clock.now() + 15_500, resolve));
    clock.moveTo(clock.now() + 16_000);
    await beaten;
    expect(text()).toBe('event: beat\ndata: {}\n\n');
  });
});

describe('the clock', () => {
  it('fires what has come due when it is moved, and nothing that was cancelled', async () => {
    const clock = makeClock();
    const calls: string[] = [];
    const at = clock.now();
    clock.wakeAt(at + 60_000, () => calls.push('minute'));
    clock.wakeAt(at + 3_600_000, () => calls.push('hour'));
    clock.wakeAt(at + 30_000, () => calls.push('cancelled'))();
    const fired = new Promise<void>((resolve) => clock.wakeAt(at + 61_000, resolve));
    clock.moveTo(at + 120_000);
    await fired;
    expect(calls).toEqual(['minute']);
  });
});
