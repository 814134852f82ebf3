import type { Patch } from '../../core/model/json';
import type { KeptSituation } from '../../core/rehearse/assumptions';
import type { KeptVisit } from '../../core/rehearse/kept-visit';
import type { DraftView } from '../../core/wire/desk';
import type { Api } from '../frame/api';

/** The draft, and what is kept beside it. */
export interface DesignPort {
  getDraft(): Promise<DraftView>;
  saveChange(change: {
    clientId: string;
    base: number;
    patches: readonly Patch[];
    label: string;
    /** Changes with one edit id that follow one another are one step of undo; null: the change is a step of its own. */
    editId: string | null;
  }): Promise<SaveOutcome>;
  stepDraft(step: { clientId: string; kind: 'undo' | 'redo' }): Promise<SaveOutcome>;
  getSituations(): Promise<readonly KeptSituation[]>;
  keepSituation(situation: KeptSituation): Promise<readonly KeptSituation[]>;
  removeSituation(id: string): Promise<void>;
  getKeptVisits(): Promise<readonly KeptVisit[]>;
  keepVisit(visit: KeptVisit): Promise<readonly KeptVisit[]>;
  removeVisit(id: string): Promise<void>;
}

/** `behind`: somebody else has changed the draft meanwhile; the view is of the draft as it is since. */
export interface SaveOutcome {
  readonly kind: 'saved' | 'behind';
  readonly view: DraftView;
}

export function designPort({ get, post, save }: Api): DesignPort {
  const saveTo = async (path: string, body: unknown): Promise<SaveOutcome> => {
    const { isBehind, body: answer } = await save<DraftView | { readonly view: DraftView }>(path, body);
    return { kind: isBehind ? 'behind' : 'saved', view: 'view' in answer ? answer.view : answer };
  };
  return {
    getDraft: () => get('draft'),
    saveChange: (change) => saveTo('draft', change),
    stepDraft: (step) => saveTo('draft/steps', step),
    getSituations: async () => (await get<{ situations: KeptSituation[] }>('situations')).situations,
    keepSituation: async (situation) =>
      (await post<{ situations: KeptSituation[] }>('situations', situation)).situations,
    removeSituation: async (id) => void (await post('situations/remove', { id })),
    getKeptVisits: async () => (await get<{ visits: KeptVisit[] }>('visits')).visits,
    keepVisit: async (visit) => (await post<{ visits: KeptVisit[] }>('visits', visit)).visits,
    removeVisit: async (id) => void (await post('visits/remove', { id })),
  };
}
