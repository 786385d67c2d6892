import fc from 'fast-check';
import { loadCatalogue } from '@open-larder/catalogue/load';
import { together, type Mate, type Together } from '.';

const species = new Map(loadCatalogue().species.map((row) => [row.key, row]));
const mate = (key: string, over: Partial<Mate> = {}): Mate => {
  const row = species.get(key);
  if (!row) throw new Error(`no such species: ${key}`);
  const count = over.count ?? row.usualGroup;
  return {
    id: key,
    name: row.common,
    species: row,
    stage: 'adult',
    counts: { males: 0, females: 0, unsexed: count },
    count,
    lengthCm: row.adultLengthCm * 0.85,
    lengthMeasured: true,
    ...over,
  };
};
const tank = { tempC: 25, ph: 7, gh: 8, litres: 200 };
const find = <K extends Together['kind']>(found: Together[], kind: K) =>
  found.find((one) => one.kind === kind) as Extract<Together, { kind: K }> | undefined;

describe('living together', () => {
  it('finds nothing to say about one group in its own water', () => {
    expect(together([mate('danio-rerio')], tank)).toEqual([]);
    expect(together([], tank)).toEqual([]);
    expect(together([mate('danio-rerio', { count: 0 })], tank)).toEqual([]);
  });

  it('puts a small fish before a mouth that it fits, first of all', () => {
    const found = together([mate('paracheirodon-innesi'), mate('astronotus-ocellatus')], tank);
    expect(found[0]).toMatchObject({
      kind: 'fitsMouth',
      groupId: 'paracheirodon-innesi',
      otherId: 'astronotus-ocellatus',
    });
    // 3.5 × 0.85 cm × 18 % deep, against 33 × 0.85 cm × 14 % wide.
    const expected = (3.5 * 0.85 * 0.18) / (33 * 0.85 * 0.14);
    expect(find(found, 'fitsMouth')?.ratio.value).toBeCloseTo(expected, 9);
  });

  it('a large one fits no small mouth, and a grazer hunts nothing', () => {
    const kinds = together([mate('paracheirodon-innesi'), mate('ancistrus-cirrhosus')], tank).map(
      (one) => one.kind,
    );
    expect(kinds).not.toContain('fitsMouth');
  });

  it('compares every group with the water it is in', () => {
    const found = together([mate('symphysodon-aequifasciatus')], {
      ...tank,
      tempC: 22,
      ph: 8,
      gh: 18,
    });
    expect(find(found, 'tankTemperature')).toMatchObject({ low: 27, high: 31 });
    expect(find(found, 'tankPh')?.is.value).toBe(8);
    expect(find(found, 'tankHardness')?.is.value).toBe(18);
    expect(together([mate('danio-rerio')], { ...tank, ph: null, gh: null })).toEqual([]);
  });

  it('says where no water suits both', () => {
    const found = together(
      [mate('symphysodon-aequifasciatus'), mate('tanichthys-albonubes')],
      tank,
    );
    expect(find(found, 'noCommonTemperature')).toMatchObject({
      groupId: 'symphysodon-aequifasciatus',
      otherId: 'tanichthys-albonubes',
      low: 27,
      high: 24,
    });
    expect(find(found, 'noCommonTemperature')?.gap.value).toBe(3);
  });

  it('counts a kind over all its groups', () => {
    const two = [
      mate('danio-rerio', { id: 'a', count: 3 }),
      mate('danio-rerio', { id: 'b', count: 3 }),
    ];
    expect(find(together(two, tank), 'fewOfAKind')).toMatchObject({ is: 6, usual: 10 });
    const enough = [...two, mate('danio-rerio', { id: 'c', count: 4 })];
    expect(find(together(enough, tank), 'fewOfAKind')).toBeUndefined();
  });

  it('asks for more females where males would chase, among grown fish only', () => {
    const guppies = { counts: { males: 6, females: 4, unsexed: 0 }, count: 10 };
    expect(
      find(together([mate('poecilia-reticulata', guppies)], tank), 'tooManyMales'),
    ).toMatchObject({ males: 6, females: 4, perMale: 2 });
    const young = mate('poecilia-reticulata', { ...guppies, stage: 'juvenile' });
    expect(find(together([young], tank), 'tooManyMales')).toBeUndefined();
    const males = mate('betta-splendens', {
      counts: { males: 2, females: 0, unsexed: 0 },
      count: 2,
    });
    expect(find(together([males], tank), 'keepsAlone')).toBeDefined();
  });

  it('sees nippers among the slow, worse where the nippers are few', () => {
    const found = (count: number) =>
      find(
        together([mate('puntigrus-tetrazona', { count }), mate('trichogaster-chuna')], tank),
        'nipsFins',
      );
    expect(found(3)?.severity).toBeGreaterThan(found(12)?.severity as number);
  });

  it('forecasts who goes short: the shy among the bold that feed at the same place and hour', () => {
    const bold = mate('devario-aequipinnatus');
    const shy = mate('danio-erythromicron', { count: 10 });
    const found = find(together([bold, shy], tank), 'outEaten');
    expect(found).toMatchObject({ groupId: 'danio-erythromicron' });
    expect(found?.otherIds).toEqual(['devario-aequipinnatus']);
    // By night, under cover, the loaches share little of the danios' time.
    expect(find(together([bold, mate('ancistrus-cirrhosus')], tank), 'outEaten')).toBeUndefined();
  });

  it('says who feeds while the others sleep', () => {
    const found = together([mate('danio-rerio'), mate('pangio-kuhlii')], tank);
    expect(find(found, 'feedsByNight')).toMatchObject({ groupId: 'pangio-kuhlii', dayGroups: 1 });
    expect(find(together([mate('pangio-kuhlii')], tank), 'feedsByNight')).toBeUndefined();
  });

  it('says what warmth that suits the others does to appetite', () => {
    const found = together([mate('danio-rerio'), mate('tanichthys-albonubes')], {
      ...tank,
      tempC: 23.5,
    });
    expect(find(found, 'warmthOfMates')).toMatchObject({ groupId: 'tanichthys-albonubes' });
  });

  it('weighs the load on the water against what the most sensitive stands', () => {
    const crowd = [mate('carassius-auratus', { count: 6 })];
    const load = (litres: number) =>
      find(together(crowd, { ...tank, tempC: 20, litres }), 'waterLoad');
    expect(load(60)?.nitratePerWeek.value).toBeCloseTo(
      (load(30)?.nitratePerWeek.value ?? 0) / 2,
      6,
    );
    expect(load(50_000)).toBeUndefined();
    expect(
      find(together(crowd, { ...tank, tempC: 20, litres: null as never }), 'waterLoad'),
    ).toBeUndefined();
  });

  it('bolder is never under more pressure, in any company', () => {
    const keys = [...species.keys()];
    fc.assert(
      fc.property(
        fc.constantFrom(...keys),
        fc.constantFrom(...keys),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (a, b, boldness) => {
          fc.pre(a !== b);
          const pressure = (value: number) => {
            const one = mate(a);
            const with_ = { ...one, species: { ...one.species, boldness: value } };
            return find(together([with_, mate(b)], tank), 'outEaten');
          };
          const low = pressure(Math.min(boldness, 0.5));
          const high = pressure(Math.max(boldness, 0.5));
          const of = (found: typeof low) => (found?.groupId === a ? found.pressure.value : 0);
          expect(of(high)).toBeLessThanOrEqual(of(low) + 1e-12);
        },
      ),
    );
  });

  it('answers for every pair of species, gravest first', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom(...species.keys()), { minLength: 2, maxLength: 6 }),
        (keys) => {
          const found = together(
            keys.map((key) => mate(key)),
            tank,
          );
          const severities = found.map((one) => one.severity);
          expect(severities).toEqual([...severities].sort((x, y) => y - x));
          for (const value of severities) expect(value >= 0 && value <= 1).toBe(true);
        },
      ),
    );
  });
});
