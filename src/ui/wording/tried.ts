import type { NextThing, OnAxis, PlainStep, TriedStep } from '../../core/rehearse/try-visit';
import type { CheckResult, Expectation } from '../../core/rehearse/kept-visit';
import type { Moment } from '../../core/model/moment';
import { MOMENT_WORDS } from './moments';

/** What can be done on a visit that is tried, as a button says it. */
export const STEP_WORDS: Readonly<Record<PlainStep, string>> = {
  hide: 'Hide the tab',
  show: 'Back to the tab',
  leave: 'Start to leave',
  open: 'Open the window',
  close: 'Close the window',
  yes: 'Say yes',
  no: 'Say “no, thanks”',
  write: 'Write',
  answer: 'Somebody answers',
  end: 'End the conversation',
  tomorrow: 'Come back tomorrow',
};

const DONE: Readonly<Record<PlainStep, string>> = {
  hide: 'tab hidden',
  show: 'tab back',
  leave: 'starts to leave',
  open: 'opens the window',
  close: 'closes it',
  yes: 'says yes',
  no: 'says “no, thanks”',
  write: 'writes',
  answer: 'somebody answers',
  end: 'ends it',
  tomorrow: 'comes back',
};

/** A step that was taken, as the time axis says it. */
export function stepWords(step: TriedStep): string {
  if (step.kind === 'wait') return `waits ${clockOf(step.seconds * 1000)}`;
  if (step.kind === 'page') return step.path;
  return step.kind === 'scroll' ? `scrolled ${step.percent} %` : DONE[step.kind];
}

/** Something on the axis in words; `nameOf` names an invitation. */
export function axisWords({ kind, step, what }: OnAxis, nameOf: (id: string) => string): string {
  if (step !== null) return stepWords(step);
  if (kind === 'launcher') return 'The launcher appears';
  if (kind === 'moment') return MOMENT_WORDS[what as Moment].name;
  return kind === 'invited' ? `“${nameOf(what ?? '')}”` : `“${nameOf(what ?? '')}” disappears`;
}

/** What time alone brings next. */
export function nextWords({ seen }: NextThing, nameOf: (id: string) => string): string {
  if (seen === null) return 'The lamp or its text changes';
  if (seen.kind === 'launcher') return 'The launcher appears';
  if (seen.kind === 'moment') return MOMENT_WORDS[seen.moment].name;
  return seen.kind === 'invited' ? `“${nameOf(seen.id)}” shows` : `“${nameOf(seen.id)}” disappears`;
}

/** Time since the arrival: `0:38`, `1:02:05`, `1 day 0:10`. */
export function clockOf(ms: number): string {
  const seconds = Math.round(ms / 1000);
  const days = Math.floor(seconds / 86_400);
  const hours = Math.floor((seconds % 86_400) / 3600);
  const minutes = Math.floor((seconds % 3600) / 60);
  const two = (value: number): string => String(value).padStart(2, '0');
  const clock =
    hours > 0 ? `${hours}:${two(minutes)}:${two(seconds % 60)}` : `${minutes}:${two(seconds % 60)}`;
  return days === 0 ? clock : `${days} day${days === 1 ? '' : 's'} ${clock}`;
}

/** What a kept visit must come to. */
export function expectationWords(expects: Expectation, nameOf: (id: string) => string): string {
  if (expects.kind === 'ends-at') return `must end at ${MOMENT_WORDS[expects.moment].name}`;
  return `${expects.kind === 'gets' ? 'must get' : 'must not get'} “${nameOf(expects.invitation)}”`;
}

/** What it came to instead. */
export function resultWords({ moment, got }: CheckResult, nameOf: (id: string) => string): string {
  const list =
    got.length === 0
      ? 'no invitation'
      : new Intl.ListFormat('en').format([...new Set(got)].map((id) => `“${nameOf(id)}”`));
  return `it gets ${list} and ends at ${MOMENT_WORDS[moment].name}`;
}
