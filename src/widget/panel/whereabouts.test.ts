import { describe, expect, it } from 'vitest';
import { EMPTY_MEMORY } from '../../core/model/memory';
import { whereaboutsTeller } from './whereabouts';

/** A teller whose posts are answered by hand. */
function madeTeller() {
  let page = 'isle.example/a';
  const sent: { readonly body: unknown; answer(isOk: boolean): Promise<void> }[] = [];
  const teller = whereaboutsTeller(
    {
      memory: {
        level: () => 'kept',
        read: () => ({ ...EMPTY_MEMORY, trail: [[page, 1]] }),
        write: () => undefined,
        tabKey: () => '',
      } as never,
    },
    {
      token: () => 'token',
      conversation: () => ({ id: 'c' }),
      post: (_path: string, body: unknown) =>
        new Promise((resolve) => {
          const answer = async (ok: boolean): Promise<void> => {
            resolve({ ok });
            await new Promise(setImmediate);
          };
          sent.push({ body, answer });
        }),
    } as never,
  );
  return {
    teller,
    sent,
    goTo: (next: string) => {
      page = next;
    },
    moments: () => sent.map(({ body }) => body),
  };
}

const step = (page: string) => [page, 1];

describe('what the desk is told of the visitor', () => {
  it('goes one after the other, so that the last one arrives last, and what was passed over is left out', async () => {
    const { teller, sent, moments } = madeTeller();
    teller.tell('waiting');
    teller.tell('slow-reply');
    teller.tell('talking');
    expect(moments()).toEqual([{ moment: 'waiting', step: step('isle.example/a') }]);
    await sent[0]?.answer(true);
    expect(moments()[1]).toEqual({ moment: 'talking', step: step('isle.example/a') });
    await sent[1]?.answer(true);
    teller.tell('talking');
    expect(sent).toHaveLength(2);
  });

  it('follows a page that was changed meanwhile', async () => {
    const { teller, sent, goTo, moments } = madeTeller();
    teller.tell('talking');
    goTo('isle.example/b');
    teller.tell('talking');
    await sent[0]?.answer(true);
    expect(moments()[1]).toEqual({ moment: 'talking', step: step('isle.example/b') });
  });

  it('does not try again by itself what was refused, but with the next change', async () => {
    const { teller, sent, moments } = madeTeller();
    teller.tell('waiting');
    await sent[0]?.answer(false);
    expect(sent).toHaveLength(1);
    teller.tell('waiting');
    expect(moments()[1]).toEqual(moments()[0]);
    teller.tell('talking');
    await sent[1]?.answer(false);
    expect(moments()[2]).toEqual({ moment: 'talking', step: step('isle.example/a') });
  });
});
