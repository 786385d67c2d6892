import { mean, sum } from 'd3-array';
import { mayNotFast } from '../../fish';
import { isLitter, toServingUnits } from '../../food';
import { PLAIN, type DietServing, type Manner } from '../../round';
import { energyPerGram, foodsFor, type Aim } from '../aims';
import { momentsOf } from '../help/offers';
import type { Judged } from '../judge';
import { feedsInTheDark, foodsByFit } from '../starting';
import { cycleOf, type WeekGroup, type WeekTask } from '../task';
import { preparingMin } from '../work';
import type { ActReason, PlanAct } from './acts';

/** What stays as the keeper has it. */
export interface Pins {
  groupIds: ReadonlySet<string>;
  foodIds: ReadonlySet<string>;
  momentIds: ReadonlySet<string>;
  servingIds: ReadonlySet<string>;
}
export const NO_PINS: Pins = {
  groupIds: new Set(),
  foodIds: new Set(),
  momentIds: new Set(),
  servingIds: new Set(),
};

/** Pins as they are kept with a plan; none where nothing was pinned. */
export const pinsOf = (
  kept: Record<'groups' | 'foods' | 'moments' | 'servings', readonly string[]> | null | undefined,
): Pins =>
  kept
    ? {
        groupIds: new Set(kept.groups),
        foodIds: new Set(kept.foods),
        momentIds: new Set(kept.moments),
        servingIds: new Set(kept.servings),
      }
    : NO_PINS;

/** Acts that may lessen one miss; the likeliest first. */
export interface Trying {
  task: WeekTask;
  plan: Judged;
  pins: Pins;
  newId: () => string;
  /** Grams of a serving at a time in the plan that the keeper has; null of one that is new. */
  hadG: (servingId: string) => number | null;
}

/** So much more or less of a serving than the keeper gives now, as a factor. Assumption: what one would dare. */
const MOST_MORE = 2;
const MOST_LESS = 0.5;
/** Given on no more days of a week than these a food is a treat, and stays one. Assumption. */
const TREAT_DAYS = 2;
/** Of what is meant for it so little reaches a group that it is out-eaten. Assumption. */
const OUT_EATEN = 0.5;
/** What is expected to reach a group of what it is given anew. Assumption. */
const REACHES = 0.6;
const FOODS_TRIED = 3;
const CARRIED: Manner = { ...PLAIN, carried: true };
const SPREAD: Manner = { ...PLAIN, spots: 2 };
/** Held back until the others are busy. */
const LATER: Manner = { ...PLAIN, afterMin: 10 };

/** Acts for one miss of a plan. */
export function candidatesFor(trying: Trying, aim: Aim): PlanAct[] {
  const { task, pins } = trying;
  const group = task.groups.find(({ id }) => id === aim.groupId);
  if (aim.kind === 'work') return lighter(trying, aim.about);
  if (!group || pins.groupIds.has(group.id)) return [];
  switch (aim.kind) {
    case 'energy':
      return aim.value < (aim.low ?? 0)
        ? fedMore(trying, group, aim.days)
        : fedLess(trying, group, aim.days);
    case 'fast':
      return quietOn(trying, group, aim.days);
    case 'plant':
      return swapped(trying, group, 'plant', (food) => food.plantShare, aim);
    case 'protein':
      return swapped(trying, group, 'protein', dryShare('protein'), aim);
    case 'fibre':
      return swapped(trying, group, 'fibre', dryShare('fibre'), aim);
    case 'capped':
    case 'rule':
      return rarer(trying, group, aim);
    case 'variety':
    case 'dominant':
      return varied(trying, group, aim.kind);
    case 'meals':
      return added(trying, group, 'meals', REACHES);
  }
}

type TaskFood = WeekTask['foods'][number];
const dryShare = (part: 'protein' | 'fibre') => (food: TaskFood) =>
  food.composition[part] / (1 - food.composition.moisture);

/** A serving with what comes of it: grams at a time, and the share of them that reaches its group. */
interface Status {
  serving: DietServing;
  food: TaskFood;
  massG: number;
  reaches: number;
}

