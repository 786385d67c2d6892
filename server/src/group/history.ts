import type { DietRow, Group } from '@open-larder/contract';
import {
  addDays,
  BELLY_HOLDS_DAYS,
  stateOn,
  trainingOn,
  type Belly,
  type LifeEvent,
} from '@open-larder/core';
import type { Scope } from '../db';
import { conditionings, type Conditioned } from '../brood/store';
import { bellies } from '../look/store';
import { seenEaten } from '../sighting/eaten';
import { trainings, type BegunTraining } from '../training/begun';
import { eventsThatHold, lifeEventOf } from './life';

interface GroupRow {
  id: string;
  name: string;
  speciesKey: string;
  version: number;
  endedOn: string | null;
  bornOn: string | null;
  checkpoints: Group['checkpoints'];
}
type DietVersion = DietRow & { groupId: string };

interface GroupHistory {
  row: GroupRow;
  events: LifeEvent[];
  diets: DietVersion[];
  /** How its bellies looked, the oldest first. */
  bellies: { day: string; score: Belly }[];
  /** Foods that it was seen to eat, and since when. */
  eats: { day: string; foodId: string }[];
  /** Foods that it was trained onto, the oldest first. */
  trainings: BegunTraining[];
  /** Spans in which it was built up to spawn. */
  conditioned: Conditioned[];
  /** The group after each day on which something changed: between two of them it is the same. */
  states: Map<string, Group | null>;
  /** The days on which something about it changed, in order; worked out when first asked for. */
  changes?: string[];
}

/** Everything that ever happened to some groups: read once, and looked at on any day. */
export interface History {
  lives: GroupHistory[];
}

/**
 * Read the histories of groups, in a few queries whatever their number.
 * @param which ids, or null for all groups of the household
 */
export async function readHistory(scope: Scope, which: readonly string[] | null): Promise<History> {
  if (which?.length === 0) return { lives: [] };
  const only = (column: string) => (which === null ? '' : `AND ${column} IN (:which)`);
  const values = { which };
  const [rows, events, diets, servings, seen, eaten, trained, conditioned] = await Promise.all([
    scope.rows<GroupRow>(
      `SELECT id, name, species_key, version, ended_on::text, born_on::text, checkpoints
         FROM groups
        WHERE household_id = :household ${only('id')} ORDER BY id`,
      values,
    ),
    eventsThatHold(scope, which),
    scope.rows<DietVersion>(
      `SELECT group_id, version, valid_from::text, fast_weekdays, goal_factor, rules
         FROM diets WHERE household_id = :household ${only('group_id')} ORDER BY version`,
      values,
    ),
    scope.rows<DietRow['servings'][number] & { groupId: string; version: number }>(
      `SELECT group_id, version, id, food_id, moment_id, zone, place, days, weight, own_units, manner
         FROM diet_servings WHERE household_id = :household ${only('group_id')} ORDER BY position`,
      values,
    ),
    bellies(scope, which),
    seenEaten(scope, which),
    trainings(scope, which),
    conditionings(scope, which),
  ]);
  const lives = new Map<string, GroupHistory>(
    rows.map((row) => [
      row.id,
      {
        row,
        events: [],
        diets: [],
        bellies: [],
        eats: [],
        trainings: [],
        conditioned: [],
        states: new Map(),
      },
    ]),
  );
  for (const event of events) lives.get(event.groupId)?.events.push(lifeEventOf(event));
  for (const { groupId, ...belly } of seen) lives.get(groupId)?.bellies.push(belly);
  for (const { groupId, ...one } of eaten) lives.get(groupId)?.eats.push(one);
  for (const one of trained) lives.get(one.groupId)?.trainings.push(one);
  for (const one of conditioned) lives.get(one.groupId)?.conditioned.push(one);
  const versions = new Map<string, DietVersion>();
  for (const diet of diets) {
    const whole = { ...diet, servings: [] };
    versions.set(`${diet.groupId} ${diet.version}`, whole);
    lives.get(diet.groupId)?.diets.push(whole);
  }
  for (const { groupId, version, ...serving } of servings) {
    versions.get(`${groupId} ${version}`)?.servings.push(serving);
  }
  return { lives: [...lives.values()] };
}

