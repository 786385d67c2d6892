import fc from 'fast-check';
import { PLAIN } from '../round';
import type { GROUNDS } from '../tank';
import { bandsOf, modelOf, play, reportOf, simulate, type Feeding } from '.';
import {
  testDrop,
  testEater,
  testFeeding,
  testFlake,
  testLoaches,
  testWafer,
  testWater,
} from './zones.testkit';

/** Two runs over the same food differ by this much for their steps alone. */
const STEP_ERROR = 0.005;
/** Share of a drop that decides nothing. */
const HARDLY = 0.02;
/** A crumb is snapped up within a step or two: who got it is open by this much, grams. */
const CRUMB_G = 1e-5;

const anyFeeding = fc
  .record({
    depthCm: fc.integer({ min: 5, max: 60 }),
    flow: fc.constantFrom('still', 'gentle', 'moderate', 'strong' as const),
    groups: fc.array(
      fc.record({
        count: fc.integer({ min: 0, max: 30 }),
        lengthCm: fc.integer({ min: 1, max: 15 }),
        boldness: fc.double({ min: 0, max: 1, noNaN: true }),
        night: fc.boolean(),
      }),
      { maxLength: 4 },
    ),
    drops: fc.array(
      fc.record({
        wafer: fc.boolean(),
        massG: fc.double({ min: 0.0001, max: 5, noNaN: true }),
        atMin: fc.integer({ min: 600, max: 700 }),
        spots: fc.integer({ min: 1, max: 3 }),
        carried: fc.boolean(),
        place: fc.constantFrom('', 'far end'),
      }),
      { maxLength: 4 },
    ),
  })
  .map(({ depthCm, flow, groups, drops }): Feeding =>
    testFeeding({
      tank: testWater({ depthCm, flow }),
      groups: groups.map(({ night, boldness, ...over }, at) =>
        night
          ? testLoaches({ id: `g${at}`, ...over, species: { boldness } })
          : testEater(`g${at}`, { ...over, species: { boldness } }),
      ),
      drops: drops.map(({ wafer, spots, carried, ...over }, at) =>
        testDrop(wafer ? 'wafer' : 'flake', 'g0', {
          key: `d${at}`,
          zone: wafer ? 'bottom' : 'surface',
          ...over,
          manner: { ...PLAIN, spots, carried },
        }),
      ),
      toMin: 760,
    }),
  );

