import { DAY_MS, type EpochMs, HOUR_MS } from '../../core/model/units';
import type { Db, Tx } from '../db/open';
import { RefusedError } from '../db/group-commit';
import { hashOf, newId } from '../ids';
import type { MessageInput } from '../input/visitor.input';
import { findVisitorByToken, insertToken, insertVisitor, touchToken } from './visitors.repository';

const TOKEN_MS = 30 * DAY_MS;
/** That a token is used is written down no more often. */
const TOUCH_EVERY_MS = HOUR_MS;

/** Who writes: a known visitor's token, or none yet. */
export interface Writer {
  readonly siteId: string;
  readonly token: string | null;
  readonly at: EpochMs;
}

/** The token is unknown on this site or ran out. */
export class TokenError extends RefusedError {
  constructor() {
    super('The visitor token is unknown here, or ran out.');
  }
}

/** The visitor of a token. Throws TokenError. */
export async function knownVisitor(db: Db | Tx, { siteId, token, at }: Writer): Promise<string> {
  const found = token === null ? null : await findVisitorByToken(db, siteId, hashOf(token), at);
  if (found === null) throw new TokenError();
  return found.visitorId;
}

/** The visitor of the token; of a new one, the visitor it was first sent for, or a new one. Throws TokenError before anything is written. */
export async function visitorOf(tx: Tx, writer: Writer, said: MessageInput): Promise<VisitorWho> {
  const { siteId, token, at } = writer;
  const secret = token ?? said.newToken;
  if (secret === undefined) throw new TokenError();
  const found = await findVisitorByToken(tx, siteId, hashOf(secret), at);
  if (found !== null) {
    if (found.usedAt + TOUCH_EVERY_MS <= at) await touchToken(tx, siteId, hashOf(secret), at, at + TOKEN_MS);
    return { visitorId: found.visitorId, isNew: false };
  }
  if (said.newToken === undefined || token !== null) throw new TokenError();
  const id = newId(at);
  await insertVisitor(tx, siteId, { id, locale: said.locale }, at);
  await insertToken(tx, siteId, id, hashOf(said.newToken), at, at + TOKEN_MS);
  return { visitorId: id, isNew: true };
}

interface VisitorWho {
  readonly visitorId: string;
  /** They have said nothing before. */
  readonly isNew: boolean;
}
