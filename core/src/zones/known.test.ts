import { modelOf, simulate, LAYER_COUNT, type Model } from '.';
import { testDrop, testEater, testFeeding, testFlake, testWater } from './zones.testkit';
import { watersOf } from './water';

/**
 * Cases with a known answer: the model is brought down to one on which a formula is known, and the
 * simulation has to give what the formula gives.
 */
const stillWater: Partial<Model> = {
  waters: { ...watersOf(testWater({ flow: 'still' }), 0, 5000), mixesCmS: 0 },
};

/** One cell of water with one food in it that stays as it is, and fish that are never full. */
function oneCell(fish: number, handlingS: number, seconds: number): Model {
  const model = modelOf(testFeeding({ groups: [testEater('a', { count: fish })] }));
  const items = model.items.map((item) => ({
    ...item,
    count: item.drop < 0 ? 0 : 100,
    massG: 0.001,
    sinkCmS: 0,
    leaches: 0,
    liftS: Infinity,
  }));
  return {
    ...model,
    ...stillWater,
    endS: seconds,
    items: [items[0]!, items.at(-1)!],
    columnsOf: [[0], [0]],
    feeders: model.feeders.map((feeder) => ({
      ...feeder,
      byDay: Float64Array.of(1, 0, 0, 0, 0, 0),
      ready: { day: 1, dusk: 1, night: 1 },
      stomachG: 1e9,
      evacuationPerS: 0,
    })),
    meetings: [
      [
        { taken: 0.8, handlingS, reachCm: { day: 5, night: 5 }, bites: false },
        { taken: 0, handlingS: 1, reachCm: { day: 0, night: 0 }, bites: false },
      ],
    ],
  };
}

/** Rogers' random predator equation, by bisection: ln(N0/N) + a·h·(N0 − N) = P·a·t. */
function rogers(n0: number, a: number, h: number, predators: number, t: number): number {
  let [low, high] = [0, n0];
  for (let round = 0; round < 200; round += 1) {
    const n = (low + high) / 2;
    if (Math.log(n0 / n) + a * h * (n0 - n) > predators * a * t) low = n;
    else high = n;
  }
  return n0 - (low + high) / 2;
}

describe('against a closed form', () => {
  it.each([
    [1, 0, 60],
    [1, 3, 60],
    [4, 3, 60],
    [10, 2, 15],
    [10, 8, 120],
    [2, 30, 600],
  ])('%d fish, %d s a particle, %d s: Rogers’ random predator equation', (fish, h, t) => {
    const model = oneCell(fish, h, t);
    const feeder = model.feeders[0]!;
    const volume = model.waters.size[0]!;
    const a = (0.8 * feeder.speedCmS * Math.PI * 25) / volume;
    const eaten = simulate(model).eatenG[0]! / 0.001;
    const expected = rogers(100, a, h, fish, t);
    expect(expected).toBeGreaterThan(1);
    expect(Math.abs(eaten / expected - 1)).toBeLessThan(0.002);
  });

  it('a stomach empties exponentially', () => {
    const model = oneCell(4, 1, 3600);
    const full = {
      ...model,
      items: model.items.map((item) => ({ ...item, count: 0 })),
      feeders: model.feeders.map((feeder) => ({
        ...feeder,
        stomachG: 2,
        fullAtFirst: 0.5,
        evacuationPerS: 0.3 / 3600,
      })),
    };
    const { frames } = simulate(full, { everyS: 600 });
    expect(frames.at(-1)!.fill[0]).toBeCloseTo(Math.exp(-0.3), 5);
  });

  it('a sinking food is on the ground after depth ÷ speed, on average', () => {
    const model = modelOf(
      testFeeding({
        groups: [],
        toMin: 608,
        foods: [
          testFlake({
            inWater: { floatMinutes: 0, sinkCmPerS: 1, particleMinMm: 1, particleMaxMm: 1 },
          }),
        ],
      }),
    );
    const { frames } = simulate({ ...model, ...stillWater, columnsOf: [[0], [0]] }, { everyS: 1 });
    const onGround = (lies: Float32Array) => {
      const inLayers = Array.from({ length: LAYER_COUNT }, (_, layer) => lies[layer * 2]!);
      return inLayers[4]! / inLayers.reduce((sum, grams) => sum + grams, 0);
    };
    // Mean time to arrive: the integral of the share that has not arrived yet.
    let mean = 0;
    for (let at = 1; at < frames.length; at += 1) {
      const [before, after] = [frames[at - 1]!, frames[at]!];
      mean += (after.atS - before.atS) * (1 - (onGround(before.lies) + onGround(after.lies)) / 2);
    }
    expect(mean).toBeGreaterThan(35 * 0.98);
    expect(mean).toBeLessThan(35 * 1.03);
  });

  it('film that was seen grows back towards its fullest, fast at first (monomolecular)', () => {
    const tank = testWater({ film: 'thin' });
    const model = modelOf(testFeeding({ tank, groups: [], drops: [], fromMin: 600, toMin: 1200 }));
    const { servedG } = simulate(model);
    const { atFirstG, fullG, growsGPerS } = model.film;
    const grown = fullG - (fullG - atFirstG) * Math.exp((-growsGPerS * 36_000) / fullG);
    expect(servedG[0]! / grown).toBeCloseTo(1, 3);
  });
});