describe('in every feeding', () => {
  it('served is eaten, dissolved, lifted or left: nothing is made, nothing lost', () => {
    fc.assert(
      fc.property(anyFeeding, (feeding) => {
        const model = modelOf(feeding);
        const outcome = simulate(model);
        const items = model.items.length;
        const inCells = (cells: Float64Array, i: number) =>
          cells.reduce((sum, grams, at) => (at % items === i ? sum + grams : sum), 0);
        model.items.forEach((_, i) => {
          const eaten = model.feeders.reduce(
            (sum, _f, f) => sum + outcome.eatenG[f * items + i]!,
            0,
          );
          const accounted =
            eaten +
            outcome.leachedG[i]! +
            inCells(outcome.liftedG, i) +
            inCells(outcome.leftG, i) +
            outcome.buriedG[i]!;
          expect(Math.abs(accounted - outcome.servedG[i]!)).toBeLessThan(
            1e-9 * Math.max(1, outcome.servedG[i]!),
          );
        });
        expect(outcome.leftG.every((grams) => grams >= 0)).toBe(true);
        const report = reportOf(feeding, model, outcome);
        report.drops.forEach((drop, at) =>
          expect(drop.servedG).toBeCloseTo(feeding.drops[at]!.massG, 9),
        );
      }),
      { numRuns: 60 },
    );
  });

  it('a stomach is never overfilled', () => {
    fc.assert(
      fc.property(anyFeeding, (feeding) => {
        const model = modelOf(feeding);
        const { frames } = simulate(model, { everyS: 30 });
        model.feeders.forEach(({ stomachG }, f) =>
          frames.forEach(({ fill }) =>
            expect(fill[f]).toBeLessThanOrEqual(stomachG * 1.02 + 1e-12),
          ),
        );
      }),
      { numRuns: 30 },
    );
  });

  it('a bolder group never gets less', () => {
    fc.assert(
      fc.property(
        anyFeeding.filter(({ groups, drops }) => groups.length > 1 && drops.length > 0),
        fc.double({ min: 0.05, max: 0.5, noNaN: true }),
        (feeding, more) => {
          const one = { ...feeding, drops: feeding.drops.slice(0, 1) };
          const bolder = {
            ...one,
            groups: one.groups.map((group, at) =>
              at > 0
                ? group
                : {
                    ...group,
                    species: {
                      ...group.species,
                      boldness: Math.min(1, group.species.boldness + more),
                    },
                  },
            ),
          };
          // Who gathers sooner at one place leaves others to those who come later: hardly anything.
          const hardly = one.drops[0]!.massG * HARDLY;
          expect(eatenByFirst(bolder)).toBeGreaterThanOrEqual(
            eatenByFirst(one) * (1 - STEP_ERROR) - hardly,
          );
        },
      ),
      { numRuns: 40 },
    );
  });

  it('half the step moves no share by more than about a hundredth of the food', () => {
    fc.assert(
      fc.property(anyFeeding, (feeding) => {
        const model = modelOf(feeding);
        const usual = simulate(model);
        const fine = simulate(model, { stepScale: 0.5 });
        const items = model.items.length;
        const served = feeding.drops.reduce((sum, drop) => sum + drop.massG, 0);
        model.feeders.forEach((_, f) => {
          const of = ({ eatenG }: typeof usual) =>
            Array.from({ length: items - 1 }, (_i, i) => eatenG[f * items + i]!).reduce(
              (sum, grams) => sum + grams,
              0,
            );
          expect(Math.abs(of(usual) - of(fine))).toBeLessThanOrEqual(0.012 * served + CRUMB_G);
        });
      }),
      { numRuns: 40 },
    );
  });
});

/** Grams of all drops that the first group ate. */
function eatenByFirst(feeding: Feeding): number {
  const model = modelOf(feeding);
  const { eatenG } = simulate(model);
  return model.items.slice(0, -1).reduce((sum, _, i) => sum + eatenG[i]!, 0);
}

const played = (over: Partial<Feeding>) => {
  const feeding = testFeeding(over);
  const model = modelOf(feeding);
  return reportOf(feeding, model, simulate(model, { everyS: 60 }));
};

describe('what a feeding says', () => {
  it('bold fish by day leave the shy night feeders little; after lights-out they get it', () => {
    const groups = [testEater('shoal'), testLoaches()];
    const drops = (atMin: number) => [
      testDrop('wafer', 'loaches', { zone: 'bottom', massG: 0.2, atMin }),
    ];
    const day = played({ groups, drops: drops(600), toMin: 840 });
    const night = played({ groups, drops: drops(1320), fromMin: 1320, toMin: 1560 });
    expect(night.drops[0]!.ownShare).toBeGreaterThan(day.drops[0]!.ownShare + 0.2);
  });

  it('a soaked food reaches the bottom that a floating one does not', () => {
    const groups = [
      testEater('shoal', {
        species: { presenceDay: { surface: 0.95, mid: 0.05, bottom: 0, film: 0 } },
      }),
      testLoaches({ species: { activityByLight: { day: 1, dusk: 1, night: 1 } } }),
    ];
    const given = (soaked: boolean) =>
      played({
        groups,
        drops: [testDrop('flake', 'loaches', { massG: 0.4, manner: { ...PLAIN, soaked } })],
      }).drops[0]!.ownShare;
    expect(given(true)).toBeGreaterThan(given(false) * 1.5);
  });

  it('a whole day begins with what the night left in the stomachs; a meal with none', () => {
    const groups = [
      testLoaches({ species: { presenceDay: { surface: 0, mid: 0, bottom: 0.9, film: 0 } } }),
    ];
    const drops = [testDrop('wafer', 'loaches', { zone: 'bottom', massG: 3, atMin: 1330 })];
    const day = play(testFeeding({ groups, drops, fromMin: 540, toMin: 1980 }));
    expect(day.frames[0]!.fill[0]).toBeGreaterThan(0);
    // What it begins with is what it ends with: the same day, over and over.
    expect(day.frames.at(-1)!.fill[0]! / day.frames[0]!.fill[0]!).toBeCloseTo(1, 1);
    const meal = play(testFeeding({ groups, drops, fromMin: 1330, toMin: 1400 }));
    expect(meal.frames[0]!.fill[0]).toBe(0);
  });

  it('what is lifted is not in the water; what is left is', () => {
    const left = played({ groups: [], foods: [testFlake({ liftAfterMin: null })] });
    const lifted = played({ groups: [] });
    expect(left.drops[0]).toMatchObject({ eatenG: 0, liftedG: 0, clearedMin: null });
    expect(lifted.drops[0]!.leftG).toBe(0);
    expect(left.water.nitrogenMg.value).toBeCloseTo((0.1 * 0.46 * 1000) / 6.25, 6);
    expect(lifted.water.nitrogenMg.value).toBeLessThan(left.water.nitrogenMg.value / 5);
  });
});

