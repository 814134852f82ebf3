import { describe, expect, it } from 'vitest';
import { at, calendar, everyDay } from '../../../tests/made/hours';
import { all, condition, invitations } from '../../../tests/made/invitations';
import { EVENING, madeDesign, madeSite, madeTalk, madeVisit, pageRule } from '../../../tests/made/site';
import { decide } from '../decide/decide';
import { explain } from '../decide/explain';
import { EMPTY_MEMORY, type Memory } from '../model/memory';
import { remember } from '../decide/remember';
import type { Invitation, InvitationLimits } from '../model/invitation';
import { DAY_MS, SECOND_MS } from '../model/units';
import { approachHere } from './approach';
import { needsMemory } from './compile';

const LIMITS: InvitationLimits = {
  perVisit: 3,
  gap: 120,
  beforeClosing: 600,
  afterTalk: 86_400,
  restDays: 30,
};
const [A, B] = ['invitation-a', 'invitation-b'];
const site = (
  list: Partial<Invitation>[],
  limits: Partial<InvitationLimits> = {},
  more: Parameters<typeof madeSite>[0] = {},
  widget = {},
) =>
  madeSite({
    design: madeDesign({ ...invitations(...list), ...widget }, { limits: { ...LIMITS, ...limits } }),
    ...more,
  });
const after = (seconds: number) => EVENING + seconds * SECOND_MS;
/** Someone whose visits are remembered, in their first one. */
const kept = (change: Partial<NonNullable<Memory['visit']>> = {}, counts: Memory['counts'] = {}) => {
  const memory = remember(
    EMPTY_MEMORY,
    { kind: 'page-view', at: EVENING, address: '/', referrer: null, campaign: null },
    'kept',
  );
  return {
    level: 'kept' as const,
    memory: { ...memory, counts, visit: memory.visit === null ? null : { ...memory.visit, ...change } },
  };
};
const whyNot = (...args: Parameters<typeof explain>) =>
  explain(...args).find(
    ({ reason, outcome: standing }) => reason.about === 'invitation' && standing !== 'decided',
  );

