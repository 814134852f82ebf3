import { EMPTY_MEMORY, type Memory } from '../../src/core/model/memory';
import { remember } from '../../src/core/decide/remember';
import {
  type Circumstances,
  type Level,
  UNKNOWN_VISITOR,
  pageViewAt,
} from '../../src/core/model/circumstances';
import type { Calendar } from '../../src/core/model/calendar';
import type { Condition, ConditionBody, Group, When } from '../../src/core/model/condition';
import type { Design, Widget } from '../../src/core/model/design';
import type { Invitation } from '../../src/core/model/invitation';
import { BEHAVIOURS, TEAM_STATES } from '../../src/core/model/moment';
import { DAY_MS, HOUR_MS, MINUTE_MS, SECOND_MS } from '../../src/core/model/units';
import type { PublishedSite } from '../../src/core/wire/published-site';
import type { ConversationStatus } from '../../src/core/model/conversation';
import { type Dice, diceOf } from './dice';
import { calendar, everyDay } from './hours';
import { madeInvitation } from './invitations';
import { DESK, EVENING, madeDesign, madeSite, madeTalk, pageRule } from './site';

// Sites and visits by chance, seeded: everything a law of the engine runs over.

const PATHS = ['/', '/tonight', '/groups/schools', '/privacy', '/visit'];
const STATES = [...TEAM_STATES, 'closed'] as const;

/** A condition of any kind; instant conditions are never negated. */
export function anyCondition(dice: Dice): Condition {
  const bodies: (() => ConditionBody)[] = [
    () => ({
      kind: 'page',
      rules: [pageRule(dice.pick(['exact', 'begins-with', 'contains']), dice.pick(PATHS))],
    }),
    () => ({ kind: 'device', devices: [dice.pick(['desktop', 'phone'] as const)] }),
    () => ({ kind: 'state', states: dice.some(STATES, 3) }),
    () => ({ kind: 'visit', is: dice.pick(['first', 'returning'] as const) }),
    () => ({ kind: 'pages-seen', atLeast: dice.int(1, 4) }),
    () => ({ kind: 'visits-in-days', atLeast: dice.int(1, 4), days: 14 }),
    () => ({
      kind: 'week-time',
      days: dice.some([0, 1, 2, 3, 4, 5, 6], 5),
      from: dice.int(0, 1440),
      to: dice.int(0, 1440),
    }),
    () => {
      const from = 20_782 + dice.int(-2, 3);
      return { kind: 'dates', from, to: from + dice.int(0, 3) };
    },
    () => ({ kind: 'on-page', seconds: dice.int(1, 120) }),
    () => ({ kind: 'in-visit', seconds: dice.int(1, 300) }),
    () => ({ kind: 'idle', seconds: dice.int(5, 60) }),
    () => ({ kind: 'scrolled', percent: dice.int(10, 101) }),
    () => ({ kind: 'seen', selector: '.map' }),
  ];
  const pulses: (() => ConditionBody)[] = [
    () => ({ kind: 'leaving' }),
    () => ({ kind: 'clicked', selector: '.map' }),
    () => ({ kind: 'form-left' }),
  ];
  if (dice.flip(0.12)) return { ...dice.pick(pulses)(), isNot: false };
  return { ...dice.pick(bodies)(), isNot: dice.flip(0.2) };
}

function anyWhen(dice: Dice): When {
  const item = (): Condition | Group =>
    dice.flip(0.2)
      ? {
          join: dice.pick(['all', 'any'] as const),
          isNot: dice.flip(0.2),
          conditions: dice.some([0, 1, 2], 3).map(() => anyCondition(dice)),
        }
      : anyCondition(dice);
  return { join: dice.flip(0.75) ? 'all' : 'any', items: Array.from({ length: dice.int(0, 4) }, item) };
}

