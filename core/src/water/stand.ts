import { addDays, daysBetween } from '../round';
import { CONCERN_MG_L, unionisedShare } from './ammonia';
import { fitWater, forecastWater, type WaterDay, type WaterFit } from './fit';
import { keepsUnder, type Keeps } from './keeps';
import { NITRATE_PER_N } from './nitrogen';
import { READINGS, unitMixedUp, type Reading } from './range';
import { ripening, ripeOn, type RipeningDay } from './ripening';
import { afterFillingUp, peakOf, sawTooth, type Change, type Rhythm } from './sawTooth';
import { changeFor, hoursUntilConcern } from './unfiltered';

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

/** A tank as far as its water goes. */
export interface WaterTask {
  litres: number;
  tempC: number;
  ph: number | null;
  /** A filter that has grown in: nothing but nitrate is left of what they eat. */
  filtered: boolean;
  /** The first day of its fish; null where there were none. */
  since: string | null;
  today: string;
  /** How it is changed; `said` false where nobody said, and a usual rhythm is assumed. */
  rhythm: Rhythm & { said: boolean; heldUntil: string | null };
  /** In the order in which they happened. */
  events: readonly WaterEvent[];
  /** Nitrogen that the food of a past day added, by its protein, mg. */
  servedMg: ReadonlyMap<string, number>;
  /** The same of the plan, from today on. */
  plannedMg: readonly number[];
  /** The groups, and what nitrate each stands, mg/L. */
  groups: readonly { id: string; name: string; standsMgL: number }[];
}

/** So many days ahead a tank’s water is forecast. */
export const FORECAST_DAYS = 56;
/** So far back what was tested still tells of plants and filter. */
export const LOOK_BACK_DAYS = 120;
/** A filter has grown in after so many days. Assumption: four to six weeks. */
const RIPE_AFTER_DAYS = 42;
const NEW_FILTER = 0.002;
/** Nitrite from which it is said, mg/L as NO2. Assumption: a level that harms many species in days. */
const NITRITE_CONCERN_MG_L = 0.5;
/** What may be is said for so many days ahead, and where it comes so once in five times. Assumptions. */
const SOON_DAYS = 21;
const FIFTH = 0.512;
/** A test counts as the present for so many days. */
const NEW_DAYS = 21;

export type WaterWarning =
  | { kind: 'ammonia'; day: string; unionisedMgL: number }
  | { kind: 'nitrite'; day: string; mgL: number }
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

