const ALWAYS = { 'X-Content-Type-Options': 'nosniff', 'Cache-Control': 'no-store' } as const;

/** A JSON answer that nobody may keep. */
export function json(status: number, value: unknown, headers: Readonly<Record<string, string>>): Response {
  return new Response(JSON.stringify(value), {
    status,
    headers: { ...ALWAYS, 'Content-Type': 'application/json; charset=utf-8', ...headers },
  });
}

/** A refusal with its sentence. */
export function errorResponse(
  status: number,
  sentence: string,
  headers: Readonly<Record<string, string>>,
): Response {
  return json(status, { errors: { '': sentence } }, headers);
}

/** Whoever sends a picture is told how large it may be. */
export function tooLarge(): Response {
  return errorResponse(400, 'That is more than 5 MB. Nothing was stored; make it smaller and try again.', {});
}
