import { PLAIN } from '@open-larder/core';
import { entryOf } from '@open-larder/catalogue';
import { loadCatalogue } from '@open-larder/catalogue/load';
import { blankFood, blankTank } from '@open-larder/contract';
import { v7 as uuidv7 } from 'uuid';
import type { TestServer } from './testServer';

/** Bodies that the server accepts; tests change one thing at a time. */
export const sampleTank = (over: object = {}) => ({
  id: uuidv7(),
  ...blankTank,
  name: 'Millpond',
  lengthCm: 100,
  widthCm: 40,
  heightCm: 50,
  waterLevelCm: 45,
  litres: null,
  tempC: 25,
  ph: 6.8,
  lightOnMin: 600,
  lightOffMin: 1200,
  walkOrder: 1,
  ...over,
});

export const sampleGroup = (tankId: string, over: object = {}) => ({
  id: uuidv7(),
  tankId,
  name: 'Danios',
  speciesKey: 'danio-rerio',
  males: 4,
  females: 6,
  unsexed: 0,
  stage: 'adult',
  lengthCm: 3.5,
  day: '2026-03-01',
  ...over,
});

export const sampleSplit = (tankId: string, over: object = {}) => ({
  id: uuidv7(),
  name: 'Danios apart',
  tankId,
  day: '2026-03-05',
  males: 1,
  females: 1,
  unsexed: 0,
  apart: false,
  ...over,
});

export const sampleLot = (over: object = {}) => ({
  id: uuidv7(),
  amountG: 10,
  costMinor: 500,
  place: 'cupboard',
  boughtOn: '2026-03-01',
  openedOn: null,
  bestBefore: '2026-12-31',
  ...over,
});

export const sampleFood = (over: object = {}) => ({
  id: uuidv7(),
  ...blankFood,
  name: 'Fine flake',
  family: 'grain',
  kind: 'dry',
  form: 'floats',
  composition: { protein: 0.46, fat: 0.08, fibre: 0.03, ash: 0.1, moisture: 0.07 },
  plantShare: 0.35,
  unit: { name: 'pinch', plural: 'pinches', massG: 0.05, step: 0.5 },
  lot: sampleLot(),
  ...over,
});

export const sampleMoment = (over: object = {}) => ({
  id: uuidv7(),
  name: 'After work',
  anchor: 'clock',
  minutes: 1110,
  spareMin: null,
  ...over,
});

export const sampleServing = (foodId: string, momentId: string, over: object = {}) => ({
  id: uuidv7(),
  foodId,
  momentId,
  zone: 'surface',
  place: 'front left',
  days: [1, 2, 3, 4, 5, 6, 7],
  weight: 1,
  ownUnits: null,
  manner: PLAIN,
  ...over,
});

/** «Twenty pinches weighed 1.1 g.» */
export const sampleWeighing = (over: object = {}) => ({
  id: uuidv7(),
  day: '2026-03-10',
  hand: 'Mine',
  units: 20,
  massG: 1.1,
  ...over,
});

/** A gel of half flake and half water, poured into a small tray. */
export const sampleRecipe = (foodId: string, over: object = {}) => ({
  id: uuidv7(),
  foodId: uuidv7(),
  name: 'Evening gel',
  kind: 'gel',
  place: 'freezer',
  keepsDays: 60,
  ingredients: [
    { foodId, share: 0.5, binder: false },
    { foodId: null, share: 0.5, binder: false },
  ],
  cooked: 0,
  drained: 0,
  tray: { lengthCm: 10, widthCm: 10, depthCm: 1, columns: 10, rows: 10 },
  targets: { protein: [0.4, 0.5], fat: null, plant: null, moisture: null },
  method: 'Stir, pour, cool.',
  ...over,
});

