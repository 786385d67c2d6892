import { growthBySize } from '@open-larder/catalogue';
import { loadCatalogue } from '@open-larder/catalogue/load';
import fc from 'fast-check';
import {
  broodTraits,
  daysToLength,
  hatching,
  ladderOf,
  progressPerDay,
  widestPreyUm,
  youngLengthCm,
  type EggTraits,
  type Prey,
} from '.';

const { species, cultures, strategies } = loadCatalogue();
const find = (key: string) => species.find((row) => row.key === key)!;
const eggs = (key: string): EggTraits => {
  const { breeding } = find(key);
  return broodTraits(
    find(key),
    strategies.find((strategy) => strategy.breeding === breeding)!,
  ).eggs!;
};
const steady = (tempC: number) => () => tempC;

describe('hatching and swimming free', () => {
  // Days that keepers know at these temperatures, least and most.
  it.each([
    ['oryzias-latipes', 25, [9, 11], [9, 12]],
    ['betta-splendens', 27, [1, 2], [3.5, 5]],
    ['pterophyllum-scalare', 27, [2, 3], [7, 9]],
    ['corydoras-paleatus', 22, [4, 6], [6, 9]],
    ['fundulopanchax-gardneri', 24, [14, 21], [14, 21]],
    ['symphysodon-aequifasciatus', 29, [2, 3], [5, 7]],
    ['trichopodus-leerii', 26, [1, 2], [3.5, 5]],
    ['iriatherina-werneri', 26, [7, 10], [7, 11]],
    ['trigonostigma-heteromorpha', 26, [1, 1.6], [4, 5]],
    ['hypancistrus-inspector', 29, [5, 7], [14, 21]],
  ])('of %s at %d °C is on the days that are known', (key, tempC, hatch, swim) => {
    const report = hatching(eggs(key), steady(tempC));
    expect(report.hatch.day).toBeGreaterThanOrEqual(hatch[0]!);
    expect(report.hatch.day).toBeLessThanOrEqual(hatch[1]!);
    expect(report.swim.day).toBeGreaterThanOrEqual(swim[0]!);
    expect(report.swim.day).toBeLessThanOrEqual(swim[1]!);
  });

  const medaka = eggs('oryzias-latipes');
  it('is later in the cool, by 2.5 for ten degrees, worked by hand', () => {
    const warm = hatching(medaka, steady(25)).hatch.day;
    expect(warm).toBeCloseTo(240 / 25, 9);
    expect(hatching(medaka, steady(15)).hatch.day).toBeCloseTo(2.5 * (240 / 25), 9);
  });

  it('is in a window as wide as what it rests on', () => {
    const width = (key: string) => {
      const { hatch } = hatching(eggs(key), steady(25));
      return hatch.to / hatch.from;
    };
    expect(width('danio-rerio')).toBeLessThan(width('trigonostigma-espei'));
    expect(width('trigonostigma-espei')).toBeLessThan(width('sundadanio-axelrodi'));
  });

  it('follows a night that was cold, day by day', () => {
    const cold = (day: number) => (day === 3 ? 15 : 25);
    const usual = 240 / 25;
    // One day made only 1/2.5 of its way.
    expect(hatching(medaka, cold).hatch.day).toBeCloseTo(usual + (1 - 1 / 2.5), 9);
  });

  it('begins anew from what was seen, and what came a day early is early again, though less so', () => {
    const scalare = eggs('pterophyllum-scalare');
    const plain = hatching(scalare, steady(27));
    const early = hatching(scalare, steady(27), { hatched: plain.hatch.day - 1, swimming: null });
    expect(early.hatch).toEqual({
      day: plain.hatch.day - 1,
      from: plain.hatch.day - 1,
      to: plain.hatch.day - 1,
      seen: true,
    });
    const rest = plain.swim.day - plain.hatch.day;
    const pace = Math.sqrt(plain.hatch.day / (plain.hatch.day - 1));
    expect(early.swim.day).toBeCloseTo(plain.hatch.day - 1 + rest / pace, 1);
    expect(early.swim.to - early.swim.from).toBeLessThan(plain.swim.to - plain.swim.from);
    const seen = hatching(scalare, steady(27), { hatched: 2, swimming: 7 });
    expect(seen.swim).toMatchObject({ day: 7, seen: true });
    expect(() => hatching(scalare, steady(27), { hatched: 3, swimming: 2 })).toThrow(/before/);
  });

  it('at any temperature comes in order, and sooner in the warm', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 500, noNaN: true }),
        fc.double({ min: 0, max: 400, noNaN: true }),
        fc.double({ min: 10, max: 30, noNaN: true }),
        (degreeDays, more, tempC) => {
          const traits = {
            hatchDegreeDays: degreeDays,
            swimDegreeDays: degreeDays + more,
            tempOptC: 25,
            unsure: 1.2,
          };
          const { hatch, swim } = hatching(traits, steady(tempC));
          expect(hatch.from).toBeLessThanOrEqual(hatch.day);
          expect(hatch.day).toBeLessThanOrEqual(swim.day);
          expect(hatching(traits, steady(tempC + 1)).hatch.day).toBeLessThanOrEqual(hatch.day);
          expect(progressPerDay(degreeDays, 25, tempC)).toBeGreaterThan(0);
        },
      ),
    );
  });
});

