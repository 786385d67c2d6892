import { loadCatalogue } from '@open-larder/catalogue/load';
import { STAGES } from '../fish';
import { modelOf, reportOf, simulate } from '.';
import type { FeedFood } from './feeding';
import { testDrop, testFeeding, testWater } from './zones.testkit';

const { species, foods } = loadCatalogue();
const served = foods.map((food): FeedFood => ({
  ...food,
  id: food.key,
  composition: food,
  inWater: food,
  unit: { massG: food.unitMassG, step: food.unitStep },
}));

describe('every species with foods of the catalogue', () => {
  it.each(species.map((kind, at) => [kind.key, kind, at] as const))('%s', (_, kind, at) => {
    const four = [0, 1, 2, 3].map((step) => served[(at * 7 + step * 29) % served.length]!);
    const drops = four.map((food, step) =>
      testDrop(food.id, 'g', {
        key: `d${step}`,
        massG: 0.05 + step,
        zone: (['surface', 'mid', 'bottom', 'film'] as const)[step]!,
      }),
    );
    const feeding = testFeeding({
      tank: testWater({ depthCm: 8 + (at % 60), tempC: kind.tempOptC }),
      groups: [
        {
          id: 'g',
          name: kind.common,
          species: kind,
          stage: STAGES[at % STAGES.length]!,
          count: 1 + (at % 40),
          lengthCm: kind.adultLengthCm * (0.1 + (at % 9) / 10),
          lengthMeasured: true,
          goalFactor: null,
        },
      ],
      foods: four,
      drops,
    });
    const model = modelOf(feeding);
    const report = reportOf(feeding, model, simulate(model));
    const [group] = report.groups;
    expect(Number.isFinite(group!.ofNeed.value)).toBe(true);
    expect(Number.isFinite(report.water.nitrateMgL.value)).toBe(true);
    report.drops.forEach(({ servedG, eatenG, leachedG, liftedG, stayingG, leftG }) => {
      const accounted = eatenG + leachedG + liftedG + stayingG + leftG;
      expect(Math.abs(accounted - servedG)).toBeLessThan(1e-9 * Math.max(1, servedG));
    });
  });
});
