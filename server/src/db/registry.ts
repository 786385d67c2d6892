import { QueryTypes, type BindOrReplacements, type Sequelize, type Transaction } from 'sequelize';
import { camelCased } from './camel';
import { Scope } from './scope';

type Values = Record<string, unknown>;

/**
 * The door to what belongs to no household: people, where they belong, and what lets them in. What
 * belongs to a household is behind its `Scope`.
 */
export class Registry {
  constructor(
    private readonly db: Sequelize,
    private readonly transaction?: Transaction,
  ) {}

  /** Run `work` whole or not at all. Inside another such call it joins that one. */
  async atomically<T>(work: (registry: Registry) => Promise<T>): Promise<T> {
    if (this.transaction) return work(this);
    return this.db.transaction((transaction) => work(new Registry(this.db, transaction)));
  }

  /** One household, as its own requests see it. */
  scopeOf(householdId: string): Scope {
    return new Scope(this.db, householdId);
  }

  /** Work in one household, whole or not at all. */
  async within<T>(householdId: string, work: (scope: Scope) => Promise<T>): Promise<T> {
    return this.atomically(async ({ transaction }) => {
      const done = await Scope.within(this.db, householdId, transaction!, work);
      // What follows in this transaction belongs to no household again.
      await this.db.query("SET LOCAL open_larder.household = ''", { transaction });
      return done;
    });
  }

  /** Rows of a statement. Column names come back in camelCase. */
  async rows<Row extends object>(sql: string, values: Values = {}): Promise<Row[]> {
    const [rows] = (await this.db.query(sql, {
      type: QueryTypes.RAW,
      replacements: values as BindOrReplacements,
      transaction: this.transaction,
    })) as unknown as [Values[], unknown];
    return camelCased(rows) as Row[];
  }

  /** Hold a named lock until the transaction ends, so that the same thing is not done twice at once. */
  async lock(name: string): Promise<void> {
    await this.rows('SELECT pg_advisory_xact_lock(hashtextextended(:name, 2))', { name });
  }
}
