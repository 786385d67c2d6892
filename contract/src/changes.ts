import { z } from 'zod';
import { id } from './basics';

/** Where a page is in the order of changes: opaque, given back to ask what came after it. */
export const position = z
  .string()
  .regex(/^\d{1,15}-[0-9a-f-]{36}$/, 'this is not a place in the order of changes');

/** Something of the household changed: by which route, and of what. What it is now is read anew. */
const changed = z.object({
  position: z.string(),
  route: z.string(),
  /** The id in the address, where there is one. */
  subject: z.string().nullable(),
  /** The page that sent it knows already. */
  page: z.string().nullable(),
});

/** Someone who has the Round open now. */
const present = z.object({
  page: z.string(),
  name: z.string().nullable(),
  /** Where they are on their walk. */
  tankId: z.string().nullable(),
});

export const changesQuery = z.object({ after: position.optional() });

export const changes = z.object({
  /** In the order in which they came into force. */
  changes: z.array(changed),
  /** Ask for what comes after this. */
  position: z.string(),
  /** False where what came after the position that was asked about is no longer kept: read all anew. */
  whole: z.boolean(),
  here: z.array(present),
});

export const presence = z.object({
  page: id,
  /** Null where no tank is open. */
  tankId: id.nullable(),
  /** False as the Round is left. */
  inRound: z.boolean(),
});

export type Changes = z.infer<typeof changes>;
export type Present = z.infer<typeof present>;
