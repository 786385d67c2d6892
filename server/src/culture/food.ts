import type { Catalogue } from '@open-larder/catalogue/load';
import { fieldsOfGeneric, type VesselCreate } from '@open-larder/contract';
import { v7 as uuidv7 } from 'uuid';
import type { Scope } from '../db';
import { foodColumns } from '../food/store';
import { readStoredVessel } from './store';
import { z } from 'zod';

/**
 * The food that a new vessel gives: the one that was chosen, the one on the shelf that its kind gives,
 * or that one put there, empty, from the catalogue.
 */
export async function foodOf(
  scope: Scope,
  catalogue: Catalogue,
  { id, foodId, shelveFood, kindKey }: VesselCreate,
): Promise<string | null> {
  if (foodId !== null || !shelveFood) return foodId;
  const known = await readStoredVessel(scope, id);
  if (known) return known.foodId;
  const foodKey = catalogue.cultures.find(({ key }) => key === kindKey)?.foodKey;
  const generic = catalogue.foods.find(({ key }) => key === foodKey);
  if (!generic) return null;
  await scope.lock(`food of ${generic.key}`);
  const [there] = await scope.read(
    z.object({ id: z.string() }),
    `SELECT id FROM foods
      WHERE household_id = :household AND copied_from = :key AND NOT archived ORDER BY id LIMIT 1`,
    { key: generic.key },
  );
  if (there) return there.id;
  const made = uuidv7();
  const row = { ...foodColumns(fieldsOfGeneric(generic)), id: made, version: 1, archived: false };
  await scope.insert('foods', [row]);
  return made;
}
