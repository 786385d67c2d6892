import type { BodyOf, Group, TrainingCreate } from '@open-larder/contract';
import type { Scope } from '../db';
import { saveDiet } from '../diet/store';
import { readGroup } from '../group/store';
import { conflict, idUsed, notFound, invalid } from '../http/problems';

/**
 * Begin a training; the same id sent again changes nothing.
 * @returns the group with it
 * @throws ProblemError 404 where there is no such group, 409 where one is on, 422 for a serving that
 *   is not planned, or a food that is not on the shelf
 */
export async function beginTraining(
  scope: Scope,
  body: TrainingCreate,
  today: string,
): Promise<Group> {
  await scope.lock(`training ${body.groupId}`);
  const group = await readGroup(scope, body.groupId, today);
  if (!group) throw notFound('This group');
  if (group.training?.id === body.id) return group;
  if (group.training) {
    throw conflict(`${group.name} are being trained already. End that training first.`);
  }
  const serving = group.diet?.servings.find(({ id }) => id === body.servingId);
  if (!serving) {
    throw invalid('servingId', 'this serving is no longer planned; choose a food that they take');
  }
  if (serving.foodId === body.foodId) {
    throw invalid('foodId', 'this is the food that they take already; choose the new one');
  }
  const known = await scope.rows(
    'SELECT id FROM foods WHERE household_id = :household AND id = :foodId AND NOT archived',
    { foodId: body.foodId },
  );
  if (known.length === 0) {
    throw invalid('foodId', 'this food is no longer on the shelf; choose another');
  }
  await scope.insertOnce('trainings', [{ ...body }]);
  const begun = await readGroup(scope, body.groupId, today);
  if (begun?.training?.id !== body.id) {
    throw idUsed();
  }
  return begun;
}

/**
 * End a training. Where its food is kept, it stands in the diet from today in place of the known one.
 * A second time changes nothing.
 * @returns the group without it
 */
export async function endTraining(
  scope: Scope,
  id: string,
  end: BodyOf<'endTraining'>,
  today: string,
): Promise<Group> {
  const [row] = await scope.rows<Omit<TrainingCreate, 'day' | 'at'> & { ended: boolean }>(
    `SELECT t.group_id, t.serving_id, t.food_id, t.from_step,
            EXISTS (SELECT 1 FROM trainings e WHERE e.ends = t.id) AS ended
       FROM trainings t WHERE t.household_id = :household AND t.id = :id AND t.ends IS NULL`,
    { id },
  );
  if (!row) throw notFound('This training');
  await scope.lock(`training ${row.groupId}`);
  const { ended, ...begun } = row;
  const group = await readGroup(scope, row.groupId, today);
  if (!group) throw notFound('This group');
  if (ended) return group;
  await scope.insert('trainings', [{ ...begun, ...end, day: today, ends: id }]);
  const { diet } = group;
  if (!end.kept || !diet) return { ...group, training: null };
  const servings = diet.servings.map((serving) =>
    serving.id === row.servingId ? { ...serving, foodId: row.foodId, ownUnits: null } : serving,
  );
  // What was said of it when they still refused it no longer holds.
  const rules = diet.rules.map((rule) =>
    rule.foodId === row.foodId ? { ...rule, taken: null } : rule,
  );
  const { fastWeekdays, goalFactor, version } = diet;
  const edit = { fastWeekdays, goalFactor, version, servings, rules };
  return { ...group, training: null, diet: await saveDiet(scope, row.groupId, edit, today) };
}
