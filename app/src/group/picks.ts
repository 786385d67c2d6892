import type { Group } from '@open-larder/contract';
import type { HouseData } from '../store';

/** Tanks to choose from, in walking order. */
export const tankPicks = (data: HouseData) =>
  data.tanks
    .filter((tank) => !tank.archived)
    .map((tank) => ({
      value: tank.id,
      title: tank.name,
      detail: (data.groupsIn.get(tank.id) ?? []).map((group) => group.name).join(', ') || 'no fish',
    }));

/** Groups of the same species that another could join. */
export const groupPicks = (data: HouseData, group: Group) =>
  data.groups
    .filter((one) => one.id !== group.id && !one.archived && one.speciesKey === group.speciesKey)
    .map((one) => ({
      value: one.id,
      title: one.name,
      detail: data.tanks.find((tank) => tank.id === one.tankId)?.name,
    }));
