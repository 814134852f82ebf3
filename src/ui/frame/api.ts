import { FRAME_WORDS } from '../wording/screens/frame';
/** Why something did not go through; `sentence` is ready to be shown. */
export class PortError extends Error {
  constructor(
    readonly kind: 'signed-out' | 'unreachable' | 'refused' | 'missing',
    readonly sentence: string,
    readonly errors: Readonly<Record<string, string>> = {},
  ) {
    super(sentence);
  }
}

/** Questions to the server about one site, below `/api/s/<site>/`. Every call throws PortError where it does not go through. */
export interface Api {
  readonly base: string;
  get<T>(path: string): Promise<T>;
  /** Sends a value as JSON. */
  post<T>(path: string, body: unknown): Promise<T>;
  /** Sends a picture as it is. */
  upload<T>(path: string, picture: Blob): Promise<T>;
  /** Sends a value as JSON to what may have changed meanwhile: `isBehind` where it has. */
  save<T>(path: string, body: unknown): Promise<{ readonly isBehind: boolean; readonly body: T }>;
}

/** The questions over HTTP, at the application's stable addresses. */
export function httpApi(siteKey: string): Api {
  const base = `/api/s/${siteKey}`;
  return {
    base,
    get: async <T>(path: string) => (await ask(`${base}/${path}`, { method: 'GET' })) as T,
    post: async <T>(path: string, body: unknown) => (await ask(`${base}/${path}`, asJson(body))) as T,
    upload: async <T>(path: string, picture: Blob) =>
      (await ask(`${base}/${path}`, { method: 'POST', body: picture })) as T,
    save: async <T>(path: string, body: unknown) => {
      const response = await send(`${base}/${path}`, asJson(body));
      const isBehind = response.status === 409;
      return { isBehind, body: (isBehind ? await response.json() : await read(response)) as T };
    },
  };
}

/** What does not answer for so long does not answer; a picture on a slow line takes its time. */
const ANSWER_WITHIN_MS = 60_000;

function asJson(body: unknown): RequestInit {
  return { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) };
}

async function ask(address: string, init: RequestInit): Promise<unknown> {
  return read(await send(address, init));
}

async function send(address: string, init: RequestInit): Promise<Response> {
  try {
    return await fetch(address, { signal: AbortSignal.timeout(ANSWER_WITHIN_MS), ...init });
  } catch {
    // fetch tells nothing of why: the line, the server, or the page being left
    throw new PortError(
      'unreachable',
      'The server does not answer. What you did is kept here, and we try again.',
    );
  }
}

async function read(response: Response): Promise<unknown> {
  // What is not JSON comes from something in between, or broke off on the way, and says nothing.
  const body: unknown = await response.json().catch(() => undefined);
  if (response.ok && body !== undefined) return body;
  const errors = (body as { errors?: Record<string, string> } | null | undefined)?.errors ?? {};
  const sentence = errors[''] ?? Object.values(errors)[0] ?? FRAME_WORDS.serverFailed;
  if (response.status === 401) throw new PortError('signed-out', sentence);
  if (response.status === 404) throw new PortError('missing', sentence);
  if (response.ok || response.status === 429 || response.status >= 500)
    throw new PortError('unreachable', sentence);
  throw new PortError('refused', sentence, errors);
}
