import type { DietEdit, DietRow } from '@open-larder/contract';
import type { Scope } from '../db';
import { readGroup } from '../group/store';
import { notFound, invalid, stale } from '../http/problems';
import { z } from 'zod';

/**
 * Write the next version of a group's diet; earlier versions stay, and say what was planned then.
 * @throws ProblemError 409 with both versions where someone saved in between
 */
export async function saveDiet(
  scope: Scope,
  groupId: string,
  { version, servings, ...edit }: DietEdit,
  today: string,
): Promise<DietRow> {
  await scope.lock(`diet ${groupId}`);
  const group = await readGroup(scope, groupId, today);
  if (!group) throw notFound('This group');
  if ((group.diet?.version ?? 0) !== version) {
    throw stale('This diet', { version, servings, ...edit }, group.diet);
  }
  await assertOwned(scope, servings, 'servings');
  const next = { groupId, version: version + 1 };
  await scope.insert('diets', [{ ...next, ...edit, validFrom: today }]);
  await scope.insert(
    'diet_servings',
    servings.map((serving, position) => ({ ...serving, ...next, position })),
  );
  return { ...edit, servings, version: next.version, validFrom: today };
}

/** Foods and moments must be of this household and in use. */
export async function assertOwned(
  scope: Scope,
  servings: readonly Pick<DietEdit['servings'][number], 'foodId' | 'momentId'>[],
  path: string,
): Promise<void> {
  const missing = async (table: 'foods' | 'moments', ids: string[]) => {
    if (ids.length === 0) return -1;
    const rows = await scope.read(
      z.object({ id: z.string() }),
      `SELECT id FROM ${table} WHERE household_id = :household AND NOT archived AND id IN (:ids)`,
      { ids },
    );
    const known = new Set(rows.map((row) => row.id));
    return ids.findIndex((id) => !known.has(id));
  };
  const food = await missing(
    'foods',
    servings.map((serving) => serving.foodId),
  );
  if (food >= 0) {
    throw invalid(`${path}.${food}.foodId`, 'this food is no longer on the shelf; choose another');
  }
  const moment = await missing(
    'moments',
    servings.map((serving) => serving.momentId),
  );
  if (moment >= 0) {
    throw invalid(`${path}.${moment}.momentId`, 'this moment was ended; choose another');
  }
}
