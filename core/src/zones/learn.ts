import { Matrix, inverse, solve } from 'ml-matrix';
import { stageFactor, type Belly } from '../ration';
import type { Feeding, Learned, LearnedSure } from './feeding';
import { phaseAt } from './light';
import { modelOf, type Model } from './model';
import { energiesOf, shareOfNeed } from './report';
import { settled } from './settled';
import { simulate, type Outcome } from './simulate';
import { TRAIT_SD } from './spread';

/** What a keeper saw of one feeding. */
export interface Sighting {
  /** The feeding as it was given, with its groups as they are known. */
  feeding: Feeding;
  /** Keys of the drops that `clearedMin` and `left` are about; null is all of them. */
  about: ReadonlySet<string> | null;
  /** Minutes until that was gone, since the first of it went in; null where it was not seen. */
  clearedMin: number | null;
  /** Share that was left when it was lifted, 0..1; null if not observed. */
  left: number | null;
  /** By group: share that came to the food, 0..1. */
  came: ReadonlyMap<string, number>;
}

/** How the groups of a tank looked of late, beside what its plan gives them in a day. */
export interface BellyLooks {
  /** The whole day as it is planned. */
  feeding: Feeding;
  /** By group: every look of late. */
  seen: ReadonlyMap<string, readonly { belly: Belly | null; hungBack: boolean }[]>;
}

/** What was learned of one group, and how sure it is: 0 nothing, 1 beyond doubt. */
export interface LearnedGroup extends Learned {
  groupId: string;
  sure: LearnedSure;
  /** Of search and taking together, which a clearing time cannot tell apart. */
  eating: { times: number; sure: number };
}

const TRAITS = ['search', 'taking', 'coming'] as const;
/** No trait is ever believed to be further off than this factor. */
const BOUND = 4;
/** How far a sighting may be off: of ln minutes, of the share left, of the share that came. Assumptions. */
const SEEN = { cleared: 0.3, left: 0.12, came: 0.2 };
/**
 * The share of its need that a belly speaks of, from sunken to bloated; how far one look is off, of the
 * logarithm; and how sure many can make it, for they share what is wrong with them. Assumptions.
 */
export const BELLY_SHARE: Record<Belly, number> = { 1: 0.4, 2: 0.7, 3: 1, 4: 1.25, 5: 1.6 };
export const BELLY_SD = { one: 0.3, many: 0.12 };
/** A fish that is fattened up looks full long before it has what it is to get: of maintenance. Assumption. */
const FULL_AT = 1.3;

/** By how much a belly is fuller than its share of the need says, for a group that is fed up. */
export const fedUp = ({ stage, goalFactor, species }: Feeding['groups'][number]): number =>
  stage === 'conditioning' ? Math.max(1, (goalFactor ?? stageFactor(stage, species)) / FULL_AT) : 1;
/** So much less of a group comes where some of it were seen to hang back. Assumption. */
const HUNG_BACK = 0.6;
/** Minutes at which a keeper looks who came. Assumption. */
const LOOKS_MIN = 2;
const LOOKS_EVERY_S = 20;
/** Gauss and Newton settle within a few rounds on so few traits. */
const ROUNDS = 5;
/**
 * Steps along the traits, of their logarithms: downwards where more than all cannot come or be taken,
 * so that a fish that always comes can still be seen to come less.
 */
const NUDGE = { search: 0.1, taking: -0.1, coming: -0.1 };
/** A fit is far wider than the error of a longer step. */
const STEP_SCALE = 2;

/**
 * Fit the traits of a tank's groups to what was seen there: the likeliest multiples under the prior,
 * by Gauss and Newton on the logarithms, bounded; how sure follows from the curvature.
 * @param onRun called with the simulations done and to be done; answering false keeps the best so far
 * @returns one entry a group, in the order of the first sighting's feeding; empty without sightings
 */
