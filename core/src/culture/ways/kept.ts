import { commonTasks } from '../tasks';
import { aging } from './aging';
import type { Way } from './way';

/** A batch that is only kept is spread over so many days. Assumption. */
const KEPT_DAYS = 14;

/** Bought and kept, less by what is taken, whatever its age. */
export const KEPT: Way = {
  ...aging({ renews: false, isStore: true, drawn: 1, fullG: (_, { keptG }) => keptG }),
  startsFrom: 'stock',
  lasting: ({ keptG }, _fullG, days) =>
    Array.from({ length: days }, (_, day) => (day < KEPT_DAYS ? keptG / KEPT_DAYS : 0)),
  tasks: (vessel, status) => commonTasks(vessel, status),
};
