import { type NextRequest, NextResponse } from 'next/server';
import { ORIGIN_REFUSAL, passesOriginGate } from './server/http/origin-gate';

/** The origin gate for plain `next start`; the entry has the same one in front of everything. */
export function proxy(request: NextRequest): NextResponse {
  const { method, headers, nextUrl } = request;
  const publicUrl = process.env.PUBLIC_URL === undefined || process.env.PUBLIC_URL === '' ? null : new URL(process.env.PUBLIC_URL).origin;
  const passes = passesOriginGate({ method, path: nextUrl.pathname, origin: headers.get('origin') }, { publicUrl }, headers.get('host'));
  return passes ? NextResponse.next() : NextResponse.json({ errors: { '': ORIGIN_REFUSAL } }, { status: 403 });
}
