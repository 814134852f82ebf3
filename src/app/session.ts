import 'server-only';
import { cookies, headers } from 'next/headers';
import { redirect } from 'next/navigation';
import type { Person } from '../server/accounts/persons.repository';
import { PEER_HEADER, sealedPeer } from '../server/http/address';
import { PAGE_HEADER } from '../server/http/page-asked';
import { cookieName, findPersonBySecret, isSecure } from '../server/accounts/who';
import { state } from '../server/state';
import { SESSION_MS } from '../server/accounts/sign-in';

/** The session's secret of this request. */
export async function currentSecret(): Promise<string | undefined> {
  return (await cookies()).get(cookieName(state().env))?.value;
}

export async function currentPerson(): Promise<Person | null> {
  return findPersonBySecret(state(), await currentSecret());
}

/** Hands the browser its session. A new one at each sign-in ([threat 3]). */
export async function setSession(secret: string): Promise<void> {
  const { env } = state();
  (await cookies()).set(cookieName(env), secret, {
    httpOnly: true,
    sameSite: 'lax',
    secure: isSecure(env),
    path: '/',
    maxAge: SESSION_MS / 1000,
  });
}

export async function clearSession(): Promise<void> {
  (await cookies()).delete(cookieName(state().env));
}

/** Goes to where one signs in, and from there back to the page that was asked for. */
export async function signInFirst(): Promise<never> {
  const page = (await headers()).get(PAGE_HEADER) ?? '/';
  redirect(`/signin?next=${encodeURIComponent(page)}`);
}

/** Where a form came from: for the limits, and for the list of sessions. */
export async function origin(): Promise<{ address: string; agent: string; host: string | null }> {
  const all = await headers();
  return {
    address: sealedPeer(all.get(PEER_HEADER), state().peerSeal),
    agent: all.get('user-agent') ?? '',
    host: all.get('host'),
  };
}
