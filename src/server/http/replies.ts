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
