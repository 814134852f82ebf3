import type { HttpAnswer } from './exchange';
const ALWAYS = { 'X-Content-Type-Options': 'nosniff', 'Cache-Control': 'no-store' } as const;

/** A JSON answer that nobody may keep. */
export function json(status: number, value: unknown, headers: Readonly<Record<string, string>>): HttpAnswer {
  return {
    status,
    headers: { ...ALWAYS, 'Content-Type': 'application/json; charset=utf-8', ...headers },
    body: JSON.stringify(value),
  };
}

/** A refusal with its sentence. */
export function errorResponse(
  status: number,
  sentence: string,
  headers: Readonly<Record<string, string>>,
): HttpAnswer {
  return json(status, { errors: { '': sentence } }, headers);
}

/** Whoever sends a picture is told how large it may be. */
export function tooLarge(): HttpAnswer {
  return errorResponse(400, 'That is more than 5 MB. Nothing was stored; make it smaller and try again.', {});
}
