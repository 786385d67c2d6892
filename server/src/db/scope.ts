import {
  QueryTypes,
  type BindOrReplacements,
  type Sequelize,
  Transaction,
  type WhereOptions,
} from 'sequelize';
import type { Unreadable } from '@open-larder/contract';
import { z } from 'zod';
import { notFound, stale } from '../http/problems';
import { camelCased } from './camel';
import { modelOf, type Table } from './models';

type Values = Record<string, unknown>;

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

  constructor(
    private readonly db: Sequelize,
    readonly householdId: string,
    private readonly transaction?: Transaction,
  ) {}

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
    if (this.transaction) return work(this);
    return this.db.transaction((transaction) =>
      Scope.within(this.db, this.householdId, transaction, work),
    );
  }

  /** Work in a household within a transaction that began before it was named. */
  static async within<T>(
    db: Sequelize,
    householdId: string,
    transaction: Transaction,
    work: (scope: Scope) => Promise<T>,
  ): Promise<T> {
    const scope = new Scope(db, householdId, transaction);
    scope.ahead.push({ sql: scope.wall, answers: 0 });
    const result = await work(scope);
    await scope.sendAhead();
    return result;
  }

  /** What is sent with the next statement, and in front of it: a way there and back less for each. */
  private readonly ahead: { sql: string; answers: number }[] = [];

  /** Send what waits, where no other statement follows or one goes another way. */
  private async sendAhead(): Promise<void> {
    if (this.ahead.length > 0) await this.rows('SELECT 1 WHERE :household IS NULL');
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

  /** Rows of a SELECT, or of an UPDATE … RETURNING. Column names come back in camelCase. */
  async rows<Row extends object>(sql: string, values: Values = {}): Promise<Row[]> {
    if (!sql.includes(':household')) throw new Error('a query without :household is not allowed');
    // Raw: Sequelize hands the rows over as the driver made them, and copies none of them.
    // Statements that are sent together are one transaction.
    const ahead = this.transaction ? this.ahead.splice(0) : [{ sql: this.wall, answers: 0 }];
    const whole = [...ahead.map((one) => one.sql), sql].join('; ');
    const read = () =>
      this.db.query(whole, {
        type: QueryTypes.RAW,
        replacements: { ...values, household: this.householdId } as BindOrReplacements,
        transaction: this.transaction,
      }) as Promise<[Values[], unknown]>;
    const [rows] = await (this.transaction ? this.inTurn(read) : read());
    // The rows of all of them come one after the other.
    const answered = ahead.reduce((sum, { answers }) => sum + answers, 0);
    return camelCased(answered === 0 ? rows : rows.slice(answered)) as Row[];
  }

  /**
   * Change rows with the next statement, in front of it. Whether it succeeds is known with that one.
   * @param sql that returns nothing, with `?` for each value
   */
  changeAhead(sql: string, values: readonly (string | number)[]): void {
    const left = [...values];
    const whole = sql.replace(/\?/g, () => this.db.escape(left.shift()!));
    this.ahead.push({ sql: whole, answers: 0 });
  }

  /**
   * Rows of a query of its own, each read by its shape. What goes out as an answer is read by the
   * contract instead, once.
   * @throws ZodError where a row is not as it was described
   */
  async read<Row>(shape: z.ZodType<Row>, sql: string, values: Values = {}): Promise<Row[]> {
    return z.array(shape).parse(await this.rows(sql, values));
  }

  private turn: Promise<unknown> = Promise.resolve();

  /** A transaction has one connection, which takes one question at a time. */
  private inTurn<T>(work: () => Promise<T>): Promise<T> {
    const result = this.turn.then(work, work);
    this.turn = result.catch(() => undefined);
    return result;
  }

  /** Insert rows. A row that breaks a constraint fails all of them. */
  insert(table: Table, rows: readonly Values[]): Promise<void> {
    return this.write(table, rows, false);
  }

  /** Insert rows that may have been sent before: those whose id is there are left as they are. */
  insertOnce(table: OnceTable, rows: readonly Values[]): Promise<void> {
    return this.write(table, rows, true);
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
    const attributes = Object.entries(modelOf(this.db, table).getAttributes());
    const own = { ...row, householdId: undefined } as Values;
    const given = attributes.filter(([name]) => own[name] !== undefined);
    const fields = given.map(([, { field }]) => field);
    const values = given.map(([name]) => this.db.escape(own[name] as string));
    const [stored] = await this.rows<Row>(
      `INSERT INTO ${table} AS e (household_id, ${fields.join(', ')})
       VALUES (:household, ${values.join(', ')}) ON CONFLICT DO NOTHING RETURNING ${columns}`,
    );
    return stored ?? null;
  }

  private async write(table: Table, rows: readonly Values[], once: boolean): Promise<void> {
    if (rows.length === 0) return;
    if (!this.transaction) return this.atomically((scope) => scope.write(table, rows, once));
    await this.sendAhead();
    await modelOf(this.db, table).bulkCreate(
      rows.map((row) => ({ ...row, householdId: this.householdId })),
      { ignoreDuplicates: once, transaction: this.transaction },
    );
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
      await scope.sendAhead();
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
      await scope.sendAhead();
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
    this.ahead.push({
      sql: `SELECT pg_advisory_xact_lock(hashtextextended(${key}, 0))`,
      answers: 1,
    });
  }
}
