import { type ChildProcess, execFileSync, fork } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

export interface Running {
  readonly origin: string;
  readonly child: ChildProcess;
}

/** Starts a program that says on which port it listens. */
export async function start(file: string, env: Record<string, string>, first?: unknown): Promise<Running> {
  const child = fork(file, [], {
    env: { ...process.env, NODE_ENV: 'production', PORT: '0', LOG_LEVEL: 'error', ...env },
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
  });
  if (first !== undefined) child.send(first as object);
  const port = await new Promise<number>((resolve, reject) => {
    child.once('exit', (code) => reject(new Error(`${file} ended with ${code}.`)));
    child.on(
      'message',
      (message: { kind: string; port: number }) => message.kind === 'listening' && resolve(message.port),
    );
  });
  return { origin: `http://127.0.0.1:${port}`, child };
}

/** The application on some data, once its pages are loaded: loading them keeps it busy. */
export async function startHouse(dataDir: string): Promise<Running> {
  const house = await start('dist/server/entry.mjs', { PORCH_DATA: dataDir, TRUSTED_PROXIES: '127.0.0.1' });
  for (;;) {
    const { pages } = (await (await fetch(`${house.origin}/health`)).json()) as { pages: string };
    if (pages === 'served') return house;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

const TICKS_A_SECOND = 100;

/** What a process has taken of the processor since it began; in µs, by the system's ticks. */
export function cpuMicroseconds({ child }: Running): number {
  const [, rest = ''] = readFileSync(`/proc/${child.pid}/stat`, 'utf8').split(') ');
  const fields = rest.split(' ');
  return ((Number(fields[11]) + Number(fields[12])) * 1_000_000) / TICKS_A_SECOND;
}

export const SITE_ORIGIN = 'http://localhost:4320';

/** A demo of its own for the bench; gone with the process. */
export function fill(): { dataDir: string; siteKey: string } {
  const dataDir = mkdtempSync(join(tmpdir(), 'porch-bench-'));
  process.on('exit', () => rmSync(dataDir, { recursive: true, force: true })); // a large house takes half a gigabyte
  const env = { ...process.env, NODE_ENV: 'production' as const, PORCH_DATA: dataDir };
  const { siteKey } = JSON.parse(
    execFileSync(process.execPath, ['dist/server/fill-demo.mjs', SITE_ORIGIN], { env }).toString(),
  ) as {
    siteKey: string;
  };
  return { dataDir, siteKey };
}

export function stop({ child }: Running): void {
  child.kill('SIGKILL');
}
