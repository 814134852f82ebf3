import type { Deed, WidgetState } from '../../core/model/moment';
import type { Widget } from '../../core/model/design';
import type { GateRow } from './Gatepost';

const DEED_WORDS: Readonly<Record<Deed, string>> = {
  chat: 'At the door',
  queue: 'in line',
  note: 'Nobody home',
  answers: 'answers only',
  'out-of-sight': 'out of sight',
};
const SHORT: Readonly<Record<WidgetState, string>> = { in: 'in', nearby: 'nearby', busy: 'busy', nobody: 'nobody', closed: 'closed' };

const STATES: readonly WidgetState[] = ['in', 'nearby', 'busy', 'nobody', 'closed'];

/** The rows of *Who can answer?*: every state this widget can be in, where it leads, and which one holds. At rest there is no room for *nearby* unless it holds. */
export function gateRows(widget: Widget, now: WidgetState, areAll = false): GateRow[] {
  const states: readonly WidgetState[] = STATES.filter(
    (state) => (state !== 'closed' || widget.calendarId !== null) && (state !== 'nearby' || now === 'nearby' || areAll),
  );
  return states.map((state) => ({ state, words: SHORT[state], leadsTo: DEED_WORDS[widget.deeds[state]], isNow: state === now }));
}
