import { loadCatalogue } from '@open-larder/catalogue/load';
import { PLAIN } from '@open-larder/core/round';
import { blankFood } from './genericFood';
import type { FoodRow } from './food';
import type { Group } from './group';
import { houseOf } from './house';
import { blankTank, type Tank } from './tank';
import { feedFood, feedingOf, feedTank, sightingOf } from './zones';

const species = new Map(loadCatalogue().species.map((row) => [row.key, row]));
const kind = [...species.values()].find((row) => row.guild === 'omnivore')!;
const tank: Tank = {
  ...blankTank,
  id: 't',
  name: 'Pond',
  lengthCm: 80,
  widthCm: 30,
  heightCm: 40,
  ground: 'sand',
  groundDepthCm: 6,
  walkOrder: 1,
  version: 1,
  archived: false,
  plan: null,
};
const food: FoodRow = {
  ...blankFood,
  id: 'f',
  name: 'Flake',
  composition: { protein: 0.4, fat: 0.08, fibre: 0.03, ash: 0.1, moisture: 0.07 },
  unit: { name: 'pinch', plural: 'pinches', massG: 0.02, step: 0.5 },
  plantShare: 0.3,
  liftAfterMin: 20,
  version: 1,
  archived: false,
  lots: [],
  weighings: [],
  remainingG: 0,
};
const serving = (id: string, momentId: string) => ({
  id,
  foodId: 'f',
  momentId,
  zone: 'surface' as const,
  place: 'far end',
  days: [1, 2, 3, 4, 5, 6, 7],
  weight: 1,
  ownUnits: null,
  manner: { ...PLAIN, afterMin: 5 },
});
const group: Group = {
  id: 'g',
  tankId: 't',
  name: 'Shoal',
  speciesKey: kind.key,
  version: 1,
  archived: false,
  stage: 'adult',
  lengthCm: 3,
  size: { males: 0, females: 0, unsexed: 8, total: 8 },
  lastOn: {},
  diet: {
    version: 1,
    validFrom: '2026-01-01',
    fastWeekdays: [7],
    goalFactor: 1.5,
    rules: [],
    servings: [serving('a', 'noon'), serving('b', 'evening')],
  },
};
const moment = (id: string, minutes: number) => ({
  id,
  name: id,
  anchor: 'clock' as const,
  minutes,
  version: 1,
  archived: false,
});
const rows = {
  tank,
  groups: [group],
  foods: [food],
  species,
  house: houseOf({
    household: { timeZone: 'UTC' },
    moments: [moment('noon', 720), moment('evening', 1110)],
    tanks: [tank],
    groups: [group],
    foods: [food],
    species,
  }),
};
const MONDAY = '2026-03-02';

describe('a planned day as the simulation takes it', () => {
  it('holds every serving with its place and manner', () => {
    const day = feedingOf(rows, MONDAY, null);
    expect(day.drops.map(({ key, atMin, place }) => [key, atMin, place])).toEqual([
      ['a', 720, 'far end'],
      ['b', 1110, 'far end'],
    ]);
    expect(day.drops[0]!.manner.afterMin).toBe(5);
    expect(day.drops[0]!.massG).toBeGreaterThan(0);
    expect(day.toMin - day.fromMin).toBe(1440);
    expect(day.groups[0]).toMatchObject({ count: 8, goalFactor: 1.5, lengthMeasured: true });
  });

  it('or one meal of it, until its food is lifted', () => {
    const meal = feedingOf(rows, MONDAY, 'noon');
    expect(meal).toMatchObject({ fromMin: 720, toMin: 745 });
    expect(meal.drops).toHaveLength(1);
  });

  it('is empty on a fast', () => {
    expect(feedingOf(rows, '2026-03-08', null).drops).toEqual([]);
  });
});

describe('what was seen, as it is learned from', () => {
  const row = {
    id: 'x',
    day: MONDAY,
    momentId: 'noon',
    clearedMin: 4,
    left: null,
    came: [{ groupId: 'g', share: 0.5 }],
    drops: [...feedingOf(rows, MONDAY, 'noon').drops],
  };

  it('holds the food as it was given, and nothing that was learned before', () => {
    const traits = { groupId: 'g', search: 2, taking: 1, coming: 1 };
    const learned = [{ ...traits, sure: { search: 1, taking: 0, coming: 0 } }];
    expect(feedingOf({ ...rows, learned }, MONDAY, null).groups[0]!.learned?.search).toBe(2);
    const sighting = sightingOf({ ...rows, learned }, row);
    expect(sighting?.feeding.groups[0]!.learned).toBeUndefined();
    expect(sighting?.feeding).toMatchObject({ fromMin: 720, toMin: 745, drops: row.drops });
    expect(sighting?.came.get('g')).toBe(0.5);
  });

  it('is left out where a food of it is gone', () => {
    expect(sightingOf({ ...rows, foods: [] }, row)).toBeNull();
  });
});

describe('water and food', () => {
  it('depth is that of the water over the ground; flow and plants are guessed by kind', () => {
    expect(feedTank(tank)).toMatchObject({ depthCm: 36 - 6, flow: 'gentle', plants: 'few' });
    const byLitres = feedTank({ ...tank, lengthCm: null, heightCm: null, litres: 36 });
    expect(byLitres.litres).toBe(36);
    expect((byLitres.lengthCm * byLitres.widthCm * byLitres.depthCm) / 1000).toBeLessThan(37);
  });

  it('blanks of a food become what is usual for its form; sizes never cross', () => {
    const blank = {
      floatMinutes: null,
      sinkCmPerS: null,
      particleMinMm: null,
      particleMaxMm: null,
    };
    expect(feedFood({ ...food, form: 'sinks', inWater: blank }).inWater).toEqual({
      floatMinutes: 0,
      sinkCmPerS: 3,
      particleMinMm: 1,
      particleMaxMm: 2,
    });
    const fine = feedFood({ ...food, inWater: { ...blank, particleMaxMm: 0.2 } }).inWater;
    expect(fine.particleMinMm).toBe(0.2);
    const coarse = feedFood({ ...food, inWater: { ...blank, particleMinMm: 9 } }).inWater;
    expect(coarse.particleMaxMm).toBe(9);
  });
});
