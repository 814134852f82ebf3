import type { FormPlace } from '../../core/model/form';
import type { Json } from '../../core/model/json';
import type { Condition, When } from '../../core/model/condition';
import { NO_RING } from '../../core/look/palette';
import type { PageRule } from '../../core/model/page-rule';
import type { Field } from '../../core/model/form';
import type { OncePer } from '../../core/model/invitation';
import { SETTINGS } from '../../core/model/settings';
import type { DesignChange } from '../../core/publish/changes';
import type { ChangeGroup, FieldPart, InvitationPart, Subject } from '../../core/publish/describe-design';
import type { CaseCondition } from '../../core/model/case-condition';
import { isCaseKey } from '../../core/words/catalogue';
import { caseWords } from './cases';
import { conditionWords, oncePerWords, ruleWords, whenWords } from './conditions';
import { LANGUAGES, languageName } from './languages';
import { COLOUR_WORDS } from './look';
import { launcherPartName, launcherPartWords, lookPartName, lookPartWords } from './look-changes';
import { MOMENT_WORDS } from './moments';
import { cornerWords } from './place';
import { plain } from './plain';
import { SETTING_WORDS, settingWords } from './settings';
import { STATE_CLAUSES } from './states';
import { textName } from './texts';

/** What a group of changes stands under. */
export function groupWords(group: ChangeGroup): string {
  if (group === 'everywhere') return 'Look & place';
  if (group === 'where') return 'Where it shows';
  return group === 'who-can-answer' ? 'Who can answer?' : MOMENT_WORDS[group].name;
}

export interface ChangeContext {
  readonly teamName: (id: string) => string;
  readonly calendarName: (id: string) => string;
  /** Name of a widget that the change is of; null: there is only one. */
  readonly widgetName: (id: string) => string | null;
}

/** A change as a sentence: what it is, and both sides of it. */
export function changeWords(
  { kind, subject, widget, before, after }: DesignChange,
  context: ChangeContext,
): string {
  const name = widget === null || subject.of === 'widget' ? null : context.widgetName(widget);
  const lead = name === null ? '' : `“${name}”: `;
  const what = subjectWords(subject, context);
  if (kind === 'moved') return `${lead}${what}: new order`;
  const said = (value: Json | undefined): string => valueWords(subject, value, context);
  if (kind === 'came') return `${lead}New: ${what}${thingWords(subject, after, context)}`;
  if (kind === 'gone') return `${lead}Removed: ${what}${thingWords(subject, before, context)}`;
  if (subject.of === 'corner') return `${lead}${what} moves from the ${said(before)} to the ${said(after)}`;
  if (subject.of === 'phone-corner') return `${lead}${phoneCornerWords(before, after)}`;
  return `${lead}${what}: ${said(before)} → ${said(after)}`;
}

/** Null: as on larger screens. */
function phoneCornerWords(before: Json | undefined, after: Json | undefined): string {
  const [from, to] = [before, after].map((corner) =>
    typeof corner === 'string' ? cornerWords(corner) : null,
  );
  if (!to) return 'Launcher uses the same corner on phones as elsewhere';
  return from
    ? `Launcher moves from the ${from} to the ${to} on phones`
    : `Launcher moves to the ${to} on phones`;
}

