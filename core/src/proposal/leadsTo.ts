import { grows } from '../fish';
import { digestibleEnergy } from '../food';
import type { Food } from '../ration';
import { addDays, compileGroupDay, type Diet, type HouseGroup, type HouseTank } from '../round';
import { grown, growingOf, lengthsOf } from '../week/dryRun/growth';

/** A figure as it is, and as it would be. */
export interface Moves<T> {
  before: T;
  after: T;
}

/** Days that a date is looked for; beyond them it is not told. */
const HORIZON_DAYS = 365;
/** At this share of an adult's length most are moved up or given away. Assumption. */
const MOVED_UP = 0.75;
/** A share of the food that moves by less is rounding. */
const FELT = 0.01;

/** What one cycle of a diet gives a group. */
interface Given {
  /** kJ of each food. */
  byFood: ReadonlyMap<string, number>;
  /** kJ that one fish gets in a day, and what it needs. */
  dayKj: number;
  needKj: number;
}

function givenBy(
  group: HouseGroup,
  tank: HouseTank,
  foods: ReadonlyMap<string, Food>,
  from: string,
): Given {
  const days = Math.max(7, tank.plan.cycle.days);
  const byFood = new Map<string, number>();
  let needKj = 0;
  for (let ahead = 0; ahead < days; ahead += 1) {
    const day = compileGroupDay(group, tank, foods, addDays(from, ahead));
    needKj = day.needKj.value;
    for (const { food, portion } of day.servings) {
      const { value } = digestibleEnergy(food.name, food.composition, group.species.guild);
      byFood.set(food.id, (byFood.get(food.id) ?? 0) + value * portion.massG);
    }
  }
  const all = [...byFood.values()].reduce((sum, kj) => sum + kj, 0);
  const mouths = Math.max(1, group.count);
  return { byFood, dayKj: all / days / mouths, needKj: needKj / mouths };
}

/** What a change of a group's portions does to what it gets and to how it grows. */
export interface FedAfter {
  /** What a day gives of what they need today, %. */
  ofNeed: Moves<number>;
  /** Share of their energy by family of food, 0..1: those that move. */
  shares: ({ family: string } & Moves<number>)[];
  /** When those that grow reach a length; null for others. A date is null where it is beyond a year. */
  size: ({ lengthCm: number } & Moves<string | null>) | null;
}

/**
 * What follows for a group from another diet, if all that is served reaches it. Portions grow with the
 * fish, as those of the plan do.
 * @param after    its diet as proposed
 * @param familyOf the family of a food by its id
 * @param from     the first day that it would hold
 */
export function fedAfter(
  group: HouseGroup,
  after: Diet,
  tank: HouseTank,
  foods: ReadonlyMap<string, Food>,
  familyOf: (foodId: string) => string,
  from: string,
): FedAfter {
  const now = givenBy(group, tank, foods, from);
  const then = givenBy({ ...group, diet: after }, tank, foods, from);
  const [was, will] = [now, then].map(({ byFood }) => byFamily(byFood, familyOf)) as [
    Map<string, number>,
    Map<string, number>,
  ];
  const shares = [...new Set([...was.keys(), ...will.keys()])].map((family) => ({
    family,
    before: was.get(family) ?? 0,
    after: will.get(family) ?? 0,
  }));
  // The goal moves with the portions; what they need as they are does not.
  const percent = (kj: number) => (now.needKj > 0 ? (100 * kj) / now.needKj : 0);
  const lengthCm = Math.round(group.species.adultLengthCm * MOVED_UP * 10) / 10;
  return {
    ofNeed: { before: percent(now.dayKj), after: percent(then.dayKj) },
    shares: shares.filter((one) => Math.abs(one.after - one.before) >= FELT),
    size:
      grows(group.stage) && group.lengthCm < lengthCm
        ? {
            lengthCm,
            before: dayOfLength(group, tank, now.dayKj, lengthCm, from),
            after: dayOfLength(group, tank, then.dayKj, lengthCm, from),
          }
        : null,
  };
}

function byFamily(byFood: ReadonlyMap<string, number>, familyOf: (foodId: string) => string) {
  const all = [...byFood.values()].reduce((sum, kj) => sum + kj, 0);
  const shares = new Map<string, number>();
  if (all <= 0) return shares;
  for (const [foodId, kj] of byFood) {
    const family = familyOf(foodId);
    shares.set(family, (shares.get(family) ?? 0) + kj / all);
  }
  return shares;
}

/** The day on which one fish has a length, fed so much now and with its mass more. */
function dayOfLength(
  group: HouseGroup,
  { tempC }: HouseTank,
  dayKj: number,
  lengthCm: number,
  from: string,
): string | null {
  let growing = growingOf(group);
  const startG = growing.massG.middle;
  for (let day = 0; day < HORIZON_DAYS; day += 1) {
    if (lengthsOf(group, growing).middle >= lengthCm) return addDays(from, day);
    const larger = (growing.massG.middle / startG) ** 0.8;
    growing = grown(group, growing, dayKj * larger, tempC);
  }
  return null;
}
