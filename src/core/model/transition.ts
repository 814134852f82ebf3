import type { Moment } from './moment';

/**
 * Every transition of the path: from which moment to which, in the order in which a visit may go through them. Closing
 * the window, and opening it on a conversation that goes on, are none ([M6]).
 */
const TRANSITION_ENDS = {
  'invitation-shown': ['passing-by', 'invited'],
  'launcher-clicked': ['passing-by', 'at-the-door'],
  'opened-by-invitation': ['passing-by', 'at-the-door'],
  'invitation-accepted': ['invited', 'at-the-door'],
  'invitation-declined': ['invited', 'passing-by'],
  'opened-while-unavailable': ['passing-by', 'nobody-home'],
  'first-message-sent': ['at-the-door', 'waiting'],
  'availability-lost': ['at-the-door', 'nobody-home'],
  'responder-joined': ['waiting', 'talking'],
  'answer-overdue': ['waiting', 'slow-reply'],
  'availability-lost-while-waiting': ['waiting', 'nobody-home'],
  'answer-after-all': ['slow-reply', 'talking'],
  'address-left': ['slow-reply', 'note-left'],
  'reply-overdue': ['talking', 'slow-reply'],
  'conversation-ended': ['talking', 'goodbye'],
  'asked-again': ['goodbye', 'at-the-door'],
  'conversation-resumed': ['goodbye', 'waiting'],
  'note-sent': ['nobody-home', 'note-left'],
  'availability-gained': ['nobody-home', 'at-the-door'],
  'answer-replied-to': ['note-left', 'waiting'],
} as const satisfies Readonly<Record<string, readonly [from: Moment, to: Moment]>>;

/** A transition by its name. */
export type TransitionId = keyof typeof TRANSITION_ENDS;

/** What leads a visitor from one moment of the path to another. */
export interface Transition {
  readonly id: TransitionId;
  readonly from: Moment;
  readonly to: Moment;
}

/** All of them, in order. */
export const TRANSITIONS: readonly Transition[] = (
  Object.entries(TRANSITION_ENDS) as [TransitionId, readonly [Moment, Moment]][]
).map(([id, [from, to]]) => ({ id, from, to }));

/** Those that time alone can lead along, with nobody doing anything. The others take a visitor's or a responder's act. */
export const TRANSITIONS_BY_TIME: readonly TransitionId[] = [
  'invitation-shown',
  'opened-by-invitation',
  'availability-lost',
  'answer-overdue',
  'availability-lost-while-waiting',
  'reply-overdue',
  'conversation-ended',
  'availability-gained',
];
