import { compileSite } from '../decide/compile-site';
import type { DrawnMoment } from '../model/moment';
import type { Circumstances } from '../model/circumstances';
import type { Moment, TeamState } from '../model/moment';
import { DAY_MS, MINUTE_MS, SECOND_MS } from '../model/units';
import type { PublishedSite } from '../wire/published-site';
import type { VisitorEntry } from '../wire/talk';
import type { ConversationFacts } from '../model/conversation';
import type { ConversationStatus } from '../model/conversation';
import { memoByKey, memoByObject } from '../memo';
import { decided } from './decided';
import { answererOf, sampleIn } from './samples';

/** A visitor standing at a moment, for the stage and the path. */
export interface PreviewState {
  readonly site: PublishedSite;
  readonly circumstances: Circumstances;
  readonly entries: readonly VisitorEntry[];
  /** The state the teams had to be given for the moment to be seen at all; null: it can be reached as things are. */
  readonly needs: TeamState | null;
  /** Nothing of a launcher is to be seen there: it has not come yet, or the device has none. */
  readonly hasNoLauncher?: boolean;
}

/**
 * Puts a visitor at a moment: the real engine decides, on circumstances made up for it. Where these circumstances do
 * not lead there, the nearest state of the teams that does is used, and told in `needs`. `invitation` is the one that is
 * drawn; null: the first that is on.
 */
export function previewAt(
  site: PublishedSite,
  base: Circumstances,
  moment: DrawnMoment,
  invitation: string | null = null,
): PreviewState {
  return previewsOf(site)(base)(JSON.stringify(moment === 'invited' ? [moment, invitation] : [moment, null]));
}

/** Moments and invitations of one design, far more than there are. */
const PREVIEWS_MAX = 200;

/** What is drawn of a moment that has not changed stays the same object. */
const previewsOf = memoByObject((site: PublishedSite) =>
  memoByObject((base: Circumstances) =>
    memoByKey(PREVIEWS_MAX, (asked: string) => {
      const [moment, invitation] = JSON.parse(asked) as [DrawnMoment, string | null];
      return previewOf(site, base, moment, invitation);
    }),
  ),
);

function previewOf(
  site: PublishedSite,
  base: Circumstances,
  moment: DrawnMoment,
  invitation: string | null,
): PreviewState {
  const circumstances = circumstancesAt(site, base, moment, invitation);
  const entries = circumstances.conversation === null ? [] : entriesAt(site, moment, base.now);
  const leadsHere =
    moment === 'passing-by' || moment === 'invited' || lastDoorOf(site, base) === DOORS[moment];
  if (leadsHere) return { site, circumstances, entries, needs: null };
  const needs: TeamState = DOORS[moment] === 'nobody-home' ? 'nobody' : 'in';
  const teams = Object.fromEntries(Object.keys(site.facts.teams).map((id) => [id, needs]));
  const bent = {
    ...site,
    pointer: {
      ...site.pointer,
      teams,
      overrides: needs === 'in' ? heldOpen(site, base) : site.pointer.overrides,
    },
  };
  return { site: bent, circumstances: { ...circumstances, heardAt: base.now }, entries, needs };
}

/** Every calendar held open, so that who is in decides. */
function heldOpen(
  { facts, pointer }: PublishedSite,
  { now }: Circumstances,
): PublishedSite['pointer']['overrides'] {
  const open = { isOpen: true, until: now + DAY_MS, reason: '' };
  return {
    ...pointer.overrides,
    ...Object.fromEntries(Object.keys(facts.calendars).map((id) => [id, open])),
  };
}

const atTheDoor = memoByObject((base: Circumstances): Circumstances => ({
  ...base,
  isWindowOpen: true,
  conversation: null,
  asksAgain: false,
}));
const justCome = memoByObject((base: Circumstances): Circumstances => ({
  ...base,
  isWindowOpen: false,
  conversation: null,
}));

/** The widget that these circumstances show before anything is opened or said. */
function shownIn(site: PublishedSite, base: Circumstances): string | null {
  const isBare = !base.isWindowOpen && base.conversation === null;
  return decided(site, isBare ? base : justCome(base)).widget;
}

