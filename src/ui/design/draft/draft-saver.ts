import { PatchError, applyPatches } from '../../../core/draft/patch';
import type { Patch } from '../../../core/model/json';
import { type Clash, movedPath, rebase } from '../../../core/draft/rebase';
import type { Design } from '../../../core/model/design';
import { newClientId } from '../../parts/new-client-id';
import type { DraftView } from '../../../core/wire/desk';
import { PortError } from '../../frame/api';
import type { DesignPort, SaveOutcome } from '../port';
import { DRAFT_WORDS } from '../../wording/screens/draft';

/** The draft as the screen sees it: with everything typed, saved or not. */
export interface DraftState {
  readonly design: Design;
  readonly revision: number;
  readonly status: 'saved' | 'saving' | 'not-saved';
  /** Why it is not saved, in a sentence. */
  readonly why: string | null;
  readonly undoLabel: string | null;
  readonly redoLabel: string | null;
  /** What somebody else has changed meanwhile, in another way than here: theirs stands until somebody chooses. */
  readonly clashes: readonly LabelledClash[];
  /** A version that is only looked at; null: it is the draft. */
  readonly version: number | null;
}

/** A place that two have changed, with what was done here in words. */
export interface LabelledClash extends Clash {
  readonly label: string;
}

export interface DraftSaver {
  state(): DraftState;
  /**
   * Reaches the screen at once, the server soon. Changes of one place in a row are saved as one; those with one edit id are
   * one step of undo, however long apart.
   */
  change(patches: readonly Patch[], label: string, editId?: string): void;
  step(kind: 'undo' | 'redo'): void;
  /** Ends the first clash: theirs stays, or what was done here is put in its place. */
  choose(which: 'mine' | 'theirs'): void;
  /** The draft as the server has it now: it may have changed it by itself. */
  reload(): Promise<void>;
  /** Tries at once what is still to be saved. */
  retry(): void;
  /** Whether something would be lost by leaving now. */
  isPending(): boolean;
  stop(): void;
}

interface Pending {
  readonly clientId: string;
  readonly kind: 'change' | 'undo' | 'redo';
  readonly patches: readonly Patch[];
  readonly label: string;
  readonly editId: string | null;
}

const DEBOUNCE_MS = 350;
const RETRY_MS = [1000, 2000, 4000, 8000] as const;

/**
 * Keeps a draft and its changes in order: one in flight, the rest waiting, none ever dropped because the server was
 * away. A change the server refuses is taken back and told.
 */
