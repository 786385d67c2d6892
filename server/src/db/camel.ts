type Row = Record<string, unknown>;

/** Names of columns as the database and our own queries write them: nothing else is compiled. */
const COLUMN = /^[a-z][a-z0-9_]*$/;

const renamers = new Map<string, (row: Row) => Row>();

/**
 * The same rows with the names of their columns in camelCase.
 *
 * One small function is compiled for each list of columns, since it makes objects of one shape:
 * copying key by key takes longer than the query for a list of 300 tanks does.
 * @throws Error for a column whose name is not plain
 */
export function camelCased(rows: readonly Row[]): Row[] {
  const [first] = rows;
  if (first === undefined) return [];
  const columns = Object.keys(first);
  const key = columns.join();
  let rename = renamers.get(key);
  if (rename === undefined) {
    rename = renamer(columns);
    renamers.set(key, rename);
  }
  return rows.map(rename);
}

function renamer(columns: readonly string[]): (row: Row) => Row {
  const odd = columns.find((column) => !COLUMN.test(column));
  if (odd !== undefined) throw new Error(`a column is named «${odd}»; write it in plain letters`);
  const parts = columns.map((column) => `${camel(column)}: row.${column}`);
  return new Function('row', `return { ${parts.join(', ')} };`) as (row: Row) => Row;
}

const camel = (column: string) =>
  column.replace(/_([a-z])/g, (_, letter: string) => letter.toUpperCase());
