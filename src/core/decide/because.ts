import type { DueVerdict } from '../invitations/due';
import type { TeamState } from '../model/moment';
import type { DecisionContext } from '../context/decision-context';
import type { NoWidget } from './decide-with';
import type { HoursNow } from '../hours/hours-now';
import type { Reason, ReasonCode } from './reason';
import type { MomentResult } from './moment-result';
import type { Presence } from '../context/presence';
import type { WidgetChoice } from '../context/decision-context';

type Found = DecisionContext & { readonly result: MomentResult; readonly due: DueVerdict };

/** [D2] What decided: at most one reason of each kind, from what the engine settled. Never ships in the widget. */
export function becauseOf(found: NoWidget | Found): Reason[] {
  if (!('site' in found)) return reasonsOfNothing(found);
  const { site, page, widget, by, presence, result, due } = found;
  const facts: Reason['facts'] =
    by === 'first' ? { widget: widget.key, path: page.address?.path ?? '' } : { widget: widget.key };
  return [
    { about: 'widget', code: CHOICES[by], facts },
    ...presenceReasons(presence, widget.teams[0] ?? ''),
    { about: 'moment', code: result.code, facts: { state: presence.state } },
    ...invitationReasons(due),
    { about: 'locale', code: 'spoken-in', facts: { locale: site.design.locale } },
  ];
}

const CHOICES: Readonly<Record<WidgetChoice, ReasonCode>> = {
  running: 'keeps-its-widget',
  'left-out': 'left-out',
  forced: 'forced',
  'no-address': 'not-a-web-address',
  none: 'no-widget-here',
  first: 'first-that-takes-the-page',
};

function reasonsOfNothing({ by, path, presence, until }: NoWidget): Reason[] {
  if (by === 'paused') return [{ about: 'pause', code: 'site-paused', facts: {} }];
  if (by === 'put-away')
    return [{ about: 'widget', code: 'put-away', facts: until === null ? {} : { until } }];
  if (by === 'out-of-sight') return presence === null ? [] : presenceReasons(presence, '').slice(-1);
  return [{ about: 'widget', code: CHOICES[by], facts: by === 'none' ? { path } : {} }];
}

const STATES: Readonly<Record<TeamState, ReasonCode>> = {
  in: 'somebody-in',
  nearby: 'somebody-nearby',
  busy: 'all-busy',
  nobody: 'nobody-in',
};

function presenceReasons({ state, isKnown, hours }: Presence, team: string): Reason[] {
  const byHours = hours === null ? [] : [hoursReason(hours)];
  if (state === 'closed') return byHours;
  return [
    ...byHours,
    { about: 'presence', code: isKnown ? STATES[state] : 'not-heard-lately', facts: { state, team } },
  ];
}

function hoursReason({ isOpen, closedBy, changesAt, opensAt }: HoursNow): Reason {
  const until = isOpen ? changesAt : (opensAt ?? Infinity);
  const facts = { ...(closedBy === null ? {} : { closedBy }), ...(until === Infinity ? {} : { until }) };
  return { about: 'hours', code: isOpen ? 'open-by-hours' : 'closed-by-hours', facts };
}

function invitationReasons({ due, withdraw }: DueVerdict): Reason[] {
  const id = due ?? withdraw;
  return id === null
    ? []
    : [
        {
          about: 'invitation',
          code: due === null ? 'invitation-withdrawn' : 'invitation-due',
          facts: { invitation: id },
        },
      ];
}
