import type { Species } from '@open-larder/catalogue';
import type { Group, Tank } from '@open-larder/contract';
import type { FeedingModel } from '@open-larder/core/round';
import { furnishingOf, measuresOf } from '@open-larder/core/tank';
import { patternOf } from '../draw/fish/patterns';
import type { Scenery } from '../draw/TankScenery';
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
      family: kind.family,
      pattern: patternOf(kind.scientific),
      lengthCm: inHouse.lengthCm,
      count: group.size.total,
      zone: kind.zone,
      activity: kind.activity,
    };
  });
  return { lengthCm, heightCm, waterLevelCm, groups: drawn, scenery: sceneryOf(tank) };
}

/** What was said of a tank, or is guessed, as its picture needs it. */
export function sceneryOf(tank: Tank): Scenery {
  const { ground, groundDepthCm, decor, filter, flow, plants, cover } = furnishingOf(tank);
  const seed = [...tank.id].reduce((sum, letter, at) => sum + letter.charCodeAt(0) * (at + 1), 0);
  const look = { ground, groundDepthCm, decor, filter, flow, plants, cover };
  return { ...look, film: tank.film, seed: seed % 997 };
}

export const isLit = (tank: Tank, minutes: number): boolean =>
  tank.lightOnMin <= tank.lightOffMin
    ? minutes >= tank.lightOnMin && minutes < tank.lightOffMin
    : minutes >= tank.lightOnMin || minutes < tank.lightOffMin;
