import { massFromLength } from '../fish';
import { lengthOf } from '../ration';
import { byNight, mouths, nippers, numbers, outEaten } from './company';
import type { Mate, Together, Weighed } from './mate';
import {
  againstTheWater,
  loadOnTheWater,
  needIn,
  noCommonWater,
  warmthAgainstDemand,
  type TankConditions,
} from './water';

/**
 * What the groups of one tank do to each other, from figures: the gravest first.
 * @param mates every group in the tank; those without fish are left out
 */
export function together(mates: readonly Mate[], tank: TankConditions): Together[] {
  const weighed = mates
    .filter((mate) => mate.count > 0)
    .map((mate): Weighed => {
      const onDay = { ...mate, tempC: tank.tempC };
      return {
        ...mate,
        mass: massFromLength(mate.species, lengthOf(onDay)),
        needKj: needIn(mate, tank.tempC),
      };
    });
  return [
    ...mouths(weighed),
    ...againstTheWater(weighed, tank),
    ...noCommonWater(weighed),
    ...nippers(weighed),
    ...outEaten(weighed),
    ...numbers(weighed),
    ...byNight(weighed),
    ...warmthAgainstDemand(weighed, tank),
    ...loadOnTheWater(weighed, tank),
  ].sort((a, b) => b.severity - a.severity || (a.kind < b.kind ? -1 : 1));
}