describe('odd cases', () => {
  it('nobody there, nobody hungry, nothing given', () => {
    expect(played({ groups: [] }).drops[0]).toMatchObject({ eatenG: 0, ownShare: 0 });
    const larvae = played({ groups: [testEater('a', { stage: 'yolk-sac larva', lengthCm: 0.4 })] });
    expect(larvae.groups[0]!.gotKj.value).toBe(0);
    expect(played({ drops: [] })).toMatchObject({ drops: [], groups: [{ eaten: [] }] });
    expect(played({ drops: [testDrop('flake', 'shoal', { massG: 0 })] }).drops[0]!.servedG).toBe(0);
  });

  it.each([
    ['forty particles', 1.2, 40],
    ['forty thousand', 0.12, 40_000],
  ])('%s', (_, sizeMm, count) => {
    const inWater = {
      floatMinutes: 1,
      sinkCmPerS: 0.3,
      particleMinMm: sizeMm,
      particleMaxMm: sizeMm,
    };
    const massG = count * 0.9 * (Math.PI / 6) * (sizeMm / 10) ** 3;
    const feeding = testFeeding({
      foods: [testFlake({ inWater })],
      drops: [testDrop('flake', 'shoal', { massG })],
    });
    expect(modelOf(feeding).items[0]!.count).toBeCloseTo(count, 3);
    expect(played(feeding).drops[0]!.eatenG).toBeGreaterThan(massG * 0.2);
  });

  it('light across midnight: the same night, written the other way round', () => {
    const groups = [testEater('shoal'), testLoaches()];
    const at = (fromMin: number) =>
      played({
        groups,
        tank: testWater({ light: { onMin: 900, offMin: 120 } }),
        drops: [testDrop('wafer', 'loaches', { zone: 'bottom', atMin: fromMin + 5 })],
        fromMin,
        toMin: fromMin + 60,
      }).groups.map((group) => group.gotKj.value);
    at(180).forEach((kj, f) => expect(kj).toBeCloseTo(at(180 + 1440)[f]!, 9));
    expect(at(1380)[0]).toBeGreaterThan(at(180)[0]!);
  });

  it('a tub ten centimetres deep, and a group that hides all day', () => {
    const tub = played({ tank: testWater({ depthCm: 10, litres: 20 }) });
    expect(tub.drops[0]!.clearedMin).toBeGreaterThan(0);
    const none = { surface: 0, mid: 0, bottom: 0, film: 0 };
    const hiding = played({ groups: [testLoaches({ species: { presenceDay: none } })] });
    expect(hiding.groups[0]!.gotKj.value).toBe(0);
  });

  it('a food that is not on the list is refused by name', () => {
    expect(() => modelOf(testFeeding({ drops: [testDrop('gone', 'shoal')] }))).toThrow(
      /gone-shoal/,
    );
  });
});