export function anyInvitation(dice: Dice, id: string): Invitation {
  return madeInvitation({
    id,
    approach: dice.pick(['speak', 'speak', 'speak', 'open', 'stir'] as const),
    when: anyWhen(dice),
    oncePer: dice.pick([
      { kind: 'page' },
      { kind: 'page' },
      { kind: 'visit' },
      { kind: 'visitor' },
      { kind: 'days', days: dice.int(1, 4) },
    ] as const),
    atMost: dice.flip(0.2) ? dice.int(1, 4) : null,
  });
}

export function anyCalendar(dice: Dice): Calendar {
  const from = dice.int(0, 1380);
  const interval = { from, to: from + dice.int(15, 900) };
  const week = everyDay('09:00-12:00 14:00-18:30').map((usual) =>
    dice.flip(0.3) ? [interval] : dice.flip(0.2) ? [] : usual,
  );
  const day = 20_782 + dice.int(-1, 3);
  const exception = {
    id: 'x',
    name: 'Moon festival',
    days: { kind: 'holiday' as const, day },
    intervals: [],
    endsNightBefore: dice.flip(0.3),
  };
  const closing = {
    kind: 'timed' as const,
    from: EVENING + dice.int(-600, 600) * MINUTE_MS,
    to: EVENING + dice.int(601, 1800) * MINUTE_MS,
    name: 'Mast',
  };
  return calendar({
    week,
    exceptions: dice.flip(0.4) ? [exception] : [],
    closings: dice.flip(0.3) ? [closing] : [],
  });
}

/** A design with one to three widgets, up to six invitations each, limits and timings by chance. */
export function anyDesign(dice: Dice): Design {
  const [base] = madeDesign().widgets as [Widget];
  const widgets = Array.from({ length: dice.int(1, 4) }, (_, place): Widget => ({
    ...base,
    id: `00000000w${place}`,
    key: `widget-${place}`,
    calendarId: dice.flip(0.6) ? 'night' : null,
    pages: {
      showOn: place === 0 && dice.flip() ? [pageRule('begins-with', '/groups/')] : [],
      neverOn: dice.flip(0.2) ? [pageRule('exact', '/privacy')] : [],
    },
    audience: dice.flip(0.2) ? [{ kind: 'device', devices: ['desktop'], isNot: dice.flip(0.3) }] : [],
    behaviours: {
      in: 'chat',
      nearby: 'chat',
      busy: dice.pick(['queue', 'note'] as const),
      nobody: dice.pick(BEHAVIOURS),
      closed: dice.pick(BEHAVIOURS),
    },
    invitations: Array.from({ length: dice.int(0, 7) }, (_, index) =>
      anyInvitation(dice, `invite-${place}-${index}`),
    ),
    talks: { keepsWaiting: dice.flip(), offersAgain: dice.flip() },
    timings: { ...base.timings, slowReplyTalkingAfter: dice.flip() ? 600 : null },
  }));
  const limits = {
    perVisit: dice.int(1, 4),
    gap: dice.int(0, 200),
    beforeClosing: dice.int(0, 900),
    afterTalk: dice.pick([0, 3600, 86_400]),
    restDays: dice.int(1, 31),
  };
  return madeDesign({}, { widgets, limits });
}

const SITES: PublishedSite[] = [];
const SITES_MADE = 250;

/** One of a few hundred sites, published once each; chance picks it and who is in. */
export function anySite(dice: Dice): PublishedSite {
  const place = dice.int(0, SITES_MADE);
  const site = (SITES[place] ??= makeSite(diceOf(place + 1)));
  return { ...site, pointer: { ...site.pointer, teams: { [DESK]: dice.pick(TEAM_STATES) } } };
}

function makeSite(dice: Dice): PublishedSite {
  const override = {
    isOpen: dice.flip(),
    until: EVENING + dice.int(1, 3000) * MINUTE_MS,
    reason: dice.flip() ? 'Cloud' : '',
  };
  return madeSite({
    design: anyDesign(dice),
    calendars: [anyCalendar(dice)],
    overrides: dice.flip(0.2) ? { night: override } : {},
    teams: { [DESK]: dice.pick(TEAM_STATES) },
  });
}

