import { Engine } from 'json-rules-engine';
import { DateTime } from 'luxon';
import { decide, decideAnew } from '../src/core/decide/decide';
import { pageFactsOf } from '../src/core/pages/page-facts';
import { isOpenAt } from '../src/core/hours/hours';
import { toWireGroup } from '../src/core/invitations/compile';
import { judge } from '../src/core/invitations/judge';
import type { Widget } from '../src/core/model/design';
import { toAddress } from '../src/core/pages/address';
import { judgePage } from '../src/core/pages/match';
import type { WireRule } from '../src/core/wire/design-file';
import { at, everyDay, hours } from '../tests/made/hours';
import { all, condition, madeInvitation } from '../tests/made/invitations';
import { madeDesign, madeSite, madeVisit, pageRule } from '../tests/made/site';

/** How often something can be done in a second, counted for about `ms`. */
export function perSecond(work: () => unknown, ms = 1000): number {
  const until = performance.now() + ms;
  let count = 0;
  while (performance.now() < until) for (let turn = 0; turn < 500; turn++, count++) work();
  return (count / ms) * 1000;
}

const print = (line: string) => console.log(line);
const thousands = (count: number): string => `${Math.round(count / 1000)} k/s`;

/** Three widgets, forty page rules, twenty invitations: the clock ticks and the page stays the same. */
export function benchDecide(): void {
  const [base] = madeDesign().widgets as [Widget];
  const rules = (count: number, name: string) =>
    Array.from({ length: count }, (_, place) => ({
      ...pageRule('begins-with', `/${name}/${place}/`),
      id: `0000000${place}`,
    }));
  const invitations = Array.from({ length: 20 }, (_, place) =>
    madeInvitation({
      id: `invitation-${place}`,
      when: all(
        condition({
          kind: 'page',
          rules: [pageRule('exact', place % 4 === 0 ? '/tonight' : `/elsewhere/${place}`)],
        }),
        condition({ kind: 'on-page', seconds: 40 + place }),
        condition({ kind: 'scrolled', percent: 60 }),
        condition({ kind: 'state', states: ['in', 'nearby'] }),
      ),
    }),
  );
  const widgets = ['schools', 'loans', 'everywhere'].map((key, place): Widget => ({
    ...base,
    key,
    id: `00000000${place}`,
    pages: place === 2 ? { showOn: [], neverOn: rules(14, key) } : { showOn: rules(13, key), neverOn: [] },
    invitations: place === 2 ? invitations : [],
  }));
  const site = madeSite({ design: madeDesign({}, { widgets }) });
  const visit = madeVisit();
  const pointer = JSON.stringify(site.pointer);
  const ticks = Array.from({ length: 1000 }, (_, ms) => ({ ...visit, now: visit.now + ms }));
  const pages = Array.from({ length: 1000 }, () => ({
    ...visit,
    page: { ...visit.page, clock: { ...visit.page.clock } },
  }));
  let turn = 0;
  const same = perSecond(() => decide(site, ticks[turn++ % 1000] ?? visit));
  const anew = perSecond(() => decideAnew(site, ticks[turn++ % 1000] ?? visit));
  const fresh = perSecond(() => decide(site, pages[turn++ % 1000] ?? visit));
  const parse = perSecond(() => JSON.parse(pointer) as unknown);
  print(
    `decide, unchanged page      ${thousands(same)}, ${(same / parse).toFixed(2)} × reading the pointer's JSON (goal 1 M/s)`,
  );
  print(`decide, worked out anew     ${thousands(anew)}, ${(anew / parse).toFixed(2)} ×`);
  print(`decide, a new page each     ${thousands(fresh)}, ${(fresh / parse).toFixed(2)} ×`);
}

