import type { Patch } from '../../core/draft/patch';
import type { Design } from '../../core/model/design';
import type { TeamState } from '../../core/model/moment';
import type { EpochMs } from '../../core/model/units';
import type { Standing, VisitorEntry } from '../../core/wire/talk';

/** What the screens of a site need from the server. The page provides it once; tests give a fake one. */
export interface SitePort {
  getOverview(): Promise<Overview>;
  setWish(wish: 'in' | 'out'): Promise<void>;
  getDraft(): Promise<DraftView>;
  saveChange(change: { clientId: string; base: number; patches: readonly Patch[]; label: string }): Promise<SaveOutcome>;
  stepDraft(step: { clientId: string; kind: 'undo' | 'redo' }): Promise<SaveOutcome>;
  publish(asked: { revision: number; remark: string }): Promise<number>;
  listConversations(before: EpochMs | null): Promise<{ conversations: DeskConversation[]; hasMore: boolean }>;
  getConversation(id: string): Promise<DeskTalk>;
  reply(id: string, said: { clientId: string; body: string }): Promise<VisitorEntry>;
  end(id: string): Promise<void>;
  /** Listens to the desk's stream; answers its pings by itself. Gives the way to stop. */
  listen(hear: (event: DeskEvent) => void): () => void;
}

export interface TeamNow {
  readonly id: string;
  readonly key: string;
  readonly name: Readonly<Record<string, string>>;
  readonly state: TeamState;
}

export interface Overview {
  readonly teams: readonly TeamNow[];
  readonly wish: 'in' | 'out';
  readonly publishedDesign: Design | null;
  readonly version: number | null;
  readonly now: EpochMs;
}

export interface DraftView {
  readonly revision: number;
  readonly design: Design;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  readonly undoLabel: string | null;
  readonly redoLabel: string | null;
}

export type SaveOutcome = { readonly kind: 'saved'; readonly view: DraftView } | { readonly kind: 'behind'; readonly view: DraftView };

export interface DeskConversation {
  readonly id: string;
  readonly standing: Standing;
  readonly visitorName: string | null;
  readonly visitorMail: string | null;
  readonly locale: string;
  readonly page: string;
  readonly teamId: string | null;
  readonly responderId: string | null;
  readonly responderName: string | null;
  readonly askedMs: EpochMs;
  readonly lastEntryMs: EpochMs;
  readonly lastAuthor: 'visitor' | 'person' | 'house';
  readonly lastBody: string;
  readonly waitingSinceMs: EpochMs | null;
}

export interface DeskTalk {
  readonly conversation: DeskConversation;
  readonly entries: readonly VisitorEntry[];
  /** Pages the visitor wrote from, by entry id. */
  readonly pages: Readonly<Record<number, string>>;
}

export type DeskEvent =
  | { readonly kind: 'teams'; readonly teams: Readonly<Record<string, TeamState>> }
  | { readonly kind: 'entry'; readonly conversation: DeskConversation; readonly entry: VisitorEntry }
  | { readonly kind: 'connection'; readonly isOpen: boolean };

/** Why something did not go through; `sentence` is ready to be shown. */
export class PortError extends Error {
  constructor(
    readonly kind: 'signed-out' | 'unreachable' | 'refused' | 'missing',
    readonly sentence: string,
    readonly errors: Readonly<Record<string, string>> = {},
  ) {
    super(sentence);
  }
}
