import type { Answer, AnswerCreate, Proposals } from '@open-larder/contract';
import {
  addDays,
  effectOf,
  propose,
  QUIET_DAYS,
  refusedFoods,
  sayUnits,
  type Effect,
  type Food,
  type HouseGroup,
  type HouseTank,
  type Proposal,
} from '@open-larder/core';
import type { Scope } from '../db';
import { saveDiet } from '../diet/store';
import { readFood } from '../food/store';
import { readHistory } from '../group/history';
import { readGroup } from '../group/store';
import { conflict, notFound, stale } from '../http/problems';
import type { Household } from '../round/house';
import { readSeen, type Seen } from './seen';

const COLUMNS = `a.id, a.group_id, a.kind, a.food_id, a.accepted, a.change, a.day::text, a.hand`;
const STANDING = `a.household_id = :household AND a.undoes IS NULL
  AND NOT EXISTS (SELECT 1 FROM answers u WHERE u.undoes = a.id)`;

/** Answers that keep a proposal quiet on a day. */
const quietAnswers = (scope: Scope, today: string): Promise<Answer[]> =>
  scope.rows(
    `SELECT ${COLUMNS} FROM answers a
      WHERE ${STANDING} AND NOT a.accepted AND a.day > :since`,
    { since: addDays(today, -QUIET_DAYS) },
  );

interface PortionsProposed {
  group: HouseGroup;
  dietVersion: number;
  proposal: Proposal;
  effect: Effect;
}

/** All that a household's proposals are worked out from. */
interface Ground {
  household: Household;
  today: string;
  seen: Seen;
  quiet: readonly Answer[];
}

export async function groundOf(scope: Scope, household: Household, today: string): Promise<Ground> {
  const [seen, quiet] = await Promise.all([
    readSeen(scope, household, today),
    quietAnswers(scope, today),
  ]);
  return { household, today, seen, quiet };
}

/** Other portions for those groups whose signs ask for them, in the order of the house. */
function portionsFor({ household, today, seen, quiet }: Ground): PortionsProposed[] {
  const { groups, house } = household.on(today);
  const rows = new Map(groups.map((row) => [row.id, row]));
  const tanks = new Map<string, HouseTank>(house.tanks.map((tank) => [tank.id, tank]));
  const foods = new Map<string, Food>(house.foods.map((food) => [food.id, food]));
  return house.groups.flatMap((group) => {
    const diet = rows.get(group.id)?.diet;
    const tank = tanks.get(group.tankId);
    const declined = quiet.some((one) => one.kind === 'portions' && one.groupId === group.id);
    if (!diet || !tank || declined || group.count === 0) return [];
    const proposal = propose(group.stage, seen.signsOf(group), today);
    const effect = proposal && effectOf(group, tank, foods, proposal.change, addDays(today, 1));
    return effect ? [{ group, dietVersion: diet.version, proposal, effect }] : [];
  });
}

/** What is proposed today, as a keeper reads it. */
export function proposalsOf(ground: Ground): Proposals {
  const { household, today, seen, quiet } = ground;
  const { house } = household.on(today);
  const foods = new Map(house.foods.map((food) => [food.id, food]));
  const moments = new Map(house.moments.map((moment) => [moment.id, moment]));
  return {
    portions: portionsFor(ground).map(({ group, dietVersion, proposal, effect }) => ({
      groupId: group.id,
      groupName: group.name,
      tankId: group.tankId,
      dietVersion,
      change: effect.change,
      signs: proposal.signs.map(({ kind, day, says }) => ({ kind, day, says })),
      changed: effect.changed.map(({ servingId, foodId, momentId, before, after }) => {
        const food = foods.get(foodId)!;
        return {
          servingId,
          foodName: food.name,
          momentName: moments.get(momentId)?.name ?? '',
          before: sayUnits(before, food.unit),
          after: sayUnits(after, food.unit),
        };
      }),
      why: proposal.why,
    })),
    trainings: house.groups.flatMap((group) =>
      refusedFoods(group, seen.triedBy(group.id), today).flatMap(
        ({ foodId, withFoodId, ...refused }) => {
          const food = foods.get(foodId);
          const known = foods.get(withFoodId);
          const declined = quiet.some((one) => one.groupId === group.id && one.foodId === foodId);
          if (!food || !known || declined) return [];
          return [
            {
              ...refused,
              groupId: group.id,
              groupName: group.name,
              tankId: group.tankId,
              foodId,
              foodName: food.name,
              withFoodName: known.name,
            },
          ];
        },
      ),
    ),
  };
}

