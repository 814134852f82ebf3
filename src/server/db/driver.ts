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
 * asked outside of it meanwhile goes by the reader, never waits, and sees what was committed last. In memory there is one
 * connection, where reading waits its turn: it would see what is not committed yet.
 */
export class TwoConnections implements Driver {
  private readonly writes: Prepared;
  private readonly reads: Prepared | null;
  private readonly turn = new Turn();
  private holder: Connection | null = null;
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
      new Connection(
        this.writes,
        this.turn,
        () => this.freeReader(),
        () => {
          this.count++;
        },
      ),
    );
  }

  /** A transaction of ours writes: it takes the write lock at once, so that it cannot fail half-way for want of it. */
  async beginTransaction(connection: Connection): Promise<void> {
    await connection.hold();
    this.holder = connection;
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
    if (this.holder === connection) this.holder = null;
    connection.letGo();
    return Promise.resolve();
  }

  /** Rows of a query of the transaction that is open now. */
  runHeld<R>(query: CompiledQuery): R[] {
    if (this.holder === null) throw new Error('Expected a transaction to be open.');
    return this.holder.runHeld<R>(query).rows;
  }

  /** Rows of a query outside of any transaction; null: it has to wait its turn. */
  runFree<R>({ sql, parameters, query }: CompiledQuery): R[] | null {
    const free = SelectQueryNode.is(query) ? this.freeReader() : null;
    return free?.run<R>(sql, parameters).rows ?? null;
  }

  /**
   * What can read now without seeing anything that is not committed; null: nothing can. The writer where it is free: what
   * it has in memory stays there, whereas the reader has to read anew after each of the writer's commits.
   */
  private freeReader(): Prepared | null {
    return this.turn.isTaken ? this.reads : this.writes;
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
    private readonly turn: Turn,
    private readonly freeReader: () => Prepared | null,
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

  runHeld<R>({ sql, parameters }: CompiledQuery): QueryResult<R> {
    this.hasSet ||= this.writes.sets(sql);
    return this.writes.run(sql, parameters);
  }

  async executeQuery<R>(compiled: CompiledQuery): Promise<QueryResult<R>> {
    if (this.isHolding) return this.runHeld(compiled);
    const { sql, parameters, query } = compiled;
    const free = SelectQueryNode.is(query) ? this.freeReader() : null;
    if (free !== null) return free.run(sql, parameters);
    this.hasSet ||= this.writes.sets(sql);
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
  private isHeld = false;
  private readonly waiting: (() => void)[] = [];

  get isTaken(): boolean {
    return this.isHeld;
  }

  take(): Promise<void> {
    if (this.isHeld) return new Promise((resolve) => this.waiting.push(resolve));
    this.isHeld = true;
    return Promise.resolve();
  }

  giveBack(): void {
    const next = this.waiting.shift();
    if (next === undefined) this.isHeld = false;
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
