import { toServingUnits } from '../food';
import { largestThatFits, type Rung } from './ladder';
import type { BroodFood } from './menu';
import { widestPreyUm } from './mouth';
import { fryPortion } from './portion';
import type { BroodTask, BroodTub } from './status';

/** What a brood gets of one food on a day. */
export interface Feed {
  key: string;
  /** Null is not on the shelf as a food yet. */
  foodId: string | null;
  name: string;
  live: boolean;
  share: number;
  gramsPerDay: number;
  meals: number;
  mealsWanted: number;
  gramsPerMeal: number;
  animalsPerMeal: number | null;
  unitsPerMeal: number;
  unit: BroodFood['unit'];
  carried: number;
  /** What it stands in for, where that is not there yet; null where it is what was meant. */
  instead: string | null;
  /** It is not in the house, and neither is anything that fits in its place. */
  missing: boolean;
}

/** What is given on a day of age: rungs that overlap share what does not stand in the water already. */
export function feedsOf(
  task: BroodTask,
  rungs: readonly Rung<BroodFood>[],
  lengthCm: number,
  count: number,
  age: number,
  { tempC }: BroodTub,
  carried: number,
): Feed[] {
  const on = rungs.filter(({ from, to }) => from <= age && age < to);
  return on.map(({ prey }) =>
    feedOf(task, prey, { lengthCm, count, tempC, share: (1 - carried) / on.length }),
  );
}

function feedOf(
  task: BroodTask,
  prey: BroodFood,
  day: { lengthCm: number; count: number; tempC: number; share: number },
): Feed {
  const { species, lightHours, times } = task;
  const portion = fryPortion({ ...day, species, lightHours, moments: times.length }, prey);
  return {
    key: prey.key,
    foodId: prey.foodId,
    name: prey.name,
    live: prey.live,
    share: day.share,
    gramsPerDay: portion.gramsPerDay,
    meals: portion.meals,
    mealsWanted: portion.mealsWanted,
    gramsPerMeal: portion.gramsPerMeal,
    animalsPerMeal: portion.animalsPerMeal,
    unitsPerMeal: toServingUnits(portion.gramsPerMeal, prey.unit),
    unit: prey.unit,
    carried: portion.carried,
    instead: null,
    missing: false,
  };
}

/** So many times what its cultures give lastingly, or a gram a day, a house may grow towards. Assumption. */
const GROWS_TO = 4;
const GROWS_TO_G = 1;

/** Of a live food no more is planned than a house could come to grow. */
export const couldGrow = ({ gives }: BroodFood): number =>
  gives === null ? Infinity : Math.max(GROWS_TO * gives.lastingG, GROWS_TO_G);
/** Of a live food no more is fed today than its cultures give. */
export const givesToday = ({ gives }: BroodFood): number =>
  gives === null ? Infinity : Math.max(gives.todayG, gives.lastingG);

/** Fat worms are a part of a day's food and never the whole of it, where something else fits. Practice. */
const FAT_WORMS: ReadonlySet<string> = new Set(['grindal-worms', 'white-worms']);
const FAT_WORMS_MOST = 0.5;

const richest = ({ kindKey }: BroodFood): number =>
  kindKey !== null && FAT_WORMS.has(kindKey) ? FAT_WORMS_MOST : 1;

/**
 * Live food within what there is of it, and fat worms as half of the day at most: the rest of the need
 * goes to the largest dry or frozen food that fits and may be given; where there is none, what is meant
 * stays.
 * @param most grams a day of a food
 */
export function withinReach(
  feeds: readonly Feed[],
  task: BroodTask,
  lengthCm: number,
  count: number,
  allows: (food: BroodFood) => boolean,
  most: (food: BroodFood) => number,
): Feed[] {
  const byKey = new Map(task.foods.map((food) => [food.key, food]));
  const tempC = task.tubs[0]?.tempC ?? task.species.tempOptC;
  /** The part of what is meant that may be given of it. */
  const part = (feed: Feed): number => {
    const food = byKey.get(feed.key)!;
    return Math.min(1, most(food) / feed.gramsPerDay, richest(food) / feed.share);
  };
  const over = (feed: Feed) => feed.live && !feed.missing && part(feed) < 1;
  const dry = largestThatFits(
    task.foods.filter((food) => !food.live && food.there && allows(food)),
    widestPreyUm(lengthCm, task.species.gapeShare),
  );
  if (!dry || !feeds.some(over)) return [...feeds];
  const of = (food: BroodFood, share: number) =>
    feedOf(task, food, { lengthCm, count, tempC, share });
  let rest = feeds.find(({ key }) => key === dry.key)?.share ?? 0;
  const kept = feeds.flatMap((feed): Feed[] => {
    if (feed.key === dry.key) return [];
    if (!over(feed)) return [feed];
    const given = part(feed);
    rest += feed.share * (1 - given);
    return given > 0
      ? [{ ...of(byKey.get(feed.key)!, feed.share * given), instead: feed.instead }]
      : [];
  });
  return [...kept, of(dry, rest)];
}

/**
 * What is fed today of what is meant: what is not there yet is stood in for by the largest that is there
 * and fits, powder too.
 * @param lengthCm of the young, today
 * @param allows   what may be given to them today
 */
export function atHand(
  meant: readonly Feed[],
  task: BroodTask,
  lengthCm: number,
  count: number,
  allows: (food: BroodFood) => boolean,
): Feed[] {
  const tempC = task.tubs[0]?.tempC ?? task.species.tempOptC;
  const byKey = new Map(task.foods.map((food) => [food.key, food]));
  const other = largestThatFits(
    task.foods.filter((food) => food.there && allows(food)),
    widestPreyUm(lengthCm, task.species.gapeShare),
  );
  const given = new Map<string, { share: number; instead: string | null; missing: boolean }>();
  for (const { key, name, share } of meant) {
    const there = byKey.get(key)!.there;
    const taken = there || !other ? key : other.key;
    const known = given.get(taken);
    given.set(taken, {
      // What is fed anyway carries the share of what is not there.
      share: (known?.share ?? 0) + share,
      instead: taken === key ? null : known ? known.instead : name,
      missing: !there && !other,
    });
  }
  const feeds = [...given].map(([key, { share, ...rest }]) => ({
    ...feedOf(task, byKey.get(key)!, { lengthCm, count, tempC, share }),
    ...rest,
  }));
  return withinReach(feeds, task, lengthCm, count, allows, givesToday);
}