describe('what must hold', () => {
  const shareOf = (over: Parameters<typeof testFeeding>[0], f = 0) => {
    const model = modelOf(testFeeding(over));
    const outcome = simulate(model);
    const items = model.items.length;
    return Array.from({ length: items - 1 }, (_, i) => outcome.eatenG[f * items + i]!).reduce(
      (sum, part) => sum + part,
      0,
    );
  };

  it('identical groups share equally', () => {
    const groups = [testEater('a'), testEater('b'), testEater('c')];
    const parts = groups.map((_, f) => shareOf({ groups }, f));
    expect(parts[0]).toBeGreaterThan(0);
    expect(parts[1]).toBeCloseTo(parts[0]!, 12);
    expect(parts[2]).toBeCloseTo(parts[0]!, 12);
  });

  it('a group that is never in a zone gets nothing there', () => {
    const nowhere = { surface: 0, mid: 0, bottom: 0.9, film: 0 };
    const low = testEater('low', { species: { presenceDay: nowhere, presenceNight: nowhere } });
    const afloat = testFlake({
      inWater: { floatMinutes: 20_000, sinkCmPerS: 0, particleMinMm: 1, particleMaxMm: 1 },
    });
    expect(shareOf({ groups: [low], foods: [afloat] })).toBe(0);
  });

  it('a particle larger than the mouth is never eaten whole', () => {
    const hunter = testEater('hunter', { species: { guild: 'predator', plantShareMin: 0 } });
    const large = testFlake({
      inWater: { floatMinutes: 5, sinkCmPerS: 1, particleMinMm: 7, particleMaxMm: 8 },
      liftAfterMin: 5,
    });
    expect(shareOf({ groups: [hunter], foods: [large] })).toBe(0);
    const whole = { ...large, inWater: { ...large.inWater, particleMinMm: 1, particleMaxMm: 1.2 } };
    expect(shareOf({ groups: [hunter], foods: [whole] })).toBeGreaterThan(0);
  });

  it('a group by itself gets what is given to it apart, and only that', () => {
    const groups = [testEater('bold', { species: { boldness: 1 } }), testEater('shy')];
    const manner = { afterMin: 0, spots: 1, carried: false, soaked: false, apart: true };
    const drops = [testDrop('flake', 'shy', { manner })];
    expect(shareOf({ groups, drops }, 0)).toBe(0);
    expect(shareOf({ groups, drops }, 1)).toBeGreaterThan(0.05);
  });
});