/**
 * The groups as they were at the end of a day. Those that had not arrived yet are left out.
 * A group that did not change between two days is the same object on both.
 */
export function groupsOn(history: History, day: string): Group[] {
  return history.lives.flatMap((life) => {
    const since = lastChange(life, day);
    let state = life.states.get(since);
    if (state === undefined) {
      state = lifeOn(life, day);
      life.states.set(since, state);
    }
    return state ?? [];
  });
}

/** The latest day up to `day` on which something about the group changed. */
function lastChange(life: GroupHistory, day: string): string {
  const changes = (life.changes ??= changesOf(life));
  let low = 0;
  let high = changes.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (changes[middle]! <= day) low = middle + 1;
    else high = middle;
  }
  return changes[low - 1] ?? '';
}

/** The days on which something about a group changed, in order. */
function changesOf({
  row,
  events,
  diets,
  bellies: seen,
  eats,
  trainings: trained,
  conditioned,
}: GroupHistory): string[] {
  const days = new Set<string>(row.endedOn === null ? [] : [row.endedOn]);
  for (const event of events) days.add(event.day);
  for (const diet of diets) days.add(diet.validFrom);
  for (const day of new Set(seen.map((belly) => belly.day))) {
    days.add(day).add(addDays(day, BELLY_HOLDS_DAYS + 1));
  }
  for (const { day } of eats) days.add(day);
  for (const { from, to } of conditioned) days.add(from).add(to);
  for (const training of trained) {
    days.add(training.day);
    if (training.endedOn !== null) days.add(training.endedOn);
    for (const offer of training.offers) days.add(addDays(offer.day, 1));
  }
  return [...days].sort();
}

function lifeOn(life: GroupHistory, day: string): Group | null {
  const { row, events, diets, bellies: seen, eats } = life;
  const { endedOn, ...group } = row;
  const state = stateOn(events, day);
  if (!state) return null;
  const belly = seen.findLast((one) => one.day <= day) ?? null;
  const holds = belly !== null && addDays(belly.day, BELLY_HOLDS_DAYS) >= day;
  const diet = diets.findLast((one) => one.validFrom <= day) ?? null;
  return {
    ...group,
    ...state,
    stage: conditionedOut(life, state.stage, day) ? 'adult' : state.stage,
    archived: endedOn !== null && endedOn <= day,
    belly: holds ? belly : null,
    eats: eats.filter((one) => one.day <= day).map(({ foodId }) => foodId),
    diet: diet && {
      version: diet.version,
      validFrom: diet.validFrom,
      fastWeekdays: diet.fastWeekdays,
      goalFactor: diet.goalFactor,
      servings: diet.servings,
      rules: diet.rules,
    },
    training: trainedOn(life, day),
  };
}

/** Heavy feeding ends with its span, even where the keeper forgot to end it. */
function conditionedOut({ conditioned, events }: GroupHistory, stage: Group['stage'], day: string) {
  if (stage !== 'conditioning') return false;
  const since = events.findLast((one) => one.kind === 'staged' && one.day <= day)?.day ?? '';
  const spans = conditioned.filter(({ from, to }) => from <= day && to > since);
  return spans.length > 0 && spans.every(({ to }) => to <= day);
}

/** The training that is on; a day's meal counts from the next day on, so that no portion jumps. */
function trainedOn({ trainings: trained }: GroupHistory, day: string): Group['training'] {
  const on = trained.findLast(
    (one) => one.day <= day && (one.endedOn === null || one.endedOn > day),
  );
  if (!on) return null;
  const { id, servingId, foodId, fromStep, offers } = on;
  const past = offers.filter((offer) => offer.day < day).map(({ taken }) => taken);
  return { id, servingId, foodId, ...trainingOn(past, fromStep) };
}
