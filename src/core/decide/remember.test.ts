import { describe, expect, it } from 'vitest';
import { EMPTY_MEMORY, readMemory, remember } from './remember';

const TOKEN = 'a'.repeat(43);

describe('remember', () => {
  it('[V7] nothing is kept before the visitor has written; then the token, and no more', () => {
    expect(EMPTY_MEMORY).toEqual({ v: 1, token: null, putAwayUntil: null });
    expect(remember(EMPTY_MEMORY, { kind: 'wrote', token: TOKEN })).toEqual({ v: 1, token: TOKEN, putAwayUntil: null });
  });

  it('[V8] forgotten takes everything, a refused token only itself', () => {
    const memory = remember(remember(EMPTY_MEMORY, { kind: 'wrote', token: TOKEN }), { kind: 'put-away', until: 5 });
    expect(remember(memory, { kind: 'token-refused' })).toEqual({ v: 1, token: null, putAwayUntil: 5 });
    expect(remember(memory, { kind: 'forgotten' })).toEqual(EMPTY_MEMORY);
  });

  it('[V8] what is kept is read back; damaged, foreign or too long counts as none', () => {
    const memory = remember(EMPTY_MEMORY, { kind: 'wrote', token: TOKEN });
    expect(readMemory(JSON.stringify(memory))).toEqual(memory);
    for (const text of [null, '', '{', 'null', '[]', '{"v":2,"token":"x"}', `{"v":1,"x":"${'x'.repeat(4096)}"}`])
      expect(readMemory(text)).toEqual(EMPTY_MEMORY);
  });

  it('[V8] a damaged part counts as none without taking the rest with it', () => {
    expect(readMemory('{"v":1,"token":"<b>","putAwayUntil":7}')).toEqual({ v: 1, token: null, putAwayUntil: 7 });
    expect(readMemory(`{"v":1,"token":"${TOKEN}","putAwayUntil":"soon"}`)).toEqual({ v: 1, token: TOKEN, putAwayUntil: null });
  });
});
