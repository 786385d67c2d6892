import { sum } from 'd3-array';
import { toServingUnits } from '../../food';
import { PLAIN, type Manner } from '../../round';
import { energyPerGram } from '../aims';
import type { Judged } from '../judge';
import { feedsInTheDark, isDisc } from '../starting';
import type { WeekGroup, WeekTask } from '../task';
import type { ActReason, PlanAct } from './acts';
import {
  chosenFoods,
  isDark,
  isNoTreat,
  lineOf,
  rank,
  shareOf,
  statusOf,
  TREAT_DAYS,
  unitOf,
  type Status,
  type Trying,
} from './trying';

/** So much more or less of a serving than the keeper gives now, as a factor. Assumption: what one would dare. */
const MOST_MORE = 2;
const MOST_LESS = 0.5;
/** Of what is meant for it so little reaches a group that it is out-eaten. Assumption. */
const OUT_EATEN = 0.5;
/** What is expected to reach a group of what it is given anew. Assumption. */
const REACHES = 0.6;
/** Foods that are tried in a place, the fittest first. */
const FOODS_TRIED = 2;
const CARRIED: Manner = { ...PLAIN, carried: true };
const SPREAD: Manner = { ...PLAIN, spots: 2 };
/** Held back until the others are busy. */
const LATER: Manner = { ...PLAIN, afterMin: 10 };

/** More of what they get; where others get it first, at another time, place or way; or a food of their own. */
export function fedMore(trying: Trying, group: WeekGroup, days: readonly number[]): PlanAct[] {
  const { task, plan } = trying;
  const f = task.groups.indexOf(group);
  const share = shareOf(plan, f, days);
  const own = onDays(statusOf(trying, group), days);
  const [first, second] = own;
  const factor = Math.min(MOST_MORE, 1 / Math.max(0.1, share));
  const outEaten = own.filter(({ reaches }) => reaches < OUT_EATEN).slice(0, 2);
  const every = first && everyDay(trying, group, first);
  return [
    ...outEaten.slice(0, 1).flatMap((one) => sinking(trying, group, one)),
    ...outEaten.flatMap((one) => elsewhere(trying, group, one)),
    ...(first ? amount(trying, group, 'short', first, factor) : []),
    ...(every ? [every] : []),
    ...(second ? amount(trying, group, 'short', second, factor) : []),
    ...(share < 1 - HUNGRY
      ? added(trying, group, 'short', Math.max(0.2, 1 - shareOf(plan, f)))
      : []),
  ];
}
/** So far under its need a group is given something besides. Assumption. */
export const HUNGRY = 0.25;

/** Less of what they get, or on fewer days; of what tank-mates get where it is theirs that they eat. */
export function fedLess(trying: Trying, group: WeekGroup, days: readonly number[]): PlanAct[] {
  const { task, plan } = trying;
  const f = task.groups.indexOf(group);
  const factor = Math.max(MOST_LESS, 1 / Math.max(1, shareOf(plan, f, days)));
  const own = onDays(statusOf(trying, group), days).slice(0, 2);
  const perGram = energyPerGram(task, group);
  const byOthers = task.groups
    .filter((other) => other !== group && !trying.pins.groupIds.has(other.id))
    .flatMap((other) =>
      statusOf(trying, other).map((one) => ({
        other,
        one,
        taken: takenBy(plan, one, f, perGram, task),
      })),
    )
    .sort((a, b) => b.taken - a.taken)
    .slice(0, 1);
  return [
    ...own.flatMap((one) => [
      ...amount(trying, group, 'over', one, factor),
      ...fewerDays(trying, group, 'over', one),
    ]),
    ...byOthers.flatMap(({ other, one }) => [
      ...sinking(trying, other, one),
      ...amount(trying, other, 'over', one, factor),
      ...elsewhere(trying, other, one).slice(0, 2),
    ]),
  ];
}

