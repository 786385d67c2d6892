import {
  houseOf,
  type FoodRow,
  type Group,
  type MomentRow,
  type Tank,
} from '@open-larder/contract';
import type { FeedingModel } from '@open-larder/core';
import type { UnitChoice } from '@open-larder/core/units';
import type { Catalogue } from '@open-larder/catalogue/load';
import type { Scope } from '../db';
import { allFoods } from '../food/store';
import { groupsOn, readHistory, type History } from '../group/history';
import { readHousehold } from '../household/store';
import { moments } from '../moment/store';
import type { Species } from '@open-larder/catalogue';
import { speciesOf } from '../species/store';
import { planVersions, plansOn } from '../plan/store';
import { tanks } from '../tank/store';
import { parentBroods, withParents, type ParentBrood } from './parents';

/** The whole household, read once and seen on any day. */
export interface HouseholdSnapshot {
  timeZone: string;
  deliveryDays: number;
  /** In which units its keeper reads. */
  units: UnitChoice;
  history: History;
  tanks: Tank[];
  /** The tanks with their plans as they stood on a day. */
  tanksOn(day: string): Tank[];
  moments: MomentRow[];
  foods: FoodRow[];
  /** Broods whose parents are fed here. */
  broods: ParentBrood[];
  species: ReadonlyMap<string, Species>;
  /** Groups as rows, and the same as the core's house; portions by whose hand, null by all. */
  on(day: string, hand?: string | null): { groups: Group[]; house: FeedingModel };
}

export async function readHouse(scope: Scope, catalogue: Catalogue): Promise<HouseholdSnapshot> {
  const known = speciesOf(scope, catalogue);
  const [household, tankRows, momentRows, foods, history, species, plans, kept] = await Promise.all(
    [
      readHousehold(scope),
      tanks(scope, null, null),
      moments(scope, null, null),
      allFoods(scope),
      readHistory(scope, null),
      known,
      planVersions(scope, null),
      parentBroods(scope, catalogue, known),
    ],
  );
  const tanksOn = (day: string) => {
    const then = plansOn(plans, day);
    return tankRows.map((tank) => ({ ...tank, plan: then.get(tank.id) ?? null }));
  };
  return {
    timeZone: household.timeZone,
    deliveryDays: household.deliveryDays,
    units: household,
    history,
    tanks: tankRows,
    tanksOn,
    moments: momentRows,
    foods,
    broods: kept,
    species,
    on(day, hand = null) {
      const groups = groupsOn(history, day).filter((group) => !group.archived);
      const rows = {
        household,
        moments: momentRows,
        tanks: tanksOn(day),
        groups,
        foods,
        species,
        day,
        hand,
      };
      const house = houseOf(rows);
      return { groups, house: { ...house, groups: house.groups.map(withParents(kept, day)) } };
    },
  };
}
