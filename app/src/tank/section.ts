import type { Species } from '@open-larder/catalogue';
import type { Group, Tank } from '@open-larder/contract';
import type { FeedingModel } from '@open-larder/core/round';
import { measuresOf } from '@open-larder/core/tank';
import type { SectionGroup } from '../draw/TankSection';

/** What the drawing of a tank with these groups in it needs. A tank known by litres only is drawn as a usual one of that size. */
export function sectionOf(
  tank: Tank,
  groups: readonly Group[],
  species: ReadonlyMap<string, Species>,
  house: FeedingModel,
) {
  const { lengthCm, heightCm, waterLevelCm } = measuresOf(tank);
  const drawn: SectionGroup[] = groups.flatMap((group) => {
    const kind = species.get(group.speciesKey);
    const inHouse = house.groups.find(({ id }) => id === group.id);
    if (!kind || !inHouse) return [];
    return {
      id: group.id,
      shape: kind.shape,
      lengthCm: inHouse.lengthCm,
      count: group.size.total,
      zone: kind.zone,
      activity: kind.activity,
    };
  });
  return { lengthCm, heightCm, waterLevelCm, groups: drawn };
}

export const isLit = (tank: Tank, minutes: number): boolean =>
  tank.lightOnMin <= tank.lightOffMin
    ? minutes >= tank.lightOnMin && minutes < tank.lightOffMin
    : minutes >= tank.lightOnMin || minutes < tank.lightOffMin;
