import type { FoodFamily } from '@open-larder/catalogue';
import type { Catalogue } from '@open-larder/catalogue/load';
import type { BroodRow, FryMealRow, HouseholdSettings, MomentRow } from '@open-larder/contract';
import {
  broodTraits,
  broodWork,
  clutchOf,
  computeBroodStatus,
  fryTimes,
  litMinutes,
  type BroodStatus,
  type BroodTask,
  type Clutch,
  type Dated,
  type FryMeal,
  type Lit,
  type Presence,
} from '@open-larder/core/brood';
import { addDays, wallMinutes } from '@open-larder/core';
import { v5 as uuidv5 } from 'uuid';
import { localDay, type Clock } from '../clock';
import { readVesselStatuses } from '../culture/status';
import { vessels } from '../culture/store';
import type { Scope } from '../db';
import { fedToTubs } from '../feeding/store';
import { allFoods } from '../food/store';
import { calibrationsOf, shownDays, type Calibrations } from '../forecasts/calibration';
import { readHousehold } from '../household/store';
import { notFound } from '../http/problems';
import { moments } from '../moment/store';
import { speciesOf } from '../species/store';
import { tanks } from '../tank/store';
import { foodsForBroods } from './foods';
import { broods, listEvents, readStoredBrood, tubsOf, type StoredBrood } from './store';

/** Light of a tub that stands in no tank: twelve hours. Assumption. */
const USUAL_LIGHT = { lightOnMin: 8 * 60, lightOffMin: 20 * 60 };

/** Broods as of today, with what is to be done for each. */
export async function readBroodStatuses(
  scope: Scope,
  catalogue: Catalogue,
  clock: Clock,
  kept: readonly StoredBrood[],
  bands: Calibrations | Promise<Calibrations> = calibrationsOf(scope),
): Promise<BroodRow[]> {
  if (kept.length === 0) return [];
  // Earlier clutches of the same species tell of those that are on: all of them are read.
  const all = await broods(scope, null, null);
  const ids = all.map(({ id }) => id);
  const [household, species, foods, cultures, tubs, events, rows, times] = await Promise.all([
    readHousehold(scope),
    speciesOf(scope, catalogue),
    allFoods(scope),
    vessels(scope, null, null).then((all) => readVesselStatuses(scope, catalogue, clock, all)),
    tubsOf(scope, ids),
    listEvents(scope, ids),
    tanks(scope, null, null),
    moments(scope, null, null),
  ]);
  const today = localDay(clock.now(), household.timeZone);
  const fed = await fedToTubs(scope, addDays(today, -1));
  const calibrations = await bands;
  const families = new Map(foods.map(({ id, family }) => [id, family]));
  const menu = foodsForBroods(catalogue, foods, cultures);
  const byTank = new Map(rows.map((tank) => [tank.id, tank]));
  const strategyOf = (breeding: string | undefined) =>
    catalogue.strategies.find((one) => one.breeding === breeding) ?? catalogue.strategies[0];
  const clutches = (row: StoredBrood): Clutch[] =>
    all
      .filter(({ id, speciesKey }) => id !== row.id && speciesKey === row.speciesKey)
      .flatMap((past) => {
        const kind = species.get(past.speciesKey);
        const strategy = strategyOf(past.breeding ?? kind?.breeding);
        const eggs = kind && strategy ? broodTraits(kind, strategy).eggs : null;
        const tempC = tubs.find(({ broodId }) => broodId === past.id)?.tempC;
        if (!eggs || tempC === undefined) return [];
        const its = events.filter(({ broodId }) => broodId === past.id);
        return clutchOf(its, eggs, tempC, today) ?? [];
      });
  return scope.each(kept, idOf, (row): BroodRow[] => {
    const kind = species.get(row.speciesKey);
    const strategy = strategyOf(row.breeding ?? kind?.breeding);
    // A species that has left the catalogue has nothing that could be computed.
    if (!kind || !strategy) return [];
    const mine = tubs.filter(({ broodId }) => broodId === row.id);
    const light = (row.tankId === null ? null : byTank.get(row.tankId)) ?? USUAL_LIGHT;
    const task: BroodTask = {
      species: kind,
      strategy,
      events: events.filter(({ broodId }) => broodId === row.id),
      tubs: mine,
      raising: row.raising,
      firstFood: row.firstFood,
      eggCare: row.eggCare,
      foods: menu,
      today,
      times: fryTimes(light, presenceOf(household, times, light)),
      lightHours: litMinutes(light) / 60,
      targetCm: row.targetCm,
      conditionDays: row.conditionDays,
      checkpoints: row.checkpoints,
      clutches: clutches(row),
      served: fed.filter(({ broodId }) => broodId === row.id),
    };
    const standing = computeBroodStatus(task);
    return [
      {
        ...row,
        tubs: mine.map(({ broodId: _, ...tub }) => tub),
        status: asShown(calibrations, standing),
        work: broodWork(task, standing).filter(
          ({ what }) => what !== 'group' || row.youngGroupId === null,
        ),
        light: { lightOnMin: light.lightOnMin, lightOffMin: light.lightOffMin },
        // Young that are a group of their own are served by that group’s plan.
        meals:
          row.youngGroupId === null
            ? standing.meals.map((meal) => asServed(meal, row.id, today, fed, families))
            : [],
      },
    ];
  });
}

