import type { WidgetState } from '../../core/model/moment';
import { SECOND_MS } from '../../core/model/units';
import {
  type Headline,
  type LabelPart,
  type TransitionLabel,
  headlineOf,
} from '../../core/rehearse/label-of-transition';
import { deviceNoun, orList } from './conditions';
import { languageName } from './languages';
import { STATE_CLAUSES } from './states';
import { lengthWords } from './times';

/** A transition in words: at most ten characters beside its line, and the whole of it. */
export interface TransitionWords {
  readonly short: string;
  readonly full: string;
}

/** So much fits beside a line at rest. */
export const SHORT_CHARACTERS_MAX = 10;

export interface TransitionContext {
  readonly teamName: (id: string) => string;
}

/** A transition that the calendar leads along later on: beside its line the time, if there is room for it. */
export function laterWords({ short, full }: TransitionWords, when: string): TransitionWords {
  return {
    short: when.length <= SHORT_CHARACTERS_MAX - 3 ? `at ${when}` : short,
    full: `${full} · later (${when})`,
  };
}

/** A label in words for a transition. */
export function transitionWords(label: TransitionLabel, { teamName }: TransitionContext): TransitionWords {
  switch (label.code) {
    case 'no-invitations':
      return { short: 'none', full: 'no invitations' };
    case 'invitations':
      return {
        short: label.count > 1 ? 'invites' : shortHeadline(label.first),
        full: invitationsWords(label.count, headlineWords(label.first)),
      };
    case 'opens-by-itself':
      return { short: 'by itself', full: `the window opens by itself: ${headlineWords(label.first)}` };
    case 'by-hand':
      return { short: 'opens it', full: 'opens the window' };
    case 'accepts':
      return { short: 'accepts', full: `“${label.words}” or a click` };
    case 'declines':
      return {
        short: 'declines',
        full:
          label.restDays === 0
            ? `“${label.words}”`
            : `“${label.words}”: no invitations for ${count(label.restDays, 'day')}`,
      };
    case 'clicks-while':
      return label.states.length === 0
        ? { short: '–', full: 'the launcher never leads here' }
        : {
            short: SHORT_STATES[label.states[0] ?? 'nobody'],
            full: `opens the window while ${orList(label.states.map((state) => STATE_CLAUSES[state]))}`,
          };
    case 'sends':
      return {
        short: 'sends',
        full: label.what === 'form' ? 'sends the form' : 'sends the first message',
      };
    case 'leave':
      return { short: leaveShort(label), full: leaveWords(label) };
    case 'leave-meanwhile':
      return {
        short: leaveShort(label),
        full: `${leaveWords(label)}; the question becomes a note`,
      };
    case 'joins': {
      const [one] = label.teams;
      const who =
        one === undefined
          ? 'somebody'
          : label.teams.length > 1
            ? `one of ${label.teams.length} teams`
            : teamName(one);
      return { short: 'joins', full: `${who} answers` };
    }
    case 'no-answer':
      return { short: secondsWords(label.seconds), full: `no answer after ${secondsWords(label.seconds)}` };
    case 'no-reply':
      return {
        short: secondsWords(label.seconds),
        full: `no reply for ${secondsWords(label.seconds)}, or responder leaves`,
      };
    case 'only-if-left':
      return { short: 'we leave', full: 'responder leaves' };
    case 'answered':
      return { short: 'answered', full: 'somebody answers after all' };
    case 'leaves-address':
      return { short: 'stops', full: 'leaves a note' };
    case 'ends':
      return {
        short: 'ends',
        full: `either side ends it, or nobody writes for ${secondsWords(label.quietSeconds)}`,
      };
    case 'stays-waiting':
      return {
        short: 'we close',
        full: 'we close; the question stays in line, and the visitor can stop waiting',
      };
    case 'asks-nothing-else':
      return { short: 'no more', full: 'no new question until ten minutes later' };
    case 'asks-again':
      return { short: 'again', full: 'asks something else' };
    case 'sends-note':
      return {
        short: 'note',
        full: label.asksMail ? 'sends the note' : 'sends the note without an e-mail address',
      };
    case 'returns-open':
      return {
        short: label.opens ? 'we open' : 'we answer',
        full: label.opens ? 'we open, or somebody starts answering' : 'somebody starts answering',
      };
    case 'writes-again':
      return { short: 'more', full: 'writes again within ten minutes' };
    case 'replies-to-answer':
      return { short: 'replies', full: 'reads our answer and replies' };
  }
}

/** When an invitation is due, in the words of a transition. */
export function headlineOfInvitation(invitation: Parameters<typeof headlineOf>[0]): string {
  return headlineWords(headlineOf(invitation));
}

