import { ownPair } from '@open-larder/catalogue';
import { PLAIN } from '../round';
import { type Drop, type FeedFood, type FeedGroup, type Feeding, type FeedTank } from './feeding';

/** A lit tank of 80 litres over the ground, a shoal, and flake in the morning. */
export function testFeeding(over: Partial<Feeding> = {}): Feeding {
  return {
    tank: testWater(),
    groups: [testEater('shoal')],
    foods: [testFlake(), testWafer()],
    drops: [testDrop('flake', 'shoal')],
    fromMin: 600,
    toMin: 615,
    ...over,
  };
}

export const testWater = (over: Partial<FeedTank> = {}): FeedTank => ({
  lengthCm: 80,
  widthCm: 35,
  depthCm: 35,
  litres: 95,
  tempC: 25,
  light: { onMin: 540, offMin: 1260 },
  flow: 'gentle',
  decor: 'some',
  plants: 'few',
  ...over,
});

type GroupOver = Partial<Omit<FeedGroup, 'species'>> & { species?: Partial<FeedGroup['species']> };

export function testEater(id: string, { species = {}, ...over }: GroupOver = {}): FeedGroup {
  return {
    id,
    name: `Group ${id}`,
    stage: 'adult',
    count: 10,
    lengthCm: 4,
    lengthMeasured: true,
    goalFactor: null,
    ...over,
    species: {
      common: 'Test fish',
      guild: 'omnivore',
      stomach: true,
      shape: 'fusiform',
      lengthMass: ownPair(0.01, 3),
      sourceSize: 'a published pair',
      sourceWater: 'a published range',
      sourceBehaviour: 'seen by its keepers',
      tempMinC: 18,
      appetitePeakC: 28,
      tempMaxC: 30,
      adultLengthCm: 4,
      takesDry: 1,
      gapeShare: 0.06,
      plantShareMin: 0.1,
      plantShareMax: 0.6,
      capped: [],
      presenceDay: { surface: 0.3, mid: 0.6, bottom: 0.1, film: 0 },
      presenceNight: { surface: 0.1, mid: 0.4, bottom: 0.1, film: 0 },
      activityByLight: { day: 1, dusk: 0.8, night: 0.1 },
      boldness: 0.6,
      ...species,
    },
  };
}

export const testFlake = (over: Partial<FeedFood> = {}): FeedFood => ({
  id: 'flake',
  name: 'Flake',
  kind: 'dry',
  family: 'grain',
  composition: { protein: 0.46, fat: 0.08, fibre: 0.03, ash: 0.1, moisture: 0.07 },
  plantShare: 0.35,
  form: 'floats',
  inWater: { floatMinutes: 3, sinkCmPerS: 0.5, particleMinMm: 0.8, particleMaxMm: 2 },
  steps: [],
  unit: { massG: 0.001, step: 1 },
  liftAfterMin: 10,
  ...over,
});

export const testWafer = (over: Partial<FeedFood> = {}): FeedFood => ({
  ...testFlake(),
  id: 'wafer',
  name: 'Wafer',
  form: 'sinks',
  inWater: {
    floatMinutes: 0,
    sinkCmPerS: 4,
    particleMinMm: 10,
    particleMaxMm: 12,
    pieceForm: 'disc',
  },
  plantShare: 0.6,
  liftAfterMin: 240,
  ...over,
});

export const testDrop = (foodId: string, groupId: string, over: Partial<Drop> = {}): Drop => ({
  key: `${foodId}-${groupId}`,
  foodId,
  groupId,
  atMin: 600,
  massG: 0.1,
  zone: 'surface',
  place: '',
  manner: PLAIN,
  ...over,
});

/** Bottom fish that come out at night. */
export const testLoaches = (over: GroupOver = {}): FeedGroup =>
  testEater('loaches', {
    count: 6,
    lengthCm: 8,
    ...over,
    species: {
      guild: 'invertebrate picker',
      shape: 'eel-like',
      gapeShare: 0.03,
      presenceDay: { surface: 0, mid: 0, bottom: 0.2, film: 0 },
      presenceNight: { surface: 0, mid: 0, bottom: 0.9, film: 0.05 },
      activityByLight: { day: 0.3, dusk: 0.9, night: 1 },
      boldness: 0.25,
      ...over.species,
    },
  });
