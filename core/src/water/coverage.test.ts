import { chanceOf, type Chance } from '../chance';
import { addDays } from '../round';
import { computeWaterStatus, UPTAKE, USUAL_RHYTHM, type WaterEvent, type WaterTask } from '.';
import { testSd } from './testError';
import { waterEvent } from './water.testkit';

const TODAY = '2026-03-11';
const LITRES = 100;
const AHEAD = [7, 28, 56] as const;
const TESTS = [1, 4, 12] as const;

interface World {
  production: number;
  uptake: number;
  plants: keyof typeof UPTAKE;
  foodMgL: number;
  share: number;
  everyDays: number;
  sourceMgL: number;
}

/** Tanks that the prior favours, and such as it does not. */
function worldOf(chance: Chance): World {
  const plants = (['none', 'few', 'many', 'dense'] as const)[Math.floor(chance.even() * 4)]!;
  const max = { none: 0, few: 0.6, many: 1.6, dense: 3 }[plants];
  return {
    production: 0.4 + 1.8 * chance.even(),
    uptake: max * chance.even(),
    plants,
    foodMgL: 0.5 + 2 * chance.even(),
    share: 0.15 + 0.4 * chance.even(),
    everyDays: [4, 7, 10, 14][Math.floor(chance.even() * 4)]!,
    sourceMgL: 25 * chance.even(),
  };
}

/** 26 weeks of a tank as it really is, and of that to come; what a keeper writes down of the last. */
function lived(world: World, tests: number, chance: Chance) {
  const { production, uptake, foodMgL, share, everyDays, sourceMgL } = world;
  const past = 182;
  const real: number[] = [];
  const fedMgL: number[] = [];
  const events: WaterEvent[] = [];
  const step = Math.floor(84 / tests);
  let mgL = sourceMgL + 15;
  for (let day = -past; day <= 56; day += 1) {
    real.push(mgL);
    const on = addDays(TODAY, day);
    if (day <= 0 && day > -84 && -day % step === 0 && -day / step < tests) {
      const read = Math.max(0, mgL + chance.normal() * testSd(mgL));
      events.push(waterEvent('tested', on, { nitrate: read }));
    }
    if ((day + past) % everyDays === 0) {
      if (day < 0) events.push(waterEvent('changed', on, { share }));
      mgL = mgL * (1 - share) + sourceMgL * share;
    }
    // What is fed differs from day to day, and so does what shows of it.
    const fed = foodMgL * (0.7 + 0.6 * chance.even());
    fedMgL.push(fed);
    mgL = Math.max(0, mgL + production * fed * (0.8 + 0.4 * chance.even()) - uptake);
  }
  const at = (day: number) => real[day + past]!;
  return { at, events, fedOn: (day: number) => fedMgL[day + past]! };
}

const mg = (mgL: number) => (mgL * LITRES) / 4.43;

function reportOf(
  world: World,
  tests: number,
  chance: Chance,
  { written = true }: { written?: boolean } = {},
) {
  const { at, events, fedOn } = lived(world, tests, chance);
  const { sourceMgL } = world;
  const { share, everyDays } = written ? world : USUAL_RHYTHM;
  const task: WaterTask = {
    litres: LITRES,
    tempC: 25,
    ph: 7,
    filtered: true,
    uptake: UPTAKE[world.plants],
    since: addDays(TODAY, -400),
    today: TODAY,
    rhythm: { share, everyDays, sourceMgL, said: written, heldUntil: null },
    events: written ? events : events.filter(({ kind }) => kind === 'tested'),
    servedMg: new Map(
      Array.from({ length: 120 }, (_, back) => [addDays(TODAY, -1 - back), mg(fedOn(-1 - back))]),
    ),
    plannedMg: Array<number>(56).fill(mg(world.foodMgL)),
    groups: [{ id: 'g', name: 'Danios', toleratesMgL: 40 }],
  };
  return { status: computeWaterStatus(task), at };
}

/** Worlds of each kind that are run; the table of docs/water.md was made with more. */
const WORLDS = Number(process.env.OPEN_LARDER_WORLDS ?? 60);

/** Counted with more worlds it is printed, for the table. */
const note = (line: string) =>
  process.env.OPEN_LARDER_WORLDS ? process.stdout.write(`  ${line}\n`) : false;

describe.each(TESTS)('after %d tests', (tests) => {
  const chance = chanceOf(7 + tests);
  const report = Array.from({ length: WORLDS }, () => {
    const world = worldOf(chance);
    return { world, ...reportOf(world, tests, chance) };
  });

  it.each(AHEAD)('the band holds what is so %d days on about nine times of ten', (ahead) => {
    const held = report.filter(({ status, at }) => {
      const day = status.days[ahead - 1]!;
      return at(ahead - 1) >= day.low && at(ahead - 1) <= day.high;
    });
    const share = held.length / WORLDS;
    note(`${tests} tests, ${ahead} days: ${share}`);
    expect(share).toBeGreaterThan(0.8);
  });

  it('a rhythm that is advised keeps it under the cap nine times of ten', () => {
    const advised = report.filter(({ status }) => status.keeps?.share != null);
    const kept = advised.filter(({ world, status }) => {
      const { production, uptake, foodMgL, everyDays, sourceMgL } = world;
      const adds = Math.max(0, production * foodMgL - uptake);
      const share = Math.max(0.01, status.keeps!.share!);
      return sourceMgL + (adds * everyDays) / share <= 40 * 1.005;
    });
    note(`${tests} tests, kept: ${kept.length / advised.length} of ${advised.length}`);
    expect(kept.length / advised.length).toBeGreaterThan(0.85);
  });
});

describe('where neither a rhythm nor a change was written down', () => {
  const chance = chanceOf(99);
  const report = Array.from({ length: WORLDS }, (_, at) => {
    const world = { ...worldOf(chance), ...USUAL_RHYTHM, sourceMgL: 5 };
    // Every other keeper never changes any water.
    const kept = at % 2 === 0 ? world : { ...world, share: 0, foodMgL: 0.2 + 0.3 * chance.even() };
    const { status, at: real } = reportOf(kept, 9, chance, { written: false });
    return { status, real };
  });

  it.each([1, 28])('the band holds what is so %d days on, changed or not', (ahead) => {
    const held = report.filter(({ status, real }) => {
      const day = status.days[ahead - 1]!;
      return real(ahead - 1) >= day.low && real(ahead - 1) <= day.high;
    });
    note(`changed or never, ${ahead} days: ${held.length / WORLDS}`);
    expect(held.length / WORLDS).toBeGreaterThan(0.8);
  });
});
