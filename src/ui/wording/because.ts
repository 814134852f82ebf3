import type { UnmetCondition, Shortfall, Verdict } from '../../core/decide/explain';
import type { Reason } from '../../core/decide/reason';
import type { ConditionBody } from '../../core/model/condition';
import type { EpochMs } from '../../core/model/units';
import { LANGUAGES } from './languages';
import { MOMENT_WORDS } from './moments';
import { lengthWords } from './times';

/** The setting a reason comes from: a part of the circumstances, a widget, an invitation, the availability card. */
export type ReasonLink =
  | { readonly to: 'where' | 'when' | 'visitor' | 'with' | 'availability' | 'widget' }
  /** Looked at on a page of its own. */
  | { readonly to: 'that-widget'; readonly key: string }
  | { readonly to: 'invitation'; readonly id: string };

export interface ReasonWords {
  readonly text: string;
  readonly link: ReasonLink | null;
}

export interface ReasonContext {
  readonly teamName: string;
  readonly widgetName: (key: string) => string;
  readonly invitationName: (id: string) => string;
  /** An instant as the site's clock says it. */
  readonly untilWords: (instant: EpochMs) => string;
}

/** A verdict in words: of an invitation, by its name, what it is short of and what keeps it. */
export function verdictWords(verdict: Verdict, context: ReasonContext): ReasonWords {
  const { reason } = verdict;
  if (reason.about === 'invitation' && verdict.outcome !== 'decided')
    return {
      text: invitationVerdict(verdict, context),
      link: { to: 'invitation', id: String(reason.facts['invitation']) },
    };
  const words = wordsOf(reason, context);
  if (reason.code !== 'not-its-audience' || verdict.unmet === undefined) return words;
  return { ...words, text: `${words.text}: ${lacksWords(verdict.unmet)}` };
}

/** The one that came nearest without holding: it lacks one thing, which can be counted; null: none did. */
export function nearMiss(verdicts: readonly Verdict[]): Verdict | null {
  const near = verdicts.filter(
    ({ outcome, reason, shortfall, unmet = [] }) =>
      outcome === 'failed' && reason.code === 'not-yet' && shortfall !== undefined && unmet.length === 1,
  );
  const far = ({ shortfall }: Verdict): number =>
    shortfall !== undefined && 'ms' in shortfall ? shortfall.ms : Infinity;
  return [...near].sort((a, b) => far(a) - far(b))[0] ?? null;
}

function invitationVerdict(
  { reason, shortfall, unmet = [] }: Verdict,
  { invitationName }: ReasonContext,
): string {
  const name = `“${invitationName(String(reason.facts['invitation']))}”`;
  if (reason.code === 'not-yet' && shortfall !== undefined && unmet.length === 1)
    return `${name} is ${shortfallWords(shortfall)} short`;
  if (reason.code === 'not-yet' || reason.code === 'condition-fails')
    return `${name} asks for ${lacksWords(unmet)}`;
  const rest = shortfall === undefined ? '' : `, for ${shortfallWords(shortfall)} more`;
  return `${name} ${isKeptBack(reason.code) ? KEPT_BACK[reason.code] : 'waits'}${rest}`;
}

function shortfallWords(shortfall: Shortfall): string {
  if ('ms' in shortfall) return lengthWords(Math.ceil(shortfall.ms / 1000) * 1000);
  if ('percent' in shortfall) return `${shortfall.percent} %`;
  return `${shortfall.count}`;
}

function lacksWords(unmet: readonly UnmetCondition[]): string {
  const each = unmet.map(({ kind, isNot, shortfall }) => {
    const words = `${isNot ? 'not ' : ''}${UNMET_WORDS[kind]}`;
    return shortfall === null ? words : `${words} (${shortfallWords(shortfall)} short)`;
  });
  return new Intl.ListFormat('en').format([...new Set(each)]);
}

/** What a visitor or a page would have to be. */
const UNMET_WORDS: { readonly [K in ConditionBody['kind'] | 'all' | 'any']: string } = {
  page: 'another page',
  referrer: 'another page before this one',
  'pages-seen': 'more pages seen',
  visit: 'another kind of visit',
  'visit-number': 'a later visit',
  'visits-in-days': 'more visits',
  'days-since-visit': 'a longer time since the last visit',
  campaign: 'another campaign',
  language: 'another language',
  device: 'another device',
  state: 'other people in, or other hours',
  attribute: 'something the page says of its visitor',
  parameter: 'something in the address',
  country: 'another country',
  'week-time': 'another time of the week',
  dates: 'another date',
  'on-page': 'more time on the page',
  'in-visit': 'more time in the visit',
  idle: 'a longer stillness',
  scrolled: 'more of the page scrolled',
  seen: 'a part of the page in view',
  leaving: 'leaving the page',
  clicked: 'a click on the page',
  'form-left': 'a form left half filled in',
  all: 'all of its conditions',
  any: 'any of its conditions',
};

