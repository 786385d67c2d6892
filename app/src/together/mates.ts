import type { Group, Tank } from '@open-larder/contract';
import { waterLitres } from '@open-larder/core/tank';
import { together, type Mate, type Together } from '@open-larder/core/together';
import type { AppData } from '../store';

/** What the groups of a tank do to each other, the gravest first. */
export function findingsIn(tank: Tank, groups: readonly Group[], data: AppData): Together[] {
  const mates = groups.flatMap((group): Mate[] => {
    const species = data.species.get(group.speciesKey);
    const inHouse = data.house.groups.find(({ id }) => id === group.id);
    if (!species || !inHouse) return [];
    const { total, ...counts } = group.size;
    return [
      {
        id: group.id,
        name: group.name,
        species,
        stage: group.stage,
        counts,
        count: total,
        lengthCm: inHouse.lengthCm,
        lengthMeasured: inHouse.lengthMeasured,
      },
    ];
  });
  return together(mates, {
    tempC: tank.tempC,
    ph: tank.ph,
    gh: tank.gh,
    litres: waterLitres(tank)?.value ?? null,
  });
}
