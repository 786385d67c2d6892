import type { Zone } from '@open-larder/catalogue';
import { eatsNothing, mayNotFast } from '../fish';
import {
  besideRation,
  dailyNeed,
  fastFactor,
  portion,
  type Food,
  type GroupOnDay,
  type Portion,
} from '../ration';
import { assumed, computed, type Known } from '../why';
import { dayOfCycle } from './cycle';
import { toServingUnits } from '../food';
import { sharesOf } from './training';
import { fastOn, fastsOf, weeklyFasts } from './fast';
import { periodOn, restsIn, type Period } from './period';
import type { DietServing, HouseGroup, HouseTank } from './plan';

/** Why a group gets nothing on a day: planned, because of its stage, of its brood, or of the time of year. */
export type Rest = 'fast' | 'stage' | 'empty' | 'brood' | 'period' | null;

export interface DueServing {
  serving: DietServing;
  food: Food;
  zone: Zone;
  portion: Portion;
  /** Part of a mixed meal: the food that they know, or the one that is new to them. */
  mixed: 'known' | 'new' | null;
}

export interface GroupDay {
  group: HouseGroup;
  rest: Rest;
  /** Energy needed that day; 0 where the day is a rest. */
  needKj: Known;
  /** Digestible energy that the portions carry. */
  plannedKj: number;
  servings: DueServing[];
}

export function groupOnDay(
  group: HouseGroup,
  tank: Pick<HouseTank, 'tempC'> & Partial<Pick<HouseTank, 'plan'>>,
): GroupOnDay {
  const plain: GroupOnDay = {
    species: group.species,
    stage: group.stage,
    count: group.count,
    lengthCm: group.lengthCm,
    lengthMeasured: group.lengthMeasured,
    grown: group.grown,
    tempC: tank.tempC,
    goalFactor: group.diet?.goalFactor ?? null,
    belly: group.belly,
  };
  return { ...plain, fastFactor: fastFactor(plain, weeklyFasts(group, tank.plan).length) };
}

/** Whether the group rests on this day, and why. Fry are never given a fasting day. */
export function restOn(
  group: HouseGroup,
  { plan, tempC }: Pick<HouseTank, 'plan' | 'tempC'>,
  day: string,
): Rest {
  if (group.count === 0) return 'empty';
  if (eatsNothing(group.stage)) return 'stage';
  if (mayNotFast(group.stage)) return null;
  if (group.parents?.share === 0) return 'brood';
  if (fastOn(fastsOf(group, plan), group, day)) return 'fast';
  const period = periodOn(plan.periods, group, tempC, day);
  return period && restsIn(period, day) ? 'period' : null;
}

/**
 * What one group gets on one day.
 * The day's need is split over that day's servings by their weights.
 * @param foods by id; a serving of a food that is no longer on the list is left out
 */
export function compileGroupDay(
  group: HouseGroup,
  tank: Pick<HouseTank, 'tempC' | 'plan'>,
  foods: ReadonlyMap<string, Food>,
  day: string,
): GroupDay {
  const rest = restOn(group, tank, day);
  const period = periodOn(tank.plan.periods, group, tank.tempC, day);
  const usual = parentsNeed(dailyNeed(groupOnDay(group, tank)), group.parents);
  const needKj = rest === null ? periodNeed(usual, period) : usual;
  if (rest !== null || group.diet === null) {
    return { group, rest, needKj, plannedKj: 0, servings: [] };
  }
  const ofCycle = dayOfCycle(tank.plan.cycle, day);
  const planned = group.diet.servings.filter(
    (serving) =>
      serving.days.includes(ofCycle) &&
      foods.has(serving.foodId) &&
      !period?.without.includes(serving.foodId),
  );
  // A food that they are being trained onto is not put before them by itself, unless nothing else is.
  const others = planned.filter((serving) => serving.foodId !== group.training?.foodId);
  const today = others.length > 0 ? others : planned;
  const isBeside = ({ foodId }: DietServing) => foods.get(foodId)!.litter === true;
  const weights = today.reduce((sum, serving) => sum + (isBeside(serving) ? 0 : serving.weight), 0);
  let plannedKj = 0;
  const servings = today.flatMap((serving): DueServing[] => {
    const food = foods.get(serving.foodId)!;
    if (isBeside(serving)) {
      const served = besideRation(food, serving.ownUnits);
      return [{ serving, food, zone: serving.zone, portion: served, mixed: null }];
    }
    const part = weights > 0 ? serving.weight / weights : 0;
    const due = mealOf(group, serving, part, needKj, foods, period?.share ?? 1);
    for (const one of due) plannedKj += one.portion.energyKj;
    return due;
  });
  return { group, rest, needKj, plannedKj, servings };
}

/** The need of a group on a day on which some of it spawn, guard or are built up again. */
function parentsNeed(usual: Known, parents: HouseGroup['parents']): Known {
  if (!parents) return usual;
  return computed(usual.value * parents.share, {
    label: 'Energy the group needs today',
    unit: 'kJ/d',
    how: 'usual need × share of the group that eats',
    from: [
      usual,
      assumed(
        'Share of a usual portion',
        parents.share,
        '',
        `${parents.broodName}: ${parents.animals} of them`,
      ),
    ],
  });
}

/** The need in a part of the year in which they get more or less than usual. */
function periodNeed(usual: Known, period: Period | null): Known {
  if (!period || period.share === 1) return usual;
  return computed(usual.value * period.share, {
    label: 'Energy the group needs today',
    unit: 'kJ/d',
    how: 'usual need × share of the period',
    from: [usual, assumed('Share of a usual portion', period.share, '', period.name)],
  });
}

/** A serving as it is served: one food, or two while the group is trained onto another. */
function mealOf(
  { species: { guild }, training, parents }: HouseGroup,
  serving: DietServing,
  part: number,
  needKj: Known,
  foods: ReadonlyMap<string, Food>,
  ofPeriod: number,
): DueServing[] {
  const known = foods.get(serving.foodId) as Food;
  // An amount that the keeper set is for all of them, on a usual day.
  const share = (parents?.share ?? 1) * ofPeriod;
  const own =
    serving.ownUnits === null || share === 1
      ? serving.ownUnits
      : toServingUnits(serving.ownUnits * known.unit.massG * share, known.unit);
  const plain = portion(needKj, part, known, guild, own);
  const fresh = training?.servingId === serving.id ? foods.get(training.foodId) : undefined;
  const { zone } = serving;
  if (!training || !fresh) return [{ serving, food: known, zone, portion: plain, mixed: null }];
  const portionOf = (food: Food, ofMeal: Known): Portion => {
    const served = portion(needKj, part, food, guild, null, ofMeal);
    if (serving.ownUnits === null || served.energyKj === 0) return served;
    // The keeper set the meal: both foods together are to carry what that would have carried.
    const grams = (plain.energyKj * ofMeal.value * served.massG) / served.energyKj;
    return portion(needKj, part, food, guild, toServingUnits(grams, food.unit), ofMeal);
  };
  const shares = sharesOf(training);
  const due: DueServing[] = [];
  if (shares.known.value > 0) {
    due.push({
      serving,
      food: known,
      zone,
      portion: portionOf(known, shares.known),
      mixed: 'known',
    });
  }
  const offered = { ...serving, id: training.id, foodId: fresh.id, ownUnits: null };
  due.push({
    serving: offered,
    food: fresh,
    zone,
    portion: portionOf(fresh, shares.fresh),
    mixed: 'new',
  });
  return due;
}
