import { Transaction, type Sequelize } from 'sequelize';

/** What Sequelize's own transaction does besides, and does not declare. */
interface Inner {
  prepareEnvironment: (forAll: boolean) => Promise<void>;
  cleanup: () => void;
  finished?: 'commit';
}

/** Statements that begin and end a transaction, for whoever sends them with others. */
export const BEGIN = 'START TRANSACTION';
export const COMMIT = 'COMMIT';

/**
 * A transaction whose first message begins it and whose last one ends it, where Sequelize's own sends a
 * message for each. What holds a lock keeps it for two ways to the database and back less.
 */
export class BriefTransaction extends Transaction {
  private constructor(db: Sequelize) {
    super(db, {});
  }

  /** Take a connection. What is sent first has to say `BEGIN`. */
  static async open(db: Sequelize): Promise<BriefTransaction> {
    const transaction = new BriefTransaction(db);
    await transaction.inner.prepareEnvironment(false);
    return transaction;
  }

  /** Called by Sequelize once it has a connection. */
  begin(): Promise<void> {
    return Promise.resolve();
  }

  /** Give the connection back: `COMMIT` was sent with the last message, and answered. */
  ended(): void {
    this.inner.finished = 'commit';
    this.inner.cleanup();
  }

  private get inner(): Inner {
    return this as unknown as Inner;
  }
}
