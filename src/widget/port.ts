import type { DraftPort } from './draft/draft';
import type { Loader } from './load';
import type { Decision } from '../core/decide/decision';
import type { Parts } from '../core/decide/decide-with';
import type { Circumstances } from '../core/model/circumstances';
import type { EpochMs } from '../core/model/units';
import type { PublishedSite } from '../core/wire/published-site';
import type { TeamState } from '../core/model/moment';
import type { ConversationFacts } from '../core/model/conversation';
import type { PaintedText } from '../core/decide/reader';
import type { Frame } from './frame';
import type { VisitorStore } from './visitor-store';
import type { Surroundings } from './surroundings';

/** What `extras.js` brings. */
export interface ExtrasModule {
  readonly EXTRAS_CSS: string;
}

/** What the launcher's script lends the panel's. The panel decides nothing: it tells what it heard, and is told what to paint. */
export interface PanelPort {
  readonly frame: Frame;
  readonly surroundings: Surroundings;
  /** Address of the site's visitor endpoints, without a final slash. */
  readonly base: string;
  readonly memory: Pick<VisitorStore, 'level' | 'read' | 'write' | 'tabKey'>;
  /** Name in this tab's own storage under which the token of a private view is kept ([threat 18]). */
  readonly passKey: string;
  /** The address of the page, as it is said with a message. */
  page(): string;
  /** The stream or an answer told about people. */
  hearTeams(teams: Readonly<Record<string, TeamState>> | null, at: EpochMs): void;
  hearConversation(facts: ConversationFacts | null, unread: number): void;
  setAsksAgain(value: boolean): void;
  /** The team that the visitor asks for, by its id. */
  setAsksFor(team: string): void;
  /** Reads the pointer anew. */
  ask(): void;
  close(): void;
  /** The visitor takes an invitation up (*invitation accepted*), or says no (*invitation declined*). */
  accept(): void;
  decline(): void;
  /** The design file's name a message was written under ([L10]). */
  designName(): string;
}

/** What the panel paints. */
export interface PanelPicture extends PaintedText {
  readonly isWindowOpen: boolean;
}

/** The panel once it has been fetched. */
export interface MountedPanel {
  /** The engine's part that an open window, or an invitation beside the launcher, needs. */
  readonly momentResultOf: NonNullable<Parts['momentResultOf']>;
  readonly why: NonNullable<Parts['why']>;
  paint(picture: PanelPicture): void;
  focus(): void;
  /** What the link that was followed asks: `team: question`, either of them. */
  openRequest(text: string): void;
}

export interface PanelModule {
  mountPanel(port: PanelPort): MountedPanel;
}

/** What the launcher's script lends the visit runtime. */
export interface VisitRuntimePort {
  /** Address of the site's visitor endpoints, without a final slash. */
  readonly base: string;
  readonly store: VisitorStore;
  readonly lockName: string;
  /** When the page view began, in ms of the page's monotonic clock. */
  readonly startedAt: number;
  now(): EpochMs;
  look(): void;
  site(): PublishedSite;
  circumstances(): Circumstances;
  decide(site: PublishedSite, circumstances: Circumstances): Decision;
  fetchPanel(): Promise<unknown>;
  /** An invitation opens the window; the focus stays where it is ([I10]). */
  open(): void;
  launcher(): HTMLElement | undefined;
  /** What the page says of its visitor, by name. */
  setAttributes(given: Readonly<Record<string, string>>): void;
  moveTo(address: string): void;
  tell(name: string, detail: Record<string, unknown>): void;
}

/** The watch over a page, once it has been fetched: only where something can be invited to, or visits are remembered. */
export interface VisitRuntime {
  readonly due: NonNullable<Parts['due']>;
  /** The circumstances with what is known of page view, visit and memory. */
  enrich(base: Circumstances): Circumstances;
  /** Listens as the decision asks, and shows or takes away what it says. */
  follow(site: PublishedSite, decision: Decision): void;
  /** The pointer is being asked because of a decision. */
  asked(ask: Promise<unknown>): void;
  opened(): void;
  closed(): void;
  declined(): void;
  turn(isVisible: boolean): void;
  moveTo(address: string): void;
  /** What is published has been read ([V8]). */
  learnt(site: PublishedSite): void;
  /** The page calls: attributes, consent, page, forget; what has another name does nothing. */
  call(name: string, value: unknown): void;
}

export interface VisitRuntimeModule {
  startVisitRuntime(port: VisitRuntimePort): VisitRuntime;
}

/** The file for a private view of the draft. */
export interface DraftModule {
  draftLoader(port: DraftPort): Loader;
}
