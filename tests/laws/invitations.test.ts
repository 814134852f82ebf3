import { describe, expect, it } from 'vitest';
import { decide } from '../../src/core/decide/decide';
import { hoursAt, hoursOf } from '../../src/core/hours/hours-now';
import { EMPTY_MEMORY, type Memory } from '../../src/core/model/memory';
import { FRESH_MS } from '../../src/core/context/presence';
import { arrivingAt } from '../../src/core/rehearse/arriving';
import {
  type VisitStep,
  type VisitEvent,
  openTab,
  takeStep,
  replay,
  waitUntil,
} from '../../src/core/rehearse/visit-simulation';
import type { VisitSimulation } from '../../src/core/rehearse/visit';
import { type Circumstances, type Level } from '../../src/core/model/circumstances';
import { DAY_MS, MINUTE_MS, SECOND_MS } from '../../src/core/model/units';
import type { WireInvitation } from '../../src/core/wire/design-file';
import type { PublishedSite } from '../../src/core/wire/published-site';
import { anySite } from '../made/chance';
import { type Dice, diceOf } from '../made/dice';
import { EVENING, madeTalk } from '../made/site';

const SEED = 20_261_126;
const PATHS = ['/', '/tonight', '/groups/schools', '/visit', '/visit#map', '/#/sky'];

function anyAct(dice: Dice, now: number): VisitStep {
  const acts: (() => VisitStep)[] = [
    () => ({ kind: 'page', address: `https://farrowisle.example${dice.pick(PATHS)}` }),
    () => ({ kind: 'scroll', percent: dice.int(1, 101) }),
    () => ({ kind: 'scroll', percent: 100 }),
    () => ({ kind: 'seen', selector: '.map' }),
    () => ({
      kind: 'instant',
      instantEvent: dice.pick([
        { kind: 'leaving' },
        { kind: 'form-left' },
        { kind: 'clicked', selector: '.map' },
      ] as const),
    }),
    () => ({
      kind: dice.pick(['move', 'hide', 'show', 'show', 'type', 'stop-typing', 'close', 'nothing'] as const),
    }),
    () => ({ kind: dice.pick(['open', 'accept'] as const) }),
    () => ({
      kind: 'told',
      conversation: dice.flip()
        ? null
        : madeTalk({
            standing: dice.pick(['asked', 'joined', 'ended']),
            askedMs: now,
            lastMs: now,
            widgetKey: 'widget-0',
          }),
    }),
  ];
  if (dice.flip(0.04)) return { kind: 'decline' };
  return dice.pick(dice.flip(0.85) ? acts.slice(0, 6) : acts)();
}

const startAt = (level: Level, now: number, memory: Memory): Circumstances => ({
  ...arrivingAt('https://farrowisle.example/tonight', now),
  level,
  memory,
  isLit: false,
});

interface Shown {
  readonly id: string;
  readonly at: number;
  readonly tab: number;
  readonly view: number;
  readonly visit: number;
  leftAt: number | null;
}

