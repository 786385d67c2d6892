import { addDays, daysBetween } from '../round';
import { unionisedShare } from './ammonia';
import { bringDown, type DownStep } from './bringDown';
import { quantileOf, TELLING, type UptakePrior, type WaterCourse, type WaterFit } from './course';
import { fitUnknownChanges, fitWater } from './fit';
import { forecastWater, type WaterDay } from './forecast';
import { keepsUnder, type Keeps } from './keeps';
import { NITRATE_PER_N, nitrogenOfProtein } from './nitrogen';
import { READINGS, type Reading } from './range';
import { ripening, ripeOn, type RipeningDay } from './ripening';
import type { WaterRhythm } from './rhythm';
import { openRefills, type TriggerRefill } from './trigger';
import { afterFillingUp, peakOf, type Change } from './sawTooth';
import { changeFor, hoursUntilConcern } from './unfiltered';
import { warningsOf } from './warnings';

/** What happens to a tank’s water. */
export const WATER_EVENTS = ['tested', 'changed', 'filledUp'] as const;
export type WaterEventKind = (typeof WATER_EVENTS)[number];

export type Readings = { [K in Reading]: number | null };

export interface WaterEvent extends Readings {
  id: string;
  kind: WaterEventKind;
  day: string;
  /** Share of the water changed, or filled up. */
  share: number | null;
  /** A test that was asked about and confirmed: it is believed however odd. */
  sure: boolean;
}

export interface TankGroup {
  id: string;
  name: string;
  toleratesMgL: number;
  /** Fry, and fish that live on the ground: what is poisonous harms them first. */
  delicate?: boolean;
}

/** A tank as far as its water goes. */
export interface WaterTask {
  litres: number;
  tempC: number;
  ph: number | null;
  /** A filter that has grown in: nothing but nitrate is left of what they eat. */
  filtered: boolean;
  /** What its plants are expected to take up. */
  uptake: UptakePrior;
  /** The first day of its fish; null where there were none. */
  since: string | null;
  today: string;
  /** How it is changed; `said` false if not said, and a usual rhythm is assumed. */
  rhythm: WaterRhythm & {
    said: boolean;
    heldUntil: string | null;
    /** Refills on their days, for a spawn: they go before the rhythm. */
    trigger?: readonly TriggerRefill[];
  };
  /** In the order in which they happened. */
  events: readonly WaterEvent[];
  /** Nitrogen that the food of a past day added, by its protein, mg. */
  servedMg: ReadonlyMap<string, number>;
  /** The same of the plan, from today on. */
  plannedMg: readonly number[];
  /** The groups, and what nitrate each tolerates, mg/L. */
  groups: readonly TankGroup[];
}

/** So many days ahead a tank’s water is forecast. */
export const FORECAST_DAYS = 56;
/** So far back what was tested still shows of plants and filter. */
export const LOOK_BACK_DAYS = 120;
/** A filter has grown in after so many days. Assumption: four to six weeks. */
const RIPE_AFTER_DAYS = 42;
const NEW_FILTER = 0.002;

export type WaterWarning =
  | { kind: 'ammonia'; day: string; unionisedMgL: number; fromMgL: number }
  | { kind: 'nitrite'; day: string; mgL: number; fromMgL: number }
  | { kind: 'overCap'; day: string; mgL: number }
  | { kind: 'willPass'; day: string; likely: boolean }
  | { kind: 'sourceOverCap' }
  | { kind: 'odd'; eventId: string; mgL: number; mixedUp: boolean };

/** The next change of water. */
export interface NextChange {
  day: string;
  share: number;
  litres: number;
  /** Days that it is overdue; 0 on its day. */
  late: number;
  /** It waits until that day for a spawn. */
  held: boolean;
}

