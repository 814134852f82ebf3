import { describe, expect, it } from 'vitest';
import {
  type Publication,
  nextVersionChange,
  overlapping,
  versionInForce,
} from '../../src/core/publish/in-force';
import { newerOf } from '../../src/core/wire/newer';
import { type Dice, diceOf } from '../made/dice';

const SEED = 20_261_126;

/** What the server says at an instant: as a pointer does, with the time it was made at. */
interface Word {
  readonly madeAt: number;
  readonly version: number | null;
  readonly revision: number;
  readonly paused: boolean;
  readonly askBefore: number | null;
}

interface Server {
  publications: Publication[];
  revision: number;
  paused: boolean;
}

function change(dice: Dice, server: Server, now: number, count: number): void {
  const id = String(count).padStart(6, '0');
  switch (dice.int(0, 4)) {
    case 0:
      server.publications = [...server.publications, { id, version: count, from: now, until: null }];
      return;
    case 1: {
      const [from, until] = [now + dice.int(1, 50), now + dice.int(51, 120)];
      if (overlapping(server.publications, from, until).length === 0)
        server.publications = [...server.publications, { id, version: count, from, until }];
      return;
    }
    case 2:
      server.revision++;
      return;
    default:
      server.paused = !server.paused;
  }
}

const wordOf = ({ publications, revision, paused }: Server, at: number): Word => ({
  madeAt: at,
  revision,
  paused,
  version: versionInForce(publications, at),
  askBefore: nextVersionChange(publications, at),
});

describe('publishing', () => {
  it('[L12] law: a page shows nothing that was never in force, and never an older state after a newer one', () => {
    for (let turn = 0; turn < 2000; turn++) {
      const dice = diceOf(SEED + turn);
      const server: Server = { publications: [], revision: 1, paused: false };
      const said: Word[] = [];
      const seen: Word[] = [];
      let page: Word | null = null;
      for (let now = 1; now < 200; now++) {
        if (dice.flip(0.1)) change(dice, server, now, now);
        said.push(wordOf(server, now));
        // An occasion: sometimes a cache on the way answers with a word up to five seconds old ([L2]).
        const isDue = page !== null && page.askBefore === now;
        if (!isDue && !dice.flip(0.2)) continue;
        const heard = said[Math.max(0, said.length - 1 - (dice.flip(0.3) ? dice.int(0, 6) : 0))] as Word;
        page = newerOf(page, heard);
        seen.push(page);
      }
      const words = new Set(said);
      expect(
        seen.every((word) => words.has(word)),
        `seed ${SEED + turn}`,
      ).toBe(true);
      for (let at = 1; at < seen.length; at++)
        expect(seen[at]?.madeAt, `seed ${SEED + turn}`).toBeGreaterThanOrEqual(seen[at - 1]?.madeAt ?? 0);
    }
  });

  it('[L5] law: asking only at the planned changes sees every version that is in force, at the instant it comes', () => {
    for (let turn = 0; turn < 1000; turn++) {
      const dice = diceOf(SEED + turn);
      const server: Server = { publications: [], revision: 1, paused: false };
      for (let count = 1; count < 8; count++) change(dice, server, count, count);
      const asked: (number | null)[] = [];
      for (let at: number | null = 8; at !== null; at = nextVersionChange(server.publications, at))
        asked.push(versionInForce(server.publications, at));
      const every = Array.from({ length: 300 }, (_, index) => versionInForce(server.publications, index + 8));
      expect(asked, `seed ${SEED + turn}`).toEqual(
        every.filter((version, index) => index === 0 || version !== every[index - 1]),
      );
    }
  });
});
