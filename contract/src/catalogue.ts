import type { GenericFood, Species } from '@open-larder/catalogue';
import { z } from 'zod';

/** Rows are validated when the catalogue is loaded; on the wire only their presence is checked. */
const species = z.custom<Species>((row) => typeof row === 'object' && row !== null && 'key' in row);

const genericFood = z.custom<GenericFood>(
  (row) => typeof row === 'object' && row !== null && 'key' in row,
);

export const catalogue = z.object({ species: z.array(species), foods: z.array(genericFood) });
export type CatalogueView = z.infer<typeof catalogue>;
