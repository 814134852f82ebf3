import { compileSite } from '../../src/core/decide/compile-site';
import { describe, expect, it, vi } from 'vitest';
import { decide } from '../../src/core/decide/decide';
import { findingsOf } from '../../src/core/findings/findings-of';
import { spansOfDay } from '../../src/core/hours/hours';
import { hoursAt, hoursOf } from '../../src/core/hours/hours-now';
import { whyNow } from '../../src/core/hours/why-now';
import type { Circumstances } from '../../src/core/model/circumstances';
import { DRAWN_MOMENTS } from '../../src/core/model/moment';
import { LOOK_NAMES } from '../../src/core/model/look';
import { DAY_MS, HOUR_MS } from '../../src/core/model/units';
import { pageFactsOf } from '../../src/core/pages/page-facts';
import { changesOf } from '../../src/core/publish/changes';
import { decided } from '../../src/core/rehearse/decided';
import { previewAt } from '../../src/core/rehearse/preview-at';
import type { PublishedSite } from '../../src/core/wire/published-site';
import { anyDesign, anySite, anyVisit } from '../made/chance';
import { type Dice, diceOf } from '../made/dice';
import { madeSite } from '../made/site';

const SEED = 20_261_130;
const CASES = 60;

/** What a case asks of everything that remembers; each is a pure function of what it is given. */
type Question = (site: PublishedSite, visit: Circumstances, dice: Dice) => unknown;

const calendarOf = ({ facts }: PublishedSite, dice: Dice): string | null => {
  const ids = Object.keys(facts.calendars);
  return ids.length === 0 ? null : dice.pick(ids);
};

/** By the file that remembers. */
const QUESTIONS: Readonly<Record<string, Question>> = {
  'decide/decide': (site, visit, dice) =>
    decide(site, { ...visit, now: visit.now + dice.int(0, 40) * HOUR_MS }),
  'decide/compile-site': (site, _visit, dice) => {
    const key = dice.pick([...site.design.widgets.map((one) => one.key), 'none-of-these']);
    return compileSite(site).widget(key) ?? null;
  },
  'rehearse/decided': (site, visit) => decided(site, visit),
  'rehearse/preview-at': (site, visit, dice) => previewAt(site, visit, dice.pick(DRAWN_MOMENTS)),
  'hours/hours-now': (site, visit, dice) => {
    const hours = hoursOf(site, calendarOf(site, dice));
    return hours && hoursAt(hours, visit.now + dice.int(0, 400) * HOUR_MS, whyNow);
  },
  'hours/hours': (site, visit, dice) => {
    const hours = hoursOf(site, calendarOf(site, dice));
    return hours && spansOfDay(hours, Math.floor(visit.now / DAY_MS) + dice.int(0, 500));
  },
  'pages/page-facts': (site, visit) => {
    const facts = pageFactsOf(visit.page);
    return [facts.address, ...site.design.widgets.map((widget) => facts.accepts(widget))];
  },
  'publish/changes': (_site, _visit, dice) => changesOf(anyDesign(dice), anyDesign(dice)),
  'findings/looks': (site, visit, dice) =>
    findingsOf({
      design: anyDesign(dice),
      facts: site.facts,
      now: visit.now,
      measured: {},
      peopleOf: {},
      ownAddress: 'http://127.0.0.1:4310',
      domains: ['https://farrowisle.example'],
      heard: {},
      recipients: {},
      dismissals: [],
    } as unknown as Parameters<typeof findingsOf>[0]),
};

/** By texts: asked again in another order, of a program that has just begun. */
const TEXTS = ['Hello', '{name} is in', '{count, plural, one {#} other {# }}', '{', '{no}', '@import "x";'];
const SUMMER = Date.UTC(2026, 6, 1);
const RULES = ['.head { color: red }', '.head { color: var(--porch-link) }', ...TEXTS];

async function textAnswers(isReversed: boolean): Promise<ReadonlyMap<string, unknown>> {
  vi.resetModules();
  const [{ compileText }, { rewriteCss }, { paletteOf }, { readerClock }] = await Promise.all([
    import('../../src/core/words/compile'),
    import('../../src/core/look/own-css'),
    import('../../src/core/look/palette'),
    import('../../src/core/rehearse/reader-clock'),
  ]);
  const site = madeSite({});
  const looks = Array.from({ length: CASES }, (_, turn) => {
    const dice = diceOf(SEED + turn);
    return [
      anyDesign(dice).widgets[0]?.look,
      dice.pick(LOOK_NAMES),
      dice.flip() ? 'day' : 'evening',
    ] as const;
  });
  const questions: [string, () => unknown][] = [
    ...TEXTS.flatMap((text): [string, () => unknown][] => [
      [`none ${text}`, () => compileText(text, {})],
      [`name ${text}`, () => compileText(text, { name: 'text', count: 'count' })],
    ]),
    ...RULES.map((css): [string, () => unknown] => [`css ${css}`, () => rewriteCss(css)]),
    // More of them than are remembered.
    ...Intl.supportedValuesOf('timeZone')
      .slice(0, 3 * CASES)
      .map((zone): [string, () => unknown] => [
        `zone ${zone}`,
        () => [SUMMER, SUMMER + 180 * DAY_MS].map(readerClock(site, zone)),
      ]),
    ...looks.map(([look, name, scheme], index): [string, () => unknown] => [
      `look ${index}`,
      () => look && paletteOf({ ...look, name }, scheme),
    ]),
  ];
  return new Map((isReversed ? questions.toReversed() : questions).map(([name, ask]) => [name, ask()]));
}

describe('what is remembered', () => {
  it.each(Object.entries(QUESTIONS))('[law] %s says the same as if it had never been asked', (_name, ask) => {
    for (let turn = 0; turn < CASES; turn++) {
      const made = diceOf(SEED + turn);
      const [site, visit] = [anySite(made), anyVisit(made)];
      // Asked about the same objects in changing order; then about others that are like them, which nothing knows.
      for (const again of [1, 2, 3, 1, 2]) {
        const known = ask(site, visit, diceOf(turn * 10 + again));
        const anew = ask(structuredClone(site), structuredClone(visit), diceOf(turn * 10 + again));
        expect(known, `seed ${SEED + turn}`).toEqual(anew);
      }
    }
  });

  it('[law] texts, own CSS, palettes and clocks come to the same in whatever order they are asked for', async () => {
    const [forwards, backwards] = [await textAnswers(false), await textAnswers(true)];
    expect(forwards.size).toBeGreaterThan(CASES);
    for (const [name, answer] of forwards) expect(backwards.get(name), name).toEqual(answer);
  });
});
