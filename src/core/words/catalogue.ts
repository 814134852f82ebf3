import type { TextKey } from '../model/text-keys';
import type { Moment } from '../model/moment';
import type { Locale } from '../model/units';
import type { CaseCondition } from '../model/case-condition';
import { TEXTS_AR } from './texts-ar';
import { TEXTS_DE } from './texts-de';
import { TEXTS_EN } from './texts-en';
import type { CaseKey } from '../model/text-keys';
import { TEXTS_PT } from './texts-pt';

export type VariableType = 'text' | 'count' | 'instant';
export interface CatalogueEntry {
  /** Where it is said; `window` for the furniture of every moment. */
  readonly moment: Moment | 'window';
  /** UTF-16 code units at most, of the text as written. */
  readonly atMost: number;
  readonly variables: Readonly<Record<string, VariableType>>;
  /** In order; the first that holds is said, else the text itself ([T4]). */
  readonly cases: readonly { readonly id: string; readonly when: readonly CaseCondition[] }[];
}

/** Our texts by locale; the catalogue is complete in each. */
export const OUR_TEXTS: Readonly<Record<string, Readonly<Record<CaseKey, string>>>> = {
  en: TEXTS_EN,
  pt: TEXTS_PT,
  de: TEXTS_DE,
  ar: TEXTS_AR,
};
export const RIGHT_TO_LEFT: readonly Locale[] = ['ar', 'he', 'fa', 'ur'];

/** Values that may be unknown when a text is said; a text that uses one has a second text without it ([T6]). */
export const MAYBE_UNKNOWN: readonly string[] = [
  'promise',
  'openingTime',
  'closingTime',
  'holidayName',
  'reason',
  'mail',
];

/**
 * Texts that no page says by themselves: some are for what is still to come, and those of invitations are published as the
 * words of the invitation they were chosen for. They stay out of what visitors download.
 */
export const NOT_PUBLISHED: ReadonlySet<TextKey> = new Set<TextKey>([
  'launcher.putAway',
  'invitation.stayed',
  'invitation.formLeft',
  'invitation.backAgain',
  'starter.page',
  'starter.open',
  'starter.note',
  'input.offline',
  'input.empty',
  'afterFirst.ask',
  'afterFirst.email',
  'consent.ask',
  'consent.refused',
  'waiting.minutes',
  'talking.joinedTeam',
  'talking.passedOn',
  'talking.writing',
  'talking.sent',
  'talking.seen',
  'talking.idle',
  'talking.file',
  'talking.back',
  'goodbye.ask',
  'goodbye.yes',
  'goodbye.partly',
  'goodbye.notYet',
  'goodbye.comment',
  'goodbye.thanksYes',
  'goodbye.thanksPartly',
  'goodbye.thanksNotYet',
  'goodbye.copy',
  'goodbye.print',
  'form.optional',
  'noteLeft.promise',
  'noteLeft.answered',
]);

const TEXT_VARIABLES = [
  'siteName',
  'promise',
  'holidayName',
  'reason',
  'responderName',
  'teamName',
  'email',
  'mail',
  'link',
];
const INSTANT_VARIABLES = ['openingTime', 'closingTime', 'promiseTime'];
const COUNT_VARIABLES = ['hours', 'count', 'over', 'left', 'place', 'minutes', 'bound'];

const MOMENT_OF: Readonly<Record<string, CatalogueEntry['moment']>> = {
  launcher: 'passing-by',
  invitation: 'invited',
  window: 'window',
  status: 'at-the-door',
  greeting: 'at-the-door',
  starter: 'at-the-door',
  input: 'window',
  afterFirst: 'waiting',
  consent: 'at-the-door',
  waiting: 'waiting',
  slowReply: 'slow-reply',
  talking: 'talking',
  goodbye: 'goodbye',
  nobodyHome: 'nobody-home',
  note: 'nobody-home',
  form: 'window',
  noteLeft: 'note-left',
};

