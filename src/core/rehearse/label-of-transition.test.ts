import { describe, expect, it } from 'vitest';
import { pageRule, madeDesign } from '../../../tests/made/site';
import { all, any, condition, invitations, not } from '../../../tests/made/invitations';
import type { ConditionBody, When } from '../model/condition';
import { plainField } from '../model/defaults';
import type { Design, Widget } from '../model/design';
import { TRANSITIONS, type TransitionId } from '../model/transition';
import { headlineOf, labelOfTransition } from './label-of-transition';

const label = (transition: TransitionId, change: Partial<Widget> = {}, more: Partial<Design> = {}) => {
  const design = madeDesign(change, more);
  const [widget] = design.widgets;
  if (widget === undefined) throw new Error('Expected a widget.');
  return labelOfTransition(design, widget, transition);
};
const seconds = (value: number) => condition({ kind: 'on-page', seconds: value });
const page = (...texts: string[]) =>
  condition({ kind: 'page', rules: texts.map((text) => pageRule('exact', text)) });
const headline = (when: When) => {
  const { anyOf, scope } = headlineOf({ when });
  return [anyOf.map(({ kind, isNot }) => (isNot ? `not ${kind}` : kind)), scope];
};
const hours = { calendarId: 'night' };

describe('labelOfTransition', () => {
  it('has a label for each of the 20 transitions but one that no setting makes', () => {
    expect(TRANSITIONS.filter(({ id }) => label(id) === null).map(({ id }) => id)).toEqual([
      'opened-by-invitation',
    ]);
  });

  it('an invitation shown: how many, and the first to come due by time; who waits for an act comes after; those that are off are not counted', () => {
    expect(label('invitation-shown')).toEqual({ code: 'no-invitations' }); // ours are prepared, and off
    const set = invitations(
      { when: all(condition({ kind: 'leaving' }), seconds(5)) },
      { when: all(seconds(40), page('/tonight')) },
      { when: all(seconds(25), condition({ kind: 'state', states: ['in'] })) },
      { when: all(seconds(1)), isOn: false },
    );
    expect(label('invitation-shown', set)).toEqual({
      code: 'invitations',
      count: 3,
      first: { anyOf: [seconds(25)], scope: null },
    });
  });

  it('an invitation shown: for a visitor, the one they get first', () => {
    const set = invitations(
      { when: all(condition({ kind: 'visits-in-days', atLeast: 3, days: 14 })) },
      { when: all(seconds(40)) },
    );
    const design = madeDesign(set);
    const [widget] = design.widgets;
    if (widget === undefined) throw new Error('Expected a widget.');
    const firstOf = (id: string | null) => {
      const said = labelOfTransition(design, widget, 'invitation-shown', id);
      return said?.code === 'invitations' ? said.first.anyOf[0]?.kind : null;
    };
    expect([firstOf(null), firstOf('invitation-b'), firstOf('gone')]).toEqual([
      'visits-in-days',
      'on-page',
      'visits-in-days',
    ]);
  });

  it('opened by an invitation is there only where an invitation opens the window', () => {
    expect(label('opened-by-invitation', invitations({ when: all(seconds(20)) }))).toBeNull();
    expect(
      label(
        'opened-by-invitation',
        invitations({ when: all(seconds(5)) }, { approach: 'open', when: all(seconds(20)) }),
      ),
    ).toEqual({
      code: 'opens-by-itself',
      count: 1,
      first: { anyOf: [seconds(20)], scope: null },
    });
  });

  it('an invitation accepted, declined: the buttons’ own words, and how long a no lasts', () => {
    const texts = { en: { 'invitation.yes': 'Yes, please', 'invitation.no': 'Not now' } };
    expect(label('invitation-accepted', { texts })).toEqual({ code: 'accepts', words: 'Yes, please' });
    const { limits } = madeDesign();
    expect(label('invitation-declined', { texts }, { limits: { ...limits, restDays: 14 } })).toEqual({
      code: 'declines',
      words: 'Not now',
      restDays: 14,
    });
  });

  it('opened while nobody can answer, and availability lost and gained: by what happens in each state, and closing only where there are hours', () => {
    expect(label('opened-while-unavailable')).toEqual({ code: 'clicks-while', states: ['nobody'] });
    expect(label('opened-while-unavailable', hours)).toEqual({
      code: 'clicks-while',
      states: ['closed', 'nobody'],
    });
    const behaviours = { in: 'chat', nearby: 'chat', busy: 'note', nobody: 'chat', closed: 'note' } as const;
    expect(label('opened-while-unavailable', { ...hours, behaviours })).toEqual({
      code: 'clicks-while',
      states: ['closed', 'busy'],
    });
    expect(label('availability-lost', { ...hours, behaviours })).toEqual({
      code: 'leave',
      closes: true,
      leaves: false,
    });
    expect(label('availability-lost-while-waiting')).toEqual({
      code: 'leave-meanwhile',
      closes: false,
      leaves: true,
    });
    expect([label('availability-gained'), label('availability-gained', hours)]).toEqual([
      { code: 'returns-open', opens: false },
      { code: 'returns-open', opens: true },
    ]);
  });

  it('first message sent, note sent: by what the forms ask', () => {
    expect(label('first-message-sent')).toEqual({ code: 'sends', what: 'message' });
    const before = [plainField('name', 'short', 'note.name')];
    expect(label('first-message-sent', { forms: { before, note: [], after: [] } })).toEqual({
      code: 'sends',
      what: 'form',
    });
    expect(label('note-sent')).toEqual({ code: 'sends-note', asksMail: true });
    expect(label('note-sent', { forms: { before: [], note: before, after: [] } })).toEqual({
      code: 'sends-note',
      asksMail: false,
    });
  });

  it('joined, overdue, ended: team and times', () => {
    const { timings } = madeDesign().widgets[0] ?? {};
    if (timings === undefined) throw new Error('Expected timings.');
    expect(label('responder-joined', { teams: ['a', 'b'] })).toEqual({ code: 'joins', teams: ['a', 'b'] });
    expect(label('answer-overdue', { timings: { ...timings, slowReplyAfter: 75 } })).toEqual({
      code: 'no-answer',
      seconds: 75,
    });
    expect(label('reply-overdue')).toEqual({ code: 'only-if-left' });
    expect(label('reply-overdue', { timings: { ...timings, slowReplyTalkingAfter: 600 } })).toEqual({
      code: 'no-reply',
      seconds: 600,
    });
    expect(label('conversation-ended', { timings: { ...timings, endsAfterQuiet: 3600 } })).toEqual({
      code: 'ends',
      quietSeconds: 3600,
    });
  });

  it('availability lost while waiting, asked again: whether a question stays when we close, and whether another may follow', () => {
    const talks = { keepsWaiting: true, offersAgain: false };
    expect([label('availability-lost-while-waiting', { talks }), label('asked-again', { talks })]).toEqual([
      { code: 'stays-waiting' },
      { code: 'asks-nothing-else' },
    ]);
    expect(label('asked-again')).toEqual({ code: 'asks-again' });
  });

  it('a click on the launcher, an answer after all, an address left, a return have nothing to set', () => {
    expect(
      (
        [
          'launcher-clicked',
          'answer-after-all',
          'address-left',
          'conversation-resumed',
          'answer-replied-to',
        ] as const
      ).map((transition) => label(transition)?.code),
    ).toEqual(['by-hand', 'answered', 'leaves-address', 'writes-again', 'replies-to-answer']);
  });
});