/** A browser with up to four tabs over one memory. What it shows is written down by the test, not by the engine. */
function browse(dice: Dice, site: PublishedSite, level: Level): number {
  const tabs: VisitSimulation[] = [];
  const views: number[] = [];
  const opened: boolean[] = [];
  const shown: Shown[] = [];
  let memory = EMPTY_MEMORY;
  let now = EVENING + dice.int(0, 26 * 60) * MINUTE_MS;
  let restUntil = 0;
  let view = 0;

  const put = (place: number, before: VisitSimulation, after: VisitSimulation): void => {
    tabs[place] = after;
    memory = after.circumstances.memory;
    for (const seen of after.seen.slice(before.seen.length))
      if (seen.kind === 'invited') {
        expectAllowed(seen.id, seen.at, place, after);
        shown.push({
          id: seen.id,
          at: seen.at,
          tab: place,
          view: views[place] ?? 0,
          visit: memory.visit?.number ?? 0,
          leftAt: null,
        });
      }
    const isGone = after.circumstances.invited === null && after.openedByItselfAt === null;
    if (isGone)
      for (const one of shown)
        if (one.tab === place && one.leftAt === null) one.leftAt = after.circumstances.now;
  };

  const expectAllowed = (
    id: string,
    at: number,
    place: number,
    { circumstances, site: told }: VisitSimulation,
  ): void => {
    const widget = told.design.widgets.find(({ invitations }) => invitations.some((one) => one[0] === id));
    const [, , , needsMemory, days, atMost] = widget?.invitations.find(
      (one) => one[0] === id,
    ) as WireInvitation;
    const [perVisit, gap, beforeClosing, afterTalk] = told.design.limits ?? [1, 120, 600, 86_400, 30];
    const same = shown.filter((one) => one.id === id);
    const here = shown.filter((one) => one.tab === place && one.view === views[place]);
    expect(at, 'rests after a no').toBeGreaterThanOrEqual(restUntil);
    expect(opened[place] ?? false, 'not in a page view in which the window was opened').toBe(false);
    expect(at - (circumstances.heardAt ?? 0), 'on a fresh word').toBeLessThan(FRESH_MS);
    const talk = circumstances.conversation;
    if (talk !== null) {
      expect(['asked', 'joined'], 'not while a conversation runs').not.toContain(talk.standing);
      expect(at, 'not after a talk').toBeGreaterThanOrEqual(talk.lastMs + afterTalk * SECOND_MS);
    }
    const hours = hoursOf(told, widget?.calendar ?? null);
    const standing = hours === null ? null : hoursAt(hours, at);
    if (standing?.isOpen)
      expect(standing.changesAt - at, 'not before closing').toBeGreaterThan(beforeClosing * SECOND_MS);
    if (days === 0)
      expect(
        here.filter((one) => one.id === id),
        'once per page view',
      ).toEqual([]);
    if (level !== 'kept') {
      expect(here, 'at most one a page').toEqual([]);
      expect(needsMemory, 'nothing that must be remembered').toBe(0);
      return;
    }
    const visit = circumstances.memory.visit?.number;
    const inVisit = shown.filter((one) => one.visit === visit);
    expect(inVisit.length, 'so many a visit').toBeLessThan(perVisit);
    for (const one of inVisit)
      if (one.leftAt !== null) expect(at - one.leftAt, 'the gap').toBeGreaterThanOrEqual(gap * SECOND_MS);
    if (days === -1)
      expect(
        same.filter((one) => one.visit === visit),
        'once per visit',
      ).toEqual([]);
    if (days === -2) expect(same, 'once per visitor').toEqual([]);
    if (days > 0)
      for (const one of same) expect(at - one.at, 'once in some days').toBeGreaterThanOrEqual(days * DAY_MS);
    if (atMost > 0) expect(same.length, 'so many in all').toBeLessThan(atMost);
  };

  const shared = (simulation: VisitSimulation): VisitSimulation => ({
    ...simulation,
    circumstances: { ...simulation.circumstances, memory },
  });

  /** When the engine wants to be asked in each tab; asked anew only where the tab or the memory has changed. */
  const wakes: { simulation: VisitSimulation; memory: Memory; at: number }[] = [];
  const wakeOf = (place: number): number => {
    const simulation = tabs[place] as VisitSimulation;
    const known = wakes[place];
    if (known !== undefined && known.simulation === simulation && known.memory === memory) return known.at;
    const at = decide(simulation.site, shared(simulation).circumstances).askAgainAt ?? Infinity;
    wakes[place] = { simulation, memory, at };
    return at;
  };

  /** All tabs go on side by side: whoever the engine wakes first is asked first. */
  const passUntil = (until: number): void => {
    for (;;) {
      const all = tabs.map((_, place) => wakeOf(place));
      const first = Math.min(...all);
      if (first > until) break;
      const place = all.indexOf(first);
      const before = tabs[place] as VisitSimulation;
      put(place, before, waitUntil(shared(before), first));
    }
    tabs.forEach((simulation, place) => {
      tabs[place] = { ...simulation, circumstances: { ...simulation.circumstances, now: until } };
    });
    now = until;
  };

  for (let turn = 0; turn < 24; turn++) {
    passUntil(
      now +
        (dice.flip(0.04) ? dice.int(30 * 60, 86_400 * dice.pick([0.1, 0.3, 3])) : dice.int(0, 90)) *
          SECOND_MS,
    );
    if (tabs.length === 0 || (tabs.length < 4 && dice.flip(0.1))) {
      const place = tabs.length;
      views[place] = view++;
      const blank = {
        site,
        circumstances: startAt(level, now, memory),
        seen: [],
        openedByItselfAt: null,
        loadedAt: now,
      };
      put(place, blank, openTab(site, startAt(level, now, memory)));
      continue;
    }
    const place = dice.int(0, tabs.length);
    const act = anyAct(dice, now);
    const before = tabs[place] as VisitSimulation;
    if (act.kind === 'page') {
      views[place] = view++; // a fragment may go on with the page view: then its counts only get stricter
      opened[place] = false;
    }
    if (act.kind === 'open' || act.kind === 'accept') opened[place] = true;
    const isNo =
      act.kind === 'decline' ||
      (act.kind === 'close' && before.openedByItselfAt !== null && now - before.openedByItselfAt <= 10_000);
    if (isNo && level !== 'none') restUntil = now + (site.design.limits?.[4] ?? 30) * DAY_MS;
    put(place, before, takeStep(shared(before), act));
  }
  return shown.length;
}

