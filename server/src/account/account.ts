import { groups } from 'd3-array';
import type { Account, Rating, Served, Tank, WaterEventRow } from '@open-larder/contract';
import { RATED } from '@open-larder/contract';
import { daysBetween, isSize, stateOn } from '@open-larder/core';
import {
  foodConversion,
  computeGrowthStatus,
  survivalOf,
  usualLength,
  type DaySample,
} from '@open-larder/core/growth';
import { waterLitres } from '@open-larder/core/tank';
import { STANDS_MG_L } from '@open-larder/core/water/nitrogen';
import type { Scope } from '../db';
import { groupsOn } from '../group/history';
import { measuredIn } from '../group/measured';
import { ratingsIn } from '../rating/store';
import { servedIn } from '../records/served';
import type { HouseholdSnapshot } from '../round/house';
import { listEvents } from '../water/store';

interface Span {
  from: string;
  to: string;
}

/** What became of groups, tanks and foods in a span of days, both counted. */
export async function accountIn(
  scope: Scope,
  household: HouseholdSnapshot,
  span: Span,
): Promise<Account & { served: Rows }> {
  const [served, events, ratings] = await Promise.all([
    servedIn(scope, household, span),
    listEvents(scope, null, span.from),
    ratingsIn(scope, span.from, span.to),
  ]);
  return {
    groups: groupsIn(household, span, served.rows),
    tanks: tanksIn(
      household,
      span,
      served.rows,
      events.filter(({ day }) => day <= span.to),
    ),
    foods: foodsIn(served.rows, ratings),
    served: served.rows,
  };
}

type Rows = Served['rows'];

const sumOf = (values: readonly number[]) => values.reduce((sum, one) => sum + one, 0);
const costOf = (rows: Rows): number | null => {
  const priced = rows.flatMap(({ costMinor }) => costMinor ?? []);
  return priced.length > 0 ? sumOf(priced) : null;
};

const sampleOf = (sample: DaySample | undefined) =>
  sample
    ? { day: sample.day, cm: sample.mean, low: sample.low, high: sample.high, n: sample.n }
    : null;

function groupsIn(household: HouseholdSnapshot, { from, to }: Span, rows: Rows): Account['groups'] {
  const tanks = new Map(household.tanks.map((tank) => [tank.id, tank]));
  const foods = new Map(household.foods.map((food) => [food.id, food]));
  const walk = (tankId: string) => tanks.get(tankId)?.walkOrder ?? Infinity;
  const groups = [...groupsOn(household.history, to)].sort(
    (a, b) => walk(a.tankId) - walk(b.tankId) || (a.name < b.name ? -1 : 1),
  );
  const lives = new Map(household.history.lives.map((life) => [life.row.id, life]));
  return groups.flatMap((group) => {
    const tank = tanks.get(group.tankId);
    const species = household.species.get(group.speciesKey);
    const life = lives.get(group.id);
    if (!tank || !species || !life) return [];
    const own = rows.filter(({ groupId }) => groupId === group.id);
    // Of those that came within the span, on the day on which they came.
    const came = life.events.find(({ kind }) => kind === 'moved')?.day ?? from;
    const since = came > from ? came : from;
    const began = stateOn(life.events, since)?.size.total ?? 0;
    const { died, causes, over30, fishDays } = survivalOf(life.events.filter(isSize), from, to);
    // Those that were gone before are no part of it.
    if (fishDays === 0 && own.length === 0) return [];
    const within = measuredIn(life.events, to).filter(({ day }) => day >= from);
    const { samples, growthRate } = computeGrowthStatus({
      species,
      tempC: tank.tempC,
      count: Math.max(1, group.size.total),
      measured: within,
      today: to,
      targetCm: null,
    });
    const [first, last] = [samples[0], samples.length > 1 ? samples.at(-1) : undefined];
    const days = first && last ? daysBetween(first.day, last.day) : 0;
    const eatenG = sumOf(own.map((row) => row.offeredG - row.refusedG - row.leftG));
    const dryG = sumOf(
      own.map(
        (row) =>
          (row.offeredG - row.refusedG - row.leftG) *
          (1 - (foods.get(row.foodId)?.composition.moisture ?? 0)),
      ),
    );
    // What they gained against all that they ate: only where both tell of the same days.
    const covers = days > 0 && daysBetween(since, to) <= days * 1.5;
    const gainedG =
      first && last ? (last.massG - first.massG) * ((began + group.size.total) / 2 || 1) : 0;
    return [
      {
        groupId: group.id,
        name: group.name,
        speciesKey: group.speciesKey,
        tankId: group.tankId,
        tankName: tank.name,
        began,
        ended: group.archived ? 0 : group.size.total,
        died,
        causes,
        over30,
        first: sampleOf(first),
        last: sampleOf(last),
        growthPerDay:
          first && last && days > 0
            ? (100 * Math.log(last.massG / first.massG)) / days
            : (growthRate?.perDay ?? null),
        usualCm:
          first && days > 0
            ? usualLength(species, tank.tempC, first.mean, days) - first.mean
            : null,
        eatenG,
        conversion: covers && dryG > 0 ? foodConversion(dryG, gainedG) : null,
        costMinor: costOf(own),
      },
    ];
  });
}

