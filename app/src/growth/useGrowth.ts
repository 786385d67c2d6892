import type { Group, LifeEventRow } from '@open-larder/contract';
import { computeGrowthStatus, type GrowthStatus, type Weighed } from '@open-larder/core/growth';
import type { AppData } from '../store';

/** What was measured of a group and still holds, the oldest first. */
export const measuredOf = (events: readonly LifeEventRow[]): Weighed[] =>
  events
    .filter(({ kind, withdrawn }) => kind === 'measured' && !withdrawn)
    .map(({ day, lengthCm, lengthsCm, massG }) => ({ day, lengthCm: lengthCm!, lengthsCm, massG }))
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));

/** How a group grows; null where its species or its tank is gone. */
export function growthOf(
  group: Group,
  events: readonly LifeEventRow[],
  data: AppData,
  today: string,
  targetCm: number | null,
): GrowthStatus | null {
  const species = data.species.get(group.speciesKey);
  const tank = data.tanks.find(({ id }) => id === group.tankId);
  if (!species || !tank) return null;
  return computeGrowthStatus({
    species,
    tempC: tank.tempC,
    count: group.size.total,
    measured: measuredOf(events),
    today,
    targetCm,
    checkpoints: group.checkpoints,
    bornOn: group.bornOn,
  });
}
