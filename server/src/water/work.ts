import { refillFor } from '@open-larder/contract/refill';
import { formatNumber } from '@open-larder/core/units';
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
      const poured =
        buckets.full === 0
          ? `${formatNumber(buckets.restL, 1)} L`
          : `${buckets.full} buckets of ${formatNumber(buckets.ofL, 1)} L${
              buckets.restL >= 0.05 ? ` and ${formatNumber(buckets.restL, 1)} L` : ''
            }`;
      const warmed = tempered
        ? `, at ${formatNumber(warmTo.from, 0)} to ${formatNumber(warmTo.to, 0)} °C`
        : '';
      const of = parts
        .map(({ name, litres }) =>
          parts.length > 1 ? `${formatNumber(litres, 1)} L ${name}` : name,
        )
        .join(' and ');
      return [
        {
          name: tank.name,
          work: [
            {
              says: `change ${formatNumber(next.litres, 0)} L, ${formatNumber(next.share * 100, 0)} %: ${poured} of ${of}${warmed}`,
            },
          ],
        },
      ];
    });
}
