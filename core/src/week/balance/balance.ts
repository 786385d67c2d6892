import { judged, withServings, type Judged } from '../judge';
import { newMemory } from '../outcome';
import type { WeekTask } from '../task';
import { kindsOf } from './kinds';
import type { Solution, Solver } from './mip';
import { modelOf, type BalanceModel } from './model';
import { offersOf, type Offer } from './offers';
import { keepsLimits, keptOf, servingsOf, type Steps } from './plan';
import { polished } from './polish';
import { corrected, driftOf, grazedOf } from './shares';

export interface Balanced {
  before: Judged;
  /** The best that was found; the plan as it is where nothing did better. */
  after: Judged;
  /** How often it was solved and simulated in turn. */
  rounds: number;
  /** Whether what was solved for and what was simulated agree at the end. */
  settled: boolean;
  /** By how much they differ at the worst, as a share of a group's day. */
  drift: number;
  /** How the last programme ended, and how far from the best bound. */
  status: Solution['status'];
  gap: number;
  /** The programme that was solved last, to ask what limits it. */
  model: BalanceModel;
}

/** How far a balance has come. */
export interface Progress {
  step: 'looking' | 'solving' | 'simulating';
  round: number;
  /** Score of the plan as it is; lower is better. */
  before: number;
  /** The best plan so far, looked at roughly; null until one was found. */
  best: Pick<Judged, 'score' | 'servings'> | null;
}

export interface BalanceOptions {
  /** An id for a serving that the plan does not have yet. */
  newId: () => string;
  /** Seconds for all solving together. */
  seconds: number;
  /** Told as it goes; answering false stops with the best so far. */
  onProgress?: (progress: Progress) => boolean;
  /** What the time is, in seconds: the core has no clock of its own. */
  now?: () => number;
}

/**
 * Rounds of solving and simulating. At first without whole units, over everything that could be
 * given: quick, and it brings the shares near. Then whole, over what that chose, until what is solved
 * for is what is simulated.
 */
const RELAXED_ROUNDS = 2;
/**
 * How hard whole units are searched, by how many groups a tank has: rounds at the most, offers of a
 * group that are looked at (those that gave it most without), and after how many rounds only the
 * amounts of what was chosen are still open; at last, plans that are tried by small steps. A small
 * tank is quick, and can be searched wider.
 */
const SEARCH = {
  small: { rounds: 6, offers: 6, fixedAfter: 2, another: 0.1, trials: 40 },
  large: { rounds: 2, offers: 3, fixedAfter: 0, another: 0.35, trials: 20 },
};
const SMALL_GROUPS = 3;
/** What was solved for may differ so much from what was simulated, as a share of a day. */
const SETTLED = 0.1;
/**
 * When a programme is solved well enough. Later ones are little better than the shares that they are
 * solved on; counted in steps of the search, not seconds, so that a slow machine finds the same.
 */
const ENOUGH = { gap: 0.05, nodes: 20, improvements: 3 };

/**
 * Balance a tank's plan on what reaches each group: solve a programme on estimated shares, simulate
 * its plan, take the shares of that, and solve again; at last a few steps by hand. The same task
 * gives the same plan as long as no limit of time cuts it short.
 */
export function balance(task: WeekTask, solver: Solver, options: BalanceOptions): Balanced {
  const { onProgress = () => true, now = () => 0, newId } = options;
  const began = now();
  const late = () => now() - began >= options.seconds;
  const memory = newMemory();
  const before = judged(task, memory);
  // While plans are searched, each is looked at roughly: it begins the day as the present one does.
  const rough = newMemory({ fill: before.outcome.days.at(-1)!.fill });
  let best: { plan: Judged; given: Steps; offers: readonly Offer[] } | null = null;
  let goOn = true;
  const report = (step: Progress['step'], round: number) => {
    const found = best && { score: best.plan.score, servings: best.plan.servings };
    goOn = onProgress({ step, round, before: before.score, best: found }) && goOn;
    return goOn;
  };
  report('looking', 0);
  const kinds = kindsOf(task);
  const kept = keptOf(task);
  let offers: readonly Offer[] = offersOf(task, kinds.length);
  let grazed = grazedOf(task, kinds, before.outcome);
  let model = modelOf(task, kinds, offers, grazed, kept);
  let ended: Pick<Solution, 'status' | 'gap'> = { status: 'none', gap: Infinity };
  let drift = Infinity;
  let round = 0;
  const search = task.groups.length <= SMALL_GROUPS ? SEARCH.small : SEARCH.large;
  while (
    offers.length > 0 &&
    round < RELAXED_ROUNDS + search.rounds &&
    !late() &&
    report('solving', round + 1)
  ) {
    round += 1;
    const relaxed = round <= RELAXED_ROUNDS;
    const found = solver.solve(model.mip, {
      relaxed,
      ...ENOUGH,
      seconds: Math.max(0.1, options.seconds - (now() - began)),
      onBetter: () => void report('solving', round),
    });
    ended = found;
    if (found.status === 'none') break;
    report('simulating', round);
    const given = model.steps.map((columns) =>
      columns.map((column) => (column < 0 ? 0 : Math.round(found.values[column]!))),
    );
    const { servings, offerOf } = servingsOf(task, kinds, offers, given, newId);
    const plan = judged(withServings(task, servings), rough);
    if (
      keepsLimits(task, kinds, offers, given) &&
      (best === null || plan.score < best.plan.score)
    ) {
      best = { plan, given, offers };
    }
    drift = driftOf(task, kinds, offers, plan.outcome, grazed, given);
    if (!relaxed && drift <= search.another) break;
    offers = corrected(offers, kinds, plan.outcome, offerOf);
    grazed = grazedOf(task, kinds, plan.outcome);
    if (round === RELAXED_ROUNDS) offers = likeliest(offers, model, found.values, search.offers);
    // Once whole units are chosen, only how much of each is still open: so the rounds come to an end.
    if (round > RELAXED_ROUNDS + search.fixedAfter) {
      offers = offers.filter((_, o) => given.some((ofKind) => ofKind[o]! > 0));
    }
    model = modelOf(task, kinds, offers, grazed, kept);
  }
  let after = before;
  if (best !== null) {
    const { offers: of } = best;
    const planOf = (given: Steps) =>
      withServings(task, servingsOf(task, kinds, of, given, newId).servings);
    const given = polished(task, kinds, of, best.given, search.trials, (steps) =>
      report('simulating', round) && !late() ? judged(planOf(steps), rough) : null,
    );
    const plan = judged(planOf(given), memory);
    if (plan.score < before.score) after = plan;
  }
  return { before, after, rounds: round, settled: drift <= SETTLED, drift, ...ended, model };
}

/** The offers of each group that gave most of its energy. */
function likeliest(
  offers: readonly Offer[],
  { steps, kinds }: BalanceModel,
  values: readonly number[],
  max: number,
): Offer[] {
  const gave = offers.map(({ stepG }, o) =>
    kinds.reduce((sum, kind, k) => {
      const column = steps[k]![o]!;
      return column < 0 ? sum : sum + kind.days.length * values[column]! * stepG;
    }, 0),
  );
  const groups = [...new Set(offers.map((offer) => offer.group))];
  const kept = new Set(
    groups.flatMap((group) =>
      offers
        .flatMap((offer, o) => (offer.group === group ? [o] : []))
        .sort((a, b) => gave[b]! - gave[a]! || a - b)
        .slice(0, max),
    ),
  );
  return offers.filter((_, o) => kept.has(o));
}
