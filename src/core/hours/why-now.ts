import { whyAt, whyChangesAt } from './why';
import type { WhyNow } from './hours-now';

/** [H15] The reason as it is told: what closed it, the holiday's name or the reason that was typed in, and until when. */
export const whyNow: WhyNow = (hours, instant, until) => {
  const { override, calendar } = hours;
  if (override !== null && instant < override.until)
    return { closedBy: 'override', name: override.reason || null, changesAt: until };
  const { closedBy, rule } = whyAt(hours, instant);
  const name = closedBy === 'holiday' ? (calendar.exceptions[rule]?.[5] ?? null) : null;
  return { closedBy, name, changesAt: whyChangesAt(hours, instant, until) };
};
