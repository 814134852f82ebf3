import type { Reason } from '../../core/decide/reason';
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
    default:
      return { text: momentWords(reason), link: null };
  }
}

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
  };
  return words[code] ?? code;
}