export function learn(
  sightings: readonly Sighting[],
  onRun: (done: number, of: number) => boolean = () => true,
  looks: BellyLooks | null = null,
): LearnedGroup[] {
  const known = sightings[0]?.feeding ?? looks?.feeding;
  const groups = known?.groups.map((group) => group.id) ?? [];
  const size = groups.length * TRAITS.length;
  const priors = groups.flatMap(() => TRAITS.map((trait) => TRAIT_SD[trait]));
  const all = ROUNDS * (size + 1) * (sightings.length + (looks ? 1 : 0));
  let done = 0;
  let goOn = true;
  const bellyMisses = (theta: readonly number[]): number[] => {
    if (looks === null) return [];
    done += 1;
    goOn = onRun(done, all) && goOn;
    return missesOfLooks(looks, groups, theta);
  };
  const missesAt = (theta: readonly number[]): number[] => [
    ...sightings.flatMap((sighting) => {
      done += 1;
      goOn = onRun(done, all) && goOn;
      return missesOf(sighting, traitsOf(groups, theta));
    }),
    ...bellyMisses(theta),
    ...theta.map((value, at) => value / priors[at]!),
  ];
  let theta = new Array<number>(size).fill(0);
  let curvature = Matrix.identity(size, size);
  for (let round = 0; size > 0 && round < ROUNDS && goOn; round += 1) {
    const here = missesAt(theta);
    const slopes = theta.map((value, at) => {
      const nudge = NUDGE[TRAITS[at % TRAITS.length]!];
      return missesAt(theta.with(at, value + nudge)).map(
        (miss, row) => (miss - here[row]!) / nudge,
      );
    });
    // Columns of the Jacobian are the slopes of the misses along each trait.
    const jacobian = new Matrix(slopes).transpose();
    curvature = jacobian.transpose().mmul(jacobian);
    const downhill = jacobian.transpose().mmul(Matrix.columnVector(here)).mul(-1);
    const step = solve(curvature, downhill).to1DArray();
    theta = theta.map((value, at) => bounded(value + step[at]!));
  }
  const covariance = size > 0 ? inverse(curvature) : new Matrix(0, 0);
  const sureOf = (variance: number, prior: number) => clamp01(1 - Math.sqrt(variance) / prior);
  return groups.map((groupId, g) => {
    const at = g * TRAITS.length;
    const sure = (trait: number) =>
      sureOf(covariance.get(at + trait, at + trait), TRAIT_SD[TRAITS[trait]!]);
    const learned = learnedOf(theta, g);
    const together =
      covariance.get(at, at) + covariance.get(at + 1, at + 1) + 2 * covariance.get(at, at + 1);
    return {
      groupId,
      ...learned,
      sure: { search: sure(0), taking: sure(1), coming: sure(2) },
      eating: {
        times: learned.search * learned.taking,
        sure: sureOf(together, Math.hypot(TRAIT_SD.search, TRAIT_SD.taking)),
      },
    };
  });
}

const bounded = (value: number) => Math.min(Math.log(BOUND), Math.max(-Math.log(BOUND), value));
const clamp01 = (value: number) => Math.min(1, Math.max(0, value));

const learnedOf = (theta: readonly number[], g: number): Learned => {
  const [search, taking, coming] = TRAITS.map((_, t) => Math.exp(theta[g * TRAITS.length + t]!));
  return { search: search!, taking: taking!, coming: coming! };
};

const traitsOf = (groups: readonly string[], theta: readonly number[]) =>
  new Map(groups.map((id, g) => [id, learnedOf(theta, g)]));

/** What was seen against what these traits would show, in standard deviations. */
function missesOf(sighting: Sighting, traits: ReadonlyMap<string, Learned>): number[] {
  const feeding = {
    ...sighting.feeding,
    groups: sighting.feeding.groups.map((group) => ({ ...group, learned: traits.get(group.id) })),
  };
  const model = modelOf(feeding);
  const outcome = simulate(model, { stepScale: STEP_SCALE, everyS: LOOKS_EVERY_S });
  const shown = shownBy(model, outcome, aboutOf(sighting));
  const misses: number[] = [];
  const cleared =
    sighting.clearedMin ??
    (sighting.left === null ? null : goneLater(model, sighting.left) - aboutOf(sighting).sinceMin);
  if (cleared !== null) {
    misses.push(Math.log((shown.clearedMin + 0.5) / (cleared + 0.5)) / SEEN.cleared);
  }
  if (sighting.left !== null) misses.push((shown.left - sighting.left) / SEEN.left);
  for (const [groupId, came] of sighting.came) {
    const g = feeding.groups.findIndex((group) => group.id === groupId);
    if (g >= 0) misses.push((shown.came[g]! - came) / SEEN.came);
  }
  return misses;
}

