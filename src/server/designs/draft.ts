import type { Actor } from '../actor';
import { PatchError, type Patched, applyPatches } from '../../core/draft/patch';
import type { Patch } from '../../core/model/json';
import type { Json } from '../../core/model/json';
import { foldChanges } from '../../core/draft/fold';
import { stepsOf } from '../../core/draft/history';
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
  listChanges,
  removeChange,
  trimChanges,
  writeDraft,
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
  const log = await listChanges(db, siteId, LIMITS.draftChanges);
  const steps = stepsOf(log);
  const labelOf = (revision: number | null): string | null =>
    log.find((one) => one.revision === revision)?.label ?? null;
  return {
    ...draft,
    canUndo: steps.undo !== null,
    canRedo: steps.redo !== null,
    undoLabel: labelOf(steps.undo),
    redoLabel: labelOf(steps.redo),
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
    const log = await listChanges(tx, actor.siteId, LIMITS.draftChanges);
    const target = log.find(({ revision }) => revision === stepsOf(log)[asked.kind]);
    if (target === undefined) return { kind: 'saved', view };
    const patches = asked.kind === 'undo' ? target.inverse : target.patches;
    return store(tx, actor, view, {
      clientId: asked.clientId,
      kind: asked.kind,
      patches,
      label: target.label,
      editId: null,
    });
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
  if (logged !== null) await insertChange(tx, actor.siteId, logged);
  await trimChanges(tx, actor.siteId, revision, LIMITS.draftChanges);
  return { kind: 'saved', view: await getDraft(tx, actor.siteId) };
}

/**
 * A change of the same edit as the one before it, by the same person, takes that one in; null: together they come to
 * nothing. Anything that somebody did in between ends the edit.
 */
async function foldedIntoLast(tx: Tx, actor: Actor, change: DraftChange): Promise<DraftChange | null> {
  const [last] = change.editId === null ? [] : await listChanges(tx, actor.siteId, 1);
  if (last?.editId !== change.editId || last.kind !== 'change' || last.personId !== change.personId)
    return change;
  await removeChange(tx, actor.siteId, last.revision);
  const folded = foldChanges(last, change);
  return folded === null ? null : { ...change, ...folded };
}

async function patchesSince(tx: Tx, siteId: string, base: number): Promise<Patch[]> {
  const log = await listChanges(tx, siteId, LIMITS.draftChanges);
  return log.filter(({ revision }) => revision > base).flatMap(({ patches }) => patches);
}
