import { addDays, compileRound } from '../round';
import { dropsOf, type Drop } from '../zones';
import { energyPerGram } from './aims';
import { cycleOf, tankOf, type WeekTask } from './task';
import type { GroupOutcome, WeekOutcome } from './outcome';

/** What each group gets by day, as a board shows it. */
export type GotByDay = { groups: Pick<GroupOutcome, 'rest' | 'needKj' | 'gotKj' | 'kj'>[] }[];

/**
 * What an edited plan comes to, at once and nearly: the shares of a plan that was simulated before,
 * for what goes into the water alike, else for the same food, else all of it to its own group.
 * @param known what was simulated of a plan before the edit
 */
export function estimated(task: WeekTask, known: WeekOutcome): GotByDay {
  const foodAt = new Map(task.foods.map((food, at) => [food.id, at]));
  const groupAt = new Map(task.groups.map((group, at) => [group.id, at]));
  const alike = new Map<string, number[]>();
  const ofFood = new Map<string, number[]>();
  const grazed = task.groups.map(() => 0);
  for (const { drops, reaches, groups } of known.days) {
    drops.forEach((drop, at) => {
      alike.set(keyOf(drop), reaches[at]!);
      ofFood.set(drop.foodId, reaches[at]!);
    });
    groups.forEach(({ grazedKj }, h) => (grazed[h]! += grazedKj / known.days.length));
  }
  const perGram = task.groups.map((group) => energyPerGram(task, group));
  const tank = tankOf(task);
  return Array.from({ length: cycleOf(task) }, (_, d) => {
    const round = compileRound(task.house, addDays(task.first, d));
    const compiled = new Map(round.groups.map((one) => [one.group.id, one]));
    const kj = task.groups.map((_group, h) => [...task.foods.map(() => 0), grazed[h]!]);
    for (const drop of dropsOf(round, tank.id)) {
      const shares = alike.get(keyOf(drop)) ?? ofFood.get(drop.foodId);
      const at = foodAt.get(drop.foodId);
      if (at === undefined) continue;
      task.groups.forEach((_group, h) => {
        const own = groupAt.get(drop.groupId) === h ? 1 : 0;
        kj[h]![at]! += drop.massG * (shares?.[h] ?? own) * perGram[h]![at]!;
      });
    }
    return {
      groups: task.groups.map((group, h) => {
        const one = compiled.get(group.id);
        const rest = one ? one.rest : 'empty';
        return {
          rest,
          needKj: one && rest === null ? one.needKj.value : 0,
          gotKj: kj[h]!.reduce((sum, part) => sum + part, 0),
          kj: kj[h]!,
        };
      }),
    };
  });
}

const keyOf = ({ foodId, atMin, zone, place, manner }: Drop) =>
  JSON.stringify([foodId, atMin, zone, place, manner]);
