import { describe, expect, it, vi } from 'vitest';
import { makeClock } from './clock';
import { makeHub } from './hub';

const textOf = async (body: ReadableStream<Uint8Array>, events: number): Promise<string> => {
  const reader = body.getReader();
  let text = '';
  while ((text.match(/\n\n/g) ?? []).length < events)
    text += new TextDecoder().decode((await reader.read()).value);
  return text;
};

describe('the hub', () => {
  it('sends an event to the streams of its channel and to no other', async () => {
    const hub = makeHub(makeClock());
    const [ana, rui] = [
      hub.open({ channels: ['site:a', 'visitor:a:1'] }),
      hub.open({ channels: ['site:a', 'visitor:a:2'] }),
    ];
    hub.send('visitor:a:1', { name: 'entry', id: 7, data: { body: 'for Ana' } });
    hub.send('site:a', { name: 'teams', data: {} });
    expect(await textOf(ana.body, 2)).toBe(
      'id: 7\nevent: entry\ndata: {"body":"for Ana"}\n\nevent: teams\ndata: {}\n\n',
    );
    expect(await textOf(rui.body, 1)).toBe('event: teams\ndata: {}\n\n');
  });

  it('[threat 15] drops a reader that is far behind, and tells whoever opened it', () => {
    const hub = makeHub(makeClock());
    const onClose = vi.fn();
    hub.open({ channels: ['site:a'], onClose });
    for (let count = 0; count < 40; count++) hub.send('site:a', { name: 'entry', data: 'x'.repeat(16_000) });
    expect([onClose.mock.calls.length, hub.count('site:a')]).toEqual([1, 0]);
  });

  it('forgets a stream once, however it ends', async () => {
    const hub = makeHub(makeClock());
    const onClose = vi.fn();
    const stream = hub.open({ channels: ['site:a'], onClose });
    await stream.body.cancel();
    stream.close();
    hub.closeAll();
    expect([onClose.mock.calls.length, hub.count('site:a')]).toEqual([1, 0]);
  });

  it('keeps one stream of a holder: the one opened before may be on a dead line', () => {
    const hub = makeHub(makeClock());
    const onClose = vi.fn();
    const before = hub.open({ channels: ['site:a'], holder: 'tab', onClose });
    hub.open({ channels: ['site:a'], holder: 'tab' });
    hub.open({ channels: ['site:a'], holder: 'another tab' });
    before.close();
    expect([hub.count('site:a'), hub.count('site:a', 'tab'), hub.count('site:b', 'tab')]).toEqual([2, 1, 0]);
    hub.open({ channels: ['site:a'], holder: 'tab' });
    expect([onClose.mock.calls.length, hub.count('site:a')]).toEqual([1, 2]);
  });

  it('beats for all of them, by the server’s clock', async () => {
    const clock = makeClock();
    const hub = makeHub(clock);
    const { body } = hub.open({ channels: ['site:a'] });
    clock.moveTo(clock.now() + 16_000);
    expect(await textOf(body, 1)).toBe('event: beat\ndata: {}\n\n');
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
