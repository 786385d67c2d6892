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
export async function send(
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
 * What a transaction asks its database. Its one connection takes one message at a time; all that is asked
 * while one is under way, or in the same moment, goes together in the next, in order. Each message is a
 * way there and back, which costs more than most of the statements in it.
 */
export class Conversation {
  private readonly waiting: Statement[] = [];
  private turn: Promise<void> = Promise.resolve();

  constructor(
    private readonly db: Sequelize,
    private readonly transaction: Transaction,
  ) {}

  /** Rows of a statement. Where one fails, all that went with it do, and the transaction is lost. */
  ask(sql: string): Promise<Row[]> {
    const rows = new Promise<Row[]>((answer, fail) => this.waiting.push({ sql, answer, fail }));
    this.turn = this.turn.then(() => this.sendWaiting());
    return rows;
  }

  /** Rows of a statement that is sent often, which the database need not plan each time. */
  async askOften(sql: string, values: Row): Promise<Row[]> {
    const { connection } = this.transaction as unknown as { connection: object };
    const escape = (value: unknown) => this.db.escape(value as string);
    const { statements, done } = prepared(connection, sql, values, escape);
    statements.slice(0, -1).forEach((one) => this.ahead(one));
    const rows = await this.ask(statements.at(-1)!);
    done();
    return rows;
  }

  /** Send a statement with the next one, in front of it. Whether it succeeds is known with that one. */
  ahead(sql: string): void {
    this.waiting.push({ sql, answer: () => undefined, fail: () => undefined });
  }

  /** Send what waits, where nothing more is asked or something goes another way. */
  async settle(): Promise<void> {
    if (this.waiting.length > 0) await this.ask('SELECT 1');
  }

  private isBrokenOff = false;

  /** Wait for what is under way and send nothing more: what is asked for and was not sent fails. */
  async breakOff(): Promise<void> {
    this.isBrokenOff = true;
    await this.turn;
  }

  private async sendWaiting(): Promise<void> {
    const statements = this.waiting.splice(0);
    if (statements.length === 0) return;
    try {
      if (this.isBrokenOff) throw new Error('the transaction was broken off');
      const sql = statements.map((one) => one.sql);
      const answers = await send(this.db, sql, this.transaction);
      statements.forEach((one, at) => one.answer(answers[at]!));
    } catch (error) {
      statements.forEach((one) => one.fail(error));
    }
  }
}
