import { DAY_MS, type EpochMs } from '../../core/model/units';
import { type Result, fail, ok } from '../../core/result';
import { findCredentials, insertSession } from './persons.repository';
import { hashOf, newSecret } from '../ids';
import type { SignInInput } from '../input/account.input';
import { waitWords } from '../live/rates';
import type { State } from '../state';

export const SESSION_MS = 30 * DAY_MS;

/** Checks mail and password; the answer is the same whichever was wrong ([threat 3]). */
export async function signIn(
  state: State,
  asked: SignInInput,
  from: { address: string; agent: string },
  at: EpochMs,
): Promise<Result<string>> {
  const mail = asked.mail.toLowerCase();
  const wait =
    (await state.rates.take('signIn', `${mail} ${from.address}`)) ||
    (await state.rates.take('signInFromAddress', from.address));
  if (wait > 0)
    return fail({ '': `Too many tries. Wait ${waitWords(wait)}, then try again. Your account is safe.` });
  const found = await findCredentials(state.db, mail);
  const straw = await state.passwords.strawHash(); // made for known mails too: the first try must not take longer
  const isRight = await state.passwords.isRight(found?.passwordHash ?? straw, asked.password);
  if (found === null || !isRight) return fail({ '': 'E-mail and password do not go together. Check both.' });
  return ok(await openSession(state, found.id, from.agent, at));
}

/** A new session; gives the secret for the cookie. */
export async function openSession(
  state: Pick<State, 'db'>,
  personId: string,
  agent: string,
  at: EpochMs,
): Promise<string> {
  const secret = newSecret();
  await insertSession(state.db, {
    tokenHash: hashOf(secret),
    personId,
    at,
    expiresAt: at + SESSION_MS,
    agent: agent.slice(0, 200),
  });
  return secret;
}