function invitationsWords(number: number, first: string): string {
  return number === 1 ? `1 invitation: ${first}` : `${number} invitations, first: ${first}`;
}

/** `+n` counts the other invitations; it is left out where it would not fit. */
function shortHeadline({ anyOf }: Headline): string {
  const [first] = anyOf;
  const head =
    first === undefined
      ? 'at once'
      : anyOf.length > 1
        ? 'any of'
        : (first.isNot ? 'not ' : '') + shortPart(first);
  return head.length <= SHORT_CHARACTERS_MAX ? head : 'invites';
}

function headlineWords({ anyOf, scope }: Headline): string {
  const said =
    anyOf.length === 0
      ? 'at once'
      : orList(anyOf.map((part) => (part.isNot ? `not ${partWords(part)}` : partWords(part))));
  if (scope === null) return said;
  return `${said} on ${'page' in scope ? scope.page : count(scope.pages, 'page')}`;
}

function shortPart(part: LabelPart): string {
  switch (part.kind) {
    case 'leaving':
      return 'leaves';
    case 'form-left':
      return 'form left';
    case 'clicked':
      return 'click';
    case 'seen':
      return 'in view';
    case 'scrolled':
      return `${part.percent} %`;
    case 'on-page':
    case 'in-visit':
    case 'idle':
      return secondsWords(part.seconds);
    case 'pages-seen':
      return count(part.atLeast, 'page');
    case 'page':
      return 'page';
    case 'week-time':
    case 'dates':
      return 'dates';
    case 'referrer':
    case 'visit':
    case 'visit-number':
    case 'visits-in-days':
    case 'days-since-visit':
    case 'campaign':
    case 'language':
    case 'device':
    case 'state':
    case 'attribute':
    case 'parameter':
    case 'country':
      return 'who';
  }
}

function partWords(part: LabelPart): string {
  switch (part.kind) {
    case 'leaving':
      return 'about to leave';
    case 'form-left':
      return 'leaves a form half finished';
    case 'clicked':
      return `clicks “${part.selector}”`;
    case 'seen':
      return `“${part.selector}” comes into view`;
    case 'scrolled':
      return `scrolled ${part.percent} %`;
    case 'on-page':
      return secondsWords(part.seconds);
    case 'in-visit':
      return `${secondsWords(part.seconds)} in the visit`;
    case 'idle':
      return `${secondsWords(part.seconds)} without activity`;
    case 'pages-seen':
      return `${count(part.atLeast, 'page')} seen`;
    case 'page':
      return part.rules.length === 1 ? (part.rules[0]?.text ?? '') : count(part.rules.length, 'page');
    case 'visit':
      return part.is === 'first' ? 'first visit' : 'returning';
    case 'visit-number':
      return `visit ${part.atLeast} or later`;
    case 'visits-in-days':
      return `${count(part.atLeast, 'visit')} in ${count(part.days, 'day')}`;
    case 'days-since-visit':
      return `${count(part.atLeast, 'day')} since the last visit`;
    case 'referrer':
      return `comes from ${part.rules.length === 1 ? (part.rules[0]?.text ?? '') : count(part.rules.length, 'page')}`;
    case 'campaign':
      return `campaign “${part.name}”`;
    case 'language':
      return orList(part.languages.map((one) => languageName(one)));
    case 'device':
      return `on a ${orList(part.devices.map(deviceNoun))}`;
    case 'country':
      return `from ${orList(part.countries)}`;
    case 'attribute':
    case 'parameter':
      return part.value === null ? `“${part.name}” is set` : `“${part.name}” is “${part.value}”`;
    case 'state':
      return orList(part.states.map((state) => STATE_CLAUSES[state]));
    case 'week-time':
      return 'at certain times of the week';
    case 'dates':
      return 'in a range of dates';
  }
}

const SHORT_STATES: Readonly<Record<WidgetState, string>> = {
  in: 'answering',
  nearby: 'nearby',
  busy: 'busy',
  nobody: 'nobody',
  closed: 'closed',
};

type Leaving = { readonly closes: boolean; readonly leaves: boolean };

function leaveShort({ closes }: Leaving): string {
  return closes ? 'we close' : 'all stop';
}

function leaveWords({ closes, leaves }: Leaving): string {
  if (closes) return leaves ? 'we close or stop answering' : 'we close';
  return leaves ? 'everybody stops answering' : 'never: chats go on when nobody is answering';
}

function secondsWords(seconds: number): string {
  return seconds < 120 ? `${seconds} s` : lengthWords(seconds * SECOND_MS);
}

function count(number: number, thing: string): string {
  return `${number} ${thing}${number === 1 ? '' : 's'}`;
}
