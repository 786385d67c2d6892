import { addDays, restOn, type Rest } from '../../round';
import { cycleOf, tankOf, type WeekTask } from '../task';

/** Days of a cycle that are planned alike. */
export interface DayKind {
  /** Days of the cycle, from 0. */
  days: number[];
  /** By group, in the order of the task: why it gets nothing; null where it is fed. */
  rests: Rest[];
}

/** A week with three kinds of day is varied enough, and a keeper can still remember it. Assumption. */
const KINDS = 3;

/** A cycle as kinds of day in turn, told apart by who rests on them too. */
export function kindsOf(task: WeekTask): DayKind[] {
  const tank = tankOf(task);
  const rows = task.groups.map((group) => task.house.groups.find((one) => one.id === group.id)!);
  const kinds = new Map<string, DayKind>();
  for (let d = 0; d < cycleOf(task); d += 1) {
    const rests = rows.map((row) => restOn(row, tank, addDays(task.first, d)));
    const key = `${d % KINDS} ${rests.join()}`;
    const kind = kinds.get(key);
    if (kind) kind.days.push(d);
    else kinds.set(key, { days: [d], rests });
  }
  return [...kinds.values()];
}
