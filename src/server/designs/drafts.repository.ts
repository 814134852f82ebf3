import { completed } from '../../core/model/complete';
import type { Design } from '../../core/model/design';
import type { Patch } from '../../core/model/json';
import type { EpochMs } from '../../core/model/units';
import type { Db } from '../db/open';

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
    })
    .execute();
}

/** The newest changes, oldest first. */
export async function listChanges(db: Db, siteId: string, limit: number): Promise<DraftChange[]> {
  const rows = await db
    .selectFrom('draft_change')
    .selectAll()
    .where('site_id', '=', siteId)
    .orderBy('revision', 'desc')
    .limit(limit)
    .execute();
  return rows.reverse().map((row) => ({
    revision: row.revision,
    clientId: row.client_id,
    kind: row.kind,
    patches: JSON.parse(row.patch_json) as Patch[],
    inverse: JSON.parse(row.inverse_json) as Patch[],
    label: row.label,
    personId: row.person_id,
    at: row.at_ms,
    editId: row.edit_id,
  }));
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
