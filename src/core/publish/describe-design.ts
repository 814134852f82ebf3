import type { FormPlace } from '../model/form';
import { FORMS } from '../model/form';
import type { Json } from '../model/json';
import type { Condition, Group, When } from '../model/condition';
import { isGroup } from '../model/condition';
import type { Design, OwnCase, Widget } from '../model/design';
import type { PageRule } from '../model/page-rule';
import type { Field } from '../model/form';
import type { Invitation, InvitationLimits } from '../model/invitation';
import { COLOURS, type Colour, STYLE_NAMES, type Scheme } from '../model/look';
import { MOMENTS, type Moment, WIDGET_STATES, type WidgetState } from '../model/moment';
import { SETTINGS, SETTINGS_AT, type SettingId, settingValue } from '../model/settings';
import type { Locale } from '../model/units';
import type { CaseCondition } from '../model/case-condition';
import type { CaseKey } from '../model/text-keys';
import { entryOf, isCaseKey, textKeyOf } from '../words/catalogue';
import type { TextKey } from '../model/text-keys';

/** Where a change is told: everywhere, where the widget stands, who can answer, and along the path. */
export const CHANGE_GROUPS = ['everywhere', 'where', 'who-can-answer', ...MOMENTS] as const;
export type ChangeGroup = (typeof CHANGE_GROUPS)[number];

/** What a value of a design is the value of; everything that an owner can change is one of these. */
export type Subject =
  | { readonly of: 'site-name' | 'default-locale' | 'locale-order' | 'widget-order' }
  | { readonly of: 'locale'; readonly locale: Locale }
  | {
      readonly of:
        | 'widget'
        | 'widget-name'
        | 'widget-key'
        | 'team-order'
        | 'calendar'
        | 'audience'
        | 'corner'
        | 'phone-corner';
    }
  | { readonly of: 'launcher'; readonly part: LauncherValue }
  | { readonly of: 'case-order' | 'invitation-order' }
  | { readonly of: 'look'; readonly part: LookValue }
  | { readonly of: 'own-colour'; readonly colour: Colour; readonly scheme: Scheme }
  | { readonly of: 'team'; readonly team: string }
  | { readonly of: 'page-rule'; readonly list: 'showOn' | 'neverOn' }
  | { readonly of: 'setting'; readonly id: SettingId }
  | { readonly of: 'behaviour'; readonly state: WidgetState }
  | { readonly of: 'text'; readonly key: CaseKey; readonly locale: Locale }
  | {
      readonly of: 'case' | 'case-key' | 'case-when';
      readonly key: TextKey;
      readonly when: readonly CaseCondition[];
    }
  | {
      readonly of: 'case-text';
      readonly key: TextKey;
      readonly when: readonly CaseCondition[];
      readonly locale: Locale;
      readonly isWithout: boolean;
    }
  | { readonly of: 'invitation'; readonly name: string }
  | { readonly of: 'invitation-part'; readonly name: string; readonly part: InvitationPart }
  | { readonly of: 'invitation-text'; readonly name: string; readonly locale: Locale }
  | { readonly of: 'field-order'; readonly form: FormPlace }
  | { readonly of: 'field'; readonly form: FormPlace; readonly field: Field }
  | { readonly of: 'field-part'; readonly form: FormPlace; readonly field: Field; readonly part: FieldPart }
  | {
      readonly of: 'field-words';
      readonly form: FormPlace;
      readonly field: Field;
      readonly part: 'label' | 'help';
      readonly locale: Locale;
    }
  | {
      readonly of: 'option' | 'option-order';
      readonly form: FormPlace;
      readonly field: Field;
      readonly option: string;
    }
  | {
      readonly of: 'option-words';
      readonly form: FormPlace;
      readonly field: Field;
      readonly option: string;
      readonly locale: Locale;
    };

/** What is told of a launcher as it is; sizes are settings. */
export const LAUNCHER_VALUES = ['form', 'icon', 'closedIcon', 'hiddenOn', 'noWordsIn', 'element'] as const;
export type LauncherValue = (typeof LAUNCHER_VALUES)[number];

/** What is told of a look as it is; sizes are settings, colours set by hand are told one by one. */
export const LOOK_VALUES = [
  'name',
  'brand',
  'second',
  'headerTo',
  'scheme',
  ...STYLE_NAMES,
  'logo',
  'headerPicture',
  'css',
] as const;
export type LookValue = (typeof LOOK_VALUES)[number];

const INVITATION_PARTS = [
  'name',
  'isOn',
  'approach',
  'opensOnPhones',
  'oncePer',
  'atMost',
  'defaultText',
] as const;
export type InvitationPart = (typeof INVITATION_PARTS)[number] | 'when';
const FIELD_PARTS = [
  'kind',
  'label',
  'isRequired',
  'least',
  'most',
  'asButtons',
  'shownIf',
  'isKept',
  'link',
  'attribute',
] as const;
export type FieldPart = (typeof FIELD_PARTS)[number] | 'own';

/**
 * One value of a design, by a key that stays while its owner does. A *thing* comes or goes with all that is inside of it;
 * an *item* may also be another than before; an *order* counts for those that stay.
 */
