import type { Stage } from '../fish';
import { daysBetween } from '../round/clock';
import {
  firstBreak,
  SIZE_KINDS,
  sizeOn,
  type Cause,
  type Counts,
  type GroupSize,
  type SizeEvent,
  type SizeKind,
} from './size';

interface Base {
  id: string;
  /** Local day, YYYY-MM-DD. */
  day: string;
}

/** All that can happen to a group; what it is on any day follows from these alone. */
export type LifeEvent = Base &
  (
    | (SizeEvent & { cause?: Cause | null; otherGroupId?: string | null })
    | { kind: 'moved'; tankId: string }
    | {
        kind: 'measured';
        lengthCm: number;
        lengthsCm?: readonly number[] | null;
        massG?: number | null;
      }
    | { kind: 'staged'; stage: Stage }
  );

export const LIFE_KINDS = [...SIZE_KINDS, 'moved', 'measured', 'staged'] as const;
export type LifeKind = (typeof LIFE_KINDS)[number];

export const isSize = <E extends { kind: LifeKind }>(
  event: E,
): event is Extract<E, { kind: SizeKind }> =>
  (SIZE_KINDS as readonly string[]).includes(event.kind);

/** A stay of a group in a tank: from a day on, up to the day on which it left. */
export interface Stay {
  tankId: string;
  fromDay: string;
  /** The first day on which it was elsewhere; null while it is still there. */
  toDay: string | null;
}

/** Where a group lived: one tank at the end of each day, so never two at once. */
export function staysOf(events: readonly LifeEvent[]): Stay[] {
  const stays: Stay[] = [];
  for (const event of inOrder(events)) {
    if (event.kind !== 'moved') continue;
    const last = stays.at(-1);
    if (last && last.tankId === event.tankId) continue;
    if (last && last.fromDay === event.day) stays.pop();
    else if (last) last.toDay = event.day;
    const before = stays.at(-1);
    if (before && before.tankId === event.tankId) before.toDay = null;
    else stays.push({ tankId: event.tankId, fromDay: event.day, toDay: null });
  }
  return stays;
}

/** In which of the days since a group was measured it grew: while it was fry or juvenile. */
export interface Grew {
  /** Up to the change of stage that ended it. */
  days: number;
  /** The day since which it grows; null where it does not. */
  since: string | null;
}

/** A group as it is at the end of a day. */
export interface GroupState {
  tankId: string;
  size: GroupSize;
  stage: Stage;
  /** Last measured mean total length; null where none was measured. */
  lengthCm: number | null;
  grew: Grew;
  /** The last day on which each kind of thing happened to it. */
  lastOn: Partial<Record<LifeKind, string>>;
}

/** The group at the end of a day; null before it was anywhere. */
export function stateOn(events: readonly LifeEvent[], day: string): GroupState | null {
  const past = inOrder(events).filter((event) => event.day <= day);
  const tankId = past.findLast((event) => event.kind === 'moved')?.tankId;
  if (tankId === undefined) return null;
  return {
    tankId,
    size: sizeOn(past.filter(isSize), day),
    stage: past.findLast((event) => event.kind === 'staged')?.stage ?? 'adult',
    lengthCm: past.findLast((event) => event.kind === 'measured')?.lengthCm ?? null,
    grew: grewIn(past),
    lastOn: Object.fromEntries(past.map(({ kind, day: on }) => [kind, on])),
  };
}

/** Stages in which a group is fed to grow, and grows. */
const GROWING: ReadonlySet<Stage> = new Set(['fry', 'juvenile']);

/** @param past what happened to a group, in order */
export function grewIn(past: readonly LifeEvent[]): Grew {
  let stage: Stage = 'adult';
  let measured = false;
  let grew: Grew = { days: 0, since: null };
  for (const event of past) {
    if (event.kind === 'measured') measured = true;
    else if (event.kind === 'staged') stage = event.stage;
    else continue;
    const grows = measured && GROWING.has(stage);
    const { days, since } = event.kind === 'measured' ? { days: 0, since: null } : grew;
    if (since === null) grew = { days, since: grows ? event.day : null };
    else
      grew = grows ? { days, since } : { days: days + daysBetween(since, event.day), since: null };
  }
  return grew;
}

/** What is wrong with a life, and the event at which it shows. */
export type LifeError = { eventId: string } & (
  | { fault: 'inNoTank'; day: string }
  /** More left than there were; `later` where it is not the changed event that shows it. */
  | { fault: 'tooFew'; event: SizeEvent; had: Counts; later: boolean }
);

/**
 * What would go wrong if these were a group's events; null where all is possible.
 * @param changed id of the event that was added or corrected, to say which of the two is at fault
 */
export function lifeError(events: readonly LifeEvent[], changed: string | null): LifeError | null {
  const sorted = inOrder(events);
  const first = sorted[0];
  const placed = sorted.find((event) => event.kind === 'moved');
  if (first && (placed === undefined || placed.day > first.day)) {
    return { eventId: first.id, fault: 'inNoTank', day: first.day };
  }
  const broken = firstBreak(sorted.filter(isSize));
  if (!broken) return null;
  const { event, had } = broken;
  return { eventId: event.id, fault: 'tooFew', event, had, later: event.id !== changed };
}

/** By day; what happened on one day stays in the order in which it was written. */
function inOrder(events: readonly LifeEvent[]): readonly LifeEvent[] {
  // As they are read they mostly are in order already, and a house has thousands of them.
  const sorted = events.every(
    (event, at) => at === 0 || (events[at - 1] as LifeEvent).day <= event.day,
  );
  return sorted ? events : [...events].sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));
}