/** A household with one tank, one group, one food and one daily serving. */
/** @param came the day on which its group came */
export async function smallHouse(
  server: TestServer,
  household: 'ours' | 'theirs' = 'ours',
  came = '2026-03-01',
  ask = server.as(household),
) {
  const tank = sampleTank();
  const group = sampleGroup(tank.id, { day: came });
  const food = sampleFood();
  const moment = sampleMoment();
  const serving = sampleServing(food.id, moment.id);
  await ask.post('/api/tanks').send(tank).expect(201);
  await ask.post('/api/groups').send(group).expect(201);
  await ask.post('/api/foods').send(food).expect(201);
  await ask.post('/api/moments').send(moment).expect(201);
  await ask
    .put(`/api/groups/${group.id}/diet`)
    .send({ version: 0, fastWeekdays: [], goalFactor: null, servings: [serving], rules: [] })
    .expect(200);
  return { ask, tank, group, food, moment, serving };
}

export const sampleFeeding = (
  house: { group: { id: string }; food: { id: string }; serving: { id: string } },
  over: object = {},
) => ({
  id: uuidv7(),
  servingId: house.serving.id,
  day: '2026-03-10',
  groupId: house.group.id,
  foodId: house.food.id,
  outcome: 'served',
  plannedUnits: 4,
  units: 4,
  note: '',
  at: '2026-03-10T11:30:00.000Z',
  ...over,
});

/** Ten minutes until it was gone, and some of the group came. */
export const sampleSighting = (
  house: {
    group: { id: string };
    food: { id: string };
    moment: { id: string };
    serving: { id: string };
  },
  over: object = {},
) => ({
  id: uuidv7(),
  day: '2026-03-10',
  momentId: house.moment.id,
  clearedMin: 10,
  left: null,
  dropKeys: null,
  unwatched: false,
  came: [{ groupId: house.group.id, share: 0.5 }],
  drops: [
    {
      key: house.serving.id,
      foodId: house.food.id,
      groupId: house.group.id,
      atMin: 1110,
      massG: 0.2,
      zone: 'surface',
      place: '',
      manner: PLAIN,
    },
  ],
  ...over,
});

/** A species of the keeper's own, copied from the catalogue and changed. */
export const sampleSpecies = (over: object = {}) => {
  const like = loadCatalogue().species.find((row) => row.key === 'danio-rerio');
  if (!like) throw new Error('the catalogue has lost the zebrafish');
  return {
    id: uuidv7(),
    copiedFrom: like.key,
    entry: { ...entryOf(like), common: 'Pond-strain zebrafish', adultLengthCm: 5.5, ...over },
  };
};

export const sampleLook = (groupId: string, over: object = {}) => ({
  id: uuidv7(),
  groupId,
  day: '2026-03-10',
  belly: 3,
  hungBack: false,
  absent: false,
  injured: false,
  colour: null,
  droppings: null,
  note: '',
  hand: null,
  at: '2026-03-10T11:30:00.000Z',
  ...over,
});

/** A look at a tank, of some of its groups. */
export const sampleLooks = (...looks: ReturnType<typeof sampleLook>[]) => ({ id: uuidv7(), looks });

/** Ten litres of Moina, started ten days ago. */
export const sampleVessel = (over: object = {}) => ({
  id: uuidv7(),
  kindKey: 'moina',
  name: 'Moina, window',
  measure: 10,
  tempC: 24,
  strain: '',
  place: 'window sill',
  startedFrom: 'a friend',
  water: 'rain butt',
  tools: '',
  foodId: null,
  alsoKindKey: null,
  startedOn: '2026-02-28',
  at: '2026-02-28T09:00:00.000Z',
  startG: null,
  fromVesselId: null,
  share: null,
  hand: null,
  ...over,
});

export const sampleVesselEvent = (over: object = {}) => ({
  id: uuidv7(),
  kind: 'fed',
  day: '2026-03-10',
  at: '2026-03-10T09:00:00.000Z',
  hand: null,
  note: '',
  ...over,
});

