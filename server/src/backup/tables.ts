import type { Scope } from '../db';

/** Of the server, not of the household's records: who may get in, and answers that were sent. */
const LEFT_OUT = [
  'receipts',
  'memberships',
  'invitations',
  'pairings',
  'change_counters',
  'changes',
  'presences',
];

export interface BackupTable {
  name: string;
  /** In the order of the table, without what belongs to the place rather than to the row. */
  columns: string[];
  /** What its rows are sorted by, so that two backups of the same records are the same. */
  order: string[];
}

/** Assigned anew where rows are restored. */
const OF_PLACE = new Set(['household_id', 'seq']);

/** The state of the database: the name of its newest migration. */
export async function newestMigration(scope: Scope): Promise<string> {
  const [newest] = await scope.rows<{ name: string }>(
    "SELECT max(name) AS name FROM migrations WHERE :household <> ''",
  );
  return newest!.name;
}

/** The tables that hold a household's records, each after those that it refers to. */
export async function backupTables(scope: Scope): Promise<BackupTable[]> {
  const rows = await scope.rows<{ name: string; columns: string[]; order: string[] }>(
    `SELECT t.table_name AS name,
            (SELECT array_agg(c.column_name::text ORDER BY c.ordinal_position)
               FROM information_schema.columns c
              WHERE c.table_schema = 'public' AND c.table_name = t.table_name) AS columns,
            (SELECT array_agg(a.attname::text ORDER BY array_position(i.indkey::int[], a.attnum::int))
               FROM pg_index i JOIN pg_attribute a ON a.attrelid = i.indrelid AND a.attnum = ANY (i.indkey)
              WHERE i.indisprimary AND i.indrelid = to_regclass(t.table_name)) AS "order"
       FROM information_schema.tables t
      WHERE t.table_schema = 'public' AND t.table_type = 'BASE TABLE'
        AND t.table_name NOT IN (:leftOut) AND :household <> ''
        AND EXISTS (SELECT 1 FROM information_schema.columns c
                     WHERE c.table_schema = 'public' AND c.table_name = t.table_name
                       AND c.column_name = 'household_id')
      ORDER BY t.table_name`,
    { leftOut: LEFT_OUT },
  );
  const tables = rows.map(({ name, columns, order }) => ({
    name,
    columns: columns.filter((column) => !OF_PLACE.has(column)),
    order: columns.includes('seq') ? ['seq'] : order.filter((column) => !OF_PLACE.has(column)),
  }));
  const references = await scope.rows<{ from: string; to: string }>(
    `SELECT DISTINCT conrelid::regclass::text AS "from", confrelid::regclass::text AS "to"
       FROM pg_constraint WHERE contype = 'f' AND conrelid <> confrelid AND :household <> ''`,
  );
  return inOrder(tables, references);
}

/** @throws Error where tables refer to each other in a circle: they could not be filled one by one */
function inOrder(
  tables: readonly BackupTable[],
  references: readonly { from: string; to: string }[],
): BackupTable[] {
  const left = new Map(tables.map((table) => [table.name, table]));
  const ordered: BackupTable[] = [];
  while (left.size > 0) {
    const free = [...left.values()].filter(({ name }) =>
      references.every(({ from, to }) => from !== name || !left.has(to)),
    );
    if (free.length === 0)
      throw new Error(`tables refer to each other: ${[...left.keys()].join()}`);
    for (const table of free) {
      left.delete(table.name);
      ordered.push(table);
    }
  }
  return ordered;
}
