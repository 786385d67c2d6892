import { widestPreyUm } from './mouth';

/** A food for the young, by the side of it that must fit. */
export interface Prey {
  key: string;
  name: string;
  minUm: number;
  maxUm: number;
  /** Wet mass of one, µg, where it is counted: a worm is more of a mouthful than it is wide. */
  animalUg?: number | null;
}

/** One rung of the ladder: a food and the days, from swimming free, on which it is given. */
export interface Rung<P extends Prey = Prey> {
  prey: P;
  from: number;
  /** The first day on which it is no longer given; Infinity for the last. */
  to: number;
  /** The widest that fits on its first day, µm. */
  mouthUm: number;
}

/** A rung goes on for so many days beside the next: none takes a new food at once. Assumption. */
const OVERLAP = 4;
/** The next rung is at least so much larger; else it is not worth another culture. Assumption. */
const STEP = 1.2;
/** Of a food whose usual size is up to so much over the mouth, the smaller ones are picked. Assumption. */
const PICKED = 1.25;
/** So many days each rung is climbed at the least before the next begins. Assumption. */
const MIN_DAYS = 3;

/** The usual size of a food that comes in many: most are small, some are large. */
export const usualUm = ({ minUm, maxUm }: Pick<Prey, 'minUm' | 'maxUm'>): number =>
  Math.sqrt(minUm * maxUm);

/** How large a mouthful one is: the diameter of a ball of its mass, as heavy as water, µm. */
const mouthfulUm = (prey: Prey): number =>
  prey.animalUg ? Math.cbrt((6 / Math.PI) * prey.animalUg * UM3_IN_UG) : usualUm(prey);
/** A microgram of water in cubic micrometres. */
const UM3_IN_UG = 1e6;

/**
 * The rungs that a brood climbs: each the largest mouthful that fits, from the day that it does, beside the
 * one before for some days.
 * @param lengthOn  total length on a day from swimming free, cm; never falls
 * @param gapeShare of an adult of its species
 * @param preys     what there is, in any order
 * @param days      so many days are looked at
 * @param took     by its key, the day on which a food was seen taken: not before, and from then on
 * @param allows whether a food may be given on a day at all
 * @returns in order; none where nothing fits in all that time
 */
export function ladderOf<P extends Prey>(
  lengthOn: (day: number) => number,
  gapeShare: number,
  preys: readonly P[],
  days: number,
  took: ReadonlyMap<string, number> = new Map(),
  allows: (prey: P, day: number) => boolean = () => true,
): Rung<P>[] {
  const rungs: Rung<P>[] = [];
  for (let day = 0; day < days; day += 1) {
    const mouthUm = widestPreyUm(lengthOn(day), gapeShare);
    const last = rungs.at(-1);
    const seen = preys.find(({ key }) => took.get(key) === day && key !== last?.prey.key);
    const largest =
      seen ??
      largestThatFits(
        preys.filter((prey) => (took.get(prey.key) ?? 0) <= day && allows(prey, day)),
        mouthUm,
      );
    if (!largest) continue;
    const climbs =
      seen !== undefined ||
      last === undefined ||
      (mouthfulUm(largest) >= STEP * mouthfulUm(last.prey) && day - last.from >= MIN_DAYS);
    if (!climbs) continue;
    if (last) last.to = day + OVERLAP;
    rungs.push({ prey: largest, from: day, to: Infinity, mouthUm });
  }
  return rungs;
}

/** The largest mouthful of what fits; undefined where nothing does. */
export const largestThatFits = <P extends Prey>(
  preys: readonly P[],
  mouthUm: number,
): P | undefined =>
  preys
    .filter((prey) => fits(prey, mouthUm))
    .sort((a, b) => mouthfulUm(a) - mouthfulUm(b))
    .at(-1);

/** The smallest of it go in, and its usual size nearly does. */
const fits = (prey: Prey, mouthUm: number): boolean =>
  prey.minUm <= mouthUm && usualUm(prey) <= PICKED * mouthUm;