describe('headlineOf', () => {
  const body = (one: ConditionBody) => condition(one);

  it('says what usually comes true last: act > time > pages seen > page > who > date', () => {
    const date = body({ kind: 'dates', from: 1, to: 2 });
    const who = body({ kind: 'visit', is: 'returning' });
    const seen = body({ kind: 'pages-seen', atLeast: 3 });
    const act = body({ kind: 'scrolled', percent: 60 });
    expect(headline(all(date, who))).toEqual([['visit'], null]);
    expect(headline(all(who, page('/a'), date))).toEqual([['page'], null]);
    expect(headline(all(page('/a'), seen))).toEqual([['pages-seen'], { page: '/a' }]);
    expect(headline(all(seen, seconds(9), page('/a', '/b')))).toEqual([['on-page'], { pages: 2 }]);
    expect(headline(all(seconds(9), act))).toEqual([['scrolled'], null]);
  });

  it('never speaks of what equals the lane, but of nobody and closed', () => {
    expect(headline(all(body({ kind: 'state', states: ['in', 'nearby'] })))).toEqual([[], null]);
    expect(headline(all(body({ kind: 'state', states: ['closed'] })))).toEqual([['state'], null]);
    expect(headline(all(not({ kind: 'state', states: ['in'] })))).toEqual([['not state'], null]);
  });

  it('any of: each of them; a group inside of all of counts by its best; what is only left out goes last', () => {
    const leaving = body({ kind: 'leaving' });
    expect(headline(any(seconds(40), leaving))).toEqual([['on-page', 'leaving'], null]);
    const group = { join: 'any', conditions: [seconds(40), leaving], isNot: false } as const;
    expect(headline(all(page('/a'), group))).toEqual([['on-page', 'leaving'], { page: '/a' }]);
    expect(
      headline(all(not({ kind: 'scrolled', percent: 50 }), body({ kind: 'visit', is: 'first' }))),
    ).toEqual([['visit'], null]);
    expect(headline(all({ ...group, isNot: true }))).toEqual([['not on-page', 'not leaving'], null]);
    expect(headline(all())).toEqual([[], null]);
  });
});