/** Windows of hatching and swimming as wide as this household’s clutches have shown them to be. */
function asShown(calibrations: Calibrations, status: BroodStatus): BroodStatus {
  const shown = <D extends Dated | null>(dated: D): D =>
    dated === null || dated.seen || (dated.stage !== 'hatch' && dated.stage !== 'swim')
      ? dated
      : shownDays(calibrations, dated.stage, dated);
  return {
    ...status,
    stages: status.stages.map(shown),
    next: shown(status.next),
    swim: shown(status.swim),
  };
}

const idOf = ({ id }: { id: string }) => id;

/** When someone can feed: at the moments of the house, and while someone is at home. */
const presenceOf = (
  { atHome }: HouseholdSettings,
  times: readonly MomentRow[],
  { lightOnMin: onMin, lightOffMin: offMin }: Lit,
): Presence => ({
  moments: times
    .filter(({ anchor, archived }) => anchor !== 'lightsOff' && !archived)
    .map((moment) => wallMinutes(moment, { onMin, offMin })),
  spans: atHome,
});

type Fed = Awaited<ReturnType<typeof fedToTubs>>;

/** A meal with what became of it. */
function asServed(
  { minutes, servings }: FryMeal,
  broodId: string,
  today: string,
  fed: Fed,
  families: ReadonlyMap<string, FoodFamily>,
): FryMealRow {
  return {
    minutes,
    servings: servings.map((serving) => {
      const servingId = servingIdOf(broodId, serving.tubId, serving.key, minutes);
      const given = fed.find((one) => one.servingId === servingId && one.day === today);
      const family = families.get(serving.foodId ?? '') ?? 'wriggle';
      if (!given) return { ...serving, family, servingId, fed: null };
      const { proteinG: _, ...feeding } = given;
      return { ...serving, family, servingId, fed: feeding };
    }),
  };
}

/** Two phones name the same meal of the same tub alike. */
const servingIdOf = (...of: (string | number)[]): string => uuidv5(of.join(' '), FRY_MEALS);
const FRY_MEALS = '0b6a4d0e-6f0b-4f43-9a3c-3d6d0a7a5c11';

/** @throws ProblemError 404 where there is no such brood */
export async function readBrood(
  scope: Scope,
  catalogue: Catalogue,
  clock: Clock,
  id: string,
): Promise<BroodRow> {
  const kept = await readStoredBrood(scope, id);
  const [row] = kept ? await readBroodStatuses(scope, catalogue, clock, [kept]) : [];
  if (!row) throw notFound('This brood');
  return row;
}
