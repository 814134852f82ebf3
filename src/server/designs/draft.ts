import type { Actor } from '../actor';
import { PatchError, type Patched, applyPatches } from '../../core/draft/patch';
import type { Patch } from '../../core/model/json';
import type { Json } from '../../core/model/json';
import { foldChanges } from '../../core/draft/fold';
import { LIMITS } from '../../core/limits';
import type { Design } from '../../core/model/design';
import { type FieldErrors } from '../../core/result';
import type { DraftView } from '../../core/wire/desk';
import {
  type Draft,
  type DraftChange,
  findChangeByClientId,
  findDraft,
  insertChange,
  findLastChange,
  findStep,
  forgetUndone,
  listChangesAfter,
  removeChange,
  trimChanges,
  writeDraft,
  writeStep,
} from './drafts.repository';
import { inTransaction } from '../db/transaction';
import type { Tx } from '../db/open';
import type { ChangeInput, StepInput } from '../input/desk.input';
import { DesignInput } from '../input/design.input';
import { parseInput } from '../input/parse-input';
import type { State } from '../state';

export type DraftOutcome =
  | { readonly kind: 'saved'; readonly view: DraftView }
  /** Somebody else changed it since: load what came between, and say it again on top. */
  | { readonly kind: 'behind'; readonly view: DraftView; readonly between: readonly Patch[] }
  | { readonly kind: 'refused'; readonly errors: FieldErrors };

export async function getDraft(db: State['db'] | Tx, siteId: string): Promise<DraftView> {
  const draft = await findDraft(db, siteId);
  if (draft === null) throw new Error(`Expected a draft for site ${siteId}: it is made with the site.`);
  return viewOf(db, siteId, draft);
}

/** A draft with what can be taken back and brought again. Costs the same however long its log is. */
async function viewOf(db: State['db'] | Tx, siteId: string, draft: Draft): Promise<DraftView> {
  const [undo, redo] = await Promise.all([findStep(db, siteId, 'undo'), findStep(db, siteId, 'redo')]);
  return {
    ...draft,
    canUndo: undo !== null,
    canRedo: redo !== null,
    undoLabel: undo?.label ?? null,
    redoLabel: redo?.label ?? null,
  };
}

/** Stores one change of the draft; sent twice it counts once. The whole design is judged anew. */
export async function saveChange(
  state: Pick<State, 'db'>,
  actor: Actor,
  asked: ChangeInput,
): Promise<DraftOutcome> {
  return inTransaction(state.db, async (tx): Promise<DraftOutcome> => {
    const view = await getDraft(tx, actor.siteId);
    if ((await findChangeByClientId(tx, actor.siteId, asked.clientId)) !== null)
      return { kind: 'saved', view };
    if (asked.base !== view.revision)
      return { kind: 'behind', view, between: await patchesSince(tx, actor.siteId, asked.base) };
    return store(tx, actor, view, {
      clientId: asked.clientId,
      kind: 'change',
      patches: asked.patches as Patch[],
      label: asked.label,
      editId: asked.editId ?? null,
    });
  });
}

/** Takes the last change back, or brings the last one taken back again. */
export async function stepDraft(
  state: Pick<State, 'db'>,
  actor: Actor,
  asked: StepInput,
): Promise<DraftOutcome> {
  return inTransaction(state.db, async (tx): Promise<DraftOutcome> => {
    const view = await getDraft(tx, actor.siteId);
    if ((await findChangeByClientId(tx, actor.siteId, asked.clientId)) !== null)
      return { kind: 'saved', view };
    const target = await findStep(tx, actor.siteId, asked.kind);
    if (target === null) return { kind: 'saved', view };
    const patches = asked.kind === 'undo' ? target.inverse : target.patches;
    const outcome = await store(tx, actor, view, {
      clientId: asked.clientId,
      kind: asked.kind,
      patches,
      label: target.label,
      editId: null,
    });
    if (outcome.kind !== 'saved') return outcome;
    const step = asked.kind === 'undo' ? 'undone' : 'done';
    await writeStep(tx, actor.siteId, target.revision, step);
    return { kind: 'saved', view: await viewOf(tx, actor.siteId, outcome.view) };
  });
}

/** Puts another design in the place of the draft, as one change that can be undone. Refused where it is not one any more. */
export async function replaceDraft(
  tx: Tx,
  actor: Actor,
  design: Design,
  label: string,
): Promise<DraftOutcome> {
  const patches = Object.entries(design).map(([name, value]): Patch => ({
    op: 'set',
    path: [name],
    value: value as Json,
  }));
  return store(tx, actor, await getDraft(tx, actor.siteId), {
    clientId: null,
    kind: 'change',
    patches,
    label,
    editId: null,
  });
}

async function store(
  tx: Tx,
  actor: Actor,
  before: Draft,
  change: Pick<DraftChange, 'clientId' | 'kind' | 'patches' | 'label' | 'editId'>,
): Promise<DraftOutcome> {
  let patched: Patched<Design>;
  try {
    patched = applyPatches(before.design, change.patches);
  } catch (error) {
    if (error instanceof PatchError) return { kind: 'refused', errors: { '': error.message } };
    throw error;
  }
  const judged = parseInput(DesignInput, patched.value);
  if (!judged.ok) return { kind: 'refused', errors: judged.errors };
  const revision = before.revision + 1;
  await writeDraft(tx, actor.siteId, { revision, design: patched.value }, actor.personId, actor.at);
  const logged = await foldedIntoLast(tx, actor, {
    ...change,
    revision,
    inverse: patched.inverse,
    personId: actor.personId,
    at: actor.at,
  });
  if (change.kind === 'change') await forgetUndone(tx, actor.siteId);
  if (logged !== null) await insertChange(tx, actor.siteId, logged);
  await trimChanges(tx, actor.siteId, revision, LIMITS.draftChanges);
  return { kind: 'saved', view: await viewOf(tx, actor.siteId, { revision, design: patched.value }) };
}

/**
 * A change of the same edit as the one before it, by the same person, takes that one in; null: together they come to
 * nothing. Anything that somebody did in between ends the edit.
 */
async function foldedIntoLast(tx: Tx, actor: Actor, change: DraftChange): Promise<DraftChange | null> {
  const last = change.editId === null ? null : await findLastChange(tx, actor.siteId);
  if (last?.editId !== change.editId || last.kind !== 'change' || last.personId !== change.personId)
    return change;
  await removeChange(tx, actor.siteId, last.revision);
  const folded = foldChanges(last, change);
  return folded === null ? null : { ...change, ...folded };
}

async function patchesSince(tx: Tx, siteId: string, base: number): Promise<Patch[]> {
  return (await listChangesAfter(tx, siteId, base)).flatMap(({ patches }) => patches);
}
