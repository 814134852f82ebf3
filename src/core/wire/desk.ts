import type { RightsChangeKind, Role } from '../model/role';
import type { AlertSettings } from '../model/alert-settings';
import type { PageDevice } from '../model/page-bars';
import type { BarsByDevice } from '../model/page-bars';
import type { FormPlace } from '../model/form';
import type { Design } from '../model/design';
import type { FieldKind } from '../model/form';
import type { Moment, TeamState } from '../model/moment';
import type { EpochMs, Locale } from '../model/units';
import type { VisitorMark } from '../model/visitor-mark';
import type { FactsFileV1 } from './facts-file';
import type { PointerV1 } from './pointer';
import type { Answerer } from './published-site';
import type { EntryPage, Face, VisitorEntry } from './talk';
import type { ConversationStatus } from '../model/conversation';

/** What the desk's screens and the server say to each other. */

export interface TeamNow {
  readonly id: string;
  readonly key: string;
  /** Public names by locale. */
  readonly name: Readonly<Record<Locale, string>>;
  readonly state: TeamState;
}

/** Somebody who works on the site. */
export interface PersonView {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  readonly teamIds: readonly string[];
  readonly isIn: boolean;
  readonly isYou: boolean;
  readonly face: Face | null;
}

/** A link by which one colleague may join; its secret is told once, to whoever made it. */
export interface JoinLink {
  readonly id: string;
  readonly role: Role;
  readonly teamIds: readonly string[];
  readonly expiresAt: EpochMs;
}

/** One change of who may do what. */
export interface RightsChange {
  readonly id: number;
  readonly at: EpochMs;
  readonly kind: RightsChangeKind;
  /** Name of whoever did it. */
  readonly by: string;
  /** Name of whom it is about; null: of a link. */
  readonly person: string | null;
  /** What they may do since; null: that was not changed. */
  readonly role: Role | null;
  /** The names of their teams since, in the site's first language; null: those were not changed. */
  readonly teams: readonly string[] | null;
}

/** Who answers on a site, and, for its owners, how that came about. */
export interface PeopleView {
  readonly people: readonly PersonView[];
  readonly rights: {
    readonly links: readonly JoinLink[];
    /** The newest hundred, newest first. */
    readonly changes: readonly RightsChange[];
  } | null;
}

/** A widget that names a team: it asks the team, or says a text differently for it. */
export interface TeamUse {
  readonly widget: string;
  readonly how: 'asks' | 'says';
}

/** A team as its owner edits it. */
export interface TeamView {
  readonly id: string;
  /** What links on the site's pages ask for it by; it stays when the team is renamed. */
  readonly key: string;
  readonly name: Readonly<Record<Locale, string>>;
  /** In the draft. */
  readonly inDraft: readonly TeamUse[];
  /** In what is live or planned. */
  readonly inPublished: readonly TeamUse[];
}

/** The teams of a site in their order, and the languages of its widget, the usual one first. */
export interface TeamsView {
  readonly locales: readonly Locale[];
  readonly teams: readonly TeamView[];
}

/** The path of a link that was made, which is told this once, and the people as they are since. */
export interface MadeJoinLink {
  readonly path: string;
  readonly view: PeopleView;
}

/** What the frame around every screen shows. */
export interface Overview {
  readonly teams: readonly TeamNow[];
  /** Whoever looks, as visitors see them. */
  readonly you: Answerer;
  /** Calendars by id, as they are called here. */
  readonly calendars: Readonly<Record<string, string>>;
  readonly presenceChoice: 'in' | 'out';
  /** How whoever looks wants to be told of questions, and the ids of their teams. */
  readonly alerts: AlertSettings;
  readonly teamIds: readonly string[];
  /** Whether pages of more than one address may carry the widget: then a page is named with its address. */
  readonly hasAddresses: boolean;
  /** Whether whoever looks may open more sites in this installation. */
  readonly mayOpenSites: boolean;
  /** What is live, or will be, where no period is: with it a draft is compared. Null: nothing was published yet. */
  readonly publishedDesign: Design | null;
  /** The end of the period that runs; what is published meanwhile comes after it ([L6]). Null: none does. */
  readonly periodUntil: EpochMs | null;
  /** The highest number of a version; 0: there is none. */
  readonly newestVersion: number;
  /** Since when the whole widget is paused; null: it is not. */
  readonly pausedAt: EpochMs | null;
  /** The version in force; null: none. */
  readonly version: number | null;
  /** What takes effect at once ([L1]); null: nothing was written yet. */
  readonly facts: FactsFileV1 | null;
  readonly overrides: PointerV1['overrides'];
  readonly now: EpochMs;
}

/** What belongs to a site as a whole, as its owner sees it. */
export interface SettingsView {
  readonly name: string;
  readonly zone: string;
  /** What the place of the zone is called, by locale; where it is not said, the zone's city. */
  readonly places: Readonly<Record<Locale, string>>;
  /** The languages of the draft. */
  readonly locales: readonly Locale[];
  /** Addresses whose pages may carry the widget; `https://*.` stands for all subdomains. */
  readonly domains: readonly string[];
  /** Conversations in which nothing was said for so long are deleted. */
  readonly retentionDays: number;
}

/** What became of another time for which conversations are kept. */
export interface RetentionAnswer {
  /** So many are older, and are deleted only where that is confirmed; 0: it holds since. */
  readonly olderCount: number;
  readonly view: SettingsView;
}

/** One's own account, the same on every site. */
export interface AccountView {
  readonly name: string;
  readonly mail: string;
  readonly sessions: readonly SessionView[];
}

export interface SessionView {
  /** What the browser calls itself. */
  readonly agent: string;
  readonly createdAt: EpochMs;
  readonly isThis: boolean;
}

