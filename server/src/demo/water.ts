import type { Tank } from '@open-larder/contract';
import { addDays } from '@open-larder/core';
import type { Chance } from './chance';
import { HISTORY_DAYS, WATER } from './scenario';

interface DemoSetting {
  chance: Chance;
  now: Date;
  today: string;
  tanks: readonly Pick<Tank, 'id' | 'name'>[];
}

type Row = Record<string, unknown>;
const DAY_MS = 86_400_000;

/** How the demo’s water is changed, and what was tested and changed up to now. */
export function writeWaterHistory({ chance, now, today, tanks }: DemoSetting): {
  plans: Row[];
  events: Row[];
} {
  const idOf = (name: string) => {
    const tank = tanks.find((one) => one.name === name);
    if (!tank) throw new Error(`the demo has no tank ${name}`);
    return tank.id;
  };
  const of = (tank: string, daysAgo: number, event: Row) => {
    const at = new Date(now.getTime() - daysAgo * DAY_MS);
    const day = addDays(today, -daysAgo);
    return { id: chance.id(at), tankId: idOf(tank), day, at, note: '', sure: false, ...event };
  };
  return {
    plans: WATER.map(({ tank, share, everyDays, sourceMgL, source, second, mixTo }) => ({
      tankId: idOf(tank),
      version: 1,
      validFrom: addDays(today, -HISTORY_DAYS),
      cycleDays: 7,
      // A Monday: the days of a week are its weekdays.
      cycleFrom: '2024-01-01',
      feedingStyle: null,
      fasts: [],
      water: { share, everyDays, sourceMgL, source, second, mixTo },
    })),
    events: WATER.flatMap(({ tank, share, changed, tested }) => [
      ...changed.map((daysAgo) => of(tank, daysAgo, { kind: 'changed', share })),
      ...tested.map(([daysAgo, nitrate, others]) =>
        of(tank, daysAgo, { kind: 'tested', nitrate, ...others }),
      ),
    ]),
  };
}
