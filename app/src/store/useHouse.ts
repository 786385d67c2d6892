import { speciesByKey, type Species } from '@open-larder/catalogue';
import type {
  CatalogueView,
  FoodRow,
  Group,
  HouseholdSettings,
  MomentRow,
  OwnSpecies,
  Problem,
  Tank,
} from '@open-larder/contract';
import { houseOf } from '@open-larder/contract/house';
import type { FeedingModel } from '@open-larder/core/round';
import { createSelector } from '@reduxjs/toolkit';
import { api } from './api';
import { reading } from './reading';
import { useHand } from './useHand';
import { useToday } from './useNow';

/** All of the household that screens compute with. Lists hold what was put away too. */
export interface AppData {
  household: HouseholdSettings;
  moments: MomentRow[];
  tanks: Tank[];
  groups: Group[];
  /** Groups that live in each tank now, by its id. */
  groupsIn: ReadonlyMap<string, Group[]>;
  foods: FoodRow[];
  /** Of the catalogue and the keeper's own, by key. */
  species: ReadonlyMap<string, Species>;
  ownSpecies: OwnSpecies[];
  house: FeedingModel;
}

export type Loaded<T> =
  { data: T; problem?: undefined } | { data?: undefined; problem?: Problem; retry: () => void };

/** The household, its lists and the core's view of them, from the cache or the server. */
export function useHouse(): Loaded<AppData> {
  const household = api.useHouseholdQuery(undefined, reading<HouseholdSettings>());
  const moments = api.useMomentsQuery(undefined, reading<MomentRow[]>());
  const tanks = api.useTanksQuery(undefined, reading<Tank[]>());
  const groups = api.useGroupsQuery(undefined, reading<Group[]>());
  const foods = api.useFoodsQuery(undefined, reading<FoodRow[]>());
  const catalogue = api.useCatalogueQuery(undefined, reading<CatalogueView>());
  const own = api.useSpeciesQuery(undefined, reading<OwnSpecies[]>());
  const hand = useHand();
  const day = useToday();
  const rows = {
    household: household.data,
    moments: moments.data,
    tanks: tanks.data,
    groups: groups.data,
    foods: foods.data,
    catalogue: catalogue.data,
    own: own.data,
  };
  const data = isWhole(rows) ? derive({ ...rows, hand, day }) : undefined;
  if (data) return { data };
  const parts = [household, moments, tanks, groups, foods, catalogue, own];
  return {
    problem: parts.find((part) => part.error)?.error as Problem | undefined,
    retry: () => parts.filter((part) => part.error).forEach((part) => void part.refetch()),
  };
}

interface Rows {
  household: HouseholdSettings;
  moments: MomentRow[];
  tanks: Tank[];
  groups: Group[];
  foods: FoodRow[];
  catalogue: CatalogueView;
  own: OwnSpecies[];
}

interface HandedRows extends Rows {
  hand: string | null;
  day: string;
}

const isWhole = (rows: { [K in keyof Rows]: Rows[K] | undefined }): rows is Rows =>
  Object.values(rows).every((part) => part !== undefined);

const everySpecies = createSelector(
  [(rows: Rows) => rows.catalogue, (rows: Rows) => rows.own],
  (catalogue, own): ReadonlyMap<string, Species> => speciesByKey(catalogue.species, own),
);

/** Worked out once between two changes, however many screens ask. */
const derive = createSelector(
  [
    (rows: Rows) => rows.household,
    (rows: Rows) => rows.moments,
    (rows: Rows) => rows.tanks,
    (rows: Rows) => rows.groups,
    (rows: Rows) => rows.foods,
    (rows: Rows) => rows.own,
    everySpecies,
    (rows: HandedRows) => rows.hand,
    (rows: HandedRows) => rows.day,
  ],
  (household, moments, tanks, groups, foods, ownSpecies, species, hand, day): AppData => {
    const rows = { household, moments, tanks, groups, foods, species };
    const house = houseOf({ ...rows, hand, day });
    return { ...rows, ownSpecies, groupsIn: byTank(groups), house };
  },
);

function byTank(groups: readonly Group[]): ReadonlyMap<string, Group[]> {
  const tanks = new Map<string, Group[]>();
  for (const group of groups) {
    if (group.archived) continue;
    const inside = tanks.get(group.tankId);
    if (inside) inside.push(group);
    else tanks.set(group.tankId, [group]);
  }
  return tanks;
}
