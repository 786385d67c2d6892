import type { Catalogue } from '@open-larder/catalogue/load';
import type { Tank, WaterRow } from '@open-larder/contract';
import { addDays, plannedUse, staysOf } from '@open-larder/core';
import { broodOn } from '@open-larder/core/brood';
import { furnishingOf, waterLitres } from '@open-larder/core/tank';
import {
  FORECAST_DAYS,
  LOOK_BACK_DAYS,
  nitrogenMg,
  computeWaterStatus,
  STANDS_MG_L,
  UPTAKE,
  type WaterEvent,
  type WaterStatus,
} from '@open-larder/core/water';
import { USUAL_RHYTHM } from '@open-larder/core/water/rhythm';
import { localDay, type Clock } from '../clock';
import type { Scope } from '../db';
import { notFound } from '../http/problems';
import { calibrationsOf, shownBand, type Calibrations } from '../forecasts/calibration';
import { readHouse, type HouseholdSnapshot } from '../round/house';
import { listEvents, proteinServed } from './store';

/** Plants that grow so thick take up the ammonia of a tank without a filter. Assumption. */
const TAKE_UP = new Set(['many', 'dense']);

/** The water of tanks as of today: of all that are kept, or of one. */
export async function readWaterStatuses(
  scope: Scope,
  household: HouseholdSnapshot,
  today: string,
  only: string | null,
  bands: Calibrations | Promise<Calibrations> = calibrationsOf(scope),
): Promise<WaterRow[]> {
  const calibrations = await bands;
  const first = addDays(today, -LOOK_BACK_DAYS);
  const [events, served] = await Promise.all([
    listEvents(scope, only === null ? null : [only], first),
    proteinServed(scope, first, today),
  ]);
  const stays = staysIn(household);
  const stages = new Map(household.on(today).groups.map(({ id, stage }) => [id, stage]));
  const stageOf = (groupId: string) => stages.get(groupId) ?? 'adult';
  const servedIn = new Map<string, Map<string, number>>();
  for (const { groupId, day, givenG, lostG } of served) {
    const tankId = stays.of(groupId, day);
    if (tankId === null) continue;
    const days = servedIn.get(tankId) ?? new Map<string, number>();
    servedIn.set(tankId, days);
    // The grams are those of the protein: as if the food were nothing else.
    const mg = nitrogenMg(Math.max(0, givenG - lostG), lostG, 1, stageOf(groupId));
    days.set(day, (days.get(day) ?? 0) + mg);
  }
  const plannedIn = plannedNitrogen(household, today, only);
  const { groups } = household.on(today);
  const eventsIn = byTank(events);
  const groupsIn = byTank(groups);
  const shown = household
    .tanksOn(today)
    .filter((tank) => !tank.archived && (only === null || tank.id === only));
  return scope.each(
    shown,
    ({ id }) => id,
    (tank): WaterRow[] => {
      const litres = waterLitres(tank)?.value ?? null;
      if (litres === null) return [{ tankId: tank.id, litres, status: null, trigger: [] }];
      const rhythm = tank.plan?.water ?? null;
      const trigger = triggerOf(rhythm?.trigger ?? null, household.broods, today);
      return [
        {
          tankId: tank.id,
          litres,
          trigger: trigger.filter(({ day }) => day >= today),
          status: asShown(
            calibrations,
            computeWaterStatus({
              litres,
              tempC: tank.tempC,
              ph: tank.ph,
              filtered: takesUp(tank),
              uptake: UPTAKE[furnishingOf(tank).plants],
              since: runningSince(tank.runsSince, stays.firstIn.get(tank.id), today),
              today,
              rhythm: {
                ...(rhythm ?? USUAL_RHYTHM),
                said: rhythm !== null,
                heldUntil: rhythm?.heldUntil ?? null,
                trigger: trigger.flatMap(({ day, share }) =>
                  share === null ? [] : [{ day, share }],
                ),
              },
              events: (eventsIn.get(tank.id) ?? []) as WaterEvent[],
              servedMg: servedIn.get(tank.id) ?? new Map(),
              plannedMg: plannedIn.get(tank.id) ?? Array<number>(FORECAST_DAYS).fill(0),
              groups: (groupsIn.get(tank.id) ?? [])
                .filter((group) => group.size.total > 0)
                .flatMap(({ id, name, speciesKey, stage }) => {
                  const kind = household.species.get(speciesKey);
                  if (!kind) return [];
                  const delicate = stage === 'fry' || kind.zone === 'bottom';
                  return [{ id, name, toleratesMgL: STANDS_MG_L[kind.nitrate], delicate }];
                }),
            }),
          ),
        },
      ];
    },
  );
}

