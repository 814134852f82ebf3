import { DAY_MS, type EpochMs } from '../../core/model/units';
import type { Db, Tx } from '../db/open';
import { hashOf, newId } from '../ids';
import type { MessageInput } from '../input/visitor.input';
import { findVisitorByToken, insertToken, insertVisitor, touchToken } from './visitors.repository';

const TOKEN_MS = 30 * DAY_MS;

/** Who writes: a known visitor's token, or none yet. */
export interface Writer {
  readonly siteId: string;
  readonly token: string | null;
  readonly at: EpochMs;
}

/** The token is unknown on this site or ran out. */
export class TokenError extends Error {
  constructor() {
    super('The visitor token is unknown here, or ran out.');
  }
}

/** The visitor of a token. Throws TokenError. */
export async function knownVisitor(db: Db | Tx, { siteId, token, at }: Writer): Promise<string> {
  const visitorId = token === null ? null : await findVisitorByToken(db, siteId, hashOf(token), at);
  if (visitorId === null) throw new TokenError();
  return visitorId;
}

/** The visitor of the token; of a new one, the visitor it was first sent for, or a new one. Throws TokenError. */
export async function visitorOf(tx: Tx, writer: Writer, said: MessageInput): Promise<string> {
  const { siteId, token, at } = writer;
  if (token !== null) {
    const found = await knownVisitor(tx, writer);
    await touchToken(tx, siteId, hashOf(token), at, at + TOKEN_MS);
    return found;
  }
  if (said.newToken === undefined) throw new TokenError();
  const again = await findVisitorByToken(tx, siteId, hashOf(said.newToken), at);
  if (again !== null) return again;
  const id = newId(at);
  await insertVisitor(tx, siteId, { id, locale: said.locale }, at);
  await insertToken(tx, siteId, id, hashOf(said.newToken), at, at + TOKEN_MS);
  return id;
}
