import { loadCatalogue } from '@open-larder/catalogue/load';
import { broodTraits, hatching, ladderOf, youngLengthCm } from '.';

const { species, strategies, cultures } = loadCatalogue();
const strategyOf = (breeding: string) =>
  strategies.find((strategy) => strategy.breeding === breeding)!;
const preys = cultures
  .filter(({ model, key }) => model !== 'film' && key !== 'floating-plants')
  .map(({ key, name, sizeMinUm, sizeMaxUm }) => ({
    key,
    name,
    minUm: sizeMinUm,
    maxUm: sizeMaxUm,
  }));

describe('what a brood is reckoned with', () => {
  it('is what is known of the species, and else what is usual for its way of life', () => {
    const medaka = species.find(({ key }) => key === 'oryzias-latipes')!;
    const known = broodTraits(medaka, strategyOf('plant spawner'));
    expect(known.eggs!.hatchDegreeDays).toBeCloseTo(240, 9);
    expect(known.eggs!.swimDegreeDays).toBeCloseTo(245, 9);
    expect(known.assumed).toEqual([]);
    const unknown = {
      ...medaka,
      hatchDegreeDays: null,
      swimDegreeDays: null,
      hatching: null,
      defaulted: ['larvalLengthMm' as const],
    };
    const usual = broodTraits(unknown, strategyOf('plant spawner'));
    expect(usual.eggs).toMatchObject({ hatchDegreeDays: 200, swimDegreeDays: 210, unsure: 2 });
    expect(usual.assumed).toEqual(['hatchDegreeDays', 'swimDegreeDays', 'larvalLengthMm']);
  });

  it('has no hatching to wait for where the young are born', () => {
    const guppy = species.find(({ key }) => key === 'poecilia-reticulata')!;
    expect(broodTraits(guppy, strategyOf('live-bearer')).eggs).toBeNull();
  });

  it('gives every species that is bred a ladder of dates in order', () => {
    for (const one of species) {
      if (one.breeding === 'not bred at home') continue;
      const traits = broodTraits(one, strategyOf(one.breeding));
      if (traits.eggs) {
        const { hatch, swim } = hatching(traits.eggs, () => one.tempOptC);
        expect(swim.day).toBeGreaterThanOrEqual(hatch.day);
        expect(swim.day).toBeLessThan(200);
      }
      const lengthOn = (day: number) => youngLengthCm(traits, day, one.tempOptC);
      const rungs = ladderOf(lengthOn, one.gapeShare, preys, 120);
      expect(rungs.length).toBeGreaterThan(0);
      expect(rungs.map(({ from }) => from)).toEqual(
        rungs.map(({ from }) => from).sort((a, b) => a - b),
      );
    }
  });
});
