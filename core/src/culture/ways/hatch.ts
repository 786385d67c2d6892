import { CYSTS_PER_G, HATCH_SHARE, hatchHours } from '../hatch';
import { gramsOfOne } from '../kind';
import { hatchTasks } from '../tasks';
import { aging } from './aging';
import type { Way } from './way';

/** Eggs in brine: all at once, and then set up again. */
export const HATCH: Way = {
  ...aging({
    renews: false,
    isStore: false,
    drawn: 1,
    fullG: (kind, { measure, keptG, hatchShare = HATCH_SHARE }) =>
      gramsOfOne(kind) *
      (keptG > 0 ? keptG * CYSTS_PER_G * hatchShare : (kind.capacity ?? 0) * measure),
  }),
  startsFrom: 'eggs',
  // Set up again as soon as it is harvested, it gives once in its hours.
  lasting: (_, fullG, days, tempOn) =>
    Array<number>(days).fill(fullG / Math.max(1, Math.ceil(hatchHours(tempOn(0)) / 24))),
  leadDays: (_kind, _measure, tempC) => Math.ceil(hatchHours(tempC) / 24),
  tasks: (_vessel, status, _day, nowMs) => hatchTasks(status, nowMs),
};
