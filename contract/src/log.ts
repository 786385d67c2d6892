import { z } from 'zod';

/** What was written down and comes out as CSV, though it is not taken in that way. */
export const LOGS = ['cultures', 'broods', 'ratings', 'trials', 'decisions'] as const;
export const logName = z.enum(LOGS);
export type LogName = z.infer<typeof logName>;