function anyCounts(dice: Dice, known: Memory, now: number): Memory['counts'] {
  return known.visit === null || dice.flip()
    ? {}
    : { 'invite-0-0': [dice.int(1, 3), dice.int(1, 4), now - dice.int(0, 3) * DAY_MS] };
}

/** Somebody somewhere in a visit, with whatever may be known of them. */
export function anyVisit(dice: Dice): Circumstances {
  const now = EVENING + dice.int(0, 26 * 3600) * SECOND_MS;
  const address = `https://farrowisle.example${dice.pick(PATHS)}`;
  const began = now - dice.int(0, 100) * SECOND_MS;
  const level = dice.pick(['none', 'asked', 'kept', 'kept'] as const satisfies readonly Level[]);
  const came = { kind: 'page-view', at: began, address, referrer: null, campaign: null } as const;
  const known = remember(
    remember(remember(EMPTY_MEMORY, { ...came, at: began - 3 * DAY_MS }, level), came, level),
    { kind: 'seen', at: began },
    level,
  );
  const memory = {
    ...known,
    visit:
      known.visit === null
        ? null
        : { ...known.visit, shown: dice.int(0, 3), leftAt: dice.flip(0.3) ? began : null },
    restUntil: dice.flip(0.1) ? now + dice.int(-100, 1000) * SECOND_MS : null,
    putAwayUntil: dice.flip(0.1) ? now + dice.int(-100, 1000) * SECOND_MS : null,
    counts: anyCounts(dice, known, now),
  };
  const isVisible = dice.flip(0.9);
  const clock = { doneMs: dice.int(0, 60) * SECOND_MS, since: isVisible ? began : null };
  const standing = dice.flip(0.35)
    ? dice.pick(['asked', 'joined', 'ended', 'note'] as const satisfies readonly ConversationStatus[])
    : null;
  const asked = now - dice.int(0, 200) * SECOND_MS - (dice.flip(0.2) ? 13 * HOUR_MS : 0);
  return {
    now,
    heardAt: dice.flip(0.9) ? now - dice.int(0, 250) * SECOND_MS : null,
    isLit: dice.flip(0.8),
    page: {
      ...pageViewAt(address, began),
      isVisible,
      clock,
      idle: { doneMs: 0, since: isVisible ? began + dice.int(0, 5) * SECOND_MS : null },
      scrolled: dice.int(0, 101),
      seen: dice.flip(0.3) ? ['.map'] : [],
      instantEvent: dice.flip(0.1) ? { kind: 'leaving' } : null,
      isTyping: dice.flip(0.15),
      hasOpened: dice.flip(0.1),
      shown: dice.flip(0.1) ? ['invite-0-1'] : [],
      leftAt: dice.flip(0.2) ? began : null,
    },
    forcedWidget: dice.flip(0.05) ? 'widget-0' : null,
    visitor: {
      ...UNKNOWN_VISITOR,
      visit: known.visit === null ? 'unknown' : 'returning',
      device: dice.pick(['desktop', 'phone'] as const),
      isStill: dice.flip(0.2),
    },
    level,
    memory,
    moment: null,
    isWindowOpen: dice.flip(0.35),
    invited: dice.flip(0.1) ? { id: dice.pick(['invite-0-0', 'invite-0-1', 'gone']), at: began } : null,
    conversation:
      standing === null
        ? null
        : madeTalk({
            standing,
            widgetKey: 'widget-0',
            askedMs: asked,
            lastMs: asked,
            waitingMs: dice.flip() ? asked : null,
            noteMail: 'a@b.example',
          }),
    unread: dice.int(0, 3),
    asksAgain: dice.flip(0.3),
    asksFor: null,
  };
}
