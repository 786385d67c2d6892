import { max, sum } from 'd3-array';
import { gravityOf, judged, withServings, type Judged } from '../judge';
import { newMemory } from '../outcome';
import type { WeekTask } from '../task';
import { allApplied, withAct, type PlanAct, type Servings } from './acts';
import { candidatesFor, lighter } from './candidates';
import { NO_PINS, type Pins } from './pins';
import { shareOf, type Trying } from './trying';
import { brokenRules, type Broken } from './rules';
import { IMPROVE_WAYS, WAYS, type ImproveWay } from './ways';

/** A plan that was bettered, and what was done to it. */
export interface Improved {
  /** The ways that it is the best for: several may come to the same. */
  ways: ImproveWay[];
  after: Judged;
  acts: PlanAct[];
}

/** The ways to better a plan; none where it is as good as it gets. */
export interface Improvements {
  before: Judged;
  found: Improved[];
  /** Plans that were simulated. */
  trials: number;
}

export interface ImproveOptions {
  newId: () => string;
  pins?: Pins;
  /** The ways to look for, the first of them the longest; all of them where it is not said. */
  ways?: readonly ImproveWay[];
  /** What is not tried: a first plan is given in plain ways. */
  without?: ReadonlySet<PlanAct['does']>;
  /** Look no longer than a first plan is worth. */
  quick?: boolean;
  /** Called after each plan that was tried, with how far it is; answering false stops with the best so far. */
  onTried?: (done: number, of: number) => boolean;
}

/**
 * Days that are simulated at most: for the first way, and for each of the others, which go on from what
 * it found. A tank of several groups takes longer for each.
 */
const DAYS = { first: { most: 300, least: 130 }, further: { most: 100, least: 35 } };
const SHARED_BY_GROUPS = { first: 420, further: 110 };

const daysFor = (groups: number, which: keyof typeof DAYS): number =>
  Math.min(
    DAYS[which].most,
    Math.max(DAYS[which].least, Math.round(SHARED_BY_GROUPS[which] / groups)),
  );
/** Where a first plan is laid out for many tanks at once. */
const QUICK_DAYS = 50;
const NOTHING: ReadonlySet<PlanAct['does']> = new Set();
/** A miss below this is left alone: no keeper changes a plan for it. Assumption. */
const TRIVIAL = 0.1;

/**
 * Better the plan that a keeper has, by changes that a keeper would make, in each of the ways that one may
 * want. The same task gives the same plans.
 */
export function improve(
  task: WeekTask,
  {
    newId,
    pins = NO_PINS,
    ways = IMPROVE_WAYS,
    quick = false,
    without = NOTHING,
    onTried = () => true,
  }: ImproveOptions,
): Improvements {
  const exact = newMemory();
  const before = judged(task, exact);
  // What one way has tried, the next need not simulate again.
  const rough = newMemory({ fill: before.outcome.days.at(-1)!.fill });
  const many = task.groups.length;
  const most = quick
    ? { first: QUICK_DAYS, further: QUICK_DAYS }
    : { first: daysFor(many, 'first'), further: daysFor(many, 'further') };
  const had = keysOf(brokenRules(task, before.outcome));
  const begin = judged(task, rough);
  const was = sharesOf(task, begin);
  let goOn = true;
  let trials = 0;
  const search: Search = {
    task,
    before,
    pins,
    newId,
    without,
    hadG: gramsOf(before),
    begin,
    was,
    judge(acts) {
      trials += 1;
      const plan = judged(withServings(task, allApplied(before.servings, acts)), rough);
      // What is wrong already may stay; nothing may become wrong.
      return isSound(task, plan, had) ? plan : null;
    },
  };
  const all = most.first + (ways.length - 1) * most.further;
  let until = 0;
  const lists: PlanAct[][] = [];
  for (const way of ways) {
    const limit = lists.length === 0 ? most.first : most.further;
    const began = rough.days.size;
    const acts = acted(search, way, lists[0] ?? [], () => {
      const spent = Math.min(limit, rough.days.size - began);
      goOn = onTried(until + spent, all) && goOn;
      return goOn && spent < limit;
    });
    until += limit;
    lists.push(acts);
  }
  const gotBefore = sharesOf(task, before);
  const exactly = (acts: PlanAct[]) => ({
    acts,
    after: judged(withServings(task, allApplied(before.servings, acts)), exact),
  });
  const holds = ({ after }: { after: Judged }) =>
    after.score < before.score + SAME &&
    isSound(task, after, had) &&
    lossOf(task, after, gotBefore) <= LOSS;
  const plans = lists.flatMap((acts) => {
    if (acts.length === 0) return [];
    const whole = exactly(acts);
    if (holds(whole)) return [whole];
    // Looked at exactly, it breaks what it kept roughly: the best of what it was on the way.
    const parts = acts.slice(1).map((_, at) => exactly(acts.slice(0, at + 1)));
    return parts
      .filter(holds)
      .sort((a, b) => a.after.score - b.after.score)
      .slice(0, 1);
  });
  // What was found for one way may serve another better than what was found for that.
  const found: Improved[] = [];
  for (const way of ways) {
    const cost = ({ after, acts }: { after: Judged; acts: readonly PlanAct[] }) =>
      costOf(task, way, after) + priceOf(way, acts);
    const [best] = [...plans].sort((a, b) => cost(a) - cost(b));
    if (!best || cost(best) >= costOf(task, way, before)) continue;
    const same = found.find(({ acts }) => acts === best.acts);
    if (same) same.ways.push(way);
    else found.push({ ways: [way], ...best });
  }
  return { before, found, trials };
}

