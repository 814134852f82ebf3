import { describe, expect, it } from 'vitest';
import { type Signal, decideAnew as decide, decide as decideKept } from '../../src/core/decide/decide';
import type { Decision } from '../../src/core/decide/decision';
import { explain } from '../../src/core/decide/explain';
import { hoursAt, hoursOf } from '../../src/core/hours/hours-now';
import { whyNow } from '../../src/core/hours/why-now';
import { SIGNALS } from '../../src/core/invitations/judge';
import type { Circumstances } from '../../src/core/model/circumstances';
import { DAY_MS, SECOND_MS } from '../../src/core/model/units';
import type { WireItem } from '../../src/core/wire/design-file';
import type { PublishedSite } from '../../src/core/wire/published-site';
import { anySite, anyVisit } from '../made/chance';
import { type Dice, diceOf } from '../made/dice';

const SEED = 20_261_126;

/** Runs a law over many sites by chance; a failure names the seed of its own case. */
function forAll(count: number, law: (dice: Dice, site: PublishedSite, visit: Circumstances) => void): void {
  for (let turn = 0; turn < count; turn++) {
    const dice = diceOf(SEED + turn);
    try {
      law(dice, anySite(dice), anyVisit(dice));
    } catch (error) {
      throw new Error(`Failed for seed ${SEED + turn}.`, { cause: error });
    }
  }
}

/** All of a decision that a visitor can notice. */
const noticed = (decision: Decision) => ({ ...decision, askAgainAt: 0, askAgainOn: [] });

/** Silence: nothing that can be noticed changes, and nothing is to be heard that was not asked for. */
function expectSilence(first: Decision, later: Decision): void {
  expect(noticed(later)).toEqual(noticed(first));
  expect(first.askAgainOn).toEqual(expect.arrayContaining([...later.askAgainOn]));
}

/** Something the page did: the facts that a signal carries. */
function afterSignal(signal: Signal, visit: Circumstances): Circumstances {
  const { page } = visit;
  if (page.instantEvent !== null && ['leave', 'click', 'form'].includes(signal)) return visit; // one at a time
  const changes: Readonly<Record<Signal, Partial<Circumstances['page']>>> = {
    scroll: { scrolled: 100 },
    leave: { instantEvent: { kind: 'leaving' } },
    activity: { idle: { doneMs: 0, since: page.isVisible ? visit.now : null } },
    click: { instantEvent: { kind: 'clicked', selector: '.map' } },
    seen: { seen: ['.map'] },
    focus: { isTyping: !page.isTyping },
    form: { instantEvent: { kind: 'form-left' } },
  };
  return { ...visit, page: { ...page, ...changes[signal] } };
}

