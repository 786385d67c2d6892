import { usualInWater, type Species } from '@open-larder/catalogue';
import {
  addDays,
  compileRound,
  groupOnDay,
  type FeedingModel,
  type HouseGroup,
} from '@open-larder/core/round';
import { furnishingOf, measuresOf, waterLitres } from '@open-larder/core/tank';
import { isLitter } from '@open-larder/core/food';
import { liftAfter } from '@open-larder/core/feedingStyle';
import {
  daySpan,
  dropsBefore,
  dropsOf,
  mealSpan,
  type FeedFood,
  type FeedGroup,
  type Feeding,
  type FeedTank,
  type BellyLooks,
  type Sighting,
} from '@open-larder/core/zones';
import type { FoodRow } from './food';
import type { Group } from './group';
import { houseTank } from './house';
import type { Observation } from './look';
import type { LearnedRow, SightingRow } from './sighting';
import type { Tank } from './tank';
import { filmOn } from './film';
import { temperatureOf } from './temperature';

export interface FeedingRows {
  tank: Tank;
  /** Groups that live in it. */
  groups: readonly Group[];
  foods: readonly FoodRow[];
  species: ReadonlyMap<string, Species>;
  house: FeedingModel;
  /** What was learned of its groups; left out, everything is as expected. */
  learned?: readonly LearnedRow['groups'][number][];
}

/**
 * A tank's planned day, or one meal of it, as the simulation takes it.
 * @param day      YYYY-MM-DD
 * @param momentId one moment; null for the whole day
 */
export function feedingOf(rows: FeedingRows, day: string, momentId: string | null): Feeding {
  const house = {
    ...rows.house,
    groups: rows.house.groups.filter((group) => group.tankId === rows.tank.id),
  };
  const round = compileRound(house, day);
  const moments = round.moments.filter(({ moment }) => momentId === null || moment.id === momentId);
  const drops = dropsOf({ ...round, moments }, rows.tank.id);
  const tank = feedTank(rows.tank, day);
  const foods = feedingFoods({ ...rows, house });
  const lifts = new Map(foods.map((food) => [food.id, food.liftAfterMin]));
  const span =
    momentId === null || drops.length === 0
      ? daySpan(tank.light, drops)
      : mealSpan(drops, (foodId) => lifts.get(foodId) ?? null);
  return {
    tank,
    groups: feedGroups(rows),
    foods,
    drops,
    before: momentId === null ? dropsBefore(house, rows.tank.id, foods, day) : [],
    ...span,
  };
}

/** The foods of the shelf as this tank gets them: in the hand's units, lifted as its feeding style has it. */
export function feedingFoods({
  tank,
  foods,
  house,
}: Pick<FeedingRows, 'tank' | 'foods' | 'house'>): FeedFood[] {
  const units = new Map(house.foods.map((food) => [food.id, food.unit]));
  const feedingStyle = tank.plan?.feedingStyle ?? null;
  return foods
    .filter((food) => !food.archived)
    .map((food) => ({
      ...feedFood(food, units.get(food.id)),
      liftAfterMin: liftAfter(feedingStyle, food),
    }));
}

/**
 * What was seen of a feeding, with the groups as they are now and nothing learned of them yet.
 * @returns null where a food of it is no longer known, or only leaves were looked at
 */
export function sightingOf(rows: FeedingRows, row: SightingRow): Sighting | null {
  const foods = new Map(rows.foods.map((food) => [food.id, food]));
  if (row.drops.some((drop) => !foods.has(drop.foodId))) return null;
  const about = row.drops.filter(({ key }) => row.dropKeys?.includes(key) ?? true);
  // How long a leaf lasts says nothing of how fast a meal is found.
  if (about.every((drop) => isLitter(foods.get(drop.foodId)!)) && row.came.length === 0)
    return null;
  return {
    feeding: {
      tank: feedTank(rows.tank, row.day),
      groups: feedGroups({ ...rows, learned: undefined }),
      foods: rows.foods.map((food) => feedFood(food)),
      drops: row.drops,
      ...mealSpan(row.drops, (foodId) => foods.get(foodId)?.liftAfterMin ?? null),
    },
    clearedMin: row.clearedMin,
    left: row.left,
    about: row.dropKeys && new Set(row.dropKeys),
    came: new Map(row.came.map(({ groupId, share }) => [groupId, share])),
  };
}

