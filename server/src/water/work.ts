import { refillFor } from '@open-larder/contract/refill';
import { formatWaterChange } from '@open-larder/say';
import type { Scope } from '../db';
import type { HouseholdSnapshot } from '../round/house';
import { readWaterStatuses } from './status';

interface TankWork {
  name: string;
  work: { says: string }[];
}

/** Changes of water that are due today, in buckets, as one line each; in walking order. */
export async function waterWork(
  scope: Scope,
  household: HouseholdSnapshot,
  today: string,
): Promise<TankWork[]> {
  const rows = new Map(
    (await readWaterStatuses(scope, household, today, null)).map((row) => [row.tankId, row]),
  );
  return [...household.tanksOn(today)]
    .sort((a, b) => a.walkOrder - b.walkOrder)
    .flatMap((tank): TankWork[] => {
      const row = rows.get(tank.id);
      const next = row?.status?.next;
      if (!next || !row.litres || next.held || next.day > today) return [];
      const { buckets, parts, tempered, warmTo } = refillFor(tank, next.litres, row.litres);
      const change = { ...next, buckets, parts, warmTo: tempered ? warmTo : null };
      return [{ name: tank.name, work: [{ says: formatWaterChange(change, household.units) }] }];
    });
}
