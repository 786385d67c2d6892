import { type Sequelize, Transaction, type WhereOptions } from 'sequelize';
import { injectReplacements } from 'sequelize/lib/utils/sql';
import type { Unreadable } from '@open-larder/contract';
import type { z } from 'zod';
import { notFound, stale } from '../http/problems';
import { camelCased } from './camel';
import { Pipeline, sendBatch } from './pipeline';
import { queued } from './householdQueue';
import { modelOf, type Table } from './models';
import { BEGIN, PipelinedTransaction, COMMIT } from './transaction';

type Values = Record<string, unknown>;
type Dialect = Parameters<typeof injectReplacements>[1];

/** Said of a row that is stored and cannot be shown. */
export const UNREADABLE =
  'This entry was stored in a form that cannot be shown. It is kept; nothing is lost.';

/** Tables with no uniqueness but that of their ids: only there may a conflict be passed over. */
type OnceTable =
  | 'answers'
  | 'batches'
  | 'feedings'
  | 'tanks'
  | 'moments'
  | 'starting_plans'
  | 'foods'
  | 'species'
  | 'group_events'
  | 'stock_events'
  | 'weighings'
  | 'sightings'
  | 'chores'
  | 'looks'
  | 'trainings'
  | 'vessels'
  | 'vessel_events'
  | 'forecasts'
  | 'broods'
  | 'brood_tubs'
  | 'brood_events'
  | 'water_events'
  | 'photos'
  | 'trials'
  | 'ratings';

/**
 * The one door to the database for a request: everything that passes carries the household.
 * Reads are SQL that must name `:household`; writes go through the models.
 */
export class Scope {
  /** Rows that could not be read while this request was answered. */
  readonly unreadable: Unreadable[] = [];

  private readonly pipeline: Pipeline | null;

  constructor(
    private readonly db: Sequelize,
    readonly householdId: string,
    private readonly transaction?: Transaction,
  ) {
    this.pipeline = transaction ? new Pipeline(db, transaction) : null;
  }

  /**
   * What can be made of each row. One that cannot be read is left out and named in the answer; while
   * something is written it fails, so that nothing is stored that could not be read again.
   */
  each<Row, Out>(
    rows: readonly Row[],
    idOf: (row: Row) => string,
    read: (row: Row) => readonly Out[],
  ): Out[] {
    return rows.flatMap((row) => {
      try {
        return read(row);
      } catch (error) {
        if (this.transaction) throw error;
        this.unreadable.push({ id: idOf(row), detail: UNREADABLE });
        return [];
      }
    });
  }

  /** Run `work` whole or not at all. Inside another such call it joins that one. */
  async atomically<T>(work: (scope: Scope) => Promise<T>): Promise<T> {
    return this.transaction ? work(this) : queued(this.householdId, () => this.begin(work));
  }

  private async begin<T>(work: (scope: Scope) => Promise<T>): Promise<T> {
    const transaction = await PipelinedTransaction.open(this.db);
    const inside = new Scope(this.db, this.householdId, transaction);
    try {
      inside.within.enqueue(BEGIN);
      inside.within.enqueue(this.wall);
      const result = await work(inside);
      await inside.within.query(COMMIT);
      transaction.release();
      return result;
    } catch (error) {
      // Nothing may be sent after the rollback: another request has the connection by then.
      await inside.within.abort();
      await transaction.rollback().catch(() => undefined);
      throw error;
    }
  }

  /** Work in a household within a transaction that began before it was named. */
  static async within<T>(
    db: Sequelize,
    householdId: string,
    transaction: Transaction,
    work: (scope: Scope) => Promise<T>,
  ): Promise<T> {
    const scope = new Scope(db, householdId, transaction);
    scope.within.enqueue(scope.wall);
    const result = await work(scope);
    await scope.within.flush();
    return result;
  }

  private get within(): Pipeline {
    if (!this.pipeline) throw new Error('this needs a transaction; use atomically');
    return this.pipeline;
  }

  /** Names the household to the database, which shows no row of another until the transaction ends. */
  private get wall(): string {
    return `SET LOCAL open_larder.household = ${this.db.escape(this.householdId)}`;
  }

  /** Read all that `work` asks for as it is at one moment, with times in UTC. */
  async snapshot<T>(work: (scope: Scope) => Promise<T>): Promise<T> {
    const isolationLevel = Transaction.ISOLATION_LEVELS.REPEATABLE_READ;
    return this.db.transaction({ isolationLevel }, async (transaction) => {
      await this.db.query("SET LOCAL TimeZone = 'UTC'", { transaction });
      return Scope.within(this.db, this.householdId, transaction, work);
    });
  }

  /**
   * Rows of a SELECT, or of an UPDATE … RETURNING. Column names come back in camelCase. Within a
   * transaction, queries of the same tick are sent together.
   */
  async rows<Row extends object>(sql: string, values: Values = {}): Promise<Row[]> {
    if (!sql.includes(':household')) throw new Error('a query without :household is not allowed');
    if (this.pipeline && this.isPrepared) {
      const own = { ...values, household: this.householdId };
      return camelCased(await this.pipeline.queryPrepared(sql, own)) as Row[];
    }
    const whole = this.filledIn(sql, values);
    const rows = this.pipeline
      ? await this.pipeline.query(whole)
      : // Statements that are sent together are one transaction.
        (await sendBatch(this.db, [this.wall, whole]))[1]!;
    return camelCased(rows) as Row[];
  }

  private isPrepared = false;

