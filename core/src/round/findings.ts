import type { Food } from '../ration';
import { largestMeal, longestSafeGap, mealsPerDay, QUIET_ROUNDING } from '../ration';
import { mayNotFast } from '../fish';
import type { Known } from '../why';
import { addDays, hoursOfLight, wallMinutes, type Moment } from './clock';
import { compileGroupDay, groupOnDay, type GroupDay } from './day';
import { unsafeFasts } from './fast';
import { fewerDays, withFewerDays, type FewerDays } from './fewerDays';
import type { HouseGroup, HouseTank } from './plan';

/** Something about a week's diet that a keeper should look at, with the figures it compares. */
export type Finding =
  | { kind: 'tooCold' | 'tooWarm'; tempC: number; limitC: number }
  | { kind: 'longGap'; hours: number; safe: Known }
  /** Its fasts, taken together, last longer than it tolerates from that day on. */
  | { kind: 'longFast'; unsafeOn: string; safe: Known }
  | { kind: 'fewMeals'; planned: number; wanted: Known }
  | { kind: 'bigMeal'; dryMatterG: number; largest: Known }
  /** `smallest`: no less of it can be dealt. */
  | {
      kind: 'rounding';
      servingId: string;
      ofWanted: number;
      smallest: boolean;
      fewer: FewerDays | null;
    }
  | { kind: 'ownAmount'; servingId: string; ofWanted: number }
  | { kind: 'fryFast' };

/** What stays in for as long is nibbled at, and is no meal at once: a slice, a wafer overnight. Assumption. */
const NIBBLED_MIN = 4 * 60;
/** Assumption: past its largest meal by this factor, a meal fouls the water instead of feeding. */
const MEAL_TOLERANCE = 1.1;

/**
 * Look over one group's servings: a week of them, or the whole of a longer cycle.
 * @param first first day looked at, YYYY-MM-DD
 */
export function dietFindings(
  group: HouseGroup,
  tank: HouseTank,
  foods: ReadonlyMap<string, Food>,
  moments: ReadonlyMap<string, Moment>,
  first: string,
): Finding[] {
  const { species } = group;
  const findings: Finding[] = [];
  if (tank.tempC < species.tempMinC) {
    findings.push({ kind: 'tooCold', tempC: tank.tempC, limitC: species.tempMinC });
  }
  if (tank.tempC > species.tempMaxC) {
    findings.push({ kind: 'tooWarm', tempC: tank.tempC, limitC: species.tempMaxC });
  }
  if (group.diet === null || group.count === 0) return findings;
  if (mayNotFast(group.stage) && group.diet.fastWeekdays.length > 0) {
    findings.push({ kind: 'fryFast' });
  }
  const weekOf = (which: HouseGroup) =>
    Array.from({ length: Math.max(7, tank.plan.cycle.days) }, (_, offset) =>
      compileGroupDay(which, tank, foods, addDays(first, offset)),
    );
  const week = weekOf(group);
  const gaps = gapFinding(group, tank, week, moments);
  if (gaps.length === 0) findings.push(...fastFinding(group, tank, first));
  const meals = mealFindings(group, tank, week);
  /** Fewer days are offered only where guts bear the gap, and hold what comes at once. */
  const fewerFor = (servingId: string, ofWanted: number): FewerDays | null => {
    const fewer = fewerDays(group, tank, servingId, ofWanted);
    if (!fewer || !group.diet) return null;
    const after = { ...group, diet: withFewerDays(group.diet, servingId, fewer) };
    const then = weekOf(after);
    const worse =
      gapFinding(after, tank, then, moments).length > gaps.length ||
      mealFindings(after, tank, then).some(({ kind }) => kind === 'bigMeal');
    return worse ? null : fewer;
  };
  return [...findings, ...gaps, ...meals, ...roundingFindings(week, fewerFor)].sort(
    (a, b) => harmOf(b) - harmOf(a),
  );
}

/** Over or under this a portion is worth a sentence of its own. Assumption. */
const FAR_OFF = 0.25;

/** How much harm comes of it, the most first: what starves or chills, what fouls, what is a matter of taste. */
function harmOf(finding: Finding): number {
  switch (finding.kind) {
    case 'fryFast':
      return 10;
    case 'tooCold':
    case 'tooWarm':
      return 6 + Math.min(3, Math.abs(finding.tempC - finding.limitC));
    case 'longGap':
      return 8;
    case 'longFast':
      return 7;
    case 'bigMeal':
      return 4 + Math.min(1, finding.dryMatterG / finding.largest.value / 10);
    case 'rounding':
    case 'ownAmount':
      return finding.ofWanted > 1 + FAR_OFF ? 3 + Math.min(2, finding.ofWanted / 10) : 1;
    case 'fewMeals':
      return 2;
  }
}