describe('the laws of deciding', () => {
  it('[A1] silence: before askAgainAt nothing but the clock has changed, and so has nothing else', () => {
    forAll(6000, (dice, site, visit) => {
      const first = decide(site, visit);
      const until = Math.min(first.askAgainAt ?? Infinity, visit.now + 40 * DAY_MS);
      for (const share of [0.001, 0.3, 0.999]) {
        const at =
          visit.now +
          Math.min(until - visit.now - 1, Math.floor((until - visit.now) * share) + dice.int(0, 500));
        expectSilence(first, decide(site, { ...visit, now: at }));
      }
      expectSilence(first, decide(site, { ...visit, now: until - 1 }));
    });
  });

  it('[A1] what is kept while nothing happens is what would be worked out anew; any other fact is seen at once', () => {
    forAll(3000, (dice, site, visit) => {
      const other = anyVisit(dice);
      const facts = Object.keys(visit) as (keyof Circumstances)[];
      let here = visit;
      for (let step = 0; step < 6; step++) {
        here = { ...here, now: here.now + dice.int(0, 100) * SECOND_MS };
        const fact = dice.pick(facts.filter((one) => one !== 'now'));
        here = { ...here, ...(dice.flip() ? { [fact]: other[fact] } : {}) };
        expectSilence(decideKept(site, here), decide(site, here));
      }
    });
  });

  it('[A2] progress: it asks again after now, or never', () => {
    forAll(6000, (_, site, visit) => {
      const { askAgainAt } = decide(site, visit);
      if (askAgainAt !== null) expect(askAgainAt).toBeGreaterThan(visit.now);
    });
  });

  it('[A3] economy: a day of silence takes as many asks as things can change, and none once nothing can', () => {
    forAll(1500, (_, site, visit) => {
      let asks = 0;
      let last = visit.now;
      for (let at = decide(site, visit).askAgainAt; at !== null && at < visit.now + DAY_MS; asks++) {
        last = at;
        at = decide(site, { ...visit, now: at }).askAgainAt;
      }
      expect(asks).toBeLessThanOrEqual(changesInADay(site, visit));
      if (
        site.design.widgets.every(
          ({ calendar, invitations }) => calendar === null && invitations.length === 0,
        )
      )
        expect(
          decide(site, { ...visit, now: last + 2 * DAY_MS, heardAt: null, conversation: null }).askAgainAt,
        ).toBeNull();
    });
  });

  it('[A4] hearing: a signal that was not asked for changes nothing, now or later', () => {
    forAll(4000, (dice, site, visit) => {
      const first = decide(site, visit);
      for (const signal of SIGNALS.filter((one) => !first.askAgainOn.includes(one))) {
        const after = afterSignal(signal, visit);
        expect(decide(site, after), signal).toEqual(first);
        const until = first.askAgainAt ?? visit.now + DAY_MS;
        const later = visit.now + Math.min(dice.int(1, 300) * SECOND_MS, until - visit.now - 1);
        const [heard, unheard] = [
          decide(site, { ...after, now: later }),
          decide(site, { ...visit, now: later }),
        ];
        expect(noticed(heard), signal).toEqual(noticed(unheard));
      }
    });
  });

  it('[D2] explain agrees: its winners are the reasons of decide, and the invitation that shows is never among the losers', () => {
    forAll(4000, (_, site, visit) => {
      const decision = decide(site, visit);
      const verdicts = explain(site, visit);
      expect(
        verdicts.filter(({ outcome: standing }) => standing === 'decided').map(({ reason }) => reason),
      ).toEqual(decision.because);
      const kinds = decision.because.map(({ about }) => about);
      expect(new Set(kinds).size).toBe(kinds.length);
      const others = verdicts.filter(
        ({ outcome: standing, reason }) => standing !== 'decided' && reason.about === 'invitation',
      );
      if (decision.show !== null)
        expect(others.map(({ reason }) => reason.facts['invitation'])).not.toContain(decision.show);
      // Whatever explain calls free and ready would show if those before it did not.
      for (const { reason, unmet } of others) {
        if (reason.code === 'conditions-hold') expect(unmet).toEqual([]);
        if (reason.code === 'condition-fails' || reason.code === 'not-yet')
          expect(unmet?.length).toBeGreaterThan(0);
      }
    });
  });

  it('[D4] never throws, whatever is damaged', () => {
    forAll(2000, (dice, site, visit) => {
      const widgets = site.design.widgets.map((widget) => ({
        ...widget,
        show: dice.flip(0.3) ? [['of-tomorrow', 'path', 7, 0]] : widget.show,
        audience: dice.flip(0.3) ? [['moon', 0, 'full']] : widget.audience,
        calendar: dice.flip(0.3) ? 'gone' : widget.calendar,
        teams: dice.flip(0.3) ? ['gone'] : widget.teams,
        invitations: widget.invitations.map(([id, ...rest]) =>
          dice.flip(0.3) ? [id, ...rest.slice(0, -1), ['all', 0, ['moon', 1]]] : [id, ...rest],
        ),
      }));
      const damaged = {
        ...site,
        design: { ...site.design, widgets },
        facts: { ...site.facts, zones: {} },
      } as unknown as PublishedSite;
      expect(() => decide(damaged, visit)).not.toThrow();
    });
  });
});

/** Upper bound of what can change in a day of silence, counted from the site and not from the engine. */
function changesInADay(site: PublishedSite, visit: Circumstances): number {
  const until = visit.now + DAY_MS;
  let hourChanges = 0;
  const hours = hoursOf(site, 'night');
  if (hours !== null)
    for (let at = visit.now; at < until; hourChanges++) {
      const { changesAt } = hoursAt(hours, at, whyNow);
      if (changesAt >= until) break;
      at = changesAt;
    }
  const kinds = site.design.widgets.flatMap(({ invitations }) =>
    invitations.flatMap(([, , , , , , when]) => kindsOf(when)),
  );
  const clocks = kinds.filter((kind) => ['on-page', 'in-visit', 'idle'].includes(kind)).length;
  const dateEdges =
    kinds.filter((kind) => kind === 'week-time').length * 4 + kinds.filter((kind) => kind === 'dates').length;
  const free = site.design.widgets.reduce((sum, { invitations }) => sum + invitations.length, 0) + 3;
  const talk = visit.conversation === null ? 0 : 4; // comfort, slow reply, closing line, quiet hours
  return hourChanges * 3 + clocks + dateEdges + free + talk + 2;
}

function kindsOf(item: WireItem): string[] {
  return item[0] === 'all' || item[0] === 'any' ? (item.slice(2) as WireItem[]).flatMap(kindsOf) : [item[0]];
}
