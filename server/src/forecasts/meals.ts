import type { LearnedRow, Observation, SightingRow } from '@open-larder/contract';
import { feedingOf, sightingOf, type FeedingRows } from '@open-larder/contract/zones';
import { addDays } from '@open-larder/core';
import { asRead, type Foreseen } from '@open-larder/core/forecasts';
import {
  foreseeBelly,
  foreseeMeal,
  type Feeding,
  type MealForeseen,
} from '@open-larder/core/zones';
import { LOOKS } from '../look/store';
import { SIGHTINGS } from '../sighting/store';
import type { Outcome, Seen } from './outcome';

/** A band of nine in ten needs no more of them. */
const RUNS = 24;
const SEED = 1;
/** A meal is looked at to a minute or so, and what is left by eye: to a tenth. Assumptions. */
const SHARE_READ_SD = 0.08;

/** Each watched meal: when it was gone or what was left of it; and each belly that was looked at. */
export async function mealOutcomes(seen: Seen): Promise<Outcome[]> {
  const [watched, looks] = await Promise.all([watchedMeals(seen), bellies(seen)]);
  const rowsOn = rowsReader(seen, await learnedVersions(seen));
  return [
    ...watched.flatMap((row) => mealOutcome(seen, row, rowsOn)),
    ...looks.flatMap((look) => bellyOutcome(seen, look, rowsOn)),
  ];
}

type Watched = SightingRow & { tankId: string };
type RowsOn = (tankId: string, day: string) => FeedingRows | null;

const watchedMeals = ({ scope, since, today }: Seen): Promise<Watched[]> =>
  SIGHTINGS.list(
    scope,
    `e.day BETWEEN :since AND :today
     AND NOT e.unwatched AND (e.cleared_min IS NOT NULL OR e."left" IS NOT NULL)
     ORDER BY e.day, e.seq`,
    { since, today },
  );

const bellies = ({ scope, since, today }: Seen): Promise<(Observation & { belly: number })[]> =>
  LOOKS.list(
    scope,
    'e.day BETWEEN :since AND :today AND e.belly IS NOT NULL ORDER BY e.day, e.seq',
    { since, today },
  ) as Promise<(Observation & { belly: number })[]>;

/** Versions of what was learned, by tank, the newest first. */
async function learnedVersions({ scope }: Seen) {
  const rows = await scope.rows<{ tankId: string; on: string; groups: LearnedRow['groups'] }>(
    `SELECT tank_id, recorded_at::date::text AS on, groups FROM learned
      WHERE household_id = :household ORDER BY tank_id, version DESC`,
  );
  return (tankId: string, day: string) =>
    rows.find((row) => row.tankId === tankId && row.on < day)?.groups;
}

/** A tank with its groups, plan and what was learned of it, as they were on a day. */
function rowsReader(
  { household }: Seen,
  learnedOn: (tankId: string, day: string) => LearnedRow['groups'] | undefined,
): RowsOn {
  const known = new Map<string, ReturnType<typeof household.on>>();
  return (tankId, day) => {
    const on = known.get(day) ?? household.on(day);
    known.set(day, on);
    const tank = household.tanksOn(day).find(({ id }) => id === tankId);
    if (!tank) return null;
    return {
      tank,
      groups: on.groups.filter((group) => group.tankId === tankId && group.size.total > 0),
      foods: household.foods,
      species: household.species,
      house: on.house,
      learned: learnedOn(tankId, day),
    };
  };
}

function mealOutcome({ household }: Seen, row: Watched, rowsOn: RowsOn): Outcome[] {
  const kind = row.clearedMin !== null ? 'clearing' : 'left';
  const tank = household.tanks.find(({ id }) => id === row.tankId);
  return [
    {
      kind,
      eventId: row.id,
      about: tank?.name ?? '',
      madeOn: row.day,
      day: row.day,
      actual: row.clearedMin ?? row.left! * 100,
      foresee: () => {
        const rows = rowsOn(row.tankId, row.day);
        const sighting = rows && sightingOf(rows, row);
        if (!rows || !sighting || sighting.feeding.groups.length === 0) return null;
        const traits = new Map(rows.learned?.map((one) => [one.groupId, one]));
        const groups = sighting.feeding.groups.map((group) => ({
          ...group,
          learned: traits.get(group.id),
        }));
        const seen = foreseeMeal(
          { ...sighting, feeding: { ...sighting.feeding, groups } },
          RUNS,
          SEED,
        );
        return kind === 'clearing' ? seen.clearedMin : leftInPercent(seen);
      },
    },
  ];
}

/** What is left is judged by eye, between nothing and all of it. */
function leftInPercent({ left }: MealForeseen): Foreseen {
  const { low, middle, high } = asRead(left, SHARE_READ_SD);
  return { low: 100 * Math.max(0, low), middle: 100 * middle, high: 100 * Math.min(1, high) };
}

/** The same planned day of the same fish gives the same bellies: it is simulated once. */
const planned = new WeakMap<Seen, Map<string, Foreseen | null>>();

function bellyOutcome(
  seen: Seen,
  { id, groupId, day, belly }: Awaited<ReturnType<typeof bellies>>[number],
  rowsOn: RowsOn,
): Outcome[] {
  const madeOn = addDays(day, -1);
  const life = seen.household.history.lives.find(({ row }) => row.id === groupId);
  if (!life) return [];
  return [
    {
      kind: 'belly',
      eventId: id,
      about: life.row.name,
      madeOn,
      day,
      actual: belly,
      foresee: () => {
        const group = seen.household.on(madeOn).groups.find((one) => one.id === groupId);
        const rows = group && rowsOn(group.tankId, madeOn);
        if (!rows) return null;
        const feeding = feedingOf(rows, madeOn, null);
        const memo = planned.get(seen) ?? new Map<string, Foreseen | null>();
        planned.set(seen, memo);
        const key = `${groupId} ${signatureOf(feeding)}`;
        const known = memo.get(key);
        if (known !== undefined) return known;
        const foreseen = foreseeBelly(feeding, groupId);
        memo.set(key, foreseen);
        return foreseen;
      },
    },
  ];
}

const signatureOf = ({ groups, drops }: Feeding): string =>
  JSON.stringify([
    groups.map(({ id, count, lengthCm, learned }) => [id, count, lengthCm, learned]),
    drops.map(({ foodId, atMin, massG, zone }) => [foodId, atMin, Math.round(massG * 1e4), zone]),
  ]);
