import { addDays, compileGroupDay, weekdayOf, type House, type HouseGroup } from '../round';

/** What each group takes of each food, on each of seven days from a day on; grams as fed. */
export interface PlannedUse {
  groupId: string;
  foodId: string;
  /** Seven days, beginning with the one asked for. */
  gramsOn: number[];
}

/**
 * The plan's use over a week, which repeats by weekday. A day on which a group has the same
 * servings as on another is computed once.
 * @param from first day, YYYY-MM-DD
 */
export function plannedUse(house: House, from: string): PlannedUse[] {
  const foods = new Map(house.foods.map((food) => [food.id, food]));
  const tanks = new Map(house.tanks.map((tank) => [tank.id, tank]));
  const moments = new Set(house.moments.map((moment) => moment.id));
  const week = [0, 1, 2, 3, 4, 5, 6].map((offset) => addDays(from, offset));
  const use: PlannedUse[] = [];
  for (const group of house.groups) {
    const tank = tanks.get(group.tankId);
    if (!tank || group.diet === null) continue;
    const byFood = new Map<string, PlannedUse>();
    const known = new Map<string, readonly [string, number][]>();
    week.forEach((day, index) => {
      const alike = servingsOn(group, day);
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
          gramsOn: Array<number>(7).fill(0),
        };
        byFood.set(foodId, row);
        row.gramsOn[index] = (row.gramsOn[index] as number) + grams;
      }
    });
    use.push(...byFood.values());
  }
  return use;
}

/** What makes two days of a group alike: its fast, and which servings it has. */
function servingsOn({ diet }: HouseGroup, day: string): string {
  const weekday = weekdayOf(day);
  const fast = diet?.fastWeekdays.includes(weekday) ? 'fast' : 'fed';
  const which = (diet?.servings ?? []).map((one) => (one.weekdays.includes(weekday) ? '1' : '0'));
  return `${fast}${which.join('')}`;
}