export function draftSaver(
  port: Pick<DesignPort, 'getDraft' | 'saveChange' | 'stepDraft'>,
  first: DraftView,
  on: { change: () => void; refused: (sentence: string) => void; failed: (error: unknown) => void },
): DraftSaver {
  let server = first;
  let queue: readonly Pending[] = [];
  let flying: Pending | null = null;
  let why: string | null = null;
  let tries = 0;
  let timer: ReturnType<typeof setTimeout> | null = null;
  let isStopped = false;
  let clashes: readonly LabelledClash[] = [];

  const waiting = (): readonly Pending[] => (flying === null ? queue : [flying, ...queue]);
  const local = (): Design =>
    waiting().reduce(
      (design, one) => (one.kind === 'change' ? fitted(design, one.patches) : design),
      server.design,
    );
  let design = server.design;

  const show = (): void => {
    // What was saved comes back as a copy: as long as it says the same, nothing is drawn anew.
    const next = local();
    if (JSON.stringify(next) !== JSON.stringify(design)) design = next;
    on.change();
  };

  const later = (ms: number): void => {
    if (timer !== null) clearTimeout(timer);
    timer = isStopped ? null : setTimeout(() => void flush(), ms);
  };

  const flush = async (): Promise<void> => {
    timer = null;
    const [next, ...rest] = queue;
    if (flying !== null || next === undefined || isStopped) return;
    flying = next;
    queue = rest;
    on.change();
    try {
      const outcome = await offer(next);
      const before = server.design;
      server = outcome.view;
      flying = null;
      if (outcome.kind === 'behind') {
        clashes = clashes.flatMap((one) => {
          const path = movedPath(one.path, before, server.design);
          return path === null ? [] : [{ ...one, path }];
        });
        queue = [next, ...queue].flatMap((one) => onTop(one, before));
      }
      why = null;
      tries = 0;
    } catch (error) {
      flying = null;
      if (error instanceof PortError && error.kind === 'refused') on.refused(error.sentence);
      else queue = [next, ...queue];
      if (!(error instanceof PortError && error.kind === 'refused')) {
        why = error instanceof PortError ? error.sentence : DRAFT_WORDS.serverSilent;
        on.failed(error);
        show();
        return later(RETRY_MS[Math.min(tries++, RETRY_MS.length - 1)] ?? 8000);
      }
    }
    show();
    if (queue.length > 0) later(0);
  };

  /** Something done here, as it is done to a draft that somebody else has changed; nothing where it only clashes. */
  const onTop = (one: Pending, before: Design): Pending[] => {
    if (one.kind !== 'change') return [one];
    const { patches, clashes: found, isLost } = rebase(one.patches, before, server.design);
    clashes = [...clashes, ...found.map((clash) => ({ ...clash, label: one.label }))];
    if (isLost) on.refused(DRAFT_WORDS.removedByOther);
    return patches.length === 0 ? [] : [{ ...one, patches }];
  };

  const offer = (one: Pending): Promise<SaveOutcome> =>
    one.kind === 'change'
      ? port.saveChange({
          clientId: one.clientId,
          base: server.revision,
          patches: one.patches,
          label: one.label,
          editId: one.editId,
        })
      : port.stepDraft({ clientId: one.clientId, kind: one.kind });

  const change = (patches: readonly Patch[], label: string, editId: string | null = null): void => {
    const last = queue.at(-1);
    const joins =
      last !== undefined &&
      last.kind === 'change' &&
      last.label === label &&
      last.editId === editId &&
      isSamePlace(last.patches, patches);
    const entry: Pending = {
      clientId: joins ? last.clientId : newClientId(),
      kind: 'change',
      patches,
      label,
      editId,
    };
    queue = joins ? [...queue.slice(0, -1), entry] : [...queue, entry];
    show();
    if (why === null) later(DEBOUNCE_MS);
  };

  return {
    state: () => ({
      design,
      revision: server.revision,
      status: why !== null ? 'not-saved' : waiting().length > 0 ? 'saving' : 'saved',
      why,
      undoLabel: waiting().at(-1)?.label ?? server.undoLabel,
      redoLabel: waiting().length > 0 ? null : server.redoLabel,
      clashes,
      version: null,
    }),
    choose: (which) => {
      const [first, ...rest] = clashes;
      clashes = rest;
      if (which === 'mine' && first !== undefined)
        change(
          [
            first.mine === undefined
              ? { op: 'remove', path: first.path }
              : { op: 'set', path: first.path, value: first.mine },
          ],
          first.label,
        );
      else show();
    },
    change,
    step: (kind) => {
      queue = [...queue, { clientId: newClientId(), kind, patches: [], label: kind, editId: null }];
      on.change();
      later(0);
    },
    reload: async () => {
      const view = await port.getDraft();
      if (waiting().length > 0 || view.revision < server.revision) return;
      server = view;
      show();
    },
    retry: () => later(0),
    isPending: () => waiting().length > 0,
    stop: () => {
      isStopped = true;
      if (timer !== null) clearTimeout(timer);
    },
  };
}

/** A version to look at: whatever is done to it is told to be in vain. */
export function versionSaver(
  number: number,
  design: Design,
  refused: (sentence: string) => void,
): DraftSaver {
  const refuse = (): void => refused(DRAFT_WORDS.versionReadOnly(number));
  return {
    state: () => ({
      design,
      revision: 0,
      status: 'saved',
      why: null,
      undoLabel: null,
      redoLabel: null,
      clashes: [],
      version: number,
    }),
    change: refuse,
    step: () => undefined,
    choose: () => undefined,
    reload: () => Promise.resolve(),
    retry: () => undefined,
    isPending: () => false,
    stop: () => undefined,
  };
}

/** A change made for an older draft may not fit any more; then the newer draft stands. */
function fitted(design: Design, patches: readonly Patch[]): Design {
  try {
    return applyPatches(design, patches).value;
  } catch (error) {
    if (error instanceof PatchError) return design;
    throw error;
  }
}

function isSamePlace(a: readonly Patch[], b: readonly Patch[]): boolean {
  return (
    a.length === b.length &&
    a.every(
      (patch, index) =>
        patch.op === 'set' && b[index]?.op === 'set' && patch.path.join('/') === b[index].path.join('/'),
    )
  );
}
