import { ownPair } from '@open-larder/catalogue';
import fc from 'fast-check';
import { leaves } from '../why';
import {
  dailyNeed,
  fastFactor,
  feedingStopsC,
  stageFactor,
  hoursUntilHungry,
  largestMeal,
  longestSafeGap,
  mealsPerDay,
  portion,
  type GroupOnDay,
} from '.';

const species: GroupOnDay['species'] = {
  common: 'Test fish',
  guild: 'omnivore',
  stomach: true,
  shape: 'fusiform',
  lengthMass: ownPair(0.01, 3),
  sourceSize: 'a published pair',
  sourceWater: 'a published range',
  tempMinC: 18,
  appetitePeakC: 28,
  tempMaxC: 32,
  adultLengthCm: 10,
};
const group = (over: Partial<GroupOnDay> = {}): GroupOnDay => ({
  species,
  stage: 'adult',
  count: 1,
  lengthCm: 10,
  lengthMeasured: true,
  tempC: 25,
  ...over,
});
const flake = {
  id: 'flake',
  name: 'Flake',
  composition: { protein: 0.46, fat: 0.08, fibre: 0.03, ash: 0.1, moisture: 0.07 },
  unit: { name: 'pinch', plural: 'pinches', massG: 0.05, step: 0.5 },
};

describe('daily need', () => {
  it('of a 10 g fish at 25 °C is 50 × 0.01^0.8 kJ', () => {
    expect(dailyNeed(group()).value).toBeCloseTo(1.2559, 4);
  });

  it('halves ten degrees cooler', () => {
    expect(dailyNeed(group({ tempC: 15 })).value * 2).toBeCloseTo(dailyNeed(group()).value, 9);
  });

  it('is nothing for brooding fish and larvae on the yolk', () => {
    expect(dailyNeed(group({ stage: 'brooding' })).value).toBe(0);
    expect(dailyNeed(group({ stage: 'yolk-sac larva' })).value).toBe(0);
  });

  it('of fish that lay or carry all the time is half as much again, or more', () => {
    expect(stageFactor('adult', { breeding: 'live-bearer', family: 'Poeciliidae' })).toBe(1.6);
    expect(stageFactor('adult', { breeding: 'egg scatterer', family: 'Danionidae' })).toBe(1.5);
    expect(stageFactor('adult', { breeding: 'cave spawner', family: 'Cichlidae' })).toBe(1);
    expect(stageFactor('resting', { breeding: 'live-bearer' })).toBe(0.8);
    const laying = { ...species, breeding: 'live-bearer' as const };
    const need = dailyNeed(group({ species: laying }));
    expect(need.value).toBeCloseTo(1.6 * dailyNeed(group()).value, 9);
  });

  it('rises no further above the appetite peak, and stops where it is too cold to digest', () => {
    expect(dailyNeed(group({ tempC: 32 })).value).toBe(dailyNeed(group({ tempC: 28 })).value);
    expect(feedingStopsC({ tempMinC: 8, appetitePeakC: 26 })).toBe(9);
    expect(feedingStopsC({ tempMinC: 18, appetitePeakC: 28 })).toBe(18);
  });

  it('spreads the energy of fasting days over the days that are left, as far as guts hold', () => {
    expect(fastFactor(group(), 0)).toBe(1);
    expect(fastFactor(group(), 2)).toBeCloseTo(7 / 5, 9);
    expect(fastFactor(group({ stage: 'fry' }), 2)).toBe(1);
    const conditioned = group({
      lengthCm: 2,
      tempC: 18,
      goalFactor: 6,
      species: { ...species, stomach: false },
    });
    expect(fastFactor(conditioned, 5)).toBeLessThan(7 / 2);
    const raised = dailyNeed(group({ fastFactor: 1.4 }));
    expect(raised.value).toBeCloseTo(1.4 * dailyNeed(group()).value, 9);
    expect(leaves(raised).map(({ label }) => label).length).toBeGreaterThan(0);
  });

  it('follows the keeper’s own goal before the stage’s', () => {
    const own = dailyNeed(group({ stage: 'juvenile', goalFactor: 2 }));
    expect(own.value).toBeCloseTo(2 * dailyNeed(group()).value, 9);
  });

  it('rises by at most fifteen per cent where bellies look thin, and says why', () => {
    const as = (belly: GroupOnDay['belly']) => dailyNeed(group({ belly }));
    const usual = as(null).value;
    expect(as(1).value / usual).toBeCloseTo(1.15, 9);
    expect(as(2).value / usual).toBeCloseTo(1.08, 9);
    // A round or a bloated belly is the keeper's to judge: nothing is taken by itself.
    for (const belly of [3, 4, 5] as const) expect(as(belly).value).toBe(usual);
    const said = JSON.stringify(leaves(as(1)));
    expect(said).toContain('sunken');
    expect(leaves(as(3)).map(({ label }) => label)).not.toContain('Bellies');
  });

  it('never falls as water warms inside the range, and is flat above the optimum', () => {
    const warmth = fc.double({ min: 0, max: 40, noNaN: true });
    fc.assert(
      fc.property(warmth, warmth, (a, b) => {
        const [cool, warm] = a < b ? [a, b] : [b, a];
        expect(dailyNeed(group({ tempC: warm })).value).toBeGreaterThanOrEqual(
          dailyNeed(group({ tempC: cool })).value,
        );
      }),
    );
    expect(dailyNeed(group({ tempC: 31 })).value).toBe(dailyNeed(group({ tempC: 28 })).value);
  });

  it('names every input with its basis', () => {
    const inputs = leaves(dailyNeed(group({ lengthMeasured: false })));
    expect(inputs.find((leaf) => leaf.label === 'Mean total length')?.basis).toBe('assumed');
    expect(inputs.find((leaf) => leaf.label === 'Water temperature')?.basis).toBe('measured');
    for (const leaf of inputs) expect(leaf.basis === 'assumed' ? leaf.source : 'ok').toBeTruthy();
  });

  it('refuses water that boils', () => {
    expect(() => dailyNeed(group({ tempC: 95 }))).toThrow(/between 0 and 40/);
  });
});

