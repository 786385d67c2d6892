import type { TrialRow } from '@open-larder/contract';
import { computeTrialStatus, type TrialSide, type TrialStatus } from '@open-larder/core/trial';
import type { Scope } from '../db';
import { measuredIn } from '../group/measured';
import { groupsOn } from '../group/history';
import type { HouseholdSnapshot } from '../round/house';

const COLUMNS = `id, name, kind, group_id, other_group_id, from_day::text AS "from", changed_on::text,
  ended_on::text, weeks, difference, tubs_each, note, version, archived`;

type Stored = Omit<TrialRow, 'groupName' | 'otherGroupName' | 'status'>;

/** Trials after a cursor, in order of id. */
export const trials = (scope: Scope, after: string | null, limit: number): Promise<Stored[]> =>
  scope.rows(
    `SELECT ${COLUMNS} FROM trials
      WHERE household_id = :household ${after === null ? '' : 'AND id > :after'}
      ORDER BY id LIMIT :limit`,
    { after, limit },
  );

export async function readTrial(scope: Scope, id: string): Promise<Stored | null> {
  const [row] = await scope.rows<Stored>(
    `SELECT ${COLUMNS} FROM trials WHERE household_id = :household AND id = :id`,
    { id },
  );
  return row ?? null;
}

/** A trial with the names of its groups, and how it stands today or stood when it was ended. */
export function trialRow(household: HouseholdSnapshot, trial: Stored, today: string): TrialRow {
  const lives = new Map(household.history.lives.map((life) => [life.row.id, life]));
  const nameOf = (id: string) => lives.get(id)?.row.name ?? '';
  return {
    ...trial,
    groupName: nameOf(trial.groupId),
    otherGroupName: trial.otherGroupId === null ? null : nameOf(trial.otherGroupId),
    status: computeStatus(household, trial, trial.endedOn ?? today),
  };
}

function computeStatus(
  household: HouseholdSnapshot,
  trial: Stored,
  upTo: string,
): TrialStatus | null {
  const groups = new Map(groupsOn(household.history, upTo).map((group) => [group.id, group]));
  const lives = new Map(household.history.lives.map((life) => [life.row.id, life]));
  const tanks = new Map(household.tanks.map((tank) => [tank.id, tank]));
  const ids = [trial.groupId, ...(trial.otherGroupId === null ? [] : [trial.otherGroupId])];
  const sides = ids.flatMap((id): TrialSide[] => {
    const group = groups.get(id);
    const species = group && household.species.get(group.speciesKey);
    const tank = group && tanks.get(group.tankId);
    const life = lives.get(id);
    if (!group || !species || !tank || !life) return [];
    const measured = measuredIn(life.events, upTo);
    return [{ species, tempC: tank.tempC, count: group.size.total, measured }];
  });
  if (sides.length !== ids.length) return null;
  const { from, changedOn, weeks, difference, tubsEach } = trial;
  return computeTrialStatus({ from, changedOn, upTo, weeks, difference, sides, tubsEach });
}
