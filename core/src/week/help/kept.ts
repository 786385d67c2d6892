import { cycleOf, type WeekTask } from '../task';
import { offerKey, type Kept } from './model';

/** What the present plan gives, day by day. */
export function keptOf(task: WeekTask): Kept {
  return Array.from({ length: cycleOf(task) }, (_, d) => {
    const has = new Set<string>();
    for (const group of task.house.groups) {
      for (const { days, foodId, momentId } of group.diet?.servings ?? []) {
        if (days.includes(d + 1)) has.add(offerKey(group.id, foodId, momentId));
      }
    }
    return has;
  });
}
