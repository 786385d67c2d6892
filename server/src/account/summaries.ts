import type { TrialRow } from '@open-larder/contract';
import { addDays, dayOfCycle, daysBetween, type FeedingModel } from '@open-larder/core';
import { formatDay, formatQuantity } from '@open-larder/say';
import {
  formatByFood,
  formatDecision,
  formatKept,
  formatGroupYear,
  formatLifeEvent,
  formatMeals,
  formatMeasured,
  formatRating,
  formatRhythm,
  formatServing,
  formatTankYear,
  formatTrial,
} from '@open-larder/say/summary';
import { computeGrowthStatus } from '@open-larder/core/growth';
import { scaleOf } from '@open-larder/core/units';
import { waterLitres } from '@open-larder/core/tank';
import type { Scope } from '../db';
import { measuredIn } from '../group/measured';
import { notFound } from '../http/problems';
import { answersAfter } from '../proposal/answers';
import { answeredOf } from '../proposal/answered';
import { ratingsIn } from '../rating/store';
import type { HouseholdSnapshot } from '../round/house';
import { trialRow, trials } from '../trial/store';
import { listEvents } from '../water/store';
import { accountIn } from './account';
import type { Dot, Summary } from './summarySheet';

/** So far back a summary shows of food, water and costs. */
const SPAN_DAYS = 365;
const MAX = 500;

interface SummaryContext {
  household: HouseholdSnapshot;
  today: string;
  currency: string;
}

/** All that became of a group. @throws ProblemError 404 where there is no such group */
export async function groupSummary(
  scope: Scope,
  id: string,
  report: SummaryContext,
): Promise<Summary> {
  const { household, today } = report;
  const life = household.history.lives.find(({ row }) => row.id === id);
  if (!life) throw notFound('This group');
  const { row, events } = life;
  const known = await readPast(scope, report);
  const state = household.on(today).groups.find((group) => group.id === id);
  const species = household.species.get(row.speciesKey);
  const tank = household.tanks.find((one) => one.id === state?.tankId);
  const account = known.account.groups.find(({ groupId }) => groupId === id);
  const growth =
    species &&
    computeGrowthStatus({
      species,
      tempC: tank?.tempC ?? 25,
      count: Math.max(1, state?.size.total ?? 1),
      measured: measuredIn(events, today),
      today,
      targetCm: null,
    });
  const samples = growth?.samples ?? [];
  const first = samples[0];
  const { units } = household;
  const scale = scaleOf(units, 'length');
  const reader = { units, currency: report.currency };
  return {
    title: row.name,
    about: [
      species?.common,
      tank ? `in ${tank.name}` : null,
      state ? formatKept(state) : 'no longer kept',
      formatDay(today),
    ]
      .filter(Boolean)
      .join(' · '),
    curve: first
      ? {
          head: 'Mean length with its interval',
          unit: scale.unit,
          ends: [formatDay(first.day), formatDay(samples.at(-1)!.day)],
          points: samples.map((sample): Dot => ({
            day: daysBetween(first.day, sample.day),
            value: scale.fromBase(sample.mean),
            low: sample.low === null ? null : scale.fromBase(sample.low),
            high: sample.high === null ? null : scale.fromBase(sample.high),
          })),
          cap: null,
        }
      : null,
    parts: [
      {
        head: 'Its life, the newest first',
        // What was measured stands under growth.
        lines: [...events]
          .reverse()
          .filter(({ kind }) => kind !== 'measured')
          .map(formatLifeEvent(household)),
      },
      {
        head: 'Growth',
        lines: [...samples].reverse().map((sample) => formatMeasured(sample, units)),
      },
      { head: 'The last year', lines: account ? formatGroupYear(account, reader) : [] },
      {
        head: 'What it ate in the last year',
        lines: formatMeals(known.served.filter(({ groupId }) => groupId === id)),
      },
      {
        head: 'What its foods did',
        lines: known.ratings.filter(({ groupId }) => groupId === id).map(formatRating),
      },
      { head: 'Its diet now', lines: formatDiet(household.on(today).house, id, today) },
      {
        head: 'What was decided',
        lines: known.answered
          .filter(({ groupId }) => groupId === id)
          .map((answer) => formatDecision(answer, units)),
      },
      {
        head: 'Trials',
        lines: known.trials
          .filter((trial) => trial.groupId === id || trial.otherGroupId === id)
          .map((trial) => formatTrial({ ...trial, result: resultOf(trial) })),
      },
    ],
  };
}

