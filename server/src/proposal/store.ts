import type { Answer, AnswerCreate, Group, PlanEdit, PlanRow } from '@open-larder/contract';
import { groupOnDay, type Sign } from '@open-larder/core';
import type { Scope } from '../db';
import { saveDiet } from '../diet/store';
import { readFood } from '../food/store';
import { readHistory } from '../group/history';
import { readGroup } from '../group/store';
import { conflict, notFound, stale } from '../http/problems';
import type { HouseholdSnapshot } from '../round/house';
import { plansOn, planVersions, savePlan } from '../plan/store';
import { ANSWERS, report, type StoredAnswer } from './answers';
import { portionsFor, watersFor, type ProposalContext } from './ground';

const GONE = 'This is no longer proposed: more was seen since. Reload the page.';

/** What an answer keeps beside what was sent. */
type Kept = Pick<StoredAnswer, 'change' | 'signs' | 'version'>;

/**
 * Keep an answer; what is accepted becomes the group's diet or the tank's plan from today. The same id
 * sent again changes nothing.
 * @throws ProblemError 404 where there is no such group or tank, 409 where diet or plan was changed
 *   meanwhile or nothing is proposed any more
 */
export async function answerProposal(
  scope: Scope,
  body: AnswerCreate,
  ground: ProposalContext,
): Promise<Answer> {
  await scope.lock(`answer ${body.groupId ?? body.tankId}`);
  const known = await ANSWERS.read(scope, body.id);
  if (known) return report(known);
  const kept =
    body.kind === 'water'
      ? await answerWater(scope, body, ground)
      : await answerGroup(scope, body, ground);
  return report(await ANSWERS.append(scope, { ...body, ...kept, day: ground.today }));
}

async function answerGroup(
  scope: Scope,
  body: AnswerCreate,
  ground: ProposalContext,
): Promise<Kept> {
  const group = await readGroup(scope, body.groupId!, ground.today);
  if (!group) throw notFound('This group');
  if (body.foodId !== null && !(await readFood(scope, body.foodId))) throw notFound('This food');
  if (body.kind === 'training') return { change: null, signs: [], version: body.version };
  return answerPortions(scope, body, ground, group);
}

async function answerPortions(
  scope: Scope,
  body: AnswerCreate,
  ground: ProposalContext,
  { id, diet }: Group,
): Promise<Kept> {
  if (!diet || diet.version !== body.version) throw stale('This diet', body, diet);
  const found = portionsFor(ground).find((one) => one.group.id === id);
  if (!found) throw conflict(GONE);
  const kept = { change: found.effect.change, signs: found.proposal.signs, version: body.version };
  if (!body.accepted) return kept;
  const { goalFactor, servings } = found.effect.diet;
  const { fastWeekdays, rules, version } = diet;
  const edit = {
    fastWeekdays,
    rules,
    version,
    goalFactor,
    servings: servings as typeof diet.servings,
  };
  return { ...kept, version: (await saveDiet(scope, id, edit, ground.today)).version };
}

async function answerWater(
  scope: Scope,
  body: AnswerCreate,
  ground: ProposalContext,
): Promise<Kept> {
  const { today, household } = ground;
  const tank = household.tanksOn(today).find(({ id }) => id === body.tankId);
  if (!tank) throw notFound('This tank');
  if (tank.plan?.version !== body.version) throw stale('This plan', body, tank.plan);
  const found = watersFor(ground).find((one) => one.tank.id === tank.id);
  if (!found) throw conflict(GONE);
  const { share, everyDays, peakMgL, cap } = found.proposal;
  const signs: Sign[] = [
    {
      seen: {
        kind: 'nitrate',
        now: false,
        mgL: peakMgL,
        capMgL: cap.mgL,
        groupName: cap.groupName,
        grows: false,
      },
      day: today,
      pull: 0,
      weight: 1,
    },
  ];
  if (!body.accepted) return { change: null, signs, version: body.version };
  const water = { ...tank.plan.water!, share, everyDays };
  const version = await writePlan(scope, household, tank.id, { ...tank.plan, water }, today);
  return { change: null, signs, version };
}

/** Write a plan as the next version; no group's diet nor fast becomes another by it. */
async function writePlan(
  scope: Scope,
  household: HouseholdSnapshot,
  tankId: string,
  { validFrom: _, ...plan }: PlanRow,
  today: string,
): Promise<number> {
  const edit = { ...plan, diets: [] } as PlanEdit;
  const { tanks, groups: all } = household.on(today).house;
  const tank = tanks.find(({ id }) => id === tankId)!;
  const groups = all
    .filter((group) => group.tankId === tankId)
    .map((group) => ({ ...group, onDay: groupOnDay(group, tank) }));
  return (await savePlan(scope, tankId, edit, today, groups)).plan.version;
}

/**
 * Take an answer back; what an accepted one changed becomes what it was before. A second time changes
 * nothing.
 * @throws ProblemError 409 where the diet or the plan was changed since
 */
export async function undoAnswer(
  scope: Scope,
  id: string,
  undo: { id: string; at: string },
  household: HouseholdSnapshot,
  today: string,
): Promise<Answer> {
  const answer = await ANSWERS.undo(scope, id, undo, async (given) => {
    await scope.lock(`answer ${given.groupId ?? given.tankId}`);
    if (!given.accepted) return;
    await (given.kind === 'water'
      ? restorePlan(scope, household, given, today)
      : restoreDiet(scope, given, today));
  });
  return report(answer);
}

/** Write the diet of before an accepted answer as the newest. */
async function restoreDiet(
  scope: Scope,
  { groupId, version }: StoredAnswer,
  today: string,
): Promise<void> {
  const group = await readGroup(scope, groupId!, today);
  if (group?.diet?.version !== version) {
    throw conflict('The diet was changed since. Change its portions there.');
  }
  const [life] = (await readHistory(scope, [groupId!])).lives;
  const before = life?.diets.find((diet) => diet.version === version - 1);
  if (!before) throw notFound('The diet of before');
  const { fastWeekdays, goalFactor, servings, rules } = before;
  await saveDiet(scope, groupId!, { fastWeekdays, goalFactor, servings, rules, version }, today);
}

/** Write how the water was changed before an accepted answer as the newest plan. */
async function restorePlan(
  scope: Scope,
  household: HouseholdSnapshot,
  { tankId, version }: StoredAnswer,
  today: string,
): Promise<void> {
  const versions = await planVersions(scope, [tankId!]);
  const now = plansOn(versions, null).get(tankId!);
  const before = versions.find((plan) => plan.version === version - 1);
  if (now?.version !== version || !before) {
    throw conflict('The plan of the tank was changed since. Change its water there.');
  }
  await writePlan(scope, household, tankId!, { ...now, water: before.water }, today);
}