/** Servings of a group that may be changed, the one that gives it most first. */
function statusOf({ task, plan, pins }: Trying, group: WeekGroup): Status[] {
  const f = task.groups.indexOf(group);
  const perGram = energyPerGram(task, group);
  return (plan.servings.get(group.id) ?? [])
    .flatMap((serving): Status[] => {
      const food = task.foods.find(({ id }) => id === serving.foodId);
      if (!food || isLitter(food) || isPinned(pins, serving)) return [];
      const drops = plan.outcome.days.flatMap((day) =>
        day.drops.flatMap((drop, at) =>
          drop.key === serving.id ? [{ massG: drop.massG, reaches: day.reaches[at]![f]! }] : [],
        ),
      );
      if (drops.length === 0) return [];
      return [
        {
          serving,
          food,
          massG: mean(drops, ({ massG }) => massG) ?? 0,
          reaches: mean(drops, ({ reaches }) => reaches) ?? 0,
        },
      ];
    })
    .sort((a, b) => weight(b) - weight(a));
  function weight({ serving, food, massG }: Status) {
    return massG * serving.days.length * (perGram[task.foods.indexOf(food)] ?? 0);
  }
}

const isPinned = (pins: Pins, { id, foodId, momentId }: DietServing): boolean =>
  pins.servingIds.has(id) || pins.foodIds.has(foodId) || pins.momentIds.has(momentId);

/** Its share of the need on a feeding day, mean over some days or over the cycle. */
export function shareOf(
  { outcome }: Judged,
  f: number,
  days: readonly number[] = outcome.days.map((_, d) => d),
): number {
  const fed = days.map((d) => outcome.days[d]!.groups[f]!).filter(({ needKj }) => needKj > 0);
  return fed.length === 0 ? 1 : (mean(fed, ({ gotKj, needKj }) => gotKj / needKj) ?? 1);
}

const unitOf = ({ task }: Trying, foodId: string) =>
  task.house.foods.find(({ id }) => id === foodId)!.unit;

/** A smaller change of a portion nobody sees. Assumption. */
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
  const near = toServingUnits(wantedG, unit);
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

