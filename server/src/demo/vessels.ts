import { rollup } from 'd3-array';
import { addDays } from '@open-larder/core';
import type { Chance } from './chance';
import { VESSELS, type DemoVessel } from './scenario';

interface DemoSetting {
  chance: Chance;
  now: Date;
  today: string;
  /** Ids of the shelf's foods by their key in the scenario. */
  foodIds: ReadonlyMap<string, string>;
  feedings: readonly { id: string; foodId: string; day: string; at: Date; massG: number }[];
}

type Row = Record<string, unknown>;
const DAY_MS = 86_400_000;

/** The demo's live shelf: its vessels, and what happened to each up to now. */
export function liveShelf(report: DemoSetting): { vessels: Row[]; events: Row[] } {
  const { chance, now, today, foodIds } = report;
  const ids = new Map(VESSELS.map(({ key }) => [key, chance.id(now)]));
  const vessels = VESSELS.map((one) => ({
    id: ids.get(one.key),
    kindKey: one.kindKey,
    alsoKindKey: null,
    name: one.name,
    measure: one.measure,
    tempC: one.tempC,
    strain: one.strain ?? '',
    place: one.place,
    startedFrom: one.startedFrom,
    water: one.water,
    tools: one.tools,
    foodId: foodIds.get(one.food) ?? null,
    startedOn: addDays(today, -one.startedDaysAgo),
    startedAt: morning(one.startedDaysAgo, now),
    startG: one.startG,
    fromVesselId: one.from === undefined ? null : ids.get(one.from),
    version: 1,
  }));
  const events = VESSELS.flatMap((one) => vesselEvents(one, report)).map((event) => ({
    id: chance.id(event.at),
    note: '',
    ...event,
    vesselId: ids.get(event.key),
    key: undefined,
  }));
  return { vessels, events: [...events, ...served(report, ids)] };
}

const morning = (daysAgo: number, now: Date) => new Date(now.getTime() - daysAgo * DAY_MS);

function vesselEvents(one: DemoVessel, { now, today }: DemoSetting) {
  const of = (daysAgo: number, event: Row) => ({
    key: one.key,
    day: addDays(today, -daysAgo),
    at: morning(daysAgo, now),
    ...event,
  });
  const every = (days: number | undefined, event: Row) =>
    days === undefined
      ? []
      : Array.from({ length: Math.floor((one.startedDaysAgo - 1) / days) }, (_, at) =>
          of(one.startedDaysAgo - (at + 1) * days, event),
        );
  return [
    ...every(one.fedEvery, { kind: 'fed' }),
    ...every(one.changedEvery, { kind: 'changed', share: 0.25 }),
    ...(one.again ? every(one.again.every, { kind: 'restarted', massG: one.again.startG }) : []),
    ...one.seen.map(({ daysAgo, density, clarity, note = '' }) =>
      of(daysAgo, { kind: 'seen', density, clarity, note }),
    ),
    ...(one.warmth ?? []).map(({ daysAgo, tempC }) => of(daysAgo, { kind: 'warmth', tempC })),
  ];
}

/** What was served of live food was taken from the vessels that give it, in turn. */
function served(
  { chance, feedings, foodIds }: DemoSetting,
  ids: ReadonlyMap<string, string>,
): Row[] {
  const giving = rollup(
    VESSELS.filter(({ key, food, serves }) => serves && foodIds.has(food) && ids.has(key)),
    (vessels) => vessels.map(({ key }) => ids.get(key)!),
    ({ food }) => foodIds.get(food)!,
  );
  return feedings.flatMap(({ id, foodId, day, at, massG }, turn) => {
    const from = giving.get(foodId) ?? [];
    if (from.length === 0 || massG <= 0) return [];
    return [
      {
        id: chance.id(at),
        vesselId: from[turn % from.length],
        kind: 'harvested',
        massG,
        by: 'g',
        amount: massG,
        day,
        at,
        note: '',
        feedingId: id,
      },
    ];
  });
}

/** Keys of the foods that the live shelf gives: nothing of them is in jars. */
export const LIVE_FOODS: ReadonlySet<string> = new Set(VESSELS.map(({ food }) => food));
