import { Transaction, type Sequelize } from 'sequelize';

/** Members of Sequelize's transaction that its types leave out. */
interface Inner {
  prepareEnvironment: (forAll: boolean) => Promise<void>;
  cleanup: () => void;
  finished?: 'commit';
}

export const BEGIN = 'START TRANSACTION';
export const COMMIT = 'COMMIT';

/**
 * A transaction whose BEGIN goes with its first statements and whose COMMIT with its last, while Sequelize
 * sends a message for each. Locks are held for two round trips less.
 */
export class PipelinedTransaction extends Transaction {
  private constructor(db: Sequelize) {
    super(db, {});
  }

  /** Take a connection. The first message must start with `BEGIN`. */
  static async open(db: Sequelize): Promise<PipelinedTransaction> {
    const transaction = new PipelinedTransaction(db);
    await transaction.inner.prepareEnvironment(false);
    return transaction;
  }

  /** Sequelize calls this once it has a connection. */
  begin(): Promise<void> {
    return Promise.resolve();
  }

  /** Return the connection to the pool after `COMMIT` was answered. */
  release(): void {
    this.inner.finished = 'commit';
    this.inner.cleanup();
  }

  private get inner(): Inner {
    return this as unknown as Inner;
  }
}