function subjectWords(subject: Subject, { teamName }: ChangeContext): string {
  switch (subject.of) {
    case 'site-name':
      return 'Site name';
    case 'default-locale':
      return 'Default language';
    case 'locale':
      return LANGUAGES[subject.locale] ?? `language ${subject.locale}`;
    case 'locale-order':
      return 'Languages';
    case 'widget':
      return 'widget';
    case 'widget-order':
      return 'Widgets';
    case 'widget-name':
      return 'Name of the widget';
    case 'widget-key':
      return 'Name in the snippet';
    case 'team':
      return `${teamName(subject.team)} answers here`;
    case 'team-order':
      return 'Teams';
    case 'calendar':
      return 'Hours';
    case 'audience':
      return 'Only for visitors';
    case 'page-rule':
      return subject.list === 'showOn' ? 'shows on pages whose' : 'never shows on pages whose';
    case 'corner':
      return 'Launcher';
    case 'phone-corner':
      return 'Launcher on phones';
    case 'launcher':
      return launcherPartName(subject.part);
    case 'look':
      return lookPartName(subject.part);
    case 'own-colour':
      return `${COLOUR_WORDS[subject.colour]}, ${subject.scheme === 'day' ? 'light' : 'dark'}`;
    case 'setting':
      return SETTING_WORDS[subject.id].name;
    case 'behaviour':
      return `While ${STATE_CLAUSES[subject.state]}`;
    case 'text':
      return `${textName(subject.key)} in ${languageName(subject.locale)}`;
    case 'case':
      return `other wording of “${textName(subject.key)}”`;
    case 'case-key':
    case 'case-when':
      return `${textName(subject.key)}, other wording, ${subject.of === 'case-key' ? 'replaces' : 'for'}`;
    case 'case-text':
      return `${caseName(subject, teamName)} in ${languageName(subject.locale)}${subject.isWithout ? ', without the time' : ''}`;
    case 'case-order':
      return 'Wordings';
    case 'invitation':
      return `invitation “${subject.name}”`;
    case 'invitation-part':
      return `“${subject.name}”, ${INVITATION_PARTS[subject.part]}`;
    case 'invitation-text':
      return `“${subject.name}” in ${languageName(subject.locale)}`;
    case 'invitation-order':
      return 'Invitations';
    case 'field':
      return `field ${fieldName(subject.field)} ${FORMS[subject.form]}`;
    case 'field-order':
      return `Fields ${FORMS[subject.form]}`;
    case 'field-part':
      return `${fieldName(subject.field)}, ${FIELD_PARTS[subject.part]}`;
    case 'field-words':
      return `${fieldName(subject.field)}, ${subject.part === 'label' ? 'its label' : 'its help'} in ${languageName(subject.locale)}`;
    case 'option':
      return `choice “${subject.option}” of ${fieldName(subject.field)}`;
    case 'option-order':
      return `Choices of ${fieldName(subject.field)}`;
    case 'option-words':
      return `${fieldName(subject.field)}, choice “${subject.option}” in ${languageName(subject.locale)}`;
  }
}

/** One side of a change. */
function valueWords(subject: Subject, value: Json | undefined, context: ChangeContext): string {
  switch (subject.of) {
    case 'look':
      return lookPartWords(subject.part, value ?? null);
    case 'own-colour':
      return typeof value === 'string' ? (value === NO_RING ? 'none' : value) : 'from your colour';
    case 'launcher':
      return launcherPartWords(subject.part, value ?? null);
    case 'setting':
      return settingWords(typeof value === 'number' ? value : null, SETTINGS[subject.id]);
    case 'corner':
    case 'phone-corner':
      return cornerWords(plain(value));
    case 'behaviour':
      return BEHAVIOURS[plain(value)] ?? plain(value);
    case 'default-locale':
      return languageName(plain(value));
    case 'calendar':
      return typeof value === 'string' ? context.calendarName(value) : 'whenever somebody is answering';
    case 'audience':
      return audienceWords((value ?? []) as readonly Condition[]);
    case 'page-rule':
      return value === undefined ? '–' : ruleWords(value as PageRule);
    case 'case-when':
      return caseWords((value ?? []) as readonly CaseCondition[], context.teamName);
    case 'case-key':
      return typeof value === 'string' && isCaseKey(value) ? textName(value) : plain(value);
    case 'invitation-part':
      return invitationPart(subject.part, value ?? null);
    case 'field-part':
      return fieldPart(subject.part, value ?? null);
    case 'text':
    case 'case-text':
    case 'invitation-text':
    case 'field-words':
    case 'option-words':
    case 'site-name':
    case 'widget-name':
      return value === undefined ? 'our text' : `“${plain(value)}”`;
    case 'locale-order':
    case 'widget-order':
    case 'locale':
    case 'widget':
    case 'widget-key':
    case 'team-order':
    case 'case-order':
    case 'invitation-order':
    case 'team':
    case 'case':
    case 'invitation':
    case 'field-order':
    case 'field':
    case 'option':
    case 'option-order':
      return plain(value);
  }
}

