import { describe, expect, it } from 'vitest';
import type { DeskConversation } from '../wire/desk';
import { dueQuestions, isQuietAt, questionsFor, stillTold } from './questions';

const ASKED: DeskConversation = {
  id: 'c1',
  status: 'asked',
  visitorName: null,
  visitorMail: null,
  visitorMark: { shape: 'disc', word: 'heron' },
  locale: 'en',
  page: '/tonight',
  isPractice: false,
  teamId: null,
  responderId: null,
  responderName: null,
  askedMs: 1000,
  lastEntryMs: 1000,
  lastAuthor: 'visitor',
  lastBody: 'Is the dome open?',
  waitingSinceMs: 1000,
  leftMs: null,
  missedMs: null,
  isDone: false,
  endsMs: null,
};
const INES = { personId: 'ines', teamIds: ['guides'], scope: 'my-teams' as const };
const keysFor = (changed: Partial<DeskConversation>, reader: Parameters<typeof questionsFor>[1] = INES) =>
  questionsFor([{ ...ASKED, ...changed }], reader).map(({ key }) => key);

describe('whom a question is for', () => {
  it('is everybody, where no team is asked; and those of the team that is', () => {
    expect(keysFor({})).toEqual(['c1@1000']);
    expect(keysFor({ teamId: 'guides' })).toEqual(['c1@1000']);
    expect(keysFor({ teamId: 'bookings' })).toEqual([]);
    expect(keysFor({ teamId: 'bookings' }, { ...INES, scope: 'all' })).toEqual(['c1@1000']);
  });

  it('is whoever is on it, of whichever team, until they have left', () => {
    const joined = { status: 'joined', responderId: 'rui', teamId: 'guides' } as const;
    expect(keysFor(joined)).toEqual([]);
    expect(keysFor(joined, { ...INES, scope: 'all' })).toEqual([]);
    expect(keysFor({ ...joined, teamId: 'bookings' }, { ...INES, personId: 'rui' })).toEqual(['c1@1000']);
    expect(keysFor({ ...joined, leftMs: 1500 })).toEqual(['c1@1000']);
  });

  it('is nobody, where nothing was really sent, or nothing is to be done', () => {
    expect(keysFor({ isPractice: true })).toEqual([]);
    expect(keysFor({ waitingSinceMs: null })).toEqual([]);
    expect(keysFor({ isDone: true })).toEqual([]);
    expect(keysFor({ status: 'note' })).toEqual([]);
    expect(keysFor({ status: 'ended' })).toEqual([]);
  });
});

describe('when a question is told', () => {
  const asked = (waitingSinceMs: number) => questionsFor([{ ...ASKED, waitingSinceMs }], INES);
  const due = (at: number, told: Record<string, number>, againMinutes: number | null) =>
    dueQuestions(asked(1000), told, { againMinutes }, at).map(({ key }) => key);

  it('is once, and again after as many minutes as were chosen', () => {
    expect(due(2000, {}, 5)).toEqual(['c1@1000']);
    expect(due(2000 + 299_999, { 'c1@1000': 2000 }, 5)).toEqual([]);
    expect(due(2000 + 300_000, { 'c1@1000': 2000 }, 5)).toEqual(['c1@1000']);
    expect(due(2000 + 9_000_000, { 'c1@1000': 2000 }, null)).toEqual([]);
  });

  it('is anew, once it was answered and the visitor asks something else', () => {
    const told = { 'c1@1000': 2000 };
    expect(stillTold(told, asked(1000))).toEqual(told);
    expect(stillTold(told, asked(5000))).toEqual({});
    expect(dueQuestions(asked(5000), told, { againMinutes: null }, 5000)).toHaveLength(1);
  });

  it('is never in the quiet hours, which may run over midnight', () => {
    const minutesIn = (from: number, until: number) =>
      Array.from({ length: 1440 }, (_, minute) => minute).filter((one) => isQuietAt({ from, until }, one));
    expect(minutesIn(13 * 60, 14 * 60)).toEqual(Array.from({ length: 60 }, (_, minute) => 13 * 60 + minute));
    const night = minutesIn(22 * 60, 7 * 60);
    expect(night).toHaveLength(9 * 60);
    expect([night[0], night.at(-1)]).toEqual([0, 1439]);
    expect(isQuietAt({ from: 1320, until: 420 }, 419)).toBe(true);
    expect(isQuietAt({ from: 1320, until: 420 }, 420)).toBe(false);
    expect(isQuietAt(null, 0)).toBe(false);
    expect(minutesIn(600, 600)).toEqual([]);
  });
});
