import { FOOD_FAMILIES, FOOD_FORMS, FOOD_KINDS, type Species } from '@open-larder/catalogue';
import { z } from 'zod';

/** Rows are validated when the catalogue is loaded; on the wire only their presence is checked. */
const species = z.custom<Species>((row) => typeof row === 'object' && row !== null && 'key' in row);

const genericFood = z.object({
  key: z.string(),
  name: z.string(),
  family: z.enum(FOOD_FAMILIES),
  kind: z.enum(FOOD_KINDS),
  form: z.enum(FOOD_FORMS),
  protein: z.number(),
  fat: z.number(),
  fibre: z.number(),
  ash: z.number(),
  moisture: z.number(),
  plantShare: z.number(),
  unitName: z.string(),
  unitPlural: z.string(),
  unitMassG: z.number(),
  unitStep: z.number(),
  keepsOpenedDays: z.number(),
  source: z.string(),
});

export const catalogue = z.object({ species: z.array(species), foods: z.array(genericFood) });
export type CatalogueView = z.infer<typeof catalogue>;
