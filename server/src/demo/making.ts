import {
  blankTank,
  fieldsOfGeneric,
  type DietRow,
  type FoodRow,
  type Tank,
} from '@open-larder/contract';
import { PLAIN, addDays, usualPlace } from '@open-larder/core';
import type { Catalogue } from '@open-larder/catalogue/load';
import { foodColumns } from '../food/store';
import type { Chance } from './chance';
import {
  GROUPS,
  HISTORY_DAYS,
  SHELF,
  TANKS,
  type DemoGroup,
  type DemoTank,
  type MomentKey,
} from './scenario';

export interface DemoSetting {
  chance: Chance;
  timeZone: string;
  now: Date;
  moments: {
    key: MomentKey;
    id: string;
    name: string;
    anchor: 'clock' | 'lightsOn' | 'lightsOff';
    minutes: number;
    spareMin: number;
    version: number;
    archived: boolean;
  }[];
}

export type Row = Record<string, unknown>;

/** More samples of some groups. */
export const measuredToo = (
  groups: readonly { id: string; name: string }[],
  { chance, now }: DemoSetting,
  today: string,
): Row[] =>
  GROUPS.flatMap(({ name, alsoMeasured = [] }) =>
    alsoMeasured.map(([daysAgo, lengthCm, lengthsCm]) => ({
      id: chance.id(now),
      groupId: groups.find((group) => group.name === name)!.id,
      kind: 'measured',
      day: addDays(today, -daysAgo),
      note: '',
      lengthCm,
      lengthsCm,
    })),
  );

/** The keeper looked at the glass two days ago; the tanks have run for longer than is reported. */
export function makeTanks({ chance, now }: DemoSetting, today: string): Tank[] {
  return TANKS.map((tank: DemoTank, index) => ({
    ...blankTank,
    id: chance.id(now),
    name: tank.name,
    kind: tank.kind,
    shape: tank.shape ?? 'box',
    lengthCm: tank.size[0],
    widthCm: tank.size[1],
    heightCm: tank.size[2],
    waterLevelCm: tank.size[3],
    ...tank.furnished,
    tempC: tank.tempC,
    ph: tank.ph,
    gh: tank.gh,
    lightOnMin: tank.light[0],
    lightOffMin: tank.light[1],
    walkOrder: index + 1,
    runsSince: addDays(today, -(tank.runsDays ?? HISTORY_DAYS)),
    film: tank.film ?? null,
    filmOn: tank.film ? addDays(today, -2) : null,
    version: 1,
    archived: false,
    plan: null,
    lastTemp: null,
  }));
}

export function makeFoods(catalogue: Catalogue, { chance, now }: DemoSetting, first: string) {
  return Object.entries(SHELF).map(([key, stock]) => {
    const generic = catalogue.foods.find((food) => food.key === key);
    if (!generic) throw new Error(`the demo names a food that the catalogue lacks: ${key}`);
    const id = chance.id(now);
    const lotId = chance.id(now);
    const fields = fieldsOfGeneric(generic);
    const openedDays = stock.opened === undefined ? fields.keeps.openedDays : stock.opened;
    const keeps = { ...fields.keeps, openedDays };
    const own = { ...fields, keeps, steps: stock.steps ?? fields.steps };
    const food: FoodRow = {
      id,
      ...own,
      version: 1,
      archived: false,
      lots: [],
      weighings: [],
      remainingG: stock.amountG,
    };
    return {
      key,
      food,
      lot: { id: lotId, remainingG: stock.amountG, openedOn: first, bestBefore: null },
      row: { ...foodColumns(own), id, version: 1, archived: false } as Row,
      lotRow: {
        id: lotId,
        foodId: id,
        amountG: stock.amountG,
        costMinor: stock.costMinor,
        place: stock.place ?? usualPlace(generic.kind),
        boughtOn: first,
        openedOn: first,
        bestBefore: addDays(first, stock.keeps),
        version: 1,
      },
      bought: { id: chance.id(now), lotId, kind: 'bought', deltaG: stock.amountG, day: first },
    };
  });
}

export type DemoFood = ReturnType<typeof makeFoods>[number];

export function makeGroup(
  demo: DemoGroup,
  tanks: readonly Tank[],
  foods: readonly DemoFood[],
  { chance, now, moments }: DemoSetting,
  today: string,
) {
  const id = chance.id(now);
  const arrival = addDays(today, -(demo.daysAgo ?? HISTORY_DAYS));
  const tankId = (tanks.find((tank) => tank.name === demo.tank) as Tank).id;
  const at = (daysAgo: number, event: Row): Row & { day: string } => ({
    id: chance.id(now),
    groupId: id,
    day: addDays(today, -daysAgo),
    ...event,
  });
  const { males, females, unsexed } = demo;
  const since = demo.daysAgo ?? HISTORY_DAYS;
  const events = [
    at(since, { kind: 'moved', tankId }),
    at(since, { kind: 'arrived', males, females, unsexed }),
    at(since, { kind: 'staged', stage: demo.stage }),
    ...(demo.stages ?? []).map(([daysAgo, stage]) => at(daysAgo, { kind: 'staged', stage })),
    ...demo.lengths.map(([daysAgo, lengthCm, lengthsCm = null]) =>
      at(daysAgo, { kind: 'measured', lengthCm, lengthsCm }),
    ),
    ...(demo.losses ?? []).map(([daysAgo, lost, cause]) =>
      at(daysAgo, { kind: 'died', cause, males: 0, females: 0, unsexed: lost }),
    ),
  ].sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));
  const servings = demo.servings.map((serving) => ({
    id: chance.id(now),
    foodId: (foods.find((food) => food.key === serving.food) as DemoFood).food.id,
    momentId: (moments.find((moment) => moment.key === serving.moment) as { id: string }).id,
    zone: serving.zone,
    place: serving.place,
    days: serving.weekdays ?? [1, 2, 3, 4, 5, 6, 7],
    weight: serving.weight ?? 1,
    ownUnits: null,
    manner: PLAIN,
  }));
  const diet: DietRow = {
    version: 1,
    validFrom: arrival,
    fastWeekdays: demo.fastWeekdays,
    goalFactor: null,
    servings,
    rules: [],
  };
  return {
    demo,
    id,
    name: demo.name,
    speciesKey: demo.species,
    tankId,
    arrival,
    events,
    diet,
    stay: { id: chance.id(now), groupId: id, tankId, during: [arrival, null] },
    dietRow: { ...diet, groupId: id, servings: undefined },
    servingRows: servings.map((serving, position) => ({
      ...serving,
      groupId: id,
      version: 1,
      position,
    })),
  };
}

export type MadeGroup = ReturnType<typeof makeGroup>;
