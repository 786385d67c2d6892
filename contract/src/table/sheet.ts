import { blank, date, readsNumbers, readsWholes, type Cell, type Reader } from './cell';
import { COLUMNS, USUAL_ORDER, type Column } from './columns';
import type { TableName } from './schemas';
import {
  dayOrderOf,
  numbersOf,
  plainDay,
  plainNumbers,
  type ColumnNumbers,
  type DayOrder,
  type Decimal,
} from './writing';

/** A column as it is in a pasted table. */
interface Placed {
  header: string;
  /** Null where nobody knows what it means; its cells are left out. */
  column: Column | null;
  unit: string | null;
  /** Its header is the one that is written here, so that it may be ours. */
  ours: boolean;
}

/** How a column is written, from all of its cells. */
interface Written {
  numbers: ColumnNumbers | null;
  /** Decides what the column leaves open. */
  settled: Decimal | null;
  /** It was written here. */
  own: boolean;
  days: DayOrder | null;
}

/** What a table leaves open, for its keeper to say. */
export type Doubt = 'numbers' | 'days';

/** What was said of it. */
export interface Writing {
  numbers: Decimal | null;
  days: DayOrder | null;
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
  /** Their headers, and the fields that they fill; null if unknown what one means. */
  columns: { header: string; field: string | null; title: string | null }[];
  lines: SheetLine[];
  doubts: Doubt[];
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
  if (own) return { header, column: own, unit: own.unit, ours: true };
  const { bare, unit } = unitOf(header);
  const known = columns.find((column) =>
    [normal(column.name), normal(column.title), ...column.also.map(normal)].includes(normal(bare)),
  );
  if (known) return { header, column: known, unit, ours: false };
  const worded = lastWordOf(header);
  const withUnit =
    worded &&
    columns.find(
      (column) => column.unit && column.also.map(normal).includes(normal(worded.before)),
    );
  return withUnit
    ? { header, column: withUnit, unit: worded.last, ours: false }
    : { header, column: null, unit: null, ours: false };
}

/** «Length (in)»: what stands in brackets at the end. By looking for signs, in one pass. */
function unitOf(header: string): { bare: string; unit: string | null } {
  const text = header.trimEnd();
  const opens = Math.max(text.lastIndexOf('('), text.lastIndexOf('['));
  if (opens < 0 || !/[)\]]$/.test(text)) return { bare: header, unit: null };
  const unit = text.slice(opens + 1, -1).trim();
  return unit === '' ? { bare: header, unit: null } : { bare: text.slice(0, opens), unit };
}

/** «Length, in»: the last word, and what stands before it. */
function lastWordOf(header: string): { before: string; last: string } | null {
  const words = header.trim().split(/[\s,]+/);
  const last = words.pop();
  return last === undefined || words.length === 0 ? null : { before: words.join(' '), last };
}

/**
 * Understand a table that was pasted or read from a file.
 * @param rows    cells of each line, the header first if there is one
 * @param writing what its keeper said of how it is written
 */
export function readSheet(
  table: TableName,
  rows: readonly string[][],
  reader: Reader,
  writing: Writing = { numbers: null, days: null },
): Sheet {
  const columns = COLUMNS[table];
  const first = (rows[0] ?? []).map((header) => place(header.trim(), columns));
  const named = first.filter((one) => one.column !== null).length;
  const headed = table !== 'house' || named * 2 > first.length;
  const placed = headed ? firstOfEach(first) : usualOrder(rows[0]?.length ?? 0);
  const body = headed ? rows.slice(1) : rows;
  const written = placed.map((one, at) => writtenAs(one, cellsOf(body, at), writing));
  const doubts = new Set<Doubt>();
  const lines = body.flatMap((texts, index): SheetLine[] => {
    if (texts.every((text) => text.trim() === '')) return [];
    const trimmed = placed.map((_, at) => (texts[at] ?? '').trim());
    const cells = placed.map((one, at) => {
      const { cell, doubt } = understand(trimmed[at] as string, one, written[at]!, reader);
      if (doubt) doubts.add(doubt);
      return cell;
    });
    const values = Object.fromEntries(
      placed.flatMap(({ column }, at) =>
        column ? [[column.field, cells[at]?.value ?? null]] : [],
      ),
    );
    return [{ line: index + (headed ? 2 : 1), texts: trimmed, cells, values }];
  });
  const shown = placed.map(({ header, column }) => ({
    header,
    field: column?.field ?? null,
    title: column?.title ?? null,
  }));
  return { columns: shown, lines, doubts: [...doubts] };
}

const cellsOf = (rows: readonly string[][], at: number) =>
  rows.map((texts) => (texts[at] ?? '').trim());

function writtenAs({ column, ours }: Placed, texts: string[], said: Writing): Written {
  const numbers = column && readsNumbers(column.read) ? numbersOf(texts) : null;
  const days = column?.read === date ? (said.days ?? dayOrderOf(texts)) : null;
  // Where only whole things are counted, a sign before three digits parts thousands.
  const whole = column && readsWholes(column.read);
  const wholes = whole ? (texts.some((text) => text.includes('.')) ? 'comma' : 'point') : null;
  // What is written here has a point before its decimals, and no signs between thousands.
  const own = ours && !texts.some((text) => text.includes(','));
  const settled = said.numbers ?? wholes ?? (own ? 'point' : null);
  return { numbers, settled, own, days };
}

interface Understood {
  cell: Cell;
  doubt?: Doubt;
}

function understand(
  text: string,
  { column, unit }: Placed,
  { numbers, settled, own, days }: Written,
  reader: Reader,
): Understood {
  if (column === null) return { cell: { value: null, state: 'left out', says: null } };
  if (text === '') return { cell: blank };
  if (column.read === date) {
    const plain = plainDay(text, days);
    return plain === null
      ? { cell: error(`«${text}» may be two days: say above how days are written`), doubt: 'days' }
      : { cell: column.read(plain, reader, unit) };
  }
  if (numbers === null) return { cell: column.read(text, reader, unit) };
  const plain = plainNumbers(text, numbers, settled);
  if (plain.inDoubt) {
    return {
      cell: error(`«${text}» may be thousands or decimals: say above how numbers are written`),
      doubt: 'numbers',
    };
  }
  const cell = column.read(plain.text, reader, unit);
  // Decided by the other lines: shown, so that it can be seen to be wrong.
  return plain.either && cell.state === 'read' && !own
    ? { cell: { ...cell, state: 'guessed', says: `taken as ${plain.text}` } }
    : { cell };
}

const error = (says: string): Cell => ({ value: null, state: 'error', says });

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
    return { header: column?.title ?? `column ${at + 1}`, column, unit: null, ours: false };
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
