import { loadCatalogue, parseCatalogue } from './load';
import { foodRow } from './foods';

describe('the shipped catalogue', () => {
  const catalogue = loadCatalogue();

  it('holds at least the species of the demo, each sourced', () => {
    expect(catalogue.species.length).toBeGreaterThanOrEqual(12);
    for (const row of catalogue.species) {
      expect([row.sourceSize, row.sourceWater, row.sourceDiet].every(Boolean)).toBe(true);
    }
  });

  it('holds foods of every family', () => {
    expect(new Set(catalogue.foods.map((row) => row.family)).size).toBe(6);
  });
});

describe('a faulty catalogue', () => {
  const head =
    'key,name,family,kind,form,protein,fat,fibre,ash,moisture,plantShare,unitName,unitPlural,unitMassG,unitStep,keepsOpenedDays,source';
  const good =
    'a-flake,Flake,grain,dry,floats,0.4,0.1,0.03,0.1,0.07,0.3,pinch,pinches,0.05,0.5,90,label analysis';
  const read =
    (...lines: string[]) =>
    () =>
      parseCatalogue('foods.csv', [head, ...lines].join('\n'), foodRow);

  it('is refused with line and column', () => {
    expect(read(good.replace('floats', 'hovers'))).toThrow(/line 2, form/);
    expect(read(good, good)).toThrow(/line 3: key a-flake stands twice/);
    expect(read(good.replace('0.4', '0.9'))).toThrow(/more than 100 %/);
    expect(read(good.replace('label analysis', ''))).toThrow(/names its source/);
  });
});
