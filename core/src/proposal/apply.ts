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
  /** 0 is left out. */
  after: number;
  /** Days of the cycle on which it would; null is on all of its days. */
  days: readonly number[] | null;
}

/** What a cycle of a diet gives: each serving’s first portion, and the energy of all that is dealt. */
interface Given {
  portions: Map<string, { serving: DietServing; units: number }>;
  kj: number;
}

function givenFrom(
  group: HouseGroup,
  tank: HouseTank,
  foods: ReadonlyMap<string, Food>,
  from: string,
): Given {
  const given: Given = { portions: new Map(), kj: 0 };
  for (let ahead = 0; ahead < Math.max(7, tank.plan.cycle.days); ahead += 1) {
    for (const { serving, portion } of compileGroupDay(group, tank, foods, addDays(from, ahead))
      .servings) {
      given.kj += portion.energyKj;
      if (!given.portions.has(serving.id)) {
        given.portions.set(serving.id, { serving, units: portion.units });
      }
    }
  }
  return given;
}

/** What a proposal comes to: what they really get more or less, the diet, and the portions that become others. */
export interface Effect {
  /** Of all that is dealt in a cycle, -0.15 to 0.15. */
  change: number;
  diet: Diet;
  changed: Changed[];
}

/** No more than may be corrected, within what figures round to. */
const within = (real: number, change: number) =>
  real * change > 0 && Math.abs(real) <= MAX_CHANGE + 1e-9;

/**
 * What becomes of a group’s portions by a change, as they are really given: all portions by that share, where
 * they can be dealt so; else one of them by a step on some of its days, or left out on some. Never more
 * than a correction may be, and where nothing fits, there is nothing to propose.
 * @param from  the first day that the change would hold, YYYY-MM-DD
 * @param newId of the serving that a part of another becomes
 */
export function effectOf(
  group: HouseGroup,
  tank: HouseTank,
  foods: ReadonlyMap<string, Food>,
  change: number,
  from: string,
  newId: () => string,
): Effect | null {
  const { diet } = group;
  if (diet === null) return null;
  const before = givenFrom(group, tank, foods, from);
  if (before.kj <= 0) return null;
  const realOf = (after: Diet) =>
    givenFrom({ ...group, diet: after }, tank, foods, from).kj / before.kj - 1;
  const whole = changedDiet(diet, group, change, foods);
  if (within(realOf(whole), change)) {
    const after = givenFrom({ ...group, diet: whole }, tank, foods, from);
    const changed = [...after.portions].flatMap(([servingId, { serving, units }]): Changed[] => {
      const was = before.portions.get(servingId)?.units ?? 0;
      const { foodId, momentId } = serving;
      return was === units
        ? []
        : [{ servingId, foodId, momentId, before: was, after: units, days: null }];
    });
    if (changed.length > 0) return { change: rounded(realOf(whole)), diet: whole, changed };
  }
  const steps = [...before.portions.values()].flatMap((given) =>
    byAStep(diet, given, Math.sign(change), foods, newId),
  );
  const fitting = steps
    .map((step) => ({ ...step, change: rounded(realOf(step.diet)) }))
    .filter((step) => within(step.change, change));
  const off = (step: Effect) => Math.abs(step.change - change);
  return fitting.reduce<Effect | null>(
    (best, step) => (best === null || off(step) < off(best) - 1e-9 ? step : best),
    null,
  );
}

const rounded = (change: number) => Math.round(change * 1000) / 1000;

/** One serving by the smallest step, on one of its days, on two, and so on. */
function byAStep(
  diet: Diet,
  { serving, units }: { serving: DietServing; units: number },
  sign: number,
  foods: ReadonlyMap<string, Food>,
  newId: () => string,
): Omit<Effect, 'change'>[] {
  const food = foods.get(serving.foodId);
  if (!food || food.litter || units <= 0) return [];
  const after = Math.max(0, Math.round((units + sign * food.unit.step) * 1e6) / 1e6);
  const { id: servingId, foodId, momentId } = serving;
  return serving.days.map((_, index): Omit<Effect, 'change'> => {
    const days = spreadDays(serving.days, index + 1);
    const others = serving.days.filter((day) => !days.includes(day));
    const kept = others.length > 0 ? [{ ...serving, days: others }] : [];
    // All of its days: it is the same serving, with another amount.
    const id = others.length > 0 ? newId() : servingId;
    const part = after > 0 ? [{ ...serving, id, days, ownUnits: after }] : [];
    return {
      diet: {
        ...diet,
        servings: diet.servings.flatMap((one) =>
          one.id === servingId ? [...kept, ...part] : [one],
        ),
      },
      changed: [{ servingId, foodId, momentId, before: units, after, days }],
    };
  });
}

/** So many of some days, as far apart as they allow. */
const spreadDays = (days: readonly number[], count: number): number[] =>
  Array.from({ length: count }, (_, nth) => days[Math.floor((nth * days.length) / count)]!);
