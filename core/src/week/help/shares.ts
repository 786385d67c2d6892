import { mean } from 'd3-array';
import type { WeekOutcome } from '../outcome';
import type { WeekTask } from '../task';
import type { DayKind } from './kinds';

/** By group, then kind of day: kJ that it grazes off glass and wood and what stood before. */
export function grazedOf(
  task: WeekTask,
  kinds: readonly DayKind[],
  { days }: WeekOutcome,
): number[][] {
  return task.groups.map((_, f) =>
    kinds.map((kind) => mean(kind.days, (d) => days[d]!.groups[f]!.grazedKj) ?? 0),
  );
}
