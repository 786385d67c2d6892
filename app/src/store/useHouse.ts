import type { Species } from '@open-larder/catalogue';
import type { FoodRow, Group, Household, MomentRow, Problem, Tank } from '@open-larder/contract';
import { houseOf } from '@open-larder/contract/house';
import type { House } from '@open-larder/core';
import { useMemo } from 'react';
import { api } from './api';

/** All of the household that screens compute with. Lists hold what was put away too. */
export interface HouseData {
  household: Household;
  moments: MomentRow[];
  tanks: Tank[];
  groups: Group[];
  foods: FoodRow[];
  species: ReadonlyMap<string, Species>;
  house: House;
}

export type Loaded<T> =
  { data: T; problem?: undefined } | { data?: undefined; problem?: Problem; retry: () => void };

/** The household, its lists and the core's view of them, from the cache or the server. */
export function useHouse(): Loaded<HouseData> {
  const household = api.useHouseholdQuery();
  const moments = api.useMomentsQuery();
  const tanks = api.useTanksQuery();
  const groups = api.useGroupsQuery();
  const foods = api.useFoodsQuery();
  const catalogue = api.useCatalogueQuery();
  const data = useMemo(() => {
    if (
      !household.data ||
      !moments.data ||
      !tanks.data ||
      !groups.data ||
      !foods.data ||
      !catalogue.data
    ) {
      return undefined;
    }
    const rows = {
      household: household.data,
      moments: moments.data,
      tanks: tanks.data,
      groups: groups.data,
      foods: foods.data,
      species: new Map(catalogue.data.species.map((row) => [row.key, row])),
    };
    return { ...rows, house: houseOf(rows) };
  }, [household.data, moments.data, tanks.data, groups.data, foods.data, catalogue.data]);
  if (data) return { data };
  const parts = [household, moments, tanks, groups, foods, catalogue];
  return {
    problem: parts.find((part) => part.error)?.error as Problem | undefined,
    retry: () => parts.filter((part) => part.error).forEach((part) => void part.refetch()),
  };
}
