import { fork } from 'node:child_process';
import { readFile } from 'node:fs/promises';
import type { Px } from '../../core/model/units';
import { type Result, fail } from '../../core/result';
import type { ServerTime } from '../live/clock';
import type { DrawnPicture, Fit, TwoSizes } from './draw-picture';

/** Draws what somebody sent, in a process of its own: one picture at a time for a person, few in all. */
export interface Drawer {
  page(personId: string, sent: Buffer, size: PageSize): Promise<Result<DrawnPicture>>;
  twice(personId: string, sent: Buffer, fit: Fit): Promise<Result<TwoSizes>>;
}

export interface PageSize {
  readonly width: Px;
  readonly height: Px;
}

/** A picture may be sent up to here. */
export const PICTURE_BYTES_MAX = 5 * 1024 * 1024;

/** What the process is told. */
export type DrawOrder =
  | { readonly as: 'page'; readonly sent: Uint8Array; readonly size: PageSize }
  | { readonly as: 'twice'; readonly sent: Uint8Array; readonly fit: Fit };

interface Bounds {
  /** After so long the process is killed. */
  readonly ms: number;
  /** As soon as it holds so much, too. */
  readonly bytes: number;
  readonly atOnce: number;
}

const BOUNDS: Bounds = { ms: 10_000, bytes: 400 * 1024 * 1024, atOnce: 2 };

const TOO_HARD =
  'That picture cannot be drawn: it is damaged, or takes too long or too much memory. Nothing was stored; try another one.';
const STILL_DRAWING =
  'Your last picture is still being drawn. Nothing of this one was stored; send it again in a moment.';

/**
 * A decoder is native code that nothing in its own process can end: not a thread, not a limit of time. So it has a process of
 * its own, without our variables, which is killed where it takes too long or too much ([threat 13]).
 */
export function makeDrawer(script: string, clock: ServerTime, bounds: Bounds = BOUNDS): Drawer {
  const persons = new Set<string>();
  const waiting: (() => void)[] = [];
  let running = 0;
  const enter = async (): Promise<void> => {
    if (running < bounds.atOnce) running++;
    else await new Promise<void>((resolve) => waiting.push(resolve)); // a place is handed on
  };
  const leave = (): void => {
    const next = waiting.shift();
    if (next === undefined) running--;
    else next();
  };
  const draw = async <T>(personId: string, order: DrawOrder): Promise<Result<T>> => {
    if (persons.has(personId)) return fail({ '': STILL_DRAWING });
    persons.add(personId);
    await enter();
    try {
      return (await drawnApart({ script, clock, bounds }, order)) as Result<T>;
    } finally {
      leave();
      persons.delete(personId);
    }
  };
  return {
    page: (personId, sent, size) => draw(personId, { as: 'page', sent, size }),
    twice: (personId, sent, fit) => draw(personId, { as: 'twice', sent, fit }),
  };
}

const LOOK_EVERY_MS = 50;

interface DrawPort {
  readonly script: string;
  readonly clock: ServerTime;
  readonly bounds: Bounds;
}

function drawnApart({ script, clock, bounds }: DrawPort, order: DrawOrder): Promise<unknown> {
  const endsAt = clock.now() + bounds.ms;
  return new Promise((resolve) => {
    let drawn: unknown = fail({ '': TOO_HARD });
    const child = fork(script, [], {
      serialization: 'advanced',
      env: { NODE_ENV: 'production' },
      execArgv: ['--max-old-space-size=128'],
      stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
    });
    const kill = (): void => void child.kill('SIGKILL');
    let hasEnded = false;
    const look = (): void => {
      if (hasEnded) return;
      if (clock.now() >= endsAt) return kill();
      void residentBytes(child.pid ?? 0).then((held) => held > bounds.bytes && kill());
      clock.wakeAt(clock.now() + LOOK_EVERY_MS, look);
    };
    look();
    const end = (): void => {
      hasEnded = true;
      resolve(drawn);
    };
    child.once('message', (said) => {
      drawn = said;
    });
    child.once('exit', end);
    child.once('error', end);
    child.send(order, (error) => error !== null && kill());
  });
}

/** Where the system does not tell it, time alone bounds the process. */
async function residentBytes(pid: number): Promise<number> {
  const told = await readFile(`/proc/${pid}/statm`, 'utf8').catch(() => ''); // it has ended, or this is no Linux
  return Number(told.split(' ')[1] ?? 0) * 4096;
}
