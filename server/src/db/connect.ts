import pg from 'pg';
import { DataTypes, Sequelize } from 'sequelize';

type Parsed = { parse?: (text: string) => number };

/** Quantities are numeric in the database and plain numbers in the program. */
function readNumbersAsNumbers(): void {
  const { postgres } = DataTypes as unknown as { postgres: Record<'DECIMAL' | 'BIGINT', Parsed> };
  postgres.DECIMAL.parse = Number;
  postgres.BIGINT.parse = Number;
}

/** Waited for a connection, and for one statement: who asks is reported rather than left waiting. */
const CONNECTION_MS = 3000;
const STATEMENT_MS = 10_000;
const PATIENT_MS = 120_000;
/** PostgreSQL ends a statement itself; where it hangs, the program gives up a little later. */
const HANGS_MS = STATEMENT_MS + 1000;

/** Compiling a query takes a second where the database has much in it, and saves none of ours so much. */
const PLAIN_PLANS = '-c jit=off';

/**
 * Open the database. The caller closes it.
 * @param patient nobody waits for an answer: to migrate, and to make a household
 */
export function connect(url: string, { patient = false } = {}): Sequelize {
  readNumbersAsNumbers();
  return new Sequelize(url, {
    dialect: 'postgres',
    dialectModule: pg,
    logging: false,
    pool: { max: 10, idle: 10_000, acquire: patient ? PATIENT_MS : CONNECTION_MS },
    dialectOptions: patient
      ? { options: PLAIN_PLANS }
      : {
          options: PLAIN_PLANS,
          connectionTimeoutMillis: CONNECTION_MS,
          statement_timeout: STATEMENT_MS,
          query_timeout: HANGS_MS,
          idle_in_transaction_session_timeout: 2 * STATEMENT_MS,
        },
    define: { timestamps: false, underscored: true, freezeTableName: true },
  });
}