/** What keeps an invitation back. */
const KEPT_BACK = {
  'conditions-hold': 'stands ready',
  'after-another-invitation': 'waits for another one',
  'window-open': 'waits while the window is open',
  'page-hidden': 'waits until the page is in view',
  typing: 'waits while the visitor is typing',
  'out-of-sight': 'waits: the launcher is out of sight',
  'one-on-screen': 'waits: another one is on the screen',
  'enough-this-visit': 'comes too late: this visit has had its invitations',
  'too-soon-after-another': 'waits: the last one is too recent',
  declined: 'rests: the visitor has said no',
  'about-to-close': 'waits: it is about to close',
  'talked-lately': 'waits: there was a conversation lately',
  'opened-already': 'is not needed: the visitor has opened the window on this page',
  'own-limit': 'was shown as often as it may be',
  'not-remembered': 'must remember the visitor, who has not agreed to that',
  'keeps-still': 'keeps still: the visitor wants nothing to move',
} as const satisfies Partial<Record<Reason['code'], string>>;

function isKeptBack(code: Reason['code']): code is keyof typeof KEPT_BACK {
  return Object.hasOwn(KEPT_BACK, code);
}

/** Reasons that are said without a value, and lead to no setting of their own. */
const PLAIN_REASONS = {
  ...KEPT_BACK,
  'window-closed': 'the window is closed',
  asked: 'a question was sent and nobody has joined yet',
  joined: `a responder has joined (${MOMENT_WORDS.talking.name})`,
  ended: 'the conversation was ended',
  'note-sent': 'a note was sent',
  'nobody-left-to-answer': 'everybody left before anybody joined',
  'asks-again': 'something else is asked',
  'no-reply-yet': 'nobody has answered for a while',
  'invitation-shown': 'an invitation is on the screen',
  'invitation-due': 'an invitation is due',
  'invitation-withdrawn': 'an invitation is taken away',
  'condition-fails': 'an invitation asks for something else',
  'not-yet': 'an invitation waits for its time',
  'left-out': 'this address is left out',
  'put-away': 'the visitor has put the launcher away for this visit',
} as const satisfies Partial<Record<Reason['code'], string>>;

/** A reason code in words, each joined to the setting it comes from. */
export function wordsOf(reason: Reason, context: ReasonContext): ReasonWords {
  const { teamName, widgetName, untilWords } = context;
  const key = String(reason.facts.widget ?? '');
  const widget = widgetName(key);
  const path = String(reason.facts.path ?? '');
  const until =
    typeof reason.facts['until'] === 'number' ? ` until ${untilWords(reason.facts['until'])}` : '';
  const invitation = reason.facts['invitation'];
  if (reason.about === 'invitation' && invitation !== undefined)
    return {
      text: `“${context.invitationName(String(invitation))}” ${reason.code === 'invitation-due' ? 'is due' : 'is taken away: what it asked for no longer holds'}`,
      link: { to: 'invitation', id: String(invitation) },
    };
  switch (reason.code) {
    case 'site-paused':
      return { text: 'the whole widget is paused', link: null };
    case 'nothing-published':
      return { text: 'nothing is published yet', link: null };
    case 'no-widget-here':
      return { text: `no widget is meant for ${path}`, link: { to: 'where' } };
    case 'not-a-web-address':
      return { text: 'this is not a web address', link: { to: 'where' } };
    case 'forced':
      return { text: `the page asks for “${widget}” by name`, link: { to: 'widget' } };
    case 'keeps-its-widget':
      return { text: `the conversation goes on with “${widget}”`, link: { to: 'widget' } };
    case 'first-that-takes-the-page':
      return { text: `“${widget}” takes ${path}`, link: { to: 'where' } };
    case 'never-here':
      return {
        text: `“${widget}” is never shown on ${String(reason.facts.rule ?? path)}`,
        link: { to: 'that-widget', key },
      };
    case 'not-among-its-pages':
      return { text: `${path} is not among the pages of “${widget}”`, link: { to: 'that-widget', key } };
    case 'after-another-widget':
      return {
        text: `“${widget}” would take ${path} too, but comes later`,
        link: { to: 'that-widget', key },
      };
    case 'somebody-in':
      return { text: `somebody of ${teamName} is in`, link: { to: 'with' } };
    case 'somebody-nearby':
      return { text: `somebody of ${teamName} is nearby`, link: { to: 'with' } };
    case 'all-busy':
      return { text: `everybody of ${teamName} is with someone`, link: { to: 'with' } };
    case 'nobody-in':
      return { text: `nobody of ${teamName} is in`, link: { to: 'with' } };
    case 'not-heard-lately':
      return { text: 'nothing was heard from the server for three minutes', link: { to: 'with' } };
    case 'not-its-audience':
      return { text: `“${widget}” is meant for others`, link: { to: 'visitor' } };
    case 'open-by-hours':
      return { text: `it is open by the hours${until}`, link: { to: 'when' } };
    case 'closed-by-hours':
      return { text: `${closedWords(String(reason.facts.closedBy))}${until}`, link: { to: 'when' } };
    case 'spoken-in':
      return { text: `the words are ${languageName(String(reason.facts.locale))}`, link: { to: 'visitor' } };
    case 'deed-of-state':
      return { text: 'the window was opened', link: { to: 'availability' } };
    default:
      return { text: PLAIN_REASONS[reason.code], link: null };
  }
}

function closedWords(closedBy: string): string {
  const words: Readonly<Record<string, string>> = {
    override: 'it was closed by hand',
    break: 'it is a break between two runs of hours',
    holiday: 'it is a holiday',
    exception: 'this day has hours of its own',
    import: 'an imported calendar closes it',
  };
  return words[closedBy] ?? 'it is outside of the hours';
}

function languageName(locale: string): string {
  return LANGUAGES[locale.split('-')[0] ?? ''] ?? locale;
}
