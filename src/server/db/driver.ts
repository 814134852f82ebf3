import type Database from 'better-sqlite3';
import {
  type CompiledQuery,
  type DatabaseConnection,
  type Driver,
  type QueryResult,
  SelectQueryNode,
} from 'kysely';

/**
 * Two connections to one file, in one thread: one writes, one only reads. A transaction has the writer to itself; what is
 * asked outside of one goes by the reader, never waits for it, and sees what was committed last. In memory there is one
 * connection, where reading waits its turn: it would see what is not committed yet.
 */
export class TwoConnections implements Driver {
  private readonly writes: Prepared;
  private readonly reads: Prepared | null;
  private readonly turn = new Turn();
  private count = 0;

  /** How often something was committed that owners set; what was read under one number still stands while it is this one. */
  get settingsRevision(): number {
    return this.count;
  }

  constructor(
    private readonly writer: Database.Database,
    private readonly reader: Database.Database | null,
  ) {
    this.writes = new Prepared(writer);
    this.reads = reader === null ? null : new Prepared(reader);
  }

  init(): Promise<void> {
    return Promise.resolve(); // both are open
  }

  acquireConnection(): Promise<DatabaseConnection> {
    return Promise.resolve(
      new Connection(this.writes, this.reads, this.turn, () => {
        this.count++;
      }),
    );
  }

  /** A transaction of ours writes: it takes the write lock at once, so that it cannot fail half-way for want of it. */
  async beginTransaction(connection: Connection): Promise<void> {
    await connection.hold();
    this.writes.run('begin immediate', []);
  }

  commitTransaction(connection: Connection): Promise<void> {
    this.writes.run('commit', []);
    connection.committed();
    return Promise.resolve();
  }

  /** On a full disk SQLite undoes a transaction by itself; undoing it once more would hide the reason. */
  rollbackTransaction(): Promise<void> {
    if (this.writer.inTransaction) this.writes.run('rollback', []);
    return Promise.resolve();
  }

  releaseConnection(connection: Connection): Promise<void> {
    connection.letGo();
    return Promise.resolve();
  }

  destroy(): Promise<void> {
    this.reader?.close();
    this.writer.close();
    return Promise.resolve();
  }
}

/** One that is handed out for a query, or for all of a transaction, which holds the writer until it is given back. */
class Connection implements DatabaseConnection {
  private isHolding = false;
  private hasSet = false;

  constructor(
    private readonly writes: Prepared,
    private readonly reads: Prepared | null,
    private readonly turn: Turn,
    private readonly onSet: () => void,
  ) {}

  async hold(): Promise<void> {
    await this.turn.take();
    this.isHolding = true;
  }

  letGo(): void {
    if (this.isHolding) this.turn.giveBack();
    this.isHolding = false;
  }

  async executeQuery<R>({ sql, parameters, query }: CompiledQuery): Promise<QueryResult<R>> {
    if (!this.isHolding && this.reads !== null && SelectQueryNode.is(query))
      return this.reads.run(sql, parameters);
    this.hasSet ||= this.writes.sets(sql);
    if (this.isHolding) return this.writes.run(sql, parameters);
    await this.turn.take();
    try {
      return this.writes.run(sql, parameters);
    } finally {
      this.committed();
      this.turn.giveBack();
    }
  }

  /** What was written stands in the file from now on. */
  committed(): void {
    if (this.hasSet) this.onSet();
    this.hasSet = false;
  }

  streamQuery(): never {
    throw new Error('Expected whole results to be asked for: nothing here is streamed out of the database.');
  }
}

/** Who comes first is first, and one at a time. */
class Turn {
  private isTaken = false;
  private readonly waiting: (() => void)[] = [];

  take(): Promise<void> {
    if (this.isTaken) return new Promise((resolve) => this.waiting.push(resolve));
    this.isTaken = true;
    return Promise.resolve();
  }

  giveBack(): void {
    const next = this.waiting.shift();
    if (next === undefined) this.isTaken = false;
    else next();
  }
}

/** What comes and goes with talking, designing and signing in; whatever else is written, owners set. */
const NOT_SET_BY_OWNERS =
  /^(?:insert into|update|delete from) "(?:entry|conversation|visitor|visitor_token|form_reply|note|session|draft|draft_change)"/;

const PREPARED_MAX = 500;

/** A connection that keeps what was prepared by its text: our queries are few and come again and again. */
class Prepared {
  private readonly known = new Map<string, Database.Statement<unknown[]>>();

  constructor(private readonly database: Database.Database) {}

  /** Whether a statement writes something that owners set. */
  sets(sql: string): boolean {
    return !this.prepare(sql).readonly && !NOT_SET_BY_OWNERS.test(sql);
  }

  run<R>(sql: string, parameters: readonly unknown[]): QueryResult<R> {
    const statement = this.prepare(sql);
    if (statement.reader) return { rows: statement.all(...parameters) as R[] };
    const { changes, lastInsertRowid } = statement.run(...parameters);
    return { numAffectedRows: BigInt(changes), insertId: BigInt(lastInsertRowid), rows: [] };
  }

  private prepare(sql: string): Database.Statement<unknown[]> {
    const known = this.known.get(sql);
    if (known !== undefined) return known;
    if (this.known.size >= PREPARED_MAX) this.known.clear();
    const made = this.database.prepare<unknown[]>(sql);
    this.known.set(sql, made);
    return made;
  }
}
