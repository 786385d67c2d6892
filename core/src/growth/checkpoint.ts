import { addDays } from '../round';
import type { Reaching } from './status';

/** A length that a group should have by an age, or at all. */
export interface Checkpoint {
  /** What it is for: «sellable», «into the big tank»; may be empty. */
  name: string;
  lengthCm: number;
  /** Days since birth; null where any age will do. */
  ageDays: number | null;
}

/** How a group does against one of its checkpoints. */
export interface CheckpointStatus extends Checkpoint {
  /** When the length is due; null where any age will do, or no birth day is known. */
  dueOn: string | null;
  reached: Reaching;
  /** «unsure» where the expected days lie on both sides of the one that it is due. */
  verdict: 'reached' | 'on time' | 'late' | 'unsure' | null;
  /** Of the last sample, fish that get there only after it is due; null where nothing is due. */
  late: number | null;
  measured: number;
}

interface Measured {
  day: string;
  values: readonly number[];
}

/** Shorter than this share of the mean a fish is a runt. Practice: it is raised apart. */
const RUNT = 0.7;
const MIN_FISH = 3;

/** Fish of a sample that stay so far behind the others that they are raised apart. */
export function runtsOf({ values, mean }: Measured & { mean: number }): number {
  return values.length < MIN_FISH ? 0 : values.filter((one) => one < mean * RUNT).length;
}

/**
 * A checkpoint beside what was measured.
 * @param reached when the mean gets there
 * @param daysBetween days that one of the species takes from a length to another; null where it never does
 */
export function checkpointStatus(
  checkpoint: Checkpoint,
  bornOn: string | null,
  last: Measured | undefined,
  reached: Reaching,
  daysBetween: (fromCm: number, toCm: number) => number | null,
): CheckpointStatus {
  const { lengthCm, ageDays } = checkpoint;
  const dueOn = bornOn === null || ageDays === null ? null : addDays(bornOn, ageDays);
  const isLate = (fromCm: number) => {
    if (fromCm >= lengthCm) return false;
    const days = daysBetween(fromCm, lengthCm);
    return days === null || addDays(last!.day, Math.ceil(days)) > dueOn!;
  };
  return {
    ...checkpoint,
    dueOn,
    reached,
    verdict: verdictOf(reached, dueOn),
    late: dueOn === null || !last ? null : last.values.filter(isLate).length,
    measured: last?.values.length ?? 0,
  };
}

function verdictOf(reached: Reaching, dueOn: string | null): CheckpointStatus['verdict'] {
  if (reached === 'there') return 'reached';
  if (dueOn === null || reached === null) return null;
  if (reached === 'never' || reached.from > dueOn) return 'late';
  return reached.to !== null && reached.to <= dueOn ? 'on time' : 'unsure';
}