/** A food of their own, at the moment at which they feed. @param share of a day’s need that it should carry */
export function added(
  trying: Trying,
  group: WeekGroup,
  reason: ActReason,
  share: number,
): PlanAct[] {
  const { task, plan } = trying;
  const f = task.groups.indexOf(group);
  const perGram = energyPerGram(task, group);
  const needKj = Math.max(...plan.outcome.days.map(({ groups }) => groups[f]!.needKj));
  const fedDays = plan.outcome.days.flatMap(({ groups }, d) =>
    groups[f]!.rest === null ? [d + 1] : [],
  );
  const [moment] = rank(trying, group);
  if (!moment || fedDays.length === 0) return [];
  const there = plan.servings.get(group.id) ?? [];
  return chosenFoods(trying, group)
    .filter(({ id }) => !there.some((one) => one.foodId === id && one.momentId === moment.id))
    .slice(0, FOODS_TRIED)
    .flatMap((food): PlanAct[] => {
      const energy = perGram[task.foods.indexOf(food)] ?? 0;
      if (energy <= 0) return [];
      const unit = unitOf(trying, food.id);
      const units = toServingUnits((needKj * share) / energy / REACHES, unit);
      const line = lineOf(trying, group, food, moment.id, fedDays, units);
      return [{ groupId: group.id, reason, does: 'add', line }];
    });
}

/** On days on which a group fasts, what its tank-mates leave for it: less of it, or another day. */
export function quietOn(trying: Trying, group: WeekGroup, days: readonly number[]): PlanAct[] {
  const { task, plan, pins } = trying;
  const f = task.groups.indexOf(group);
  const perGram = energyPerGram(task, group);
  return task.groups
    .filter((other) => other !== group && !pins.groupIds.has(other.id))
    .flatMap((other) => statusOf(trying, other).map((one) => ({ other, one })))
    .filter(({ one }) => days.some((d) => one.serving.days.includes(d + 1)))
    .sort((a, b) => takenBy(plan, b.one, f, perGram, task) - takenBy(plan, a.one, f, perGram, task))
    .slice(0, 2)
    .flatMap(({ other, one: { serving } }): PlanAct[] => {
      const rest = serving.days.filter((day) => !days.includes(day - 1));
      const same = { groupId: other.id, reason: 'fast' as const, servingId: serving.id };
      return rest.length === 0 ? [] : [{ ...same, does: 'days', days: rest }];
    });
}

/** A smaller change of a portion is not seen. Assumption. */
const SEEN = 0.12;

/** More or less of a serving, within what the keeper gives now; slices and leaves are no matter of energy. */
function amount(
  trying: Trying,
  group: WeekGroup,
  reason: ActReason,
  { serving, food, massG }: Status,
  factor: number,
): PlanAct[] {
  if (food.kind === 'fresh') return [];
  const unit = unitOf(trying, serving.foodId);
  const hadG = trying.hadG(serving.id) ?? massG;
  const wantedG = Math.min(MOST_MORE * hadG, Math.max(MOST_LESS * hadG, massG * factor));
  const fromUnits = massG / unit.massG;
  const asked = toServingUnits(wantedG, unit);
  // A wafer is given in pieces of it, or on fewer days.
  const near = isDisc(food) ? Math.max(asked, Math.min(unit.step, fromUnits)) : asked;
  const units = factor > 1 && near <= fromUnits ? near + unit.step : near;
  const far = units * unit.massG > MOST_MORE * hadG && units > unit.step;
  if (far || Math.abs(units - fromUnits) < SEEN * fromUnits) return [];
  const same = { groupId: group.id, reason, servingId: serving.id };
  return [{ ...same, does: 'amount', units, fromUnits }];
}

/** Servings that are given on the days in question, those that are given on few others first. */
const onDays = (own: readonly Status[], days: readonly number[]): Status[] => {
  const there = ({ serving }: Status) =>
    serving.days.filter((day) => days.includes(day - 1)).length / serving.days.length;
  return own.filter((one) => there(one) > 0).sort((a, b) => there(b) - there(a));
};

