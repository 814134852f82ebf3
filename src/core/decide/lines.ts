import type { Line } from './decision';
import type { DecisionContext } from '../context/decision-context';
import type { HoursNow } from '../hours/hours-now';
import type { Presence } from '../context/presence';
import type { Circumstances } from '../model/circumstances';
import { isUnsettled } from '../model/conversation';
import type { Moment, WidgetState } from '../model/moment';
import { type EpochMs, HOUR_MS, MINUTE_MS, SECOND_MS } from '../model/units';
import type { WireWidget } from '../wire/design-file';
import { closedLines, opening } from './closed-lines';

export interface TimedResult {
  readonly said: Line[];
  /** When time alone adds or takes a line; Infinity: never. */
  readonly next: EpochMs;
}

/** So long before closing the door says until when somebody is in, and a waiting visitor what becomes of the question. */
export const UNTIL_SHOWS_MS = 2 * HOUR_MS;
export const CLOSING_SHOWS_MS = 10 * MINUTE_MS;

/** The texts that stand in a moment, in reading order. The furniture of the window (labels, errors) is said by the panel itself. */
export function linesOf(moment: Moment, context: DecisionContext): TimedResult {
  const { now } = context.circumstances;
  const timed = timedLines(moment, context).filter(
    ({ line: { key } }) => context.presence.isFresh || !TELL_OF_PEOPLE.has(key),
  );
  const next = Math.min(Infinity, ...timed.map(({ from }) => from).filter((from) => from > now));
  return { said: timed.filter(({ from }) => from <= now).map(({ line: one }) => one), next };
}

/** Lines of the open window that say who is there, or will be: not said on a word that is not fresh ([S6]). */
const TELL_OF_PEOPLE: ReadonlySet<Line['key']> = new Set<Line['key']>([
  'status',
  'status.until',
  'waiting.status',
  'waiting.first',
  'waiting.place',
  'waiting.comfort',
]);

interface Timed {
  readonly line: Line;
  readonly from: EpochMs;
}

function timedLines(moment: Moment, context: DecisionContext): Timed[] {
  const { invited } = context.circumstances;
  if (moment === 'passing-by') return closedLines(context).map(always);
  if (moment === 'invited')
    return [...closedLines(context), ...(invited === null ? [] : [line(`invitation:${invited.id}`)])].map(
      always,
    );
  return [always(line('window.title')), ...openLines(moment, context)];
}

function openLines(moment: Moment, { presence, widget, circumstances }: DecisionContext): Timed[] {
  const { hours, state } = presence;
  const { conversation: talk } = circumstances;
  const responderName = talk?.responderName ?? '';
  switch (moment) {
    case 'at-the-door':
      return [
        always(line('status', opening(hours))),
        ...untilClosing(state, hours),
        always(line('greeting')),
      ];
    case 'waiting':
    case 'slow-reply': {
      // Nobody is being looked for where nobody is to be found.
      const isAway = moment === 'slow-reply' && (state === 'nobody' || state === 'closed');
      const status = isAway ? line('status', opening(hours)) : line('waiting.status');
      return [always(status), ...waitingLines(moment, presence, widget, circumstances)];
    }
    case 'talking':
      return [line('talking.status', { responderName }), line('talking.joined', { responderName })].map(
        always,
      );
    case 'goodbye':
      return [line('goodbye.status'), goodbyeLine(circumstances, responderName), line('goodbye.again')].map(
        always,
      );
    case 'nobody-home':
      return [
        line('status', opening(hours)),
        line('nobodyHome', opening(hours)),
        ...(isUnsettled(talk) ? [line('nobodyHome.kept')] : []),
      ].map(always);
    case 'note-left':
      return [
        line('noteLeft.status'),
        ...(talk?.isAnswered ? [] : [line('noteLeft.got', talk?.noteMail ? { email: talk.noteMail } : {})]),
        line('noteLeft.add'),
      ].map(always);
    case 'passing-by':
    case 'invited':
      return [];
  }
}

/** [M7] Lines of the server, from the conversation's own times: a reload repeats none. */
function waitingLines(
  moment: Moment,
  { hours, state }: Presence,
  { timings: { comfortAfter }, talks }: WireWidget,
  { conversation: talk }: Circumstances,
): Timed[] {
  if (moment === 'slow-reply')
    return [
      ...(talk?.leftMs ? [line('talking.stepped', { responderName: talk.responderName ?? '' })] : []),
      line(
        talk?.noteMail ? 'slowReply.done' : 'slowReply.offer',
        talk?.noteMail ? { email: talk.noteMail } : {},
      ),
    ].map(always);
  const since = talk?.waitingMs ?? talk?.askedMs ?? 0;
  const closes = closingIn(hours);
  return [
    always(
      state === 'busy' && talk?.place ? line('waiting.place', { place: talk.place }) : line('waiting.first'),
    ),
    { line: line('waiting.comfort'), from: since + comfortAfter * SECOND_MS },
    ...(closes === null || talks?.keepsWaiting === true
      ? []
      : [{ line: line('waiting.closing', { closingTime: closes }), from: closes - CLOSING_SHOWS_MS }]),
  ];
}

function untilClosing(state: WidgetState, hours: HoursNow | null): Timed[] {
  const closes = closingIn(hours);
  return closes === null || state !== 'in'
    ? []
    : [{ line: line('status.until', { closingTime: closes }), from: closes - UNTIL_SHOWS_MS }];
}

function closingIn(hours: HoursNow | null): EpochMs | null {
  return hours !== null && hours.isOpen && hours.changesAt !== Infinity ? hours.changesAt : null;
}

function goodbyeLine({ conversation }: Circumstances, responderName: string): Line {
  if (conversation?.endedBy === 'visitor') return line('goodbye.byVisitor');
  return conversation?.endedBy === 'person'
    ? line('goodbye.byResponder', { responderName })
    : line('goodbye.bySilence');
}

function always(one: Line): Timed {
  return { line: one, from: 0 };
}

function line(key: Line['key'], values: Line['values'] = {}): Line {
  return { key, values };
}
