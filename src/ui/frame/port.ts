import type { Bars } from '../../core/model/page-bars';
import type { HeaderPicture } from '../../core/model/look';
import type { Patch } from '../../core/model/json';
import type { Design } from '../../core/model/design';
import type { TeamState } from '../../core/model/moment';
import type { KeptVisit } from '../../core/rehearse/kept-visit';
import type { KeptSituation } from '../../core/rehearse/assumptions';
import type { EpochMs } from '../../core/model/units';
import type {
  FindingFacts,
  DesignFileAnswer,
  DeskConversation,
  DeskTalk,
  DraftView,
  Overview,
  LookPictureKind,
  PagePictures,
  PersonView,
  VersionsView,
} from '../../core/wire/desk';
import type { PageDevice } from '../../core/model/page-bars';
import type { VisitorEntry } from '../../core/wire/talk';

/** What the screens of a site need from the server. The page provides it once; tests give a fake one. */
export interface SitePort {
  getOverview(): Promise<Overview>;
  setPresenceChoice(choice: 'in' | 'out'): Promise<void>;
  getDraft(): Promise<DraftView>;
  saveChange(change: {
    clientId: string;
    base: number;
    patches: readonly Patch[];
    label: string;
  }): Promise<SaveOutcome>;
  stepDraft(step: { clientId: string; kind: 'undo' | 'redo' }): Promise<SaveOutcome>;
  publish(asked: PublishAsked): Promise<number>;
  /** The newest first, below a number. */
  getVersions(below: number | null): Promise<VersionsView>;
  getVersion(number: number): Promise<{ readonly number: number; readonly design: Design }>;
  /** Publishes an earlier version as a new one. Gives its number. */
  bringBack(number: number, remark: string): Promise<number>;
  /** Takes back what is set for later, or ends a period. */
  cancelPublication(id: string): Promise<void>;
  setPaused(isPaused: boolean): Promise<void>;
  /** A private link to the draft on the owner's own site. */
  openPreview(): Promise<{ readonly id: string; readonly link: string; readonly expires: EpochMs }>;
  endPreview(id: string): Promise<void>;
  /** Judges a design that came as a file; nothing is stored. */
  judgeDesignFile(text: string): Promise<DesignFileAnswer>;
  getFindings(): Promise<FindingFacts>;
  /** Dismisses a finding, with the reason. */
  dismiss(key: string, reason: string): Promise<void>;
  restoreFinding(key: string): Promise<void>;
  /** Mail addresses that get the notes of each team. */
  getRecipients(): Promise<Readonly<Record<string, readonly string[]>>>;
  setRecipients(teamId: string, mails: readonly string[]): Promise<void>;
  /** A page of the site's own, as its server sends it. */
  getPageSource(address: string): Promise<{ readonly address: string; readonly text: string }>;
  getPeople(): Promise<readonly PersonView[]>;
  /** Visitors see it from then on. Gives the people as they are since. */
  setFace(personId: string, picture: Blob): Promise<readonly PersonView[]>;
  removeFace(personId: string): Promise<readonly PersonView[]>;
  getPagePictures(): Promise<PagePictures>;
  setPagePicture(device: PageDevice, picture: Blob): Promise<PagePictures>;
  /** Draws and keeps a picture for a look; the draft does not name it yet. */
  keepLookPicture(kind: LookPictureKind, picture: Blob): Promise<HeaderPicture>;
  setPageBars(device: PageDevice, bars: Bars): Promise<PagePictures>;
  removePagePicture(device: PageDevice): Promise<PagePictures>;
  getSituations(): Promise<readonly KeptSituation[]>;
  keepSituation(situation: KeptSituation): Promise<readonly KeptSituation[]>;
  removeSituation(id: string): Promise<void>;
  getKeptVisits(): Promise<readonly KeptVisit[]>;
  keepVisit(visit: KeptVisit): Promise<readonly KeptVisit[]>;
  removeVisit(id: string): Promise<void>;
  listConversations(before: EpochMs | null): Promise<{ conversations: DeskConversation[]; hasMore: boolean }>;
  getConversation(id: string): Promise<DeskTalk>;
  reply(id: string, said: { clientId: string; body: string }): Promise<VisitorEntry>;
  end(id: string): Promise<void>;
  /** Listens to the desk's stream; answers its pings by itself. Gives what stops it. */
  listen(hear: (event: DeskEvent) => void): () => void;
}

/** When a version is to be live, by the site's clock, `YYYY-MM-DDTHH:MM`; nulls: at once, and for good. */
export interface PublishAsked {
  readonly revision: number;
  readonly remark: string;
  readonly from: string | null;
  readonly until: string | null;
  /** The draft is taken back to how it is outside of the period. */
  readonly takesBack: boolean;
}

export type SaveOutcome =
  | { readonly kind: 'saved'; readonly view: DraftView }
  | { readonly kind: 'behind'; readonly view: DraftView };

export type DeskEvent =
  | { readonly kind: 'teams'; readonly teams: Readonly<Record<string, TeamState>> }
  | { readonly kind: 'entry'; readonly conversation: DeskConversation; readonly entry: VisitorEntry }
  /** Visitors asked to be forgotten, and were. */
  | { readonly kind: 'gone'; readonly ids: readonly string[] }
  /** A form after the chat was given. */
  | { readonly kind: 'form'; readonly conversation: DeskConversation }
  | { readonly kind: 'connection'; readonly isOpen: boolean }
  /** The session has ended: pings are not answered for this person any more. */
  | { readonly kind: 'signed-out' };

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
