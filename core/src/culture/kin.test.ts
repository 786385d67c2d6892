import { loadCatalogue } from '@open-larder/catalogue/load';
import { familyOf, harvestG, insteadOf, sharing, type Dead, type Kin } from '.';

const tub = (id: string, over: Partial<Kin> = {}): Kin => ({
  id,
  kindKey: 'moina',
  fromVesselId: null,
  water: '',
  tools: '',
  startedOn: '2026-03-01',
  ...over,
});

describe('what a crash may have reached', () => {
  const vessels = [
    tub('a', { water: 'Rain butt', tools: 'green net' }),
    tub('b', { water: 'rain butt ', tools: 'Green net', fromVesselId: 'a' }),
    tub('c', { water: 'tap', fromVesselId: 'a' }),
    tub('d'),
  ];
  it('shares water or tools, or came from it, the closest first', () => {
    expect(sharing(vessels, 'a')).toEqual([
      { id: 'b', ties: ['water', 'tools', 'child'] },
      { id: 'c', ties: ['child'] },
    ]);
    expect(sharing(vessels, 'c')).toEqual([
      { id: 'a', ties: ['parent'] },
      { id: 'b', ties: ['sibling'] },
    ]);
  });
  it('is nothing where nothing is said', () => {
    expect(sharing(vessels, 'd')).toEqual([]);
    expect(sharing(vessels, 'nobody')).toEqual([]);
  });
});

describe('a family', () => {
  const vessels = [
    tub('first'),
    tub('son', { fromVesselId: 'first', startedOn: '2026-03-05' }),
    tub('elder', { fromVesselId: 'first', startedOn: '2026-03-03' }),
    tub('grandson', { fromVesselId: 'son', startedOn: '2026-03-09' }),
    tub('stranger'),
  ];
  it('is told from its first down, the elder before the younger, whoever asks', () => {
    const family = [
      { id: 'first', depth: 0 },
      { id: 'elder', depth: 1 },
      { id: 'son', depth: 1 },
      { id: 'grandson', depth: 2 },
    ];
    expect(familyOf(vessels, 'first')).toEqual(family);
    expect(familyOf(vessels, 'grandson')).toEqual(family);
    expect(familyOf(vessels, 'stranger')).toEqual([{ id: 'stranger', depth: 0 }]);
    expect(familyOf(vessels, 'nobody')).toEqual([]);
  });
  it('in a ring ends', () => {
    const ring = [tub('x', { fromVesselId: 'y' }), tub('y', { fromVesselId: 'x' })];
    expect(
      familyOf(ring, 'x')
        .map(({ id }) => id)
        .sort(),
    ).toEqual(['x', 'y']);
  });
});

describe('what stands in for live food', () => {
  const kinds = new Map(loadCatalogue().cultures.map((row) => [row.key, row]));
  const food = (id: string, over: Partial<Dead> = {}): Dead => ({
    id,
    name: id,
    kind: 'dry',
    particleMinMm: 0.1,
    particleMaxMm: 0.3,
    plantShare: 0.1,
    leftG: 10,
    ...over,
  });
  it('is of its size and of animals, frozen before dry, and there', () => {
    const foods = [
      food('powder'),
      food('frozen', { kind: 'frozen', particleMinMm: 0.2, particleMaxMm: 0.5 }),
      food('pellets', { particleMinMm: 2, particleMaxMm: 3 }),
      food('wafer', { plantShare: 0.9 }),
      food('empty', { leftG: 0 }),
      food('living', { kind: 'live' }),
      food('unsized', { particleMinMm: null, particleMaxMm: null }),
    ];
    expect(insteadOf(kinds.get('brine-shrimp')!, foods)).toEqual([
      { id: 'frozen', name: 'frozen', fits: true },
      { id: 'powder', name: 'powder', fits: true },
      { id: 'unsized', name: 'unsized', fits: false },
    ]);
    expect(insteadOf(kinds.get('green-stones')!, foods).map(({ id }) => id)).not.toContain(
      'powder',
    );
  });
});

describe('a harvest as it was measured', () => {
  it.each([
    ['g', 3, 3],
    ['net', 2, 3],
    ['pipette', 5, 1],
    ['spoon', 1, 0.8],
    ['some', 1, 2],
  ] as const)('%s × %d is %d g', (by, amount, grams) => {
    expect(harvestG(by, amount, 4)).toBeCloseTo(grams, 9);
  });
});
