import { mayNotFast } from '../../fish';
import { addDays, wallMinutes, weekdayOf, type Moment } from '../../round';
import { newMemory, weekOutcome, type WeekOutcome } from '../outcome';
import { tankOf, type WeekTask } from '../task';
import type { Solver } from './mip';
import { momentsOf } from './offers';
import { programmeOf } from './programme';

/** A change to the house, not to the plan, that would let a plan do better. */
export type Help =
  /** So many grams more of a food than the shelf has for this tank. */
  | { kind: 'stock'; foodId: string; massG: number; costMinor: number | null; gain: number }
  /** A moment that the house does not have. */
  | { kind: 'moment'; moment: Pick<Moment, 'anchor' | 'minutes'>; gain: number }
  /** Many meals in place of two. */
  | { kind: 'meals'; gain: number }
  /** So many minutes more at a moment. */
  | { kind: 'minutes'; momentId: string; minutes: number; gain: number }
  /** A group fasts together with its tank-mates, who would find what it is given that day. */
  | { kind: 'fast'; groupId: string; weekdays: number[]; gain: number };

/** A gain that a keeper would notice: a quarter of a day's need of one group, once a week. */
const WORTH = 0.4;
const SECONDS = 5;
/** A moment this near to another adds nothing, minutes. */
const APART_MIN = 90;
const MORE_MOMENTS: readonly Pick<Moment, 'anchor' | 'minutes'>[] = [
  { anchor: 'lightsOff', minutes: 30 },
  { anchor: 'clock', minutes: 13 * 60 },
  { anchor: 'lightsOn', minutes: 30 },
  { anchor: 'lightsOff', minutes: -60 },
];
const NEW_MOMENT = 'a moment more';

interface Relaxed {
  cost: number;
  /** Grams of each food over the cycle, by its id. */
  grams: Map<string, number>;
}

/**
 * What limits a tank's plans, and what would help most: each limit is lifted in turn, and what it
 * costs is what the best plan without whole units gains. The largest gain comes first.
 * @param onTried called with how many were tried of how many; answering false stops
 */
export function helpFor(
  task: WeekTask,
  solver: Solver,
  onTried: (done: number, of: number) => boolean = () => true,
): Help[] {
  const outcome = weekOutcome(task, newMemory());
  const solve = (variant: WeekTask): Relaxed => relaxedOf(variant, solver, outcome);
  const plenty = {
    ...task,
    shelf: task.shelf.map((food) => ({ ...food, stockG: PLENTY_G, liveG: undefined })),
  };
  const times = momentsOf(task).map(({ atMin }) => atMin);
  const more = MORE_MOMENTS.filter((moment) => {
    const atMin = wallMinutes({ ...moment, id: '', name: '' }, tankOf(task).light);
    return times.every((time) => Math.abs(time - atMin) >= APART_MIN);
  });
  const base = solve(task);
  const filled = solve(plenty);
  const short = task.shelf.filter(
    ({ foodId, stockG }) => (filled.grams.get(foodId) ?? 0) > stockG * 1.01,
  );
  const spare = Object.keys(task.spareMin);
  const tries: (() => Help | null)[] = [
    ...short.map(({ foodId, stockG, pricePerG }) => () => {
      const shelf = task.shelf.map((food) =>
        food.foodId === foodId ? { ...food, stockG: PLENTY_G, liveG: undefined } : food,
      );
      const found = solve({ ...task, shelf });
      const massG = (found.grams.get(foodId) ?? 0) - stockG;
      const costMinor = pricePerG === null ? null : massG * pricePerG;
      return massG <= 0
        ? null
        : { kind: 'stock' as const, foodId, massG, costMinor, gain: base.cost - found.cost };
    }),
    ...more.map((moment) => () => {
      const moments = [...task.house.moments, { ...moment, id: NEW_MOMENT, name: '' }];
      const found = solve({ ...task, house: { ...task.house, moments } });
      return { kind: 'moment' as const, moment, gain: base.cost - found.cost };
    }),
    ...(task.feedingStyle.meals === 'two'
      ? [
          () => {
            const found = solve({ ...task, feedingStyle: { ...task.feedingStyle, meals: 'many' } });
            return { kind: 'meals' as const, gain: base.cost - found.cost };
          },
        ]
      : []),
    ...spare.map((momentId) => () => {
      const minutes = MORE_MIN;
      const spareMin = { ...task.spareMin, [momentId]: task.spareMin[momentId]! + minutes };
      const found = solve({ ...task, spareMin });
      return { kind: 'minutes' as const, momentId, minutes, gain: base.cost - found.cost };
    }),
    ...lonelyMeals(task, outcome).map(({ groupId, weekdays }) => () => {
      const fast = { id: 'a fast more', groupId, when: { kind: 'weekly' as const, weekdays } };
      const [tank] = task.house.tanks;
      const plan = { ...tank!.plan, fasts: [...tank!.plan.fasts, fast] };
      const found = solve({ ...task, house: { ...task.house, tanks: [{ ...tank!, plan }] } });
      return { kind: 'fast' as const, groupId, weekdays, gain: base.cost - found.cost };
    }),
  ];
  const helps: Help[] = [];
  for (const [at, attempt] of tries.entries()) {
    if (!onTried(at, tries.length)) break;
    const help = attempt();
    if (help && help.gain >= WORTH) helps.push(help);
  }
  return helps.sort((a, b) => b.gain - a.gain);
}

/** Less than this share of a day's need is hungry. */
const HUNGRY = 0.5;

/** Groups that are hungry on weekdays on which tank-mates fast, and could fast with them. */
function lonelyMeals(
  task: WeekTask,
  { days }: WeekOutcome,
): { groupId: string; weekdays: number[] }[] {
  return task.groups.flatMap((group, h) => {
    if (mayNotFast(group.stage)) return [];
    const weekdays = days.flatMap(({ groups }, d) => {
      const { rest, needKj, gotKj } = groups[h]!;
      const alone = groups.some((mate) => mate.rest === 'fast');
      const hungry = rest === null && needKj > 0 && gotKj < HUNGRY * needKj;
      return alone && hungry ? [weekdayOf(addDays(task.first, d))] : [];
    });
    // A group is never asked to fast so often that it would starve.
    const fasted = days.filter((day) => day.groups[h]!.rest === 'fast').length;
    const once = [...new Set(weekdays)];
    return once.length > 0 && fasted === 0 && once.length <= MAX_FASTS
      ? [{ groupId: group.id, weekdays: once }]
      : [];
  });
}

/** Fasting days of a week. Assumption. */
const MAX_FASTS = 2;
const PLENTY_G = 1e5;
const MORE_MIN = 5;

/** The best that a task allows where units need not be whole. */
function relaxedOf(task: WeekTask, solver: Solver, outcome: WeekOutcome): Relaxed {
  const model = programmeOf(task, outcome);
  const { kinds, offers } = model;
  const found = solver.solve(model.mip, {
    relaxed: true,
    gap: 0,
    seconds: SECONDS,
    nodes: 1,
    improvements: 1,
  });
  const grams = new Map<string, number>();
  if (found.status === 'none') return { cost: Infinity, grams };
  offers.forEach(({ food, stepG }, o) => {
    const steps = kinds.reduce((sum, kind, k) => {
      const column = model.steps[k]![o]!;
      return column < 0 ? sum : sum + kind.days.length * found.values[column]!;
    }, 0);
    const { id } = task.foods[food]!;
    grams.set(id, (grams.get(id) ?? 0) + steps * stepG);
  });
  return { cost: found.cost, grams };
}
