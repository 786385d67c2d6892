import {
  type UptakePrior,
  type WaterCourse,
  type WaterFit,
  type WaterTest,
  type WaterWay,
  TELLING,
} from './course';
import { sdAt, weigh, WAYS } from './weigh';

/** From so many standard deviations on a test is asked about. */
const ODD_FROM = 3.5;

/**
 * Real production and uptake of a tank, and what is in it: one trajectory of which every test is an
 * observation with its error. All ways are tried over a grid that keeps to what can be (production from
 * 0 to 2.5, no uptake below nothing, no nitrate below nothing) and weighed by the prior and the tests.
 * A test that was confirmed though it lies far from the rest begins a new trajectory: something
 * happened that was not written down.
 * @param tests  in order of their days, 0 to `course.days`
 * @param uptake what plants may take; a deviation of 0 fixes it
 */
export function fitWater(
  tests: readonly WaterTest[],
  course: WaterCourse,
  uptake: UptakePrior,
): WaterFit {
  const all = tests.map((test, at) => ({ ...test, at }));
  const first = weigh(all, course, uptake);
  const far = all.filter((test) => Math.abs(off(test, first.path)) > ODD_FROM);
  if (far.length === 0) return { ...first, odd: [] };
  // Where most tests contradict the course, it is the course that is wrong: the last test begins anew.
  const contradicted = all.length >= TELLING && far.length > all.length / 2;
  const sure = far.filter((test) => test.sure);
  const odd = contradicted ? [] : far.filter((test) => !test.sure).map(({ at }) => at);
  const kept = all.filter(({ at }) => !odd.includes(at));
  const jumpOn = contradicted ? all.at(-1)!.day : sure.at(-1)?.day;
  const { evidence } = first;
  const fit = { ...weigh(kept, course, uptake, jumpOn), odd, evidence };
  if (jumpOn === undefined) return fit;
  // Until then it went as the tests of then say.
  const before = kept.filter(({ day }) => day < jumpOn);
  const { path } = weigh(before, course, uptake);
  fit.path.set(path.subarray(0, jumpOn));
  return fit;
}

/**
 * The fit where it is unknown whether the changes of the course took place or none ever did: both, each
 * weighed by how well the tests agree with it.
 * @param odds that they took place, before any test
 */
export function fitUnknownChanges(
  tests: readonly WaterTest[],
  course: WaterCourse,
  uptake: UptakePrior,
  odds: number,
): WaterFit {
  const one = fitWater(tests, course, uptake);
  const still = fitWater(tests, { ...course, changes: [] }, uptake);
  const other: WaterFit = {
    ...still,
    ways: still.ways.map((way): WaterWay => ({ ...way, never: true })),
  };
  const chance = 1 / (1 + Math.exp(other.evidence - one.evidence) / odds);
  const likelier = chance >= 0.5 ? one : other;
  // Where only one of them finds a test odd, the likelier decides: they rest on different tests.
  if (one.odd.join() !== other.odd.join()) return likelier;
  const mix = (a: number, b: number) => chance * a + (1 - chance) * b;
  const spread = (of: (fit: WaterFit) => number, sd: (fit: WaterFit) => number) =>
    Math.sqrt(
      mix(sd(one) ** 2, sd(other) ** 2) + chance * (1 - chance) * (of(one) - of(other)) ** 2,
    );
  const ofOne = Math.round(chance * WAYS);
  return {
    ...likelier,
    production: mix(one.production, other.production),
    uptakeMgL: mix(one.uptakeMgL, other.uptakeMgL),
    sd: {
      production: spread(
        (fit) => fit.production,
        (fit) => fit.sd.production,
      ),
      uptakeMgL: spread(
        (fit) => fit.uptakeMgL,
        (fit) => fit.sd.uptakeMgL,
      ),
    },
    ways: [...evenly(one.ways, ofOne), ...evenly(other.ways, WAYS - ofOne)],
    path: one.path.map((mgL, day) => mix(mgL, other.path[day]!)),
  };
}

const evenly = <T>(all: readonly T[], count: number): T[] =>
  Array.from({ length: count }, (_, at) => all[Math.floor(((at + 0.5) * all.length) / count)]!);

/** How far a test lies from a path, in its standard deviations. */
function off({ day, mgL }: WaterTest, path: Float64Array): number {
  const there = path[day]!;
  return Number.isFinite(there) ? (mgL - there) / sdAt(there) : 0;
}
