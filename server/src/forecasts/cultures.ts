import { addDays } from '@open-larder/core';
import {
  COUNT_SD,
  countedJars,
  DENSITIES,
  forecast,
  gramsOfOne,
  isFromEggs,
  LOOK_SD,
  shareAfter,
  forecastStartOf,
  wayOf,
  type Density,
} from '@open-larder/core/culture';
import { bandAround, type Foreseen } from '@open-larder/core/forecasts';
import { toVesselEvent, readVesselStatuses } from '../culture/status';
import { listEvents, vessels, type StoredVessel } from '../culture/store';
import { AS_MODELLED } from './calibration';
import { clockOn, type Outcome, type Seen } from './outcome';

/**
 * Each look into and count of a culture that grows until it is crowded, forecast the evening before;
 * and each jar of which every harvest was counted, against the jars before it.
 */
export async function cultureOutcomes(seen: Seen): Promise<Outcome[]> {
  const { scope, catalogue, household, since, today } = seen;
  const kinds = new Map(catalogue.cultures.map((kind) => [kind.key, kind]));
  const kept = await vessels(scope, null, null);
  const rows = await listEvents(
    scope,
    kept.map(({ id }) => id),
    since,
  );
  const eventsOf = (vessel: StoredVessel) => rows.filter(({ vesselId }) => vesselId === vessel.id);
  const looks = kept.flatMap((vessel) => {
    const kind = kinds.get(vessel.kindKey);
    const crowded = kind && wayOf(kind).crowdingIn(kind, vessel.measure, vessel.tempC);
    if (!kind || !crowded) return [];
    const fullG = crowded.capacity * gramsOfOne(kind);
    return eventsOf(vessel).flatMap((event): Outcome[] => {
      // On the day that it was set up or entered nothing is forecast of it.
      if (event.day > today || event.day <= (vessel.enteredOn ?? vessel.startedOn)) return [];
      const read = readOf(event, vessel.measure * gramsOfOne(kind), fullG);
      if (read === null) return [];
      const madeOn = addDays(event.day, -1);
      return [
        {
          kind: 'culture',
          eventId: event.id,
          about: vessel.name,
          madeOn,
          day: event.day,
          actual: read.percent,
          foresee: async (): Promise<Foreseen | null> => {
            const clock = clockOn(madeOn, household.timeZone);
            const [then] = await readVesselStatuses(scope, catalogue, clock, [vessel], AS_MODELLED);
            if (!then || then.status.fullG <= 0) return null;
            const shared = vessel.alsoKindKey !== null;
            const [, next] = forecast(
              forecastStartOf({ kind, measure: vessel.measure, shared }, then.status),
              2,
              () => then.status.tempC,
            );
            if (!next || next.contentG <= 0) return null;
            const sd = Math.log(next.contentG / Math.max(1e-9, next.lowG)) / NINE_OF_TEN;
            return bandAround((next.contentG / fullG) * 100, Math.hypot(sd, read.sd));
          },
        },
      ];
    });
  });
  const hatches = kept.filter(
    ({ kindKey }) => kinds.has(kindKey) && isFromEggs(kinds.get(kindKey)!),
  );
  return [
    ...looks,
    ...hatchOutcomes(
      hatches.map((vessel) => ({ vessel, events: eventsOf(vessel) })),
      kinds,
    ),
  ];
}

type Events = Awaited<ReturnType<typeof listEvents>>;

const NINE_OF_TEN = 1.645;

/** What a look or a count says of a culture, % of what it carries, and how far that may be off. */
function readOf(
  event: Events[number],
  gramsOfCountInL: number,
  fullG: number,
): { percent: number; sd: number } | null {
  if (event.kind === 'seen' && event.density !== null) {
    return { percent: DENSITIES[(event.density as Density) - 1]! * 100, sd: LOOK_SD };
  }
  if (event.kind === 'counted' && event.sampleMl !== null && event.count !== null) {
    const grams = (event.count / event.sampleMl) * 1000 * gramsOfCountInL;
    return { percent: (grams / fullG) * 100, sd: COUNT_SD };
  }
  return null;
}

/** Each jar that was counted whole, in the order in which they were lifted last. */
function hatchOutcomes(
  jars: readonly { vessel: StoredVessel; events: Events }[],
  kinds: ReadonlyMap<string, { spread: number }>,
): Outcome[] {
  const counted = jars
    .flatMap(({ vessel, events }) =>
      countedJars({
        startG: vessel.startG,
        events: events.map((event) => ({ ...toVesselEvent(event), id: event.id })),
      }).map((jar) => ({ ...jar, vessel, eventId: jar.last.id })),
    )
    .sort((a, b) => (a.last.day < b.last.day ? -1 : 1));
  return counted.map(({ share, last, vessel, eventId }, at): Outcome => {
    const earlier = counted.slice(0, at).filter((one) => one.vessel.kindKey === vessel.kindKey);
    return {
      kind: 'hatchShare',
      eventId,
      about: vessel.name,
      madeOn: addDays(last.day, -1),
      day: last.day,
      actual: share * 100,
      foresee: () => {
        const sd = Math.log(kinds.get(vessel.kindKey)?.spread ?? 1.25) / NINE_OF_TEN;
        return bandAround(shareAfter(earlier) * 100, Math.hypot(sd, COUNT_SD));
      },
    };
  });
}
