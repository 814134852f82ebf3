import { dayPalette, eveningPalette } from '../look/palette';
import type { Design, PageRule, Widget } from '../model/design';
import type { Locale } from '../model/units';
import { type Result, fail, ok } from '../result';
import { type CaseKey, MAYBE_UNKNOWN, RIGHT_TO_LEFT, TEXT_KEYS, type TextKey, entryOf, isCaseKey } from '../words/catalogue';
import { type TextFault, compileText } from '../words/compile';
import { textOf } from '../words/texts-of';
import type { DesignFileV1, Message, WireCase, WireRule, WireText, WireWidget } from './design-file';

/** A text that cannot be published, and where it stands. */
export interface PublishFault extends TextFault {
  readonly widget: string;
  readonly locale: Locale;
  readonly key: CaseKey;
}

/**
 * Turns what an owner edits into what a visitor of one locale downloads (wire.md): palette into custom properties,
 * messages into pieces, fallback resolved ([T2]). Every text fault is told at its place; then nothing is published.
 */
export function publish(design: Design, version: number, locale: Locale): Result<DesignFileV1, readonly PublishFault[]> {
  const faults: PublishFault[] = [];
  const widgets = design.widgets.map((widget) => toWireWidget(design, widget, locale, faults));
  if (faults.length > 0) return fail(faults);
  const dir = RIGHT_TO_LEFT.includes(locale.split('-')[0] ?? '') ? 'rtl' : 'ltr';
  return ok({ v: 1, version, locale, dir, siteName: design.siteName, widgets });
}

function toWireWidget(design: Design, widget: Widget, locale: Locale, faults: PublishFault[]): WireWidget {
  const { place, launcher, look } = widget;
  return {
    id: widget.id,
    key: widget.key,
    teams: widget.teams,
    calendar: widget.calendarId,
    show: widget.pages.showOn.map(toWireRule),
    never: widget.pages.neverOn.map(toWireRule),
    place,
    launcher,
    scheme: look.scheme,
    palette: { day: dayPalette(look), evening: eveningPalette(look) },
    measures: { radius: look.radius, textSize: look.textSize },
    deeds: widget.deeds,
    timings: widget.timings,
    forms: widget.forms,
    invitations: [],
    words: Object.fromEntries(TEXT_KEYS.map((key) => [key, toWireText(design, widget, locale, key, faults)])),
  };
}

function toWireRule(rule: PageRule): WireRule {
  return [rule.kind, rule.part, rule.text, rule.ignoresCase];
}

function toWireText(design: Design, widget: Widget, locale: Locale, key: TextKey, faults: PublishFault[]): WireText {
  const compiled = (one: CaseKey, second: Message | undefined): Message => {
    const result = compileText(textOf(design, widget, locale, one), entryOf(key).variables);
    const fault = result.ok ? unsaid(result.value, second, one) : result.errors;
    if (fault !== null) faults.push({ ...fault, widget: widget.key, locale, key: one });
    return result.ok ? result.value : '';
  };
  const without = (one: string): Message | undefined => {
    const other = `${one}/without`;
    return isCaseKey(other) ? compiled(other, undefined) : undefined;
  };
  const cases = entryOf(key).cases.map(({ id, when }): WireCase => {
    const second = without(`${key}#${id}`);
    const first = compiled(`${key}#${id}` as CaseKey, second);
    return second === undefined ? [when, first] : [when, first, second];
  });
  const second = without(key);
  const otherwise = compiled(key, second);
  if (cases.length === 0 && second === undefined) return otherwise;
  return { ...(cases.length > 0 ? { c: cases } : {}), o: otherwise, ...(second === undefined ? {} : { w: second }) };
}

/** [T6] A text with a value that may be unknown needs one without it, which may use none such. */
function unsaid(message: Message, second: Message | undefined, key: CaseKey): TextFault | null {
  const [name] = unknownsOf(message);
  return name !== undefined && (second === undefined || key.endsWith('/without')) ? { code: 'needs-without', at: 0, name } : null;
}

/** Names of values in a compiled message that may be unknown ([T6]). */
export function unknownsOf(message: Message): string[] {
  if (typeof message === 'string') return [];
  return message.flatMap((piece) => (typeof piece !== 'string' && piece[0] !== '#' && MAYBE_UNKNOWN.includes(piece[1]) ? [piece[1]] : []));
}
