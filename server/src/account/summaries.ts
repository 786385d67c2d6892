import { addDays, daysBetween } from '@open-larder/core';
import { formatGrams, formatQuantity, formatMgL } from '@open-larder/say';
import { computeGrowthStatus } from '@open-larder/core/growth';
import { scaleOf } from '@open-larder/core/units';
import { waterLitres } from '@open-larder/core/tank';
import type { Scope } from '../db';
import { measuredIn } from '../group/measured';
import { notFound } from '../http/problems';
import { answersAfter } from '../proposal/answers';
import { answeredOf } from '../proposal/answered';
import { formatDay } from '../print/document';
import { ratingsIn } from '../rating/store';
import type { HouseholdSnapshot } from '../round/house';
import { trialRow, trials } from '../trial/store';
import { listEvents } from '../water/store';
import { accountIn } from './account';
import type { Dot, Summary } from './summarySheet';
import {
  byFood,
  fish,
  lengthIn,
  money,
  percent,
  formatDecided,
  formatDiet,
  formatGroup,
  formatLife,
  formatRating,
  formatTrial,
} from './labels';

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
  const scale = scaleOf(household.units, 'length');
  return {
    title: row.name,
    about: [
      species?.common,
      tank ? `in ${tank.name}` : null,
      state ? `${fish(state.size.total)}, ${state.stage}` : 'no longer kept',
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
          .map(formatLife(household)),
      },
      {
        head: 'Growth',
        lines: [...samples]
          .reverse()
          .map(({ day, mean, low, high, n }) =>
            [
              `${formatDay(day)}: ${lengthIn(household, mean)} of ${n}`,
              low !== null && high !== null
                ? `between ${lengthIn(household, low)} and ${lengthIn(household, high)}`
                : null,
            ]
              .filter(Boolean)
              .join(', '),
          ),
      },
      { head: 'The last year', lines: account ? formatGroup(account, report) : [] },
      {
        head: 'What it ate in the last year',
        lines: known.served
          .filter(({ groupId }) => groupId === id)
          .sort((a, b) => b.offeredG - a.offeredG)
          .map(
            ({ foodName, servings, offeredG, refusedG, leftG }) =>
              `${foodName}: ${servings} times, ${formatGrams(offeredG - refusedG - leftG)} of ${formatGrams(offeredG)} eaten`,
          ),
      },
      {
        head: 'What its foods did',
        lines: known.ratings.filter(({ groupId }) => groupId === id).map(formatRating),
      },
      { head: 'Its diet now', lines: formatDiet(household.on(today).house, id, today) },
      {
        head: 'What was decided',
        lines: known.answered.filter(({ groupId }) => groupId === id).map(formatDecided(household)),
      },
      {
        head: 'Trials',
        lines: known.trials
          .filter((trial) => trial.groupId === id || trial.otherGroupId === id)
          .map(formatTrial),
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
  return {
    title: tank.name,
    about: [
      litres === null ? null : formatQuantity(household.units, 'volume', litres),
      formatQuantity(household.units, 'temperature', tank.tempC),
      rhythm ? `${percent(rhythm.share)} of the water every ${rhythm.everyDays} days` : null,
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
            ({ name, size, stage, lengthCm }) =>
              `${name}: ${fish(size.total)}, ${stage}${lengthCm === null ? '' : `, ${lengthIn(household, lengthCm)}`}`,
          ),
      },
      {
        head: 'The last year',
        lines: [
          ...(account
            ? [
                `${account.changes} changes of water${account.litres === null ? '' : `, ${formatQuantity(household.units, 'volume', account.litres)} in all`}; ${account.tests} tests`,
                ...(account.nitrate
                  ? [
                      `Nitrate ${formatMgL(account.nitrate.mean)} mg/L in the mean of ${account.nitrate.n}, ${formatMgL(account.nitrate.max)} at the highest`,
                    ]
                  : []),
                ...(account.costMinor === null
                  ? []
                  : [`Food for ${money(account.costMinor, report)}`]),
              ]
            : []),
          ...groups.flatMap((group) =>
            formatGroup(group, report).map((line) => `${group.name}: ${line}`),
          ),
        ],
      },
      {
        head: 'What went in, in the last year',
        lines: byFood(known.served.filter(({ tankId }) => tankId === id)),
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
          .map(({ event, name }) => `${formatLife(household)(event)} · ${name}`),
      },
      {
        head: 'What was decided',
        lines: known.answered
          .filter(({ tankId, groupId }) => tankId === id || (groupId !== null && ids.has(groupId)))
          .map((answer) => `${formatDecided(household)(answer)} · ${answer.about}`),
      },
    ],
  };
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
