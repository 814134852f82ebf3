import { afterEach, describe, expect, it, vi } from 'vitest';
import { madeSite } from '../../tests/made/site';
import { madeSurroundings } from '../../tests/made/surroundings';
import { FRESH_MS } from '../core/context/presence';
import { askingWith } from './asking';

/** A pointer that answers each question in turn; null is a line that is cut. */
function askingOf(answers: (ReturnType<typeof madeSite> | 'cut')[]) {
  const surroundings = madeSurroundings(1_000_000);
  vi.spyOn(performance, 'now').mockImplementation(surroundings.now);
  const asked: number[] = [];
  let looks = 0;
  const asking = askingWith({
    surroundings,
    load: () => {
      asked.push(surroundings.now());
      const answer = answers.length > 1 ? answers.shift() : answers[0];
      return answer === 'cut' ? Promise.reject(new TypeError('cut')) : Promise.resolve(answer ?? null);
    },
    onHeard: () => undefined,
    look: () => {
      looks += 1;
    },
  });
  return { asking, surroundings, asked, looks: () => looks };
}

describe('asking for what is published', () => {
  afterEach(() => vi.restoreAllMocks());

  it('[S7] an occasion asks once the last answer is stale; before that it only looks', async () => {
    const { asking, surroundings, asked, looks } = askingOf([madeSite()]);
    await asking.ask();
    await surroundings.pass(FRESH_MS - 1);
    await asking.askIfStale();
    expect([asked.length, looks()]).toEqual([1, 2]);
    await surroundings.pass(1);
    await asking.askIfStale();
    expect(asked).toEqual([1_000_000, 1_000_000 + FRESH_MS]);
  });

  it('[S6] a question that is not answered takes back what was known of people, and keeps the site', async () => {
    const { asking, surroundings } = askingOf([madeSite(), 'cut']);
    await asking.ask();
    await surroundings.pass(FRESH_MS);
    await asking.askIfStale();
    expect(asking.heardAt).toBeNull();
    expect(asking.site).not.toBeNull();
  });

  it('a decision that wants to know at once asks at most once in that time, though no answer came', async () => {
    const { asking, surroundings, asked } = askingOf(['cut']);
    await asking.askOnceFresh();
    expect(asking.askOnceFresh()).toBeNull();
    await surroundings.pass(FRESH_MS);
    await asking.askOnceFresh();
    expect(asked).toHaveLength(2);
  });

  it('[L5] when another version comes into force it asks by itself, within ten seconds of it', async () => {
    const site = madeSite();
    const soon = { ...site, pointer: { ...site.pointer, askBefore: 1_060_000 } };
    const { asking, surroundings, asked } = askingOf([soon, site]);
    await asking.ask();
    await surroundings.pass(59_999);
    expect(asked).toHaveLength(1);
    await surroundings.pass(10_001);
    expect(asked).toHaveLength(2);
    await surroundings.pass(3_600_000);
    expect(asked).toHaveLength(2);
  });

  it('what the stream tells of the teams is known from then on', async () => {
    const { asking, surroundings } = askingOf([madeSite()]);
    await asking.ask();
    await surroundings.pass(5000);
    asking.hearTeams({}, surroundings.now());
    expect(asking.site?.pointer.teams).toEqual({});
    expect(asking.heardAt).toBe(1_005_000);
    asking.hearTeams(null, surroundings.now() + 1);
    expect(asking.site?.pointer.teams).toEqual({});
  });
});
