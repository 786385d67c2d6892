import { refuseFryFast } from '@open-larder/say/refusal';
import type { PlanEdit, PlanRow, SavedPlan, StartingPlanRow } from '@open-larder/contract';
import { refusedFasts, type Faster } from '@open-larder/core';
import type { Scope } from '../db';
import { saveDiet } from '../diet/store';
import { invalid, stale } from '../http/problems';

/** A version of a tank's plan. */
export type PlanVersion = PlanRow & { tankId: string };

const COLUMNS =
  'version, valid_from::text, cycle_days, cycle_from::text, feeding_style, fasts, water, pins, periods';

interface Stored extends Omit<PlanVersion, 'cycle'> {
  cycleDays: number;
  cycleFrom: string;
}

const planOf = ({ cycleDays, cycleFrom, ...row }: Stored): PlanVersion => ({
  ...row,
  cycle: { days: cycleDays, from: cycleFrom },
});

/** Every version of the plans of some tanks, the oldest first; of all tanks without ids. */
export async function planVersions(
  scope: Scope,
  which: readonly string[] | null,
): Promise<PlanVersion[]> {
  if (which?.length === 0) return [];
  const rows = await scope.rows<Stored>(
    `SELECT tank_id, ${COLUMNS} FROM tank_plans
      WHERE household_id = :household ${which === null ? '' : 'AND tank_id IN (:which)'}
      ORDER BY version`,
    { which },
  );
  return rows.map(planOf);
}

/** The plan of each tank as it stood on a day: the newest that was valid by then. */
export function plansOn(
  versions: readonly PlanVersion[],
  day: string | null,
): ReadonlyMap<string, PlanRow> {
  const plans = new Map<string, PlanRow>();
  for (const { tankId, ...plan } of versions) {
    if (day === null || plan.validFrom <= day) plans.set(tankId, plan);
  }
  return plans;
}

/**
 * Write the next version of a tank's plan and of the diets in it: all or nothing.
 * @param groups those that live in the tank today, as the core sees them
 * @throws ProblemError 409 with both versions where someone saved in between, 422 for a group that
 *   lives elsewhere, or a fast of fry
 */
export async function savePlan(
  scope: Scope,
  tankId: string,
  edit: PlanEdit,
  today: string,
  groups: readonly Parameters<typeof refusedFasts>[1][number][],
): Promise<SavedPlan> {
  await scope.lock(`plan ${tankId}`);
  const { diets, version, ...plan } = edit;
  const current = plansOn(await planVersions(scope, [tankId]), null).get(tankId) ?? null;
  if ((current?.version ?? 0) !== version) throw stale('This plan', { version, ...plan }, current);
  refuseElsewhere(edit, groups);
  const [fry] = refusedFasts(plan.fasts, groups);
  if (fry) {
    const at = plan.fasts.findIndex((fast) => fast.id === fry.fastId);
    throw invalid(`fasts.${at}.when`, refuseFryFast(fry));
  }
  const next = {
    ...plan,
    // Not sent, they are left as they are: who changes the water says nothing of the seasons.
    pins: plan.pins === undefined ? (current?.pins ?? null) : plan.pins,
    periods: plan.periods === undefined ? (current?.periods ?? null) : plan.periods,
    version: version + 1,
    validFrom: today,
  };
  const { cycle, ...row } = next;
  await scope.insert('tank_plans', [
    { ...row, tankId, cycleDays: cycle.days, cycleFrom: cycle.from },
  ]);
  const saved = [];
  for (const { groupId, ...diet } of diets) {
    saved.push({ groupId, diet: await saveDiet(scope, groupId, diet, today) });
  }
  return { plan: next, diets: saved };
}

function refuseElsewhere(edit: PlanEdit, groups: readonly Pick<Faster, 'id'>[]) {
  const here = new Set(groups.map((group) => group.id));
  const diet = edit.diets.findIndex((one) => !here.has(one.groupId));
  if (diet >= 0) {
    throw invalid(`diets.${diet}.groupId`, 'this group no longer lives in this tank; reload');
  }
  const fast = edit.fasts.findIndex((one) => one.groupId !== null && !here.has(one.groupId));
  if (fast >= 0) {
    throw invalid(`fasts.${fast}.groupId`, 'this group no longer lives in this tank; reload');
  }
}

const STARTING = 'id, name, lines, version, archived';

/** A keeper's own starting plans after a cursor, in order of id. */
export function startingPlans(
  scope: Scope,
  after: string | null,
  limit: number,
): Promise<StartingPlanRow[]> {
  return scope.rows(
    `SELECT ${STARTING} FROM starting_plans
      WHERE household_id = :household ${after === null ? '' : 'AND id > :after'}
      ORDER BY id LIMIT :limit`,
    { after, limit },
  );
}

export async function readStartingPlan(scope: Scope, id: string): Promise<StartingPlanRow | null> {
  const [row] = await scope.rows<StartingPlanRow>(
    `SELECT ${STARTING} FROM starting_plans WHERE household_id = :household AND id = :id`,
    { id },
  );
  return row ?? null;
}
