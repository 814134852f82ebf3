import { type ChildProcess, execFileSync, fork } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

export interface Running {
  readonly origin: string;
  readonly child: ChildProcess;
}

/** Starts a program that says on which port it listens. */
export async function start(file: string, env: Record<string, string>, first?: unknown): Promise<Running> {
  const child = fork(file, [], {
    env: { ...process.env, NODE_ENV: 'production', PORT: '0', ...env },
    silent: true,
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

export const SITE_ORIGIN = 'http://localhost:4320';

/** A demo of its own for the bench. */
export function fill(): { dataDir: string; siteKey: string } {
  const dataDir = mkdtempSync(join(tmpdir(), 'porch-bench-'));
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
