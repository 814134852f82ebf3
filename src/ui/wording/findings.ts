import type { Finding, FindingCode } from '../../core/findings/finding';
import type { Covering } from '../../core/look/collisions';
import { LANGUAGES } from './languages';
import { COVERING, SCREEN_WORDS } from './look';

type Values = Readonly<Record<string, string | number>>;

/** What is wrong, in a sentence: what a visitor meets, not what a field holds. */
export function findingSentence({ code, values }: Finding): string {
  return SENTENCES[code](values);
}

/** What to do about it, and where: a path below the site. */
export function findingAction(
  { code, widgetId, moment }: Finding,
  widgetKeyOf: (id: string) => string | null,
): FindingAction {
  const path = PATHS[code];
  if (path !== 'design') return { words: ACTIONS[code], path };
  const params = new URLSearchParams();
  const key = widgetId === null ? null : widgetKeyOf(widgetId);
  if (key !== null) params.set('widget', key);
  if (moment !== null) params.set('moment', moment);
  const part = LOOK_PARTS[code];
  if (part !== undefined) params.set('look', part);
  return { words: ACTIONS[code], path: params.size === 0 ? path : `${path}?${params.toString()}` };
}

export interface FindingAction {
  readonly words: string;
  readonly path: string;
}

const text = (value: string | number | undefined): string => String(value ?? '');

const NEVER: Readonly<Record<string, string>> = {
  past: 'its dates are over',
  devices: 'it asks for devices that exclude each other',
  languages: 'it asks for languages that exclude each other',
  visits: 'it asks for a first visit and a returning one at once',
  pages: 'the widget does not show on its pages',
  limit: 'no invitation is allowed in a visit',
  empty: 'it waits for any of nothing',
};

const SENTENCES: Readonly<Record<FindingCode, (values: Values) => string>> = {
  'notes-without-recipient': ({ name }) =>
    `Notes left at “${text(name)}” reach nobody: no team with people answers there.`,
  'mail-promised-no-mail-field': ({ name }) =>
    `“${text(name)}” promises an answer by mail, and its note does not ask for an address.`,
  'field-hidden-but-required': ({ name, field }) =>
    `“${text(field)}” of “${text(name)}” is needed and never seen: the form cannot be sent.`,
  'consent-without-link': ({ name, field }) =>
    `“${text(field)}” of “${text(name)}” asks to agree to something that cannot be read anywhere.`,
  'team-gone': ({ name }) => `“${text(name)}” names a team that is gone.`,
  'calendar-gone': ({ name }) => `“${text(name)}” follows hours that are gone: it goes by who is in.`,
  'hours-never-open': ({ name }) => `By its hours “${text(name)}” is not open once in the next year.`,
  'zone-unconfirmed': ({ zone }) =>
    `Hours are read in ${text(zone).replaceAll('_', ' ') || 'a zone we guessed'}, which nobody has confirmed.`,
  'invitation-never': ({ invitation, why }) =>
    `“${text(invitation)}” can never be shown: ${NEVER[text(why)] ?? 'its conditions exclude each other'}.`,
  'invitations-collide': ({ first, second }) =>
    `“${text(first)}” and “${text(second)}” come due at the same second: one of them waits.`,
  'two-speak-within-gap': ({ first, second, perVisit }) =>
    perVisit === 1
      ? `Where a visitor could get both, only “${text(first)}” is shown and “${text(second)}” is not: a visit has one invitation.`
      : `“${text(second)}” comes sooner after “${text(first)}” than two invitations may: it waits.`,
  'invitation-needs-memory': ({ name, count }) =>
    `${count === 1 ? 'One invitation' : `${text(count)} invitations`} of “${text(name)}” must remember the visitor, which takes their consent: without it they are not shown.`,
  'case-unreachable': ({ name, text: words }) =>
    `“${text(words)}” at “${text(name)}” is never said: a case before it asks for less.`,
  'rule-swallowed': ({ name, rule, by }) =>
    `“${text(rule)}” of “${text(name)}” decides nothing: “${text(by)}” takes all of it.`,
  'widget-swallowed': ({ name, by }) =>
    `“${text(name)}” never has its turn: “${text(by)}” comes first on every page.`,
  'text-contrast': ({ name, count, ratio }) =>
    `${count === 1 ? 'One pair of colours' : `${text(count)} pairs of colours`} of “${text(name)}” ${count === 1 ? 'is' : 'are'} hard to read, ${text(ratio)}:1 at worst.`,
  'launcher-contrast': ({ name, what, page, ratio }) =>
    `${what === 'launcher' ? 'The launcher' : 'An invitation'} of “${text(name)}” is hardly seen on your page: ${text(ratio)}:1 on ${text(page)}, and it needs 3:1.`,
  'bar-covered': ({ name, part, bar, screen, by, more }) =>
    `${COVERING[part as Covering['part']]} of “${text(name)}” lies ${text(by)} px over the ${text(bar)} bar of your page ${SCREEN_WORDS[screen as Covering['screen']]}${more === 0 ? '' : `, and ${more === 1 ? 'in one more place' : `in ${text(more)} more places`}`}.`,
  'translation-missing': ({ locale, count }) =>
    `${LANGUAGES[text(locale)] ?? text(locale)} lacks ${count === 1 ? 'one text' : `${text(count)} texts`}: visitors read another language there.`,
  'address-local-only': () => 'The tag’s address works only on this computer: PUBLIC_URL is not set.',
  'page-https-app-http': () => 'Your site is https and Sunny Porch is not: browsers will not load the tag.',
};