/** How a tank’s water stands, and what is to come. */
export interface WaterStand {
  /** The latest of each reading, with its day. */
  latest: Partial<Record<Reading, { value: number; day: string }>>;
  fit: Pick<WaterFit, 'production' | 'uptakeMgL' | 'sd' | 'spans'>;
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
 * How the water of a tank stands and what is to come of it, from what was served, tested and changed.
 * @throws RangeError for a tank without water
 */
export function standOfWater(task: WaterTask): WaterStand {
  const { litres, today, rhythm, groups } = task;
  const events = task.events.filter(({ day }) => day <= today);
  const first = addDays(today, -LOOK_BACK_DAYS);
  const at = (day: string) => daysBetween(first, day);
  const mgL = (mg: number) => (mg * NITRATE_PER_N) / litres;
  const foodAdds = (day: number) => mgL(task.servedMg.get(addDays(first, day)) ?? 0);
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
  const filled = (day: number) => filledBy.get(day) ?? 0;
  const tests = events.filter(
    ({ kind, nitrate, day }) => kind === 'tested' && nitrate !== null && day >= first,
  );
  const fit = fitWater(
    tests.map(({ day, nitrate, sure }) => ({ day: at(day), mgL: nitrate!, sure })),
    foodAdds,
    changes,
    filled,
  );
  const odd = fit.odd.map((index) => tests[index]!);
  const believed = tests.filter((test) => !odd.includes(test));
  const last = believed.at(-1) ?? null;
  const net = (day: number) => fit.production * foodAdds(day) - fit.uptakeMgL + filled(day);
  const past = pastOf(believed, first, today, net, changes, source);
  const foodAddsMgL = mgL(meanOf(task.plannedMg));
  const planned = plannedChanges(task, changes.at(-1)?.on ?? null);
  const days = ahead(
    task,
    fit,
    last === null ? null : { day: last.day, mgL: past.find(({ day }) => day === last.day)!.mgL },
    {
      first,
      foodAdds,
      plannedAdds: (day) => mgL(task.plannedMg[day] ?? 0),
      changes,
      planned,
      filled,
    },
  );
  const addsMgL = fit.production * foodAddsMgL - fit.uptakeMgL;
  const strict = [...groups].sort((a, b) => a.standsMgL - b.standsMgL)[0];
  const cap = strict ? { mgL: strict.standsMgL, groupId: strict.id, groupName: strict.name } : null;
  const next = nextOf(task, planned[0]);
  const stand: Omit<WaterStand, 'warnings'> = {
    latest: latestOf(events, odd),
    fit: {
      production: fit.production,
      uptakeMgL: fit.uptakeMgL,
      sd: fit.sd,
      spans: fit.spans,
    },
    days,
    past,
    changes: changes.map(({ on, share }) => ({ day: on, share })),
    cap,
    addsMgL,
    foodAddsMgL,
    peakMgL: peakOf(Math.max(0, addsMgL), rhythm),
    keeps: cap && keepsUnder(cap.mgL, fit, foodAddsMgL, rhythm),
    next,
    raw: rawOf(task),
  };
  return { ...stand, warnings: warningsOf(task, stand, odd, tests) };
}

const meanOf = (values: readonly number[]) =>
  values.length === 0 ? 0 : values.reduce((sum, value) => sum + value, 0) / values.length;

/** Nitrate day by day: along what happened, and drawn to each test as it comes. */
function pastOf(
  tests: readonly WaterEvent[],
  first: string,
  today: string,
  net: (day: number) => number,
  changes: readonly Change[],
  source: number,
): { day: string; mgL: number }[] {
  const begin = tests[0];
  if (!begin) return [];
  const told: { day: string; mgL: number }[] = [];
  let mgL = begin.nitrate!;
  const byDay = new Map(tests.map((test) => [test.day, test.nitrate!]));
  for (let day = begin.day; day < today; day = addDays(day, 1)) {
    const offset = daysBetween(first, day);
    const tested = byDay.get(day);
    // A test outweighs what was reckoned as far as its colours can be told apart.
    if (tested !== undefined) mgL = day === begin.day ? tested : (mgL + 2 * tested) / 3;
    told.push({ day, mgL });
    const here = changes
      .filter((change) => change.day === offset)
      .map((one) => ({ ...one, day: 0 }));
    mgL = sawTooth(mgL, 1, () => 0, here)[0]!.after;
    mgL = Math.max(0, mgL + net(offset));
    if (!Number.isFinite(mgL)) mgL = source;
  }
  const now = byDay.get(today);
  told.push({ day: today, mgL: now === undefined ? mgL : (mgL + 2 * now) / 3 });
  return told;
}

interface Course {
  first: string;
  foodAdds: (day: number) => number;
  plannedAdds: (day: number) => number;
  changes: readonly Change[];
  planned: readonly Change[];
  filled: (day: number) => number;
}

/**
 * From today on, with its band: reckoned on from the last test, so that the longer ago it was the less
 * is known; without one from far enough back that its beginning is forgotten.
 */
function ahead(
  { rhythm, today }: WaterTask,
  fit: WaterFit,
  last: { day: string; mgL: number } | null,
  { first, foodAdds, plannedAdds, changes, planned, filled }: Course,
): WaterDay[] {
  const start = last?.day ?? first;
  const offset = daysBetween(first, start);
  const elapsed = daysBetween(start, today);
  const done = changes.map((one) => ({ ...one, day: one.day - offset }));
  const kept = done.filter(({ day }) => day >= 0);
  const { everyDays, share, sourceMgL } = rhythm;
  // Of a tank of which nobody wrote a change it is taken that it was changed as usual.
  for (let day = everyDays; changes.length === 0 && day < elapsed; day += everyDays) {
    kept.push({ day, share, sourceMgL });
  }
  return forecastWater(
    fit,
    last?.mgL ?? sourceMgL,
    elapsed + FORECAST_DAYS,
    (day) => (day < elapsed ? foodAdds(offset + day) : plannedAdds(day - elapsed)),
    [...kept, ...planned.map((one) => ({ ...one, day: one.day + elapsed }))],
    (day) => filled(offset + day),
  ).slice(elapsed);
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
  for (let day = daysBetween(today, due); day < FORECAST_DAYS; day += everyDays) {
    planned.push({ day, share, sourceMgL });
  }
  return planned;
}

function nextOf(task: WaterTask, first: Change | undefined): NextChange | null {
  const { rhythm, today, litres, events, since } = task;
  if (!rhythm.said || !first) return null;
  const last = [...events].reverse().find(({ kind }) => kind === 'changed')?.day ?? since ?? today;
  const meant = addDays(last, rhythm.everyDays);
  const held = rhythm.heldUntil !== null && rhythm.heldUntil > meant;
  const day = addDays(today, first.day);
  return {
    day,
    share: first.share,
    litres: first.share * litres,
    late: held ? 0 : Math.max(0, daysBetween(meant, today)),
    held: held && day > today,
  };
}

function latestOf(events: readonly WaterEvent[], odd: readonly WaterEvent[]): WaterStand['latest'] {
  const latest: WaterStand['latest'] = {};
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
function rawOf(task: WaterTask): WaterStand['raw'] {
  const { since, today, filtered, litres, tempC } = task;
  const age = since === null ? 0 : daysBetween(since, today);
  if (filtered && age >= RIPE_AFTER_DAYS) return null;
  if (task.plannedMg.every((mg) => mg === 0)) return null;
  const ph = Math.min(10, Math.max(4, task.ph ?? 7.5));
  const tan = task.events.findLast(({ tan: value }) => value !== null)?.tan ?? 0;
  const foodMg = meanOf(task.plannedMg);
  // The nitrogen is told already: as if all of the food were protein of which all of it leaves.
  const tub = { litres, ph, tempC, foodGPerDay: foodMg / 1000 / 0.092, protein: 1, tanMgL: tan };
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

function warningsOf(
  task: WaterTask,
  stand: Omit<WaterStand, 'warnings'>,
  odd: readonly WaterEvent[],
  tests: readonly WaterEvent[],
): WaterWarning[] {
  const { today, tempC } = task;
  const { latest, cap, days } = stand;
  const warnings: WaterWarning[] = [];
  const fresh = (day: string) => daysBetween(day, today) <= NEW_DAYS;
  if (latest.tan && fresh(latest.tan.day)) {
    const ph = Math.min(10, Math.max(4, latest.ph?.value ?? task.ph ?? 7.5));
    const unionisedMgL = latest.tan.value * unionisedShare(ph, latest.tempC?.value ?? tempC);
    if (unionisedMgL >= CONCERN_MG_L) {
      warnings.push({ kind: 'ammonia', day: latest.tan.day, unionisedMgL });
    }
  }
  if (latest.nitrite && fresh(latest.nitrite.day) && latest.nitrite.value >= NITRITE_CONCERN_MG_L) {
    warnings.push({ kind: 'nitrite', day: latest.nitrite.day, mgL: latest.nitrite.value });
  }
  if (cap) {
    if (task.rhythm.sourceMgL >= cap.mgL) warnings.push({ kind: 'sourceOverCap' });
    const { nitrate } = latest;
    if (nitrate && fresh(nitrate.day) && nitrate.value > cap.mgL) {
      warnings.push({ kind: 'overCap', day: nitrate.day, mgL: nitrate.value });
    }
    const over = days.findIndex(({ before }) => before > cap.mgL);
    const may = days.findIndex(
      ({ before, high }, day) => day < SOON_DAYS && before + FIFTH * (high - before) > cap.mgL,
    );
    if (over >= 0) warnings.push({ kind: 'willPass', day: addDays(today, over), likely: true });
    else if (may >= 0) warnings.push({ kind: 'willPass', day: addDays(today, may), likely: false });
  }
  for (const test of odd) {
    const before = tests[tests.indexOf(test) - 1];
    warnings.push({
      kind: 'odd',
      eventId: test.id,
      mgL: test.nitrate!,
      mixedUp: before !== undefined && unitMixedUp(before.nitrate!, test.nitrate!),
    });
  }
  return warnings;
}
