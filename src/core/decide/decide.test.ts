import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DESK, EVENING, madeDesign, madeSite, madeTalk, madeVisit, pageRule } from '../../../tests/made/site';
import type { Circumstances } from '../model/circumstances';
import { MINUTE_MS } from '../model/units';
import type { ConditionBody } from '../model/condition';
import type { PageRule } from '../model/page-rule';
import type { WireCaseCondition, WireWidget } from '../wire/design-file';
import { holds } from '../words/format-text';
import { decide } from './decide';
import type { Decision } from './decision';
import { EMPTY_MEMORY } from '../model/memory';
import { explain } from './explain';
import { readerOf } from './reader';
import { HELD_MS } from '../context/presence';

const codes = (site: Parameters<typeof decide>[0], visit: Circumstances) =>
  decide(site, visit).because.map(({ code }) => code);

describe('decide', () => {
  it('[D1] gives keys and values, nothing formatted', () => {
    const { lines } = decide(madeSite(), madeVisit({ unread: 2 }));
    expect(lines).toEqual([
      { key: 'launcher.words', values: {} },
      { key: 'launcher.name', values: {} },
      { key: 'launcher.unread', values: { count: 2 } },
    ]);
  });

  it('[D2] has at most one reason of each kind, and says what decided', () => {
    expect(codes(madeSite(), madeVisit())).toEqual([
      'first-that-takes-the-page',
      'somebody-in',
      'window-closed',
      'spoken-in',
    ]);
    expect(codes(madeSite({ teams: { [DESK]: 'nobody' } }), madeVisit())).toContain('nobody-in');
    expect(codes(madeSite({ paused: true }), madeVisit())).toEqual(['site-paused']);
    const elsewhere = madeSite({
      design: madeDesign({ pages: { showOn: [pageRule('exact', '/x')], neverOn: [] } }),
    });
    expect(codes(elsewhere, madeVisit())).toEqual(['no-widget-here']);
  });

  it('[D4] a rule of tomorrow counts as false instead of throwing', () => {
    const site = madeSite();
    const [widget] = site.design.widgets;
    const odd = {
      ...site,
      design: { ...site.design, widgets: [{ ...widget, show: [['of-tomorrow', 'path', '/', false]] }] },
    };
    expect(decide(odd as never, madeVisit()).widget).toBeNull();
  });

  it('[D6] a team that is gone from the facts counts as nobody, and never throws', () => {
    const site = madeSite({ teams: {} });
    expect(decide(site, madeVisit())).toMatchObject({ widget: 'main', state: 'nobody' });
  });

  it('[A2] asks again after now, or never', () => {
    expect(decide(madeSite(), madeVisit()).askAgainAt).toBe(EVENING + HELD_MS);
    expect(decide(madeSite(), madeVisit({ now: EVENING + HELD_MS })).askAgainAt).toBeNull();
    expect(decide(madeSite({ teams: { [DESK]: 'nobody' } }), madeVisit()).askAgainAt).toBeNull();
  });

  it('[A1] law: nothing but askAgainAt changes before askAgainAt', () => {
    const site = madeSite();
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 10 * MINUTE_MS }), fc.nat({ max: 100_000 }), (age, share) => {
        const visit = madeVisit({ now: EVENING + age });
        const first = decide(site, visit);
        const until = first.askAgainAt ?? visit.now + 86_400_000;
        const later = decide(site, {
          ...visit,
          now: visit.now + Math.floor(((until - visit.now - 1) * share) / 100_000),
        });
        expect({ ...later, askAgainAt: 0 }).toEqual({ ...first, askAgainAt: 0 });
      }),
      { numRuns: 500, seed: 20261124 },
    );
  });

  it('[P14] the first widget in order that takes the page shows', () => {
    const [one] = madeDesign().widgets;
    if (one === undefined) throw new Error('Expected a widget.');
    const schools = {
      ...one,
      key: 'schools',
      pages: { showOn: [pageRule('begins-with', '/groups/')], neverOn: [] },
    };
    const site = madeSite({ design: madeDesign({}, { widgets: [schools, one] }) });
    const on = (path: string) =>
      decide(site, madeVisit({ page: { address: `https://farrowisle.example${path}` } })).widget;
    expect([on('/groups/schools'), on('/tonight')]).toEqual(['schools', 'main']);
  });

  it('[P14] data-widget names one whatever the page; an unknown name counts as absent', () => {
    const site = madeSite({
      design: madeDesign({ pages: { showOn: [pageRule('exact', '/x')], neverOn: [] } }),
    });
    expect(decide(site, madeVisit({ forcedWidget: 'main' })).widget).toBe('main');
    expect(decide(site, madeVisit({ forcedWidget: 'gone' })).widget).toBeNull();
  });

  it('[S5] out of sight hides the launcher, and not a running conversation', () => {
    const { behaviours: deeds } = madeDesign().widgets[0] ?? { behaviours: undefined };
    if (deeds === undefined) throw new Error('Expected deeds.');
    const site = madeSite({
      design: madeDesign({ behaviours: { ...deeds, nobody: 'out-of-sight' } }),
      teams: { [DESK]: 'nobody' },
    });
    expect(decide(site, madeVisit()).widget).toBeNull();
    expect(decide(site, madeVisit({ conversation: madeTalk({ standing: 'joined' }) })).widget).toBe('main');
  });

  it('[M8] pause hides the launcher, and a running conversation goes on', () => {
    const site = madeSite({ paused: true });
    expect(decide(site, madeVisit()).widget).toBeNull();
    expect(decide(site, madeVisit({ conversation: madeTalk({ standing: 'ended' }) })).widget).toBeNull();
    expect(decide(site, madeVisit({ conversation: madeTalk() })).widget).toBe('main');
  });

  it('[M8] a running conversation keeps the widget it began with on a page where another would be', () => {
    const [one] = madeDesign().widgets;
    if (one === undefined) throw new Error('Expected a widget.');
    const design = madeDesign({}, { widgets: [{ ...one, key: 'schools' }, one] });
    expect(decide(madeSite({ design }), madeVisit()).widget).toBe('schools');
    expect(decide(madeSite({ design }), madeVisit({ conversation: madeTalk() })).widget).toBe('main');
  });
});

