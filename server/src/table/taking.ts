import type { Species } from '@open-larder/catalogue';
import type { SheetLine, TableLine } from '@open-larder/contract';
import type { UnitChoice } from '@open-larder/core/units';
import type { z } from 'zod';
import type { Scope } from '../db';

/** What taking a table in may lean on. */
export interface Taking {
  scope: Scope;
  today: string;
  /** What is wrong is said in the keeper's units. */
  units: UnitChoice;
  species: ReadonlyMap<string, Species>;
}

/** What becomes of one line. Faults are named by field; `''` is the line as a whole. */
export interface Verdict {
  state: TableLine['state'];
  says: string | null;
  errors: Record<string, string>;
  /** Values that were put in for blank cells, with how they came about. */
  guesses?: Record<string, string>;
}

/** Looks at all lines, and returns how to write them once all are right. */
export interface Plan {
  verdicts: Verdict[];
  write: () => Promise<void>;
}

export type Take = (taking: Taking, lines: readonly SheetLine[]) => Promise<Plan>;

export const verdict = (
  state: TableLine['state'],
  says: string | null = null,
  more: Partial<Verdict> = {},
): Verdict => ({ state, says, errors: {}, ...more });

export const faulty = (errors: Record<string, string>): Verdict =>
  verdict('error', errors[''] ?? null, { errors });

/** Faults of a check as field → sentence, the first of each field. */
export function errorsByField(error: z.ZodError): Record<string, string> {
  const errors: Record<string, string> = {};
  for (const issue of error.issues) errors[issue.path.join('.')] ??= issue.message;
  return errors;
}

/** Cells that could not be read at all, so that the line need not be looked at further. */
export function unread(line: SheetLine): Verdict | null {
  return line.cells.some((cell) => cell.state === 'error') ? verdict('error') : null;
}

export const sameAs = (a: unknown, b: unknown): boolean =>
  Array.isArray(a) && Array.isArray(b)
    ? JSON.stringify(a) === JSON.stringify(b)
    : (a ?? null) === (b ?? null);

/** Many rows in pieces that a database takes at once. */
export async function inPieces<T>(rows: readonly T[], write: (piece: T[]) => Promise<unknown>) {
  const size = 1000;
  for (let start = 0; start < rows.length; start += size)
    await write(rows.slice(start, start + size));
}

/** An id, or a name that only one has. */
export function byIdOrName(rows: readonly { id: string; name: string }[]) {
  const ids = new Set(rows.map((row) => row.id));
  const names = new Map<string, string | null>();
  for (const { id, name } of rows) {
    const key = name.toLowerCase();
    names.set(key, names.has(key) ? null : id);
  }
  return (wanted: string): string | null =>
    ids.has(wanted) ? wanted : (names.get(wanted.toLowerCase()) ?? null);
}