describe('young fish', () => {
  const zebrafish = { ...find('danio-rerio'), larvalLengthMm: 3.8 };
  it('grow as their kind does: zebrafish are about two centimetres after three months', () => {
    const [atSwim, later] = [youngLengthCm(zebrafish, 0, 26), youngLengthCm(zebrafish, 90, 26)];
    expect(atSwim).toBeCloseTo(0.38, 9);
    expect(later).toBeGreaterThan(1.6);
    expect(later).toBeLessThan(3);
  });
  it('grow slower in the cool, and no faster over their best', () => {
    expect(youngLengthCm(zebrafish, 30, 20)).toBeLessThan(youngLengthCm(zebrafish, 30, 26));
    expect(youngLengthCm(zebrafish, 30, 32)).toBe(youngLengthCm(zebrafish, 30, 26));
  });
  it('reach a length on the day that gives it, or never', () => {
    const days = daysToLength(zebrafish, 2, 26)!;
    expect(youngLengthCm(zebrafish, days, 26)).toBeCloseTo(2, 9);
    expect(daysToLength(zebrafish, 0.2, 26)).toBe(0);
    expect(daysToLength(zebrafish, 40, 26)).toBeNull();
  });
});

describe('the ladder', () => {
  const prey = (key: string, minUm: number, maxUm: number): Prey => ({
    key,
    name: key,
    minUm,
    maxUm,
  });
  const preys = [
    prey('shrimp', 170, 220),
    prey('infusoria', 30, 200),
    prey('vinegar worms', 25, 50),
    prey('moina', 300, 1200),
    prey('grindal worms', 300, 500),
  ];
  it('takes what fits a mouth: two fifths of eight hundredths of a larva’s length', () => {
    expect(widestPreyUm(0.4, 0.08)).toBeCloseTo(0.4 * 0.08 * 4000, 9);
    expect(widestPreyUm(2, 0.05)).toBeCloseTo(0.4 * 0.05 * 20_000, 9);
  });
  it('begins with what the smallest mouth takes and climbs by size, each beside the next', () => {
    const traits = { ...find('trichopodus-leerii'), larvalLengthMm: 3 };
    const rungs = ladderOf((day) => youngLengthCm(traits, day, 26), 0.06, preys, 90);
    expect(rungs[0]).toMatchObject({ from: 0, prey: { key: 'infusoria' } });
    expect(rungs.map(({ prey: one }) => one.key)).toContain('shrimp');
    rungs.slice(1).forEach((rung, at) => {
      const before = rungs[at]!;
      expect(rung.from).toBeGreaterThan(before.from);
      expect(before.to).toBe(rung.from + 4);
      expect(rung.mouthUm).toBeGreaterThan(before.mouthUm);
    });
    expect(rungs.at(-1)!.to).toBe(Infinity);
  });
  it('of fry with a large mouth begins with brine shrimp, and of none that fits has no rung', () => {
    const large = { ...find('fundulopanchax-gardneri'), larvalLengthMm: 6.5 };
    const [first] = ladderOf((day) => youngLengthCm(large, day, 24), 0.09, preys, 60);
    expect(first!.prey.key).toBe('shrimp');
    expect(ladderOf(() => 0.2, 0.05, [prey('log', 5000, 6000)], 60)).toEqual([]);
  });
  it('of any brood has no day without food once the first fits, and what fits', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 8, noNaN: true }),
        fc.double({ min: 0.04, max: 0.12, noNaN: true }),
        fc.integer({ min: 2, max: 20 }),
        (larvalLengthMm, gapeShare, adultLengthCm) => {
          const traits = {
            larvalLengthMm,
            growth: growthBySize(adultLengthCm),
            tempOptC: 25,
          };
          const rungs = ladderOf((day) => youngLengthCm(traits, day, 25), gapeShare, preys, 80);
          rungs.forEach((rung, at) => {
            expect(rung.prey.minUm).toBeLessThanOrEqual(rung.mouthUm);
            if (at > 0) expect(rungs[at - 1]!.to).toBeGreaterThan(rung.from);
          });
        },
      ),
      { numRuns: 60 },
    );
  });
  it('can be climbed on the kinds that the catalogue has', () => {
    const animals = cultures.filter(
      ({ model, key }) => model !== 'film' && key !== 'floating-plants',
    );
    const known = animals.map(({ key, name, sizeMinUm, sizeMaxUm }) =>
      prey(`${key} ${name}`, sizeMinUm, sizeMaxUm),
    );
    const traits = { ...find('trichopodus-leerii'), larvalLengthMm: 3 };
    const rungs = ladderOf((day) => youngLengthCm(traits, day, 26), 0.06, known, 90);
    expect(rungs.length).toBeGreaterThanOrEqual(3);
  });
});