/** The status of a tank’s water, and what is to come. */
export interface WaterStatus {
  /** The latest of each reading, with its day. */
  latest: Partial<Record<Reading, { value: number; day: string }>>;
  fit: Pick<WaterFit, 'production' | 'uptakeMgL' | 'sd' | 'tests'>;
  /** The same as it is at its worst: nine ways of ten add less. What is advised rests on it. */
  worst: Pick<WaterFit, 'production' | 'uptakeMgL'>;
  /** Nitrate of today before a change, mg/L, and of each day to come. */
  days: WaterDay[];
  /** Nitrate as it was, day by day up to yesterday, from the tests and what happened since. */
  past: { day: string; mgL: number }[];
  changes: { day: string; share: number }[];
  /** The strictest of its groups. */
  cap: { mgL: number; groupId: string; groupName: string } | null;
  /** What a day adds, less what is taken up, mg/L; and what of it is by food. */
  addsMgL: number;
  foodAddsMgL: number;
  /** Where the rhythm peaks once it is steady, mg/L. */
  peakMgL: number;
  /** It is over the cap now: what brings it down comes first; null where no change of water can. */
  over: { mgL: number; steps: DownStep[] | null } | null;
  /** Keeping under the cap: each with the others as they are; null where it alone cannot. */
  keeps: Keeps | null;
  next: NextChange | null;
  /** Of water without a grown filter. */
  raw: {
    hoursUntilConcern: number;
    changeShare: number | null;
    unionisedShare: number;
    days: RipeningDay[];
    ripeOn: string | null;
  } | null;
  warnings: WaterWarning[];
}

/**
 * The status of a tank’s water and what is to come of it, from what was served, tested and changed.
 * @throws RangeError for a tank without water
 */
export function computeWaterStatus(task: WaterTask): WaterStatus {
  const { litres, today, rhythm, groups } = task;
  const events = task.events.filter(({ day }) => day <= today);
  const first = addDays(today, -LOOK_BACK_DAYS);
  const at = (day: string) => daysBetween(first, day);
  const mgL = (mg: number) => (mg * NITRATE_PER_N) / litres;
  const source = rhythm.sourceMgL;
  const changes = events.flatMap((event): (Change & { on: string })[] =>
    event.kind === 'changed' && event.share !== null && event.day >= first
      ? [{ day: at(event.day), on: event.day, share: event.share, sourceMgL: source }]
      : [],
  );
  const filledBy = new Map<number, number>();
  for (const event of events) {
    if (event.kind !== 'filledUp' || event.share === null || event.day < first) continue;
    const day = at(event.day);
    filledBy.set(day, (filledBy.get(day) ?? 0) + afterFillingUp(0, event.share, source));
  }
  const tests = events.filter(
    ({ kind, nitrate, day }) => kind === 'tested' && nitrate !== null && day >= first,
  );
  const course = courseOf(task, first, changes, filledBy, tests.length);
  const believable = tests.map(({ day, nitrate, sure }) => ({ day: at(day), mgL: nitrate!, sure }));
  const known = tests.length === 0 || events.some(({ kind }) => kind === 'changed');
  const fit = known
    ? fitWater(believable, course, task.uptake)
    : fitUnknownChanges(
        believable,
        course,
        task.uptake,
        CHANGED_ODDS[rhythm.said ? 'said' : 'usual'],
      );
  const odd = fit.odd.map((index) => tests[index]!);
  const believed = tests.filter((test) => !odd.includes(test));
  const past = pastOf(fit, first, believed[0] ?? null);
  const foodAddsMgL = mgL(meanOf(task.plannedMg));
  const planned = plannedChanges(task, changes.at(-1)?.on ?? null);
  const plannedAdds = (day: number) => mgL(task.plannedMg[day] ?? 0);
  const ofToday = changes.filter(({ on }) => on === today);
  const days = forecastWater(fit, FORECAST_DAYS, plannedAdds, [
    ...ofToday.map((one) => ({ ...one, day: 0 })),
    ...planned,
  ]);
  const addsMgL = fit.production * foodAddsMgL - fit.uptakeMgL;
  const strict = [...groups].sort((a, b) => a.toleratesMgL - b.toleratesMgL)[0];
  const cap = strict
    ? { mgL: rhythm.capMgL ?? strict.toleratesMgL, groupId: strict.id, groupName: strict.name }
    : null;
  const next = nextOf(task, planned[0]);
  const worst = worstOf(fit, foodAddsMgL);
  const over = overOf(task, cap?.mgL ?? null, days[0]!, {
    last: believed.at(-1),
    addsMgL,
    changedToday: ofToday.length > 0,
  });
  const status: Omit<WaterStatus, 'warnings'> = {
    latest: latestOf(events, odd),
    fit: {
      production: fit.production,
      uptakeMgL: fit.uptakeMgL,
      sd: fit.sd,
      tests: fit.tests,
    },
    worst,
    days,
    past,
    changes: changes.map(({ on, share }) => ({ day: on, share })),
    cap,
    addsMgL,
    foodAddsMgL,
    peakMgL: peakOf(Math.max(0, addsMgL), rhythm),
    over,
    keeps: cap && keepsUnder(cap.mgL, worst, foodAddsMgL, rhythm),
    next,
    raw: rawOf(task),
  };
  return { ...status, warnings: warningsOf(task, status, odd, tests) };
}

