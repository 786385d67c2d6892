import solver from 'javascript-lp-solver';
import { DRIP_SOLIDS, mixture, type Losses, type Mixture, type Part } from './mixture';

/** What the keeper wants of a mix; null asks for nothing. Shares 0..1, lowest and highest. */
export interface Targets {
  /** Of the dry matter. */
  protein: readonly [number, number] | null;
  fat: readonly [number, number] | null;
  plant: readonly [number, number] | null;
  /** Of the mix as it is portioned. */
  moisture: readonly [number, number] | null;
}
export type Target = keyof Targets;

export interface Candidate extends Pick<Part, 'composition' | 'plantShare'> {
  /** Share of all that goes in, as the keeper has it now, 0..1. */
  share: number;
  /** A binder keeps its share, or nothing sets. */
  fixed: boolean;
  /** Most that may go in, as a share: what the shelf holds against the batch. Infinity for water. */
  max: number;
}

/** A target that was not reached, and what was. */
export interface Miss {
  target: Target;
  wanted: readonly [number, number];
  reached: number;
}

export interface Balanced {
  /** A share for each candidate; they add up to 1. */
  shares: number[];
  mix: Mixture;
  /** What is left unmet, in the order of the targets. */
  misses: Miss[];
  /** Candidates of which no more can be had, by their place in the list. */
  limitedBy: number[];
}

/** A miss of a hundredth outweighs any distance from what the keeper had. */
const MISS_WEIGHT = 1000;
/** Differences that a scale does not show. */
const NOTHING = 1e-6;
const KEYS: readonly Target[] = ['protein', 'fat', 'plant', 'moisture'];

/**
 * The shares that reach the targets, or come as near as the ingredients allow, and among those the
 * nearest to what the keeper has now. A linear programme: the same input gives the same mix.
 * @returns null where even the shares themselves cannot be had: the shelf holds too little of all
 */
export function balance(
  candidates: readonly Candidate[],
  targets: Targets,
  losses: Losses,
): Balanced | null {
  const constraints: Record<string, { min?: number; max?: number; equal?: number }> = {
    whole: { equal: 1 },
  };
  const variables: Record<string, Record<string, number>> = {};
  const left = 1 - losses.cooked - losses.drained;
  const drip = losses.drained * (1 - DRIP_SOLIDS);

  candidates.forEach((candidate, at) => {
    const { composition, share, fixed, max } = candidate;
    const dry = 1 - composition.moisture;
    const column: Record<string, number> = { whole: 1, [`near${at}`]: 1, [`most${at}`]: 1 };
    for (const key of ['protein', 'fat', 'plant'] as const) {
      const wanted = targets[key];
      if (!wanted) continue;
      const has = key === 'plant' ? candidate.plantShare * dry : composition[key];
      // Has ÷ dry between two limits is linear in the shares once it is multiplied out.
      column[`${key}Low`] = has - wanted[0] * dry;
      column[`${key}High`] = has - wanted[1] * dry;
    }
    if (targets.moisture) {
      column.moistureLow = composition.moisture;
      column.moistureHigh = composition.moisture;
    }
    variables[`x${at}`] = column;
    variables[`over${at}`] = { [`near${at}`]: -1, cost: 1 };
    variables[`under${at}`] = { [`near${at}`]: 1, cost: 1 };
    constraints[`near${at}`] = { equal: share };
    constraints[`most${at}`] = fixed ? { equal: share } : { min: 0, max: Math.min(max, 1) };
  });
  for (const key of KEYS) {
    const wanted = targets[key];
    if (!wanted) continue;
    const [low, high] =
      key === 'moisture'
        ? [wanted[0] * left + losses.cooked + drip, wanted[1] * left + losses.cooked + drip]
        : [0, 0];
    constraints[`${key}Low`] = { min: low };
    constraints[`${key}High`] = { max: high };
    variables[`${key}Short`] = { [`${key}Low`]: 1, cost: MISS_WEIGHT };
    variables[`${key}Past`] = { [`${key}High`]: -1, cost: MISS_WEIGHT };
  }
  const model = { optimize: 'cost', opType: 'min' as const, constraints, variables };
  const found = solver.Solve(model) as { feasible: boolean } & Record<string, number | boolean>;
  if (!found.feasible) return null;

  const shares = candidates.map((_, at) => tidy(Number(found[`x${at}`] ?? 0)));
  const mix = mixture(
    candidates.map((one, at) => ({ ...one, massG: shares[at] as number })),
    losses,
  );
  return {
    shares,
    mix,
    misses: missesOf(mix, targets),
    limitedBy: candidates.flatMap(({ fixed, max }, at) =>
      !fixed && max < 1 && (shares[at] as number) >= max - NOTHING ? [at] : [],
    ),
  };
}

/** The targets that a mix does not reach, in their order. */
export function missesOf({ composition, plantShare }: Mixture, targets: Targets): Miss[] {
  const dry = 1 - composition.moisture;
  const has: Record<Target, number> = {
    protein: dry > 0 ? composition.protein / dry : 0,
    fat: dry > 0 ? composition.fat / dry : 0,
    plant: plantShare,
    moisture: composition.moisture,
  };
  return KEYS.flatMap((target) => {
    const wanted = targets[target];
    const reached = has[target];
    // Half a hundredth is less than an analysis knows.
    if (!wanted || (reached >= wanted[0] - 0.005 && reached <= wanted[1] + 0.005)) return [];
    return [{ target, wanted, reached }];
  });
}

const tidy = (share: number) => Math.max(0, Math.round(share * 1e9) / 1e9);
