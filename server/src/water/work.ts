import { refillFor } from '@open-larder/contract/refill';
import { formatNumber, formatQuantity } from '@open-larder/core/units';
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
      const litres = (base: number) => formatQuantity(household.units, 'volume', base);
      const degrees = (base: number) => formatQuantity(household.units, 'temperature', base);
      const poured =
        buckets.full === 0
          ? litres(buckets.restL)
          : `${buckets.full} buckets of ${litres(buckets.ofL)}${
              buckets.restL >= 0.05 ? ` and ${litres(buckets.restL)}` : ''
            }`;
      const warmed = tempered ? `, at ${degrees(warmTo.from)} to ${degrees(warmTo.to)}` : '';
      const of = parts
        .map(({ name, litres: part }) => (parts.length > 1 ? `${litres(part)} ${name}` : name))
        .join(' and ');
      return [
        {
          name: tank.name,
          work: [
            {
              says: `change ${litres(next.litres)}, ${formatNumber(next.share * 100, 0)} %: ${poured} of ${of}${warmed}`,
            },
          ],
        },
      ];
    });
}
