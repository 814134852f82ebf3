import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { calendar, everyDay } from '../../../tests/made/hours';
import { all, condition, invitations } from '../../../tests/made/invitations';
import { DESK, EVENING, madeDesign, madeSite } from '../../../tests/made/site';
import { decide } from '../decide/decide';
import type { Invitation } from '../model/invitation';
import type { TeamState } from '../model/moment';
import { arrivingAt } from './arriving';
import { launcherHere } from './launcher-here';
import {
  PLAIN_STEPS,
  type TriedStep,
  axisOf,
  doableSteps,
  nextThing,
  readSteps,
  statusesOf,
  tryVisit,
  writeSteps,
} from './try-visit';
import type { VisitSimulation } from './visit';

const siteOf = (list: Partial<Invitation>[], team: TeamState = 'in') =>
  madeSite({ design: madeDesign(invitations(...list)), teams: { [DESK]: team } });
const start = arrivingAt('https://your-site.example/tonight', EVENING);
const simulation = (list: Partial<Invitation>[], steps: TriedStep[], team?: TeamState) => {
  const simulations = tryVisit(siteOf(list, team), start, steps);
  const last = simulations[simulations.length - 1];
  if (last === undefined) throw new Error('Expected a walk.');
  return { simulations, last, momentNow: decide(last.site, last.circumstances).moment };
};
const stay = (seconds: number) => ({
  when: all(condition({ kind: 'on-page', seconds })),
  oncePer: { kind: 'visit' } as const,
});
const wait = (seconds: number): TriedStep => ({ kind: 'wait', seconds });

