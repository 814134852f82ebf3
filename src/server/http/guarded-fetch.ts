import { lookup } from 'node:dns';
import type { LookupFunction } from 'node:net';
import ipaddr from 'ipaddr.js';
import { Agent, type Response, buildConnector, fetch } from 'undici';
import { type Result, fail, ok } from '../../core/result';

/** What an address outside answered. */
export interface Fetched {
  /** Where it was found in the end. */
  readonly address: string;
  readonly type: string;
  readonly text: string;
}

export interface FetchGuard {
  /** Whether an address may be asked at all; asked again at each redirect. */
  mayAsk(url: URL): boolean;
  /** An installation for this computer alone may look at sites on this computer. */
  readonly allowsLoopback: boolean;
  /** Bytes of the answer at most, unpacked. */
  readonly bytesMax: number;
  readonly msMax: number;
}

const HOPS_MAX = 5;

const WORDS = {
  none: 'That is no address of a page. It begins with http:// or https://.',
  notTheirs: 'That page is not on one of the site’s own addresses, so we do not open it.',
  inside: 'That address leads into a private network, so we do not open it.',
  slow: 'The page did not answer in time. Nothing was changed; try again later.',
  large: 'The page is too large to be looked at.',
  hops: 'The page leads on and on to other addresses, so we stopped.',
  gone: 'Nothing answers at that address.',
} as const;

/**
 * [threat 14] The one way in which the server opens an address that somebody gave: web addresses only, the address that
 * was really connected to is judged at each hop, and reading stops at so many bytes, unpacked, or after so long. Errors
 * name the whole (`''`), in a sentence.
 */
export async function guardedFetch(address: string, guard: FetchGuard): Promise<Result<Fetched>> {
  const agent = new Agent({ connect: judgedConnect(guard), connections: 1, pipelining: 0 });
  const signal = AbortSignal.timeout(guard.msMax);
  try {
    let url = URL.canParse(address) ? new URL(address) : null;
    for (let hops = 0; hops <= HOPS_MAX; hops++) {
      if (url === null || !/^https?:$/.test(url.protocol)) return fail({ '': WORDS.none });
      if (!guard.mayAsk(url)) return fail({ '': WORDS.notTheirs });
      if (isInside(url.hostname.replace(/^\[|\]$/g, ''), guard)) return fail({ '': WORDS.inside });
      url.username = url.password = '';
      const response = await fetch(url, {
        dispatcher: agent,
        redirect: 'manual',
        signal,
        headers: { 'User-Agent': 'SunnyPorch', Accept: 'text/html, application/xml;q=0.9, text/*;q=0.8' },
      });
      const next = nextOf(response, url);
      if (next === undefined) return await whole(response, url, guard);
      await response.body?.cancel().catch(() => undefined); // it is thrown away
      url = next;
    }
    return fail({ '': WORDS.hops });
  } catch (error) {
    if (isCausedBy(error, InsideError)) return fail({ '': WORDS.inside });
    return fail({ '': signal.aborted ? WORDS.slow : WORDS.gone });
  } finally {
    await agent.destroy().catch(() => undefined); // its sockets are gone already
  }
}

/** Where an answer leads on; null: to nothing that is an address; undefined: it leads nowhere. */
function nextOf({ status, headers }: Response, from: URL): URL | null | undefined {
  const location = headers.get('Location');
  if (status < 300 || status >= 400 || location === null) return undefined;
  return URL.canParse(location, from) ? new URL(location, from) : null;
}

async function whole(response: Response, url: URL, { bytesMax }: FetchGuard): Promise<Result<Fetched>> {
  if (!response.ok) {
    await response.body?.cancel().catch(() => undefined); // it is thrown away
    return fail({ '': `The page answers ${response.status}.` });
  }
  const parts: Uint8Array[] = [];
  let bytes = 0;
  for await (const part of response.body ?? []) {
    bytes += (part as Uint8Array).byteLength;
    if (bytes > bytesMax) return fail({ '': WORDS.large });
    parts.push(part as Uint8Array);
  }
  const type = response.headers.get('Content-Type') ?? '';
  return ok({ address: url.href, type, text: decoded(Buffer.concat(parts), type) });
}

/** In the charset its header names; UTF-8 where it names none that is known. */
function decoded(bytes: Buffer, type: string): string {
  const named = /charset="?([\w-]+)/i.exec(type)?.[1] ?? 'utf-8';
  try {
    return new TextDecoder(named).decode(bytes);
  } catch {
    return new TextDecoder().decode(bytes); // a charset that nobody knows
  }
}

class InsideError extends Error {}

/** undici wraps what a connection threw. */
function isCausedBy(error: unknown, kind: typeof InsideError): boolean {
  return (
    error instanceof kind ||
    (error instanceof Error && error.cause !== undefined && isCausedBy(error.cause, kind))
  );
}

/**
 * A name that leads inside is refused before anything is connected to: else a refusal would tell which ports are open
 * there. The system's own lookup, with its options.
 */
function judgedLookup(guard: FetchGuard): LookupFunction {
  return (hostname, options, callback) =>
    lookup(hostname, { ...options, all: true }, (error, found) => {
      if (error !== null) return callback(error, '');
      if (found.some(({ address }) => isInside(address, guard, false)))
        return callback(new InsideError('The address is not a public one.'), '');
      const [first] = found;
      if (options.all || first === undefined) callback(null, found);
      else callback(null, first.address, first.family);
    });
}

/** Judges the address of the socket itself: whatever the name said before, or says next time ([threat 14], rebinding). */
function judgedConnect(guard: FetchGuard): buildConnector.connector {
  const connect = buildConnector({ timeout: guard.msMax, lookup: judgedLookup(guard) });
  return (options, callback) =>
    connect(options, (error, socket) => {
      if (error !== null) return callback(error, null);
      if (!isInside(socket.remoteAddress ?? '', guard, false)) return callback(null, socket);
      socket.destroy();
      callback(new InsideError('The address is not a public one.'), null);
    });
}

/** Whether an address is anything but a public one; a name is judged once it is connected to. */
function isInside(address: string, { allowsLoopback }: FetchGuard, isNameFine = true): boolean {
  if (!ipaddr.isValid(address)) return !isNameFine;
  const range = ipaddr.process(address).range();
  return range !== 'unicast' && !(allowsLoopback && range === 'loopback');
}
