import {
  refuseBeforeCulture,
  refuseEndedCulture,
  refuseEndedParent,
} from '@open-larder/say/refusal';
import type { VesselCreate, VesselEventCreate } from '@open-larder/contract';
import { addDays } from '@open-larder/core';
import { v7 as uuidv7 } from 'uuid';
import type { Scope } from '../db';
import { readLot, shelve } from '../food/store';
import { conflict, idUsed, notFound, invalid } from '../http/problems';
import { readStoredVessel, VESSEL_EVENTS } from './store';

/** What was harvested and put aside is good until the next day. Assumption. */
const HELD_DAYS = 1;

/**
 * Start a culture; the same id sent again changes nothing. What goes over from another vessel leaves
 * that one.
 * @throws ProblemError 422 for a food or a parent that is not there, or a parent that is younger
 */
export async function startVessel(scope: Scope, body: VesselCreate): Promise<void> {
  await scope.lock(`vessel ${body.id}`);
  if (await readStoredVessel(scope, body.id)) return;
  await checkFood(scope, body.foodId);
  const { share, at, hand, looks, shelveFood: _, ...row } = body;
  if (body.fromVesselId !== null) {
    const parent = await readStoredVessel(scope, body.fromVesselId);
    if (!parent) throw invalid('fromVesselId', 'this vessel is not there; choose another');
    if (parent.kindKey !== body.kindKey) {
      throw invalid('fromVesselId', `${parent.name} is of another kind; choose one of this kind`);
    }
    const ended = await endOf(scope, parent.id);
    if (ended !== null && ended < body.startedOn) {
      throw invalid('fromVesselId', refuseEndedParent({ name: parent.name, day: ended }));
    }
    if (parent.startedOn > body.startedOn) {
      throw invalid('startedOn', `${parent.name} was started later: choose a day after that`);
    }
  }
  await scope.insertOnce('vessels', [
    { ...row, startedAt: at, enteredOn: looks?.day ?? null, version: 1 },
  ]);
  if (!(await readStoredVessel(scope, body.id))) {
    throw idUsed();
  }
  if (looks) {
    await scope.insert('vessel_events', [
      { id: uuidv7(), vesselId: body.id, kind: 'seen', ...looks, at, hand, note: '' },
    ]);
  }
  if (body.fromVesselId !== null && share !== null) {
    await scope.insert('vessel_events', [
      {
        id: uuidv7(),
        vesselId: body.fromVesselId,
        kind: 'split',
        share,
        day: body.startedOn,
        at,
        hand,
        note: `into ${body.name}`.slice(0, 120),
      },
    ]);
  }
}

export async function checkFood(scope: Scope, foodId: string | null): Promise<void> {
  if (foodId === null) return;
  const known = await scope.rows(
    'SELECT id FROM foods WHERE household_id = :household AND id = :foodId',
    { foodId },
  );
  if (known.length === 0) {
    throw invalid('foodId', 'this food is no longer on the shelf; choose another');
  }
}

/**
 * Write that something happened, once. What is harvested, and not served straight away, is put on the
 * shelf.
 * @throws ProblemError 404 where there is no such vessel, 422 for a day before its start or after its
 *   end, 409 where the id is used already
 */
export async function addVesselEvent(
  scope: Scope,
  vesselId: string,
  event: VesselEventCreate,
): Promise<void> {
  await scope.lock(`vessel event ${event.id}`);
  const vessel = await readStoredVessel(scope, vesselId);
  if (!vessel) throw notFound('This culture');
  const known = await VESSEL_EVENTS.read(scope, event.id);
  if (known) {
    if (known.vesselId !== vesselId || known.kind !== event.kind || known.undone) {
      throw idUsed();
    }
    return;
  }
  if (event.day < vessel.startedOn) {
    throw invalid('day', refuseBeforeCulture({ name: vessel.name, day: vessel.startedOn }));
  }
  const ended = await endOf(scope, vesselId);
  if (ended !== null && event.day >= ended) {
    throw invalid('day', refuseEndedCulture({ name: vessel.name, day: ended }));
  }
  const lotId =
    event.kind === 'harvested' && vessel.foodId !== null
      ? await putAside(scope, vessel.foodId, event.massG, event.day)
      : null;
  await VESSEL_EVENTS.append(scope, { ...event, vesselId, lotId });
}

async function endOf(scope: Scope, vesselId: string): Promise<string | null> {
  const [ended] = await VESSEL_EVENTS.list(
    scope,
    `e.vessel_id = :vesselId AND e.kind = 'ended' ORDER BY e.day LIMIT 1`,
    { vesselId },
  );
  return ended?.day ?? null;
}

async function putAside(scope: Scope, foodId: string, massG: number, day: string): Promise<string> {
  const id = uuidv7();
  await shelve(scope, foodId, {
    id,
    amountG: massG,
    costMinor: null,
    place: 'bench',
    boughtOn: day,
    openedOn: null,
    bestBefore: addDays(day, HELD_DAYS),
  });
  return id;
}

/**
 * Take an event back; a second time changes nothing. Of a harvest that was put aside, what is left on
 * the shelf goes with it.
 * @returns the vessel that it was of
 * @throws ProblemError 409 for what went into a meal: that meal is taken back instead
 */
export async function undoVesselEvent(
  scope: Scope,
  id: string,
  undo: { id: string; at: string },
): Promise<string> {
  const { vesselId } = await VESSEL_EVENTS.undo(scope, id, undo, async (event) => {
    if (event.feedingId !== null) {
      throw conflict('This went into a meal. Undo that meal, and it is back here.');
    }
    const lot = event.lotId === null ? null : await readLot(scope, event.lotId);
    if (!lot || lot.remainingG <= 0) return;
    await scope.insert('stock_events', [
      { id: uuidv7(), lotId: lot.id, kind: 'counted', deltaG: -lot.remainingG, day: event.day },
    ]);
  });
  return vesselId;
}

/** What went into a meal is back in its vessels, when the meal is taken back. */
export async function returnToVessels(scope: Scope, feedingId: string, at: string): Promise<void> {
  const drawn = await VESSEL_EVENTS.list(scope, 'e.feeding_id = :feedingId', { feedingId });
  for (const { id } of drawn) await VESSEL_EVENTS.undo(scope, id, { id: uuidv7(), at });
}
