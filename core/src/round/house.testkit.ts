import { ownPair } from '@open-larder/catalogue';
import { PLAIN } from './manner';
import { NO_PLAN, type FeedingModel, type HouseGroup, type HouseTank } from './plan';

const EVERY_DAY = [1, 2, 3, 4, 5, 6, 7];

/** Two tanks, two groups, three foods: enough to compile a day from. */
export function testHouse(over: Partial<FeedingModel> = {}): FeedingModel {
  return {
    timeZone: 'Europe/Berlin',
    moments: [
      { id: 'morning', name: 'Before work', anchor: 'clock', minutes: 7 * 60 + 30 },
      { id: 'night', name: 'After lights-out', anchor: 'lightsOff', minutes: 20 },
    ],
    tanks: [testTank('b', 2), testTank('a', 1)],
    groups: [testGroup('g1', 'b'), testGroup('g2', 'a')],
    foods: [
      {
        id: 'flake',
        name: 'Flake',
        composition: { protein: 0.46, fat: 0.08, fibre: 0.03, ash: 0.1, moisture: 0.07 },
        unit: { name: 'pinch', plural: 'pinches', massG: 0.05, step: 0.5 },
      },
    ],
    ...over,
  };
}

export function testTank(id: string, walkOrder: number, over: Partial<HouseTank> = {}): HouseTank {
  return {
    id,
    name: `Tank ${id}`,
    walkOrder,
    tempC: 25,
    light: { onMin: 540, offMin: 1260 },
    plan: NO_PLAN,
    ...over,
  };
}

export function testGroup(id: string, tankId: string, over: Partial<HouseGroup> = {}): HouseGroup {
  return {
    id,
    tankId,
    name: `Group ${id}`,
    species: {
      common: 'Test fish',
      guild: 'omnivore',
      stomach: true,
      shape: 'fusiform',
      lengthMass: ownPair(0.01, 3),
      sourceSize: 'a published pair',
      sourceWater: 'a published range',
      tempMinC: 18,
      appetitePeakC: 28,
      tempMaxC: 30,
      adultLengthCm: 10,
    },
    stage: 'adult',
    count: 10,
    lengthCm: 5,
    lengthMeasured: true,
    lastOn: {},
    diet: {
      fastWeekdays: [7],
      goalFactor: null,
      rules: [],
      servings: ['morning', 'night'].map((momentId) => ({
        id: `${id}-${momentId}`,
        foodId: 'flake',
        momentId,
        zone: 'surface' as const,
        place: '',
        days: EVERY_DAY,
        weight: 1,
        ownUnits: null,
        manner: PLAIN,
      })),
    },
    ...over,
  };
}
