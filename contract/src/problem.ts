import { z } from 'zod';

/**
 * An error as RFC 9457 problem details. `detail` is a sentence for a person,
 * `errors` point at fields by path, `yours` and `theirs` are the two versions of a stale edit.
 */
export const problem = z.object({
  type: z.string(),
  title: z.string(),
  status: z.int(),
  detail: z.string(),
  errors: z.array(z.object({ path: z.string(), message: z.string() })).optional(),
  yours: z.unknown().optional(),
  theirs: z.unknown().optional(),
});
export type Problem = z.infer<typeof problem>;

/** Faults of a Zod check as problem `errors`. */
export function errorsOf(error: z.ZodError): NonNullable<Problem['errors']> {
  return error.issues.map((issue) => ({ path: issue.path.join('.'), message: issue.message }));
}