/** All that became of a tank. @throws ProblemError 404 where there is no such tank */
export async function tankSummary(
  scope: Scope,
  id: string,
  report: SummaryContext,
): Promise<Summary> {
  const { household, today } = report;
  const tank = household.tanksOn(today).find((one) => one.id === id);
  if (!tank) throw notFound('This tank');
  const known = await readPast(scope, report);
  const account = known.account.tanks.find(({ tankId }) => tankId === id);
  const events = known.water.filter(({ tankId }) => tankId === id);
  const tests = events.filter(({ nitrate }) => nitrate !== null);
  const groups = known.account.groups.filter(({ tankId }) => tankId === id);
  const ids = new Set(groups.map(({ groupId }) => groupId));
  const litres = waterLitres(tank)?.value ?? null;
  const rhythm = tank.plan?.water;
  const { units } = household;
  const reader = { units, currency: report.currency };
  return {
    title: tank.name,
    about: [
      litres === null ? null : formatQuantity(units, 'volume', litres),
      formatQuantity(units, 'temperature', tank.tempC),
      rhythm ? formatRhythm(rhythm) : null,
      formatDay(today),
    ]
      .filter(Boolean)
      .join(' · '),
    curve: tests[0]
      ? {
          head: account?.capMgL
            ? `Nitrate as tested; its fish tolerate ${account.capMgL}`
            : 'Nitrate as tested',
          unit: 'mg/L',
          ends: [formatDay(tests[0].day), formatDay(tests.at(-1)!.day)],
          points: tests.map((test): Dot => ({
            day: daysBetween(tests[0]!.day, test.day),
            value: test.nitrate!,
            low: null,
            high: null,
          })),
          cap: account?.capMgL ?? null,
        }
      : null,
    parts: [
      {
        head: 'Who lives here',
        lines: household
          .on(today)
          .groups.filter((group) => group.tankId === id)
          .map(
            (one) =>
              `${one.name}: ${formatKept(one)}${one.lengthCm === null ? '' : `, ${formatQuantity(units, 'length', one.lengthCm)}`}`,
          ),
      },
      {
        head: 'The last year',
        lines: [
          ...(account ? formatTankYear(account, reader) : []),
          ...groups.flatMap((group) =>
            formatGroupYear(group, reader).map((line) => `${group.name}: ${line}`),
          ),
        ],
      },
      {
        head: 'What went in, in the last year',
        lines: formatByFood(known.served.filter(({ tankId }) => tankId === id)),
      },
      {
        head: 'Its life, the newest first',
        lines: household.history.lives
          .filter(({ row }) => ids.has(row.id))
          .flatMap(({ row, events: life }) =>
            life
              .filter((event) => event.kind !== 'measured')
              .map((event) => ({ event, name: row.name })),
          )
          .sort((a, b) => (a.event.day < b.event.day ? 1 : -1))
          .map(({ event, name }) => `${formatLifeEvent(household)(event)} · ${name}`),
      },
      {
        head: 'What was decided',
        lines: known.answered
          .filter(({ tankId, groupId }) => tankId === id || (groupId !== null && ids.has(groupId)))
          .map((answer) => `${formatDecision(answer, units)} · ${answer.about}`),
      },
    ],
  };
}

/** The result of a trial, null where nothing can be said yet. */
const resultOf = ({ status }: TrialRow) =>
  status?.result && !('refused' in status.result) ? status.result : null;

function formatDiet(house: FeedingModel, groupId: string, today: string): string[] {
  const group = house.groups.find(({ id }) => id === groupId);
  const tank = house.tanks.find(({ id }) => id === group?.tankId);
  const moments = new Map(house.moments.map((moment) => [moment.id, moment.name]));
  const foods = new Map(house.foods.map((food) => [food.id, food]));
  if (!group?.diet || !tank) return [];
  const { cycle } = tank.plan;
  return group.diet.servings.flatMap(({ foodId, momentId, ...serving }) => {
    const food = foods.get(foodId);
    if (!food) return [];
    return formatServing({
      ...serving,
      food,
      momentName: moments.get(momentId) ?? null,
      cycleDays: cycle.days,
      today: dayOfCycle(cycle, today),
    });
  });
}

async function readPast(scope: Scope, { household, today }: SummaryContext) {
  const from = addDays(today, -SPAN_DAYS);
  const span = { from, to: today };
  const [account, ratings, water, answers, allTrials] = await Promise.all([
    accountIn(scope, household, span),
    ratingsIn(scope, from, today),
    listEvents(scope, null, from),
    answersAfter(scope, null, MAX),
    trials(scope, null, MAX),
  ]);
  return {
    account,
    served: account.served,
    ratings,
    water,
    answered: await answeredOf(scope, household, answers, today),
    trials: allTrials
      .filter(({ archived }) => !archived)
      .map((trial) => trialRow(household, trial, today)),
  };
}
