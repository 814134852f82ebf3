import type { Difference } from '../../core/draft/differences';
import type { PatchPath } from '../../core/draft/patch';
import type { Design, OwnCase, Place, Widget } from '../../core/model/design';
import { isCaseKey } from '../../core/words/catalogue';
import { SETTINGS, type Setting } from '../../core/model/settings';
import { caseWords, wordingName } from './cases';
import { LANGUAGES } from './languages';
import { SETTING_WORDS, settingWords } from './settings';
import { textName } from './texts';

const CORNER_WORDS: Readonly<Record<string, string>> = {
  'lower-right': 'lower right',
  'lower-left': 'lower left',
  'upper-right': 'upper right',
  'upper-left': 'upper left',
};

/** Where a launcher stands: `lower right, 20 px from the side, 96 px from below`. */
export function placeWords({ corner, offset, phoneOffset, lift }: Place, isPhone: boolean): string {
  const side = isPhone ? phoneOffset : offset;
  const edge = Math.max(0, side + lift);
  if (edge === side) return `${cornerWords(corner)}, ${side} px from both edges`;
  return `${cornerWords(corner)}, ${side} px from the side, ${edge} px from ${corner.startsWith('lower') ? 'below' : 'above'}`;
}

/** The words for a corner. */
export function cornerWords(corner: string): string {
  return CORNER_WORDS[corner] ?? corner;
}

/** One difference between two designs as a sentence. */
export function changeSentence({ path, before, after }: Difference, design: Design): string {
  const [top, index, ...rest] = path;
  if (top === 'siteName') return `Name: ${quoted(before)} → ${quoted(after)}`;
  const widget = top === 'widgets' && typeof index === 'number' ? design.widgets[index] : undefined;
  const lead = widget === undefined || design.widgets.length === 1 ? '' : `${widget.name}: `;
  const place = rest.join('.');
  if (place === 'look.brand') return `${lead}Brand colour: ${plain(before)} → ${plain(after)}`;
  if (place === 'place.corner') return `${lead}Launcher moves to the ${cornerWords(plain(after))}`;
  const setting = settingAt(top === 'widgets' ? 'widget' : 'design', top === 'widgets' ? place : path.join('.'));
  if (setting !== undefined) return `${lead}${SETTING_WORDS[setting.id].name}: ${amount(before, setting)} → ${amount(after, setting)}`;
  if (rest[0] === 'deeds')
    return `${lead}While ${STATES[plain(rest[1])] ?? plain(rest[1])}: ${DEEDS[plain(before)] ?? plain(before)} → ${DEEDS[plain(after)] ?? plain(after)}`;
  if (rest[0] === 'texts' && typeof rest[1] === 'string' && typeof rest[2] === 'string' && isCaseKey(rest[2])) {
    const language = LANGUAGES[rest[1]] ?? rest[1];
    return `${lead}${textName(rest[2])} in ${language}: ${before === undefined ? 'ours' : quoted(before)} → ${after === undefined ? 'ours' : quoted(after)}`;
  }
  if (rest[0] === 'cases' || rest[0] === 'invitations') return `${lead}${wordsChanged(rest, before, after, widget)}`;
  return `${lead}${path.join(' › ')}`;
}

/** A change among the cases or the invitations of a widget. */
function wordsChanged([list, place, part, locale]: PatchPath, before: unknown, after: unknown, widget: Widget | undefined): string {
  if (widget === undefined || typeof place !== 'number') return list === 'cases' ? casesChanged(before, after) : 'Other invitations';
  const one = widget[list === 'cases' ? 'cases' : 'invitations'][place];
  const name = one === undefined ? '' : wordingName(widget, list === 'cases' ? `case:${one.id}` : `invitation:${one.id}`, () => 'a team');
  if (part === 'id') return list === 'cases' ? 'The cases stand in another order' : 'The invitations stand in another order';
  if (part === 'when') return `${name}: said to somebody else than before`;
  const isWords = (part === 'texts' || part === 'without') && typeof locale === 'string';
  if (!isWords) return `${name}: ${String(part)}`;
  const language = `${LANGUAGES[locale] ?? locale}${part === 'without' ? ', without the time' : ''}`;
  return `${name} in ${language}: ${before === undefined ? 'ours' : quoted(before)} → ${after === undefined ? 'ours' : quoted(after)}`;
}

/** Cases that came or went. */
function casesChanged(before: unknown, after: unknown): string {
  const [old, now] = [casesIn(before), casesIn(after)];
  const said = ({ key, when }: OwnCase): string => `${textName(key)} (${caseWords(when, () => 'a team')})`;
  const come = now.filter(({ id }) => !old.some((one) => one.id === id)).map((one) => `new: ${said(one)}`);
  const gone = old.filter(({ id }) => !now.some((one) => one.id === id)).map((one) => `gone: ${said(one)}`);
  return `Cases, ${[...come, ...gone].join('; ')}`;
}

function casesIn(value: unknown): readonly OwnCase[] {
  return Array.isArray(value) ? (value as OwnCase[]) : [];
}

function settingAt(of: Setting['of'], place: string): Setting | undefined {
  return Object.values(SETTINGS).find((one) => one.of === of && one.path.join('.') === place);
}

function amount(value: unknown, setting: Setting): string {
  if (typeof value === 'boolean') return settingWords(value ? 1 : 0, setting);
  return settingWords(typeof value === 'number' ? value : null, setting);
}

const STATES: Readonly<Record<string, string>> = {
  in: 'somebody is in',
  nearby: 'somebody is nearby',
  busy: 'everybody is busy',
  nobody: 'nobody is in',
  closed: 'closed',
};
const DEEDS: Readonly<Record<string, string>> = {
  chat: 'a chat',
  queue: 'a chat in line',
  note: 'a note',
  answers: 'answers only',
  'out-of-sight': 'out of sight',
};

function quoted(value: unknown): string {
  return typeof value === 'string' ? `“${value}”` : '–';
}

function plain(value: unknown): string {
  return typeof value === 'string' || typeof value === 'number' ? String(value) : '–';
}
