import { loadCatalogue } from '@open-larder/catalogue/load';
import type { BroodEvent, BroodFood, BroodTask, BroodTub } from '.';

const { species, strategies, cultures, foods } = loadCatalogue();

/** Something that happened to a brood, with nothing but its kind and its day. */
export const report = (
  kind: BroodEvent['kind'],
  day: string,
  over: Partial<BroodEvent> = {},
): BroodEvent => ({
  kind,
  day,
  tubId: null,
  toTubId: null,
  count: null,
  lengthMm: null,
  shortMm: null,
  longMm: null,
  tempC: null,
  share: null,
  foodKey: null,
  product: null,
  forDays: null,
  everyDays: null,
  ...over,
});

export const tub = (over: Partial<BroodTub> = {}): BroodTub => ({
  id: 'tub',
  name: 'Tub',
  litres: 10,
  tempC: 24,
  ph: 7,
  filtered: false,
  ...over,
});

/** A live food of the catalogue, which stands in the house or is to be started first. */
export function liveFood(key: string, over: Partial<BroodFood> = {}): BroodFood {
  const kind = cultures.find((one) => one.key === key)!;
  const { unitName, unitPlural, unitMassG, unitStep, ...food } = foods.find(
    (one) => one.key === kind.foodKey,
  )!;
  return {
    key,
    name: kind.name,
    minUm: kind.sizeMinUm,
    maxUm: kind.sizeMaxUm,
    live: true,
    composition: food,
    plantShare: food.plantShare,
    animalUg: kind.animalUg,
    unit: { name: unitName, plural: unitPlural, massG: unitMassG, step: unitStep },
    kindKey: key,
    foodId: null,
    there: true,
    leadDays: 5,
    gives: null,
    ...over,
  };
}

export const allSpecies = species;
export const speciesOf = (key: string) => species.find((one) => one.key === key)!;
export const strategyOf = (breeding: string) =>
  strategies.find((one) => one.breeding === breeding)!;

/** A brood of a species in one tub, with infusoria, vinegar worms, brine shrimp and Moina in the house. */
export const broodOf = (key: string, over: Partial<BroodTask> = {}): BroodTask => ({
  species: speciesOf(key),
  strategy: strategyOf(speciesOf(key).breeding),
  events: [],
  tubs: [tub({ tempC: speciesOf(key).tempOptC })],
  raising: 'apart',
  firstFood: null,
  eggCare: 'moved',
  foods: ['infusoria', 'vinegar-worms', 'brine-shrimp', 'moina'].map((kind) => liveFood(kind)),
  today: '2026-03-10',
  times: [8 * 60, 13 * 60, 19 * 60],
  lightHours: 12,
  targetCm: null,
  checkpoints: [],
  conditionDays: null,
  ...over,
});
