import { type AlertSettings, DEFAULT_ALERTS } from '../../core/model/alert-settings';
import type { EpochMs } from '../../core/model/units';
import { keptQuery } from '../db/kept-query';
import type { Db } from '../db/open';

/** Somebody who can sign in. The password's hash never leaves `findCredentials`. */
export interface Person {
  readonly id: string;
  readonly mail: string;
  readonly name: string;
}

export async function countPersons(db: Db): Promise<number> {
  const row = await db
    .selectFrom('person')
    .select(({ fn }) => fn.countAll<number>().as('count'))
    .executeTakeFirstOrThrow();
  return row.count;
}

export async function insertPerson(
  db: Db,
  person: Person,
  passwordHash: string,
  locale: string,
  at: EpochMs,
): Promise<void> {
  const { id, mail, name } = person;
  await db
    .insertInto('person')
    .values({
      id,
      mail,
      name,
      password_hash: passwordHash,
      locale,
      created_ms: at,
      disabled_ms: null,
      alerts_json: null,
    })
    .execute();
}

export async function findCredentials(
  db: Db,
  mail: string,
): Promise<{ id: string; passwordHash: string } | null> {
  const row = await db
    .selectFrom('person')
    .select(['id', 'password_hash'])
    .where('mail', '=', mail)
    .where('disabled_ms', 'is', null)
    .executeTakeFirst();
  return row === undefined ? null : { id: row.id, passwordHash: row.password_hash };
}

export async function findPersonByMail(db: Db, mail: string): Promise<Person | null> {
  return (
    (await db
      .selectFrom('person')
      .select(['id', 'mail', 'name'])
      .where('mail', '=', mail)
      .where('disabled_ms', 'is', null)
      .executeTakeFirst()) ?? null
  );
}

/** How somebody wants to be told of questions. What was added to the settings since they were written is as it comes. */
export async function findAlerts(db: Db, personId: string): Promise<AlertSettings> {
  const row = await db
    .selectFrom('person')
    .select('alerts_json')
    .where('id', '=', personId)
    .executeTakeFirst();
  const written = row?.alerts_json ?? '{}';
  return { ...DEFAULT_ALERTS, ...(JSON.parse(written) as Partial<AlertSettings>) };
}

export async function insertSession(
  db: Db,
  session: { tokenHash: string; personId: string; at: EpochMs; expiresAt: EpochMs; agent: string },
): Promise<void> {
  const { tokenHash, personId, at, expiresAt, agent } = session;
  await db
    .insertInto('session')
    .values({
      token_hash: tokenHash,
      person_id: personId,
      created_ms: at,
      seen_ms: at,
      expires_ms: expiresAt,
      agent,
    })
    .execute();
}

/** Who a session belongs to; null where it ran out, was ended, or its person was disabled. */
export async function findSessionPerson(db: Db, tokenHash: string, at: EpochMs): Promise<Person | null> {
  const [row] = await findBySession(db, { tokenHash, at });
  return row ?? null;
}

const findBySession = keptQuery((db: Db, { tokenHash, at }: { tokenHash: string; at: EpochMs }) =>
  db
    .selectFrom('session')
    .innerJoin('person', 'person.id', 'session.person_id')
    .select(['person.id', 'person.mail', 'person.name'])
    .where('session.token_hash', '=', tokenHash)
    .where('session.expires_ms', '>', at)
    .where('person.disabled_ms', 'is', null),
);

/** A session of a person, as they see it. */
export interface OwnSession {
  readonly tokenHash: string;
  readonly agent: string;
  readonly createdAt: EpochMs;
  readonly seenAt: EpochMs;
}

/** The sessions of a person that still hold, the newest first. */
export async function listSessions(db: Db, personId: string, at: EpochMs): Promise<OwnSession[]> {
  const rows = await db
    .selectFrom('session')
    .select(['token_hash', 'agent', 'created_ms', 'seen_ms'])
    .where('person_id', '=', personId)
    .where('expires_ms', '>', at)
    .orderBy('created_ms', 'desc')
    .execute();
  return rows.map((row) => ({
    tokenHash: row.token_hash,
    agent: row.agent,
    createdAt: row.created_ms,
    seenAt: row.seen_ms,
  }));
}

/** Ends the sessions of a person but one. */
export async function deleteOtherSessions(db: Db, personId: string, kept: string): Promise<void> {
  await db.deleteFrom('session').where('person_id', '=', personId).where('token_hash', '!=', kept).execute();
}

export async function writePerson(
  db: Db,
  personId: string,
  changed: {
    readonly name?: string;
    readonly mail?: string;
    readonly passwordHash?: string;
    readonly alerts?: AlertSettings;
  },
): Promise<void> {
  const { name, mail, passwordHash, alerts } = changed;
  await db
    .updateTable('person')
    .set({
      ...(name === undefined ? {} : { name }),
      ...(mail === undefined ? {} : { mail }),
      ...(passwordHash === undefined ? {} : { password_hash: passwordHash }),
      ...(alerts === undefined ? {} : { alerts_json: JSON.stringify(alerts) }),
    })
    .where('id', '=', personId)
    .execute();
}

export async function deleteSession(db: Db, tokenHash: string): Promise<void> {
  await db.deleteFrom('session').where('token_hash', '=', tokenHash).execute();
}

/** Small facts of the installation, such as the mark `demo`. */
export async function findInstanceValue(db: Db, key: string): Promise<string | null> {
  const row = await db.selectFrom('instance').select('value').where('key', '=', key).executeTakeFirst();
  return row?.value ?? null;
}

export async function setInstanceValue(db: Db, key: string, value: string): Promise<void> {
  await db
    .insertInto('instance')
    .values({ key, value })
    .onConflict((on) => on.column('key').doUpdateSet({ value }))
    .execute();
}
