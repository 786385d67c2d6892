import type { CultureKind } from '@open-larder/catalogue/cultures';
import type { FeedingModel } from '../round';
import { plannedUse } from '../stock';
import { jarFor, staggered, type Jar } from './hatch';
import { gramsOfOne } from './kind';
import { outlook, planSupply, type SupplyPlan } from './supply';
import type { Supplying } from './types';
import { isFromEggs } from './ways';

/** A live food, the vessels that give it, and what a new vessel for it would be. */
export interface LiveFood {
  foodId: string;
  /** The kind that gives it; null where no culture does. */
  kind: CultureKind | null;
  vessels: Supplying[];
  /** Measure and usual temperature of a new vessel. */
  fresh: { measure: number; tempC: number };
  /** Of hatches: the share that hatches, and when they are wanted, minutes after midnight. */
  hatchShare: number;
  wantedAtMin: number;
  /** Minutes of the day at which someone is there to set a jar up. */
  handyMin: number[];
  /** What broods want of it beside the plan, grams a day from the first day on. */
  broodsG?: readonly number[];
}

export interface SupplyTask {
  house: FeedingModel;
  /** The first day, YYYY-MM-DD. */
  day: string;
  foods: LiveFood[];
  /** Chance with which each day is to be met, 0.5 to 0.99. */
  sure: number;
  runs: number;
  seed: number;
}

/** Jars to be set up each day in turn, for what hatches. */
export interface Jars extends Jar {
  jars: number;
  /** Minutes after midnight at which one is set up, and hours until it is harvested. */
  startMin: number;
  hours: number;
  /** Hours that what has hatched waits for its meal. */
  waitsH: number;
}

/** What is wanted of a live food against what its vessels give. */
export interface FoodSupply {
  foodId: string;
  demandG: number[];
  /** Grams that could be taken, day by day, by the vessels that run already. */
  availableG: number[];
  /** Share of the runs in which a day is met by those alone. */
  metOn: number[];
  /** What to start and what comes of it; null for hatches, and where no culture gives it. */
  plan: SupplyPlan | null;
  jars: Jars | null;
  /** Grams a day over two weeks that nobody eats; 0 where it is within reason. */
  surplusG: number;
}

/** So far ahead supply is looked at: six weeks. */
export const SUPPLY_DAYS = 42;
/** For so many days a surplus is averaged, and less than this share of what is wanted is none. */
const SURPLUS_DAYS = 14;
const SURPLUS_FROM = 0.5;

/**
 * What the week’s plan and the broods want of each live food for six weeks, against what the vessels give, and what
 * to start for it. The same seed gives the same answer.
 * @param onFood called when a food is done, with how many are; answering false stops there
 * @throws RangeError as `planSupply`
 */
export function supplyOf(
  { house, day, foods, sure, runs, seed }: SupplyTask,
  onFood: (done: number, of: number) => boolean = () => true,
): FoodSupply[] {
  const use = plannedUse(house, day, SUPPLY_DAYS);
  const report: FoodSupply[] = [];
  for (const food of foods) {
    const demandG = Array.from({ length: SUPPLY_DAYS }, (_, at) => food.broodsG?.[at] ?? 0);
    for (const one of use) {
      if (one.foodId !== food.foodId) continue;
      one.gramsOn.forEach((grams, at) => (demandG[at]! += grams));
    }
    report.push(oneFood(food, demandG, { sure, runs, seed }));
    if (!onFood(report.length, foods.length)) break;
  }
  return report;
}

function oneFood(
  { foodId, kind, vessels, fresh, ...hatching }: LiveFood,
  demandG: number[],
  options: { sure: number; runs: number; seed: number },
): FoodSupply {
  const wanted = demandG.some((grams) => grams > 0);
  if (kind && isFromEggs(kind)) {
    const jars = wanted ? jarsFor(kind, demandG, { ...hatching, tempC: fresh.tempC }) : null;
    const availableG = demandG.map(() => 0);
    return { foodId, demandG, availableG, metOn: [], plan: null, jars, surplusG: 0 };
  }
  const now = outlook(vessels, demandG, options.runs, options.seed);
  const surplus = now.givesG
    .slice(0, SURPLUS_DAYS)
    .reduce((sum, grams, at) => sum + (grams - demandG[at]!) / SURPLUS_DAYS, 0);
  const usual = demandG.slice(0, SURPLUS_DAYS).reduce((sum, grams) => sum + grams, 0);
  return {
    foodId,
    demandG,
    availableG: now.givesG,
    metOn: now.metOn,
    plan: kind && wanted ? planSupply(vessels, newOne(kind, fresh), demandG, options) : null,
    jars: null,
    surplusG: surplus > (SURPLUS_FROM * usual) / SURPLUS_DAYS ? Math.max(0, surplus) : 0,
  };
}

const newOne = (kind: CultureKind, { measure, tempC }: LiveFood['fresh']) => ({
  kind,
  measure,
  ageDays: 0,
  estimate: { count: 0, sd: 0 },
  keptG: 0,
  tempOn: [tempC],
});

function jarsFor(
  kind: CultureKind,
  demandG: readonly number[],
  {
    hatchShare,
    wantedAtMin,
    handyMin,
    tempC,
  }: Pick<LiveFood, 'hatchShare' | 'wantedAtMin' | 'handyMin'> & { tempC: number },
): Jars {
  const max = Math.max(...demandG);
  return {
    ...jarFor(max / gramsOfOne(kind), hatchShare),
    ...staggered(tempC, wantedAtMin, handyMin),
  };
}