const meanOf = (values: readonly number[]) =>
  values.length === 0 ? 0 : values.reduce((sum, value) => sum + value, 0) / values.length;

/**
 * Where no change is in the records: so much likelier than not is one who gave a rhythm to keep it, and
 * one who gave none to change water as is usual. Assumptions.
 */
const CHANGED_ODDS = { said: 10, usual: 3 };
/** At the beginning of what is looked back at: so much more than the new water, give or take. Assumption. */
const BEGINS = { overSourceMgL: 20, sd: 25 };
/** Where so many days follow each other without a meal in the records, it was fed as planned. Assumption. */
const UNWRITTEN_DAYS = 7;

/** What happened since the first day that is looked back at; what was not written down went on as usual. */
function courseOf(
  { rhythm, servedMg, plannedMg, litres, since }: WaterTask,
  first: string,
  changes: readonly Change[],
  filledBy: ReadonlyMap<number, number>,
  tests: number,
): WaterCourse {
  const days = LOOK_BACK_DAYS;
  const mgL = (mg: number) => (mg * NITRATE_PER_N) / litres;
  const usual = mgL(meanOf(plannedMg));
  const served = Array.from({ length: days }, (_, day) => servedMg.get(addDays(first, day)) ?? 0);
  const fed = served.map((mg) => mgL(mg));
  for (let from = 0; from < days; from += 1) {
    if (served[from]! > 0) continue;
    let to = from;
    while (to < days && served[to] === 0) to += 1;
    if (to - from >= UNWRITTEN_DAYS) fed.fill(usual, from, to);
    from = to;
  }
  const { everyDays, share, sourceMgL } = rhythm;
  const begins = since === null || since <= first ? 0 : Math.min(days, daysBetween(first, since));
  fed.fill(0, 0, begins);
  // Before the first change that was written down it was changed as usual.
  const written = changes[0]?.day ?? days;
  const assumed: Change[] = [];
  for (let day = written - everyDays; day >= begins; day -= everyDays) {
    assumed.push({ day, share, sourceMgL });
  }
  return {
    days,
    foodAdds: (day) => fed[day] ?? 0,
    filled: (day) => filledBy.get(day) ?? 0,
    changes: [...assumed.reverse(), ...changes],
    from: begins,
    start:
      tests >= TELLING || (tests > 0 && !rhythm.said && changes.length === 0)
        ? null
        : { mgL: sourceMgL + BEGINS.overSourceMgL, sd: BEGINS.sd },
  };
}

/** Nitrate day by day, from the first test on. */
function pastOf(
  { path }: Pick<WaterFit, 'path'>,
  first: string,
  from: WaterEvent | null,
): { day: string; mgL: number }[] {
  if (from === null) return [];
  return Array.from(path, (mgL, day) => ({ day: addDays(first, day), mgL })).filter(
    ({ day, mgL }) => day >= from.day && Number.isFinite(mgL),
  );
}

/** Nine ways of ten add less than this. */
function worstOf(
  { ways, production, uptakeMgL }: WaterFit,
  foodAddsMgL: number,
): WaterStatus['worst'] {
  if (foodAddsMgL <= 0) return { production, uptakeMgL };
  const adds = quantileOf(ways, (way) => way.production * foodAddsMgL - way.uptakeMgL, 0.9);
  return { production: (adds + uptakeMgL) / foodAddsMgL, uptakeMgL };
}

/** Over what the strictest group tolerates: by today's test, or by what earlier tests and the food add up to. */
function overOf(
  { today, rhythm }: WaterTask,
  capMgL: number | null,
  now: WaterDay,
  {
    last,
    addsMgL,
    changedToday,
  }: { last: WaterEvent | undefined; addsMgL: number; changedToday: boolean },
): WaterStatus['over'] {
  // What was never tested is a guess: it warns, and asks for a test first.
  if (capMgL === null || last === undefined) return null;
  // What was changed today is a step of it, and the next one is not today.
  const mgL = changedToday
    ? now.after
    : Math.max(now.before, last.day === today ? last.nitrate! : 0);
  const steps = bringDown(mgL, capMgL, addsMgL, { ...rhythm, changedToday });
  return mgL <= capMgL ? null : { mgL, steps };
}

