import { daysBetween, stateOn } from '@open-larder/core';
import type { Foreseen } from '@open-larder/core/forecasts';
import { lengthAhead, computeGrowthStatus, type GrowthTask } from '@open-larder/core/growth';
import { measuredIn } from '../group/measured';
import type { Outcome, Seen } from './outcome';

/**
 * Each sample of lengths but a group’s first, and each checkpoint that was reached between two of them:
 * forecast on the day of the sample before.
 */
export function growthOutcomes({ household, since, today }: Seen): Outcome[] {
  const tanks = new Map(household.tanks.map((tank) => [tank.id, tank]));
  return household.history.lives.flatMap(({ row, events }): Outcome[] => {
    const species = household.species.get(row.speciesKey);
    if (!species) return [];
    const measured = events
      .filter((event) => event.kind === 'measured' && event.day <= today)
      .sort((a, b) => (a.day < b.day ? -1 : 1));
    const taskOn = (day: string): GrowthTask | null => {
      const state = stateOn(events, day);
      const tank = state && tanks.get(state.tankId);
      if (!state || !tank) return null;
      const known = measuredIn(events, day);
      const { tempC } = tank;
      return {
        species,
        tempC,
        count: state.size.total,
        measured: known,
        today: day,
        targetCm: null,
      };
    };
    return measured.slice(1).flatMap((event, at): Outcome[] => {
      const before = measured[at]!;
      if (event.kind !== 'measured' || before.kind !== 'measured') return [];
      const { id, day, lengthCm } = event;
      const madeOn = before.day;
      if (day < since || day === madeOn) return [];
      const about = row.name;
      const length: Outcome = {
        kind: 'length',
        eventId: id,
        about,
        madeOn,
        day,
        actual: lengthCm,
        foresee: () => {
          const task = taskOn(madeOn);
          return task && lengthAhead(task, day);
        },
      };
      const grew = lengthCm - before.lengthCm;
      const reached = row.checkpoints.find(
        (one) => before.lengthCm < one.lengthCm && lengthCm >= one.lengthCm,
      );
      if (!reached || grew <= 0) return [length];
      // Between two samples it grows evenly: the day is known to a few.
      const share = (reached.lengthCm - before.lengthCm) / grew;
      return [
        length,
        {
          ...length,
          kind: 'lengthDay',
          actual: share * daysBetween(madeOn, day),
          foresee: () => {
            const task = taskOn(madeOn);
            return task && daysTo(task, reached.lengthCm);
          },
        },
      ];
    });
  });
}

/** Days until a length is reached; null where the end of the band is open. */
function daysTo(task: GrowthTask, lengthCm: number): Foreseen | null {
  const { reached } = computeGrowthStatus({ ...task, targetCm: lengthCm });
  if (reached === null || reached === 'there' || reached === 'never' || reached.to === null) {
    return null;
  }
  const days = (day: string) => daysBetween(task.today, day);
  return { low: days(reached.from), middle: days(reached.day), high: days(reached.to) };
}
