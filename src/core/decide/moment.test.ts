import { describe, expect, it } from 'vitest';
import { EVENING, madeDesign, madeTalk, madeVisit } from '../../../tests/made/site';
import type { Circumstances } from '../model/circumstances';
import type { Behaviour, WidgetState } from '../model/moment';
import { HOUR_MS, SECOND_MS } from '../model/units';
import type { WireWidget } from '../wire/design-file';
import { momentOf } from './moment';

const TIMINGS = madeDesign().widgets[0]?.timings as WireWidget['timings'];
const open = (change: Parameters<typeof madeVisit>[0] = {}) => madeVisit({ isWindowOpen: true, ...change });
const standsAt = (visit: Circumstances, state: WidgetState, behaviour: Behaviour, timings = TIMINGS) =>
  momentOf(visit, { state, behaviour, timings });
const momentAt = (...args: Parameters<typeof standsAt>) => standsAt(...args).moment;
const after = (seconds: number) => EVENING + seconds * SECOND_MS;

describe('momentOf', () => {
  it('[M1] a closed window is passing by, whatever stands; with an invitation on the screen it is invited', () => {
    expect(momentAt(madeVisit({ conversation: madeTalk({ standing: 'joined' }) }), 'in', 'chat')).toBe(
      'passing-by',
    );
    expect(momentAt(madeVisit({ invited: { id: 'x', at: EVENING } }), 'in', 'chat')).toBe('invited');
  });

  it('[M1] opened without a conversation, the behaviour leads', () => {
    expect(momentAt(open(), 'in', 'chat')).toBe('at-the-door');
    expect(momentAt(open(), 'busy', 'queue')).toBe('at-the-door');
    expect(momentAt(open(), 'busy', 'note')).toBe('nobody-home');
    expect(momentAt(open(), 'nobody', 'answers')).toBe('at-the-door');
  });

  it('[M2] asked is waiting, joined is talking', () => {
    expect(momentAt(open({ conversation: madeTalk() }), 'in', 'chat')).toBe('waiting');
    expect(momentAt(open({ conversation: madeTalk({ standing: 'joined' }) }), 'nobody', 'note')).toBe(
      'talking',
    );
  });

  it('[M3] slow reply counts from the oldest unanswered message, not from the last one nor from the question', () => {
    const conversation = madeTalk({ askedMs: after(-600), waitingMs: after(0), lastMs: after(80) });
    expect(momentAt(open({ conversation, now: after(89) }), 'in', 'chat')).toBe('waiting');
    expect(momentAt(open({ conversation, now: after(90) }), 'in', 'chat')).toBe('slow-reply');
    expect(standsAt(open({ conversation, now: after(10) }), 'in', 'chat').next).toBe(after(90));
  });

  it('[M3] nearby has four minutes; in talking it is off unless it is switched on', () => {
    expect(momentAt(open({ conversation: madeTalk(), now: after(200) }), 'nearby', 'chat')).toBe('waiting');
    expect(momentAt(open({ conversation: madeTalk(), now: after(240) }), 'nearby', 'chat')).toBe(
      'slow-reply',
    );
    const joined = open({ conversation: madeTalk({ standing: 'joined' }), now: after(3600) });
    expect(momentAt(joined, 'in', 'chat')).toBe('talking');
    expect(momentAt(joined, 'in', 'chat', { ...TIMINGS, slowReplyTalkingAfter: 600 })).toBe('slow-reply');
  });

  it('[M3] it ends with an answer, not with a change of who is in', () => {
    const waits = { conversation: madeTalk(), now: after(100), moment: 'slow-reply' } as const;
    expect(momentAt(open(waits), 'nearby', 'chat')).toBe('slow-reply');
    expect(
      momentAt(
        open({ ...waits, conversation: madeTalk({ standing: 'joined', waitingMs: null }) }),
        'in',
        'chat',
      ),
    ).toBe('talking');
  });

  it('[M4] ended is goodbye; asking something else leads to the door of the state that is now', () => {
    const ended = madeTalk({ standing: 'ended' });
    expect(momentAt(open({ conversation: ended }), 'in', 'chat')).toBe('goodbye');
    expect(momentAt(open({ conversation: ended, asksAgain: true }), 'in', 'chat')).toBe('at-the-door');
    expect(momentAt(open({ conversation: ended, asksAgain: true }), 'nobody', 'note')).toBe('nobody-home');
  });

  it('[M4] twelve quiet hours end it, to the second, also before the server has said so', () => {
    const joined = madeTalk({ standing: 'joined', waitingMs: null });
    expect(momentAt(open({ conversation: joined, now: EVENING + 12 * HOUR_MS - 1 }), 'in', 'chat')).toBe(
      'talking',
    );
    expect(momentAt(open({ conversation: joined, now: EVENING + 12 * HOUR_MS }), 'in', 'chat')).toBe(
      'goodbye',
    );
  });

  it('[M4] a note that was sent is note left, also while somebody is in', () => {
    expect(momentAt(open({ conversation: madeTalk({ standing: 'note' }) }), 'in', 'chat')).toBe('note-left');
  });

  it('[M5] waiting when nobody can answer any more is nobody home; slow reply, which has asked for an address, stays', () => {
    expect(momentAt(open({ conversation: madeTalk(), moment: 'waiting' }), 'nobody', 'note')).toBe(
      'nobody-home',
    );
    expect(
      momentAt(open({ conversation: madeTalk(), moment: 'slow-reply', now: after(95) }), 'nobody', 'note'),
    ).toBe('slow-reply');
    expect(
      momentAt(open({ conversation: madeTalk(), moment: 'nobody-home', now: after(95) }), 'nobody', 'note'),
    ).toBe('nobody-home');
  });

  it('[M5] where it is to go on waiting, an answer by mail is offered at once, not after the delay', () => {
    const waits = open({ conversation: madeTalk(), moment: 'waiting' });
    const ground = { state: 'nobody', behaviour: 'note', timings: TIMINGS } as const;
    expect(momentOf(waits, { ...ground, talks: { keepsWaiting: true } }).moment).toBe('slow-reply');
    expect(
      momentOf(waits, { ...ground, state: 'in', behaviour: 'chat', talks: { keepsWaiting: true } }).moment,
    ).toBe('waiting');
  });

  it('[M4] where nothing else may be asked at once, goodbye holds for ten minutes, and then the door is open again', () => {
    const ended = madeTalk({ standing: 'ended', endedMs: after(0) });
    const at = (seconds: number) =>
      momentOf(open({ conversation: ended, now: after(seconds) }), {
        state: 'in',
        behaviour: 'chat',
        timings: TIMINGS,
        talks: { offersAgain: false },
      });
    expect(at(599)).toMatchObject({ moment: 'goodbye', next: after(600) });
    expect(at(600).moment).toBe('at-the-door');
  });

  it('[M6] from goodbye and from an invitation the way leads to the door first, and from there on', () => {
    const asksAgain = { conversation: madeTalk({ standing: 'ended' }), asksAgain: true } as const;
    expect(momentAt(open({ ...asksAgain, moment: 'goodbye' }), 'nobody', 'note')).toBe('at-the-door');
    expect(momentAt(open({ ...asksAgain, moment: 'at-the-door' }), 'nobody', 'note')).toBe('nobody-home');
    expect(momentAt(open({ moment: 'invited' }), 'nobody', 'note')).toBe('at-the-door');
  });
});
