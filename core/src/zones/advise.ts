import { chanceOf } from '../chance';
import { changed, changesFor, workOf, type Change, type FeedMoment } from './change';
import type { Feeding } from './feeding';
import { reportOf, type Report } from './report';
import { settled } from './settled';
import { drawn } from './spread';
import { simulate } from './simulate';

/** What a day comes to, in the figures that advice is ranked by. */
export interface Outlook {
  /** By group, in order: share of the day's need, %. */
  ofNeed: number[];
  /** Food that nobody eats: dissolved, lifted or left, grams. */
  wasteG: number;
}

/** A way to do better, with what it comes to. */
export interface Advice {
  changes: Change[];
  outlook: Outlook;
  /** Minutes of work a day more than now. */
  workMin: number;
  /** Lower is better: shortfalls, waste and work together. */
  cost: number;
  /** Of the best few: what it comes to for groups as bold or shy as these may be; null for the others. */
  sure: Sureness | null;
}

/** In how many of so many drawn tanks it helps, and the group’s share of its need in most of them, %. */
export interface Sureness {
  helps: number;
  of: number;
  low: number;
  high: number;
}

export interface Advised {
  now: Outlook;
  /** The best first; empty where nothing that was tried does better. */
  better: Advice[];
  /** How many ways were simulated. */
  tried: number;
}

/**
 * What weighs how much: a full day's shortfall of the group that is asked for, of another, a day's
 * need too much, all food wasted, and an hour of work. Assumptions: the group asked for comes first.
 */
const WEIGHS = { asked: 3, others: 1, over: 0.5, waste: 0.3, workHour: 1.2 };
/**
 * Keepers first change where, when and how they feed: another food is worth it only where it brings so much
 * more, as a share of a day’s need of the group that is asked for. Assumption.
 */
const OTHER_FOOD = 0.15;
/** A group may get this share of its need before it counts as too much. Assumption. */
const PLENTY = 1.2;
/** Advice must bring the group at least this much more of its need, in % of it. */
const WORTH_SAYING = 3;
/** Changes of the best few are tried two at a time. */
const PAIRED = 4;
const MAX = 8;

/**
 * How a group could get more of its food: every way is simulated over the whole day and ranked.
 * The group's shortfall comes first, then what it costs the others, waste and work.
 * @param feeding a whole day
 * @param moments at which the tank could be fed
 * @param onRun   called with the ways simulated and to be simulated; answering false stops
 */
export function advise(
  feeding: Feeding,
  groupId: string,
  moments: readonly FeedMoment[],
  onRun: (done: number, of: number) => boolean = () => true,
): Advised {
  const asked = feeding.groups.findIndex((group) => group.id === groupId);
  const servedG = feeding.drops.reduce((sum, drop) => sum + drop.massG, 0);
  const now = outlookOf(feeding);
  const singles = changesFor(feeding, groupId, moments);
  const all = singles.length + (PAIRED * (PAIRED - 1)) / 2;
  let tried = 0;
  let goOn = asked >= 0;
  const attempt = (changes: Change[]): Advice | null => {
    if (!goOn) return null;
    const then = changes.reduce((before, change) => changed(before, change, moments), feeding);
    const outlook = outlookOf(then);
    const workMin = changes.reduce((sum, change) => sum + workOf(feeding, change, moments), 0);
    tried += 1;
    goOn = onRun(tried, all);
    const foods = changes.filter(({ kind }) => kind === 'food').length;
    const cost = costOf(outlook, asked, servedG, workMin) + WEIGHS.asked * OTHER_FOOD * foods;
    return { changes, outlook, workMin, cost, sure: null };
  };
  const helps = (advice: Advice | null): advice is Advice =>
    advice !== null &&
    Math.min(100, advice.outlook.ofNeed[asked]!) - now.ofNeed[asked]! >= WORTH_SAYING;
  const byCost = (a: Advice, b: Advice) => a.cost - b.cost;
  const alone = singles
    .map((change) => attempt([change]))
    .filter(helps)
    .sort(byCost);
  const best = alone.slice(0, PAIRED).map(({ changes }) => changes[0]!);
  const together = best
    .flatMap((one, at) => best.slice(at + 1).map((other) => [one, other]))
    .filter(([one, other]) => fitTogether(one!, other!))
    .map(attempt)
    .filter(helps)
    // Two changes are worth their trouble only where they beat each of the two alone.
    .filter(({ cost, changes }) =>
      alone.every((advice) => !changes.includes(advice.changes[0]!) || cost < advice.cost),
    );
  const nowCost = asked < 0 ? 0 : costOf(now, asked, servedG, 0);
  const ranked = [...alone, ...together]
    .filter(({ cost }) => cost < nowCost)
    .sort(byCost)
    .slice(0, MAX);
  const better = goOn ? withSureness(feeding, asked, moments, ranked) : ranked;
  return { now, better, tried };
}

/** Advice of which it is looked at how surely it helps, and drawn tanks for each. */
const SURE_OF = 3;
const DRAWN = 6;
const SEED = 20_260_311;

/** The best few again, for groups as bold, quick and hungry as these may be: the same draws every time. */
function withSureness(
  feeding: Feeding,
  asked: number,
  moments: readonly FeedMoment[],
  ranked: readonly Advice[],
): Advice[] {
  if (ranked.length === 0) return [];
  const chance = chanceOf(SEED);
  const tanks = Array.from({ length: DRAWN }, () => {
    const tank = drawn(feeding, chance);
    return { tank, now: outlookOf(tank).ofNeed[asked]! };
  });
  return ranked.map((advice, at) => {
    if (at >= SURE_OF) return advice;
    const shares = tanks.map(({ tank, now }) => {
      const then = advice.changes.reduce(
        (before, change) => changed(before, change, moments),
        tank,
      );
      return { now, then: outlookOf(then).ofNeed[asked]! };
    });
    const sorted = shares.map(({ then }) => then).sort((a, b) => a - b);
    return {
      ...advice,
      sure: {
        helps: shares.filter(({ now, then }) => Math.min(100, then) > Math.min(100, now)).length,
        of: DRAWN,
        low: sorted[0]!,
        high: sorted.at(-1)!,
      },
    };
  });
}

/** Changes of a serving that leave nothing else to say of it. */
const WHOLE: ReadonlySet<Change['kind']> = new Set(['split', 'apart']);

/** Two changes that do not contradict each other, nor make a riddle of one serving. */
function fitTogether(one: Change, other: Change): boolean {
  return (
    one.key !== other.key ||
    (one.kind !== other.kind && !WHOLE.has(one.kind) && !WHOLE.has(other.kind))
  );
}

function outlookOf(feeding: Feeding): Outlook {
  const model = settled(feeding);
  const report: Report = reportOf(feeding, model, simulate(model));
  return {
    ofNeed: report.groups.map((group) => group.ofNeed.value),
    wasteG: report.drops.reduce((sum, drop) => sum + drop.leachedG + drop.liftedG + drop.leftG, 0),
  };
}

function costOf({ ofNeed, wasteG }: Outlook, asked: number, servedG: number, workMin: number) {
  const short = ofNeed.map((share) => Math.max(0, 1 - share / 100));
  const over = ofNeed.reduce((sum, share) => sum + Math.max(0, share / 100 - PLENTY), 0);
  const others = short.reduce((sum, part, at) => sum + (at === asked ? 0 : part), 0);
  return (
    WEIGHS.asked * short[asked]! +
    WEIGHS.others * others +
    WEIGHS.over * over +
    WEIGHS.waste * (servedG > 0 ? wasteG / servedG : 0) +
    WEIGHS.workHour * (workMin / 60)
  );
}
