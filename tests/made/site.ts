import type { Circumstances } from '../../src/core/model/circumstances';
import { defaultDesign } from '../../src/core/model/defaults';
import type { Design, PageRule, Widget } from '../../src/core/model/design';
import type { TeamState } from '../../src/core/model/moment';
import { publish } from '../../src/core/wire/publish';
import type { PublishedSite } from '../../src/core/wire/published-site';
import type { ConversationFacts } from '../../src/core/wire/talk';

/** 2026-11-25T21:00Z, an evening in the Azores. */
export const EVENING = 1_795_640_400_000;
export const DESK = '0000000desk';

/** The default design of a made-up site, with one team; `change` touches its only widget. */
export function madeDesign(change: Partial<Widget> = {}, more: Partial<Design> = {}): Design {
  const design = defaultDesign('Farrow Isle', 'en', '#7a2e5d', () => '00000000id');
  return { ...design, widgets: design.widgets.map((widget) => ({ ...widget, teams: [DESK], ...change })), ...more };
}

export interface MadeSite {
  readonly design?: Design;
  readonly locale?: string;
  readonly teams?: Readonly<Record<string, TeamState>>;
  readonly paused?: boolean;
}

/** A site as a page has it: through the real `publish()`. */
export function madeSite({ design = madeDesign(), locale = 'en', teams = { [DESK]: 'in' }, paused = false }: MadeSite = {}): PublishedSite {
  const made = publish(design, 1, locale);
  if (!made.ok) throw new Error(`Expected a publishable design, got ${JSON.stringify(made.errors)}.`);
  return {
    design: made.value,
    facts: {
      v: 1,
      revision: 1,
      zones: {},
      calendars: {},
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
      overrides: {},
      teams,
      panel: 'panel-0000000000000000.js',
      askBefore: null,
    },
  };
}

/** Somebody who has just come to a page, with a pointer heard this instant. */
export function madeVisit(change: Partial<Circumstances> = {}): Circumstances {
  return {
    now: EVENING,
    heardAt: EVENING,
    page: { address: 'https://farrowisle.example/tonight' },
    forcedWidget: null,
    visitor: { visit: 'unknown', device: 'desktop' },
    isWindowOpen: false,
    isPutAway: false,
    conversation: null,
    unread: 0,
    asksAgain: false,
    ...change,
  };
}

export function madeTalk(change: Partial<ConversationFacts> = {}): ConversationFacts {
  return {
    id: 'talk',
    standing: 'asked',
    widgetKey: 'everywhere',
    askedMs: EVENING,
    joinedMs: null,
    endedMs: null,
    endedBy: null,
    responderName: null,
    noteMail: null,
    isAnswered: false,
    ...change,
  };
}

export function pageRule(kind: PageRule['kind'], text: string): PageRule {
  return { id: `00000000${kind.replace('-', '')}`, kind, part: 'path', text, ignoresCase: false };
}