/** The changes that the rhythm asks for from today on. */
function plannedChanges(task: WaterTask, lastOn: string | null): Change[] {
  const { rhythm, today, since } = task;
  const { share, everyDays, sourceMgL, heldUntil } = rhythm;
  const start = lastOn ?? since ?? today;
  let due = addDays(start, everyDays);
  if (due < today) due = today;
  if (heldUntil !== null && due < heldUntil) due = heldUntil;
  const planned: Change[] = [];
  const refills = openRefills(rhythm.trigger ?? [], lastOn);
  for (const { day, share: part } of refills) {
    const ahead = Math.max(0, daysBetween(today, day));
    if (ahead < FORECAST_DAYS) planned.push({ day: ahead, share: part, sourceMgL });
  }
  const lastRefill = refills.at(-1)?.day;
  if (lastRefill !== undefined) due = addDays(lastRefill < today ? today : lastRefill, everyDays);
  for (let day = daysBetween(today, due); day < FORECAST_DAYS; day += everyDays) {
    planned.push({ day, share, sourceMgL });
  }
  return planned;
}

function nextOf(task: WaterTask, first: Change | undefined): NextChange | null {
  const { rhythm, today, litres, events, since } = task;
  if (!rhythm.said || !first) return null;
  const last = [...events].reverse().find(({ kind }) => kind === 'changed')?.day ?? since ?? today;
  const usual = addDays(last, rhythm.everyDays);
  const lastChange = [...events].reverse().find(({ kind }) => kind === 'changed')?.day ?? null;
  const refill = openRefills(rhythm.trigger ?? [], lastChange)[0]?.day;
  const meant = refill ?? usual;
  const until = refill ?? rhythm.heldUntil;
  const held = until !== null && until > usual && until > today;
  const day = addDays(today, first.day);
  return {
    day,
    share: first.share,
    litres: first.share * litres,
    late: held ? 0 : Math.max(0, daysBetween(meant, today)),
    held: held && day > today,
  };
}

function latestOf(
  events: readonly WaterEvent[],
  odd: readonly WaterEvent[],
): WaterStatus['latest'] {
  const latest: WaterStatus['latest'] = {};
  for (const event of events) {
    if (event.kind !== 'tested') continue;
    for (const reading of READINGS) {
      const value = event[reading];
      if (value === null || (reading === 'nitrate' && odd.includes(event))) continue;
      latest[reading] = { value, day: event.day };
    }
  }
  return latest;
}

/** Ammonia and nitrite where no grown filter takes them up. */
function rawOf(task: WaterTask): WaterStatus['raw'] {
  const { since, today, filtered, litres, tempC } = task;
  const age = since === null ? 0 : daysBetween(since, today);
  if (filtered && age >= RIPE_AFTER_DAYS) return null;
  if (task.plannedMg.every((mg) => mg === 0)) return null;
  const ph = Math.min(10, Math.max(4, task.ph ?? 7.5));
  const tan = task.events.findLast(({ tan: value }) => value !== null)?.tan ?? 0;
  const foodMg = meanOf(task.plannedMg);
  // The nitrogen is reported already: as if it were of so much protein.
  const tub = {
    litres,
    ph,
    tempC,
    foodGPerDay: foodMg / 1000 / nitrogenOfProtein('fry'),
    protein: 1,
    tanMgL: tan,
  };
  const begun = filtered ? Math.min(1, NEW_FILTER * Math.exp(age / 7)) : 1e-4;
  const days = ripening(FORECAST_DAYS, {
    tempC,
    addsOn: (day) => (task.plannedMg[day] ?? foodMg) / litres,
    begun,
  });
  const ripe = filtered ? ripeOn(days) : null;
  return {
    hoursUntilConcern: hoursUntilConcern(tub),
    changeShare: changeFor(tub, 24),
    unionisedShare: unionisedShare(ph, tempC),
    days,
    ripeOn: ripe === null ? null : addDays(today, ripe),
  };
}