export interface DescribedValue {
  readonly key: string;
  /** Key of the thing it is inside of; null: of the design. */
  readonly inside: string | null;
  readonly as: 'value' | 'thing' | 'item' | 'order';
  readonly group: ChangeGroup;
  /** The widget it is of; null: of the design. */
  readonly widget: string | null;
  readonly subject: Subject;
  readonly value: Json;
}

/** A thing that others are inside of; the design itself has no key. */
interface Thing {
  readonly widget: string | null;
  readonly key: string | null;
}

/** Says one value of what is inside of a thing, by its name there; gives the key it has. */
type Describe = (
  inside: Thing,
  name: string,
  group: ChangeGroup,
  subject: Subject,
  value: Json,
  as?: DescribedValue['as'],
) => string;

/** Everything there is to tell of a design, in the order in which it is told: the design, then each widget along the path. */
export function describeDesign(design: Design): DescribedValue[] {
  const described: DescribedValue[] = [];
  const describe: Describe = ({ widget, key: inside }, name, group, subject, value, as = 'value') => {
    const key = inside === null ? name : `${inside}/${name}`;
    described.push({ key, inside, as, group, widget, subject, value });
    return key;
  };
  const all: Thing = { widget: null, key: null };
  describe(all, 'site-name', 'everywhere', { of: 'site-name' }, design.siteName);
  describe(all, 'default-locale', 'everywhere', { of: 'default-locale' }, design.defaultLocale);
  for (const locale of design.locales)
    describe(all, `locale/${locale}`, 'everywhere', { of: 'locale', locale }, locale, 'thing');
  describe(all, 'locales', 'everywhere', { of: 'locale-order' }, design.locales, 'order');
  describe(all, 'widgets', 'where', { of: 'widget-order' }, idsOf(design.widgets), 'order');
  for (const id of SETTING_IDS)
    if (SETTINGS[id].of === 'design')
      describe(
        all,
        id,
        GROUP_OF_SETTING[id] ?? 'everywhere',
        { of: 'setting', id },
        design.limits[SETTINGS[id].path[1] as keyof InvitationLimits],
      );
  for (const widget of design.widgets) describeWidget(describe, design, widget, all);
  return described;
}

function describeWidget(describe: Describe, design: Design, widget: Widget, all: Thing): void {
  const { id, name, look } = widget;
  const own: Thing = {
    widget: id,
    key: describe({ ...all, widget: id }, id, 'where', { of: 'widget' }, name, 'thing'),
  };
  describe(own, 'name', 'where', { of: 'widget-name' }, name);
  describe(own, 'key', 'where', { of: 'widget-key' }, widget.key);
  for (const list of ['showOn', 'neverOn'] as const)
    for (const rule of widget.pages[list])
      describe(own, `${list}/${rule.id}`, 'where', { of: 'page-rule', list }, ruleOf(rule), 'item');
  describe(own, 'audience', 'where', { of: 'audience' }, widget.audience.map(conditionOf));
  for (const team of widget.teams)
    describe(own, `team/${team}`, 'who-can-answer', { of: 'team', team }, team, 'thing');
  describe(own, 'teams', 'who-can-answer', { of: 'team-order' }, widget.teams, 'order');
  describe(own, 'calendar', 'who-can-answer', { of: 'calendar' }, widget.calendarId);
  for (const state of WIDGET_STATES)
    describe(
      own,
      `behaviour/${state}`,
      'who-can-answer',
      { of: 'behaviour', state },
      widget.behaviours[state],
    );
  for (const part of LOOK_VALUES)
    describe(own, `look/${part}`, 'everywhere', { of: 'look', part }, look[part]);
  for (const scheme of ['day', 'evening'] as const)
    for (const colour of COLOURS)
      describe(
        own,
        `own/${scheme}/${colour}`,
        'everywhere',
        { of: 'own-colour', colour, scheme },
        look.own[scheme][colour] ?? null,
      );
  describe(own, 'corner', 'everywhere', { of: 'corner' }, widget.place.corner);
  describe(own, 'phone-corner', 'everywhere', { of: 'phone-corner' }, widget.place.phoneCorner);
  const launcher = { ...widget.launcher, noWordsIn: widget.launcher.noWordsIn ?? [] };
  for (const part of LAUNCHER_VALUES)
    describe(own, `launcher/${part}`, 'everywhere', { of: 'launcher', part }, launcher[part]);
  for (const one of SETTING_IDS)
    if (SETTINGS[one].of === 'widget')
      describe(
        own,
        `setting/${one}`,
        GROUP_OF_SETTING[one] ?? 'everywhere',
        { of: 'setting', id: one },
        settingValue(design, widget, SETTINGS[one]),
      );
  for (const [locale, texts] of Object.entries(widget.texts))
    for (const [key, text] of Object.entries(texts))
      if (isCaseKey(key))
        describe(own, `text/${locale}/${key}`, groupOf(key), { of: 'text', key, locale }, text);
  for (const one of widget.cases) describeCase(describe, own, one);
  describe(own, 'cases', 'everywhere', { of: 'case-order' }, idsOf(widget.cases), 'order');
  for (const one of widget.invitations) describeInvitation(describe, own, one);
  describe(own, 'invitations', 'invited', { of: 'invitation-order' }, idsOf(widget.invitations), 'order');
  for (const form of FORMS) describeForm(describe, own, widget, form);
}

