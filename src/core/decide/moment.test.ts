import { describe, expect, it } from 'vitest';
import { madeTalk, madeVisit } from '../../../tests/made/site';
import { momentOf } from './moment';

const open = (change: Parameters<typeof madeVisit>[0] = {}) => madeVisit({ isWindowOpen: true, ...change });

describe('momentOf', () => {
  it('[M1] a closed window is passing by, whatever stands', () => {
    expect(momentOf(madeVisit({ conversation: madeTalk({ standing: 'joined' }) }), 'in', 'chat').moment).toBe('passing-by');
  });

  it('[M1] opened without a conversation, the deed leads', () => {
    expect(momentOf(open(), 'in', 'chat').moment).toBe('at-the-door');
    expect(momentOf(open(), 'busy', 'queue').moment).toBe('at-the-door');
    expect(momentOf(open(), 'busy', 'note').moment).toBe('nobody-home');
    expect(momentOf(open(), 'nobody', 'answers').moment).toBe('at-the-door');
  });

  it('[M2] asked is waiting, joined is talking', () => {
    expect(momentOf(open({ conversation: madeTalk() }), 'in', 'chat').moment).toBe('waiting');
    expect(momentOf(open({ conversation: madeTalk({ standing: 'joined' }) }), 'nobody', 'note').moment).toBe('talking');
  });

  it('[M4] ended is goodbye; asking something else leads to the door of the state that is now', () => {
    const ended = madeTalk({ standing: 'ended' });
    expect(momentOf(open({ conversation: ended }), 'in', 'chat').moment).toBe('goodbye');
    expect(momentOf(open({ conversation: ended, asksAgain: true }), 'in', 'chat').moment).toBe('at-the-door');
    expect(momentOf(open({ conversation: ended, asksAgain: true }), 'nobody', 'note').moment).toBe('nobody-home');
  });

  it('[M4] a note that was sent is note left, also while somebody is in', () => {
    expect(momentOf(open({ conversation: madeTalk({ standing: 'note' }) }), 'in', 'chat').moment).toBe('note-left');
  });

  it('[M5] waiting when nobody can answer any more is nobody home', () => {
    expect(momentOf(open({ conversation: madeTalk() }), 'nobody', 'note').moment).toBe('nobody-home');
  });
});
