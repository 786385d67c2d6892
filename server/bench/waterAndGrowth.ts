import { growthBySize, ownPair } from '@open-larder/catalogue';
import { addDays } from '@open-larder/core';
import {
  fitCurve,
  computeGrowthStatus,
  type GrowthTask,
  type Point,
} from '@open-larder/core/growth';
import {
  computeWaterStatus,
  UPTAKE,
  type WaterEvent,
  type WaterTask,
} from '@open-larder/core/water';
import { fastestOf, row } from './bench';

const TODAY = '2026-03-11';
const MAX_GROWN = 'under 2000 ms';
const MAX_FORECAST = 'under 1000 ms';

/** As if by chance, from −1 to 1, the same in each run. */
const wobble = (seed: number): number => Math.sin(seed * 12.9898) * Math.cos(seed * 78.233);

/** Sixty days on which a few of a group were measured. */
function grown(seed: number): Point[] {
  return Array.from({ length: 60 }, (_, at) => ({
    day: at * 5,
    n: 6,
    lengthCm: 6 * (1 - Math.exp(-0.012 * (at * 5 + 15))) * (1 + 0.06 * wobble(seed * 97 + at)),
  }));
}

function tankOf(seed: number): WaterTask {
  const blank = {
    tan: null,
    nitrite: null,
    ph: null,
    gh: null,
    kh: null,
    tdsMgL: null,
    tempC: null,
    sure: false,
  };
  const events = Array.from({ length: 16 }, (_, week): WaterEvent[] => {
    const day = addDays(TODAY, -(16 - week) * 7);
    return [
      {
        ...blank,
        id: `t${week}`,
        kind: 'tested',
        day,
        share: null,
        nitrate: 18 + 3 * wobble(seed * 31 + week),
      },
      { ...blank, id: `c${week}`, kind: 'changed', day, share: 0.25, nitrate: null },
    ];
  }).flat();
  return {
    litres: 100,
    tempC: 25,
    ph: 7,
    filtered: true,
    uptake: UPTAKE.few,
    since: addDays(TODAY, -400),
    today: TODAY,
    rhythm: { share: 0.25, everyDays: 7, sourceMgL: 5, said: true, heldUntil: null },
    events,
    servedMg: new Map(
      Array.from({ length: 121 }, (_, at) => [
        addDays(TODAY, -at),
        20 + 5 * wobble(seed * 53 + at),
      ]),
    ),
    plannedMg: Array<number>(56).fill(20),
    groups: [{ id: 'g', name: 'Danios', toleratesMgL: 40 }],
  };
}

/** Curves of a whole house, and the water of a large one, each against a tenth of it. */
export function waterAndGrowth(): void {
  const groups = Array.from({ length: 200 }, (_, at) => grown(at + 1));
  const fit = (some: readonly Point[][]) => some.forEach((points) => fitCurve(points, 7));
  const all = fastestOf(() => fit(groups), 3);
  const tenth = fastestOf(() => fit(groups.slice(0, 20)), 3);
  row(
    'curves: 200 groups of 60 measurements, against 10 × 20',
    `${ms(all)}`,
    `${ms(tenth * 10)}`,
    all / (tenth * 10),
    MAX_GROWN,
  );

  const species: GrowthTask['species'] = {
    lengthMass: ownPair(0.0112, 3.04),
    adultLengthCm: 7,
    growth: growthBySize(7),
    tempOptC: 25,
  };
  const stands = (some: readonly Point[][]) =>
    some.forEach((points) =>
      computeGrowthStatus({
        species,
        tempC: 25,
        count: 30,
        today: TODAY,
        targetCm: 5,
        measured: points.map(({ day, lengthCm }) => ({
          day: addDays(TODAY, day - 300),
          lengthCm,
          lengthsCm: null,
          massG: null,
        })),
      }),
    );
  const report = fastestOf(() => stands(groups), 3);
  row(
    '… with what follows from them, against the curves alone',
    `${ms(report)}`,
    `${ms(all)}`,
    report / all,
    MAX_GROWN,
  );

  const tanks = Array.from({ length: 300 }, (_, at) => tankOf(at + 1));
  const forecast = (some: readonly WaterTask[]) => some.forEach((task) => computeWaterStatus(task));
  const house = fastestOf(() => forecast(tanks), 3);
  const part = fastestOf(() => forecast(tanks.slice(0, 30)), 3);
  row(
    'water: 300 tanks, 8 weeks, against 10 × 30',
    `${ms(house)}`,
    `${ms(part * 10)}`,
    house / (part * 10),
    MAX_FORECAST,
  );
}

const ms = (value: number) => `${Math.round(value)} ms`;
