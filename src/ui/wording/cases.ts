import type { Widget } from '../../core/model/design';
import type { WidgetState } from '../../core/model/moment';
import type { CaseCondition } from '../../core/model/case-condition';
import { isCaseKey } from '../../core/words/catalogue';
import { type WordingKey, invitationOf, ownCaseOf } from '../../core/words/wordings';
import { languageName } from './languages';
import { STATE_WORDS } from './states';
import { textName } from './texts';

export const CLOSED_BY_WORDS: Readonly<Record<string, string>> = {
  break: 'on a break',
  holiday: 'a holiday',
  outside: 'outside opening hours',
  exception: 'other hours that day',
  import: 'an imported event',
  override: 'closed early',
};

/** What a case asks, in a few words: `returning, Português`. */
export function caseWords(when: readonly CaseCondition[], nameOfTeam: (id: string) => string): string {
  return when.length === 0 ? 'everybody else' : when.map((one) => conditionWords(one, nameOfTeam)).join(', ');
}

/** The same at the beginning of a line, or by itself. */
export function caseTitle(when: readonly CaseCondition[], nameOfTeam: (id: string) => string): string {
  const words = caseWords(when, nameOfTeam);
  return words.charAt(0).toUpperCase() + words.slice(1);
}

function conditionWords(condition: CaseCondition, nameOfTeam: (id: string) => string): string {
  const [kind, ...values] = condition;
  if (kind === 'state') return values.map((one) => STATE_WORDS[one as WidgetState]).join(' or ');
  const [value = ''] = values;
  if (kind === 'visit') return value === 'first' ? 'first visit' : 'returning';
  if (kind === 'team') return nameOfTeam(value);
  return kind === 'language' ? languageName(value) : (CLOSED_BY_WORDS[value] ?? value);
}

/** What a wording is called on screen: of a text, in which case; of an invitation, by its name. */
export function wordingName(widget: Widget, key: WordingKey, nameOfTeam: (id: string) => string): string {
  if (isCaseKey(key)) return textName(key);
  const own = ownCaseOf(widget, key);
  if (own === undefined) return `Invitation “${invitationOf(widget, key)?.name ?? ''}”`;
  return `${textName(own.key)} (${caseWords(own.when, nameOfTeam)}${key.endsWith('/without') ? ', without the time' : ''})`;
}