interface Search extends Pick<Trying, 'pins' | 'newId'> {
  task: WeekTask;
  without: ReadonlySet<PlanAct['does']>;
  before: Judged;
  /** The plan as it is, looked at roughly as the others are. */
  begin: Judged;
  /** What each group gets of its need in that. */
  was: readonly number[];
  hadG: ReadonlyMap<string, number>;
  /** What a plan comes to; null where it breaks a rule. */
  judge: (acts: readonly PlanAct[]) => Judged | null;
}

const costOf = (task: WeekTask, way: ImproveWay, plan: Judged): number =>
  plan.score + WAYS[way].minute * workMin(plan) + WAYS[way].shortest * shortest(task, plan);
const priceOf = (way: ImproveWay, acts: readonly PlanAct[]): number =>
  sum(acts, ({ does }) => WAYS[way].change[does]);

/**
 * One change after another, each the one that most lessens the gravest miss, as long as it is worth its
 * trouble, from what was found before. At last each is left out again that the others made needless.
 */
function acted(
  search: Search,
  way: ImproveWay,
  from: readonly PlanAct[],
  mayGoOn: () => boolean,
): PlanAct[] {
  const { task, begin, was, pins, newId, hadG, without, judge } = search;
  const cost = (then: Judged, of: readonly PlanAct[]) =>
    costOf(task, way, then) + priceOf(way, of) + LOSS_WEIGHT * lossOf(task, then, was);
  let acts = [...from];
  let plan = (from.length > 0 && judge(from)) || begin;
  let best = cost(plan, acts);
  const step = (candidates: readonly PlanAct[]): boolean => {
    let found: { next: PlanAct[]; then: Judged; cost: number } | null = null;
    for (const act of candidates) {
      if (without.has(act.does)) continue;
      if (!mayGoOn()) break;
      const next = withAct(acts, act);
      const then = judge(next);
      if (!then) continue;
      const comes = cost(then, next);
      if (comes < (found?.cost ?? best - WORTH)) found = { next, then, cost: comes };
      // The likeliest come first: what helps much is taken without looking at the rest.
      if (found && found.cost < best - MUCH) break;
    }
    if (!found) return false;
    ({ next: acts, then: plan, cost: best } = found);
    return true;
  };
  const trying = (): Trying => ({
    task: withServings(task, plan.servings),
    plan,
    pins,
    newId,
    hadG: (servingId) => hadG.get(servingId) ?? null,
  });
  const missed = () =>
    plan.aims
      .filter((aim) => !aim.met && gravityOf(aim) > TRIVIAL)
      .sort((a, b) => gravityOf(b) - gravityOf(a));
  while (
    mayGoOn() &&
    (missed().some((aim) => step(candidatesFor(trying(), aim))) ||
      (way === 'leastWork' && step(lighter(trying(), null))))
  );
  for (const act of [...acts]) {
    const next = acts.filter((one) => one !== act);
    const then = next.length === 0 ? begin : judge(next);
    if (!then) continue;
    if (cost(then, next) > best) continue;
    acts = next;
    best = cost(then, next);
  }
  return acts;
}

/** Much better: a group that was short by an eighth of its need no longer is. */
const MUCH = 1.5;
/** Less than this is no better. */
const WORTH = 0.02;
/** Less work may cost this much in what they get. */
const SAME = 0.05;

/** Grams of each serving at a time, on the first day on which it is given. */
const gramsOf = ({ outcome }: Judged): ReadonlyMap<string, number> =>
  new Map(
    [...outcome.days]
      .reverse()
      .flatMap(({ drops }) => drops.map(({ key, massG }) => [key, massG] as const)),
  );

const NOT_AT_FIRST: ReadonlySet<PlanAct['does']> = new Set(['place', 'drop']);

/**
 * Servings that were just laid out, with the few changes that better them most.
 */
export function fitted(
  task: WeekTask,
  newId: () => string,
  options: Pick<ImproveOptions, 'pins' | 'quick'> = {},
): Servings {
  const { before, found } = improve(task, {
    ...options,
    newId,
    ways: ['leastChange'],
    without: NOT_AT_FIRST,
  });
  return found[0]?.after.servings ?? before.servings;
}

const keysOf = (broken: readonly Broken[]) => new Set(broken.map((one) => JSON.stringify(one)));

const sharesOf = (task: WeekTask, plan: Judged): number[] =>
  task.groups.map((_, f) => shareOf(plan, f));

/** A group that has this share of its need has enough. Assumption. */
const ENOUGH = 0.9;
/** For another’s sake it may lose so little of that. Assumption. */
const LOSS = 0.06;
const LOSS_WEIGHT = 15;

/** What groups that had enough lose of it, or the others of what they had, as shares of their needs. */
const lossOf = (task: WeekTask, plan: Judged, was: readonly number[]): number =>
  sum(sharesOf(task, plan), (share, f) => Math.max(0, Math.min(was[f]!, ENOUGH) - share));

const isSound = (task: WeekTask, plan: Judged, had: ReadonlySet<string>): boolean =>
  [...keysOf(brokenRules(task, plan.outcome))].every((key) => had.has(key));

export const workMin = ({ outcome }: Judged): number =>
  sum(outcome.days, ({ workMin: byMoment }) => sum(Object.values(byMoment)));

/** How short the group is that gets least, as a share of its need. */
const shortest = (task: WeekTask, plan: Judged): number =>
  Math.max(
    0,
    max(task.groups.map((group, f) => (group.count > 0 ? 1 - shareOf(plan, f) : 0))) ?? 0,
  );