/** Whether it is worth a keeper’s eye unasked: what is a little off is not. */
export const isWorthSaying = (finding: Finding): boolean =>
  harmOf(finding) >= 2 || (finding.kind === 'rounding' && finding.ofWanted < 1 - FAR_OFF);

function gapFinding(
  group: HouseGroup,
  tank: HouseTank,
  week: readonly GroupDay[],
  moments: ReadonlyMap<string, Moment>,
): Finding[] {
  const times = week
    .flatMap((day, index) =>
      mealsOf(day).map((due) => {
        const moment = moments.get(due.serving.momentId);
        return moment ? index * 1440 + wallMinutes(moment, tank.light) : NaN;
      }),
    )
    .filter((minutes) => !Number.isNaN(minutes))
    .sort((a, b) => a - b);
  const safe = longestSafeGap(groupOnDay(group, tank));
  if (times.length === 0 || safe.value === 0) return [];
  const gaps = times.map((time, index) =>
    index + 1 < times.length
      ? (times[index + 1] as number) - time
      : (times[0] as number) + week.length * 1440 - time,
  );
  const hours = Math.max(...gaps) / 60;
  return hours > safe.value ? [{ kind: 'longGap', hours, safe }] : [];
}

function fastFinding(group: HouseGroup, tank: HouseTank, first: string): Finding[] {
  const onDay = groupOnDay(group, tank);
  return unsafeFasts(tank.plan, [{ ...group, onDay }], first).map(({ unsafeOn }) => ({
    kind: 'longFast',
    unsafeOn,
    safe: longestSafeGap(onDay),
  }));
}

function mealFindings(group: HouseGroup, tank: HouseTank, week: readonly GroupDay[]): Finding[] {
  const onDay = groupOnDay(group, tank);
  const fed = week.filter((day) => mealsOf(day).length > 0);
  if (fed.length === 0) return [];
  const dryOf = (day: GroupDay, momentId?: string) =>
    mealsOf(day)
      .filter((due) => momentId === undefined || due.serving.momentId === momentId)
      .filter(({ food }) => momentId === undefined || (food.staysMin ?? 0) < NIBBLED_MIN)
      .reduce((sum, due) => sum + due.portion.massG * (1 - due.food.composition.moisture), 0);
  const largest = largestMeal(onDay);
  const biggest = Math.max(
    ...fed.flatMap((day) => mealsOf(day).map((due) => dryOf(day, due.serving.momentId))),
  );
  const fewest = fed.reduce((a, b) => (mealCount(b) < mealCount(a) ? b : a));
  const wanted = mealsPerDay(onDay, dryOf(fewest), feedingHours(tank));
  const findings: Finding[] = [];
  if (mealCount(fewest) < wanted.value) {
    findings.push({ kind: 'fewMeals', planned: mealCount(fewest), wanted });
  }
  if (biggest > largest.value * MEAL_TOLERANCE) {
    findings.push({ kind: 'bigMeal', dryMatterG: biggest, largest });
  }
  return findings;
}

/** Over what is needed by more than this, a serving is offered on fewer days. Assumption. */
const FEWER_ABOVE = 1.25;

function roundingFindings(
  week: readonly GroupDay[],
  fewerFor: (servingId: string, ofWanted: number) => FewerDays | null,
): Finding[] {
  const seen = new Set<string>();
  const findings: Finding[] = [];
  for (const due of week.flatMap((day) => day.servings)) {
    if (seen.has(due.serving.id) || Math.abs(due.portion.ofWanted - 1) <= QUIET_ROUNDING) continue;
    seen.add(due.serving.id);
    const { id: servingId, ownUnits } = due.serving;
    const { ofWanted, units } = due.portion;
    const smallest = units <= due.food.unit.step;
    if (ownUnits !== null) findings.push({ kind: 'ownAmount', servingId, ofWanted });
    else {
      const fewer = ofWanted > FEWER_ABOVE ? fewerFor(servingId, ofWanted) : null;
      findings.push({ kind: 'rounding', servingId, ofWanted, smallest, fewer });
    }
  }
  return findings;
}

/** Leaves that stand are no meal. */
const mealsOf = ({ servings }: GroupDay) => servings.filter(({ food }) => !food.litter);

const mealCount = (day: GroupDay) => new Set(mealsOf(day).map((due) => due.serving.momentId)).size;

/** Hours in which a tank's fish can be fed: its light, or the whole day where it is never lit. */
const feedingHours = (tank: HouseTank) => hoursOfLight(tank.light) || 24;
