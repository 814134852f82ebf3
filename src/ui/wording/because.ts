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
    return `${name} needs ${shortfallWords(shortfall)} more`;
  if (reason.code === 'not-yet' || reason.code === 'condition-fails')
    return `${name} needs ${lacksWords(unmet)}`;
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
    return shortfall === null ? words : `${words} (${shortfallWords(shortfall)} more)`;
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
  state: 'other people answering, or other hours',
  attribute: 'a value set by the page',
  parameter: 'something in the address',
  country: 'another country',
  'week-time': 'another time of the week',
  dates: 'another date',
  'on-page': 'more time on the page',
  'in-visit': 'more time in the visit',
  idle: 'a longer time without activity',
  scrolled: 'more scrolling',
  seen: 'a part of the page in view',
  leaving: 'the visitor about to leave',
  clicked: 'a click on the page',
  'form-left': 'a form left half finished',
  all: 'all of its conditions',
  any: 'any of its conditions',
};

/** What keeps an invitation back. */
const KEPT_BACK = {
  'conditions-hold': 'is ready',
  'after-another-invitation': 'waits for another one',
  'window-open': 'waits while the window is open',
  'page-hidden': 'waits until the page is in view',
  typing: 'waits while the visitor is typing',
  'out-of-sight': 'waits: the launcher is hidden',
  'one-on-screen': 'waits: another invitation is showing',
  'enough-this-visit': 'stays away: this visit has had its invitations',
  'too-soon-after-another': 'waits: the last invitation was too recent',
  declined: 'stays away: the visitor said no',
  'about-to-close': 'waits: closing time is near',
  'talked-lately': 'waits: there was a conversation recently',
  'opened-already': 'is not needed: the visitor opened the window',
  'own-limit': 'has reached its own limit',
  'not-remembered': 'needs to remember the visitor, who has not agreed',
  'keeps-still': 'stays still: this visitor’s device reduces motion',
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
  ended: 'the conversation has ended',
  'note-sent': 'a note was sent',
  'nobody-left-to-answer': 'everybody stopped answering before anybody joined',
  'asks-again': 'the visitor asks something else',
  'no-reply-yet': 'nobody has answered for a while',
  'responder-left': 'the responder has left, and nobody has taken over yet',
  'invitation-shown': 'an invitation is showing',
  'invitation-due': 'an invitation shows now',
  'invitation-withdrawn': 'an invitation is withdrawn',
  'condition-fails': 'an invitation needs something else',
  'not-yet': 'an invitation waits for its time',
  'left-out': 'this page is excluded',
  'put-away': 'the visitor closed the launcher for this visit',
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
      text: `“${context.invitationName(String(invitation))}” ${reason.code === 'invitation-due' ? 'shows now' : 'is withdrawn: its conditions no longer hold'}`,
      link: { to: 'invitation', id: String(invitation) },
    };
  const { code } = reason;
  switch (code) {
    case 'site-paused':
      return { text: 'the whole widget is paused', link: null };
    case 'nothing-published':
      return { text: 'nothing is published yet', link: null };
    case 'no-widget-here':
      return { text: `no widget covers ${path}`, link: { to: 'where' } };
    case 'not-a-web-address':
      return { text: 'this is not a web address', link: { to: 'where' } };
    case 'forced':
      return { text: `the page’s snippet asks for “${widget}”`, link: { to: 'widget' } };
    case 'keeps-its-widget':
      return { text: `the conversation began with “${widget}”`, link: { to: 'widget' } };
    case 'first-that-takes-the-page':
      return { text: `“${widget}” covers ${path}`, link: { to: 'where' } };
    case 'never-here':
      return {
        text: `“${widget}” never shows on ${String(reason.facts.rule ?? path)}`,
        link: { to: 'that-widget', key },
      };
    case 'not-among-its-pages':
      return { text: `“${widget}” does not cover ${path}`, link: { to: 'that-widget', key } };
    case 'after-another-widget':
      return {
        text: `“${widget}” covers ${path} too, but comes later`,
        link: { to: 'that-widget', key },
      };
    case 'somebody-in':
      return { text: `${teamName} is answering`, link: { to: 'with' } };
    case 'somebody-nearby':
      return { text: `${teamName} is nearby`, link: { to: 'with' } };
    case 'all-busy':
      return { text: `everybody at ${teamName} is busy`, link: { to: 'with' } };
    case 'nobody-in':
      return { text: `nobody at ${teamName} is answering`, link: { to: 'with' } };
    case 'not-heard-lately':
      return { text: 'no word from the server for three minutes', link: { to: 'with' } };
    case 'not-its-audience':
      return { text: `“${widget}” is for other visitors`, link: { to: 'visitor' } };
    case 'open-by-hours':
      return { text: `open${until}`, link: { to: 'when' } };
    case 'closed-by-hours':
      return { text: `${closedWords(String(reason.facts.closedBy))}${until}`, link: { to: 'when' } };
    case 'spoken-in':
      return {
        text: `the language is ${languageName(String(reason.facts.locale))}`,
        link: { to: 'visitor' },
      };
    case 'deed-of-state':
      return { text: 'the window was opened', link: { to: 'availability' } };
  }
  return { text: PLAIN_REASONS[code], link: null };
}

function closedWords(closedBy: string): string {
  const words: Readonly<Record<string, string>> = {
    override: 'closed early',
    break: 'closed for a break',
    holiday: 'closed for a holiday',
    exception: 'closed for this date',
    import: 'closed by an imported calendar',
  };
  return words[closedBy] ?? 'closed';
}

function languageName(locale: string): string {
  return LANGUAGES[locale.split('-')[0] ?? ''] ?? locale;
}
