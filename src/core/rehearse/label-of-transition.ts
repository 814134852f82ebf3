import { type Condition, type Group, isGroup } from '../model/condition';
import type { Design, Widget } from '../model/design';
import type { Invitation } from '../model/invitation';
import type { WidgetState } from '../model/moment';
import type { TransitionId } from '../model/transition';
import { textOf } from '../words/texts-of';

/** One condition as a label says it. What it asks stands in the condition itself; words are made in `ui/wording`. */
export type LabelPart = Condition;

/** The condition of an invitation that is usually the last to come true, and where it is asked. */
export interface Headline {
  /** Two or more: any of them is enough. Empty: it is due at once. */
  readonly anyOf: readonly LabelPart[];
  /** Where, if that is narrower than all pages and not said already: one pattern, or how many. */
  readonly scope: { readonly page: string } | { readonly pages: number } | null;
}

/** What a transition says of itself: a code, and the values its words need. */
export type TransitionLabel =
  | { readonly code: 'no-invitations' }
  | { readonly code: 'invitations'; readonly count: number; readonly first: Headline }
  | { readonly code: 'by-hand' }
  | { readonly code: 'opens-by-itself'; readonly count: number; readonly first: Headline }
  | { readonly code: 'accepts'; readonly words: string }
  | { readonly code: 'declines'; readonly words: string; readonly restDays: number }
  | { readonly code: 'clicks-while'; readonly states: readonly WidgetState[] }
  | { readonly code: 'sends'; readonly what: 'message' | 'form' }
  | { readonly code: 'leave' | 'leave-meanwhile'; readonly closes: boolean; readonly leaves: boolean }
  | { readonly code: 'joins'; readonly teams: readonly string[] }
  | { readonly code: 'no-answer' | 'no-reply'; readonly seconds: number }
  | { readonly code: 'only-if-left' }
  | { readonly code: 'answered' }
  | { readonly code: 'leaves-address' }
  | { readonly code: 'ends'; readonly quietSeconds: number }
  | { readonly code: 'stays-waiting' }
  | { readonly code: 'asks-again' }
  | { readonly code: 'asks-nothing-else' }
  | { readonly code: 'sends-note'; readonly asksMail: boolean }
  | { readonly code: 'returns-open'; readonly opens: boolean }
  | { readonly code: 'writes-again' }
  | { readonly code: 'replies-to-answer' };

/**
 * The label of a transition of a widget, from the settings that make it. It never looks at a visitor: what cannot happen
 * in some circumstances is said beside it. Which invitation comes first does depend on one: `first` names it where that
 * is known. Null: no setting makes this transition.
 */
export function labelOfTransition(
  design: Design,
  widget: Widget,
  transition: TransitionId,
  first: string | null = null,
): TransitionLabel | null {
  return LABELS[transition](widget, design, first);
}

type LabelFrom = (widget: Widget, design: Design, first: string | null) => TransitionLabel | null;

const LABELS: { readonly [K in TransitionId]: LabelFrom } = {
  'invitation-shown': (widget, _, first) => invitationsLabel('invitations', onOf(widget), first),
  'launcher-clicked': () => ({ code: 'by-hand' }),
  'opened-by-invitation': (widget, _, first) => {
    const opening = onOf(widget).filter(({ approach }) => approach === 'open');
    return opening.length === 0 ? null : invitationsLabel('opens-by-itself', opening, first);
  },
  'invitation-accepted': (widget, design) => ({
    code: 'accepts',
    words: buttonOf(design, widget, 'invitation.yes'),
  }),
  'invitation-declined': (widget, design) => ({
    code: 'declines',
    words: buttonOf(design, widget, 'invitation.no'),
    restDays: design.limits.restDays,
  }),
  'opened-while-unavailable': ({ behaviours, calendarId }) => ({
    code: 'clicks-while',
    states: STATES.filter(
      (state) => behaviours[state] === 'note' && (state !== 'closed' || calendarId !== null),
    ),
  }),
  'first-message-sent': ({ forms }) => ({
    code: 'sends',
    what: forms.before.length > 0 ? 'form' : 'message',
  }),
  'availability-lost': (widget) => ({ code: 'leave', ...unavailabilityOf(widget) }),
  'responder-joined': ({ teams }) => ({ code: 'joins', teams }),
  'answer-overdue': ({ timings }) => ({ code: 'no-answer', seconds: timings.slowReplyAfter }),
  'availability-lost-while-waiting': (widget) =>
    widget.talks.keepsWaiting
      ? { code: 'stays-waiting' }
      : { code: 'leave-meanwhile', ...unavailabilityOf(widget) },
  'answer-after-all': () => ({ code: 'answered' }),
  'address-left': () => ({ code: 'leaves-address' }),
  'reply-overdue': ({ timings: { slowReplyTalkingAfter: seconds } }) =>
    seconds === null ? { code: 'only-if-left' } : { code: 'no-reply', seconds },
  'conversation-ended': ({ timings }) => ({ code: 'ends', quietSeconds: timings.endsAfterQuiet }),
  'asked-again': ({ talks }) => ({ code: talks.offersAgain ? 'asks-again' : 'asks-nothing-else' }),
  'conversation-resumed': () => ({ code: 'writes-again' }),
  'note-sent': ({ forms }) => ({
    code: 'sends-note',
    asksMail: forms.note.some(({ kind }) => kind === 'email'),
  }),
  'availability-gained': (widget) => ({ code: 'returns-open', opens: unavailabilityOf(widget).closes }),
  'answer-replied-to': () => ({ code: 'replies-to-answer' }),
};

