import { mayNotFast, type Stage } from '../fish';
import type { LifeKind } from '../group';
import { longestSafeGap, type GroupOnDay } from '../ration';
import { addDays, weekdayOf } from './clock';

/** When a fast is kept. Days as YYYY-MM-DD. */
export type FastWhen =
  | { kind: 'weekly'; weekdays: readonly number[] }
  | { kind: 'dates'; from: string; to: string }
  /** As long as the group is of that stage. */
  | { kind: 'stage'; stage: Stage }
  /** From a day on until something of that kind happens to the group. */
  | { kind: 'until'; from: string; event: LifeKind };

/** A fast of one group, or of the whole tank. */
export interface PlannedFast {
  id: string;
  /** Null for all groups of the tank; fry are never among them. */
  groupId: string | null;
  when: FastWhen;
}

/** What of a group decides whether a fast is in force. */
export interface Faster {
  id: string;
  stage: Stage;
  /** The last day on which each kind of thing happened to it. */
  lastOn: Partial<Record<LifeKind, string>>;
}

/** The fast that a group keeps on a day, if any. Fry never fast. */
export function fastOn(
  fasts: readonly PlannedFast[],
  group: Faster,
  day: string,
): PlannedFast | null {
  if (mayNotFast(group.stage)) return null;
  return (
    fasts.find(
      (fast) =>
        (fast.groupId === null || fast.groupId === group.id) && inForce(fast.when, group, day),
    ) ?? null
  );
}

function inForce(when: FastWhen, group: Faster, day: string): boolean {
  switch (when.kind) {
    case 'weekly':
      return when.weekdays.includes(weekdayOf(day));
    case 'dates':
      return when.from <= day && day <= when.to;
    case 'stage':
      return group.stage === when.stage;
    case 'until': {
      const happened = group.lastOn[when.event];
      const ended = happened !== undefined && happened > when.from && happened <= day;
      return when.from <= day && !ended;
    }
  }
}

/** The id of the resting days that a group’s diet holds. */
export const DIET_FAST = 'diet';

/** All fasts of a group, one list: the resting days of its diet, and what its tank’s plan holds. */
export function fastsOf(
  group: { id: string; diet: { fastWeekdays: readonly number[] } | null },
  plan?: { fasts: readonly PlannedFast[] },
): PlannedFast[] {
  const weekdays = group.diet?.fastWeekdays ?? [];
  return [
    ...(weekdays.length > 0
      ? [{ id: DIET_FAST, groupId: group.id, when: { kind: 'weekly' as const, weekdays } }]
      : []),
    ...(plan?.fasts ?? []).filter(({ groupId }) => groupId === null || groupId === group.id),
  ];
}

/** Weekdays on which a group fasts every week. */
export const weeklyFasts = (...of: Parameters<typeof fastsOf>): number[] => [
  ...new Set(fastsOf(...of).flatMap(({ when }) => (when.kind === 'weekly' ? when.weekdays : []))),
];

/** A run of fast days that is longer than a group tolerates. */
export interface UnsafeFast {
  groupId: string;
  /** The first day of the run, and the day on which it stops being safe. */
  from: string;
  unsafeOn: string;
  /** Hours without food that the group tolerates. */
  safeH: number;
}

/** So far ahead fasts are looked at. */
const LOOK_AHEAD_DAYS = 180;
/**
 * The first run of fast days of each group that lasts longer than it tolerates, whatever fasts it is
 * made of. A fast without an end is taken to go on.
 * @param groups those of one tank; of fry nothing is said, for they never fast
 */
export function unsafeFasts(
  plan: { fasts: readonly PlannedFast[] },
  groups: readonly (Faster & {
    diet: { fastWeekdays: readonly number[] } | null;
    onDay: GroupOnDay;
  })[],
  today: string,
): UnsafeFast[] {
  return groups.flatMap((group) => {
    const safeH = longestSafeGap(group.onDay).value;
    const fasts = fastsOf(group, plan);
    if (fasts.length === 0 || safeH <= 0 || mayNotFast(group.stage)) return [];
    let run = 0;
    for (let at = 0; at < LOOK_AHEAD_DAYS; at += 1) {
      const day = addDays(today, at);
      run = fastOn(fasts, group, day) ? run + 1 : 0;
      // On the evening of its last day it has lasted since the evening before the first.
      if (24 * run > safeH) {
        return [{ groupId: group.id, from: addDays(day, 1 - run), unsafeOn: day, safeH }];
      }
    }
    return [];
  });
}

/** Why a fast is refused: fry starve within hours. */
export interface FastRefusal {
  groupId: string;
  /** Hours without food that they tolerate. */
  toleratesH: number;
}

/**
 * Fasts of a group that must not fast.
 * @param groups those of the tank, as they are now
 */
export function refusedFasts(
  fasts: readonly PlannedFast[],
  groups: readonly (Faster & { onDay: GroupOnDay })[],
): (FastRefusal & { fastId: string })[] {
  return fasts.flatMap((fast) => {
    const group = groups.find((one) => one.id === fast.groupId);
    return group && mayNotFast(group.stage)
      ? [{ fastId: fast.id, groupId: group.id, toleratesH: longestSafeGap(group.onDay).value }]
      : [];
  });
}
