import { z } from 'zod';

/** Base64 of a zip: four letters for three bytes. */
const LARGEST_LETTERS = 130 * 1024 * 1024;

export const backupRestore = z.object({
  base64: z
    .string()
    .min(1, 'choose a file')
    .max(LARGEST_LETTERS, 'this file is too large; restore it with npm run restore'),
});
/** Rows that were taken in, by table. */
export const backupRestored = z.object({ rows: z.record(z.string(), z.int()) });