describe('an invitation', () => {
  it('[I3] shows while its conditions hold, its limits allow it, and nothing stands in the way', () => {
    expect(decide(site([{}]), madeVisit()).show).toBe(A);
  });

  it.each([
    ['the window is open', { isWindowOpen: true }, 'window-open'],
    ['the page is hidden', { page: { isVisible: false } }, 'page-hidden'],
    ['somebody is typing', { page: { isTyping: true } }, 'typing'],
    ['another is on the screen', { invited: { id: B, at: EVENING } }, 'one-on-screen'],
  ] as const)('[I3] [I9] does not show while %s, and explain says so', (_, change, code) => {
    const made = site([{}, { when: all(condition({ kind: 'device', devices: ['desktop'] })) }]);
    expect(decide(made, madeVisit(change)).show).toBeNull();
    expect(whyNot(made, madeVisit(change))?.reason.code).toBe(code);
  });

  it('[I3] is only due on an old word: the pointer is to be asked, and nothing is shown before it was', () => {
    const decision = decide(site([{}]), madeVisit({ now: after(15) }));
    expect(decision).toMatchObject({ show: null, wantsFresh: true });
    expect(decide(site([{}]), madeVisit({ now: after(15), heardAt: after(15) }))).toMatchObject({
      show: A,
      wantsFresh: false,
    });
  });

  it('[I3] somebody who was in when it was last heard is asked for again, also when that word has long gone stale', () => {
    const made = site([
      {
        when: all(condition({ kind: 'on-page', seconds: 300 }), condition({ kind: 'state', states: ['in'] })),
      },
    ]);
    const early = madeVisit({ now: after(181), isLit: false });
    expect(decide(made, early)).toMatchObject({ isStateKnown: false, askAgainAt: after(300) });
    expect(decide(made, { ...early, now: after(300) })).toMatchObject({ show: null, wantsFresh: true });
    expect(decide(made, { ...early, now: after(300), heardAt: after(300) }).show).toBe(A);
  });

  it('[I4] of several the first in the list shows, not the one that came true first', () => {
    const list = [
      { when: all(condition({ kind: 'on-page', seconds: 30 })) },
      { when: all(condition({ kind: 'on-page', seconds: 10 })) },
    ];
    const visit = madeVisit({ now: after(30), heardAt: after(30) });
    expect(decide(site(list), visit).show).toBe(A);
    expect(decide(site(list), madeVisit({ now: after(10) })).show).toBe(B);
  });

  it('[I4] an instant event that a limit blocks is lost: it does not wait for the limit', () => {
    const made = site([{ when: all(condition({ kind: 'leaving' })) }]);
    const leaving = madeVisit({
      ...kept({ leftAt: EVENING, shown: 1 }),
      page: { instantEvent: { kind: 'leaving' } },
    });
    expect(decide(made, leaving).show).toBeNull();
    const free = after(121);
    expect(
      decide(made, { ...leaving, now: free, heardAt: free, page: { ...leaving.page, instantEvent: null } })
        .show,
    ).toBeNull();
  });

  it('[I5] once per page view, visit, visitor, days: each by its own counter', () => {
    const counted = (number: number, ago: number) =>
      madeVisit(kept({ number, startedAt: EVENING }, { [A]: [2, 1, EVENING - ago] }));
    const shows = (oncePer: Invitation['oncePer'], visit: ReturnType<typeof counted>) =>
      decide(site([{ oncePer }]), visit).show;
    expect(decide(site([{}]), madeVisit({ ...kept(), page: { shown: [A] } })).show).toBeNull();
    expect(shows({ kind: 'visit' }, counted(2, 60_000))).toBeNull();
    expect(shows({ kind: 'visit' }, counted(3, 60_000))).toBe(A);
    expect(shows({ kind: 'visitor' }, counted(9, 300 * DAY_MS))).toBeNull();
    expect(shows({ kind: 'days', days: 3 }, counted(3, 3 * DAY_MS - 1))).toBeNull();
    expect(shows({ kind: 'days', days: 3 }, counted(3, 3 * DAY_MS))).toBe(A);
  });

  it('[I5] at most so often in all, whatever its other limit allows', () => {
    const visit = madeVisit(kept({ number: 9 }, { [A]: [3, 2, EVENING - 90 * DAY_MS] }));
    expect(decide(site([{ atMost: 2 }]), visit).show).toBeNull();
    expect(decide(site([{ atMost: 3 }]), visit).show).toBe(A);
  });

  it('[I6] so many a visit, and the gap counts from when the last one left, not from when it came', () => {
    expect(decide(site([{}], { perVisit: 2 }), madeVisit(kept({ shown: 2 }))).show).toBeNull();
    const left = kept({ shown: 1, leftAt: EVENING });
    expect(decide(site([{}]), madeVisit({ ...left, now: after(119), heardAt: after(119) })).show).toBeNull();
    expect(decide(site([{}]), madeVisit({ ...left, now: after(120), heardAt: after(120) })).show).toBe(A);
    expect(decide(site([{}]), madeVisit({ ...left, now: after(10), heardAt: after(10) })).askAgainAt).toBe(
      after(120),
    );
  });

  it('[I6] none in the last ten minutes before closing, and again once the door is open anew', () => {
    const night = calendar({ week: everyDay('19:00-21:00') }); // 20:00Z–22:00Z in winter
    const made = site([{}], {}, { calendars: [night] }, { calendarId: 'night' });
    const showsAt = (text: string) => decide(made, madeVisit({ now: at(text), heardAt: at(text) })).show;
    expect(showsAt('2026-11-25T21:49:59')).toBe(A);
    expect(showsAt('2026-11-25T21:50')).toBeNull();
    expect(showsAt('2026-11-25T22:00')).toBe(A); // closed now: what it says of people is the owner's own condition
  });

  it('[I6] none while a conversation runs, nor for 24 h after its last message, nor where the visitor opened the window', () => {
    const made = site([{}]);
    expect(decide(made, madeVisit({ conversation: madeTalk() })).show).toBeNull();
    const ended = madeTalk({ standing: 'ended', lastMs: EVENING - DAY_MS + 1 });
    expect(decide(made, madeVisit({ conversation: ended })).show).toBeNull();
    expect(decide(made, madeVisit({ conversation: { ...ended, lastMs: EVENING - DAY_MS } })).show).toBe(A);
    expect(decide(made, madeVisit({ page: { hasOpened: true } })).show).toBeNull();
  });

  it('[I7] after a no all rest for thirty days, other ones too', () => {
    const memory = remember(EMPTY_MEMORY, { kind: 'declined', at: EVENING, restDays: 30 }, 'asked');
    const made = site([{}, { when: all() }]);
    expect(decide(made, madeVisit({ memory, now: after(5), heardAt: after(5) })).show).toBeNull();
    const later = EVENING + 30 * DAY_MS;
    expect(decide(made, madeVisit({ memory, now: later, heardAt: later })).show).toBe(A);
    expect(decide(made, madeVisit({ page: { hasDeclined: true } })).show).toBeNull(); // nothing may be kept: this page at least
  });

  it('[I8] stays on the screen when time goes on or its clock starts anew, and is withdrawn when a state fails', () => {
    const someone = condition({ kind: 'state', states: ['in'] });
    const list = [{ when: all(condition({ kind: 'idle', seconds: 20 }), someone) }];
    const shown = {
      invited: { id: A, at: EVENING },
      page: { shown: [A], idle: { doneMs: 0, since: EVENING } },
    };
    expect(decide(site(list), madeVisit(shown)).withdraw).toBeNull();
    expect(decide(site(list, {}, { teams: { '0000000desk': 'nobody' } }), madeVisit(shown)).withdraw).toBe(A);
  });

  it('[I8] an invitation that is published no more is withdrawn', () => {
    expect(decide(site([{}]), madeVisit({ invited: { id: 'gone', at: EVENING } })).withdraw).toBe('gone');
  });

  it('[I10] open speaks on a phone unless the owner says otherwise; a stir under reduced motion does nothing and counts as nothing', () => {
    const [open, owner, stir] =
      site([{ approach: 'open' }, { approach: 'open', opensOnPhones: true }, { approach: 'stir' }]).design
        .widgets[0]?.invitations ?? [];
    if (open === undefined || owner === undefined || stir === undefined)
      throw new Error('Expected three invitations.');
    const phone = madeVisit({ visitor: { device: 'phone' } });
    expect([approachHere(open, madeVisit()), approachHere(open, phone), approachHere(owner, phone)]).toEqual([
      'open',
      'speak',
      'open',
    ]);
    expect(decide(site([{ approach: 'stir' }, {}]), madeVisit({ visitor: { isStill: true } })).show).toBe(B);
  });

  it('[I11] one that was edited keeps its id and its count; an id of its own counts anew', () => {
    const counts: Memory['counts'] = { [A]: [1, 1, EVENING - DAY_MS] };
    const visit = madeVisit(kept({}, counts));
    const reworded = site([{ oncePer: { kind: 'visitor' }, texts: { en: 'Other words' } }]);
    expect(decide(reworded, visit).show).toBeNull();
    expect(decide(site([{ id: 'a-copy-of-it', oncePer: { kind: 'visitor' } }]), visit).show).toBe(
      'a-copy-of-it',
    );
  });

  it('[I13] what cannot be remembered does not show, negated or not; what needs no memory does, once a page', () => {
    const returning = { isNot: true, kind: 'visit', is: 'returning' } as const;
    const list = [{ when: all(returning) }, { oncePer: { kind: 'visit' } as const }, {}];
    const visit = madeVisit({ level: 'asked' });
    expect(decide(site(list), visit).show).toBe('invitation-c');
    expect(whyNot(site([{ when: all(returning) }]), visit)?.reason.code).toBe('not-remembered');
    expect(decide(site(list), madeVisit({ page: { shown: ['another'] } })).show).toBeNull();
    expect(needsMemory({ when: all(), oncePer: { kind: 'page' }, atMost: 2 } as Invitation)).toBe(true);
  });

  it('[D2] explain says what a condition lacks, and how much', () => {
    const list = [
      {
        when: all(
          condition({ kind: 'on-page', seconds: 40 }),
          condition({ kind: 'scrolled', percent: 60 }),
          condition({ kind: 'page', rules: [pageRule('exact', '/x')] }),
        ),
      },
    ];
    const verdict = whyNot(site(list), madeVisit({ now: after(27), page: { scrolled: 35 } }));
    expect(verdict).toMatchObject({ outcome: 'failed', reason: { code: 'condition-fails' } });
    expect(verdict?.unmet).toEqual([
      { kind: 'on-page', isNot: false, shortfall: { ms: 13_000 }, canCome: true },
      { kind: 'scrolled', isNot: false, shortfall: { percent: 25 }, canCome: true },
      { kind: 'page', isNot: false, shortfall: null, canCome: false },
    ]);
  });
});
