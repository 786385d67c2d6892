import { addDays, wallMinutes } from './clock';
import type { FeedingModel } from './plan';

const DAY_MIN = 1440;
/** So long after its last serving a night belongs to its evening. Assumption. */
const AFTER_MIN = 120;

/** A local day and the minutes after its midnight; past 1440 it is the night that belongs to it. */
export interface DayTime {
  day: string;
  minutes: number;
}

/**
 * The day that is being fed: where lights go out after midnight, what is served then belongs to the
 * evening before, and so does the time until it is done.
 */
export function feedingDay(
  { moments, tanks, groups }: Pick<FeedingModel, 'moments' | 'tanks' | 'groups'>,
  now: DayTime,
): DayTime {
  const tankOf = new Map(tanks.map((tank) => [tank.id, tank]));
  const momentOf = new Map(moments.map((moment) => [moment.id, moment]));
  const times = groups.flatMap(({ tankId, diet }) =>
    (diet?.servings ?? []).flatMap(({ momentId }) => {
      const moment = momentOf.get(momentId);
      const tank = tankOf.get(tankId);
      return moment && tank ? [wallMinutes(moment, tank.light)] : [];
    }),
  );
  const last = Math.max(0, ...times);
  if (last < DAY_MIN || now.minutes > last - DAY_MIN + AFTER_MIN) return now;
  // Whoever is up for the first serving of the morning has begun the new day.
  const first = Math.min(...times);
  if (now.minutes >= first) return now;
  return { day: addDays(now.day, -1), minutes: now.minutes + DAY_MIN };
}
