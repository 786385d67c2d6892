import type { WeekOutcome } from './outcome';
import type { WeekTask } from './task';

/** What a fast does on one day. */
export interface FastEffect {
  /** Day of the cycle, from 0. */
  day: number;
  groupId: string;
  /** What the fasting group still finds, % of a day's need. */
  eats: number;
  /** What its tank-mates get that day against their other feeding days, % of their need. */
  mates: { groupId: string; gets: number; usually: number }[];
}

/** What each planned fast of a cycle does to the group itself and to those that live with it. */
export function fastEffects(task: WeekTask, { days }: WeekOutcome): FastEffect[] {
  const resting = (f: number, d: number) => days[d]!.groups[f]!.rest === 'fast';
  const share = (f: number, d: number) => {
    const { gotKj, needKj } = days[d]!.groups[f]!;
    return needKj > 0 ? (100 * gotKj) / needKj : null;
  };
  const anyFasts = days.map((_, d) => task.groups.some((_group, f) => resting(f, d)));
  const needOf = task.groups.map(
    (_, f) => days.find((day) => day.groups[f]!.needKj > 0)?.groups[f]!.needKj ?? 0,
  );
  const usually = task.groups.map((_, f) => {
    const shares = days.flatMap((_day, d) => (anyFasts[d] ? [] : (share(f, d) ?? [])));
    return shares.length > 0 ? shares.reduce((sum, one) => sum + one, 0) / shares.length : null;
  });
  return days.flatMap((day, d) =>
    task.groups.flatMap((group, f): FastEffect[] =>
      !resting(f, d)
        ? []
        : [
            {
              day: d,
              groupId: group.id,
              eats: needOf[f]! > 0 ? (100 * day.groups[f]!.gotKj) / needOf[f]! : 0,
              mates: task.groups.flatMap((mate, m) => {
                const gets = share(m, d);
                const usual = usually[m] ?? null;
                return m === f || gets === null || usual === null
                  ? []
                  : [{ groupId: mate.id, gets, usually: usual }];
              }),
            },
          ],
    ),
  );
}
