import type { IncomingMessage } from 'node:http';

const METHODS = new Set(['GET', 'HEAD', 'POST', 'OPTIONS', 'PUT', 'PATCH', 'DELETE']);

/** A name or address, with a port or none; proxies and containers have names with an underscore. */
const HOST = /^([a-z0-9_]([a-z0-9._-]*[a-z0-9_])?\.?|\[[0-9a-f:.]+\])(:\d{1,5})?$/i;

/** The status that a request which nobody can read is refused with, and why; null: it can be read. */
export function faultOfRequest({
  method = '',
  url = '',
  headers,
}: Pick<IncomingMessage, 'method' | 'url' | 'headers'>): readonly [status: number, sentence: string] | null {
  if (!METHODS.has(method)) return [405, 'Nothing is done this way here.'];
  if (headers.host !== undefined && !HOST.test(headers.host))
    return [400, 'The name of the host cannot be read.'];
  if (!url.startsWith('/') || !URL.canParse(url, 'http://localhost') || !canDecode(url))
    return [400, 'The address cannot be read.'];
  return null;
}

function canDecode(url: string): boolean {
  try {
    decodeURIComponent(url.split('?')[0] ?? '');
    return true;
  } catch {
    return false; // a % that stands for nothing
  }
}
