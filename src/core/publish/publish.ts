import { toWireField } from '../forms/compile';
import { toWireCondition, toWireInvitation, toWireLimits, toWireRules } from '../invitations/compile';
import { toWirePlace } from '../look/place';
import { toWireLauncher, toWireLook } from '../look/compile';
import type { Design, OwnCase, Widget } from '../model/design';
import type { Invitation } from '../model/invitation';
import type { Locale } from '../model/units';
import { SITE_STATES_MAX } from '../pages/compile-pattern';
import { statesOfRules } from '../pages/compile-rules';
import type { PatternFault } from '../pages/pattern-tree';
import { type Result, fail, ok } from '../result';
import type { CaseKey } from '../model/text-keys';
import { NOT_PUBLISHED, RIGHT_TO_LEFT, TEXT_KEYS, entryOf, isCaseKey } from '../words/catalogue';
import type { TextKey } from '../model/text-keys';
import { type TextFault, compileText, unknownsOf } from '../words/compile';
import { inLocale, noEmailKey, textOf } from '../words/texts-of';
import type { CaseCondition } from '../model/case-condition';
import type {
  DesignFileV1,
  Message,
  WireCase,
  WireItem,
  WireRule,
  WireText,
  WireWidget,
} from '../wire/design-file';
import { KIND, VALUE, isWireGroup, itemsOf } from '../wire/condition';

/** What cannot be published, and where it stands. */
export interface PublishFault {
  readonly code: TextFault['code'] | PatternFault['code'] | 'too-many-states-on-site' | 'empty-text';
  /** Code unit of the text or pattern. */
  readonly at: number;
  /** The value, or the pattern, that is meant. */
  readonly name: string;
  readonly widget: string;
  readonly locale: Locale;
  /** A text's key; `case:<id>`, `invitation:<id>`, `pages`, `audience` for the rest. */
  readonly key: string;
}

/**
 * Turns what an owner edits into what a visitor of one locale downloads: palette into custom properties,
 * messages into pieces, patterns into automata, fallback resolved ([T2]). Every fault is told at its place; then nothing
 * is published.
 */
export function publish(
  design: Design,
  version: number,
  locale: Locale,
): Result<DesignFileV1, readonly PublishFault[]> {
  const faults: PublishFault[] = [];
  const widgets = design.widgets.map((widget) => toWireWidget({ design, widget, locale, faults }));
  const states = statesOfRules(widgets.flatMap(rulesOf));
  if (states > SITE_STATES_MAX)
    faults.push({
      code: 'too-many-states-on-site',
      at: states,
      name: '',
      widget: widgets[0]?.key ?? '',
      locale,
      key: 'pages',
    });
  if (faults.length > 0) return fail(faults);
  const dir = RIGHT_TO_LEFT.includes(locale.split('-')[0] ?? '') ? 'rtl' : 'ltr';
  return ok({
    v: 1,
    version,
    locale,
    dir,
    siteName: design.siteName,
    widgets,
    limits: toWireLimits(design.limits),
  });
}

/** What is being published, and where faults are told. */
interface Press {
  readonly design: Design;
  readonly widget: Widget;
  readonly locale: Locale;
  readonly faults: PublishFault[];
}

function toWireWidget(press: Press): WireWidget {
  const { widget, locale } = press;
  const { place, launcher, look, pages } = widget;
  const fields = (list: Widget['forms']['note']) =>
    list.map((field) => toWireField(field, (texts) => inLocale(texts, press.design, locale)));
  const live = widget.invitations.filter(({ isOn }) => isOn);
  return {
    id: widget.id,
    key: widget.key,
    teams: widget.teams,
    calendar: widget.calendarId,
    show: toWireRules(pages.showOn, patternFaults(press, 'pages')),
    never: toWireRules(pages.neverOn, patternFaults(press, 'pages')),
    ...(widget.audience.length === 0
      ? {}
      : { audience: widget.audience.map((one) => toWireCondition(one, patternFaults(press, 'audience'))) }),
    ...toWirePlace(place),
    launcher: toWireLauncher(launcher),
    ...toWireLook(look),
    deeds: widget.behaviours,
    timings: widget.timings,
    ...toWireTalks(widget),
    forms: {
      before: fields(widget.forms.before),
      note: fields(widget.forms.note),
      after: fields(widget.forms.after),
    },
    invitations: live.map((one) => toWireInvitation(one, patternFaults(press, `invitation:${one.id}`))),
    words: Object.fromEntries([
      ...TEXT_KEYS.filter((key) => !NOT_PUBLISHED.has(key)).map(
        (key) => [key, toWireText(press, key)] as const,
      ),
      ...live.map((one) => [`invitation:${one.id}`, toInvitationText(press, one)] as const),
    ]),
  };
}

