/** Chance that can be played again: mulberry32 over a seed. */
export interface Dice {
  /** At least `least`, below `below`. */
  int(least: number, below: number): number;
  flip(share?: number): boolean;
  pick<T>(list: readonly T[]): T;
  some<T>(list: readonly T[], most: number): T[];
}

export function diceOf(seed: number): Dice {
  let state = seed >>> 0;
  const next = (): number => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
  const int = (least: number, below: number): number => least + Math.floor(next() * (below - least));
  const pick = <T>(list: readonly T[]): T => list[int(0, list.length)] as T;
  return {
    int,
    pick,
    flip: (share = 0.5) => next() < share,
    some: (list, most) => Array.from({ length: int(1, most + 1) }, () => pick(list)),
  };
}
