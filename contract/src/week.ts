import { USUAL_RHYTHM } from '@open-larder/core/water/rhythm';
import { goodUntil, plannedUse, pricePerGram } from '@open-larder/core/stock';
import {
  addDays,
  compileRound,
  dayOfCycle,
  daysBetween,
  type FeedingModel,
} from '@open-larder/core/round';
import {
  choicesOf,
  preparing,
  usualFeedingStyle,
  workOf,
  type DryFood,
  type DryTank,
  type PreparedFood,
  type Preparing,
  type ShelfFood,
  type Usual,
  type WeekGroup,
  type WeekTask,
} from '@open-larder/core/week';
import { dailyNeed } from '@open-larder/core/ration';
import type { FoodRow } from './food';
import { houseTank } from './house';
import type { MomentRow } from './moment';
import type { LearnedRow } from './sighting';
import type { WaterRow } from './water';
import { feedGroups, feedingFoods, feedTank, type FeedingRows } from './zones';
import { stepsNow } from './stepsNow';

export interface WeekRows extends Omit<FeedingRows, 'learned'> {
  moments: readonly MomentRow[];
  learned?: readonly LearnedRow['groups'][number][];
}

/**
 * A tank's plan as it is judged and balanced.
 * @param day a day of the cycle that is looked at, YYYY-MM-DD
 */
export function weekTaskOf(rows: WeekRows, day: string): WeekTask {
  const tank = houseTank(rows.tank);
  const { cycle } = tank.plan;
  const first = addDays(day, 1 - dayOfCycle(cycle, day));
  const isHere = (id: string) => id === tank.id;
  const livingIn = (house: FeedingModel, which: (id: string) => boolean): FeedingModel => ({
    ...house,
    groups: house.groups.filter((group) => which(group.tankId)),
  });
  const others = livingIn(rows.house, (id) => !isHere(id));
  const groups = weekGroups(rows);
  const house = { ...livingIn(rows.house, isHere), tanks: [tank] };
  return {
    house: {
      ...house,
      groups: house.groups.filter(({ id }) => groups.some((one) => one.id === id)),
    },
    tank: feedTank(rows.tank, day),
    groups,
    foods: feedingFoods(rows),
    shelf: shelfFor(rows.foods, others, { first, days: cycle.days, today: day }),
    feedingStyle: rows.tank.plan?.feedingStyle ?? choicesOf(usualFor(groups, rows)),
    spareMin: spareFor(rows, others, first),
    first,
  };
}

/** What suits the fish of a tank, with what speaks for it. */
export const usualOf = (rows: WeekRows): Usual => usualFor(weekGroups(rows), rows);

function usualFor(groups: readonly WeekGroup[], { tank }: Pick<WeekRows, 'tank'>): Usual {
  return usualFeedingStyle(
    groups.map((group) => ({
      species: group.species,
      stage: group.stage,
      needKj: dailyNeed({ ...group, tempC: tank.tempC }).value,
    })),
  );
}

const weekGroups = (rows: WeekRows): WeekGroup[] =>
  feedGroups(rows).flatMap((group) => {
    const row = rows.groups.find((one) => one.id === group.id);
    const species = rows.species.get(row?.speciesKey ?? '');
    return species ? { ...group, species } : [];
  });

/** What there is of each food for one tank: the rest is for the plans of the others. */
function shelfFor(
  foods: readonly FoodRow[],
  others: FeedingModel,
  { first, days, today }: { first: string; days: number; today: string },
): ShelfFood[] {
  const used = new Map<string, number[]>();
  for (const { foodId, gramsOn } of plannedUse(others, first, days)) {
    const sum = used.get(foodId) ?? gramsOn.map(() => 0);
    used.set(
      foodId,
      sum.map((grams, at) => grams + gramsOn[at]!),
    );
  }
  const begun = Math.max(0, daysBetween(first, today));
  const last = addDays(first, days - 1);
  return foods
    .filter((food) => !food.archived)
    .map((food) => {
      const theirs = used.get(food.id) ?? Array<number>(days).fill(0);
      // What lives is given on its day or not at all; what it does not cover, the jars do.
      const lives = food.liveG && theirs.map((_, at) => food.liveG![Math.max(0, at - begun)] ?? 0);
      const liveG = lives?.map((grams, at) => Math.max(0, grams - theirs[at]!));
      const taken = theirs.reduce((sum, grams, at) => sum + Math.max(0, grams - (lives?.[at] ?? 0)), 0); // prettier-ignore
      const expiring = food.lots.reduce((sum, lot) => {
        const until = goodUntil(lot, food.keeps.openedDays);
        return until !== null && until <= last && until >= first ? sum + lot.remainingG : sum;
      }, 0);
      return {
        foodId: food.id,
        stockG:
          Math.max(0, food.remainingG - taken) +
          (liveG ?? []).reduce((sum, grams) => sum + grams, 0),
        ...(liveG ? { liveG } : {}),
        pricePerG: pricePerGram(food.lots),
        expiringG: Math.max(0, expiring - taken),
      };
    });
}

/** Minutes that are left for one tank at each moment, once the others are served. */
function spareFor(rows: WeekRows, others: FeedingModel, first: string): Record<string, number> {
  const spare: Record<string, number> = {};
  const work = workOf(compileRound(others, first), feedingFoods(rows));
  for (const moment of rows.moments) {
    if (moment.archived || moment.spareMin === null) continue;
    spare[moment.id] = Math.max(1, moment.spareMin - (work[moment.id] ?? 0));
  }
  return spare;
}

/**
 * A tank with its water, as a dry run takes it.
 * @param stand how its water stands, where that is known: the run begins there
 */
export const dryTankOf = (
  rows: WeekRows,
  day: string,
  status: WaterRow['status'] = null,
): DryTank => ({
  // A dry run begins today, wherever its cycle stands.
  task: { ...weekTaskOf(rows, day), first: day },
  water: rows.tank.plan?.water ?? USUAL_RHYTHM,
  believed: status && {
    mgL: status.days[0]!.before,
    production: status.fit.production,
    uptakeMgL: status.fit.uptakeMgL,
  },
});

export const dryFoodsOf = (foods: readonly FoodRow[]): DryFood[] =>
  foods
    .filter((food) => !food.archived)
    .map(({ id, lots, keeps, liveG }) => ({
      id,
      lots,
      ...(liveG ? { liveG } : {}),
      openedDays: keeps.openedDays,
      pricePerG: pricePerGram(lots),
    }));

/** What is to be prepared in a house. */
export const preparingOf = (
  house: FeedingModel,
  foods: readonly FoodRow[],
  first: string,
  days: number,
): Preparing[] =>
  preparing(
    house,
    preparedFoods(foods).map((food, at) => ({ ...food, steps: stepsNow(foods[at]!, first) })),
    first,
    days,
  );

export const preparedFoods = (foods: readonly FoodRow[]): PreparedFood[] =>
  foods.map(({ id, steps, keeps }) => ({
    id,
    steps,
    keepsPreparedHours: keeps.preparedHours,
  }));
