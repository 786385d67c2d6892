import type { Zone } from '@open-larder/catalogue';
import { eatsNothing, mayNotFast } from '../fish';
import { dailyNeed, portion, type Food, type GroupOnDay, type Portion } from '../ration';
import { type Known } from '../why';
import { weekdayOf } from './clock';
import { dayOfCycle } from './cycle';
import { fastOn } from './fast';
import type { DietServing, HouseGroup, HouseTank } from './plan';

/** Why a group gets nothing on a day: planned, or because of its stage. */
export type Rest = 'fast' | 'stage' | 'empty' | null;

export interface DueServing {
  serving: DietServing;
  food: Food;
  zone: Zone;
  portion: Portion;
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

export function groupOnDay(group: HouseGroup, tank: Pick<HouseTank, 'tempC'>): GroupOnDay {
  return {
    species: group.species,
    stage: group.stage,
    count: group.count,
    lengthCm: group.lengthCm,
    lengthMeasured: group.lengthMeasured,
    tempC: tank.tempC,
    goalFactor: group.diet?.goalFactor ?? null,
    belly: group.belly,
  };
}

/** Whether the group rests on this day, and why. Fry are never given a fasting day. */
export function restOn(group: HouseGroup, { plan }: Pick<HouseTank, 'plan'>, day: string): Rest {
  if (group.count === 0) return 'empty';
  if (eatsNothing(group.stage)) return 'stage';
  if (mayNotFast(group.stage)) return null;
  if (group.diet?.fastWeekdays.includes(weekdayOf(day))) return 'fast';
  return fastOn(plan.fasts, group, day) ? 'fast' : null;
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
  const needKj = dailyNeed(groupOnDay(group, tank));
  if (rest !== null || group.diet === null) {
    return { group, rest, needKj, plannedKj: 0, servings: [] };
  }
  const ofCycle = dayOfCycle(tank.plan.cycle, day);
  const today = group.diet.servings.filter(
    (serving) => serving.days.includes(ofCycle) && foods.has(serving.foodId),
  );
  const weights = today.reduce((sum, serving) => sum + serving.weight, 0);
  let plannedKj = 0;
  const servings = today.map((serving) => {
    const food = foods.get(serving.foodId) as Food;
    const dealt = portion(
      needKj,
      weights > 0 ? serving.weight / weights : 0,
      food,
      group.species.guild,
      serving.ownUnits,
    );
    plannedKj += dealt.energyKj;
    return { serving, food, zone: serving.zone, portion: dealt };
  });
  return { group, rest, needKj, plannedKj, servings };
}
