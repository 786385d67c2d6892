import { z } from 'zod';
import { id } from '../basics';

/**
 * Tables that go in and out as CSV. `tanks`, `groups` and `events` together are a whole copy of the
 * fish in a house; `house` is one line a group, as a keeper would type it. `foods`, `lots`,
 * `weighings` and `recipes`, in that order, are a whole copy of the shelf; `water` is tests and changes.
 */
export const TABLES = [
  'house',
  'tanks',
  'groups',
  'events',
  'foods',
  'lots',
  'weighings',
  'recipes',
  'water',
] as const;
export const tableName = z.enum(TABLES);
export type TableName = (typeof TABLES)[number];

/** Most lines of one table. */
export const MAX_LINES = 20_000;
/** Most columns of a line, and letters of a cell. */
export const MAX_COLUMNS = 200;
export const MAX_LETTERS = 5000;

export const tableImport = z.object({
  /** Of what is taken in: sent again it is not taken in twice. A check has none. */
  id: id.nullable().default(null),
  text: z
    .string()
    .min(1, 'paste a table, or choose a file')
    .max(4_000_000, 'keep a table under 4 MB'),
  /** False only checks; true takes the table in, if every line is right. */
  write: z.boolean(),
  /** How numbers and days are written, where the table itself leaves it open. */
  numbers: z.enum(['point', 'comma']).nullable().default(null),
  days: z.enum(['dmy', 'mdy', 'ymd']).nullable().default(null),
  /** Lines that stand twice are meant so. */
  twice: z.boolean().default(false),
});

/** What a table leaves open: its keeper is asked. */
export const DOUBTS = ['numbers', 'days', 'twice'] as const;

export const CELL_STATES = ['read', 'guessed', 'error', 'blank', 'left out'] as const;
export type CellState = (typeof CELL_STATES)[number];

const cell = z.object({
  text: z.string(),
  state: z.enum(CELL_STATES),
  /** How it was understood, or what to change. */
  says: z.string().nullable(),
});

export const LINE_STATES = ['new', 'same', 'changed', 'error'] as const;

const line = z.object({
  /** As a text editor counts, from 1. */
  line: z.int(),
  state: z.enum(LINE_STATES),
  cells: z.array(cell),
  /** What becomes of the line, or what is wrong with it as a whole. */
  says: z.string().nullable(),
});
export type TableLine = z.infer<typeof line>;

export const tableReport = z.object({
  /** Titles of the columns as they were understood; null for one that is left out. */
  columns: z.array(z.object({ header: z.string(), title: z.string().nullable() })),
  lines: z.array(line),
  counts: z.object({ new: z.int(), same: z.int(), changed: z.int(), error: z.int() }),
  written: z.boolean(),
  doubts: z.array(z.enum(DOUBTS)),
  /** What holds for the whole table, such as a column that is missing. */
  says: z.string().nullable(),
});
export type TableReport = z.infer<typeof tableReport>;

export const exportedTable = z.object({ fileName: z.string(), text: z.string() });
