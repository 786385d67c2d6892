import { stageFactor, type Food, type SpeciesTraits } from '../ration';
import { digestibleEnergy, toGrams, toServingUnits } from '../food';
import type { Diet, DietServing, HouseGroup, HouseTank } from '../round';
import { addDays, compileGroupDay } from '../round';
import { MAX_CHANGE } from './propose';

/** No goal is above ten times maintenance. */
const MAX_GOAL = 10;

/**
 * A diet whose portions are changed by a share: the goal, and each amount that the keeper set. What
 * rounding to serving units takes from one of those goes to the next, so that together they change by
 * what was meant as nearly as hands can.
 * @param change e.g. 0.1 for a tenth more
 */
export function changedDiet(
  diet: Diet,
  { stage, species }: Pick<HouseGroup, 'stage' | 'species'>,
  change: number,
  foods: ReadonlyMap<string, Food>,
): Diet {
  const goal = (diet.goalFactor ?? stageFactor(stage, species)) * (1 + change);
  let owedKj = 0;
  const servings = diet.servings.map((serving): DietServing => {
    const food = foods.get(serving.foodId);
    if (serving.ownUnits === null || !food) return serving;
    const kjPerG = energyOf(food, species);
    const grams = toGrams(serving.ownUnits, food.unit);
    const ownG = grams * (1 + change);
    const owedG = kjPerG > 0 ? owedKj / kjPerG / oftenOf(serving) : 0;
    // What is owed to another food must not turn this one round, nor change it twice as far.
    const [low, high] = [grams, grams * (1 + 2 * change)].sort((a, b) => a - b) as [number, number];
    const ownUnits = toServingUnits(Math.min(high, Math.max(low, ownG + owedG)), food.unit);
    owedKj += (ownG - toGrams(ownUnits, food.unit)) * kjPerG * oftenOf(serving);
    return { ...serving, ownUnits };
  });
  return { ...diet, goalFactor: Math.min(MAX_GOAL, Math.round(goal * 1000) / 1000), servings };
}

const energyOf = (food: Food, species: SpeciesTraits) =>
  digestibleEnergy(food.name, food.composition, species.guild).value;
const oftenOf = (serving: DietServing) => serving.days.length;

/** A serving whose portion would become another. */
export interface Changed {
  servingId: string;
  foodId: string;
  momentId: string;
  before: number;
  after: number;
}

/** The first portion of each serving, over the cycle from a day on, in serving units. */
function portionsFrom(
  group: HouseGroup,
  tank: HouseTank,
  foods: ReadonlyMap<string, Food>,
  from: string,
): Map<string, { serving: DietServing; units: number }> {
  const first = new Map<string, { serving: DietServing; units: number }>();
  for (let ahead = 0; ahead < Math.max(7, tank.plan.cycle.days); ahead += 1) {
    for (const { serving, portion } of compileGroupDay(group, tank, foods, addDays(from, ahead))
      .servings) {
      if (!first.has(serving.id)) first.set(serving.id, { serving, units: portion.units });
    }
  }
  return first;
}

/** What a proposal comes to: the diet, and the portions that become others. */
export interface Effect {
  change: number;
  diet: Diet;
  changed: Changed[];
}

/**
 * What becomes of a group's portions by a change. Where hands are too coarse for it, the most that a
 * correction may be is tried; where that changes no portion either, there is nothing to propose.
 * @param from the first day that the change would hold, YYYY-MM-DD
 */
export function effectOf(
  group: HouseGroup,
  tank: HouseTank,
  foods: ReadonlyMap<string, Food>,
  change: number,
  from: string,
): Effect | null {
  const { diet } = group;
  if (diet === null) return null;
  const before = portionsFrom(group, tank, foods, from);
  for (const by of [change, Math.sign(change) * MAX_CHANGE]) {
    const after = changedDiet(diet, group, by, foods);
    const portions = portionsFrom({ ...group, diet: after }, tank, foods, from);
    const changed = [...portions].flatMap(([servingId, { serving, units }]) => {
      const was = before.get(servingId)?.units ?? 0;
      const { foodId, momentId } = serving;
      return was === units ? [] : [{ servingId, foodId, momentId, before: was, after: units }];
    });
    if (changed.length > 0) return { change: by, diet: after, changed };
  }
  return null;
}