/** One rule of four conditions, against a rule engine of the registry with the same rule. */
export async function benchRule(): Promise<void> {
  const group = toWireGroup(
    all(
      condition({ kind: 'device', devices: ['desktop'] }),
      condition({ kind: 'on-page', seconds: 40 }),
      condition({ kind: 'scrolled', percent: 60 }),
      condition({ kind: 'state', states: ['in', 'nearby'] }),
    ),
    () => undefined,
  );
  const visit = madeVisit({ now: madeVisit().now + 50_000, page: { scrolled: 70 } });
  const page = pageFactsOf(visit.page);
  const asked = {
    circumstances: visit,
    address: page.address,
    takes: page.takes(visit),
    state: 'in',
    stateNext: Infinity,
    zone: { starts: [], offsets: [] },
    statesOnly: false,
  } as const;
  const ours = perSecond(() => judge(group, asked));
  const engine = new Engine([
    {
      conditions: {
        all: [
          { fact: 'device', operator: 'equal', value: 'desktop' },
          { fact: 'seconds', operator: 'greaterThanInclusive', value: 40 },
          { fact: 'scrolled', operator: 'greaterThanInclusive', value: 60 },
          { fact: 'state', operator: 'in', value: ['in', 'nearby'] },
        ],
      },
      event: { type: 'due' },
    },
  ]);
  const facts = { device: 'desktop', seconds: 50, scrolled: 70, state: 'in' };
  const until = performance.now() + 1000;
  let theirs = 0;
  while (performance.now() < until) {
    const { events } = await engine.run(facts);
    if (events.length !== 1) throw new Error('Expected the other engine to find the same.');
    theirs++;
  }
  if (!judge(group, asked).is) throw new Error('Expected the rule to hold.');
  print(
    `a rule of four conditions   ${thousands(ours)}, ${Math.round(ours / theirs)} × json-rules-engine (${thousands(theirs)}; goal 50 ×)`,
  );
}

/** "Open now?" at random instants of a year, against luxon doing the same for one week of hours. */
export function benchHours(): void {
  const week = everyDay('17:30-20:00 20:20-01:00');
  const own = hours({ week });
  const instants = Array.from(
    { length: 1000 },
    (_, index) => at('2026-11-25T12:00') + ((index * 7919) % 8760) * 3_600_000,
  );
  const byLuxon = (instant: number): boolean => {
    const here = DateTime.fromMillis(instant, { zone: 'Atlantic/Azores' });
    const minutes = here.hour * 60 + here.minute;
    const [today, before] = [week[here.weekday - 1] ?? [], week[(here.weekday + 5) % 7] ?? []];
    return (
      today.some(({ from, to }) => from <= minutes && minutes < to) ||
      before.some(({ from, to }) => from <= minutes + 1440 && minutes + 1440 < to)
    );
  };
  const differs = instants.find((instant) => byLuxon(instant) !== isOpenAt(own, instant));
  if (differs !== undefined) throw new Error(`Expected both to agree at ${new Date(differs).toISOString()}.`);
  let turn = 0;
  const next = () => instants[turn++ % 1000] ?? 0;
  const [ours, theirs] = [perSecond(() => isOpenAt(own, next())), perSecond(() => byLuxon(next()))];
  print(
    `open now?                   ${thousands(ours)}, ${Math.round(ours / theirs)} × luxon (${thousands(theirs)}; goal 50 ×)`,
  );
}

/** One address against 500 rules: no worse than ten times as long as against 50. */
export function benchPages(): void {
  const rules = (count: number): WireRule[] =>
    Array.from({ length: count }, (_, place): WireRule => [
      'begins-with',
      'path',
      `/sky-log/${place}/`,
      false,
    ]);
  const address = toAddress('https://farrowisle.example/tonight?utm_source=letter');
  if (address === null) throw new Error('Expected an address.');
  const [few, many] = [rules(50), rules(500)];
  const [fast, slow] = [
    perSecond(() => judgePage(few, [], address)),
    perSecond(() => judgePage(many, [], address)),
  ];
  print(
    `one address, 500 rules      ${thousands(slow)}, ${(fast / slow).toFixed(1)} × as long as 50 rules (linear is 10)`,
  );
}