  /** The same scope, whose queries are prepared: for frequent statements of fixed text and plain values. */
  get prepared(): Scope {
    const prepared = Object.create(this) as Scope;
    prepared.isPrepared = true;
    return prepared;
  }

  private filledIn(sql: string, values: Values): string {
    const { dialect } = this.db as unknown as { dialect: Dialect };
    return injectReplacements(sql, dialect, { ...values, household: this.householdId });
  }

  /** Change rows with the next statement, in front of it. Whether it succeeds is known with that one. */
  changeAhead(sql: string, values: Values): void {
    this.within.enqueue(this.filledIn(sql, values));
  }

  /**
   * Rows of a query of its own, each read by its shape. What goes out as an answer is read by the
   * contract instead, once.
   * @throws ZodError where a row is not as it was described
   */
  async read<Row>(shape: z.ZodType<Row>, sql: string, values: Values = {}): Promise<Row[]> {
    return (await this.rows(sql, values)).map((row) => shape.parse(row));
  }

  /** Insert rows. A row that breaks a constraint fails all of them. */
  insert(table: Table, rows: readonly Values[]): Promise<void> {
    return this.write(table, rows, false);
  }

  /** Insert rows that may have been sent before: those whose id is there are left as they are. */
  insertOnce(table: OnceTable, rows: readonly Values[]): Promise<void> {
    return this.write(table, rows, true);
  }

  /** Insert plain rows with the next statement, in front of it: it fails where they break a constraint. */
  insertAhead(table: Table, rows: readonly Values[]): void {
    if (!rows.every(isPlain)) throw new Error('only plain rows can be sent ahead');
    if (rows.length > 0) this.changeAhead(this.insertion(table, rows), {});
  }

  /**
   * Insert a row of plain values that may have been sent before, and read it as it is stored.
   * @param columns over `e`
   * @returns null where its id is there already: then nothing is changed
   */
  async insertAndRead<Row extends object>(
    table: OnceTable,
    row: Values,
    columns: string,
  ): Promise<Row | null> {
    const [stored] = await this.rows<Row>(
      `${this.insertion(table, [row])} ON CONFLICT DO NOTHING RETURNING ${columns}`,
    );
    return stored ?? null;
  }

  private async write(table: Table, rows: readonly Values[], once: boolean): Promise<void> {
    if (rows.length === 0) return;
    if (!this.transaction) return this.atomically((scope) => scope.write(table, rows, once));
    if (rows.every(isPlain)) {
      const whole = `${this.insertion(table, rows)}${once ? ' ON CONFLICT DO NOTHING' : ''}`;
      await this.rows(whole);
      return;
    }
    await this.within.flush();
    await modelOf(this.db, table).bulkCreate(
      rows.map((row) => ({ ...row, householdId: this.householdId })),
      { ignoreDuplicates: once, transaction: this.transaction },
    );
  }

  /** An INSERT of plain rows; what none of them says is left to the table. */
  private insertion(table: Table, rows: readonly Values[]): string {
    const attributes = Object.entries(modelOf(this.db, table).getAttributes());
    const given = attributes.filter(
      ([name]) => name !== 'householdId' && rows.some((row) => row[name] !== undefined),
    );
    const valuesOf = (row: Values) =>
      given.map(([name]) =>
        row[name] === undefined ? 'DEFAULT' : this.db.escape(row[name] as string),
      );
    const fields = given.map(([, { field }]) => field);
    return `INSERT INTO ${table} AS e (household_id, ${fields.join(', ')})
      VALUES ${rows.map((row) => `(:household, ${valuesOf(row).join(', ')})`).join(', ')}`;
  }

  /**
   * Change a row that nobody has changed since `version`.
   * @param read how to read the row as it is now, for the answer to a stale edit
   * @throws ProblemError 404 where there is no such row, 409 with both versions where it is stale
   */
  async revise<Row extends object>(
    table: Table,
    what: string,
    id: string,
    edit: Values & { version: number },
    read: () => Promise<Row | null>,
  ): Promise<Row> {
    const { version, ...values } = edit;
    const [changed] = await this.atomically(async (scope) => {
      await scope.within.flush();
      return modelOf(this.db, table).update(
        { ...values, version: version + 1 },
        {
          where: { id, version, householdId: this.householdId } as WhereOptions,
          transaction: scope.transaction,
        },
      );
    });
    const current = await read();
    if (current === null) throw notFound(what);
    if (changed === 0) throw stale(what, edit, current);
    return current;
  }

  /** Change the household itself, whose row is its own scope. */
  async reviseHousehold<Row extends object>(
    what: string,
    edit: Values & { version: number },
    read: () => Promise<Row>,
  ): Promise<Row> {
    const { version, ...values } = edit;
    const [changed] = await this.atomically(async (scope) => {
      await scope.within.flush();
      return modelOf(this.db, 'households').update(
        { ...values, version: version + 1 },
        { where: { id: this.householdId, version }, transaction: scope.transaction },
      );
    });
    const current = await read();
    if (changed === 0) throw stale(what, edit, current);
    return current;
  }

  /** Hold a named lock from the next statement until the transaction ends: nothing is done twice at once. */
  async lock(name: string): Promise<void> {
    const key = this.db.escape(this.householdId + name);
    this.within.enqueue(`SELECT pg_advisory_xact_lock(hashtextextended(${key}, 0))`);
  }
}

/** Without lists and objects, which the database keeps in forms of its own. */
export const isPlain = (row: Values): boolean =>
  Object.values(row).every((value) => value === null || typeof value !== 'object');