const AT_MOST: Partial<Record<TextKey, number>> = {
  'launcher.words': 24,
  'invitation.yes': 20,
  'invitation.no': 20,
  'invitation.stayed': 120,
  'invitation.formLeft': 120,
  'invitation.backAgain': 120,
  'window.title': 40,
  status: 60,
  'status.until': 60,
  greeting: 140,
};
const USUAL_AT_MOST = 200;

const CASES: Partial<Record<TextKey, CatalogueEntry['cases']>> = {
  'launcher.words': [{ id: 'somebody', when: [['state', 'in', 'nearby', 'busy']] }],
  'launcher.name': [
    { id: 'in', when: [['state', 'in']] },
    { id: 'nearby', when: [['state', 'nearby']] },
    { id: 'busy', when: [['state', 'busy']] },
    { id: 'closed', when: [['state', 'closed']] },
  ],
  status: [
    { id: 'in', when: [['state', 'in']] },
    { id: 'nearby', when: [['state', 'nearby']] },
    { id: 'busy', when: [['state', 'busy']] },
    { id: 'closed', when: [['state', 'closed']] },
  ],
  greeting: [{ id: 'returning', when: [['visit', 'returning']] }],
  'waiting.first': [{ id: 'nearby', when: [['state', 'nearby']] }],
  nobodyHome: [
    { id: 'override', when: [['closed-by', 'override']] },
    { id: 'holiday', when: [['closed-by', 'holiday']] },
    { id: 'break', when: [['closed-by', 'break']] },
    { id: 'closed', when: [['state', 'closed']] },
    { id: 'busy', when: [['state', 'busy']] },
  ],
};

export const TEXT_KEYS: readonly TextKey[] = (Object.keys(TEXTS_EN) as CaseKey[]).filter(
  (key): key is TextKey => !/[#/]/.test(key),
);

/** What is known of a text: its moment, bound, variables and cases. */
export function entryOf(key: TextKey): CatalogueEntry {
  const known = ENTRIES.get(key) ?? madeEntry(key);
  ENTRIES.set(key, known);
  return known;
}

/** Every key asked for is one of ours, so that no more than the catalogue is kept. */
const ENTRIES = new Map<TextKey, CatalogueEntry>();

function madeEntry(key: TextKey): CatalogueEntry {
  return {
    moment: MOMENT_OF[key.split('.')[0] ?? ''] ?? 'window',
    atMost: AT_MOST[key] ?? USUAL_AT_MOST,
    variables: variablesOf(key),
    cases: CASES[key] ?? [],
  };
}

/** The text's own name of a key with case or `/without`. */
export function textKeyOf(key: CaseKey): TextKey {
  return key.replace(/[#/].*$/, '') as TextKey;
}

/** Whether a string names one of our texts. */
export function isCaseKey(key: string): key is CaseKey {
  return Object.hasOwn(TEXTS_EN, key);
}

/** Names and types of the variables a text may use ([T5]): those that ours uses in any case. */
function variablesOf(key: TextKey): Record<string, VariableType> {
  const texts = (Object.keys(TEXTS_EN) as CaseKey[])
    .filter((one) => textKeyOf(one) === key)
    .map((one) => TEXTS_EN[one]);
  const names = new Set<string>(
    texts.flatMap((text) => [...text.matchAll(/\{(\w+)(?=[,}])/g)].map((match) => match[1] ?? '')),
  );
  const counts = COUNT_VARIABLES.filter((name) => names.has(name)).map((name) => [name, 'count'] as const);
  const instants = INSTANT_VARIABLES.filter((name) => names.has(name)).map(
    (name) => [name, 'instant'] as const,
  );
  const plain = TEXT_VARIABLES.filter((name) => names.has(name)).map((name) => [name, 'text'] as const);
  return { siteName: 'text', ...Object.fromEntries([...plain, ...counts, ...instants]) };
}
