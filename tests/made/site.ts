import { EMPTY_MEMORY } from '../../src/core/model/memory';
import { toWireCalendar } from '../../src/core/hours/compile';
import type { Calendar, Override } from '../../src/core/model/calendar';
import {
  type Circumstances,
  type PageView,
  UNKNOWN_VISITOR,
  type Visitor,
  pageViewAt,
} from '../../src/core/model/circumstances';
import { defaultDesign } from '../../src/core/model/defaults';
import type { Design, Widget } from '../../src/core/model/design';
import type { PageRule } from '../../src/core/model/page-rule';
import type { TeamState } from '../../src/core/model/moment';
import type { WireCalendar } from '../../src/core/wire/facts-file';
import { publish } from '../../src/core/publish/publish';
import type { PublishedSite } from '../../src/core/wire/published-site';
import type { ConversationFacts } from '../../src/core/model/conversation';
import type { Reader } from '../../src/core/words/format-text';
import { offsetAt, toZone } from '../../src/core/hours/zone';
import { AZORES, ZONES } from './hours';

/** 2026-11-25T21:00Z, an evening in the Azores. */
export const EVENING = 1_795_640_400_000;
export const DESK = '0000000desk';

/** The default design of a made-up site, with one team; `change` touches its only widget. */
export function madeDesign(change: Partial<Widget> = {}, more: Partial<Design> = {}): Design {
  const design = defaultDesign('Farrow Isle', 'en', '#7a2e5d', () => '00000000id');
  return {
    ...design,
    widgets: design.widgets.map((widget) => ({ ...widget, teams: [DESK], ...change })),
    ...more,
  };
}

export interface MadeSite {
  readonly design?: Design;
  readonly locale?: string;
  readonly teams?: Readonly<Record<string, TeamState>>;
  readonly paused?: boolean;
  readonly calendars?: readonly Calendar[];
  readonly overrides?: Readonly<Record<string, Override>>;
}

/** A site as a page has it: through the real `publish()`. */
export function madeSite({
  design = madeDesign(),
  locale = 'en',
  teams = { [DESK]: 'in' },
  paused = false,
  calendars = [],
  overrides = {},
}: MadeSite = {}): PublishedSite {
  const made = publish(design, 1, locale);
  if (!made.ok) throw new Error(`Expected a publishable design, got ${JSON.stringify(made.errors)}.`);
  return {
    design: made.value,
    facts: {
      v: 1,
      revision: 1,
      zone: AZORES,
      zones: { [AZORES]: ZONES.offsetsOf(AZORES, Date.UTC(2025, 0, 1), Date.UTC(2038, 0, 1)) ?? [] },
      calendars: Object.fromEntries(calendars.map((one) => [one.id, published(one)])),
      teams: Object.fromEntries(Object.keys(teams).map((id) => [id, { name: {}, calendar: null }])),
    },
    pointer: {
      v: 1,
      design: 'd1-0000000000000000',
      facts: 'f1-0000000000000000.json',
      version: 1,
      revision: 1,
      locales: design.locales,
      paused,
      overrides,
      teams,
      panel: 'panel-0000000000000000.js',
      askBefore: null,
    },
  };
}

function published(calendar: Calendar): WireCalendar {
  const made = toWireCalendar(calendar);
  if (!made.ok)
    throw new Error(`Expected a calendar that can be published, got ${JSON.stringify(made.errors)}.`);
  return made.value;
}

type VisitChange = Partial<Omit<Circumstances, 'page' | 'visitor'>> & {
  readonly page?: Partial<PageView>;
  readonly visitor?: Partial<Visitor>;
};

/** Somebody who has just come to a page, with a pointer heard this instant and a lamp that is painted by it. */
export function madeVisit({ page, visitor, ...change }: VisitChange = {}): Circumstances {
  const now = change.now ?? EVENING;
  return {
    now,
    heardAt: EVENING,
    isLit: true,
    page: { ...pageViewAt('https://farrowisle.example/tonight', EVENING), ...page },
    forcedWidget: null,
    visitor: { ...UNKNOWN_VISITOR, ...visitor },
    level: 'asked',
    memory: EMPTY_MEMORY,
    moment: null,
    isWindowOpen: false,
    invited: null,
    conversation: null,
    unread: 0,
    asksAgain: false,
    asksFor: null,
    ...change,
  };
}

export function madeTalk(change: Partial<ConversationFacts> = {}): ConversationFacts {
  return {
    id: 'talk',
    standing: 'asked',
    widgetKey: 'main',
    askedMs: EVENING,
    joinedMs: null,
    endedMs: null,
    endedBy: null,
    responderName: null,
    noteMail: null,
    isAnswered: false,
    lastMs: EVENING,
    waitingMs: EVENING,
    teamId: null,
    place: null,
    isAfterGiven: false,
    ...change,
  };
}

export function pageRule(kind: PageRule['kind'], text: string): PageRule {
  return { id: `00000000${kind.replace('-', '')}`, kind, part: 'path', text, ignoresCase: false };
}

/** Somebody who hears a text: in English, while somebody is in, on the day of EVENING, by the clock of the Azores as the site is. */
export function madeHearer(change: Partial<Reader> = {}): Reader {
  const zone = toZone(ZONES.offsetsOf(AZORES, Date.UTC(2025, 0, 1), Date.UTC(2038, 0, 1)) ?? []);
  return {
    state: 'in',
    visit: 'unknown',
    locale: 'en',
    team: null,
    sendsLetters: true,
    closedBy: null,
    zone,
    place: 'Azores',
    minutesEast: (instant) => offsetAt(zone, instant) / 60_000,
    today: 20_782,
    ...change,
  };
}
