import { loadCatalogue } from '@open-larder/catalogue/load';
import { PLAIN } from '@open-larder/core/round';
import { blankFood } from './genericFood';
import type { FoodRow } from './food';
import type { Group } from './group';
import { houseOf } from './house';
import { blankTank, type Tank } from './tank';

export const species = new Map(loadCatalogue().species.map((row) => [row.key, row]));
export const kind = [...species.values()].find((row) => row.guild === 'omnivore')!;
export const tank: Tank = {
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
  lastTemp: null,
};
export const food: FoodRow = {
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
export const serving = (id: string, momentId: string) => ({
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
export const group: Group = {
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
  grew: { days: 0, since: null },
  belly: null,
  eats: [],
  bornOn: null,
  checkpoints: [],
  training: null,
  diet: {
    version: 1,
    validFrom: '2026-01-01',
    fastWeekdays: [7],
    goalFactor: 1.5,
    rules: [],
    servings: [serving('a', 'noon'), serving('b', 'evening')],
  },
};
export const moment = (id: string, minutes: number) => ({
  id,
  name: id,
  anchor: 'clock' as const,
  minutes,
  spareMin: null,
  version: 1,
  archived: false,
});
/** One tank with a shoal that gets flake twice a day. */
export const rows = {
  tank,
  groups: [group],
  foods: [food],
  species,
  house: houseOf({
    household: { timeZone: 'UTC' },
    day: '2026-03-02',
    moments: [moment('noon', 720), moment('evening', 1110)],
    tanks: [tank],
    groups: [group],
    foods: [food],
    species,
  }),
};
export const MONDAY = '2026-03-02';
