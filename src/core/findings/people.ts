import { isOpenAt, nextOpening } from '../hours/hours';
import { toZone } from '../hours/zone';
import type { Widget } from '../model/design';
import { WIDGET_STATES } from '../model/moment';
import { type Finding, type FindingContext, finding } from './finding';

/** Who answers, and when: teams and calendars that are gone or empty, hours that never come. */
export function peopleFindings({ design, facts, peopleOf, isZoneConfirmed, now }: FindingContext): Finding[] {
  const { teams = {}, calendars = {}, zones = {} } = facts ?? {};
  const findings = design.widgets.flatMap((widget): Finding[] => {
    const { id, name } = widget;
    const gone = widget.teams.filter((team) => !Object.hasOwn(teams, team));
    const hasPeople = widget.teams.some((team) => Object.hasOwn(teams, team) && (peopleOf[team] ?? 0) > 0);
    const { calendarId } = widget;
    return [
      ...gone.map((team) =>
        finding('team-gone', [id, team], { widgetId: id, moment: 'availability', values: { name } }),
      ),
      ...(calendarId !== null && !Object.hasOwn(calendars, calendarId)
        ? [finding('calendar-gone', [id], { widgetId: id, moment: 'availability', values: { name } })]
        : []),
      ...(!hasPeople && takesNotes(widget)
        ? [
            finding('notes-without-recipient', [id], {
              widgetId: id,
              moment: 'note-left',
              deadEnd: 'note-left',
              values: { name },
            }),
          ]
        : []),
    ];
  });
  const used = new Set(design.widgets.flatMap(({ calendarId }) => calendarId ?? []));
  const never = [...used].flatMap((id) => {
    const calendar = Object.hasOwn(calendars, id) ? calendars[id] : undefined;
    if (calendar === undefined) return [];
    const hours = { calendar, zone: toZone(zones[calendar.zone] ?? []), override: null };
    if (isOpenAt(hours, now) || nextOpening(hours, now) !== null) return [];
    const names = design.widgets.filter(({ calendarId }) => calendarId === id).map(({ name }) => name);
    return [
      finding('hours-never-open', [id], { deadEnd: 'at-the-door', values: { name: names.join(', ') } }),
    ];
  });
  const hasHours = Object.keys(calendars).length > 0;
  const hearsNothing = facts !== null && facts.sendsLetters !== true && design.widgets.some(takesNotes);
  return [
    ...findings,
    ...never,
    ...(hearsNothing ? [finding('no-letters-yet', [])] : []),
    ...(isZoneConfirmed || !hasHours
      ? []
      : [finding('zone-unconfirmed', [], { values: { zone: facts?.zone ?? '' } })]),
  ];
}

/** Whether a note can be left at all ([S5]). */
function takesNotes({ behaviours, calendarId }: Widget): boolean {
  return WIDGET_STATES.some(
    (state) => behaviours[state] === 'note' && (state !== 'closed' || calendarId !== null),
  );
}
