import type { Tank } from '@open-larder/contract';
import { addDays } from '@open-larder/core';
import type { Chance } from './chance';
import { BROODS } from './scenario';

interface DemoSetting {
  chance: Chance;
  now: Date;
  today: string;
  tanks: readonly Pick<Tank, 'id' | 'name'>[];
  groups: readonly { id: string; name: string }[];
}

type Row = Record<string, unknown>;
const DAY_MS = 86_400_000;

/** The demo's broods: a clutch of before, and the one at day nine. */
export function writeBroodHistory({ chance, now, today, tanks, groups }: DemoSetting): {
  broods: Row[];
  tubs: Row[];
  events: Row[];
} {
  const named = (rows: readonly { id: string; name: string }[], name: string | null) => {
    if (name === null) return null;
    const row = rows.find((one) => one.name === name);
    if (!row) throw new Error(`the demo has no ${name}`);
    return row.id;
  };
  const report = BROODS.map((brood) => ({ brood, id: chance.id(now), tubId: chance.id(now) }));
  return {
    broods: report.map(({ brood, id }) => ({
      id,
      name: brood.name,
      speciesKey: brood.species,
      breeding: null,
      tankId: named(tanks, brood.tank),
      groupId: named(groups, brood.group),
      youngGroupId: named(groups, brood.youngGroup),
      raising: 'apart',
      eggCare: 'moved',
      firstWater: 'parents',
      firstFood: null,
      targetCm: 3,
      conditionDays: null,
      checkpoints: [],
      version: 1,
    })),
    tubs: report.map(({ brood, id, tubId }) => ({
      ...brood.tub,
      id: tubId,
      broodId: id,
      version: 1,
    })),
    events: report.flatMap(({ brood, id, tubId }) =>
      brood.events.map(({ daysAgo, note = '', ...event }) => {
        const at = new Date(now.getTime() - daysAgo * DAY_MS);
        return {
          ...event,
          id: chance.id(at),
          broodId: id,
          tubId,
          day: addDays(today, -daysAgo),
          at,
          note,
        };
      }),
    ),
  };
}
