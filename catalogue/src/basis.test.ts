import { BASES, basisOf, basisOfSource, FIGURES, type Basis } from './basis';
import { loadCatalogue } from './load';

const { species } = loadCatalogue();
const of = (key: string) => species.find((row) => row.key === key)!;

describe('what a figure rests on', () => {
  it.each([
    ['Kimmel et al. 1995, Dev. Dyn. 203:253', 'publication'],
    ['Froese & Pauly FishBase: 8 to 12 cm', 'publication'],
    ['General keeping literature: starting value', 'practice'],
    ['General keeping literature: no stomach (Wilson & Castro 2010)', 'practice'],
    ['Seen in my own tanks', 'practice'],
  ] as const)('«%s» is %s', (source, basis) => expect(basisOfSource(source)).toBe(basis));

  it('is said field by field: a default never passes for practice, nor practice for a publication', () => {
    const danio = of('danio-rerio');
    expect(basisOf(danio, 'hatchDegreeDays')).toBe('publication');
    expect(basisOf(danio, 'boldness')).toBe('practice');
    expect(basisOf(danio, 'appetitePeakC')).toBe('default');
    expect(basisOf(danio, 'growthK')).toBe('practice');
    expect(basisOf(of('osteoglossum-bicirrhosum'), 'growthK')).toBe('default');
    expect(basisOf(of('carassius-auratus'), 'appetitePeakC')).toBe('practice');
  });

  it('takes from a publication what it says, and no more', () => {
    const cardinal = of('paracheirodon-axelrodi');
    expect(basisOf(cardinal, 'guild')).toBe('publication');
    expect(basisOf(cardinal, 'proteinMin')).not.toBe('publication');
    const neon = of('paracheirodon-innesi');
    expect(basisOf(neon, 'tempMaxC')).toBe('publication');
    expect(basisOf(neon, 'tempOptC')).toBe('practice');
    expect(basisOf(neon, 'nitrate')).not.toBe('publication');
  });

  it('adds up over the catalogue', () => {
    const counts = new Map<Basis, number>(BASES.map((basis) => [basis, 0]));
    for (const row of species) {
      for (const field of FIGURES) {
        const basis = basisOf(row, field);
        counts.set(basis, counts.get(basis)! + 1);
      }
    }
    const all = [...counts.values()].reduce((sum, one) => sum + one, 0);
    expect(all).toBe(species.length * FIGURES.length);
    expect(counts.get('practice')).toBeGreaterThan(counts.get('publication')!);
  });
});
