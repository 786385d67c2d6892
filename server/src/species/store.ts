import { speciesByKey, type Species } from '@open-larder/catalogue';
import type { Catalogue } from '@open-larder/catalogue/load';
import type { OwnSpecies } from '@open-larder/contract';
import type { Scope } from '../db';

const COLUMNS = 'id, copied_from, entry, version, archived';

export async function ownSpecies(
  scope: Scope,
  after: string | null,
  limit: number | null,
): Promise<OwnSpecies[]> {
  return scope.rows<OwnSpecies>(
    `SELECT ${COLUMNS} FROM species WHERE household_id = :household
      ${after === null ? '' : 'AND id > :after'} ORDER BY id LIMIT :limit`,
    { after, limit },
  );
}

export async function readOwnSpecies(scope: Scope, id: string): Promise<OwnSpecies | null> {
  const [row] = await scope.rows<OwnSpecies>(
    `SELECT ${COLUMNS} FROM species WHERE household_id = :household AND id = :id`,
    { id },
  );
  return row ?? null;
}

/** Every species that a group may be of: the catalogue's and the keeper's own, put away or not. */
export async function speciesOf(scope: Scope, catalogue: Catalogue): Promise<Map<string, Species>> {
  return speciesByKey(catalogue.species, await ownSpecies(scope, null, null));
}