function describeCase(describe: Describe, widget: Thing, { id, key, when, texts, without }: OwnCase): void {
  const group = groupOf(key);
  const own: Thing = {
    ...widget,
    key: describe(widget, `case/${id}`, group, { of: 'case', key, when }, texts, 'thing'),
  };
  describe(own, 'key', group, { of: 'case-key', key, when }, key);
  describe(own, 'when', group, { of: 'case-when', key, when }, when);
  for (const [locale, text] of Object.entries(texts))
    describe(own, `text/${locale}`, group, { of: 'case-text', key, when, locale, isWithout: false }, text);
  for (const [locale, text] of Object.entries(without))
    describe(own, `without/${locale}`, group, { of: 'case-text', key, when, locale, isWithout: true }, text);
}

function describeInvitation(describe: Describe, widget: Thing, one: Invitation): void {
  const { id, name } = one;
  const when = whenOf(one.when);
  const summary = { when, texts: one.texts };
  const own: Thing = {
    ...widget,
    key: describe(widget, `invitation/${id}`, 'invited', { of: 'invitation', name }, summary, 'thing'),
  };
  for (const part of INVITATION_PARTS)
    describe(own, part, 'invited', { of: 'invitation-part', name, part }, one[part]);
  describe(own, 'when', 'invited', { of: 'invitation-part', name, part: 'when' }, when);
  for (const [locale, text] of Object.entries(one.texts))
    describe(own, `text/${locale}`, 'invited', { of: 'invitation-text', name, locale }, text);
}

const GROUP_OF_FORM: Readonly<Record<FormPlace, Moment>> = {
  before: 'at-the-door',
  note: 'nobody-home',
  after: 'goodbye',
};

function describeForm(describe: Describe, widget: Thing, { forms }: Widget, form: FormPlace): void {
  const group = GROUP_OF_FORM[form];
  for (const field of forms[form]) {
    const own: Thing = {
      ...widget,
      key: describe(widget, `${form}/${field.id}`, group, { of: 'field', form, field }, field.kind, 'thing'),
    };
    for (const part of FIELD_PARTS)
      describe(own, part, group, { of: 'field-part', form, field, part }, field[part]);
    describe(own, 'own', group, { of: 'field-part', form, field, part: 'own' }, field.own !== null);
    for (const part of ['label', 'help'] as const)
      for (const [locale, text] of Object.entries(field.own?.[part] ?? {}))
        describe(own, `${part}/${locale}`, group, { of: 'field-words', form, field, part, locale }, text);
    for (const { value: option, label } of field.options) {
      const inside: Thing = {
        ...widget,
        key: describe(own, `option/${option}`, group, { of: 'option', form, field, option }, label, 'thing'),
      };
      for (const [locale, text] of Object.entries(label))
        describe(inside, locale, group, { of: 'option-words', form, field, option, locale }, text);
    }
    const options = field.options.map(({ value }) => value);
    describe(own, 'options', group, { of: 'option-order', form, field, option: '' }, options, 'order');
  }
  describe(widget, `${form}-order`, group, { of: 'field-order', form }, idsOf(forms[form]), 'order');
}

const SETTING_IDS = Object.keys(SETTINGS) as SettingId[];
/** The first moment that it belongs to. */
const GROUP_OF_SETTING = Object.fromEntries(
  MOMENTS.toReversed().flatMap((moment) => SETTINGS_AT[moment].map((id) => [id, moment] as const)),
) as Partial<Record<SettingId, Moment>>;

function groupOf(key: CaseKey): ChangeGroup {
  const { moment } = entryOf(textKeyOf(key));
  return moment === 'window' ? 'everywhere' : moment;
}

function idsOf(all: readonly { readonly id: string }[]): string[] {
  return all.map(({ id }) => id);
}

/** A condition without what nobody sees of it: the ids of its rules. */
function conditionOf(condition: Condition): Condition {
  return 'rules' in condition
    ? { ...condition, rules: condition.rules.map(ruleOf) as PageRule[] }
    : condition;
}

function ruleOf({ kind, part: of, text, ignoresCase }: PageRule): Omit<PageRule, 'id'> {
  return { kind, part: of, text, ignoresCase };
}

/** The same condition as it is read: what is joined to nothing has no join, a group of one is that one ([I1]). */
export function whenOf({ join, items }: When): When {
  const plain = items.map((item) => (isGroup(item) ? groupRead(item) : conditionOf(item)));
  return { join: plain.length === 1 ? 'all' : join, items: plain };
}

function groupRead({ join, conditions, isNot }: Group): Group | Condition {
  const read = conditions.map(conditionOf);
  const [first] = read;
  return first !== undefined && read.length === 1
    ? { ...first, isNot: first.isNot !== isNot }
    : { join, conditions: read, isNot };
}