/** Which of the two doors a visit goes through to get to a moment. */
const DOORS: Readonly<Record<DrawnMoment, Moment>> = {
  'passing-by': 'passing-by',
  invited: 'passing-by',
  'at-the-door': 'at-the-door',
  waiting: 'at-the-door',
  talking: 'at-the-door',
  goodbye: 'at-the-door',
  'nobody-home': 'nobody-home',
  'slow-reply': 'at-the-door',
  'note-left': 'nobody-home',
};

function lastDoorOf(site: PublishedSite, base: Circumstances): Moment {
  return decided(site, atTheDoor(base)).moment;
}

const STATUS_AT: Partial<Record<DrawnMoment, ConversationStatus>> = {
  waiting: 'asked',
  'slow-reply': 'asked',
  talking: 'joined',
  goodbye: 'ended',
  'note-left': 'note',
};

function circumstancesAt(
  site: PublishedSite,
  base: Circumstances,
  moment: DrawnMoment,
  invitation: string | null,
): Circumstances {
  const standing = STATUS_AT[moment];
  const isWindowOpen = moment !== 'passing-by' && moment !== 'invited';
  if (moment === 'invited')
    return {
      ...base,
      conversation: null,
      invited: invitation === null ? firstInvitation(site, base) : { id: invitation, at: base.now },
    };
  if (standing === undefined) return { ...base, isWindowOpen, conversation: null };
  const { name } = answererOf(site);
  const waited = moment === 'slow-reply' ? slowAfter(site) : null;
  const joined = standing === 'joined' || standing === 'ended';
  const conversation: ConversationFacts = {
    id: 'sample',
    standing,
    widgetKey: shownIn(site, base) ?? '',
    askedMs: base.now - (waited ?? MINUTE_MS),
    joinedMs: joined ? base.now : null,
    endedMs: standing === 'ended' ? base.now : null,
    endedBy: standing === 'ended' ? 'person' : null,
    responderName: joined ? name : null,
    noteMail: standing === 'note' ? 'visitor@example.org' : null,
    isAnswered: false,
    lastMs: base.now,
    waitingMs: standing === 'asked' ? base.now - (waited ?? 0) : null,
    teamId: base.asksFor,
    place: null,
    isAfterGiven: false,
  };
  return { ...base, isWindowOpen, conversation };
}

/** The invitation that is drawn: the first that is on in the widget these circumstances show; null: none is. */
function firstInvitation(site: PublishedSite, base: Circumstances): Circumstances['invited'] {
  const first = compileSite(site).widget(shownIn(site, base))?.invitations[0];
  return first === undefined ? null : { id: first[0], at: base.now };
}

/** Longer than any widget of the site waits before it offers an answer by mail. */
function slowAfter({ design }: PublishedSite): number {
  const seconds = design.widgets.flatMap(({ timings }) => [
    timings.slowReplyAfter,
    timings.slowReplyNearbyAfter,
  ]);
  return (Math.max(0, ...seconds) + 1) * SECOND_MS;
}

/** What has been said at a moment that is drawn. */
export function entriesAt(site: PublishedSite, moment: DrawnMoment, now: number): VisitorEntry[] {
  const { question, answer } = sampleIn(site.design.locale);
  const answerer = answererOf(site);
  const entry = (seq: number, part: Pick<VisitorEntry, 'kind' | 'author' | 'body'>): VisitorEntry => ({
    id: seq,
    conversationId: 'sample',
    seq,
    clientId: null,
    ...(part.author === 'visitor' ? { name: null } : answerer),
    storedMs: now,
    ...part,
  });
  const asked = entry(1, {
    kind: moment === 'note-left' ? 'note' : 'message',
    author: 'visitor',
    body: question,
  });
  if (moment === 'waiting' || moment === 'slow-reply' || moment === 'note-left') return [asked];
  const talked = [
    asked,
    entry(2, { kind: 'joined', author: 'house', body: '' }),
    entry(3, { kind: 'message', author: 'person', body: answer }),
  ];
  return moment === 'goodbye' ? [...talked, entry(4, { kind: 'ended', author: 'person', body: '' })] : talked;
}
