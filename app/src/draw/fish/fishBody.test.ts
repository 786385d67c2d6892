import { loadCatalogue } from '@open-larder/catalogue/load';
import { FAMILY_FINS } from './families';
import { fishBody } from './fishBody';
import { patternOf, patternPath, type Pattern } from './patterns';

const { species } = loadCatalogue();

/** The ends of an absolute path, as points; what bends between them may reach a little further. */
const ends = (path: string): [number, number][] =>
  [...path.matchAll(/(-?\d*\.?\d+) (-?\d*\.?\d+)(?=\s*(?:[A-Z]|$))/g)].map((found) => [
    Number(found[1]),
    Number(found[2]),
  ]);

describe('the fish of every kind in the catalogue', () => {
  it.each(species.map(({ scientific, shape, family }) => [scientific, shape, family] as const))(
    '%s is drawn within its own length and depth',
    (_, shape, family) => {
      const { path, fins, up, down } = fishBody(shape, family);
      expect(path).not.toMatch(/NaN|undefined/);
      for (const [x, y] of [...ends(path), ...ends(fins)]) {
        expect(x).toBeGreaterThanOrEqual(-0.01);
        expect(x).toBeLessThanOrEqual(1.01);
        expect(y).toBeGreaterThanOrEqual(-up - 0.06);
        expect(y).toBeLessThanOrEqual(down + 0.06);
      }
    },
  );

  it('most of them by fins of their family, of which at least 24 look different', () => {
    const outlines = new Set(
      Object.keys(FAMILY_FINS).map((family) => {
        const { path, fins, lines } = fishBody('fusiform', family);
        return `${path} ${fins} ${lines}`;
      }),
    );
    expect(outlines.size).toBeGreaterThanOrEqual(24);
    const fish = species.filter(({ shape }) => shape !== 'shrimp' && shape !== 'snail');
    const known = fish.filter(({ family }) => family in FAMILY_FINS);
    expect(known.length / fish.length).toBeGreaterThan(0.9);
  });

  it('a kind without a family that is drawn is its shape alone', () => {
    const { path, fins } = fishBody('deep', 'No such family');
    expect(path).toMatch(/^M0/);
    expect(fins).toBe('');
  });
});

describe('patterns', () => {
  const ALL: Pattern[] = ['stripe', 'stripes', 'bars', 'wide bars', 'spots', 'mask', 'wedge'];
  it.each(ALL)('%s stay on the body', (pattern) => {
    const body = fishBody('deep', 'Cichlidae');
    const { d, width } = patternPath(pattern, body);
    expect(d).not.toMatch(/NaN/);
    expect(width).toBeGreaterThan(0);
    for (const [x, y] of ends(d)) {
      const { up, down } = body.reach(x);
      expect(y).toBeGreaterThanOrEqual(-up);
      expect(y).toBeLessThanOrEqual(down);
    }
  });

  it('are those of a genus, but for kinds that differ from it', () => {
    expect(patternOf('Danio rerio')).toBe('stripes');
    expect(patternOf('Danio margaritatus')).toBe('spots');
    expect(patternOf('Nosuchus fish')).toBeNull();
  });
});
