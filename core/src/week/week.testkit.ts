import { NO_PLAN, PLAIN, type Diet, type DietServing, type FeedingModel } from '../round';
import { testEater, testFlake, testLoaches, testWafer, testWater } from '../zones/zones.testkit';
import type { FeedFood, FeedGroup } from '../zones';
import type { WeekGroup, WeekTask } from './task';

export const EVERY_DAY = [1, 2, 3, 4, 5, 6, 7];

export const testServing = (
  id: string,
  foodId: string,
  momentId: string,
  over: Partial<DietServing> = {},
): DietServing => ({
  id,
  foodId,
  momentId,
  zone: 'surface',
  place: '',
  days: EVERY_DAY,
  weight: 1,
  ownUnits: null,
  manner: PLAIN,
  ...over,
});

export const testDiet = (servings: DietServing[], over: Partial<Diet> = {}): Diet => ({
  fastWeekdays: [],
  goalFactor: null,
  servings,
  rules: [],
  ...over,
});

/** A group with the traits that a week is judged by. */
export const weekGroup = (group: FeedGroup): WeekGroup => ({
  ...group,
  species: { proteinMin: 0.3, proteinMax: 0.5, zone: 'mid', nitrate: 'moderate', ...group.species },
});

/** A bold shoal that is fed, and shy loaches that get what is left. */
export function testTask({
  groups = [weekGroup(testEater('shoal')), weekGroup(testLoaches())],
  diets = {
    shoal: testDiet([testServing('s', 'flake', 'morning')]),
    loaches: testDiet([testServing('l', 'flake', 'morning', { zone: 'bottom' })]),
  },
  foods = [testFlake(), testWafer(), testWorm()],
  plan = NO_PLAN,
  house = {},
  ...over
}: {
  groups?: WeekGroup[];
  diets?: Record<string, Diet>;
  foods?: FeedFood[];
  plan?: typeof NO_PLAN;
  house?: Partial<FeedingModel>;
} & Partial<Omit<WeekTask, 'groups' | 'foods' | 'house'>> = {}): WeekTask {
  const tank = testWater();
  const known = groups.map((group) => ({
    ...group,
    taken: Object.fromEntries(
      (diets[group.id]?.rules ?? []).flatMap(({ foodId, taken }) =>
        taken === null ? [] : [[foodId, taken]],
      ),
    ),
  }));
  return {
    tank,
    groups: known,
    foods,
    shelf: foods.map((food) => ({
      foodId: food.id,
      stockG: 500,
      pricePerG: 10,
      expiringG: 0,
    })),
    feedingStyle: {
      portion: 'weight',
      meals: 'two',
      lift: 'soon',
      staple: 'dry',
      fast: 'none',
      soak: 'dry',
    },
    spareMin: {},
    first: '2026-03-02',
    ...over,
    house: {
      timeZone: 'UTC',
      moments: [
        { id: 'morning', name: 'Before work', anchor: 'clock', minutes: 600 },
        { id: 'night', name: 'After lights-out', anchor: 'lightsOff', minutes: 20 },
      ],
      tanks: [{ id: 't', name: 'Tank', walkOrder: 1, tempC: tank.tempC, light: tank.light, plan }],
      groups: groups.map((group) => ({
        ...group,
        tankId: 't',
        lastOn: {},
        diet: diets[group.id] ?? null,
      })),
      foods: foods.map((food) => ({
        ...food,
        unit: { name: 'unit', plural: 'units', ...food.unit },
      })),
      ...house,
    },
  };
}

/** Frozen worms: rich in protein, with nothing of plants. */
export const testWorm = (over: Partial<FeedFood> = {}): FeedFood => ({
  ...testFlake(),
  id: 'worm',
  name: 'Frozen worms',
  kind: 'frozen',
  family: 'cube',
  composition: { protein: 0.06, fat: 0.01, fibre: 0.005, ash: 0.01, moisture: 0.9 },
  plantShare: 0,
  form: 'sinks',
  inWater: { floatMinutes: 0, sinkCmPerS: 1.5, particleMinMm: 3, particleMaxMm: 6 },
  unit: { massG: 0.02, step: 1 },
  liftAfterMin: 120,
  ...over,
});

export { testEater, testFlake, testLoaches, testWafer };
