import { houseOf, type PlanEdit } from '@open-larder/contract';
import { weekTaskOf } from '@open-larder/contract/week';
import type { WeekTask } from '@open-larder/core/week';
import { withLive } from '../culture/live';
import { todayOf } from '../household/store';
import type { Context } from '../http/mount';
import { notFound } from '../http/problems';
import { readHouse } from '../round/house';
import { readLearned } from '../sighting/store';

/**
 * A tank's plan as it is being edited, with all that it is judged by.
 * @throws ProblemError 404 where there is no such tank
 */
export async function taskOf(
  tankId: string,
  { diets, ...plan }: PlanEdit,
  { scope, clock, catalogue }: Context,
): Promise<WeekTask> {
  const today = await todayOf(scope, clock);
  const household = await readHouse(scope, catalogue);
  const saved = household.tanksOn(today).find((one) => one.id === tankId);
  if (!saved) throw notFound('This tank');
  const tank = { ...saved, plan: { ...plan, validFrom: today } };
  const edited = new Map(diets.map(({ groupId, ...diet }) => [groupId, diet]));
  const groups = household.on(today).groups.map((group) => {
    const diet = edited.get(group.id);
    return diet ? { ...group, diet: { ...diet, validFrom: today } } : group;
  });
  const { species, moments, timeZone } = household;
  const foods = await withLive(scope, catalogue, clock, household.foods);
  const learned = await readLearned(scope, tank.id);
  const rows = {
    tank,
    groups: groups.filter((group) => group.tankId === tank.id),
    foods,
    species,
    moments,
    learned: learned.groups,
    house: houseOf({
      household: { timeZone },
      moments,
      tanks: household.tanksOn(today).map((one) => (one.id === tank.id ? tank : one)),
      groups,
      foods,
      species,
      day: today,
    }),
  };
  return weekTaskOf(rows, today);
}
