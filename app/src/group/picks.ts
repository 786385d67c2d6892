import { OWN } from '@open-larder/catalogue';
import type { Group } from '@open-larder/contract';
import type { AppData } from '../store';

/** Tanks to choose from, in walking order. */
export const tankPicks = (data: AppData) =>
  data.tanks
    .filter((tank) => !tank.archived)
    .map((tank) => ({
      value: tank.id,
      title: tank.name,
      detail: (data.groupsIn.get(tank.id) ?? []).map((group) => group.name).join(', ') || 'no fish',
    }));

/** Groups of the same species that another could join. */
export const groupPicks = (data: AppData, group: Group) =>
  data.groups
    .filter((one) => one.id !== group.id && !one.archived && one.speciesKey === group.speciesKey)
    .map((one) => ({
      value: one.id,
      title: one.name,
      detail: data.tanks.find((tank) => tank.id === one.tankId)?.name,
    }));

/** Species that a group may be of: all but those of the keeper's own that were put away. */
export function speciesPicks(data: AppData) {
  const away = new Set(data.ownSpecies.filter((one) => one.archived).map((one) => OWN + one.id));
  return [...data.species.values()]
    .filter((row) => !away.has(row.key))
    .map((row) => ({ value: row.key, title: row.common, detail: row.scientific }));
}
