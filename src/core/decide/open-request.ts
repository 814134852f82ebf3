import type { FactsFileV1 } from '../wire/facts-file';

/** What a link of the page asks for: a team of the widget, by its id, and a first question; empty: none. */
export interface OpenRequest {
  readonly team: string | null;
  readonly question: string;
}

const QUESTION_MAX = 500;

/**
 * Reads the value of `data-porch-open`: `team`, `question` or `team: question`. Only a team that answers at this widget
 * is one; a colon in a question is a colon.
 */
export function openRequestOf(
  text: string,
  teams: FactsFileV1['teams'],
  own: readonly string[],
): OpenRequest {
  const whole = text.trim();
  const [, key = whole, rest = ''] = /^([\w-]+)\s*:\s*([^]*)$/.exec(whole) ?? [];
  const team = own.find((id) => teams[id]?.key === key) ?? null;
  return { team, question: (team === null ? whole : rest).slice(0, QUESTION_MAX) };
}