type Trigger = NonNullable<NonNullable<NonNullable<Tank['plan']>['water']>['trigger']>;

/** The steps of a trigger; none once its group has spawned since they began. */
function triggerOf(
  trigger: Trigger | null,
  broods: HouseholdSnapshot['broods'],
  today: string,
): Trigger['steps'] {
  const [first] = trigger?.steps ?? [];
  if (!trigger || !first) return [];
  const spawned = broods.some(({ row, events }) => {
    const { spawnedOn } = broodOn(events, today);
    return row.groupId === trigger.groupId && spawnedOn !== null && spawnedOn >= first.day;
  });
  return spawned ? [] : trigger.steps;
}

/** The band of nitrate as wide as this household’s tests have shown it to be. */
const asShown = (calibrations: Calibrations, status: WaterStatus): WaterStatus => ({
  ...status,
  days: status.days.map((day) => shownBand(calibrations, 'nitrate', day, day.before)),
});

function byTank<Row extends { tankId: string }>(rows: readonly Row[]): Map<string, Row[]> {
  const tanks = new Map<string, Row[]>();
  for (const row of rows) {
    const known = tanks.get(row.tankId);
    if (known) known.push(row);
    else tanks.set(row.tankId, [row]);
  }
  return tanks;
}

function takesUp(tank: Tank): boolean {
  const { filter, plants } = furnishingOf(tank);
  return filter !== 'none' || TAKE_UP.has(plants);
}

/** In which tank a group was on a day, and the first day on which any fish lived in each tank. */
function staysIn({ history }: HouseholdSnapshot): {
  of: (groupId: string, day: string) => string | null;
  firstIn: ReadonlyMap<string, string>;
} {
  const stays = new Map(history.lives.map(({ row, events }) => [row.id, staysOf(events)]));
  const firstIn = new Map<string, string>();
  for (const { tankId, fromDay } of [...stays.values()].flat()) {
    const known = firstIn.get(tankId);
    if (known === undefined || fromDay < known) firstIn.set(tankId, fromDay);
  }
  return {
    of: (groupId, day) =>
      stays
        .get(groupId)
        ?.find(({ fromDay, toDay }) => fromDay <= day && (toDay === null || day < toDay))?.tankId ??
      null,
    firstIn,
  };
}

/** Nitrogen that the plan gives to each tank from a day on, mg. */
function plannedNitrogen(
  household: HouseholdSnapshot,
  today: string,
  only: string | null,
): Map<string, number[]> {
  const { house } = household.on(today);
  const groups = only === null ? house.groups : house.groups.filter((one) => one.tankId === only);
  const tankOf = new Map(groups.map(({ id, tankId }) => [id, tankId]));
  const stages = new Map(groups.map(({ id, stage }) => [id, stage]));
  const protein = new Map(household.foods.map((food) => [food.id, food.composition.protein]));
  const planned = new Map<string, number[]>();
  for (const { groupId, foodId, gramsOn } of plannedUse(
    { ...house, groups },
    today,
    FORECAST_DAYS,
  )) {
    const tankId = tankOf.get(groupId)!;
    const days = planned.get(tankId) ?? Array<number>(FORECAST_DAYS).fill(0);
    planned.set(tankId, days);
    gramsOn.forEach((grams, at) => {
      days[at]! += nitrogenMg(grams, 0, protein.get(foodId) ?? 0, stages.get(groupId)!);
    });
  }
  return planned;
}

/** @throws ProblemError 404 where there is no such tank, or it is put away */
export async function readWater(
  scope: Scope,
  catalogue: Catalogue,
  clock: Clock,
  tankId: string,
): Promise<WaterRow> {
  const household = await readHouse(scope, catalogue);
  const today = localDay(clock.now(), household.timeZone);
  const [row] = await readWaterStatuses(scope, household, today, tankId);
  if (!row) throw notFound('This tank');
  return row;
}

/** Since when a tank runs: as was said, unless that is still to come; else since its first fish. */
const runningSince = (said: string | null, firstIn: string | undefined, today: string) =>
  [said, firstIn].find((day) => day && day <= today) ?? null;