function tanksIn(
  household: HouseholdSnapshot,
  { to }: Span,
  rows: Rows,
  events: readonly WaterEventRow[],
): Account['tanks'] {
  const { groups } = household.on(to);
  const walked = [...household.tanksOn(to)].sort((a, b) => a.walkOrder - b.walkOrder);
  return walked.flatMap((tank: Tank) => {
    const own = events.filter(({ tankId }) => tankId === tank.id);
    const fed = rows.filter(({ tankId }) => tankId === tank.id);
    if (tank.archived && own.length === 0 && fed.length === 0) return [];
    const tested = own.filter(({ kind }) => kind === 'tested');
    const nitrate = tested.flatMap((event) => event.nitrate ?? []);
    const changed = own.filter(({ kind }) => kind === 'changed');
    const litres = waterLitres(tank)?.value ?? null;
    const caps = groups
      .filter((group) => group.tankId === tank.id && group.size.total > 0)
      .flatMap(({ speciesKey }) => household.species.get(speciesKey)?.nitrate ?? [])
      .map((stands) => STANDS_MG_L[stands]);
    return [
      {
        tankId: tank.id,
        name: tank.name,
        tests: tested.length,
        nitrate:
          nitrate.length > 0
            ? {
                n: nitrate.length,
                mean: sumOf(nitrate) / nitrate.length,
                max: Math.max(...nitrate),
              }
            : null,
        capMgL: caps.length > 0 ? Math.min(...caps) : null,
        changes: changed.length,
        litres: litres === null ? null : litres * sumOf(changed.map(({ share }) => share ?? 0)),
        costMinor: costOf(fed),
      },
    ];
  });
}

function foodsIn(rows: Rows, ratings: readonly Rating[]): Account['foods'] {
  return groups(rows, ({ foodId }) => foodId).map(([foodId, own]) => {
    const said = ratings.filter((rating) => rating.foodId === foodId);
    const count = (what: 'colour' | 'growth') =>
      Object.fromEntries(
        RATED.map((how) => [how, said.filter((rating) => rating[what] === how).length]),
      ) as Account['foods'][number]['colour'];
    return {
      foodId,
      name: own[0]!.foodName,
      family: own[0]!.family,
      offeredG: sumOf(own.map((row) => row.offeredG)),
      refusedG: sumOf(own.map((row) => row.refusedG)),
      leftG: sumOf(own.map((row) => row.leftG)),
      costMinor: costOf(own),
      colour: count('colour'),
      growth: count('growth'),
    };
  });
}