/** Pictures that belong to a look. */
export const LOOK_PICTURE_KINDS = ['logo', 'header', 'icon'] as const;
export type LookPictureKind = (typeof LOOK_PICTURE_KINDS)[number];

export interface PagePicture {
  readonly hash: string;
  readonly width: number;
  readonly height: number;
}

/** What can stand behind the widget on the stage besides the page we draw. */
export interface PagePictures {
  readonly pictures: Readonly<Partial<Record<PageDevice, PagePicture>>>;
  /** Bars that stay in place there, as they were marked. */
  readonly bars: BarsByDevice;
  /** The owner's own site, as they gave it; null: they did not. */
  readonly siteAddress: string | null;
}

/** What findings are computed from besides the draft, and which of them were dismissed. */
export interface FindingFacts {
  readonly peopleOf: Readonly<Record<string, number>>;
  /** Origin under which browsers reach us. */
  readonly ownAddress: string;
  /** The proxy that sends addresses which are not believed, as no proxy is trusted; null: none has. */
  readonly proxySeen: string | null;
  /** Addresses whose pages may carry the widget. */
  readonly domains: readonly string[];
  readonly isZoneConfirmed: boolean;
  readonly dismissals: readonly Dismissal[];
}

/** A finding that was dismissed, with the reason, by whom and when. */
export interface Dismissal {
  readonly key: string;
  readonly reason: string;
  readonly personName: string;
  readonly atMs: EpochMs;
}

/** A version as it stands in the list. */
export interface VersionRow {
  readonly number: number;
  readonly remark: string;
  readonly at: EpochMs;
  readonly broughtBackFrom: number | null;
  readonly personName: string;
  /** From when on it was, or is to be, live; null: that was taken back. */
  readonly liveFrom: EpochMs | null;
  /** The end of the period it was made for; null: for good. */
  readonly liveUntil: EpochMs | null;
}

/** A version that is set for later, or for a period ([L6]). */
export interface PublicationRow {
  readonly id: string;
  readonly version: number;
  readonly from: EpochMs;
  /** Null: for good. */
  readonly until: EpochMs | null;
}

export interface VersionsView {
  /** The newest first. */
  readonly versions: readonly VersionRow[];
  readonly hasMore: boolean;
  readonly planned: readonly PublicationRow[];
  /** The version in force; null: none. */
  readonly inForce: number | null;
}

/** What a design that came as a file is judged to be. */
export interface DesignFileAnswer {
  /** Null: it does not fit. */
  readonly design: Design | null;
  /** Lines and columns count from 1. */
  readonly faults: readonly {
    readonly line: number;
    readonly column: number;
    readonly path: string;
    readonly sentence: string;
  }[];
}

/** What the screen is told of the draft. */
export interface DraftView {
  readonly revision: number;
  readonly design: Design;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  /** What undo would take back, in words; null: nothing. */
  readonly undoLabel: string | null;
  readonly redoLabel: string | null;
}

/** What the desk's list shows of a conversation. */
export interface DeskConversation {
  readonly id: string;
  readonly status: ConversationStatus;
  readonly visitorName: string | null;
  readonly visitorMail: string | null;
  /** The same in each conversation of a visitor. */
  readonly visitorMark: VisitorMark;
  readonly locale: Locale;
  readonly page: string;
  /** Begun by somebody who looked at the draft by a private link ([threat 18]). */
  readonly isPractice: boolean;
  readonly teamId: string | null;
  readonly responderId: string | null;
  readonly responderName: string | null;
  readonly askedMs: EpochMs;
  readonly lastEntryMs: EpochMs;
  readonly lastAuthor: 'visitor' | 'person' | 'system';
  readonly lastBody: string;
  /** Since when the visitor has been waiting for a word of ours; null: they are not. */
  readonly waitingSinceMs: EpochMs | null;
  /** Since when whoever had joined is not there any more; null: that is not so. */
  readonly leftMs: EpochMs | null;
  /** Since when it is a question that nobody answered in time; null: it is not. */
  readonly missedMs: EpochMs | null;
  /** Nothing is left to be done: it was answered and is over, or somebody of ours has said so. */
  readonly isDone: boolean;
  /** When it ends, as somebody of ours has ended it: until then that can be undone, and the visitor is told nothing. Null: nobody has. */
  readonly endsMs: EpochMs | null;
}

/** A form that was filled in, with its labels; for the desk only. */
export interface FilledForm {
  readonly place: FormPlace;
  readonly storedMs: EpochMs;
  /** Values of *yes/no* and *consent* are `yes` and `no`; options and teams by their words. */
  readonly replies: readonly {
    readonly label: string;
    readonly kind: FieldKind;
    readonly values: readonly string[];
  }[];
}

/** Pages with the instants they were opened at, oldest first. */
export type Trail = (readonly [address: string, at: EpochMs])[];

/** What a visitor sees, and where. */
export interface VisitorNow {
  readonly moment: Moment;
  /** Address without its scheme, since when; null: it may not be known ([V9]). */
  readonly page: readonly [address: string, since: EpochMs] | null;
  /** Since when no page of the site hears us any more; null: one does. */
  readonly goneMs: EpochMs | null;
}

export interface DeskTalk extends EntryPage {
  readonly conversation: DeskConversation;
  /** What was said in the visitor's conversations before this one, from the oldest of `entries` on. */
  readonly earlier: readonly VisitorEntry[];
  /** [V9] Pages on the way to the question and since, oldest first; empty where none may be known. */
  readonly trail: Trail;
  /** Null: it is not known. */
  readonly visitorNow: VisitorNow | null;
  /** Oldest first. */
  readonly forms: readonly FilledForm[];
  /** Pages the visitor wrote from, by entry id. */
  readonly pages: Readonly<Record<number, string>>;
}
