import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import { prepared } from './prepared';

type Row = Record<string, unknown>;

interface Statement {
  sql: string;
  answer: (rows: Row[]) => void;
  fail: (error: unknown) => void;
}

interface Answered {
  rows: Row[];
  command: string;
}

/**
 * Send statements in one message.
 * @returns the rows of each, as the driver made them: nothing is copied
 * @throws Error also for a COMMIT of what had failed before, which the database answers without one
 */
export async function sendBatch(
  db: Sequelize,
  statements: readonly string[],
  transaction?: Transaction,
): Promise<Row[][]> {
  // The comment keeps Sequelize from taking a message that begins with an INSERT for that alone.
  const [, answers] = (await db.query(`/* together */ ${statements.join(';\n')}`, {
    type: QueryTypes.RAW,
    transaction,
  })) as [Row[], Answered | Answered[]];
  const all = [answers].flat();
  if (all.some(({ command }) => command === 'ROLLBACK')) throw new Error('nothing was written');
  return all.map(({ rows }) => rows);
}

/**
 * The statements of a transaction. Its one connection takes one message at a time; all that is queried
 * while one is in flight, or in the same tick, goes together in the next, in order. A message is a round
 * trip, which costs more than most of the statements in it.
 */
export class Pipeline {
  private readonly waiting: Statement[] = [];
  private turn: Promise<void> = Promise.resolve();

  constructor(
    private readonly db: Sequelize,
    private readonly transaction: Transaction,
  ) {}

  /** Rows of a statement. If one fails, so do all in its message, and the transaction is lost. */
  query(sql: string): Promise<Row[]> {
    const rows = new Promise<Row[]>((answer, fail) => this.waiting.push({ sql, answer, fail }));
    this.turn = this.turn.then(() => this.sendWaiting());
    return rows;
  }

  /** Rows of a statement that is sent often: the database keeps its plan. */
  async queryPrepared(sql: string, values: Row): Promise<Row[]> {
    const { connection } = this.transaction as unknown as { connection: object };
    const escape = (value: unknown) => this.db.escape(value as string);
    const { statements, done } = prepared(connection, sql, values, escape);
    statements.slice(0, -1).forEach((one) => this.enqueue(one));
    const rows = await this.query(statements.at(-1)!);
    done();
    return rows;
  }

  /** Send a statement with the next one, in front of it. Whether it succeeds is known with that one. */
  enqueue(sql: string): void {
    this.waiting.push({ sql, answer: () => undefined, fail: () => undefined });
  }

  /** Send what is queued, if there is no further query or the next one bypasses the queue. */
  async flush(): Promise<void> {
    if (this.waiting.length > 0) await this.query('SELECT 1');
  }

  private isAborted = false;

  /** Wait for the message in flight and send nothing more: queries that were not sent fail. */
  async abort(): Promise<void> {
    this.isAborted = true;
    await this.turn;
  }

  private async sendWaiting(): Promise<void> {
    const statements = this.waiting.splice(0);
    if (statements.length === 0) return;
    try {
      if (this.isAborted) throw new Error('the transaction was aborted');
      const sql = statements.map((one) => one.sql);
      const answers = await sendBatch(this.db, sql, this.transaction);
      statements.forEach((one, at) => one.answer(answers[at]!));
    } catch (error) {
      statements.forEach((one) => one.fail(error));
    }
  }
}
