import type { DecisionContext } from '../context/decision-context';
import type { HoursNow } from '../hours/hours-now';
import type { Line } from './decision';

/** What the launcher says: its words, its name, how much is unread. Away from its pages the count stands alone ([M8]). */
export function closedLines({ isCountOnly, presence, circumstances: { unread } }: DecisionContext): Line[] {
  const name: Line = { key: 'launcher.name', values: opening(presence.hours) };
  return [
    ...(isCountOnly ? [] : [{ key: 'launcher.words', values: {} } as const]),
    name,
    ...(unread > 0 ? [{ key: 'launcher.unread', values: { count: unread } } as const] : []),
  ];
}

/** What is known of the next opening, and of what closed it. */
export function opening(hours: HoursNow | null): Line['values'] {
  if (hours === null || hours.isOpen) return {};
  return {
    ...(hours.opensAt === null ? {} : { openingTime: hours.opensAt }),
    ...(hours.name === null
      ? {}
      : hours.closedBy === 'override'
        ? { reason: hours.name }
        : { holidayName: hours.name }),
  };
}