function forAll(count: number, law: (dice: Dice, site: PublishedSite) => unknown): void {
  for (let turn = 0; turn < count; turn++) {
    const dice = diceOf(SEED + turn);
    try {
      law(dice, anySite(dice));
    } catch (error) {
      throw new Error(`Failed for seed ${SEED + turn}.`, { cause: error });
    }
  }
}

describe('the laws of inviting', () => {
  it('[I5] [I6] [I12] limits are never exceeded in 10,000 visits of up to four tabs, and none shows without a fresh word', () => {
    let invited = 0;
    forAll(
      10_000,
      (dice, site) => (invited += browse(dice, site, dice.pick(['none', 'asked', 'kept', 'kept'] as const))),
    );
    expect(invited).toBeGreaterThan(5000);
  });

  it('an invitation added at the end changes nothing while another shows', () => {
    let compared = 0;
    forAll(1500, (dice, site) => {
      const events: VisitEvent[] = Array.from({ length: 12 }, () => ({
        ...anyAct(dice, EVENING),
        after: dice.int(0, 60),
      }));
      const last: WireInvitation = ['at-the-end', 'speak', 0, 0, 0, 0, ['all', 0]];
      const more = site.design.widgets.map((widget) => ({
        ...widget,
        invitations: [...widget.invitations, last],
      }));
      const start = startAt('kept', EVENING, EMPTY_MEMORY);
      const [without, with_] = [
        replay(site, start, events),
        replay({ ...site, design: { ...site.design, widgets: more } }, start, events),
      ];
      const firstNew =
        with_.seen.find((seen) => seen.kind === 'invited' && seen.id === 'at-the-end')?.at ?? Infinity;
      if (firstNew > EVENING) compared++;
      expect(with_.seen.filter(({ at }) => at < firstNew)).toEqual(
        without.seen.filter(({ at }) => at < firstNew),
      );
    });
    expect(compared).toBeGreaterThan(100);
  });

  it('[I7] a no never makes an invitation appear', () => {
    forAll(2500, (dice, site) => {
      const before: VisitEvent[] = Array.from({ length: 6 }, () => ({
        ...anyAct(dice, EVENING),
        after: dice.int(0, 60),
      }));
      const simulation = replay(site, startAt('kept', EVENING, EMPTY_MEMORY), before);
      const after = waitUntil(
        takeStep(simulation, { kind: 'decline' }),
        simulation.circumstances.now + DAY_MS / 2,
      );
      expect(after.seen.slice(simulation.seen.length).filter(({ kind }) => kind === 'invited')).toEqual([]);
    });
  });

  it('[A1] [A2] replay equals record: asking only when the engine wants to be asked shows what asking every second shows', () => {
    let invited = 0;
    forAll(400, (dice, site) => {
      const events: VisitEvent[] = Array.from({ length: 8 }, () => ({
        ...anyAct(dice, EVENING),
        after: dice.int(0, 45),
      }));
      const start = startAt('kept', EVENING, EMPTY_MEMORY);
      const played = replay(site, start, events);
      const nothing: VisitEvent = { kind: 'nothing', after: 1 };
      const everySecond = events.flatMap((event): VisitEvent[] => [
        ...Array.from({ length: event.after }, () => nothing),
        { ...event, after: 0 },
      ]);
      const recorded = replay(site, start, everySecond);
      expect(played.seen).toEqual(recorded.seen);
      invited += played.seen.filter(({ kind }) => kind === 'invited').length;
    });
    expect(invited).toBeGreaterThan(50);
  });
});
