import pg from 'pg';
import { DataTypes, Sequelize } from 'sequelize';

type Parsed = { parse?: (text: string) => number };

/** Quantities are numeric in the database and plain numbers in the program. */
function readNumbersAsNumbers(): void {
  const { postgres } = DataTypes as unknown as { postgres: Record<'DECIMAL' | 'BIGINT', Parsed> };
  postgres.DECIMAL.parse = Number;
  postgres.BIGINT.parse = Number;
}

/** Open the database. The caller closes it. */
export function connect(url: string): Sequelize {
  readNumbersAsNumbers();
  return new Sequelize(url, {
    dialect: 'postgres',
    dialectModule: pg,
    logging: false,
    pool: { max: 10, idle: 10_000 },
    define: { timestamps: false, underscored: true, freezeTableName: true },
  });
}
