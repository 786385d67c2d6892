import type { DietServing } from '../round';
import { aimsOf, energyOff, type Aim, type AimKind } from './aims';
import { weekOutcome, type GroupOutcome, type Memory, type WeekOutcome } from './outcome';
import type { WeekTask } from './task';

/** A plan with what it comes to. */
export interface Judged {
  /** Servings by group, by its id. */
  servings: ReadonlyMap<string, readonly DietServing[]>;
  outcome: WeekOutcome;
  aims: Aim[];
  /** Lower is better: all that is missed, by its weight. */
  score: number;
}

/** What a miss weighs when whole plans are compared: as in the programme. Assumptions. */
const SCORE: Record<AimKind, number> = {
  energy: 12,
  fast: 6,
  plant: 3,
  protein: 5,
  fibre: 1.5,
  capped: 1,
  rule: 3,
  variety: 1.5,
  dominant: 2,
  meals: 5,
  work: 1,
};
/** How grave a miss is beside others: 0 where it is met. */
export const gravityOf = ({ kind, missedBy }: Aim): number => SCORE[kind] * Math.min(1, missedBy);

const WASTE_SCORE = 1.5;
/** So far a cycle's mean may lie from the need, as a share of it. Assumption. */
const MEAN_ROOM = 0.05;

/** Judge the plan of a task. */
export function judged(task: WeekTask, memory: Memory): Judged {
  const outcome = weekOutcome(task, memory);
  const aims = aimsOf(task, outcome);
  const servedG = outcome.days.reduce((sum, day) => sum + day.servedG, 0);
  const wasteG = outcome.days.reduce((sum, day) => sum + day.wasteG, 0);
  // A day of a group that is short weighs by how short it is: the worst day alone would hide others.
  // So does the cycle: days that are all a little short are not near the need.
  const energy = task.groups.reduce((sum, group, f) => {
    const fed = outcome.days.filter((day) => day.groups[f]!.needKj > 0);
    const off = fed.reduce((all, day) => {
      return all + Math.max(0, energyOff(day.groups[f]!));
    }, 0);
    if (group.count === 0 || fed.length === 0) return sum;
    const mean = (of: (got: GroupOutcome) => number) =>
      fed.reduce((all, day) => all + of(day.groups[f]!) / day.groups[f]!.needKj, 0) / fed.length;
    const got = mean(({ gotKj }) => gotKj);
    const given = mean(({ gotKj, grazedKj }) => gotKj - grazedKj);
    // What they graze beyond their need is not given, and cannot be given less.
    const away = got > 1 ? Math.min(got - 1, given) : 1 - got;
    return sum + off / fed.length + Math.max(0, away - MEAN_ROOM);
  }, 0);
  const others = aims
    .filter(({ kind }) => kind !== 'energy')
    .reduce((sum, aim) => sum + gravityOf(aim), 0);
  return {
    servings: new Map(task.house.groups.map((group) => [group.id, group.diet?.servings ?? []])),
    outcome,
    aims,
    score: SCORE.energy * energy + others + (servedG > 0 ? (WASTE_SCORE * wasteG) / servedG : 0),
  };
}

/** The task with other servings in its plan. */
export function withServings(
  task: WeekTask,
  servings: ReadonlyMap<string, readonly DietServing[]>,
): WeekTask {
  return {
    ...task,
    house: {
      ...task.house,
      groups: task.house.groups.map((group) => {
        const own = servings.get(group.id);
        if (own === undefined || (group.diet === null && own.length === 0)) return group;
        const diet = group.diet ?? { fastWeekdays: [], goalFactor: null, servings: [], rules: [] };
        return { ...group, diet: { ...diet, servings: own } };
      }),
    },
  };
}
