import {
  addDays,
  compileGroupDay,
  dayOfCycle,
  periodOn,
  restOn,
  type FeedingModel,
  type HouseGroup,
  type HouseTank,
} from '../round';

/** What each group takes of each food, day by day from a day on; grams as fed. */
export interface PlannedUse {
  groupId: string;
  foodId: string;
  /** As many days as were asked for, beginning with the first. */
  gramsOn: number[];
}

/**
 * The plan's own use. A day on which a group has the same servings as on another is computed once,
 * and what repeats by the week is looked at for one week.
 * @param from first day, YYYY-MM-DD
 * @param days how many days
 */
export function plannedUse(house: FeedingModel, from: string, days: number): PlannedUse[] {
  const foods = new Map(house.foods.map((food) => [food.id, food]));
  const tanks = new Map(house.tanks.map((tank) => [tank.id, tank]));
  const moments = new Set(house.moments.map((moment) => moment.id));
  const dayOf = Array.from({ length: days }, (_, offset) => addDays(from, offset));
  const use: PlannedUse[] = [];
  for (const group of house.groups) {
    const tank = tanks.get(group.tankId);
    if (!tank || group.diet === null) continue;
    const looked = Math.min(days, repeatsWeekly(tank) ? 7 : days);
    const byFood = new Map<string, PlannedUse>();
    const known = new Map<string, readonly [string, number][]>();
    dayOf.slice(0, looked).forEach((day, index) => {
      const alike = servingsOn(group, tank, day);
      let served = known.get(alike);
      if (!served) {
        served = compileGroupDay(group, tank, foods, day)
          .servings.filter(({ serving }) => moments.has(serving.momentId))
          .map(({ food, portion }): [string, number] => [food.id, portion.massG]);
        known.set(alike, served);
      }
      for (const [foodId, grams] of served) {
        const row = byFood.get(foodId) ?? {
          groupId: group.id,
          foodId,
          gramsOn: Array<number>(days).fill(0),
        };
        byFood.set(foodId, row);
        for (let at = index; at < days; at += looked) {
          row.gramsOn[at] = (row.gramsOn[at] as number) + grams;
        }
      }
    });
    use.push(...byFood.values());
  }
  return use;
}

/** Whether a tank's plan is the same every week for ever: its cycle is, no fast has a date and no season. */
const repeatsWeekly = ({ plan }: HouseTank): boolean =>
  7 % plan.cycle.days === 0 &&
  !plan.periods?.length &&
  plan.fasts.every(({ when }) => when.kind === 'weekly' || when.kind === 'stage');

/** What makes two days of a group alike: its fast, and which servings it has. */
function servingsOn(group: HouseGroup, tank: HouseTank, day: string): string {
  const ofCycle = dayOfCycle(tank.plan.cycle, day);
  const which = (group.diet?.servings ?? []).map((one) => (one.days.includes(ofCycle) ? '1' : '0'));
  const period = periodOn(tank.plan.periods, group, tank.tempC, day);
  return `${restOn(group, tank, day) ?? ''}${period?.id ?? ''}${which.join('')}`;
}
