import { toServingUnits } from '../../food';
import { addDays, dayOfCycle, periodOn, restOn } from '../../round';
import { daysLeft, type Lot } from '../../stock';
import { STANDS_MG_L } from '../../water/nitrogen';
import type { WaterRhythm } from '../../water/rhythm';
import { energyPerGram } from '../aims';
import { dayOutcome, newMemory, nitrateOf, type DayOutcome } from '../outcome';
import { tankOf, type WeekTask } from '../task';
import { grown, growingOf, lengthsOf, type Growing, type Range } from './growth';

export interface DryTank {
  task: WeekTask;
  water: WaterRhythm;
  /** What is believed of its water today; left out where nothing is, and its steady rhythm is taken. */
  believed?: BelievedWater | null;
}

/** Nitrate today, and what a tank makes of its food and takes up. */
export interface BelievedWater {
  mgL: number;
  production: number;
  uptakeMgL: number;
}

/** A food of the house with what is on the shelf. */
export interface DryFood {
  id: string;
  lots: readonly Lot[];
  /** Grams that cultures give on each day from the first; missing without any. */
  liveG?: readonly number[];
  openedDays: number | null;
  pricePerG: number | null;
}

export interface DryGroup {
  groupId: string;
  /** By week, the first day first: mass and length of one fish. */
  massG: Range[];
  lengthCm: Range[];
  /** By week: mean share of the need that reaches it on feeding days, %. */
  ofNeed: number[];
  /** Days with less than half of the need, planned fasts left out. */
  hungryDays: number;
}

export interface DryTankResult {
  tankId: string;
  groups: DryGroup[];
  /** mg/L at the end of each day, before a change of that day; and after it. */
  nitrateMgL: { before: number; after: number }[];
  peakMgL: number;
  /** The group that stands the least, and the first day on which it is too much; null where never. */
  over: { groupId: string; toleratesMgL: number; day: string } | null;
  servedG: number;
  wasteG: number;
  costMinor: number;
  workMin: number;
  /** Grams of each food. */
  foods: { foodId: string; massG: number }[];
}

export interface DryRun {
  first: string;
  days: number;
  tanks: DryTankResult[];
  /** Foods that run out, and when: what is missing then is taken as bought. */
  runOuts: { foodId: string; day: string }[];
}

const HUNGRY = 0.5;

/**
 * Run the plans forward: growth, food, water. Who gets what share is simulated once for each kind of
 * day and holds for the whole run; portions that are computed grow with the fish.
 * @param days    56 for eight weeks
 * @param onTank  called after each tank; answering false stops with those
 */
export function dryRun(
  tanks: readonly DryTank[],
  foods: readonly DryFood[],
  days: number,
  onTank: (done: number, of: number) => boolean = () => true,
): DryRun {
  const first = tanks[0]?.task.first;
  if (first === undefined) return { first: '', days: 0, tanks: [], runOuts: [] };
  const useG = new Map(foods.map((food) => [food.id, Array<number>(days).fill(0)]));
  const results: DryTankResult[] = [];
  for (const tank of tanks) {
    results.push(runTank(tank, foods, days, useG));
    if (!onTank(results.length, tanks.length)) break;
  }
  const dayOf = Array.from({ length: days }, (_, at) => addDays(first, at));
  const runOuts = foods.flatMap((food) => {
    // What lives is used on its day; the jars make up what is missing.
    const fromJars = useG
      .get(food.id)!
      .map((grams, day) => Math.max(0, grams - (food.liveG?.[day] ?? 0)));
    const { days: lasts } = daysLeft(food.lots, fromJars, dayOf, food.openedDays);
    return lasts === null ? [] : [{ foodId: food.id, day: dayOf[lasts]! }];
  });
  runOuts.sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));
  return { first, days, tanks: results, runOuts };
}

