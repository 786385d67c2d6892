import {
  houseGroup,
  houseTank,
  unitOf,
  type Consumption,
  type FoodRow,
  type Group,
  type Tank,
} from '@open-larder/contract';
import {
  addDays,
  dailyNeed,
  digestibleEnergy,
  groupOnDay,
  pricePerGram,
  restOn,
  type HouseGroup,
} from '@open-larder/core';
import type { Scope } from '../db';
import { groupsOn } from '../group/history';
import type { Handlers } from '../http/mount';
import { notFound } from '../http/problems';
import { readHouse, type HouseholdSnapshot } from '../round/house';
import { servedCsv } from './csv';
import { acceptanceIn, servedIn } from './served';

interface FedSum {
  day: string;
  groupId: string;
  foodId: string;
  massG: number;
  refusedG: number;
}

export const recordsRoutes = {
  async getServed({ query }, { scope, catalogue }) {
    return servedIn(scope, await readHouse(scope, catalogue), query);
  },

  async exportServed({ query }, { scope, catalogue }) {
    const { rows } = await servedIn(scope, await readHouse(scope, catalogue), query);
    return { fileName: `served-${query.from}-${query.to}.csv`, text: servedCsv(rows) };
  },

  async getAcceptance({ params, query }, { scope, catalogue }) {
    const household = await readHouse(scope, catalogue);
    if (!household.history.lives.some(({ row }) => row.id === params.id)) {
      throw notFound('This group');
    }
    return acceptanceIn(scope, household, params.id, query);
  },

  async getConsumption({ query: { from, to } }, { scope, catalogue }) {
    const [household, sums] = await Promise.all([
      readHouse(scope, catalogue),
      sumFed(scope, from, to),
    ]);
    return consumptionOf(household, daysFrom(from, to), sums);
  },
} satisfies Partial<Handlers>;

/** Summed in the database: one row for a day, group and food. */
function sumFed(scope: Scope, from: string, to: string): Promise<FedSum[]> {
  return scope.rows<FedSum>(
    `SELECT f.day::text, f.group_id, f.food_id, sum(f.mass_g) AS mass_g,
            sum(f.refused_g) AS refused_g
       FROM active_feedings f
      WHERE f.household_id = :household AND f.day BETWEEN :from AND :to AND f.dealt
      GROUP BY f.day, f.group_id, f.food_id`,
    { from, to },
  );
}

function daysFrom(from: string, to: string): string[] {
  const days = [from];
  while ((days.at(-1) as string) < to) days.push(addDays(days.at(-1) as string, 1));
  return days;
}

function consumptionOf(
  household: HouseholdSnapshot,
  days: readonly string[],
  sums: readonly FedSum[],
): Consumption {
  const position = new Map(days.map((day, index) => [day, index]));
  const foods = new Map(household.foods.map((food) => [food.id, food]));
  const byFood = new Map<string, Consumption['foods'][number]>();
  const byGroup = needs(household, days);
  const guilds = new Map<string, HouseGroup['species']['guild']>();
  for (const { group } of byGroup.values()) guilds.set(group.id, group.species.guild);
  const energies = new Map<string, number>();

  const energyOf = (food: FoodRow, groupId: string): number => {
    const guild = guilds.get(groupId) ?? 'omnivore';
    const key = `${food.id} ${guild}`;
    const known = energies.get(key);
    if (known !== undefined) return known;
    const value = digestibleEnergy(food.name, food.composition, guild).value;
    energies.set(key, value);
    return value;
  };

  for (const { day, groupId, foodId, massG, refusedG } of sums) {
    const food = foods.get(foodId);
    const index = position.get(day);
    if (!food || index === undefined) continue;
    const used = byFood.get(foodId) ?? emptyFood(food, days.length);
    byFood.set(foodId, used);
    used.gramsPerDay[index] = (used.gramsPerDay[index] as number) + massG;
    used.totalG += massG;
    const group = byGroup.get(groupId)?.record;
    if (!group) continue;
    const energy = energyOf(food, groupId);
    group.offeredPerDay[index] = (group.offeredPerDay[index] as number) + massG * energy;
    group.offeredKj += massG * energy;
    group.refusedKj += refusedG * energy;
  }
  for (const used of byFood.values()) {
    const food = foods.get(used.foodId) as FoodRow;
    const price = pricePerGram(food.lots);
    used.units = used.totalG / unitOf(food, null).massG;
    used.costMinor = price === null ? null : price * used.totalG;
  }
  return {
    days: [...days],
    foods: [...byFood.values()].sort((a, b) => (a.name < b.name ? -1 : 1)),
    groups: [...byGroup.values()].map(({ record }) => record),
  };
}

const emptyFood = (food: FoodRow, days: number): Consumption['foods'][number] => ({
  foodId: food.id,
  name: food.name,
  family: food.family,
  gramsPerDay: Array<number>(days).fill(0),
  totalG: 0,
  units: 0,
  unit: food.unit,
  costMinor: null,
});

type NeedRecord = { group: HouseGroup; record: Consumption['groups'][number] };

/** What every group needed on each day, as it was on that day. Planned fasts need nothing. */
function needs(household: HouseholdSnapshot, days: readonly string[]): Map<string, NeedRecord> {
  const known = new Map<Group, { group: HouseGroup; needKj: number } | null>();
  const records = new Map<string, NeedRecord>();

  const needOf = (row: Group, tank: Tank, day: string) => {
    let need = known.get(row);
    if (need === undefined) {
      const group = houseGroup(row, household.species, tank, day);
      need = group && { group, needKj: dailyNeed(groupOnDay(group, houseTank(tank))).value };
      // What grows needs more every day.
      if (row.grew.since === null) known.set(row, need);
    }
    return need;
  };

  days.forEach((day, index) => {
    const tanks = new Map(household.tanksOn(day).map((tank) => [tank.id, tank]));
    for (const row of groupsOn(household.history, day)) {
      const tank = tanks.get(row.tankId);
      const need = tank && !row.archived ? needOf(row, tank, day) : null;
      if (!tank || !need) continue;
      const { record } = entryOf(records, need.group, tank, days.length);
      const needKj = restOn(need.group, houseTank(tank), day) === null ? need.needKj : 0;
      record.neededPerDay[index] = needKj;
      record.neededKj += needKj;
    }
  });
  return records;
}

function entryOf(
  records: Map<string, NeedRecord>,
  group: HouseGroup,
  tank: Tank,
  days: number,
): NeedRecord {
  let entry = records.get(group.id);
  if (!entry) {
    entry = {
      group,
      record: {
        groupId: group.id,
        name: group.name,
        tankId: tank.id,
        tankName: tank.name,
        neededPerDay: Array<number>(days).fill(0),
        offeredPerDay: Array<number>(days).fill(0),
        neededKj: 0,
        offeredKj: 0,
        refusedKj: 0,
      },
    };
    records.set(group.id, entry);
  }
  return entry;
}
