import { daysBetween } from '@open-larder/core';
import { broodOn } from '@open-larder/core/brood';
import { readBroodStatuses } from '../brood/status';
import { broods, listEvents } from '../brood/store';
import { AS_MODELLED } from './calibration';
import { clockOn, type Outcome, type Seen } from './outcome';

const STAGES = [
  { kind: 'hatch', seen: 'hatchedOn', event: 'hatched' },
  { kind: 'swim', seen: 'swimmingOn', event: 'swimming' },
] as const;

/** The days on which broods hatched and swam, forecast on the day that they were laid. */
export async function broodOutcomes({
  scope,
  catalogue,
  household,
  since,
  today,
}: Seen): Promise<Outcome[]> {
  const kept = await broods(scope, null, null);
  const events = await listEvents(
    scope,
    kept.map(({ id }) => id),
  );
  return kept.flatMap((row) => {
    const mine = events.filter(({ broodId }) => broodId === row.id);
    const state = broodOn(mine, today);
    const laid = state.spawnedOn;
    if (laid === null) return [];
    return STAGES.flatMap(({ kind, seen, event }): Outcome[] => {
      const day = state[seen];
      const on = mine.find((one) => one.kind === event);
      if (day === null || !on || day < since || day < laid) return [];
      return [
        {
          kind,
          eventId: on.id,
          about: row.name,
          madeOn: laid,
          day,
          // What hatches within its first day is noted on that day: half a day is meant.
          actual: Math.max(0.5, daysBetween(laid, day)),
          foresee: async () => {
            const clock = clockOn(laid, household.timeZone);
            const [then] = await readBroodStatuses(scope, catalogue, clock, [row], AS_MODELLED);
            const stage = then?.status.stages.find((one) => one.stage === kind && !one.seen);
            if (!stage) return null;
            const since = (one: string) => Math.max(0.5, daysBetween(laid, one));
            return {
              low: daysBetween(laid, stage.from),
              middle: since(stage.day),
              high: since(stage.to),
            };
          },
        },
      ];
    });
  });
}
