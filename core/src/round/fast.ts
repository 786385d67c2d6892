import { mayNotFast, type Stage } from '../fish';
import type { LifeKind } from '../group';
import { longestSafeGap, type GroupOnDay } from '../ration';
import { weekdayOf } from './clock';

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

/** Weekdays on which a group fasts every week, by its diet and by the plan of its tank. */
export function weeklyFasts(
  group: { id: string; diet: { fastWeekdays: readonly number[] } | null },
  plan?: { fasts: readonly PlannedFast[] },
): number[] {
  const ofTank = (plan?.fasts ?? []).flatMap(({ groupId, when }) =>
    when.kind === 'weekly' && (groupId === null || groupId === group.id) ? when.weekdays : [],
  );
  return [...new Set([...(group.diet?.fastWeekdays ?? []), ...ofTank])];
}

/** Why a fast is refused: fry starve within hours. */
export interface FastRefusal {
  groupId: string;
  /** Hours without food that they stand. */
  standsH: number;
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
      ? [{ fastId: fast.id, groupId: group.id, standsH: longestSafeGap(group.onDay).value }]
      : [];
  });
}
