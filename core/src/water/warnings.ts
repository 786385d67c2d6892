import { addDays, daysBetween } from '../round';
import { CONCERN_MG_L, unionisedShare } from './ammonia';
import { unitMixedUp } from './range';
import type { WaterEvent, WaterStatus, WaterTask, WaterWarning } from './status';

/** Nitrite from which it is said, mg/L as NO2. Assumption: a level that harms many species in days. */
const NITRITE_CONCERN_MG_L = 0.5;
/** Where delicate fish live it is said at this share of it. Assumption. */
const DELICATE = 0.5;
/** What may be is said for so many days ahead, and where it comes so once in five times. Assumptions. */
const SOON_DAYS = 21;
const FIFTH = 0.512;
/** A test counts as the present for so many days. */
const NEW_DAYS = 21;

/** What a keeper should look at in a tank's water. */
export function warningsOf(
  task: WaterTask,
  status: Omit<WaterStatus, 'warnings'>,
  odd: readonly WaterEvent[],
  tests: readonly WaterEvent[],
): WaterWarning[] {
  const { today, tempC } = task;
  const { latest, cap, days } = status;
  const warnings: WaterWarning[] = [];
  const fresh = (day: string) => daysBetween(day, today) <= NEW_DAYS;
  const part = task.groups.some(({ delicate }) => delicate) ? DELICATE : 1;
  if (latest.tan && fresh(latest.tan.day)) {
    const ph = Math.min(10, Math.max(4, latest.ph?.value ?? task.ph ?? 7.5));
    const unionisedMgL = latest.tan.value * unionisedShare(ph, latest.tempC?.value ?? tempC);
    const fromMgL = CONCERN_MG_L * part;
    if (unionisedMgL >= fromMgL) {
      warnings.push({ kind: 'ammonia', day: latest.tan.day, unionisedMgL, fromMgL });
    }
  }
  const { nitrite } = latest;
  const nitriteFrom = NITRITE_CONCERN_MG_L * part;
  if (nitrite && fresh(nitrite.day) && nitrite.value >= nitriteFrom) {
    warnings.push({ kind: 'nitrite', day: nitrite.day, mgL: nitrite.value, fromMgL: nitriteFrom });
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
    // What was tested to be over it need not be told to pass.
    const report = warnings.some(({ kind }) => kind === 'overCap') && status.over !== null;
    if (over >= 0 && !report)
      warnings.push({ kind: 'willPass', day: addDays(today, over), likely: true });
    else if (may >= 0 && !report)
      warnings.push({ kind: 'willPass', day: addDays(today, may), likely: false });
  }
  return [...warnings, ...oddWarnings(odd, tests)];
}

const oddWarnings = (odd: readonly WaterEvent[], tests: readonly WaterEvent[]): WaterWarning[] =>
  odd.map((test) => {
    const before = tests[tests.indexOf(test) - 1];
    return {
      kind: 'odd',
      eventId: test.id,
      mgL: test.nitrate!,
      mixedUp: before !== undefined && unitMixedUp(before.nitrate!, test.nitrate!),
    };
  });
