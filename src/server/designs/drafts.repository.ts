import { completed } from '../../core/model/complete';
import type { Design } from '../../core/model/design';
import type { Patch } from '../../core/model/json';
import type { EpochMs } from '../../core/model/units';
import type { Selectable } from 'kysely';
import type { Db } from '../db/open';
import type { Schema } from '../db/schema';

export interface Draft {
  readonly revision: number;
  readonly design: Design;
}

export interface DraftChange {
  readonly revision: number;
  readonly clientId: string | null;
  readonly kind: 'change' | 'undo' | 'redo';
  readonly patches: readonly Patch[];
  readonly inverse: readonly Patch[];
  readonly label: string;
  readonly personId: string;
  readonly at: EpochMs;
  /** Changes with one edit id that follow one another are one step of undo; null: the change is a step of its own. */
  readonly editId: string | null;
}

export async function findDraft(db: Db, siteId: string): Promise<Draft | null> {
  const row = await db
    .selectFrom('draft')
    .select(['revision', 'design_json'])
    .where('site_id', '=', siteId)
    .executeTakeFirst();
  return row === undefined
    ? null
    : { revision: row.revision, design: completed(JSON.parse(row.design_json) as Design) };
}

export async function writeDraft(
  db: Db,
  siteId: string,
  draft: Draft,
  personId: string,
  at: EpochMs,
): Promise<void> {
  const values = {
    revision: draft.revision,
    design_json: JSON.stringify(draft.design),
    changed_ms: at,
    changed_by: personId,
  };
  await db
    .insertInto('draft')
    .values({ site_id: siteId, ...values })
    .onConflict((on) => on.column('site_id').doUpdateSet(values))
    .execute();
}

export async function insertChange(db: Db, siteId: string, change: DraftChange): Promise<void> {
  await db
    .insertInto('draft_change')
    .values({
      site_id: siteId,
      revision: change.revision,
      client_id: change.clientId,
      kind: change.kind,
      patch_json: JSON.stringify(change.patches),
      inverse_json: JSON.stringify(change.inverse),
      label: change.label,
      person_id: change.personId,
      at_ms: change.at,
      edit_id: change.editId,
      step: change.kind === 'change' ? 'done' : null,
    })
    .execute();
}

/** The change that the next undo takes back, or the next redo brings again; null: there is none. */
export async function findStep(db: Db, siteId: string, kind: 'undo' | 'redo'): Promise<DraftChange | null> {
  const row = await db
    .selectFrom('draft_change')
    .selectAll()
    .where('site_id', '=', siteId)
    .where('step', '=', kind === 'undo' ? 'done' : 'undone')
    .orderBy('revision', kind === 'undo' ? 'desc' : 'asc') // taken back in that order, so the first one was last
    .limit(1)
    .executeTakeFirst();
  return row === undefined ? null : toChange(row);
}

export async function writeStep(
  db: Db,
  siteId: string,
  revision: number,
  step: 'done' | 'undone',
): Promise<void> {
  await db
    .updateTable('draft_change')
    .set({ step })
    .where('site_id', '=', siteId)
    .where('revision', '=', revision)
    .execute();
}

/** What was taken back cannot be brought again any more: something new was done. */
export async function forgetUndone(db: Db, siteId: string): Promise<void> {
  await db
    .updateTable('draft_change')
    .set({ step: null })
    .where('site_id', '=', siteId)
    .where('step', '=', 'undone')
    .execute();
}

export async function findLastChange(db: Db, siteId: string): Promise<DraftChange | null> {
  const row = await db
    .selectFrom('draft_change')
    .selectAll()
    .where('site_id', '=', siteId)
    .orderBy('revision', 'desc')
    .limit(1)
    .executeTakeFirst();
  return row === undefined ? null : toChange(row);
}

/** Changes after a revision, oldest first; as far as they are kept. */
export async function listChangesAfter(db: Db, siteId: string, revision: number): Promise<DraftChange[]> {
  const rows = await db
    .selectFrom('draft_change')
    .selectAll()
    .where('site_id', '=', siteId)
    .where('revision', '>', revision)
    .orderBy('revision')
    .execute();
  return rows.map(toChange);
}

function toChange(row: Selectable<Schema['draft_change']>): DraftChange {
  return {
    revision: row.revision,
    clientId: row.client_id,
    kind: row.kind,
    patches: JSON.parse(row.patch_json) as Patch[],
    inverse: JSON.parse(row.inverse_json) as Patch[],
    label: row.label,
    personId: row.person_id,
    at: row.at_ms,
    editId: row.edit_id,
  };
}

export async function findChangeByClientId(
  db: Db,
  siteId: string,
  clientId: string,
): Promise<{ revision: number } | null> {
  return (
    (await db
      .selectFrom('draft_change')
      .select('revision')
      .where('site_id', '=', siteId)
      .where('client_id', '=', clientId)
      .executeTakeFirst()) ?? null
  );
}

/** Takes a change out of the log: another one has taken it in. */
export async function removeChange(db: Db, siteId: string, revision: number): Promise<void> {
  await db
    .deleteFrom('draft_change')
    .where('site_id', '=', siteId)
    .where('revision', '=', revision)
    .execute();
}

/** Keeps the newest `count` changes; undo reaches back no further. */
export async function trimChanges(db: Db, siteId: string, revision: number, count: number): Promise<void> {
  await db
    .deleteFrom('draft_change')
    .where('site_id', '=', siteId)
    .where('revision', '<=', revision - count)
    .execute();
}
