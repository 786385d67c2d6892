import { PLAIN } from '@open-larder/core/round';
import { resolveSpecies } from '@open-larder/catalogue';
import { blankTank } from '@open-larder/contract';
import type {
  Consumption,
  FoodRow,
  Group,
  Household,
  MomentRow,
  RoundView,
  Supply,
  Tank,
} from '@open-larder/contract';

/** A small household as the server would answer it. */
export const household: Household = {
  id: 'h',
  name: 'Test room',
  timeZone: 'UTC',
  units: 'metric',
  temperature: 'C',
  hardness: 'dGH',
  clock: '24',
  weekStart: 1,
  currency: 'EUR',
  deliveryDays: 4,
  phrases: [],
  version: 1,
};

export const species = resolveSpecies('danio-rerio', {
  scientific: 'Danio rerio',
  common: 'Zebrafish',
  otherNames: ['zebra danio'],
  family: 'Danionidae',
  shape: 'elongated',
  adultLengthCm: 4,
  lwA: null,
  lwB: null,
  tempMinC: 18,
  tempOptC: 26,
  tempMaxC: 30,
  phMin: 6.5,
  phMax: 8,
  ghMin: 5,
  ghMax: 20,
  nitrate: null,
  guild: 'omnivore',
  stomach: false,
  mouth: 'up',
  gapeShare: 0.05,
  plantShareMin: 0.1,
  plantShareMax: 0.35,
  proteinMin: null,
  proteinMax: null,
  capped: [],
  harmful: ['bread'],
  zone: 'mid',
  presenceDay: null,
  presenceNight: null,
  activity: 'day',
  activityByLight: null,
  boldness: 0.7,
  usualGroup: 10,
  femalesPerMale: null,
  nipsFins: null,
  breeding: 'egg scatterer',
  hatchDegreeDays: 70,
  swimDegreeDays: 130,
  larvalLengthMm: null,
  lifeYears: 4,
  growthLinfCm: null,
  growthK: null,
  cautions: ['jumps: keep it covered'],
  sourceSize: 'a paper on size',
  sourceWater: 'a paper on water',
  sourceDiet: 'a paper on diet',
  sourceBehaviour: 'a paper on behaviour',
  sourceBreeding: 'a paper on breeding',
});

export const moment: MomentRow = {
  id: 'evening',
  name: 'After work',
  anchor: 'clock',
  minutes: 1110,
  spareMin: null,
  version: 1,
  archived: false,
};

export const tank: Tank = {
  ...blankTank,
  id: 't1',
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
  version: 3,
  archived: false,
  plan: null,
};

export const food: FoodRow = {
  id: 'f1',
  name: 'Fine flake',
  family: 'grain',
  kind: 'dry',
  form: 'floats',
  composition: { protein: 0.46, fat: 0.08, fibre: 0.03, ash: 0.1, moisture: 0.07 },
  plantShare: 0.35,
  unit: { name: 'pinch', plural: 'pinches', massG: 0.02, step: 0.5 },
  inWater: { floatMinutes: 10, sinkCmPerS: 0.5, particleMinMm: 0.5, particleMaxMm: 2 },
  steps: [],
  keeps: { sealedDays: 720, openedDays: null, preparedHours: null },
  liftAfterMin: 5,
  cautions: { people: [], fish: [] },
  copiedFrom: 'fine-flake',
  weighings: [],
  version: 1,
  archived: false,
  lots: [
    {
      id: 'l1',
      foodId: 'f1',
      amountG: 60,
      remainingG: 42,
      costMinor: 890,
      place: 'cupboard',
      boughtOn: '2026-01-01',
      openedOn: '2026-01-05',
      bestBefore: null,
      version: 1,
    },
  ],
  remainingG: 42,
};

export const group: Group = {
  id: 'g1',
  name: 'Zebrafish',
  speciesKey: 'danio-rerio',
  tankId: 't1',
  version: 1,
  archived: false,
  stage: 'adult',
  lengthCm: 3.5,
  size: { males: 4, females: 6, unsexed: 0, total: 10 },
  lastOn: {},
  belly: null,
  training: null,
  diet: {
    version: 2,
    validFrom: '2026-01-01',
    fastWeekdays: [7],
    goalFactor: null,
    rules: [],
    servings: [
      {
        id: 's1',
        foodId: 'f1',
        momentId: 'evening',
        zone: 'surface',
        place: 'front left',
        days: [1, 2, 3, 4, 5, 6, 7],
        weight: 1,
        ownUnits: null,
        manner: PLAIN,
      },
    ],
  },
};

export const round = (day: string): RoundView => ({
  day,
  moments: [
    {
      momentId: 'evening',
      name: 'After work',
      stops: [
        {
          tankId: 't1',
          at: `${day}T18:30:00.000Z`,
          minutes: 1110,
          servings: [
            {
              servingId: 's1',
              groupId: 'g1',
              groupName: 'Zebrafish',
              foodId: 'f1',
              foodName: 'Fine flake',
              family: 'grain',
              prepare: '',
              portion: '3 pinches',
              units: 3,
              unit: food.unit,
              massG: 0.06,
              ofWanted: 1,
              zone: 'surface',
              place: 'front left',
              manner: '',
              mixed: null,
              fed: null,
            },
          ],
        },
      ],
    },
  ],
  resting: [{ groupId: 'g2', groupName: 'Medaka', tankId: 't1', stage: 'resting', reason: 'fast' }],
  unplanned: [],
  done: [],
});

/** How one food stands against the plan. */
export const supplyOf = (foodId: string, over: Partial<Supply['foods'][number]> = {}) => ({
  foodId,
  days: 5,
  usedPerWeekG: 1,
  homemade: false,
  cultured: false,
  waste: [],
  costPerDayMinor: null,
  packG: 60,
  buy: null,
  ...over,
});

export const supply: Supply = {
  horizon: 120,
  foods: [supplyOf('f1', { usedPerWeekG: 1.2, costPerDayMinor: 18 })],
  groups: [{ groupId: 'g1', costPerDayMinor: 18, inPart: false }],
};

export const consumption: Consumption = {
  days: ['2026-03-01', '2026-03-02'],
  foods: [
    {
      foodId: 'f1',
      name: 'Fine flake',
      family: 'grain',
      gramsPerDay: [0.2, 0.4],
      totalG: 0.6,
      units: 30,
      unit: food.unit,
      costMinor: 9,
    },
  ],
  groups: [
    {
      groupId: 'g1',
      name: 'Zebrafish',
      tankId: 't1',
      tankName: 'Millpond',
      neededPerDay: [5, 5],
      offeredPerDay: [2, 4],
      neededKj: 10,
      offeredKj: 6,
      refusedKj: 1.5,
    },
  ],
};

/** Answers by «METHOD path», as the stand-in server gives them; tests add their own. */
export const answers = (): Record<string, unknown> => ({
  'GET /api/household': household,
  'GET /api/catalogue': { species: [species], foods: [] },
  'GET /api/species': { items: [], next: null },
  'GET /api/moments': { items: [moment], next: null },
  'GET /api/tanks': { items: [tank], next: null },
  'GET /api/groups': { items: [group], next: null },
  'GET /api/recipes': { items: [], next: null },
  'GET /api/foods': { items: [food], next: null },
  'GET /api/larder/supply': supply,
});
