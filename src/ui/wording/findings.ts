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
  devices: 'no device fits all its conditions',
  languages: 'no language fits all its conditions',
  visits: 'it needs a first and a returning visit at once',
  pages: 'the widget does not cover its pages',
  limit: 'invitations are limited to none per visit',
  empty: 'its list of alternatives is empty',
};

const SENTENCES: Readonly<Record<FindingCode, (values: Values) => string>> = {
  'notes-without-recipient': ({ name }) =>
    `Nobody receives the notes from “${text(name)}”: none of its teams has people.`,
  'mail-promised-no-mail-field': ({ name }) =>
    `“${text(name)}” promises a reply by e-mail, but its note form does not ask for an address.`,
  'mail-promised-none-sent': ({ name }) =>
    `“${text(name)}” promises a reply by e-mail in your own words, but no e-mail is sent yet.`,
  'no-letters-yet': () =>
    'No e-mail is sent yet. Visitors read your answers to their notes when they come back to the page.',
  'field-hidden-but-required': ({ name, field }) =>
    `“${text(field)}” in “${text(name)}” is required but never shown, so the form cannot be sent.`,
  'consent-without-link': ({ name, field }) =>
    `“${text(field)}” in “${text(name)}” asks for consent without a link to read first.`,
  'team-gone': ({ name }) => `“${text(name)}” uses a team that no longer exists.`,
  'calendar-gone': ({ name }) =>
    `“${text(name)}” uses opening hours that no longer exist. It is open whenever somebody is answering.`,
  'hours-never-open': ({ name }) => `“${text(name)}” is closed for the whole next year.`,
  'zone-unconfirmed': ({ zone }) =>
    `Opening hours use the time zone ${text(zone).replaceAll('_', ' ') || 'we guessed'}. Please check it.`,
  'invitation-never': ({ invitation, why }) =>
    `“${text(invitation)}” can never be shown: ${NEVER[text(why)] ?? 'its conditions exclude each other'}.`,
  'invitations-collide': ({ first, second }) =>
    `“${text(first)}” and “${text(second)}” would show at the same second, so one waits.`,
  'two-speak-within-gap': ({ first, second, perVisit }) =>
    perVisit === 1
      ? `“${text(first)}” wins over “${text(second)}” when both fit: one invitation per visit.`
      : `“${text(second)}” follows “${text(first)}” too soon, so it waits.`,
  'invitation-needs-memory': ({ name, count }) =>
    `${count === 1 ? 'One invitation' : `${text(count)} invitations`} of “${text(name)}” only ${count === 1 ? 'shows' : 'show'} to visitors who agree to be remembered.`,
  'case-unreachable': ({ name, text: words }) =>
    `A wording of “${text(words)}” in “${text(name)}” never shows: an earlier one always fits first.`,
  'rule-swallowed': ({ name, rule, by }) =>
    `The rule “${text(rule)}” of “${text(name)}” has no effect: “${text(by)}” already covers its pages.`,
  'widget-swallowed': ({ name, by }) =>
    `“${text(name)}” never shows: “${text(by)}” comes first on every page.`,
  'text-contrast': ({ name, count, ratio }) =>
    `${count === 1 ? 'One pair of colours' : `${text(count)} pairs of colours`} of “${text(name)}” ${count === 1 ? 'is' : 'are'} hard to read, ${text(ratio)}:1 at worst.`,
  'launcher-contrast': ({ name, what, page, ratio }) =>
    `${what === 'launcher' ? 'The launcher' : 'An invitation'} of “${text(name)}” is hard to see on your page: ${text(ratio)}:1 on ${text(page)}. It needs 3:1.`,
  'bar-covered': ({ name, part, bar, screen, by, more }) =>
    `${COVERING[part as Covering['part']]} of “${text(name)}” covers ${text(by)} px of the ${text(bar)} bar on your page ${SCREEN_WORDS[screen as Covering['screen']]}${more === 0 ? '' : `, and ${more === 1 ? 'in one more place' : `in ${text(more)} more places`}`}.`,
  'translation-missing': ({ locale, count }) =>
    `${LANGUAGES[text(locale)] ?? text(locale)} is missing ${count === 1 ? 'one text' : `${text(count)} texts`}. Visitors see another language instead.`,
  'address-local-only': () =>
    'Your snippet’s address only works on this computer. Set the public address (PUBLIC_URL) and restart.',
  'page-https-app-http': () =>
    'Your site uses https and Sunny Porch does not, so browsers will not load the widget.',
  'proxy-not-trusted': ({ proxy }) =>
    `Requests come through a proxy (${text(proxy)}) that Sunny Porch does not trust, so it cannot tell visitors apart by address. Set TRUSTED_PROXIES to that address and restart.`,
};

/** The part of the look in which it is mended; a finding of none is mended elsewhere. */
const LOOK_PARTS: Readonly<Partial<Record<FindingCode, string>>> = {
  'text-contrast': 'colours',
  'launcher-contrast': 'colours',
  'bar-covered': 'place',
};

const ACTIONS: Readonly<Record<FindingCode, string>> = {
  'notes-without-recipient': 'Open Team & hours',
  'mail-promised-no-mail-field': 'Open the note form',
  'mail-promised-none-sent': 'Open the text',
  'no-letters-yet': 'Open Conversations',
  'field-hidden-but-required': 'Open the form',
  'consent-without-link': 'Open the form',
  'team-gone': 'Who can answer?',
  'calendar-gone': 'Who can answer?',
  'hours-never-open': 'Open Team & hours',
  'zone-unconfirmed': 'Open Team & hours',
  'invitation-never': 'Show me',
  'invitations-collide': 'Show me',
  'two-speak-within-gap': 'Show me',
  'invitation-needs-memory': 'Show me',
  'case-unreachable': 'Show me',
  'rule-swallowed': 'Show me',
  'widget-swallowed': 'Show me',
  'text-contrast': 'Open colours',
  'launcher-contrast': 'Open colours',
  'bar-covered': 'Open place',
  'translation-missing': 'Show me',
  'address-local-only': 'Open Install',
  'page-https-app-http': 'Open Install',
  'proxy-not-trusted': 'Open Install',
};

const PATHS: Readonly<Record<FindingCode, string>> = {
  'notes-without-recipient': 'team',
  'mail-promised-no-mail-field': 'design',
  'mail-promised-none-sent': 'design',
  'no-letters-yet': 'conversations',
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
  'proxy-not-trusted': 'install',
};