/** What can make a widget unable to answer: its hours, or that nobody is there. */
function unavailabilityOf({ behaviours, calendarId }: Widget): {
  readonly closes: boolean;
  readonly leaves: boolean;
} {
  return {
    closes: calendarId !== null && behaviours.closed === 'note',
    leaves: behaviours.nobody === 'note',
  };
}

function buttonOf(design: Design, widget: Widget, key: 'invitation.yes' | 'invitation.no'): string {
  return textOf(design, widget, design.defaultLocale, key);
}

const STATES: readonly WidgetState[] = ['closed', 'nobody', 'busy', 'nearby', 'in'];

function onOf({ invitations }: Widget): Invitation[] {
  return invitations.filter(({ isOn }) => isOn);
}

/** The first to come due by time alone goes first; those that wait for an act of the visitor's come after, in their order. */
function invitationsLabel(
  code: 'invitations' | 'opens-by-itself',
  all: readonly Invitation[],
  id: string | null,
): TransitionLabel {
  const [soonest] = [...all].sort((a, b) => earliest(a) - earliest(b));
  const first = all.find((one) => one.id === id) ?? soonest;
  return first === undefined
    ? { code: 'no-invitations' }
    : { code, count: all.length, first: headlineOf(first) };
}

/** The least seconds after which an invitation can be due; Infinity where an act is needed. Negations take no time. */
export function earliest({ when }: Pick<Invitation, 'when'>): number {
  const secondsOf = (item: Condition | Group): number => {
    if (isGroup(item)) return item.isNot ? 0 : joined(item.join, item.conditions.map(secondsOf));
    if (item.isNot) return 0;
    if (item.kind === 'on-page' || item.kind === 'in-visit' || item.kind === 'idle') return item.seconds;
    return VISITOR_ACTS.has(item.kind) ? ACT_SECONDS : 0;
  };
  return joined(when.join, when.items.map(secondsOf));
}
/** Later than any clock, and still a number, so that two of them are equal. */
const ACT_SECONDS = 1e9;

function joined(join: 'all' | 'any', seconds: readonly number[]): number {
  return join === 'all' ? Math.max(0, ...seconds) : Math.min(ACT_SECONDS, ...seconds);
}

/** The headline of an invitation, and its scope. */
export function headlineOf({ when }: Pick<Invitation, 'when'>): Headline {
  const items = when.items.map(partsOf).filter((parts) => parts.length > 0);
  const anyOf =
    when.join === 'any' ? items.flat() : ([...items].sort((a, b) => rankOf(a) - rankOf(b))[0] ?? []);
  const isPage = anyOf.length > 0 && anyOf.every(({ kind }) => kind === 'page');
  return { anyOf, scope: isPage || when.join === 'any' ? null : scopeOf(when.items) };
}

/** What of an item is spoken: a condition, or the parts of *any of*; of *all of* inside, the one that comes last. */
function partsOf(item: Condition | Group): LabelPart[] {
  if (!isGroup(item)) return isSpoken(item) ? [item] : [];
  const spoken = item.conditions.filter(isSpoken);
  const parts =
    item.join === 'any' ? spoken : [...spoken].sort((a, b) => rankOf([a]) - rankOf([b])).slice(0, 1);
  return item.isNot ? parts.map((one) => ({ ...one, isNot: !one.isNot })) : parts;
}

/** A condition that equals the lane, that somebody can answer, is never spoken. */
function isSpoken(condition: Condition): boolean {
  return (
    condition.kind !== 'state' ||
    condition.isNot ||
    condition.states.some((state) => state === 'nobody' || state === 'closed')
  );
}

const VISITOR_ACTS = new Set<Condition['kind']>(['leaving', 'form-left', 'clicked', 'seen', 'scrolled']);

/** Act of the visitor > time > pages seen > page > who > date. */
const RANKS: Readonly<Record<Condition['kind'], number>> = {
  leaving: 0,
  'form-left': 0,
  clicked: 0,
  seen: 0,
  scrolled: 0,
  'on-page': 1,
  'in-visit': 1,
  idle: 1,
  'pages-seen': 2,
  page: 3,
  visit: 4,
  'visit-number': 4,
  'visits-in-days': 4,
  'days-since-visit': 4,
  referrer: 4,
  campaign: 4,
  language: 4,
  device: 4,
  state: 4,
  attribute: 4,
  parameter: 4,
  country: 4,
  'week-time': 5,
  dates: 5,
};

/** What is only excluded is rarely what comes true last: it goes behind everything else. */
function rankOf(parts: readonly LabelPart[]): number {
  return Math.min(...parts.map(({ kind, isNot }) => RANKS[kind] + (isNot ? 10 : 0)));
}

function scopeOf(items: readonly (Condition | Group)[]): Headline['scope'] {
  const rules = items.flatMap((item) =>
    !isGroup(item) && item.kind === 'page' && !item.isNot ? [item.rules] : [],
  );
  const [first] = rules;
  if (first === undefined || first.length === 0) return null;
  return first.length === 1 && first[0] !== undefined ? { page: first[0].text } : { pages: first.length };
}
