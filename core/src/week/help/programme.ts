import { newMemory, weekOutcome, type WeekOutcome } from '../outcome';
import type { WeekTask } from '../task';
import { kindsOf } from './kinds';
import { modelOf, type BalanceModel } from './model';
import { offersOf } from './offers';
import { keptOf } from './kept';
import { grazedOf } from './shares';

/**
 * The whole programme of a task, over everything that could be given, with shares as they are first
 * estimated.
 * @param outcome what the present plan comes to; simulated where it is left out
 */
export function programmeOf(
  task: WeekTask,
  outcome: WeekOutcome = weekOutcome(task, newMemory()),
): BalanceModel {
  const kinds = kindsOf(task);
  const offers = offersOf(task, kinds.length);
  return modelOf(task, kinds, offers, grazedOf(task, kinds, outcome), keptOf(task));
}