/** A tub of ten litres, without a filter. */
export const sampleBroodTub = (over: object = {}) => ({
  id: uuidv7(),
  name: 'Tub one',
  litres: 10,
  tempC: 24,
  ph: 7,
  filtered: false,
  ...over,
});

/** Forty young of a tub, half of them into another. */
export const sampleBroodSplit = (tubId: string, over: object = {}) => ({
  id: uuidv7(),
  day: '2026-03-10',
  at: '2026-03-10T08:00:00.000Z',
  hand: null,
  tubId,
  count: 40,
  tubs: [{ ...sampleBroodTub({ name: 'Tub two' }), moveId: uuidv7() }],
  ...over,
});

/** Eggs of steel-blue killifish, picked into a tub. */
export const sampleBrood = (over: object = {}) => ({
  id: uuidv7(),
  name: 'Steel-blues of March',
  speciesKey: 'fundulopanchax-gardneri',
  breeding: null,
  tankId: null,
  groupId: null,
  youngGroupId: null,
  raising: 'apart',
  eggCare: 'moved',
  firstWater: 'parents',
  firstFood: null,
  targetCm: null,
  conditionDays: null,
  checkpoints: [],
  tub: sampleBroodTub(),
  ...over,
});

export const sampleBroodEvent = (over: object = {}) => ({
  id: uuidv7(),
  kind: 'spawned',
  day: '2026-03-01',
  at: '2026-03-01T09:00:00.000Z',
  hand: null,
  note: '',
  tubId: null,
  ...over,
});

/** «No» to a training onto a food. */
export const sampleAnswer = (
  house: { group: { id: string }; food: { id: string } },
  over: object = {},
) => ({
  id: uuidv7(),
  groupId: house.group.id,
  kind: 'training',
  foodId: house.food.id,
  accepted: false,
  version: 1,
  hand: null,
  at: '2026-03-10T11:30:00.000Z',
  ...over,
});

/** Onto a food, with the serving that a small house has. */
export const sampleTraining = (
  house: { group: { id: string }; serving: { id: string } },
  foodId: string,
  over: object = {},
) => ({
  id: uuidv7(),
  groupId: house.group.id,
  servingId: house.serving.id,
  foodId,
  day: '2026-03-10',
  at: '2026-03-10T11:30:00.000Z',
  ...over,
});

export const sampleWaterTest = (over: object = {}) => ({
  id: uuidv7(),
  kind: 'tested',
  day: '2026-03-10',
  at: '2026-03-10T18:00:00.000Z',
  nitrate: 18,
  ...over,
});

/** Two fish beside ten centimetres of a ruler. */
export const samplePhoto = (eventId: string, over: object = {}) => ({
  id: uuidv7(),
  eventId,
  widthPx: 800,
  heightPx: 600,
  picture: `data:image/png;base64,${'iVBORw0KGgo'.repeat(8)}`,
  marks: {
    ruler: [{ a: { x: 100, y: 500 }, b: { x: 600, y: 500 }, cm: 10 }],
    fish: [{ a: { x: 150, y: 300 }, b: { x: 330, y: 300 } }],
  },
  ...over,
});

/** Two groups side by side from the first of March. */
export const sampleTrial = (groupId: string, otherGroupId: string, over: object = {}) => ({
  id: uuidv7(),
  name: 'Worms against flake',
  kind: 'siblings',
  groupId,
  otherGroupId,
  from: '2026-03-01',
  changedOn: null,
  weeks: 8,
  difference: 0.3,
  ...over,
});

export const sampleRating = (
  house: { group: { id: string }; food: { id: string } },
  over: object = {},
) => ({
  id: uuidv7(),
  groupId: house.group.id,
  foodId: house.food.id,
  day: '2026-03-10',
  colour: 'better',
  growth: null,
  note: '',
  at: '2026-03-10T18:00:00.000Z',
  ...over,
});
