import { fork } from 'node:child_process';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import type { Acknowledged, LoadOrder, LoadReport } from './load';

/** Makes load from another process. */
export async function load(order: LoadOrder): Promise<LoadReport> {
  const child = fork('dist/bench/load.mjs', []);
  const report = new Promise<LoadReport>((resolve, reject) => {
    child.once('message', (said) => resolve(said as LoadReport));
    child.once('exit', (code) => reject(new Error(`The load process ended with ${code}.`)));
  });
  child.send(order);
  try {
    return await report;
  } finally {
    child.removeAllListeners('exit');
    child.kill();
  }
}

export interface Checked {
  readonly lost: number;
  readonly doubled: number;
  readonly outOfOrder: number;
}

/** Holds acknowledgements against the file: each is in it once, under its id and place, and places follow the ids. */
export function checkFile(dataDir: string, acknowledged: readonly Acknowledged[]): Checked {
  const db = new Database(join(dataDir, 'sunny-porch.db'), { readonly: true });
  const find = db.prepare<[string, string], { id: number; seq: number }>(
    `SELECT id, seq FROM entry WHERE conversation_id = ? AND author = 'visitor' AND client_id = ?`,
  );
  let [lost, doubled] = [0, 0];
  for (const { clientId, entryId, seq, conversationId } of acknowledged) {
    const rows = find.all(conversationId, clientId);
    if (!rows.some((row) => row.id === entryId && row.seq === seq)) lost++;
    if (rows.length > 1) doubled++;
  }
  const order = db
    .prepare<[], { wrong: number }>(
      `SELECT count(*) AS wrong FROM (SELECT seq, row_number() OVER (PARTITION BY conversation_id ORDER BY id) AS place FROM entry) WHERE seq <> place`,
    )
    .get();
  db.close();
  return { lost, doubled, outOfOrder: order?.wrong ?? 0 };
}