/** Older looks were at other fish. Assumption. */
const LOOKS_DAYS = 28;
/** A new diet shows in a belly after so many days. Assumption. */
const SETTLES_DAYS = 3;

/**
 * How the groups of a tank looked of late, beside the day that their running plan gives them.
 * @returns null where none was looked at since its diet runs, or nothing is planned that day
 */
export function bellyLooksOf(
  rows: FeedingRows,
  looks: readonly Observation[],
  day: string,
): BellyLooks | null {
  const feeding = feedingOf({ ...rows, learned: undefined }, day, null);
  if (feeding.drops.length === 0) return null;
  const seen = new Map(
    rows.groups.flatMap(({ id, diet }) => {
      if (diet === null || !feeding.drops.some(({ groupId }) => groupId === id)) return [];
      const since = [addDays(day, -LOOKS_DAYS), addDays(diet.validFrom, SETTLES_DAYS)].sort()[1]!;
      const mine = looks.filter(
        (look) =>
          look.groupId === id &&
          look.day >= since &&
          look.day <= day &&
          (look.belly !== null || look.hungBack),
      );
      return mine.length > 0 ? [[id, mine] as const] : [];
    }),
  );
  return seen.size > 0 ? { feeding, seen } : null;
}

export function feedGroups({
  tank,
  groups,
  species,
  house,
  learned = [],
}: FeedingRows): FeedGroup[] {
  const housed = new Map(house.groups.map((group) => [group.id, group]));
  const traits = new Map(learned.map((one) => [one.groupId, one]));
  return groups.flatMap((group) => {
    const kind = species.get(group.speciesKey);
    const inHouse = housed.get(group.id);
    if (!kind || !inHouse) return [];
    return { ...feedGroup(inHouse, kind, group, tank), learned: traits.get(group.id) };
  });
}

/** @param day the film counts where it was seen in the week before it */
export function feedTank(tank: Tank, day: string): FeedTank {
  const { lengthCm, widthCm, depthCm } = measuresOf(tank);
  const { flow, decor, plants, ground } = furnishingOf(tank);
  return {
    lengthCm,
    widthCm,
    depthCm,
    litres: waterLitres(tank)?.value ?? (lengthCm * widthCm * depthCm) / 1000,
    tempC: temperatureOf(tank),
    light: { onMin: tank.lightOnMin, offMin: tank.lightOffMin },
    flow,
    decor,
    plants,
    ground,
    film: filmOn(tank, day) ?? 'none',
  };
}

function feedGroup(housed: HouseGroup, species: Species, { eats }: Group, tank: Tank): FeedGroup {
  const { id, name, stage, count, lengthCm, lengthMeasured, grown, belly, diet } = housed;
  return {
    id,
    name,
    species,
    stage,
    count,
    lengthCm,
    lengthMeasured,
    grown,
    goalFactor: diet?.goalFactor ?? null,
    fastFactor: groupOnDay(housed, houseTank(tank)).fastFactor,
    belly,
    eats,
    taken: Object.fromEntries(
      (diet?.rules ?? []).flatMap(({ foodId, taken }) => (taken === null ? [] : [[foodId, taken]])),
    ),
  };
}

/** A food with stated defaults where how it behaves in the water was not measured, served in a unit. */
export function feedFood(food: FoodRow, unit: FeedFood['unit'] = food.unit): FeedFood {
  const usual = usualInWater(food.form);
  const { floatMinutes, sinkCmPerS, particleMinMm, particleMaxMm } = food.inWater;
  const smallest = particleMinMm ?? Math.min(usual.particleMinMm, particleMaxMm ?? Infinity);
  return {
    id: food.id,
    name: food.name,
    kind: food.kind,
    family: food.family,
    composition: food.composition,
    plantShare: food.plantShare,
    form: food.form,
    inWater: {
      ...food.inWater,
      floatMinutes: floatMinutes ?? usual.floatMinutes,
      sinkCmPerS: sinkCmPerS ?? usual.sinkCmPerS,
      particleMinMm: smallest,
      particleMaxMm: Math.max(smallest, particleMaxMm ?? usual.particleMaxMm),
    },
    steps: food.steps,
    unit: { massG: unit.massG, step: unit.step },
    liftAfterMin: food.liftAfterMin,
  };
}