function audienceWords(conditions: readonly Condition[]): string {
  return conditions.length === 0 ? 'everybody' : conditions.map(conditionWords).join(' and ');
}

/** What came or went is told by what matters of it. */
function thingWords(subject: Subject, value: Json | undefined, context: ChangeContext): string {
  if (subject.of === 'widget') return ` “${plain(value)}”`;
  if (subject.of === 'page-rule') return ` ${valueWords(subject, value, context)}`;
  if (subject.of === 'case') return ` (${caseWords(subject.when, context.teamName)})${wordsOf(value)}`;
  if (subject.of !== 'invitation') return '';
  const { when, texts } = value as { readonly when: When; readonly texts: Json };
  return `, ${whenWords(when)}${wordsOf(texts)}`;
}

/** The first words of a text in several languages. */
function wordsOf(texts: Json | undefined): string {
  const [first] = Object.values((texts ?? {}) as Readonly<Record<string, string>>);
  return first === undefined ? '' : `: “${first}”`;
}

const INVITATION_PARTS: Readonly<Record<InvitationPart, string>> = {
  name: 'its name',
  isOn: 'switched on',
  approach: 'what it does',
  opensOnPhones: 'opens on phones too',
  oncePer: 'how often',
  atMost: 'at most',
  defaultText: 'our text',
  when: 'shows',
};

const APPROACHES: Readonly<Record<string, string>> = {
  speak: 'speaks beside the launcher',
  open: 'opens the window',
  stir: 'moves the launcher',
};

function invitationPart(part: InvitationPart, value: Json): string {
  if (part === 'when') return whenWords(value as When);
  if (part === 'oncePer') return oncePerWords(value as OncePer);
  if (part === 'approach') return APPROACHES[plain(value)] ?? plain(value);
  if (part === 'defaultText') return typeof value === 'string' && isCaseKey(value) ? textName(value) : 'none';
  if (part === 'atMost') return value === null ? 'no limit' : `${plain(value)} times`;
  return part === 'name' ? `“${plain(value)}”` : yesNo(value);
}

const FORMS: Readonly<Record<FormPlace, string>> = {
  before: 'before a chat',
  note: 'in the note',
  after: 'after a chat',
};

const FIELD_PARTS: Readonly<Record<FieldPart, string>> = {
  kind: 'what it takes',
  label: 'label',
  isRequired: 'required',
  least: 'at least',
  most: 'at most',
  asButtons: 'choices as buttons',
  shownIf: 'shown',
  isKept: 'remembered for next time',
  link: 'link',
  attribute: 'value from the page',
  own: 'own words',
};

function fieldPart(part: FieldPart, value: Json): string {
  if (part === 'label') return typeof value === 'string' && isCaseKey(value) ? textName(value) : 'none';
  if (part === 'shownIf') {
    if (value === null) return 'always';
    const { field, is } = value as { readonly field: string; readonly is: string };
    return `if ${field} is “${is}”`;
  }
  if (typeof value === 'boolean') return yesNo(value);
  return value === null ? 'none' : plain(value);
}

function fieldName({ id, label, own }: Field): string {
  return `“${label !== null ? textName(label) : (own?.label['en'] ?? Object.values(own?.label ?? {})[0] ?? id)}”`;
}

function caseName(
  { key, when }: { readonly key: Field['label']; readonly when: readonly CaseCondition[] },
  teamName: (id: string) => string,
): string {
  return `${key === null ? '' : textName(key)} (${caseWords(when, teamName)})`;
}

function yesNo(value: Json): string {
  return value === true ? 'yes' : 'no';
}

const BEHAVIOURS: Readonly<Record<string, string>> = {
  chat: 'a chat',
  queue: 'a chat, waiting in line',
  note: 'a note',
  answers: 'answers only',
  'out-of-sight': 'hidden',
};
