import { randomBytes } from 'node:crypto';
import { type NextRequest, NextResponse } from 'next/server';
import { NONCE_HEADER, contentPolicy } from './server/http/content-policy';
import { ORIGIN_ERROR, passesOriginGate } from './server/http/origin-gate';
import { PAGE_HEADER } from './server/http/page-asked';

/** Every page has a policy with a nonce of its own; and the origin gate for plain `next start`: the entry has the same one in front of everything. */
export function proxy(request: NextRequest): NextResponse {
  const { method, headers, nextUrl } = request;
  const publicUrl =
    process.env.PUBLIC_URL === undefined || process.env.PUBLIC_URL === ''
      ? null
      : new URL(process.env.PUBLIC_URL).origin;
  const passes = passesOriginGate(
    { method, path: nextUrl.pathname, origin: headers.get('origin') },
    { publicUrl },
    headers.get('host'),
  );
  if (!passes) return NextResponse.json({ errors: { '': ORIGIN_ERROR } }, { status: 403 });
  if (nextUrl.pathname.startsWith('/w/')) return NextResponse.next();
  const nonce = randomBytes(16).toString('base64');
  const policy = contentPolicy(nonce);
  const told = new Headers(headers);
  told.set(NONCE_HEADER, nonce);
  told.set(PAGE_HEADER, nextUrl.pathname + nextUrl.search);
  told.set('Content-Security-Policy', policy); // Next takes the nonce of its own scripts from there
  const response = NextResponse.next({ request: { headers: told } });
  response.headers.set('Content-Security-Policy', policy);
  return response;
}