describe('gut and rhythm', () => {
  it('empties to a quarter in ln 4 ÷ R hours', () => {
    expect(hoursUntilHungry(group()).value).toBeCloseTo(6.931, 2);
    const stomachless = group({ species: { ...species, stomach: false } });
    expect(hoursUntilHungry(stomachless).value).toBeCloseTo(3.961, 2);
    expect(hoursUntilHungry(group({ stage: 'fry' })).value).toBeCloseTo(1.733, 2);
  });

  it('caps a meal at a share of body mass by gut', () => {
    expect(largestMeal(group()).value).toBeCloseTo(0.3, 9);
  });

  it('asks for no more meals than appetite allows', () => {
    expect(mealsPerDay(group(), 0.5, 12).value).toBe(2);
    expect(mealsPerDay(group(), 5, 12).value).toBe(2);
    expect(mealsPerDay(group(), 0, 12).value).toBe(0);
  });

  it('lets a grown fish wait days, and fry never past one', () => {
    expect(longestSafeGap(group()).value).toBeCloseTo(24 * 7 * 10 ** 0.2, 6);
    expect(longestSafeGap(group({ stage: 'fry', tempC: 5 })).value).toBe(24);
    expect(longestSafeGap(group({ stage: 'fry' })).value).toBe(12);
  });
});

describe('portion', () => {
  const need = dailyNeed(group({ count: 8 }));

  it('is need × part ÷ energy, as serving units', () => {
    const served = portion(need, 0.5, flake, 'omnivore');
    expect(served.wantedG.value).toBeCloseTo((need.value * 0.5) / 14.857, 3);
    expect(served.units % 0.5).toBeCloseTo(0, 9);
    expect(served.massG).toBeCloseTo(served.units * 0.05, 9);
    expect(served.why.value).toBe(served.units);
  });

  it('keeps the keeper’s own amount and says how far it is from the need', () => {
    const served = portion(need, 1, flake, 'omnivore', 20);
    expect(served.units).toBe(20);
    expect(served.ofWanted).toBeCloseTo(1 / served.wantedG.value, 6);
    expect(served.why.how).toMatch(/set by the keeper/);
  });

  it('adds up: the parts of a day carry the whole need before rounding', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 8 }), (w) => {
        const total = w.reduce((a, b) => a + b, 0);
        const grams = w.map((part) => portion(need, part / total, flake, 'omnivore').wantedG.value);
        const whole = portion(need, 1, flake, 'omnivore').wantedG.value;
        expect(grams.reduce((a, b) => a + b, 0)).toBeCloseTo(whole, 9);
      }),
    );
  });
});
