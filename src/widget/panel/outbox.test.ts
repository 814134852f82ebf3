import { describe, expect, it } from 'vitest';
import { madeSurroundings, settled } from '../../../tests/made/surroundings';
import { type Outcome, type Outgoing, outboxWith } from './outbox';
import { pauseFor } from './retry';
import type { Unsent } from './unsent';

function boxWith(outcomes: Outcome[], left: Unsent = { token: null, items: [] }) {
  const surroundings = madeSurroundings();
  const offered: { body: string; at: number }[] = [];
  let kept = left;
  let changes = 0;
  const outbox = outboxWith({
    store: {
      read: () => kept,
      write: ({ token, items }) => {
        kept = { token, items };
      },
    },
    offer: (one) => {
      offered.push({ body: one.body, at: surroundings.now() });
      return Promise.resolve(outcomes.shift() ?? 'taken');
    },
    changed: () => {
      changes += 1;
      outbox.keep();
    },
    pause: (failedTries) => pauseFor(surroundings, failedTries),
  });
  return { outbox, surroundings, offered, kept: () => kept, changes: () => changes };
}

const written = (body: string) => ({ body, note: null, page: 'https://farrowisle.example/' });
const bodies = (items: readonly Outgoing[]) => items.map(({ body }) => body);

describe('the outbox', () => {
  it('offers one at a time, oldest first, and tries again after 1, 2, 4, 8, 15, 30 and 30 seconds', async () => {
    const later = Array.from({ length: 7 }, (): Outcome => 'later');
    const { outbox, surroundings, offered } = boxWith(later);
    outbox.add(written('Is the dome open?'));
    outbox.add(written('And the tower?'));
    await surroundings.pass(89_999);
    expect(bodies(outbox.items())).toEqual(['Is the dome open?', 'And the tower?']);
    await surroundings.pass(1);
    expect(offered.map(({ at }) => at)).toEqual([
      0, 1000, 3000, 7000, 15_000, 30_000, 60_000, 90_000, 90_000,
    ]);
    expect(offered.at(-1)?.body).toBe('And the tower?');
    expect(outbox.items()).toEqual([]);
  });

  it('a try that succeeds begins the next item’s waits anew', async () => {
    const { outbox, surroundings, offered } = boxWith(['later', 'later', 'taken', 'later']);
    outbox.add(written('one'));
    outbox.add(written('two'));
    await surroundings.pass(10_000);
    expect(offered.map(({ at }) => at)).toEqual([0, 1000, 3000, 3000, 4000]);
  });

  it('what is refused for good comes back with its faults, and the next one goes out', async () => {
    const { outbox, surroundings } = boxWith([{ mail: 'no-mail' } as unknown as Outcome]);
    outbox.add(written('refused'));
    outbox.add(written('taken'));
    await surroundings.pass(0);
    expect(outbox.refused()).toMatchObject({ body: 'refused', faults: { mail: 'no-mail' } });
    expect(outbox.items()).toEqual([]);
    outbox.takeBackRefused();
    expect(outbox.refused()).toBeNull();
  });

  it('what waits says so, and is stored with the one token it goes under until the server took it', async () => {
    const { outbox, surroundings, kept } = boxWith(['later']);
    const token = outbox.newToken();
    expect(outbox.newToken()).toBe(token);
    outbox.add(written('hello'));
    expect(kept()).toMatchObject({ token, items: [{ body: 'hello', standing: 'sending' }] });
    await settled();
    expect(kept().items).toMatchObject([{ standing: 'waiting' }]);
    await surroundings.pass(1000);
    expect(kept()).toEqual({ token, items: [] });
  });

  it('what the page before left goes out once, however often it is started', async () => {
    const left = { clientId: 'a', standing: 'waiting', ...written('from before') } as const;
    const { outbox, surroundings, offered } = boxWith([], { token: 'kept', items: [left] });
    expect(offered).toEqual([]);
    outbox.drain();
    outbox.drain();
    await surroundings.pass(0);
    expect(bodies([left])).toEqual(offered.map(({ body }) => body));
    expect(outbox.newToken()).toBe('kept');
  });
});
