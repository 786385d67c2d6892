import { addDays } from '@open-larder/core';
import { asRead } from '@open-larder/core/forecasts';
import { testSd } from '@open-larder/core/water/testError';
import { readWaterStatuses } from '../water/status';
import { listEvents } from '../water/store';
import { AS_MODELLED } from './calibration';
import type { Outcome, Seen } from './outcome';

/** Each test of nitrate but a tank’s first, forecast on the evening before it. */
export async function waterOutcomes({ scope, household, since, today }: Seen): Promise<Outcome[]> {
  const names = new Map(household.tanks.map(({ id, name }) => [id, name]));
  const tested = new Set<string>();
  return (await listEvents(scope, null, since)).flatMap((event): Outcome[] => {
    const { id, tankId, kind, day, nitrate } = event;
    if (kind !== 'tested' || nitrate === null || day > today) return [];
    const first = !tested.has(tankId);
    tested.add(tankId);
    if (first) return [];
    const madeOn = addDays(day, -1);
    return [
      {
        kind: 'nitrate',
        eventId: id,
        about: names.get(tankId) ?? '',
        madeOn,
        day,
        actual: nitrate,
        foresee: async () => {
          const [row] = await readWaterStatuses(scope, household, madeOn, tankId, AS_MODELLED);
          const next = row?.status?.days[1];
          if (!next) return null;
          const { low, before: middle, high } = next;
          return asRead({ low, middle, high }, testSd(middle));
        },
      },
    ];
  });
}