/** What bellies and shyness say against what the planned day would give, in standard deviations. */
function missesOfLooks(
  { feeding, seen }: BellyLooks,
  groups: readonly string[],
  theta: readonly number[],
): number[] {
  const traits = traitsOf(groups, theta);
  const asked = {
    ...feeding,
    // What a belly changes of the need is left out: it is the belly that is to be explained.
    groups: feeding.groups.map((group) => ({
      ...group,
      belly: null,
      learned: traits.get(group.id),
    })),
  };
  const model = settled(asked);
  const outcome = simulate(model, { stepScale: BELLY_STEP_SCALE });
  const kjPerG = energiesOf(asked, model);
  return groups.flatMap((groupId, g) => {
    const looks = seen.get(groupId) ?? [];
    const misses: number[] = [];
    const scores = looks.flatMap(({ belly }) => (belly === null ? [] : [belly]));
    if (scores.length > 0) {
      const full = fedUp(feeding.groups[g]!);
      const share = (full * shareOfNeed(model, outcome, kjPerG[g]!, g)) / 100;
      const meant = meanOf(scores.map((belly) => Math.log(BELLY_SHARE[belly])));
      const sd = Math.max(BELLY_SD.many, BELLY_SD.one / Math.sqrt(scores.length));
      misses.push((Math.log(Math.max(MIN_SHARE, share)) - meant) / sd);
    }
    const hung = looks.filter(({ hungBack }) => hungBack).length / Math.max(1, looks.length);
    // What was not ticked says nothing.
    if (hung > 0) {
      const sd = Math.max(BELLY_SD.many, BELLY_SD.one / Math.sqrt(looks.length));
      misses.push((theta[g * TRAITS.length + COMING]! - hung * Math.log(HUNG_BACK)) / sd);
    }
    return misses;
  });
}

const COMING = TRAITS.indexOf('coming');
/** Less than this share of the need is none. */
const MIN_SHARE = 0.05;
/** A belly says less than the error of a longer step. */
const BELLY_STEP_SCALE = 3.5;

const meanOf = (values: readonly number[]) =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

/** Which drops of a feeding are looked at, and the minute of the model at which their clock starts. */
interface About {
  includes: (drop: number) => boolean;
  sinceMin: number;
}

const ALL: About = { includes: () => true, sinceMin: 0 };

export function aboutOf({
  about,
  feeding: { drops, fromMin },
}: Pick<Sighting, 'about' | 'feeding'>): About {
  if (about === null) return ALL;
  const starts = drops.filter(({ key }) => about.has(key)).map(({ atMin }) => atMin - fromMin);
  return {
    includes: (drop) => about.has(drops[drop]?.key ?? ''),
    sinceMin: starts.length > 0 ? Math.min(...starts) : 0,
  };
}

/** What a keeper would see of a simulated feeding. */
export function shownBy(
  model: Model,
  outcome: Outcome,
  about: About = ALL,
): { clearedMin: number; left: number; came: number[] } {
  const items = model.items.length;
  let served = 0;
  let there = 0;
  model.items.forEach((item, i) => {
    if (item.drop < 0 || !about.includes(item.drop)) return;
    served += outcome.servedG[i]!;
    for (let at = i; at < outcome.leftG.length; at += items) {
      there += outcome.leftG[at]! + outcome.liftedG[at]!;
    }
  });
  const left = served > 0 ? there / served : 0;
  const clearedMin = Math.max(
    0,
    ...outcome.clearedS.flatMap((seconds, drop) =>
      about.includes(drop)
        ? (seconds === null ? goneLater(model, left) : seconds / 60) - about.sinceMin
        : [],
    ),
  );
  return { clearedMin, left, came: cameBy(model, outcome) };
}

/** What is not gone in time would have been gone later, the later the more is left: minutes. */
const goneLater = (model: Model, left: number): number => (model.endS / 60) * (1 + 2 * left);

/** By feeder: the largest share of the group that was out and at the food while it was looked at. */
function cameBy(model: Model, outcome: Outcome): number[] {
  const { columns } = model.waters;
  const looked = outcome.frames.filter(({ atS }) => atS <= LOOKS_MIN * 60);
  const { day, dusk, night } = phaseAt(model.light, model.fromMin + LOOKS_MIN);
  const lit = day + dusk / 2;
  return model.feeders.map((feeder, f) => {
    const ready = day * feeder.ready.day + dusk * feeder.ready.dusk + night * feeder.ready.night;
    const out = feeder.byDay.reduce(
      (sum, share, layer) => sum + lit * share + (1 - lit) * feeder.byNight[layer]!,
      0,
    );
    const here = looked.map(({ where }) =>
      where.slice(f * columns, (f + 1) * columns - 1).reduce((sum, share) => sum + share, 0),
    );
    return clamp01(ready * out * Math.max(0, ...here));
  });
}
