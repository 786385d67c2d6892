import type { CultureKind } from '@open-larder/catalogue/cultures';
import type { Catalogue } from '@open-larder/catalogue/load';
import type { VesselEventRow, VesselRow } from '@open-larder/contract';
import {
  hatchShareOf,
  isFromEggs,
  computeVesselStatus,
  workOn,
  type VesselEvent,
  type Vessel,
  type VesselStatus,
} from '@open-larder/core/culture';
import { addDays } from '@open-larder/core';
import { localDay, type Clock } from '../clock';
import type { Scope } from '../db';
import { calibrationsOf, type Calibrations } from '../forecasts/calibration';
import { readHousehold } from '../household/store';
import { notFound } from '../http/problems';
import { listEvents, readStoredVessel, vessels, type StoredVessel } from './store';

/** A belief forgets within weeks what was seen before: more than half a year back shows nothing. */
const REMEMBERED_DAYS = 200;

/** What the core needs of an event. */
export const toVesselEvent = ({ at, ...event }: VesselEventRow): VesselEvent =>
  ({ ...event, atMs: Date.parse(at) }) as unknown as VesselEvent;

/**
 * Vessels as of today, and what is to be done at each.
 * @param kept some of the household's vessels; all of them tell how well eggs hatch
 */
export async function readVesselStatuses(
  scope: Scope,
  catalogue: Catalogue,
  clock: Clock,
  kept: readonly StoredVessel[],
  bands: Calibrations | Promise<Calibrations> = calibrationsOf(scope),
): Promise<VesselRow[]> {
  const calibrations = await bands;
  const kinds = new Map(catalogue.cultures.map((kind) => [kind.key, kind]));
  const hatchKeys = new Set(
    kept.map(({ kindKey }) => kindKey).filter((key) => isFromEggs(kinds.get(key)!)),
  );
  const [{ timeZone }, all] = await Promise.all([
    readHousehold(scope),
    hatchKeys.size === 0 ? kept : vessels(scope, null, null),
  ]);
  const jars = all.filter(({ kindKey }) => hatchKeys.has(kindKey));
  const ids = new Set([...kept, ...jars].map(({ id }) => id));
  const events = new Map([...ids].map((id) => [id, [] as VesselEvent[]]));
  const now = clock.now();
  const today = localDay(now, timeZone);
  for (const event of await listEvents(scope, [...ids], addDays(today, -REMEMBERED_DAYS))) {
    events.get(event.vesselId)?.push(toVesselEvent(event));
  }
  const eventsOf = (id: string) => events.get(id) ?? [];
  const learned = new Map(
    [...hatchKeys].map((key) => [
      key,
      hatchShareOf(
        jars
          .filter(({ kindKey }) => kindKey === key)
          .map(({ id, startG }) => ({ startG, events: eventsOf(id) })),
      ),
    ]),
  );
  return scope.each(kept, idOf, (row) => {
    const hatch = learned.get(row.kindKey) ?? null;
    const vessel: Vessel = {
      kind: kindOf(kinds, row.kindKey),
      also: row.alsoKindKey === null ? null : kindOf(kinds, row.alsoKindKey),
      measure: row.measure,
      tempC: row.tempC,
      startedOn: row.startedOn,
      startedAtMs: Date.parse(row.startedAt),
      enteredOn: row.enteredOn,
      startG: row.startG,
      hatchShare: hatch?.share,
      events: eventsOf(row.id),
    };
    const { startedAt: _, enteredOn: __, ...report } = row;
    const standing = computeVesselStatus(vessel, today);
    const work = workOn(vessel, standing, today, now.getTime());
    return [{ ...report, status: asShown(calibrations, standing), work, hatch }];
  });
}

/** The band of what is in it as wide as this household’s looks have shown it to be. */
function asShown(calibrations: Calibrations, status: VesselStatus): VesselStatus {
  const times = calibrations.get('culture') ?? 1;
  const { contentG, estimate } = status;
  if (times === 1 || contentG <= 0) return status;
  const wide = (one: number) => (one <= 0 ? 0 : contentG * (one / contentG) ** times);
  return {
    ...status,
    lowG: wide(status.lowG),
    highG: wide(status.highG),
    // What is looked ahead from is as unsure.
    estimate: { ...estimate, sd: estimate.sd * times },
  };
}

const idOf = ({ id }: { id: string }) => id;

function kindOf(kinds: ReadonlyMap<string, CultureKind>, key: string): CultureKind {
  const kind = kinds.get(key);
  if (!kind) throw new Error(`the catalogue has lost the culture ${key}`);
  return kind;
}

/** @throws ProblemError 404 where there is no such vessel */
export async function readVessel(
  scope: Scope,
  catalogue: Catalogue,
  clock: Clock,
  id: string,
): Promise<VesselRow> {
  const kept = await readStoredVessel(scope, id);
  if (!kept) throw notFound('This culture');
  return (await readVesselStatuses(scope, catalogue, clock, [kept]))[0]!;
}