/** For who feeds on the ground, in place of what floats: that is gone before it is down. */
function sinking(trying: Trying, group: WeekGroup, one: Status): PlanAct[] {
  const { zone } = group.species;
  const onGround = zone === 'bottom' || zone === 'film';
  const [moment] = rank(trying, group);
  if (!moment || !onGround || one.food.form !== 'floats' || !isNoTreat(one)) return [];
  const { id: servingId, days } = one.serving;
  return chosenFoods(trying, group)
    .filter(({ form }) => form !== 'floats')
    .slice(0, FOODS_TRIED)
    .map((food): PlanAct => {
      const line = lineOf(trying, group, food, moment.id, days, null);
      return { groupId: group.id, reason: 'outEaten', does: 'food', servingId, days, line };
    });
}

/** At the moment at which they feed and the others rest; where they feed; held back, carried or spread. */
function elsewhere(trying: Trying, group: WeekGroup, { serving }: Status): PlanAct[] {
  const same = { groupId: group.id, reason: 'outEaten' as const, servingId: serving.id };
  const { zone } = group.species;
  // None is moved to where they rest, and who feeds by day keeps its meals: two are not made one.
  const dark = feedsInTheDark(group);
  const fedAt = new Set(
    (trying.plan.servings.get(group.id) ?? [])
      .filter(({ days }) => days.some((day) => serving.days.includes(day)))
      .map(({ momentId }) => momentId),
  );
  const moments = rank(trying, group).filter(
    ({ id, atMin }) =>
      id !== serving.momentId && isDark(trying.task, atMin) === dark && (dark || !fedAt.has(id)),
  );
  // What feeds on the ground is served there; shoals above it need no pipette.
  const onGround = zone === 'bottom' || zone === 'film';
  const manners = [...(onGround ? [CARRIED] : []), LATER, SPREAD].filter(
    (manner) => JSON.stringify(manner) !== JSON.stringify(serving.manner),
  );
  return [
    ...moments.slice(0, 1).map(({ id }): PlanAct => ({ ...same, does: 'moment', momentId: id })),
    ...manners.map((manner): PlanAct => ({
      ...same,
      does: 'place',
      to: { zone, manner: { ...manner, soaked: serving.manner.soaked } },
    })),
  ];
}

/** On all days on which they are fed, in place of some of them. */
function everyDay(trying: Trying, group: WeekGroup, { serving, food }: Status): PlanAct | null {
  const { task, plan } = trying;
  const f = task.groups.indexOf(group);
  const days = plan.outcome.days.flatMap(({ groups }, d) =>
    groups[f]!.rest === null ? [d + 1] : [],
  );
  if (days.every((day) => serving.days.includes(day))) return null;
  if (isDisc(food) && serving.ownUnits === unitOf(trying, food.id).step) return null;
  const all = [...new Set([...serving.days, ...days])].sort((a, b) => a - b);
  return { groupId: group.id, reason: 'short', does: 'days', servingId: serving.id, days: all };
}

/** kJ of a serving that another group eats. */
const takenBy = (
  { outcome }: Judged,
  { serving, food }: Status,
  f: number,
  perGram: readonly number[],
  task: WeekTask,
): number =>
  sum(outcome.days, ({ drops, reaches }) =>
    sum(drops, (drop) =>
      drop.key === serving.id
        ? drop.massG * reaches[drops.indexOf(drop)]![f]! * (perGram[task.foods.indexOf(food)] ?? 0)
        : 0,
    ),
  );

/** Every other of its days; of two days one. What is a treat already stays. */
function fewerDays(_: Trying, group: WeekGroup, reason: ActReason, { serving }: Status): PlanAct[] {
  if (serving.days.length <= TREAT_DAYS) return [];
  const days = serving.days.filter((_day, at) => at % 3 !== 2);
  return [{ groupId: group.id, reason, does: 'days', servingId: serving.id, days }];
}
