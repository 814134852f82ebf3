'use server';

import { redirect } from 'next/navigation';
import { findPersonByMail } from '../server/accounts/persons.repository';
import { endSession } from '../server/accounts/sign-out';
import { mayOpenSites } from '../server/accounts/opening-sites';
import { inTransaction } from '../server/db/transaction';
import { tellTeams } from '../server/facts/presence';
import { hashOf } from '../server/ids';
import { type Joiner, joinByLink, readJoinLink } from '../server/accounts/joining';
import { FirstRunInput, SignInInput } from '../server/input/account.input';
import { JoinInput } from '../server/input/people.input';
import { parseInput } from '../server/input/parse-input';
import { now } from '../server/live/clock';
import { waitWords } from '../server/live/rates';
import { state } from '../server/state';
import { isDemoDoorOpen } from '../server/accounts/demo-door';
import { openPorch, openSite } from '../server/accounts/first-run';
import { openSession, signIn } from '../server/accounts/sign-in';
import type { StartState } from '../ui/entrance/StartForm';
import type { SignInState } from '../ui/frame/SignInAgain';
import { clearSession, currentPerson, currentSecret, origin, setSession } from './session';
import { ENTRANCE_WORDS } from '../ui/wording/screens/entrance';

function fields(form: FormData, names: readonly string[]): Record<string, string> {
  return Object.fromEntries(
    names
      .map((name) => [name, form.get(name)])
      .filter((pair): pair is [string, string] => typeof pair[1] === 'string'),
  );
}

/** A new site is first seen as a visitor would who is answered. */
const FIRST_ARRIVAL = 'design?moment=at-the-door&with=in';

export async function signInAction(_before: SignInState, form: FormData): Promise<SignInState> {
  const parsed = parseInput(SignInInput, fields(form, ['mail', 'password']));
  if (!parsed.ok) return { errors: parsed.errors, isSignedIn: false };
  const outcome = await signIn(state(), parsed.value, await origin(), now());
  if (!outcome.ok) return { errors: outcome.errors, isSignedIn: false };
  await setSession(outcome.value);
  const next = form.get('next');
  if (typeof next === 'string' && /^\/(?![/\\])/.test(next)) redirect(next);
  return { errors: {}, isSignedIn: true };
}

export async function signOutAction(): Promise<void> {
  const secret = await currentSecret();
  if (secret !== undefined) await endSession(state(), hashOf(secret));
  await clearSession();
  redirect('/signin');
}

const START_FIELDS = [
  'siteName',
  'siteAddress',
  'brand',
  'name',
  'mail',
  'password',
  'locale',
  'zone',
  'code',
] as const;

/** The first page of an empty installation. Without the code nothing is done; with an owner the door is gone. */
export async function startAction(_before: StartState, form: FormData): Promise<StartState> {
  const shared = state();
  const { address, agent } = await origin();
  const parsed = parseInput(FirstRunInput, { ...fields(form, START_FIELDS), zoneConfirmed: true });
  const wait = await shared.rates.take('setup', address);
  if (wait > 0) return { errors: { '': ENTRANCE_WORDS.tooManyTries(waitWords(wait)) } };
  if (shared.setupCode === null) return { errors: { '': ENTRANCE_WORDS.ownerAlready } };
  if (form.get('code') !== shared.setupCode) return { errors: { code: ENTRANCE_WORDS.typeCode } };
  if (!parsed.ok) return { errors: parsed.errors };
  const code = shared.setupCode;
  shared.setupCode = null;
  const opened = await openPorch(shared, parsed.value, now()).catch((error: unknown) => {
    shared.setupCode = code;
    throw error;
  });
  await setSession(await openSession(shared, opened.personId, agent, now()));
  redirect(`/s/${opened.site.key}/${FIRST_ARRIVAL}`);
}

/** Another site of somebody who is signed in: the same first page without asking for an account. */
export async function newSiteAction(_before: StartState, form: FormData): Promise<StartState> {
  const person = await currentPerson();
  if (person === null) redirect('/signin?next=/new');
  if (!(await mayOpenSites(state(), person.id))) return { errors: { '': ENTRANCE_WORDS.ownerOpensSites } };
  const parsed = parseInput(FirstRunInput, {
    ...fields(form, START_FIELDS),
    name: person.name,
    mail: person.mail,
    password: ENTRANCE_WORDS.notAskedHere,
    zoneConfirmed: true,
  });
  if (!parsed.ok) return { errors: parsed.errors };
  const site = await inTransaction(state().db, (tx) => openSite(tx, person.id, parsed.value, now()));
  redirect(`/s/${site.key}/${FIRST_ARRIVAL}`);
}

/** Comes in by a colleague's link: as who is signed in, or with a new account. The link is used up, and the desk opens. */
export async function joinAction(_before: StartState, form: FormData): Promise<StartState> {
  const shared = state();
  const { address, agent } = await origin();
  const wait = await shared.rates.take('join', address);
  if (wait > 0) return { errors: { '': ENTRANCE_WORDS.tooManyTries(waitWords(wait)) } };
  const secret = form.get('secret');
  if (typeof secret !== 'string') return { errors: { '': ENTRANCE_WORDS.linkGone } };
  // Asked before a password is hashed, which is dear.
  if ((await readJoinLink(shared, secret)) === null) return { errors: { '': ENTRANCE_WORDS.linkGone } };
  const person = form.get('asMyself') === 'yes' ? await currentPerson() : null;
  const parsed =
    person === null
      ? parseInput(JoinInput, fields(form, ['name', 'mail', 'password']))
      : { ok: true as const };
  if (!parsed.ok) return { errors: parsed.errors };
  const joiner: Joiner = 'value' in parsed ? await newAccount(parsed.value) : { personId: person?.id ?? '' };
  const joined = await joinByLink(shared, secret, joiner, now());
  if (!joined.ok) return { errors: joined.errors };
  await tellTeams(shared, joined.value.siteId);
  if (person === null) await setSession(await openSession(shared, joined.value.personId, agent, now()));
  redirect(`/s/${joined.value.siteKey}/conversations`);
}

async function newAccount({ name, mail, password }: JoinInput): Promise<Joiner> {
  const passwordHash = await state().passwords.hash(password);
  return { name, mail: mail.toLowerCase(), passwordHash, locale: 'en' };
}

/** The demo's one-click door: only with the mark in the database, on loopback, by a loopback name. Gone otherwise. */
export async function enterDemoAction(form: FormData): Promise<void> {
  const shared = state();
  const { host, agent } = await origin();
  const mail = form.get('mail');
  if (!(await isDemoDoorOpen(shared, host)) || typeof mail !== 'string') redirect('/signin');
  const person = await findPersonByMail(shared.db, mail);
  if (person === null) redirect('/signin');
  await setSession(await openSession(shared, person.id, agent, now()));
  redirect(form.get('next') === 'new' ? '/new' : '/');
}
