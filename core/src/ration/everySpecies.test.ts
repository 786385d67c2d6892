import { loadCatalogue } from '@open-larder/catalogue/load';
import { assumedLengthCm, massFromLength, STAGES } from '../fish';
import {
  dailyNeed,
  hoursUntilHungry,
  largestMeal,
  lengthOf,
  longestSafeGap,
  type GroupOnDay,
} from '.';

const { species } = loadCatalogue();
const grown = (row: (typeof species)[number], over: Partial<GroupOnDay> = {}): GroupOnDay => ({
  species: row,
  stage: 'adult',
  count: row.usualGroup,
  lengthCm: assumedLengthCm(row, 'adult'),
  lengthMeasured: false,
  tempC: row.tempOptC,
  ...over,
});

describe('every species of the catalogue can be fed', () => {
  it.each(species.map((row) => [row.scientific, row] as const))('%s', (_name, row) => {
    const group = grown(row);
    const mass = massFromLength(row, lengthOf(group)).massG.value;
    const need = dailyNeed(group).value;
    const perFish = need / group.count;
    expect(mass).toBeGreaterThan(0.001);
    expect(mass).toBeLessThan(15_000);
    expect(need).toBeGreaterThan(0);
    // A usual dry food holds about 15 kJ to a gram: no adult eats a tenth of itself a day.
    expect(perFish / 15).toBeLessThan(mass * 0.1);
    expect(longestSafeGap(group).value).toBeGreaterThan(24);
    expect(hoursUntilHungry(group).value).toBeGreaterThan(1);
    expect(largestMeal(group).value).toBeLessThan(mass * group.count * 0.05);
  });

  it('through every stage, in cold and warm water within its range', () => {
    for (const row of species) {
      for (const stage of STAGES) {
        for (const tempC of [row.tempMinC, row.tempOptC, row.tempMaxC]) {
          const group = grown(row, { stage, tempC, lengthCm: assumedLengthCm(row, stage) });
          expect(Number.isFinite(dailyNeed(group).value)).toBe(true);
          expect(longestSafeGap(group).value).toBeGreaterThanOrEqual(0);
        }
      }
    }
  });

  it('young fish need more for their mass than grown ones', () => {
    for (const row of species) {
      const perGram = (stage: 'juvenile' | 'adult') => {
        const group = grown(row, { stage, count: 1, lengthCm: assumedLengthCm(row, stage) });
        return dailyNeed(group).value / massFromLength(row, lengthOf(group)).massG.value;
      };
      expect(perGram('juvenile')).toBeGreaterThan(perGram('adult'));
    }
  });
});