/** Only what is not as it usually is. */
function toWireTalks({ talks }: Widget): Pick<WireWidget, 'talks'> {
  const { keepsWaiting, offersAgain } = talks;
  if (!keepsWaiting && offersAgain) return {};
  return { talks: { ...(keepsWaiting ? { keepsWaiting } : {}), ...(offersAgain ? {} : { offersAgain }) } };
}

function patternFaults({ widget, locale, faults }: Press, key: string) {
  return ({ code, at }: PatternFault, name: string): void => {
    faults.push({ code, at, name, widget: widget.key, locale, key });
  };
}

/** Every rule of a widget that may hold an automaton ([P11]: 300 states a site). */
function rulesOf({ show, never, audience, invitations }: WireWidget): WireRule[] {
  const inside = (item: WireItem): WireRule[] => {
    if (isWireGroup(item)) return itemsOf(item).flatMap(inside);
    return item[KIND] === 'page' || item[KIND] === 'referrer' ? (item.slice(VALUE) as WireRule[]) : [];
  };
  return [
    ...show,
    ...never,
    ...(audience ?? []).flatMap(inside),
    ...invitations.flatMap(([, , , , , , when]) => inside(when)),
  ];
}

function toWireText(press: Press, key: TextKey): WireText {
  const { design, widget, locale } = press;
  const compiled = (one: CaseKey, second?: Message): Message =>
    compile(press, one, key, textOf(design, widget, locale, one), second);
  const without = (one: string): Message | undefined => {
    const other = `${one}/without`;
    return isCaseKey(other) ? compiled(other) : undefined;
  };
  const own = widget.cases.filter((one) => one.key === key).map((one) => toOwnCase(press, one));
  const unsent = (one: CaseKey, when: readonly CaseCondition[]): WireCase[] => {
    const other = noEmailKey(widget, locale, one);
    return other === null ? [] : [[[...when, ['letters', 'none']], compiled(other)]];
  };
  const defaultText = entryOf(key).cases.flatMap(({ id, when }): WireCase[] => {
    const name = `${key}#${id}` as CaseKey;
    const second = without(name);
    const first = compiled(name, second);
    return [...unsent(name, when), second === undefined ? [when, first] : [when, first, second]];
  });
  const cases = [...noWords(press, key), ...own, ...defaultText, ...unsent(key, [])];
  const second = without(key);
  const otherwise = compiled(key, second);
  if (cases.length === 0 && second === undefined) return otherwise;
  return {
    ...(cases.length > 0 ? { c: cases } : {}),
    o: otherwise,
    ...(second === undefined ? {} : { w: second }),
  };
}

/** The launcher may stand without words in some states, whoever comes. */
function noWords({ widget: { launcher } }: Press, key: TextKey): WireCase[] {
  const { noWordsIn = [] } = launcher;
  return key === 'launcher.words' && noWordsIn.length > 0 ? [[[['state', ...noWordsIn]], '']] : [];
}

/** [T4] A case of the owner's own, before ours. */
function toOwnCase(press: Press, { id, key, when, texts, without }: OwnCase): WireCase {
  const name = `case:${id}`;
  const other = inLocale(without, press.design, press.locale);
  const second = other === '' ? undefined : compile(press, `${name}/without`, key, other);
  const first = compile(press, name, key, inLocale(texts, press.design, press.locale), second);
  return second === undefined ? [when, first] : [when, first, second];
}

function toInvitationText(press: Press, { id, texts, defaultText, approach }: Invitation): Message {
  const { design, widget, locale } = press;
  const own = inLocale(texts, design, locale);
  const text = own === '' && defaultText !== null ? textOf(design, widget, locale, defaultText) : own;
  if (text === '' && approach !== 'stir')
    press.faults.push({
      code: 'empty-text',
      at: 0,
      name: '',
      widget: widget.key,
      locale,
      key: `invitation:${id}`,
    });
  return compile(press, `invitation:${id}`, 'invitation.stayed', text);
}

/** [T3], [T6] Compiles one wording; a value that may be unknown needs a second one, which may use none such. */
function compile(
  { widget, locale, faults }: Press,
  name: string,
  key: TextKey,
  text: string,
  second?: Message,
): Message {
  const result = compileText(text, entryOf(key).variables);
  const tell = (fault: TextFault): void => {
    faults.push({ ...fault, widget: widget.key, locale, key: name });
  };
  if (!result.ok) {
    tell(result.errors);
    return '';
  }
  const [unknown] = unknownsOf(result.value);
  if (unknown !== undefined && (second === undefined || name.endsWith('/without')))
    tell({ code: 'needs-without', at: 0, name: unknown });
  return result.value;
}
