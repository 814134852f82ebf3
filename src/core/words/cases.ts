import type { ClosedBy } from '../hours/why';
import type { Patch } from '../model/json';
import { type Moment, type WidgetState, WIDGET_STATES } from '../model/moment';
import type { Design, OwnCase, Widget } from '../model/design';
import type { CaseCondition } from '../model/case-condition';
import type { CaseKey } from '../model/text-keys';
import { MAYBE_UNKNOWN, entryOf, isCaseKey } from './catalogue';
import type { TextKey } from '../model/text-keys';
import { type Reader, holds } from './format-text';
import { textOf } from './texts-of';
import type { WordingKey } from './wordings';

/** One case of a text, in the order in which they are asked; the last one is what is said otherwise. */
export interface CaseOfText {
  readonly wording: WordingKey;
  /** The owner's own: may be moved, changed and taken away. Ours are always there, after them. */
  readonly isOwn: boolean;
  /** Empty: otherwise. */
  readonly when: readonly CaseCondition[];
}

/** The cases of a text ([T4]): the owner's, ours, otherwise. */
export function casesOf({ cases }: Pick<Widget, 'cases'>, key: TextKey): CaseOfText[] {
  return [
    ...cases
      .filter((one) => one.key === key)
      .map(({ id, when }): CaseOfText => ({ wording: `case:${id}`, isOwn: true, when })),
    ...entryOf(key).cases.map(({ id, when }): CaseOfText => ({
      wording: `${key}#${id}` as CaseKey,
      isOwn: false,
      when,
    })),
    { wording: key, isOwn: false, when: [] },
  ];
}

/** The text that a moment is known by, whose cases are drawn first; an invitation says its own. */
export const FIRST_TEXT: Readonly<Record<Exclude<Moment, 'invited'>, TextKey>> = {
  'passing-by': 'launcher.words',
  'at-the-door': 'greeting',
  waiting: 'waiting.first',
  talking: 'talking.joined',
  goodbye: 'goodbye.again',
  'nobody-home': 'nobodyHome',
  'slow-reply': 'slowReply.offer',
  'note-left': 'noteLeft.got',
};

/**
 * Own cases that nobody ever hears: what they ask cannot be at once where the text is said, or another one always comes
 * before. Worked out by trying everybody who could hear it.
 */
export function unreadCases(design: Design, widget: Widget): OwnCase[] {
  const hearers = new Map<TextKey, readonly Asked[]>();
  return widget.cases.filter((one) => {
    const all = hearers.get(one.key) ?? hearersOf(design, widget, one.key);
    hearers.set(one.key, all);
    const before = widget.cases.slice(0, widget.cases.indexOf(one)).filter(({ key }) => key === one.key);
    const hears = ({ when }: OwnCase, reader: Asked): boolean =>
      when.every((condition) => holds(condition, reader as Reader));
    return !all.some((reader) => hears(one, reader) && !before.some((other) => hears(other, reader)));
  });
}

/** What one more case of a text could ask, so that somebody hears it: every single condition that is not true of all. */
export function offeredConditions(design: Design, widget: Widget, key: TextKey): CaseCondition[] {
  const all = hearersOf(design, widget, key, true);
  const conditions: CaseCondition[] = [
    ['visit', 'first'],
    ['visit', 'returning'],
    ...WIDGET_STATES.map((state): CaseCondition => ['state', state]),
    ...CLOSED_BY.map((why): CaseCondition => ['closed-by', why]),
    ...widget.teams.map((id): CaseCondition => ['team', id]),
    ...design.locales.map((locale): CaseCondition => ['language', locale]),
  ];
  return conditions.filter((condition) => {
    const count = all.filter((reader) => holds(condition, reader as Reader)).length;
    return count > 0 && count < all.length;
  });
}

type Asked = Pick<Reader, 'state' | 'visit' | 'locale' | 'team' | 'closedBy'>;
const CLOSED_BY: readonly ClosedBy[] = ['override', 'break', 'holiday', 'exception', 'import', 'outside'];

/**
 * Everybody who could hear a text, as far as cases can tell them apart; as usual: without those who ask again where
 * nobody can answer, and stand at the door for the blink of an eye ([M6]).
 */
function hearersOf(design: Design, widget: Widget, key: TextKey, isUsual = false): Asked[] {
  const { moment } = entryOf(key);
  const isAway = (state: WidgetState): boolean =>
    isUsual && moment === 'at-the-door' && widget.behaviours[state] === 'note';
  const states = WIDGET_STATES.filter((state) => isSaidIn(widget, moment, state) && !isAway(state));
  const visits = ['first', 'returning', 'unknown'] as const;
  const teams = widget.teams.length === 0 ? [null] : widget.teams;
  return states.flatMap((state) =>
    visits.flatMap((visit) =>
      design.locales.flatMap((locale) =>
        teams.flatMap((team) =>
          (state === 'closed' ? CLOSED_BY : [null]).map((closedBy) => ({
            state,
            visit,
            locale,
            team,
            closedBy,
          })),
        ),
      ),
    ),
  );
}

/** Whether a moment's texts can be said in a state: a question is waiting only where somebody can answer, and nobody is home where not. */
function isSaidIn(
  { behaviours, calendarId }: Widget,
  moment: Moment | 'window',
  state: WidgetState,
): boolean {
  if (state === 'closed' && calendarId === null) return false;
  const isAnswered = behaviours[state] === 'chat' || behaviours[state] === 'queue';
  if (moment === 'nobody-home') return !isAnswered;
  return moment !== 'waiting' || isAnswered;
}

/** A new own case of a text says in every language what is said otherwise: nothing changes for anybody until its words do. */
export function newCase(design: Design, widget: Widget, key: TextKey, id: string): OwnCase {
  const said = (one: CaseKey): OwnCase['texts'] =>
    Object.fromEntries(design.locales.map((locale) => [locale, textOf(design, widget, locale, one)]));
  const without: CaseKey | `${TextKey}/without` = `${key}/without`;
  const mayLack = MAYBE_UNKNOWN.some((name) => Object.hasOwn(entryOf(key).variables, name));
  return {
    id,
    key,
    when: [['visit', 'returning']],
    texts: said(key),
    without: isCaseKey(without) ? said(without) : mayLack ? said(key) : {},
  };
}

/** Moves an own case before or after its neighbour of the same text; empty where there is none that way. */
export function movedCase(widget: Widget, place: number, id: string, by: -1 | 1): Patch[] {
  const from = widget.cases.findIndex((one) => one.id === id);
  const one = widget.cases[from];
  const same = widget.cases.flatMap((other, index) => (other.key === one?.key ? [index] : []));
  const to = same[same.indexOf(from) + by];
  const other = to === undefined ? undefined : widget.cases[to];
  if (one === undefined || to === undefined || other === undefined) return [];
  const put = (index: number, value: OwnCase): Patch => ({
    op: 'set',
    path: ['widgets', place, 'cases', index],
    value: value,
  });
  return [put(from, other), put(to, one)];
}
