import { blank, type Cell, type Reader } from './cell';
import { COLUMNS, USUAL_ORDER, type Column } from './columns';
import type { TableName } from './schemas';

/** A column as it stands in a pasted table. */
interface Placed {
  header: string;
  /** Null where nobody knows what it means; its cells are left out. */
  column: Column | null;
  unit: string | null;
}

/** A line of a table as it was understood, cell by cell. */
export interface SheetLine {
  /** As a text editor counts, from 1. */
  line: number;
  texts: string[];
  cells: Cell[];
  /** What was read, by field; blank and faulty cells are null. */
  values: Record<string, unknown>;
}

export interface Sheet {
  columns: Placed[];
  lines: SheetLine[];
}

const normal = (header: string) =>
  header
    .toLowerCase()
    .replace(/[_\s]+/g, ' ')
    .replace(/[.:?]+$/, '')
    .trim();

/** «Length (in)» is the column length in inches; `length_cm` is the one that is written here. */
function place(header: string, columns: readonly Column[]): Placed {
  const own = columns.find((column) => normal(column.name) === normal(header));
  if (own) return { header, column: own, unit: own.unit };
  const [, bare = header, unit = null] =
    /^(.*?)\s*[([]\s*([^)\]]+?)\s*[)\]]\s*$/.exec(header) ?? [];
  const known = columns.find((column) =>
    [normal(column.name), normal(column.title), ...column.also.map(normal)].includes(normal(bare)),
  );
  if (known) return { header, column: known, unit };
  const worded = /^(.*)[\s,]+(\S+)$/.exec(header);
  const withUnit =
    worded &&
    columns.find(
      (column) => column.unit && column.also.map(normal).includes(normal(worded[1] as string)),
    );
  return withUnit
    ? { header, column: withUnit, unit: worded[2] as string }
    : { header, column: null, unit: null };
}

/**
 * Understand a table that was pasted or read from a file.
 * @param rows cells of each line, the header first if there is one
 */
export function readSheet(table: TableName, rows: readonly string[][], reader: Reader): Sheet {
  const columns = COLUMNS[table];
  const first = (rows[0] ?? []).map((header) => place(header.trim(), columns));
  const named = first.filter((one) => one.column !== null).length;
  const headed = table !== 'house' || named * 2 > first.length;
  const placed = headed ? firstOfEach(first) : usualOrder(rows[0]?.length ?? 0);
  const body = headed ? rows.slice(1) : rows;
  const lines = body.flatMap((texts, index): SheetLine[] => {
    if (texts.every((text) => text.trim() === '')) return [];
    const trimmed = placed.map((_, at) => (texts[at] ?? '').trim());
    const cells = placed.map((one, at) => understand(trimmed[at] as string, one, reader));
    const values = Object.fromEntries(
      placed.flatMap(({ column }, at) =>
        column ? [[column.field, cells[at]?.value ?? null]] : [],
      ),
    );
    return [{ line: index + (headed ? 2 : 1), texts: trimmed, cells, values }];
  });
  return { columns: placed, lines };
}

function understand(text: string, { column, unit }: Placed, reader: Reader): Cell {
  if (column === null) return { value: null, state: 'left out', says: null };
  return text === '' ? blank : column.read(text, reader, unit);
}

/** A column that stands twice counts once; the second is left out. */
function firstOfEach(placed: Placed[]): Placed[] {
  const seen = new Set<Column>();
  return placed.map((one) => {
    if (one.column === null || !seen.has(one.column)) {
      if (one.column) seen.add(one.column);
      return one;
    }
    return { ...one, column: null };
  });
}

function usualOrder(width: number): Placed[] {
  return Array.from({ length: width }, (_, at) => {
    const column = COLUMNS.house.find((one) => one.field === USUAL_ORDER[at]) ?? null;
    return { header: column?.title ?? `column ${at + 1}`, column, unit: null };
  });
}

/** Rows as cells of text under their headers, in the units that the headers name. */
export function writeSheet(table: TableName, rows: readonly Record<string, unknown>[]): string[][] {
  const columns = COLUMNS[table];
  return [
    columns.map((column) => column.name),
    ...rows.map((row) => columns.map((column) => column.write(row[column.field]))),
  ];
}
