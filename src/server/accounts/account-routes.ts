import type { HttpAnswer } from '../http/exchange';
import type { AlertSettings } from '../../core/model/alert-settings';
import type { AccountView } from '../../core/wire/desk';
import { type DeskCall, type DeskRoutes, route, routeWith } from '../desk/route';
import { errorResponse, json } from '../http/replies';
import { AlertsInput, MailChangeInput, PasswordChangeInput, PersonNameInput } from '../input/account.input';
import { NothingInput } from '../input/desk.input';
import { waitWords } from '../live/rates';
import { findCredentials, findPersonByMail, listSessions, writePerson } from './persons.repository';
import { ALERTS_EVENT, memberChannel } from './rights';
import { endOtherSessions } from './sign-out';

/** What the desk asks about whoever asks: nobody reads or changes another account. */
export const ACCOUNT_ROUTES: DeskRoutes = {
  'GET account': route('responder', handleAccount),
  'POST account/name': routeWith('responder', PersonNameInput, handleName),
  'POST account/alerts': routeWith('responder', AlertsInput, handleAlerts),
  'POST account/mail': routeWith('responder', MailChangeInput, handleMail),
  'POST account/password': routeWith('responder', PasswordChangeInput, handlePassword),
  'POST account/sessions/end-others': routeWith('responder', NothingInput, handleEndOthers),
};

async function handleAccount(call: DeskCall): Promise<HttpAnswer> {
  const { person } = call.member;
  return json(200, await accountOf(call, person), {});
}

async function accountOf(
  { state, member, sessionHash }: DeskCall,
  { name, mail }: { readonly name: string; readonly mail: string },
): Promise<AccountView> {
  const sessions = await listSessions(state.db, member.person.id, state.clock.now());
  return {
    name,
    mail,
    sessions: sessions.map(({ tokenHash, agent, createdAt }) => ({
      agent,
      createdAt,
      isThis: tokenHash === sessionHash,
    })),
  };
}

async function handleName(call: DeskCall, { name }: PersonNameInput): Promise<HttpAnswer> {
  const { person } = call.member;
  await writePerson(call.state.db, person.id, { name });
  return json(200, await accountOf(call, { ...person, name }), {});
}

/** Other tabs and devices follow at once, on the site that is open. */
async function handleAlerts({ state, member }: DeskCall, asked: AlertsInput): Promise<HttpAnswer> {
  const { person, site } = member;
  const alerts: AlertSettings = { ...asked };
  await writePerson(state.db, person.id, { alerts });
  state.hub.send(memberChannel(site.id, person.id), ALERTS_EVENT);
  return json(200, alerts, {});
}

async function handleMail(call: DeskCall, { mail, password }: MailChangeInput): Promise<HttpAnswer> {
  const { state, member } = call;
  const refused = await passwordFault(call, password);
  if (refused !== null) return refused;
  const wanted = mail.toLowerCase();
  const other = await findPersonByMail(state.db, wanted);
  if (other !== null && other.id !== member.person.id)
    return json(400, { errors: { mail: 'Somebody else signs in with this address.' } }, {});
  await writePerson(state.db, member.person.id, { mail: wanted });
  return json(200, await accountOf(call, { ...member.person, mail: wanted }), {});
}

/** Whoever knew the old password is signed out everywhere but here ([threat 3]). */
async function handlePassword(call: DeskCall, asked: PasswordChangeInput): Promise<HttpAnswer> {
  const { state, member, sessionHash } = call;
  const refused = await passwordFault(call, asked.password);
  if (refused !== null) return refused;
  const passwordHash = await state.passwords.hash(asked.newPassword);
  await writePerson(state.db, member.person.id, { passwordHash });
  await endOtherSessions(state, member.person.id, sessionHash);
  return handleAccount(call);
}

async function handleEndOthers(call: DeskCall): Promise<HttpAnswer> {
  await endOtherSessions(call.state, call.member.person.id, call.sessionHash);
  return handleAccount(call);
}

/** An open screen is not enough to take an account over: as many tries as at the sign-in. Null: it is the right one. */
async function passwordFault({ state, member }: DeskCall, password: string): Promise<HttpAnswer | null> {
  const { mail } = member.person;
  const wait = await state.rates.take('signIn', `${mail} account`);
  if (wait > 0) return errorResponse(429, `Too many tries. Wait ${waitWords(wait)}, then try again.`, {});
  const known = await findCredentials(state.db, mail);
  const isRight = known !== null && (await state.passwords.isRight(known.passwordHash, password));
  return isRight ? null : json(400, { errors: { password: 'This is not your password.' } }, {});
}
