import type { Catalogue } from '@open-larder/catalogue/load';
import type { BroodRow, MomentRow, Tank } from '@open-larder/contract';
import {
  broodTraits,
  broodWork,
  clutchOf,
  computeBroodStatus,
  type BroodStatus,
  type BroodTask,
  type Clutch,
  type Dated,
} from '@open-larder/core/brood';
import { localDay, type Clock } from '../clock';
import { readVesselStatuses } from '../culture/status';
import { vessels } from '../culture/store';
import type { Scope } from '../db';
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
  const [{ timeZone }, species, foods, cultures, tubs, events, rows, times] = await Promise.all([
    readHousehold(scope),
    speciesOf(scope, catalogue),
    allFoods(scope),
    vessels(scope, null, null).then((all) => readVesselStatuses(scope, catalogue, clock, all)),
    tubsOf(scope, ids),
    listEvents(scope, ids),
    tanks(scope, null, null),
    moments(scope, null, null),
  ]);
  const today = localDay(clock.now(), timeZone);
  const calibrations = await bands;
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
      feeds: feedsIn(times, light),
      lightHours: hoursOf(light),
      targetCm: row.targetCm,
      conditionDays: row.conditionDays,
      clutches: clutches(row),
    };
    const standing = computeBroodStatus(task);
    return [
      {
        ...row,
        tubs: mine.map(({ broodId: _, ...tub }) => tub),
        status: asShown(calibrations, standing),
        work: broodWork(task, standing),
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

type Light = Pick<Tank, 'lightOnMin' | 'lightOffMin'>;

const DAY_MIN = 1440;

const hoursOf = ({ lightOnMin, lightOffMin }: Light): number =>
  ((lightOffMin - lightOnMin + DAY_MIN) % DAY_MIN || DAY_MIN) / 60;

/** Moments at which someone is there while it is light. */
function feedsIn(times: readonly MomentRow[], { lightOnMin, lightOffMin }: Light): number {
  const lit = (minutes: number) =>
    lightOnMin <= lightOffMin
      ? minutes >= lightOnMin && minutes <= lightOffMin
      : minutes >= lightOnMin || minutes <= lightOffMin;
  const there = times.filter(
    ({ anchor, minutes, archived }) => !archived && (anchor !== 'clock' || lit(minutes)),
  );
  return Math.max(1, there.filter(({ anchor }) => anchor !== 'lightsOff').length);
}

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
