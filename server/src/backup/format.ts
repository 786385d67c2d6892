import { createHash } from 'node:crypto';
import { z } from 'zod';

/** Of the files and their names; rises when an older server could not read them. */
export const FORMAT = 1;

export const manifest = z.object({
  format: z.int(),
  /** The newest change of the database's shape that the rows have. */
  migration: z.string(),
  files: z.record(
    z.string(),
    z.object({ sha256: z.string(), bytes: z.int(), rows: z.int().optional() }),
  ),
});
export type Manifest = z.infer<typeof manifest>;

export const sha256 = (bytes: Uint8Array): string =>
  createHash('sha256').update(bytes).digest('hex');

export const tableFile = (name: string): string => `tables/${name}.jsonl`;
export const MANIFEST = 'manifest.json';
export const HOUSEHOLD = 'household.json';

/** What is kept of a household itself. */
export const SETTINGS = [
  'name',
  'time_zone',
  'units',
  'temperature',
  'hardness',
  'clock',
  'week_start',
  'currency',
  'delivery_days',
  'phrases',
  'at_home',
] as const;
