import { loadCatalogue } from '@open-larder/catalogue/load';
import type { BroodRow } from '@open-larder/contract';
import {
  broodWork,
  computeBroodStatus,
  type BroodEvent,
  type BroodFood,
  type BroodTask,
} from '@open-larder/core/brood';
import { addDays } from '@open-larder/core/round';
import { answers, species } from '../testing/house';
import { standIn } from '../testing/server';
import { TODAY as DAY } from '../testing/clock';
import { show } from '../testing/show';
import { Toast } from '../ui';
import { BroodsScreen } from './BroodsScreen';

const { strategies, sexes, cultures, foods } = loadCatalogue();
export const TUB = {
  id: 't1',
  name: 'Jar',
  litres: 10,
  tempC: 26,
  ph: 7,
  filtered: false,
  version: 1,
};

export const event = (
  kind: BroodEvent['kind'],
  daysAgo: number,
  over: Partial<BroodEvent> = {},
): BroodEvent => ({
  kind,
  day: addDays(DAY, -daysAgo),
  tubId: 't1',
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

const live = (key: string, over: Partial<BroodFood> = {}): BroodFood => {
  const kind = cultures.find((one) => one.key === key)!;
  const food = foods.find((one) => one.key === kind.foodKey)!;
  return {
    key,
    name: kind.name,
    minUm: kind.sizeMinUm,
    maxUm: kind.sizeMaxUm,
    live: true,
    composition: food,
    plantShare: food.plantShare,
    animalUg: kind.animalUg,
    unit: { name: 'drop', plural: 'drops', massG: 0.05, step: 1 },
    kindKey: key,
    foodId: null,
    there: true,
    leadDays: 4,
    gives: null,
    ...over,
  };
};

/** A brood as the server answers it: what happened to it, stood on a day by the core. */
export function row(
  id: string,
  events: BroodEvent[],
  over: Partial<BroodRow> = {},
  more: Partial<BroodTask> = {},
): BroodRow {
  const task: BroodTask = {
    species,
    strategy: strategies.find(({ breeding }) => breeding === species.breeding)!,
    events,
    tubs: over.tubs ?? [TUB],
    raising: 'apart',
    firstFood: null,
    eggCare: 'moved',
    foods: [live('infusoria'), live('brine-shrimp', { there: false })],
    today: DAY,
    times: [480, 780, 1140],
    lightHours: 12,
    targetCm: null,
    checkpoints: [],
    conditionDays: null,
    ...more,
  };
  const status = computeBroodStatus(task);
  return {
    id,
    name: id,
    speciesKey: 'danio-rerio',
    breeding: null,
    tankId: null,
    groupId: null,
    youngGroupId: null,
    raising: 'apart',
    eggCare: 'moved',
    firstWater: 'parents',
    firstFood: null,
    targetCm: null,
    checkpoints: [],
    conditionDays: null,
    version: 1,
    tubs: [TUB],
    status,
    work: broodWork(task, status),
    light: { lightOnMin: 480, lightOffMin: 1200 },
    meals: status.meals.map((meal) => ({
      ...meal,
      servings: meal.servings.map((one) => ({
        ...one,
        family: 'wriggle' as const,
        servingId: `${meal.minutes} ${one.tubId} ${one.key}`,
        fed: null,
      })),
    })),
    ...over,
  };
}

export const eggs = () =>
  row('Clutch', [event('spawned', 1), event('eggsSeen', 1, { count: 100 })]);
export const fry = (over: Partial<BroodRow> = {}) =>
  row('Fry', [event('swimming', 1), event('counted', 1, { count: 60 })], over);

/** What the last `open` was asked for. */
export let asked: ReturnType<typeof standIn> = [];
export function open(
  items: BroodRow[],
  element = <BroodsScreen />,
  more: Record<string, unknown> = {},
) {
  asked = standIn({
    ...answers(),
    'GET /api/breeding-strategies': { strategies, sexes },
    'GET /api/vessels': { items: [], next: null },
    'GET /api/culture-kinds': { kinds: cultures },
    'GET /api/broods': { items, next: null },
    ...Object.fromEntries(
      items.flatMap((one) => [
        [`GET /api/broods/${one.id}/events`, { items: [], next: null }],
        [`POST /api/broods/${one.id}/events`, () => ({ status: 201, body: one })],
        [`POST /api/broods/${one.id}/tubs`, () => ({ status: 201, body: one })],
        [`POST /api/broods/${one.id}/split`, () => ({ status: 200, body: one })],
      ]),
    ),
    ...more,
  });
  show(
    <>
      {element}
      <Toast />
    </>,
  );
}
