import type { Species } from '@open-larder/catalogue';
import type { BreedingStrategy } from '@open-larder/catalogue/breedingStrategies';
import type { Catalogue } from '@open-larder/catalogue/load';
import type { BroodEventRow } from '@open-larder/contract';
import type { HouseGroup } from '@open-larder/core';
import { parentsOn, portionOfGroup } from '@open-larder/core/brood';
import { broods, listEvents, type StoredBrood } from '../brood/store';
import type { Scope } from '../db';

/** A brood whose parents are fed here, with what happened to it. */
export interface ParentBrood {
  row: StoredBrood & { groupId: string };
  strategy: BreedingStrategy;
  events: BroodEventRow[];
}

/**
 * The broods whose parents are a group of the household.
 * @param known its species, which whoever asks is reading already
 */
export async function parentBroods(
  scope: Scope,
  catalogue: Catalogue,
  known: Promise<ReadonlyMap<string, Species>>,
): Promise<ParentBrood[]> {
  const rows = (await broods(scope, null, null)).filter(
    (row): row is ParentBrood['row'] & { seq: number } => row.groupId !== null,
  );
  if (rows.length === 0) return [];
  const [events, species] = await Promise.all([
    listEvents(
      scope,
      rows.map(({ id }) => id),
    ),
    known,
  ]);
  return rows.flatMap((row): ParentBrood[] => {
    const strategy = strategyOf(catalogue, row, species);
    return strategy
      ? [{ row, strategy, events: events.filter(({ broodId }) => broodId === row.id) }]
      : [];
  });
}

const strategyOf = (
  { strategies }: Catalogue,
  { breeding, speciesKey }: StoredBrood,
  species: ReadonlyMap<string, Species>,
) => strategies.find((one) => one.breeding === (breeding ?? species.get(speciesKey)?.breeding));

/** A group with what its broods change in its meals on a day; of several the one that feeds it least. */
export const withParents =
  (kept: readonly ParentBrood[], today: string) =>
  (group: HouseGroup): HouseGroup => {
    const own = kept.filter(({ row }) => row.groupId === group.id);
    const days = own.flatMap(({ row, strategy, events }) => {
      const day = parentsOn({ strategy, events, raising: row.raising, today });
      if (!day || group.count === 0) return [];
      const animals = Math.min(day.animals, group.count);
      const share = portionOfGroup(day, group.count);
      return [{ is: day.is, broodName: row.name, animals, share }];
    });
    const least = days.sort((a, b) => a.share - b.share)[0];
    return least ? { ...group, parents: least } : group;
  };
