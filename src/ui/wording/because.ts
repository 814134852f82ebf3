import type { Reason } from '../../core/decide/reason';
import { LANGUAGES } from './languages';
import { MOMENT_WORDS } from './moments';

/** What a reason's words lead to on the Design screen. */
export type ReasonLink = 'where' | 'with' | 'widget' | 'pages';
export interface ReasonWords {
  readonly text: string;
  readonly link: ReasonLink | null;
}

export interface ReasonContext {
  readonly teamName: string;
  readonly widgetName: (key: string) => string;
}

/** A reason code in words, each joined to the setting it comes from. */
export function wordsOf(reason: Reason, { teamName, widgetName }: ReasonContext): ReasonWords {
  const widget = widgetName(String(reason.facts.widget ?? ''));
  const path = String(reason.facts.path ?? '');
  switch (reason.code) {
    case 'site-paused':
      return { text: 'the whole widget is paused', link: null };
    case 'nothing-published':
      return { text: 'nothing is published yet', link: null };
    case 'no-widget-here':
      return { text: `no widget is meant for ${path}`, link: 'pages' };
    case 'not-a-web-address':
      return { text: 'this is not a web address', link: 'where' };
    case 'forced':
      return { text: `the page asks for “${widget}” by name`, link: 'widget' };
    case 'keeps-its-widget':
      return { text: `the conversation goes on with “${widget}”`, link: 'widget' };
    case 'first-that-takes-the-page':
      return { text: `“${widget}” takes ${path}`, link: 'where' };
    case 'never-here':
      return { text: `“${widget}” is never shown on ${String(reason.facts.rule ?? path)}`, link: 'pages' };
    case 'not-among-its-pages':
      return { text: `${path} is not among the pages of “${widget}”`, link: 'pages' };
    case 'after-another-widget':
      return { text: `“${widget}” would take ${path} too, but comes later`, link: 'pages' };
    case 'somebody-in':
      return { text: `somebody of ${teamName} is in`, link: 'with' };
    case 'somebody-nearby':
      return { text: `somebody of ${teamName} is nearby`, link: 'with' };
    case 'all-busy':
      return { text: `everybody of ${teamName} is with someone`, link: 'with' };
    case 'nobody-in':
      return { text: `nobody of ${teamName} is in`, link: 'with' };
    case 'not-heard-lately':
      return { text: 'nothing was heard from the server for three minutes', link: 'with' };
    case 'left-out':
      return { text: 'this address is left out', link: null };
    case 'put-away':
      return { text: 'the visitor has put the launcher away for this visit', link: null };
    case 'not-its-audience':
      return { text: `“${widget}” is meant for others`, link: 'widget' };
    case 'open-by-hours':
      return { text: 'it is open by the hours', link: null };
    case 'closed-by-hours':
      return { text: closedWords(String(reason.facts.closedBy)), link: null };
    case 'spoken-in':
      return { text: `the words are ${languageName(String(reason.facts.locale))}`, link: null };
    default:
      return { text: INVITATION_WORDS[reason.code] ?? momentWords(reason), link: null };
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

const INVITATION_WORDS: Partial<Record<Reason['code'], string>> = {
  'invitation-due': 'an invitation is due',
  'invitation-withdrawn': 'an invitation is taken away: what it asked for no longer holds',
  'conditions-hold': 'an invitation stands ready',
  'condition-fails': 'an invitation asks for something that is not so here',
  'not-yet': 'an invitation waits for its time',
  'after-another-invitation': 'an invitation waits for another one',
  'window-open': 'the window is open',
  'page-hidden': 'the page is not in view',
  typing: 'the visitor is typing',
  'out-of-sight': 'the launcher is out of sight',
  'one-on-screen': 'another invitation is on the screen',
  'enough-this-visit': 'this visit has had its invitations',
  'too-soon-after-another': 'the last invitation is too recent',
  declined: 'the visitor has said no',
  'about-to-close': 'it is about to close',
  'talked-lately': 'there was a conversation lately',
  'opened-already': 'the visitor has opened the window on this page',
  'own-limit': 'this visitor has had it',
  'not-remembered': 'it needs a memory that may not be kept',
  'keeps-still': 'the visitor wants nothing to move',
};

function momentWords({ code }: Reason): string {
  const words: Partial<Record<Reason['code'], string>> = {
    'window-closed': 'the window is closed',
    'deed-of-state': 'the window was opened',
    asked: 'a question was sent and nobody has joined yet',
    joined: `a responder has joined (${MOMENT_WORDS.talking.name})`,
    ended: 'the conversation was ended',
    'note-sent': 'a note was sent',
    'nobody-left-to-answer': 'everybody left before anybody joined',
    'asks-again': 'something else is asked',
    'no-reply-yet': 'nobody has answered for a while',
    'invitation-shown': 'an invitation is on the screen',
  };
  return words[code] ?? code;
}
