import { mayNotFast } from '../../fish';
import { toServingUnits } from '../../food';
import { energyPerGram, foodsFor, type Aim } from '../aims';
import { momentsOf } from '../help/offers';
import { feedsInTheDark } from '../starting';
import { cycleOf, type WeekGroup } from '../task';
import { preparingMin } from '../work';
import type { ActReason, PlanAct } from './acts';
import { added, fedLess, fedMore, quietOn } from './energy';
import {
  chosenFoods,
  isDark,
  isNoTreat,
  lineOf,
  statusOf,
  TREAT_DAYS,
  unitOf,
  type Status,
  type TaskFood,
  type Trying,
} from './trying';

/** Foods that are tried in a place, the fittest first. */
const FOODS_TRIED = 3;

/** Of a day’s need that a further meal carries. Assumption. */
const MEAL = 0.6;

/** Acts for one miss of a plan, the likeliest first. */
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
      return added(trying, group, 'meals', MEAL);
  }
}

const dryShare = (part: 'protein' | 'fibre') => (food: TaskFood) =>
  food.composition[part] / (1 - food.composition.moisture);

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
