import type { Role } from '../../core/model/role';
import type { Env } from '../env';
import { type Person, findSessionPerson } from './persons.repository';
import type { Site } from './sites.repository';
import { hashOf } from '../ids';
import type { State } from '../state';

/** A signed-in person on one of their sites. */
export interface Member {
  readonly person: Person;
  readonly site: Site;
  readonly role: Role;
}

const RANK: Readonly<Record<Role, number>> = { responder: 1, designer: 2, owner: 3 };

/** `__Host-` needs TLS; on plain loopback the cookie goes without. */
export function cookieName(env: Pick<Env, 'publicUrl'>): string {
  return isSecure(env) ? '__Host-porch' : 'porch';
}

export function isSecure(env: Pick<Env, 'publicUrl'>): boolean {
  return env.publicUrl?.startsWith('https:') ?? false;
}

/** Who a session's secret belongs to; null: signed out. */
export async function findPersonBySecret(
  state: Pick<State, 'db' | 'clock'>,
  secret: string | undefined,
): Promise<Person | null> {
  return secret === undefined || secret === ''
    ? null
    : findSessionPerson(state.db, hashOf(secret), state.clock.now());
}

/**
 * The one place that checks roles. `not-found` also where the site is somebody else's: nobody learns which sites there
 * are ([threat 2]).
 */
export async function findMember(
  state: Pick<State, 'db' | 'clock' | 'sites'>,
  secret: string | undefined,
  siteKey: string,
  atLeast: Role,
): Promise<Member | 'signed-out' | 'not-found' | 'not-allowed'> {
  return secret === undefined || secret === ''
    ? 'signed-out'
    : findMemberBySession(state, hashOf(secret), siteKey, atLeast);
}

/** The same, by what a session is kept under. */
export async function findMemberBySession(
  state: Pick<State, 'db' | 'clock' | 'sites'>,
  sessionHash: string,
  siteKey: string,
  atLeast: Role,
): Promise<Member | 'signed-out' | 'not-found' | 'not-allowed'> {
  const person = await findSessionPerson(state.db, sessionHash, state.clock.now());
  if (person === null) return 'signed-out';
  const known = await state.sites.byKey(siteKey);
  const role = known?.roles.get(person.id);
  if (known === null || role === undefined) return 'not-found';
  return RANK[role] >= RANK[atLeast] ? { person, site: known.site, role } : 'not-allowed';
}

/** The session's secret out of a `Cookie` header. */
export function secretFrom(cookieHeader: string | null, env: Pick<Env, 'publicUrl'>): string | undefined {
  const name = `${cookieName(env)}=`;
  const found = (cookieHeader ?? '')
    .split(';')
    .map((one) => one.trim())
    .find((one) => one.startsWith(name));
  return found?.slice(name.length);
}
