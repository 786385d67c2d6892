import type { Why } from '@open-larder/core/why';
import { z } from 'zod';

/** A derivation as it crosses the wire; the same tree that the core built. */
export const why: z.ZodType<Why> = z.lazy(() =>
  z.object({
    label: z.string(),
    value: z.union([z.number(), z.string()]),
    unit: z.string(),
    basis: z.enum(['measured', 'assumed', 'computed']),
    how: z.string().optional(),
    source: z.string().optional(),
    from: z.array(why),
  }),
);