describe('which widget', () => {
  const audience = (condition: ConditionBody, isNot = false) =>
    madeDesign({ audience: [{ ...condition, isNot }] });

  it('[P15] an audience that does not hold leaves the page to the next widget; a forced one is not asked', () => {
    const [one] = madeDesign().widgets;
    if (one === undefined) throw new Error('Expected a widget.');
    const phones = {
      ...one,
      key: 'phones',
      audience: [{ kind: 'device' as const, devices: ['phone' as const], isNot: false }],
    };
    const site = madeSite({ design: madeDesign({}, { widgets: [phones, one] }) });
    expect(decide(site, madeVisit()).widget).toBe('main');
    expect(decide(site, madeVisit({ visitor: { device: 'phone' } })).widget).toBe('phones');
    expect(decide(site, madeVisit({ forcedWidget: 'phones' })).widget).toBe('phones');
  });

  it('[P15] a negated audience shuts out those whom it names, and nobody of whom nothing is known', () => {
    const site = madeSite({ design: audience({ kind: 'country', countries: ['PT'] }, true) });
    expect(decide(site, madeVisit({ visitor: { country: 'PT' } })).widget).toBeNull();
    expect(decide(site, madeVisit()).widget).toBe('main');
  });

  it('[P16] who is left out by the server gets no widget, also where one is forced, and keeps a running conversation', () => {
    const site = madeSite();
    const leftOut = { ...site, pointer: { ...site.pointer, leftOut: true as const } };
    expect(decide(leftOut, madeVisit({ forcedWidget: 'main' })).widget).toBeNull();
    expect(decide(leftOut, madeVisit({ conversation: madeTalk() })).widget).toBe('main');
  });

  it('[P12] wildcards and expressions of a design decide by their automaton, without case where it has none', () => {
    const rules = (kind: 'wildcard' | 'expression', text: string, ignoresCase = false): PageRule[] => [
      { ...pageRule(kind, text), ignoresCase },
    ];
    const on = (showOn: PageRule[], path: string) =>
      decide(
        madeSite({ design: madeDesign({ pages: { showOn, neverOn: [] } }) }),
        madeVisit({ page: { address: `https://farrowisle.example${path}` } }),
      ).widget;
    expect(on(rules('wildcard', '/groups/*/dates'), '/groups/schools/dates')).toBe('main');
    expect(on(rules('wildcard', '/groups/*/dates'), '/groups/a/b/dates')).toBeNull();
    expect(on(rules('expression', '^/(tonight|visit)$', true), '/Tonight')).toBe('main');
    expect(on(rules('expression', '^/[A-C]x$', true), '/bX')).toBe('main');
    expect(on(rules('expression', '^/[^A]$', true), '/a')).toBeNull();
  });

  it('[M8] away from its pages a running conversation shows its unread count only', () => {
    const site = madeSite({
      design: madeDesign({ pages: { showOn: [], neverOn: [pageRule('exact', '/privacy')] } }),
    });
    const visit = madeVisit({
      conversation: madeTalk({ standing: 'joined' }),
      unread: 2,
      page: { address: 'https://farrowisle.example/privacy' },
    });
    const decision = decide(site, visit);
    expect(decision).toMatchObject({ widget: 'main', isCountOnly: true });
    expect(decision.lines.map(({ key }) => key)).toEqual(['launcher.name', 'launcher.unread']);
    expect(decide(site, madeVisit({ conversation: madeTalk({ standing: 'joined' }) })).isCountOnly).toBe(
      false,
    );
  });

  it('[V8] put away until an instant: then it is back by itself', () => {
    const memory = { ...EMPTY_MEMORY, putAwayUntil: EVENING + 60_000 };
    expect(decide(madeSite(), madeVisit({ memory }))).toMatchObject({
      widget: null,
      askAgainAt: EVENING + 60_000,
    });
    expect(decide(madeSite(), madeVisit({ memory, now: EVENING + 60_000 })).widget).toBe('main');
    expect(decide(madeSite(), madeVisit({ memory, conversation: madeTalk() })).widget).toBe('main');
  });

  it('[M7] lines of the server come from the conversation’s own times: comfort after 45 s, once, also after a reload', () => {
    const waits = (seconds: number) =>
      madeVisit({
        conversation: madeTalk(),
        isWindowOpen: true,
        now: EVENING + seconds * 1000,
        heardAt: EVENING + seconds * 1000,
      });
    const keys = (seconds: number) => decide(madeSite(), waits(seconds)).lines.map(({ key }) => key);
    expect(keys(44)).not.toContain('waiting.comfort');
    expect(keys(45)).toEqual(['window.title', 'waiting.status', 'waiting.first', 'waiting.comfort']);
    expect(keys(90)).toEqual(['window.title', 'waiting.status', 'slowReply.offer']);
    expect(
      decide(madeSite(), {
        ...waits(46),
        conversation: madeTalk({ waitingMs: null, standing: 'joined' }),
      }).lines.map(({ key }) => key),
    ).not.toContain('waiting.comfort');
  });
});