describe('a visit that is tried', () => {
  it('says what comes next and when, what stands ready, and what each of the rest is short of', () => {
    const list = [
      stay(40),
      stay(25),
      { ...stay(5), when: all(condition({ kind: 'scrolled', percent: 60 })) },
    ];
    const { last } = simulation(list, [wait(10)]);
    expect(nextThing(last)?.seconds ?? null).toBe(15);
    expect(nextThing(last)?.seen).toMatchObject({ kind: 'invited', id: 'invitation-b' });
    const { shown, ready, not } = statusesOf(last);
    expect([shown, ready.length]).toEqual([null, 0]);
    expect(not.map(({ reason, shortfall }) => [reason.facts['invitation'], shortfall])).toEqual([
      ['invitation-a', { ms: 30_000 }],
      ['invitation-b', { ms: 15_000 }],
      ['invitation-c', { percent: 60 }],
    ]);
    expect(statusesOf(simulation(list, [wait(25)]).last).shown).toBe('invitation-b');
  });

  it('the launcher comes after its delay, on each page anew, and cannot be clicked before; an invitation does not wait for it', () => {
    const delayed = (
      list: Partial<Invitation>[],
      steps: TriedStep[],
      device: 'desktop' | 'phone' = 'desktop',
    ) => {
      const design = madeDesign(invitations(...list));
      const widgets = design.widgets.map((one) => ({
        ...one,
        launcher: { ...one.launcher, delay: 8, hiddenOn: ['phone'] as const },
      }));
      const at = { ...start, visitor: { ...start.visitor, device } };
      const simulations = tryVisit(madeSite({ design: { ...design, widgets } }), at, steps);
      return { simulations, last: simulations[simulations.length - 1] as VisitSimulation };
    };
    const early = delayed([], [wait(3)]).last;
    expect([launcherHere(early).kind, doableSteps(early).includes('open')]).toEqual(['comes', false]);
    expect(nextThing(early)).toEqual({ seconds: 5, seen: { at: EVENING + 8000, kind: 'launcher' } });
    const late = delayed([], [wait(8)]);
    expect([launcherHere(late.last).kind, doableSteps(late.last).includes('open')]).toEqual(['there', true]);
    expect(axisOf(late.simulations, [wait(8)]).filter(({ kind }) => kind === 'launcher')).toEqual([
      { at: 8000, kind: 'launcher', step: null, what: null },
    ]);
    expect(launcherHere(delayed([], [wait(20), { kind: 'page', path: '/visit' }]).last).kind).toBe('comes');
    expect(launcherHere(delayed([stay(2)], [wait(3)]).last).kind).toBe('there');
    const phone = delayed([], [wait(20)], 'phone').last;
    expect([launcherHere(phone).kind, doableSteps(phone).includes('open')]).toEqual(['none', false]);
  });

  it('the clock of a page stands still while its tab is hidden', () => {
    const hidden = simulation([stay(40)], [wait(20), { kind: 'hide' }, wait(100), { kind: 'show' }]);
    expect(statusesOf(hidden.last).shown).toBeNull();
    expect(nextThing(hidden.last)?.seconds ?? null).toBe(20);
    expect(doableSteps(simulation([], [{ kind: 'hide' }]).last)).toEqual(['show']);
  });

  it('a no lasts over pages and into the next day; another page counts anew', () => {
    const no = simulation(
      [stay(10)],
      [wait(10), { kind: 'no' }, { kind: 'page', path: '/groups' }, wait(3600)],
    );
    expect(statusesOf(no.last).ready[0]?.reason.code).toBe('own-limit');
    const later = simulation(
      [{ ...stay(10), oncePer: { kind: 'page' } }],
      [wait(10), { kind: 'no' }, { kind: 'tomorrow' }, wait(60)],
    );
    expect(statusesOf(later.last)).toMatchObject({ shown: null, ready: [{ reason: { code: 'declined' } }] });
    const anew = simulation([stay(10)], [wait(8), { kind: 'page', path: '/groups' }, wait(8)]);
    expect(nextThing(anew.last)?.seconds ?? null).toBe(2);
  });

  it('tomorrow is a visit of its own: what is shown once a visit is shown again, and it returns', () => {
    const { last } = simulation(
      [stay(10)],
      [wait(10), { kind: 'open' }, { kind: 'close' }, { kind: 'tomorrow' }],
    );
    expect([
      last.circumstances.visitor.visit,
      statusesOf(last).shown,
      nextThing(last)?.seconds ?? null,
    ]).toEqual(['returning', null, 10]);
    expect(
      statusesOf(
        simulation(
          [stay(10)],
          [wait(10), { kind: 'open' }, { kind: 'close' }, { kind: 'tomorrow' }, wait(10)],
        ).last,
      ).shown,
    ).toBe('invitation-a');
  });

  it('through a conversation, with what can be done at each stand', () => {
    const door = simulation([], [{ kind: 'open' }]);
    expect([door.momentNow, doableSteps(door.last)]).toEqual([
      'at-the-door',
      ['hide', 'leave', 'close', 'write'],
    ]);
    const asked = simulation([], [{ kind: 'open' }, { kind: 'write' }]);
    expect([asked.momentNow, doableSteps(asked.last)]).toEqual([
      'waiting',
      ['hide', 'leave', 'close', 'answer', 'end'],
    ]);
    expect(nextThing(asked.last)?.seconds ?? null).toBe(45); // a word of comfort
    expect(simulation([], [{ kind: 'open' }, { kind: 'write' }, wait(90)]).momentNow).toBe('slow-reply');
    expect(simulation([], [{ kind: 'open' }, { kind: 'write' }, { kind: 'answer' }]).momentNow).toBe(
      'talking',
    );
    expect(
      simulation([], [{ kind: 'open' }, { kind: 'write' }, { kind: 'answer' }, { kind: 'end' }]).momentNow,
    ).toBe('goodbye');
    const home = simulation([], [{ kind: 'open' }], 'nobody');
    expect([home.momentNow, doableSteps(home.last)]).toEqual([
      'nobody-home',
      ['hide', 'leave', 'close', 'write'],
    ]);
    expect(simulation([], [{ kind: 'open' }, { kind: 'write' }], 'nobody').momentNow).toBe('note-left');
  });

  it('hours close over a visit', () => {
    const design = madeDesign({ calendarId: 'night' });
    const site = madeSite({ design, calendars: [calendar({ week: everyDay('19:00-21:00') })] }); // until 22:00Z
    const [arrived, later] = tryVisit(site, start, [wait(300)]);
    if (arrived === undefined || later === undefined) throw new Error('Expected a walk.');
    expect(nextThing(arrived)?.seconds ?? null).toBe(180); // nothing heard for three minutes: the lamp goes out
    expect(nextThing(later)?.seconds ?? null).toBe(3300);
  });

  it('the axis holds what was done and what came of it, in order', () => {
    const steps: TriedStep[] = [wait(12), { kind: 'scroll', percent: 50 }, wait(8), { kind: 'yes' }];
    const { simulations } = simulation([stay(20)], steps);
    expect(
      axisOf(simulations, steps).map(({ at, kind, what, step }) => [at / 1000, kind, what ?? step?.kind]),
    ).toEqual([
      [0, 'moment', 'passing-by'],
      [12, 'step', 'scroll'],
      [20, 'invited', 'invitation-a'],
      [20, 'moment', 'invited'],
      [20, 'step', 'yes'],
      [20, 'moment', 'at-the-door'],
    ]);
  });

  it('law: an address gives back the steps it was made of, and anything else is left out', () => {
    const step = fc.oneof(
      fc.integer({ min: 1, max: 604_800 }).map(wait),
      fc.integer({ min: 1, max: 100 }).map((percent): TriedStep => ({ kind: 'scroll', percent })),
      fc
        .webPath()
        .map((path): TriedStep => ({ kind: 'page', path: path.startsWith('/') ? path : `/${path}` })),
      fc.constantFrom(...PLAIN_STEPS).map((kind): TriedStep => ({ kind })),
    );
    const same = (steps: TriedStep[]) =>
      steps.map((one) => (one.kind === 'page' ? { ...one, path: one.path.replaceAll('~', '%7E') } : one));
    fc.assert(
      fc.property(fc.array(step, { maxLength: 100 }), (steps) => {
        expect(readSteps(writeSteps(steps))).toEqual(same(steps));
      }),
      { numRuns: 500, seed: 20261126 },
    );
    expect(readSteps('w0~w9999999~s101~pnowhere~constructor~~open')).toEqual([{ kind: 'open' }]);
  });

  it('law: whatever can be done where one stands can be done, and the engine goes on', () => {
    const site = siteOf([stay(5), { ...stay(9), approach: 'open' }]);
    fc.assert(
      fc.property(fc.array(fc.nat({ max: 9 }), { maxLength: 25 }), (picks) => {
        let steps: TriedStep[] = [];
        for (const pick of picks) {
          const [last] = tryVisit(site, start, steps).slice(-1);
          if (last === undefined) throw new Error('Expected a walk.');
          const able: TriedStep[] = [
            wait(7),
            { kind: 'page', path: `/p${pick}` },
            ...doableSteps(last).map((kind) => ({ kind })),
          ];
          steps = [...steps, able[pick % able.length] ?? wait(1)];
        }
        const simulations = tryVisit(site, start, steps);
        expect(simulations).toHaveLength(steps.length + 1);
        for (const one of simulations)
          expect(decide(one.site, one.circumstances).moment).toBe(
            one.circumstances.moment ?? decide(one.site, one.circumstances).moment,
          );
      }),
      { numRuns: 60, seed: 20261126 },
    );
  });
});
