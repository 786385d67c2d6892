import { chanceOf, type Chance } from '../chance';
import { assertRange } from '../units';
import { crashHazard } from './hazard';
import { gramsOfOne } from './kind';
import { grown, safeHarvest, type Logistic } from './logistic';
import type { Supplying } from './types';
import { START_SHARE, wayOf } from './ways';

/** What vessels come to, day by day, against what is needed. */
export interface Outlook {
  /** Share of the runs in which the day's demand was met; 1 on days without any. */
  metOn: number[];
  /** Grams that could be taken on a day, on the mean of the runs. */
  givesG: number[];
  /** The worst day of them all. */
  service: number;
  /** Share of the runs in which a vessel crashed before the end, by its id. */
  crashed: Map<string, number>;
}

/** How far a day's growth does, the weather of a tub: of the logarithm. Assumption. */
const DAY_SD = 0.07;
/** Its keeper thins out what grows denser than this share of what the vessel carries. Assumption. */
const THINNED = 0.7;
/** A day counts as met from this share of its demand on: nobody weighs a net. Assumption. */
const ENOUGH = 0.9;

/** What of a vessel is the same in every run, worked out once. */
interface Day {
  model: Logistic | null;
  /** Of kinds whose age shows what they give. */
  gives: number;
  tooWarmC: number;
}

function daysOf(vessel: Supplying, days: number): Day[] {
  const { kind, startsOn, tempOn } = vessel;
  return Array.from({ length: days }, (_, day): Day => {
    const tempC = tempOn[Math.min(day, tempOn.length - 1)] ?? 20;
    const tooWarmC = Math.max(0, tempC - kind.tempMaxC);
    if (day < startsOn) return { model: null, gives: 0, tooWarmC };
    const { logistic, givesG } = wayOf(kind).supplyOn(vessel, day, tempC);
    return { model: logistic, gives: givesG, tooWarmC };
  });
}

/**
 * Vessels against a demand over some days, many times over with luck of every kind: how dense they
 * are, how they grow, what they give, and whether they crash. The same seed gives the same outlook.
 * @param demandG grams that are needed on each day from now
 * @param runs    1 to 5000
 * @throws RangeError for no days, or runs outside those
 */
export function outlook(
  vessels: readonly Supplying[],
  demandG: readonly number[],
  runs: number,
  seed: number,
): Outlook {
  const days = demandG.length;
  assertRange('days ahead', days, 1, 366);
  assertRange('runs', runs, 1, 5000);
  const known = vessels.map((vessel) => daysOf(vessel, days));
  const met = new Array<number>(days).fill(0);
  const given = new Array<number>(days).fill(0);
  const crashes = new Array<number>(vessels.length).fill(0);
  for (let run = 0; run < runs; run += 1) {
    oneRun(vessels, known, demandG, chanceOf(seed + run * 7919), { met, given, crashes });
  }
  const metOn = met.map((times) => times / runs);
  return {
    metOn,
    givesG: given.map((grams) => grams / runs),
    service: Math.min(1, ...metOn),
    crashed: new Map(vessels.map(({ id }, at) => [id, crashes[at]! / runs])),
  };
}