describe('words about people inside an open window', () => {
  const at = (seconds: number, conversation: Circumstances['conversation'] = null) =>
    decide(
      madeSite(),
      madeVisit({
        isWindowOpen: true,
        isLit: true,
        conversation,
        now: EVENING + seconds * 1000,
        heardAt: EVENING,
      }),
    );
  const said = (decision: Decision) => decision.lines.map(({ key }) => key);

  it('[S6] are said for fifteen seconds after what was heard last; the moment and the lamp hold for three minutes', () => {
    expect(at(14)).toMatchObject({ isStateFresh: true, askAgainAt: EVENING + 15_000 });
    expect(said(at(14))).toContain('status');
    expect(at(15)).toMatchObject({
      isStateFresh: false,
      wantsFresh: true,
      moment: 'at-the-door',
      state: 'in',
    });
    expect(said(at(15))).toEqual(['window.title', 'greeting']);
    expect(said(at(15, madeTalk()))).toEqual(['window.title']);
    expect(said(at(14, madeTalk()))).toEqual(['window.title', 'waiting.status', 'waiting.first']);
  });

  it('[S6] [T4] a wording for a state is not said either; a closed window goes by what is held', () => {
    const site = madeSite();
    const [widget] = site.design.widgets as [WireWidget];
    const hears = (seconds: number, condition: WireCaseCondition): boolean =>
      holds(
        condition,
        readerOf({ site, widget, decision: at(seconds), circumstances: madeVisit() }, () => 0),
      );
    expect([14, 15].map((seconds) => hears(seconds, ['state', 'in']))).toEqual([true, false]);
    expect(hears(15, ['state', 'nobody'])).toBe(false);
    expect(
      decide(madeSite(), madeVisit({ isLit: true, now: EVENING + 60_000, heardAt: EVENING })),
    ).toMatchObject({ state: 'in', isStateFresh: true });
  });
});