/** The part of the look in which it is mended; a finding of none is mended elsewhere. */
const LOOK_PARTS: Readonly<Partial<Record<FindingCode, string>>> = {
  'text-contrast': 'colours',
  'launcher-contrast': 'colours',
  'bar-covered': 'place',
};

const ACTIONS: Readonly<Record<FindingCode, string>> = {
  'notes-without-recipient': 'To people and hours',
  'mail-promised-no-mail-field': 'Look at the note',
  'field-hidden-but-required': 'Look at the form',
  'consent-without-link': 'Look at the form',
  'team-gone': 'Who can answer?',
  'calendar-gone': 'Who can answer?',
  'hours-never-open': 'To people and hours',
  'zone-unconfirmed': 'To people and hours',
  'invitation-never': 'Look at it',
  'invitations-collide': 'Look at them',
  'two-speak-within-gap': 'Look at them',
  'invitation-needs-memory': 'Look at them',
  'case-unreachable': 'Look at it',
  'rule-swallowed': 'Look at it',
  'widget-swallowed': 'Look at it',
  'text-contrast': 'Look at the colours',
  'launcher-contrast': 'Look at the colours',
  'bar-covered': 'Look at the place',
  'translation-missing': 'Look at them',
  'address-local-only': 'To Install',
  'page-https-app-http': 'To Install',
};

const PATHS: Readonly<Record<FindingCode, string>> = {
  'notes-without-recipient': 'team',
  'mail-promised-no-mail-field': 'design',
  'field-hidden-but-required': 'design',
  'consent-without-link': 'design',
  'team-gone': 'design',
  'calendar-gone': 'design',
  'hours-never-open': 'team',
  'zone-unconfirmed': 'team',
  'invitation-never': 'design',
  'invitations-collide': 'design',
  'two-speak-within-gap': 'design',
  'invitation-needs-memory': 'design',
  'case-unreachable': 'design',
  'rule-swallowed': 'design',
  'widget-swallowed': 'design',
  'text-contrast': 'design',
  'launcher-contrast': 'design',
  'bar-covered': 'design',
  'translation-missing': 'design',
  'address-local-only': 'install',
  'page-https-app-http': 'install',
};
