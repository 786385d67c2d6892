import { assumedLengthCm } from '@open-larder/core/fish';
import { daysGrown, grownSince } from '@open-larder/core/growth/sinceMeasured';
import { isLitter } from '@open-larder/core/food';
import {
  NO_PLAN,
  type Diet,
  type FeedingModel,
  type HouseGroup,
  type HouseTank,
} from '@open-larder/core/round';
import type { Species } from '@open-larder/catalogue';
import type { DietEdit } from './diet';
import type { FoodRow } from './food';
import type { Group } from './group';
import { unitOf, type UnitRow } from './servingUnit';
import type { HouseholdSettings } from './household';
import type { MomentRow } from './moment';
import type { Tank } from './tank';
import { temperatureOf } from './temperature';

export interface HouseRows {
  household: Pick<HouseholdSettings, 'timeZone'>;
  moments: readonly MomentRow[];
  tanks: readonly Tank[];
  groups: readonly Group[];
  foods: readonly (UnitRow &
    Pick<FoodRow, 'id' | 'name' | 'composition' | 'archived' | 'kind' | 'liftAfterMin'>)[];
  species: ReadonlyMap<string, Species>;
  /** The day for which lengths are worked out. */
  day: string;
  /** Whose hand deals; null takes what all hands weighed. */
  hand?: string | null;
}

/** Rows of the contract as the core's house: one reading, used by server and app alike. */
export function houseOf(rows: HouseRows): FeedingModel {
  const tanks = new Map(rows.tanks.map((tank) => [tank.id, tank]));
  return {
    timeZone: rows.household.timeZone,
    moments: rows.moments.filter((moment) => !moment.archived),
    tanks: rows.tanks.map(houseTank),
    groups: rows.groups
      .filter((group) => !group.archived)
      .flatMap((group) => houseGroup(group, rows.species, tanks.get(group.tankId), rows.day) ?? []),
    foods: rows.foods
      .filter((food) => !food.archived)
      .map((food) => ({
        id: food.id,
        name: food.name,
        composition: food.composition,
        unit: unitOf(food, rows.hand ?? null),
        litter: isLitter(food),
        staysMin: food.liftAfterMin,
      })),
  };
}

export function houseTank(tank: Tank): HouseTank {
  return {
    id: tank.id,
    name: tank.name,
    walkOrder: tank.walkOrder,
    tempC: temperatureOf(tank),
    light: { onMin: tank.lightOnMin, offMin: tank.lightOffMin },
    plan: tank.plan ?? NO_PLAN,
  };
}

/**
 * @param tank of the group; without it nothing is known of how it grew since it was measured
 * @param day  for which its length is worked out
 * @returns null where the species has left the catalogue
 */
export function houseGroup(
  group: Omit<Group, 'diet'> & { diet: Diet | DietEdit | null },
  speciesByKey: ReadonlyMap<string, Species>,
  tank: Pick<Tank, 'lastTemp' | 'tempC'> | undefined,
  day: string,
): HouseGroup | null {
  const species = speciesByKey.get(group.speciesKey);
  if (!species) return null;
  const measuredCm = group.lengthCm;
  const grown =
    measuredCm === null || tank === undefined
      ? null
      : grownSince(species, temperatureOf(tank), measuredCm, daysGrown(group.grew, day));
  return {
    id: group.id,
    tankId: group.tankId,
    name: group.name,
    species,
    stage: group.stage,
    count: group.size.total,
    lengthCm: grown?.lengthCm ?? measuredCm ?? assumedLengthCm(species, group.stage),
    lengthMeasured: measuredCm !== null,
    grown: grown?.from ?? null,
    lastOn: group.lastOn,
    belly: group.belly?.score ?? null,
    diet: group.diet,
    training: group.training,
  };
}