describe('the line of who waits', () => {
  it('[M7] while all are busy one sentence says so, not two', () => {
    const waiting = decide(
      madeSite({ teams: { [DESK]: 'busy' } }),
      madeVisit({ conversation: madeTalk({ place: 3 }), isWindowOpen: true }),
    );
    expect(waiting.lines.map(({ key }) => key)).toEqual(['window.title', 'waiting.status', 'waiting.place']);
  });

  it('[M7] the place is said where everybody is with someone, from the server’s count, and not once somebody joined', () => {
    const places = (teamState: 'busy' | 'in', standing: 'asked' | 'joined', place: number | null) =>
      decide(
        madeSite({ teams: { [DESK]: teamState } }),
        madeVisit({
          conversation: madeTalk({ standing, place, joinedMs: standing === 'joined' ? EVENING : null }),
          isWindowOpen: true,
        }),
      ).lines.filter(({ key }) => key === 'waiting.place');
    expect(places('busy', 'asked', 3)).toEqual([{ key: 'waiting.place', values: { place: 3 } }]);
    expect([places('in', 'asked', 3), places('busy', 'joined', null), places('busy', 'asked', null)]).toEqual(
      [[], [], []],
    );
  });
});

describe('explain', () => {
  it('[D2] names why each other widget did not show, with what it lacked', () => {
    const [one] = madeDesign().widgets;
    if (one === undefined) throw new Error('Expected a widget.');
    const never = { ...one, key: 'never', pages: { showOn: [], neverOn: [pageRule('exact', '/tonight')] } };
    const other = { ...one, key: 'other', pages: { showOn: [pageRule('exact', '/x')], neverOn: [] } };
    const site = madeSite({
      design: madeDesign({}, { widgets: [never, other, one, { ...one, key: 'late' }] }),
    });
    const told = explain(site, madeVisit())
      .slice(4)
      .map(({ outcome: standing, reason }) => [standing, reason.code, reason.facts.widget]);
    expect(told).toEqual([
      ['failed', 'never-here', 'never'],
      ['failed', 'not-among-its-pages', 'other'],
      ['ready', 'after-another-widget', 'late'],
    ]);
  });

  it('[D2] law: its winners are those of decide', () => {
    const standings = ['asked', 'joined', 'ended', 'note'] as const;
    const visits = fc.record({
      state: fc.constantFrom('in' as const, 'busy' as const, 'nobody' as const, 'nearby' as const),
      paused: fc.boolean(),
      isWindowOpen: fc.boolean(),
      conversation: fc.option(fc.constantFrom(...standings), { nil: null }),
      path: fc.constantFrom('/tonight', '/privacy', '/groups'),
      age: fc.integer({ min: 0, max: 2 * HELD_MS }),
    });
    const made = madeSite({
      design: madeDesign({ pages: { showOn: [], neverOn: [pageRule('exact', '/privacy')] } }),
    });
    fc.assert(
      fc.property(visits, ({ state, paused, isWindowOpen, conversation, path, age }) => {
        const site = { ...made, pointer: { ...made.pointer, teams: { [DESK]: state }, paused } };
        const visit = madeVisit({
          now: EVENING + age,
          isWindowOpen,
          conversation: conversation === null ? null : madeTalk({ standing: conversation }),
          page: { address: `https://farrowisle.example${path}` },
        });
        const winners = explain(site, visit).filter(({ outcome: standing }) => standing === 'decided');
        expect(winners.map(({ reason }) => reason)).toEqual(decide(site, visit).because);
      }),
      { numRuns: 1000, seed: 20261124 },
    );
  });
});
