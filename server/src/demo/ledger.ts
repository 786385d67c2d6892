import { addDays } from '@open-larder/core';
import type { Chance } from './chance';
import { LEDGER } from './scenario';

interface DemoSetting {
  chance: Chance;
  now: Date;
  today: string;
  groups: readonly { id: string; name: string }[];
  foodIds: ReadonlyMap<string, string>;
}

type Row = Record<string, unknown>;
const DAY_MS = 86_400_000;

/** Trials, ratings and answers of the demo. */
export function writeLedger({ chance, now, today, groups, foodIds }: DemoSetting): {
  trials: Row[];
  ratings: Row[];
  answers: Row[];
} {
  const groupOf = (name: string) => {
    const group = groups.find((one) => one.name === name);
    if (!group) throw new Error(`the demo has no group ${name}`);
    return group.id;
  };
  const foodOf = (key: string) => {
    const id = foodIds.get(key);
    if (id === undefined) throw new Error(`the demo has no food ${key}`);
    return id;
  };
  const event = (daysAgo: number) => {
    const at = new Date(now.getTime() - daysAgo * DAY_MS);
    return { id: chance.id(at), day: addDays(today, -daysAgo), at };
  };
  return {
    trials: LEDGER.trials.map(({ group, daysAgo, changedDaysAgo, ...trial }) => ({
      id: event(daysAgo).id,
      ...trial,
      groupId: groupOf(group),
      otherGroupId: null,
      fromDay: addDays(today, -daysAgo),
      changedOn: addDays(today, -changedDaysAgo),
      endedOn: null,
      tubsEach: 1,
      version: 1,
      archived: false,
    })),
    ratings: LEDGER.ratings.map(({ group, food, daysAgo, ...rating }) => ({
      ...event(daysAgo),
      ...rating,
      groupId: groupOf(group),
      foodId: foodOf(food),
      hand: null,
    })),
    answers: LEDGER.answers.map(({ group, daysAgo, signs, ...answer }) => ({
      ...event(daysAgo),
      ...answer,
      kind: 'portions',
      groupId: groupOf(group),
      tankId: null,
      foodId: null,
      version: 1,
      hand: null,
      signs: signs.map((sign) => ({
        seen: sign.seen,
        day: addDays(today, -sign.daysAgo),
        pull: 0.5,
        weight: 1,
      })),
    })),
  };
}