function runTank(
  { task, water, believed = null }: DryTank,
  foods: readonly DryFood[],
  days: number,
  useG: ReadonlyMap<string, number[]>,
): DryTankResult {
  const tank = tankOf(task);
  const rows = task.groups.map((group) => task.house.groups.find((one) => one.id === group.id)!);
  const kjPerG = task.groups.map((group) => energyPerGram(task, group));
  const foodAt = new Map(task.foods.map((food, at) => [food.id, at]));
  const units = new Map(task.house.foods.map((food) => [food.id, food.unit]));
  const price = new Map(foods.map((food) => [food.id, food.pricePerG ?? 0]));
  const groupAt = new Map(task.groups.map((group, at) => [group.id, at]));
  const own = new Map(
    rows.flatMap((row) =>
      (row.diet?.servings ?? []).map((serving) => [serving.id, serving.ownUnits !== null] as const),
    ),
  );
  const kindOf = kindsOfDay(task);
  let growing = task.groups.map(growingOf);
  const at0 = growing.map(({ massG }) => massG.middle);
  const groups = task.groups.map((group): DryGroup => ({
    groupId: group.id,
    massG: [],
    lengthCm: [],
    ofNeed: [],
    hungryDays: 0,
  }));
  const weekShares = task.groups.map((): number[] => []);
  const result: DryTankResult = {
    tankId: tank.id,
    groups,
    nitrateMgL: [],
    peakMgL: 0,
    over: null,
    servedG: 0,
    wasteG: 0,
    costMinor: 0,
    workMin: 0,
    foods: [],
  };
  const eatenBy = new Map<string, number>();
  const tightest = strictest(task, water.capMgL ?? null);
  let mgL = believed?.mgL ?? startOf(task, kindOf, water);
  for (let d = 0; d < days; d += 1) {
    const day = addDays(task.first, d);
    if (d % 7 === 0) noteSizes(task, groups, growing);
    const usual = kindOf(day);
    // Portions that the plan computes follow the need, which follows mass.
    const larger = growing.map(({ massG }, h) => (massG.middle / at0[h]!) ** 0.8);
    const grams = usual.drops.map(({ foodId, groupId, massG, key }) =>
      own.get(key)
        ? massG
        : toServingUnits(massG * larger[groupAt.get(groupId)!]!, units.get(foodId)!) *
          units.get(foodId)!.massG,
    );
    const got = usual.groups.map(({ grazedKj }, h) =>
      usual.drops.reduce(
        (sum, drop, at) =>
          sum + grams[at]! * usual.reaches[at]![h]! * kjPerG[h]![foodAt.get(drop.foodId)!]!,
        grazedKj,
      ),
    );
    let served = 0;
    usual.drops.forEach(({ foodId }, at) => {
      served += grams[at]!;
      eatenBy.set(foodId, (eatenBy.get(foodId) ?? 0) + grams[at]!);
      result.costMinor += grams[at]! * (price.get(foodId) ?? 0);
      const use = useG.get(foodId);
      if (use) use[d] = use[d]! + grams[at]!;
    });
    const scale = usual.servedG > 0 ? served / usual.servedG : 0;
    result.servedG += served;
    result.wasteG += usual.wasteG * scale;
    result.workMin += Object.values(usual.workMin).reduce((sum, minutes) => sum + minutes, 0);
    const adds = nitrateOf(usual.nitrogenMg * scale, task.tank.litres);
    mgL = believed
      ? Math.max(0, mgL + believed.production * adds - believed.uptakeMgL)
      : mgL + adds;
    const before = mgL;
    if ((d + 1) % water.everyDays === 0) mgL += (water.sourceMgL - mgL) * water.share;
    result.nitrateMgL.push({ before, after: mgL });
    result.peakMgL = Math.max(result.peakMgL, before);
    if (tightest && result.over === null && before > tightest.toleratesMgL) {
      result.over = { ...tightest, day };
    }
    growing = growing.map((one, h) => {
      const group = task.groups[h]!;
      const { needKj } = usual.groups[h]!;
      if (needKj > 0) {
        const share = got[h]! / (needKj * larger[h]!);
        weekShares[h]!.push(share);
        if (share < HUNGRY) groups[h]!.hungryDays += 1;
      }
      return group.count === 0 ? one : grown(group, one, got[h]! / group.count, task.tank.tempC);
    });
    if (d % 7 === 6 || d === days - 1) {
      groups.forEach((group, h) => {
        const shares = weekShares[h]!.splice(0);
        group.ofNeed.push(
          shares.length > 0
            ? (100 * shares.reduce((sum, share) => sum + share, 0)) / shares.length
            : 0,
        );
      });
    }
  }
  noteSizes(task, groups, growing);
  result.foods = [...eatenBy].map(([foodId, massG]) => ({ foodId, massG }));
  return result;
}

function noteSizes(task: WeekTask, groups: DryGroup[], growing: readonly Growing[]): void {
  groups.forEach((group, h) => {
    group.massG.push(growing[h]!.massG);
    group.lengthCm.push(lengthsOf(task.groups[h]!, growing[h]!));
  });
}

/** The outcome of any day: simulated once for each day of the cycle with the same fasts. */
function kindsOfDay(task: WeekTask): (day: string) => DayOutcome {
  const tank = tankOf(task);
  const rows = task.house.groups;
  const known = new Map<string, DayOutcome>();
  const memory = newMemory({ fill: task.groups.map(() => NIGHT_FILL) });
  return (day) => {
    const rests = rows.map(
      (row) =>
        restOn(row, tank, day) ?? periodOn(tank.plan.periods, row, tank.tempC, day)?.id ?? '',
    );
    const key = `${dayOfCycle(tank.plan.cycle, day)} ${rests.join()}`;
    const outcome = known.get(key) ?? dayOutcome(task, day, memory);
    known.set(key, outcome);
    return outcome;
  };
}

/** What a night leaves in a stomach, as a share. Assumption: a run of weeks needs no more. */
const NIGHT_FILL = 0.1;

/** Nitrate at first: where this plan would settle in a steady rhythm, right after a change. */
function startOf(
  task: WeekTask,
  kindOf: (day: string) => DayOutcome,
  { share, everyDays, sourceMgL }: WaterRhythm,
): number {
  let added = 0;
  for (let d = 0; d < everyDays; d += 1) {
    added += nitrateOf(kindOf(addDays(task.first, d)).nitrogenMg, task.tank.litres);
  }
  // The peak of a saw-tooth is source + added ÷ share; a change takes «added» off it.
  return sourceMgL + (share > 0 ? added / share - added : 0);
}

/** The group that stands the least nitrate. */
function strictest(
  task: WeekTask,
  capMgL: number | null,
): { groupId: string; toleratesMgL: number } | null {
  const limits = task.groups
    .filter((group) => group.count > 0)
    .map((group) => ({ groupId: group.id, toleratesMgL: STANDS_MG_L[group.species.nitrate] }));
  const min = limits.sort((a, b) => a.toleratesMgL - b.toleratesMgL)[0];
  return min ? { ...min, toleratesMgL: capMgL ?? min.toleratesMgL } : null;
}
