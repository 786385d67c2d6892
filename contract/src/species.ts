import { speciesEntry } from '@open-larder/catalogue/species';
import { z } from 'zod';
import { id, version } from './basics';

const copiedFrom = z.string().max(60).nullable();

/** A keeper's own species: a whole row of its own, so that no catalogue update touches it. */
export const speciesCreate = z.object({ id, copiedFrom, entry: speciesEntry });
export const speciesEdit = z.object({ version, archived: z.boolean(), entry: speciesEntry });
export const ownSpecies = z.object({
  id,
  version,
  archived: z.boolean(),
  copiedFrom,
  entry: speciesEntry,
});
export type OwnSpecies = z.infer<typeof ownSpecies>;
