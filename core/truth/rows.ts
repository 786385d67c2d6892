import type { GenericFood, Species } from '@open-larder/catalogue';
import { loadCatalogue } from '@open-larder/catalogue/load';

export const catalogue = loadCatalogue();

function row<T extends { key: string }>(rows: readonly T[], key: string): T {
  const found = rows.find((one) => one.key === key);
  if (!found) throw new Error(`${key} is not in the catalogue`);
  return found;
}

export const species = (key: string): Species => row(catalogue.species, key);
export const food = (key: string): GenericFood => row(catalogue.foods, key);
