import {
  CYSTS_PER_G,
  forecast,
  HATCH_SHARE,
  hatchHours,
  gramsOfOne,
  logisticOf,
} from '../src/culture';
import { catalogue } from './rows';
import type { Truth } from './truth';

const kind = (key: string) => catalogue.cultures.find((one) => one.key === key)!;
const FAO = 'Lavens & Sorgeloos 1996, FAO 361';

/** Growth while there is room, 1/d. */
const RATES: readonly [key: string, tempC: number, low: number, high: number, source: string][] = [
  ['moina', 25, 0.5, 0.7, FAO],
  ['moina', 20, 0.25, 0.45, 'Practice'],
  ['large-water-fleas', 20, 0.15, 0.3, 'Practice'],
  ['large-water-fleas', 15, 0.08, 0.18, 'Practice'],
  ['small-water-fleas', 20, 0.15, 0.3, 'Goss & Bunting 1983'],
  ['rotifers', 25, 0.6, 1, 'Rico-Martínez & Dodson 1992'],
  ['rotifers', 20, 0.35, 0.6, 'Practice'],
  ['cyclops', 20, 0.08, 0.16, 'Practice'],
  ['floating-plants', 25, 0.15, 0.4, 'Landolt & Kandeler 1987'],
];

/** Grams a day of a culture in full, of a box, jar or bottle of one of its measure. */
const YIELDS: readonly [key: string, age: number, low: number, high: number, source: string][] = [
  ['microworms', 12, 0.075, 0.1, FAO],
  ['banana-worms', 14, 0.05, 0.12, 'Practice'],
  ['grindal-worms', 60, 0.12, 0.3, 'Practice'],
  ['white-worms', 90, 0.12, 0.3, 'Practice'],
  ['fruit-flies', 16, 0.04, 0.09, 'Practice'],
  ['vinegar-worms', 100, 0.005, 0.03, 'Practice'],
];

/** Days at the temperature of its row until a culture gives at all. */
const FIRST: readonly [key: string, low: number, high: number][] = [
  ['microworms', 4, 6],
  ['banana-worms', 4, 7],
  ['grindal-worms', 14, 28],
  ['white-worms', 28, 42],
  ['fruit-flies', 10, 14],
  ['infusoria', 3, 6],
  ['vinegar-worms', 21, 42],
];

/** Hours to the harvest of hatched brine shrimp. */
const HOURS: readonly [tempC: number, low: number, high: number][] = [
  [28, 22, 26],
  [24, 32, 40],
  [20, 42, 54],
];

/** Animals to a litre of a crowded culture. */
const CROWDED: readonly [key: string, low: number, high: number, source: string][] = [
  ['moina', 2000, 5000, FAO],
  ['large-water-fleas', 60, 200, 'Practice'],
  ['small-water-fleas', 200, 600, 'Practice'],
  ['rotifers', 50_000, 200_000, FAO],
  ['infusoria', 200_000, 3_000_000, 'Practice'],
];

const name = (key: string) => kind(key).name;

/** Grams in a vessel of one measure at an age, at the temperature that its days are for. */
const contentAt = (key: string, ageDays: number): number => {
  const vessel = { kind: kind(key), measure: 1, keptG: 0, ageDays, estimate: { count: 0, sd: 0 } };
  return forecast(vessel, 1, () => kind(key).refC!)[0]!.contentG;
};

export const cultures: Truth[] = [
  ...RATES.map(([key, tempC, low, high, source]) => ({
    topic: 'Cultures grow',
    what: `${name(key)}, ${tempC} °C`,
    source,
    unit: '1/d',
    low,
    high,
    computed: logisticOf(kind(key), 1, tempC).rPerDay,
  })),
  ...YIELDS.map(([key, age, low, high, source]) => ({
    topic: 'Cultures give',
    what: `${name(key)}, one ${kind(key).measure}, ${age} days old`,
    source,
    unit: 'g/d',
    low,
    high,
    computed: contentAt(key, age),
  })),
  ...FIRST.map(([key, low, high]) => ({
    topic: 'Cultures first give',
    what: name(key),
    source: 'Practice',
    unit: 'days',
    low,
    high,
    computed: kind(key).firstDays!,
  })),
  ...HOURS.map(([tempC, low, high]) => ({
    topic: 'Brine shrimp hatch',
    what: `${tempC} °C`,
    source: FAO,
    unit: 'h',
    low,
    high,
    computed: hatchHours(tempC),
  })),
  ...CROWDED.map(([key, low, high, source]) => ({
    topic: 'Crowded cultures hold',
    what: name(key),
    source,
    unit: 'to a litre',
    low,
    high,
    computed: kind(key).capacity!,
  })),
  {
    topic: 'Brine shrimp hatch',
    what: 'From a gram of cysts',
    source: FAO,
    unit: 'nauplii',
    low: 120_000,
    high: 270_000,
    computed: CYSTS_PER_G * HATCH_SHARE,
  },
  {
    topic: 'Brine shrimp hatch',
    what: 'Wet mass of the nauplii of a gram of cysts',
    source: FAO,
    unit: 'g',
    low: 1.2,
    high: 2.7,
    computed: CYSTS_PER_G * HATCH_SHARE * gramsOfOne(kind('brine-shrimp')),
  },
];
