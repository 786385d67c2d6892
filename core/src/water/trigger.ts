import { addDays } from '../round';
import { assertRange } from '../units';
import { mixed, stepsTo, type MixedWater } from './mix';

/** What is done on a day of a trigger. */
export const TRIGGER_DOES = ['hold', 'heaterDown', 'refill', 'heaterBack'] as const;

/** A water with its nitrate, mg/L. */
export interface TriggerWater extends MixedWater {
  nitrateMgL: number;
}

/** A dated step: what is done, the share of the water that is refilled, and what the water comes to. */
export interface TriggerStep {
  day: string;
  does: (typeof TRIGGER_DOES)[number];
  share: number | null;
  water: TriggerWater;
}

export interface TriggerTask {
  from: string;
  /** Nothing is changed or topped up for so many days, and so much of the water evaporates, 0 to 0.5. */
  dryDays: number;
  fallShare: number;
  /** What is to come to a figure, by refills with a water; no larger at once than a share. */
  by: keyof MixedWater;
  target: number;
  tank: TriggerWater;
  refill: TriggerWater;
  maxShare: number;
  /** Nitrate that a day adds, mg/L. */
  addsMgL: number;
  /** Warmth to which the heater is set while the cool water goes in, °C; null leaves it. */
  heaterC: number | null;
  /** Rounds of dry spell and rain, until they spawn. */
  rounds: number;
}

/** Colder by no more than this at once. Practice: two to three degrees. */
const MAX_DROP_C = 3;
/** After the last refill the heater comes back, and the next round begins after so many days. Practice. */
const HEATER_BACK_DAYS = 2;
const BETWEEN_ROUNDS = 7;

/**
 * A trigger as dated steps: a dry spell in which the water falls and thickens, then cool or soft refills
 * in safe steps, the heater back, and all of it again.
 * @returns null where the refill cannot bring it there
 * @throws RangeError for a fall of half of the water or more
 */
export function planTrigger(task: TriggerTask): TriggerStep[] | null {
  const { by, target, refill, maxShare, rounds } = task;
  assertRange('share that evaporates', task.fallShare, 0, 0.5);
  const steps: TriggerStep[] = [];
  let water = task.tank;
  let day = task.from;
  for (let round = 0; round < rounds; round += 1) {
    steps.push({ day, does: 'hold', share: null, water });
    water = dried(water, task);
    day = addDays(day, task.dryDays);
    if (task.heaterC !== null) steps.push({ day, does: 'heaterDown', share: null, water });
    const safe = { everyDays: 1, maxShare: Math.min(maxShare, safeShare(water, refill)) };
    const refills = stepsTo(by, target, water, refill, safe);
    if (refills === null) return null;
    for (const { day: after, share } of refills) {
      const nitrateMgL = water.nitrateMgL + (after === 0 ? 0 : task.addsMgL);
      water = {
        ...mixed(refill, water, share),
        nitrateMgL: refill.nitrateMgL * share + nitrateMgL * (1 - share),
      };
      steps.push({ day: addDays(day, after), does: 'refill', share, water });
    }
    day = addDays(day, (refills.at(-1)?.day ?? 0) + HEATER_BACK_DAYS);
    water = { ...water, tempC: task.heaterC === null ? water.tempC : task.tank.tempC };
    if (task.heaterC !== null) steps.push({ day, does: 'heaterBack', share: null, water });
    day = addDays(day, BETWEEN_ROUNDS);
  }
  return steps;
}

/** The share of a colder water that cools the tank by no more than fish tolerate at once, 0.05 to 1. */
const safeShare = (water: MixedWater, refill: MixedWater): number =>
  Math.min(1, Math.max(0.05, MAX_DROP_C / Math.max(1e-9, water.tempC - refill.tempC)));

/** After a dry spell: less water with the same solids and hardness in it, and what the food added. */
function dried(water: TriggerWater, { fallShare, dryDays, addsMgL }: TriggerTask): TriggerWater {
  const thicker = 1 / (1 - fallShare);
  return {
    tempC: water.tempC,
    gh: water.gh * thicker,
    tdsMgL: water.tdsMgL * thicker,
    nitrateMgL: Math.max(0, water.nitrateMgL + dryDays * addsMgL) * thicker,
  };
}

/** What a group tolerates. */
export interface TriggerLimits {
  tempMinC: number;
  ghMin: number;
  nitrateMgL: number;
}

export interface TriggerRefusal {
  is: 'cold' | 'soft' | 'nitrate';
  day: string;
  value: number;
  limit: number;
}

/** Steps that a group would not tolerate, and why: the worst of each kind. */
export function refusedSteps(
  steps: readonly TriggerStep[],
  { tempMinC, ghMin, nitrateMgL }: TriggerLimits,
): TriggerRefusal[] {
  const found = new Map<TriggerRefusal['is'], TriggerRefusal>();
  const refuse = (is: TriggerRefusal['is'], day: string, value: number, limit: number) => {
    const known = found.get(is);
    if (known && Math.abs(known.value - limit) >= Math.abs(value - limit)) return;
    found.set(is, { is, day, value, limit });
  };
  for (const { day, does, water } of steps) {
    if (water.nitrateMgL > nitrateMgL) refuse('nitrate', day, water.nitrateMgL, nitrateMgL);
    if (does === 'refill') {
      if (water.tempC < tempMinC) refuse('cold', day, water.tempC, tempMinC);
      if (water.gh < ghMin) refuse('soft', day, water.gh, ghMin);
    }
  }
  return [...found.values()];
}

/** A refill that a trigger asks for. */
export interface TriggerRefill {
  day: string;
  share: number;
}

/** Refills of a trigger that are still to come: those whose day is after the last change. */
export const openRefills = <R extends TriggerRefill>(
  refills: readonly R[],
  lastOn: string | null,
): R[] => refills.filter(({ day }) => lastOn === null || day > lastOn);