describe('a band over uncertain traits', () => {
  const groups = [testEater('shoal'), testLoaches()];
  const feeding = testFeeding({
    groups,
    drops: [testDrop('wafer', 'loaches', { zone: 'bottom' })],
  });

  it('is the same for the same seed, another for another', () => {
    const one = bandsOf(feeding, 12, 7);
    expect(bandsOf(feeding, 12, 7)).toEqual(one);
    expect(bandsOf(feeding, 12, 8)).not.toEqual(one);
    one.ofNeed.forEach(({ low, middle, high }) => {
      expect(low).toBeLessThanOrEqual(middle);
      expect(middle).toBeLessThanOrEqual(high);
    });
    expect(one.ofNeed[1]!.high).toBeGreaterThan(one.ofNeed[1]!.low);
  });

  it('stops when it is reported to, with what it has', () => {
    expect(bandsOf(feeding, 50, 1, (done) => done < 5).runs).toBe(5);
  });
});

describe('the film', () => {
  const grazers = (over: Parameters<typeof testEater>[1] = {}) =>
    testEater('grazers', {
      count: 6,
      ...over,
      species: {
        guild: 'plant grazer',
        presenceDay: { surface: 0, mid: 0, bottom: 0.2, film: 0.7 },
      },
    });
  const got = (film: 'none' | 'thin' | 'furred' | undefined, group = grazers()) =>
    played({ tank: testWater({ film }), groups: [group], drops: [], fromMin: 0, toMin: 1440 })
      .groups[0]!.ofNeed.value;

  it('is nothing until it was seen', () => {
    expect(got(undefined)).toBe(0);
    expect(got('none')).toBe(0);
  });

  it('feeds a few grazers in part, and is never more than grows back in a day', () => {
    expect(got('thin')).toBeGreaterThan(0);
    const few = got('furred', grazers({ count: 2 }));
    const many = got('furred', grazers({ count: 60 }));
    expect(many).toBeLessThan(few);
    expect(many).toBeLessThan(60);
  });

  it('counts for nothing beside thin bellies', () => {
    expect(got('furred', grazers({ belly: 2 }))).toBe(0);
    expect(got('furred', grazers({ belly: 3 }))).toBeGreaterThan(0);
  });
});

describe('gravel', () => {
  const buried = (ground: (typeof GROUNDS)[number], foods = [testFlake(fine)]) => {
    const [drop] = played({
      tank: testWater({ ground }),
      groups: [testLoaches()],
      foods,
      drops: [testDrop(foods[0]!.id, 'loaches')],
      toMin: 700,
    }).drops;
    return drop!.buriedG / drop!.servedG;
  };
  const fine = {
    form: 'sinks' as const,
    inWater: { floatMinutes: 0, sinkCmPerS: 2, particleMinMm: 0.4, particleMaxMm: 0.5 },
    liftAfterMin: null,
  };

  it('swallows fine food, sand does not, and what is larger than the gaps stays in reach', () => {
    expect(buried('bare')).toBe(0);
    expect(buried('sand')).toBe(0);
    expect(buried('gravel')).toBeGreaterThan(0.2);
    expect(buried('soil')).toBeGreaterThan(0);
    expect(buried('soil')).toBeLessThan(buried('gravel'));
    expect(buried('leaf litter')).toBeGreaterThan(buried('soil'));
    expect(buried('gravel', [testWafer()])).toBe(0);
  });

  it('loses nothing: what is buried counts as left, and rots', () => {
    const report = played({
      tank: testWater({ ground: 'gravel' }),
      groups: [testLoaches()],
      foods: [testFlake(fine)],
      drops: [testDrop('flake', 'loaches')],
      toMin: 700,
    });
    const drop = report.drops[0]!;
    expect(drop.eatenG + drop.leachedG + drop.liftedG + drop.leftG).toBeCloseTo(drop.servedG, 9);
    expect(drop.leftG).toBeGreaterThanOrEqual(drop.buriedG);
  });
});