type StoredAnswer = Answer & { dietVersion: number; signs: unknown; undone: boolean };

async function readAnswer(scope: Scope, id: string): Promise<StoredAnswer | null> {
  const [row] = await scope.rows<StoredAnswer>(
    `SELECT ${COLUMNS}, a.diet_version, a.signs,
            EXISTS (SELECT 1 FROM answers u WHERE u.undoes = a.id) AS undone
       FROM answers a WHERE a.household_id = :household AND a.id = :id AND a.undoes IS NULL`,
    { id },
  );
  return row ?? null;
}

const told = ({ dietVersion: _, signs: __, undone: ___, ...answer }: StoredAnswer): Answer =>
  answer;

/**
 * Keep an answer; accepted portions become the group's diet from today. The same id sent again
 * changes nothing.
 * @throws ProblemError 404 where there is no such group, 409 where the diet was changed meanwhile or
 *   nothing is proposed any more
 */
export async function answerProposal(
  scope: Scope,
  body: AnswerCreate,
  ground: Ground,
): Promise<Answer> {
  const { today } = ground;
  await scope.lock(`answer ${body.groupId}`);
  const known = await readAnswer(scope, body.id);
  if (known) return told(known);
  const group = await readGroup(scope, body.groupId, today);
  if (!group) throw notFound('This group');
  const row = { ...body, change: null as number | null, signs: [] as unknown, day: today };
  if (body.foodId !== null && !(await readFood(scope, body.foodId))) throw notFound('This food');
  if (body.kind === 'portions') {
    const { diet } = group;
    if (!diet || diet.version !== body.dietVersion) throw stale('This diet', body, diet);
    const found = portionsFor(ground).find((one) => one.group.id === group.id);
    if (!found) throw conflict('This is no longer proposed: more was seen since. Reload the page.');
    row.change = found.effect.change;
    row.signs = found.proposal.signs;
    if (body.accepted) {
      const { goalFactor, servings } = found.effect.diet;
      const { fastWeekdays, rules, version } = diet;
      const edit = {
        fastWeekdays,
        rules,
        version,
        goalFactor,
        servings: servings as typeof diet.servings,
      };
      row.dietVersion = (await saveDiet(scope, group.id, edit, today)).version;
    }
  }
  await scope.insert('answers', [row]);
  const kept = await readAnswer(scope, body.id);
  if (!kept) throw conflict('This id is already used. Reload and try again.');
  return told(kept);
}

/**
 * Take an answer back; the portions of an accepted one become those of before. A second time changes
 * nothing.
 * @throws ProblemError 409 where the diet was changed since
 */
export async function undoAnswer(
  scope: Scope,
  id: string,
  undo: { id: string; at: string },
  today: string,
): Promise<Answer> {
  const known = await readAnswer(scope, id);
  if (!known) throw notFound('This answer');
  await scope.lock(`answer ${known.groupId}`);
  const answer = (await readAnswer(scope, id)) as StoredAnswer;
  const { undone, ...row } = answer;
  if (undone) return told(answer);
  if (answer.accepted) await restoreDiet(scope, answer, today);
  await scope.insert('answers', [{ ...row, ...undo, undoes: id }]);
  return told(answer);
}

/** Write the diet of before an accepted answer as the newest. */
async function restoreDiet(
  scope: Scope,
  { groupId, dietVersion }: StoredAnswer,
  today: string,
): Promise<void> {
  const group = await readGroup(scope, groupId, today);
  if (group?.diet?.version !== dietVersion) {
    throw conflict('The diet was changed since. Change its portions there.');
  }
  const [life] = (await readHistory(scope, [groupId])).lives;
  const before = life?.diets.find(({ version }) => version === dietVersion - 1);
  if (!before) throw notFound('The diet of before');
  const { fastWeekdays, goalFactor, servings, rules } = before;
  const edit = { fastWeekdays, goalFactor, servings, rules, version: dietVersion };
  await saveDiet(scope, groupId, edit, today);
}