function oneRun(
  vessels: readonly Supplying[],
  known: readonly Day[][],
  demandG: readonly number[],
  chance: Chance,
  sums: { met: number[]; given: number[]; crashes: number[] },
): void {
  const count = vessels.map(({ estimate }) =>
    estimate.count > 0 ? estimate.count * Math.exp(estimate.sd * chance.normal()) : 0,
  );
  const luck = vessels.map((vessel) =>
    Math.exp(wayOf(vessel.kind).luckSd(vessel) * chance.normal()),
  );
  const alive = vessels.map(() => true);
  demandG.forEach((wanted, day) => {
    const gives = vessels.map((vessel, v) => {
      const { model, gives: plain } = known[v]![day]!;
      if (!alive[v] || day < vessel.startsOn) return 0;
      if (!model) return plain * luck[v]!;
      if (day === vessel.startsOn && vessel.startsOn > 0) {
        count[v] = model.capacity * START_SHARE * luck[v]!;
      }
      return safeHarvest(model, count[v]!) * gramsOfOne(vessel.kind);
    });
    const there = gives.reduce((sum, grams) => sum + grams, 0);
    sums.given[day]! += there;
    if (there >= wanted * ENOUGH) sums.met[day]! += 1;
    // Each gives its part of what is wanted, so that none is emptied for the others.
    const part = there > 0 ? Math.min(1, wanted / there) : 0;
    vessels.forEach((vessel, v) => {
      const { model, tooWarmC } = known[v]![day]!;
      if (!alive[v] || day < vessel.startsOn) return;
      if (model) {
        const left = Math.max(0, count[v]! - (gives[v]! * part) / gramsOfOne(vessel.kind));
        const next = grown(model, left, 1) * Math.exp(DAY_SD * chance.normal());
        count[v] = Math.min(next, model.capacity * THINNED);
      }
      const { perDay } = crashHazard({
        ...wayOf(vessel.kind).strain(
          vessel.kind,
          model ? count[v]! / Math.max(1e-9, model.capacity) : 0,
        ),
        tooWarmC,
        overfed: false,
        ageDays: vessel.ageDays + day - vessel.startsOn,
      });
      if (chance.even() < perDay) {
        alive[v] = false;
        sums.crashes[v]! += 1;
      }
    });
  });
}

/** What to start, and when. */
export interface SupplyPlan {
  starts: Supplying[];
  outlook: Outlook;
  /** Days on which it cannot be met: nothing that is started now would be ready. */
  short: number[];
  /** Days from the start of a new vessel until it gives. */
  leadDays: number;
}

/** More vessels than this nobody tends: then the demand is too much for the kind. Assumption. */
const MAX_STARTS = 24;
/** Runs while it is worked out, and of the figures that are reported. */
const TRY_RUNS = 120;

/**
 * Start dates and the number of vessels for a demand, backwards from the first day on which it is not
 * met with the chance that is wanted, one vessel after the other.
 * @param fresh what a new vessel would be, but for when it is started
 * @param sure  chance with which each day is to be met, 0.5 to 0.99
 * @param onRun called between two tries; answering false keeps the plan so far
 * @throws RangeError as `outlook`
 */
export function planSupply(
  standing: readonly Supplying[],
  fresh: Omit<Supplying, 'startsOn' | 'id'>,
  demandG: readonly number[],
  { sure, runs, seed }: { sure: number; runs: number; seed: number },
  onRun: (starts: number) => boolean = () => true,
): SupplyPlan {
  assertRange('certainty', sure, 0.5, 0.99);
  const leadDays = leadOf(fresh);
  const starts: Supplying[] = [];
  const look = (of: number) => outlook([...standing, ...starts], demandG, of, seed);
  let now = look(TRY_RUNS);
  // What is needed before anything new can be ready is short whatever is started.
  const first = (metOn: readonly number[]) =>
    metOn.findIndex((met, day) => day >= leadDays && met < sure);
  for (let tries = 0; tries < MAX_STARTS; tries += 1) {
    const day = first(now.metOn);
    if (day < 0 || !onRun(starts.length)) break;
    const startsOn = Math.max(0, day - leadDays);
    const before = now.metOn[day]!;
    starts.push({ ...fresh, id: `new ${starts.length + 1}`, startsOn });
    now = look(TRY_RUNS);
    // A kind that does not help, however many there are of it, is not started over and over.
    const same = starts.filter((one) => one.startsOn === startsOn).length;
    if (now.metOn[day]! <= before && same >= 4) break;
  }
  const report = look(runs);
  return {
    starts,
    outlook: report,
    short: report.metOn.flatMap((met, day) => (met < sure && demandG[day]! > 0 ? [day] : [])),
    leadDays,
  };
}

/** Days from the start of a vessel until it gives in earnest; 366 for never. */
export const leadOf = ({
  kind,
  measure,
  tempOn,
}: Pick<Supplying, 'kind' | 'measure' | 'tempOn'>): number =>
  wayOf(kind).leadDays(kind, measure, tempOn[0] ?? 20);