/** More of what they get; where others get it first, at another time, place or way; or a food of their own. */
function fedMore(trying: Trying, group: WeekGroup, days: readonly number[]): PlanAct[] {
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
const HUNGRY = 0.25;

/** For who feeds on the ground, in place of what floats: that is gone before it is down. */
function sinking(trying: Trying, group: WeekGroup, one: Status): PlanAct[] {
  const { zone } = group.species;
  const onGround = zone === 'bottom' || zone === 'film';
  const [moment] = rank(trying, group);
  if (!moment || !onGround || one.food.form !== 'floats' || !isNoTreat(one)) return [];
  const { id: servingId, days } = one.serving;
  return chosenFoods(trying, group)
    .filter(({ form }) => form !== 'floats')
    .slice(0, FOODS_TRIED - 1)
    .map((food): PlanAct => {
      const line = lineOf(trying, group, food, moment.id, days, null);
      return { groupId: group.id, reason: 'outEaten', does: 'food', servingId, days, line };
    });
}

const isDark = ({ tank }: WeekTask, atMin: number): boolean => {
  const { onMin, offMin } = tank.light;
  return offMin > onMin ? atMin < onMin || atMin >= offMin : atMin < onMin && atMin >= offMin;
};

/** The open moments, those in the light or the dark in which they feed first. */
const rank = ({ task, pins }: Trying, group: WeekGroup) => {
  const dark = feedsInTheDark(group);
  return momentsOf(task)
    .filter(({ id }) => !pins.momentIds.has(id))
    .sort(
      (a, b) =>
        Number(isDark(task, b.atMin) === dark) - Number(isDark(task, a.atMin) === dark) ||
        a.atMin - b.atMin,
    );
};

/** At the moment at which they feed and the others rest; where they feed; held back, carried or spread. */
function elsewhere(trying: Trying, group: WeekGroup, { serving }: Status): PlanAct[] {
  const same = { groupId: group.id, reason: 'outEaten' as const, servingId: serving.id };
  const { zone } = group.species;
  const moments = rank(trying, group).filter(({ id }) => id !== serving.momentId);
  const manners = [CARRIED, LATER, SPREAD].filter(
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
function everyDay(trying: Trying, group: WeekGroup, { serving }: Status): PlanAct | null {
  const { task, plan } = trying;
  const f = task.groups.indexOf(group);
  const days = plan.outcome.days.flatMap(({ groups }, d) =>
    groups[f]!.rest === null ? [d + 1] : [],
  );
  if (days.every((day) => serving.days.includes(day))) return null;
  const all = [...new Set([...serving.days, ...days])].sort((a, b) => a - b);
  return { groupId: group.id, reason: 'short', does: 'days', servingId: serving.id, days: all };
}

/** A food of their own, at the moment at which they feed. @param share of a day’s need that it should carry */
function added(trying: Trying, group: WeekGroup, reason: ActReason, share: number): PlanAct[] {
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
    .slice(0, FOODS_TRIED - 1)
    .flatMap((food): PlanAct[] => {
      const energy = perGram[task.foods.indexOf(food)] ?? 0;
      if (energy <= 0) return [];
      const unit = unitOf(trying, food.id);
      const units = toServingUnits((needKj * share) / energy / REACHES, unit);
      const line = lineOf(trying, group, food, moment.id, fedDays, units);
      return [{ groupId: group.id, reason, does: 'add', line }];
    });
}

/** What is given in the tank already is at hand, and what would pass its date is used up first. Assumptions. */
const AT_HAND = 1.15;
const USED_UP = 1.15;

/** Foods of the shelf that they take well, the fittest first. */
function chosenFoods({ task, pins, plan }: Trying, group: WeekGroup): TaskFood[] {
  const never = new Set(
    (task.house.groups.find(({ id }) => id === group.id)?.diet?.rules ?? []).flatMap((rule) =>
      rule.mostPerWeek === 0 || rule.taken === 0 ? [rule.foodId] : [],
    ),
  );
  const capped = new Set(
    foodsFor(task, group).flatMap((one) => (one.capped === null ? [] : [one.food.id])),
  );
  const days = cycleOf(task);
  const usedG = new Map<string, number>();
  for (const { drops } of plan.outcome.days) {
    for (const { foodId, massG } of drops) usedG.set(foodId, (usedG.get(foodId) ?? 0) + massG);
  }
  const expiring = new Set(
    task.shelf.flatMap(({ foodId, expiringG }) => (expiringG > 0 ? [foodId] : [])),
  );
  const liked = ({ foodId, suits }: { foodId: string; suits: number }) =>
    suits * (usedG.has(foodId) ? AT_HAND : 1) * (expiring.has(foodId) ? USED_UP : 1);
  return foodsByFit(task, group)
    .filter(({ well, foodId }) => well && !never.has(foodId) && !pins.foodIds.has(foodId))
    .sort((a, b) => liked(b) - liked(a))
    .flatMap(({ foodId }) => task.foods.find(({ id }) => id === foodId) ?? [])
    .filter((food) => {
      const left =
        (task.shelf.find(({ foodId }) => foodId === food.id)?.stockG ?? 0) -
        (usedG.get(food.id) ?? 0);
      return (
        !isLitter(food) &&
        !capped.has(food.id) &&
        left >= food.unit.massG * food.unit.step * days * 0.5 &&
        !(task.feedingStyle.staple === 'fresh' && food.kind === 'dry')
      );
    });
}

function lineOf(
  { task, newId }: Trying,
  group: WeekGroup,
  food: TaskFood,
  momentId: string,
  days: readonly number[],
  units: number | null,
): DietServing {
  const { zone } = group.species;
  const floats = food.kind === 'dry' && food.form !== 'sinks' && zone !== 'surface';
  return {
    id: newId(),
    foodId: food.id,
    momentId,
    zone,
    place: '',
    days,
    weight: 1,
    ownUnits: units,
    manner: { ...PLAIN, soaked: floats && task.feedingStyle.soak === 'soaked' },
  };
}

/** Less of what they get, or on fewer days; of what tank-mates get where it is theirs that they eat. */
function fedLess(trying: Trying, group: WeekGroup, days: readonly number[]): PlanAct[] {
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

/** On days on which a group fasts, what its tank-mates leave for it: less of it, or another day. */
function quietOn(trying: Trying, group: WeekGroup, days: readonly number[]): PlanAct[] {
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

const isNoTreat = ({ serving }: Status) => serving.days.length > TREAT_DAYS;

/** On some days another food, with more or less of what is amiss, in place of what has it least or most. */
function swapped(
  trying: Trying,
  group: WeekGroup,
  reason: ActReason,
  part: (food: TaskFood) => number,
  { value, low }: Aim,
): PlanAct[] {
  const more = low !== null && value < low;
  const sign = more ? 1 : -1;
  const [worst] = statusOf(trying, group)
    .filter(isNoTreat)
    .sort((a, b) => sign * (part(a.food) - part(b.food)));
  if (!worst) return [];
  return chosenFoods(trying, group)
    .filter((food) => sign * (part(food) - part(worst.food)) > 0.02)
    .sort((a, b) => sign * (part(b) - part(a)))
    .slice(0, FOODS_TRIED)
    .flatMap((food) => [
      ...instead(trying, group, reason, worst, food, alternate(worst.serving.days)),
      ...instead(trying, group, reason, worst, food, someOf(worst.serving.days)),
    ]);
}

const alternate = (days: readonly number[]) => days.filter((_, at) => at % 2 === 1);
/** Two days of a week, apart. */
const someOf = (days: readonly number[]) =>
  days.filter((_, at) => at % 4 === 2 || (days.length < 3 && at === 1));

/** The same energy of another food on some days. */
function instead(
  trying: Trying,
  group: WeekGroup,
  reason: ActReason,
  { serving, food: was, massG }: Status,
  food: TaskFood,
  days: readonly number[],
): PlanAct[] {
  if (days.length === 0 || food.id === was.id) return [];
  const { task } = trying;
  const perGram = energyPerGram(task, group);
  const [from, to] = [was, food].map((one) => perGram[task.foods.indexOf(one)] ?? 0);
  if (!from || !to) return [];
  const units =
    serving.ownUnits === null ? null : toServingUnits((massG * from) / to, unitOf(trying, food.id));
  const line = {
    ...lineOf(trying, group, food, serving.momentId, days, units),
    zone: serving.zone,
    place: serving.place,
    weight: serving.weight,
  };
  return [{ groupId: group.id, reason, does: 'food', servingId: serving.id, days, line }];
}

/** Less often what it should have little of. */
function rarer(trying: Trying, group: WeekGroup, aim: Aim): PlanAct[] {
  const { task } = trying;
  const capped = new Map(foodsFor(task, group).map((one) => [one.food.id, one.capped]));
  const isMeant = (foodId: string) =>
    aim.kind === 'rule' ? foodId === aim.about : capped.get(foodId) === aim.about;
  const max = Math.max(0, Math.floor(((aim.high ?? 0) * cycleOf(task)) / 7));
  return statusOf(trying, group)
    .filter(({ serving }) => isMeant(serving.foodId) && serving.days.length > 0)
    .flatMap((one): PlanAct[] => {
      const { serving } = one;
      const same = { groupId: group.id, reason: aim.kind as ActReason, servingId: serving.id };
      const few = serving.days.filter(
        (_, at) => at % Math.ceil(serving.days.length / Math.max(1, max)) === 0,
      );
      const gone = serving.days.filter((day) => !few.includes(day));
      const [other] = chosenFoods(trying, group).filter(({ id }) => !isMeant(id));
      return [
        ...(other && gone.length > 0
          ? instead(trying, group, aim.kind as ActReason, one, other, gone)
          : []),
        max === 0 || few.length === 0
          ? { ...same, does: 'drop' as const }
          : { ...same, does: 'days' as const, days: few },
      ];
    });
}

/** On two days of the week another food in place of the one that it gets most of. */
function varied(trying: Trying, group: WeekGroup, reason: 'variety' | 'dominant'): PlanAct[] {
  const [first] = statusOf(trying, group).filter(isNoTreat);
  if (!first) return [];
  const there = new Set((trying.plan.servings.get(group.id) ?? []).map(({ foodId }) => foodId));
  return chosenFoods(trying, group)
    .filter(({ id }) => !there.has(id))
    .slice(0, FOODS_TRIED)
    .flatMap((food) =>
      instead(
        trying,
        group,
        reason,
        first,
        food,
        reason === 'dominant' ? alternate(first.serving.days) : someOf(first.serving.days),
      ),
    );
}

/** At a moment with too much to do: what takes longest at another moment, or no longer. */
export function lighter(trying: Trying, momentId: string | null): PlanAct[] {
  const { task, pins } = trying;
  const moments = momentsOf(task).filter(({ id }) => !pins.momentIds.has(id));
  return task.groups
    .filter(({ id }) => !pins.groupIds.has(id))
    .flatMap((group) => {
      const own = statusOf(trying, group);
      return own
        .filter(({ serving }) => momentId === null || serving.momentId === momentId)
        .map((one) => ({ group, one, few: own.length <= 2 }));
    })
    .sort((a, b) => preparingMin(b.one.food) - preparingMin(a.one.food))
    .slice(0, 4)
    .flatMap(({ group, one: { serving }, few }): PlanAct[] => {
      const same = { groupId: group.id, reason: 'lessWork' as const, servingId: serving.id };
      const other = moments.find(
        ({ id, atMin }) =>
          id !== serving.momentId && (!feedsInTheDark(group) || isDark(task, atMin)),
      );
      // What young live on is no work to be spared, nor is one of two foods, nor a treat.
      const needed = few || mayNotFast(group.stage) || serving.days.length <= TREAT_DAYS;
      return [
        ...(other ? [{ ...same, does: 'moment' as const, momentId: other.id }] : []),
        ...(needed ? [] : [{ ...same, does: 'drop' as const }]),
      ];
    });
}
