import { describe, expect, it } from 'vitest';
import type { DeskConversation, DeskTalk } from '../../core/wire/desk';
import type { VisitorEntry } from '../../core/wire/talk';
import { freshest, merge, withEarlier } from './use-desk';

const conversation = (id: string, lastEntryMs: number, lastWords = '') =>
  ({ id, lastEntryMs, lastWords }) as unknown as DeskConversation;
const entry = (seq: number) =>
  ({ id: seq, conversationId: 'a', seq, body: `no. ${seq}` }) as unknown as VisitorEntry;
const talk = (id: string, ...seqs: number[]) =>
  ({
    conversation: conversation(id, seqs.at(-1) ?? 0),
    earlier: [],
    entries: seqs.map(entry),
    pages: {},
  }) as unknown as DeskTalk;

describe('what is read and what is heard', () => {
  it('a list that was on its way takes nothing back that was heard meanwhile', () => {
    const heard = [conversation('a', 20, 'We are nine people'), conversation('b', 5)];
    const read = [
      conversation('b', 6, 'newer'),
      conversation('a', 10, 'Does the minibus wait?'),
      conversation('c', 1),
    ];
    expect(merge(read, heard)).toEqual([heard[0], read[0], read[2]]);
    expect(merge(heard, read)).toEqual([heard[0], read[0], read[2]]);
    expect(merge([conversation('a', 20, 'joined')], heard)[0]).toMatchObject({ lastWords: 'joined' });
  });

  it('nor does a conversation that was on its way lose an entry; another one is what was read', () => {
    expect(freshest(talk('a', 1, 2), talk('a', 1, 2, 3)).entries.map(({ seq }) => seq)).toEqual([1, 2, 3]);
    expect(freshest(talk('a', 1, 2), talk('a', 1, 2, 3)).conversation.lastEntryMs).toBe(3);
    expect(freshest(talk('a', 1, 2, 3), talk('a', 1)).entries).toHaveLength(3);
    expect(freshest(talk('a', 1), talk('b', 1, 2))).toEqual(talk('a', 1));
    expect(freshest(talk('a', 1), null)).toEqual(talk('a', 1));
  });

  it('nor what a visitor sees, where that was heard while the conversation was on its way', () => {
    const seeing = (moment: 'waiting' | 'talking', id = 'a'): DeskTalk => ({
      ...talk(id, 1),
      visitorNow: { moment, page: null, goneMs: null },
      trail: [[`isle.example/${moment}`, 1]],
    });
    const [read, heard] = [seeing('waiting'), seeing('talking')];
    expect(freshest(read, heard, true)).toMatchObject({
      visitorNow: heard.visitorNow,
      trail: heard.trail,
    });
    expect(freshest(read, heard, false)).toMatchObject({ visitorNow: read.visitorNow, trail: read.trail });
    expect(freshest(read, seeing('talking', 'b'), true)).toEqual(read);
  });

  it('a page that was read before stays where the newest is read anew', () => {
    const paged = withEarlier(
      { ...talk('a', 3, 4), hasEarlier: true },
      { ...talk('a', 1, 2), hasEarlier: false },
    );
    const { entries, hasEarlier } = freshest({ ...talk('a', 3, 4, 5), hasEarlier: true }, paged);
    expect([entries.map(({ seq }) => seq), hasEarlier]).toEqual([[1, 2, 3, 4, 5], false]);
  });
});
