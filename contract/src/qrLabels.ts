import { z } from 'zod';

/** What labels are printed for. */
export const labelKind = z.enum(['tanks', 'cultures', 'tubs']);
export type LabelKind = z.infer<typeof labelKind>;
