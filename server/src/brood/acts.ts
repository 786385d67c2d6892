import type { Catalogue } from '@open-larder/catalogue/load';
import type {
  BroodCreate,
  BroodEventCreate,
  BroodSplit,
  BroodTubCreate,
} from '@open-larder/contract';
import { refuseTubs } from '@open-larder/say/refusal';
import type { Scope } from '../db';
import { groupRow } from '../group/store';
import { idUsed, notFound, invalid } from '../http/problems';
import { speciesOf } from '../species/store';
import { readTank } from '../tank/store';
import { readStoredBrood, readStoredTub, BROOD_EVENTS } from './store';
import { z } from 'zod';

/** So many tubs one brood is split over at most. */
const MAX_TUBS = 40;

/**
 * Begin the line of a brood, with the tub that it begins in; the same id sent again changes nothing.
 * @throws ProblemError 422 for a species, a tank or a group that is not there
 */
export async function beginBrood(
  scope: Scope,
  catalogue: Catalogue,
  { tub, events: _, ...row }: BroodCreate,
): Promise<void> {
  await scope.lock(`brood ${row.id}`);
  if (await readStoredBrood(scope, row.id)) return;
  const species = await speciesOf(scope, catalogue);
  if (!species.has(row.speciesKey)) {
    throw invalid('speciesKey', 'this species is not known here; choose one from the list');
  }
  await checkParents(scope, row);
  await scope.insertOnce('broods', [{ ...row, version: 1 }]);
  if (!(await readStoredBrood(scope, row.id))) {
    throw idUsed();
  }
  await makeTub(scope, row.id, tub);
}

export async function checkParents(
  scope: Scope,
  {
    tankId,
    groupId,
    youngGroupId,
  }: { tankId: string | null; groupId: string | null; youngGroupId: string | null },
): Promise<void> {
  if (tankId !== null && !(await readTank(scope, tankId))) {
    throw invalid('tankId', 'this tank is not there; choose another');
  }
  for (const [field, group] of Object.entries({ groupId, youngGroupId })) {
    if (group !== null && !(await groupRow(scope, group))) {
      throw invalid(field, 'this group is not there; choose another');
    }
  }
}

/**
 * Give a brood a tub; the same id sent again changes nothing.
 * @throws ProblemError 404 where there is no such brood, 409 where the id is used, 422 for too many
 */
export async function addTub(scope: Scope, broodId: string, tub: BroodTubCreate): Promise<void> {
  await scope.lock(`tubs of brood ${broodId}`);
  if (!(await readStoredBrood(scope, broodId))) throw notFound('This brood');
  const known = await readStoredTub(scope, tub.id);
  if (known) {
    if (known.broodId !== broodId) {
      throw idUsed();
    }
    return;
  }
  const [{ tubs }] = (await scope.read(
    z.object({ tubs: z.number() }),
    `SELECT count(*)::int AS tubs FROM brood_tubs
      WHERE household_id = :household AND brood_id = :broodId`,
    { broodId },
  )) as [{ tubs: number }];
  if (tubs >= MAX_TUBS) throw invalid('name', refuseTubs({ most: MAX_TUBS }));
  await makeTub(scope, broodId, tub);
}

async function makeTub(scope: Scope, broodId: string, tub: BroodTubCreate): Promise<void> {
  await scope.insertOnce('brood_tubs', [{ ...tub, broodId, version: 1 }]);
  const made = await readStoredTub(scope, tub.id);
  if (made?.broodId !== broodId) {
    throw idUsed();
  }
}

/**
 * Write that something happened, once.
 * @throws ProblemError 404 where there is no such brood, 422 for a tub that is not its own, 409 where
 *   the id is used already
 */
export async function addBroodEvent(
  scope: Scope,
  broodId: string,
  event: BroodEventCreate,
): Promise<void> {
  if (!(await readStoredBrood(scope, broodId))) throw notFound('This brood');
  await checkTub(scope, broodId, 'tubId', event.tubId);
  if (event.kind === 'moved') await checkTub(scope, broodId, 'toTubId', event.toTubId);
  await BROOD_EVENTS.append(
    scope,
    { ...event, broodId },
    (kept) => kept.broodId === broodId && kept.kind === event.kind && !kept.undone,
  );
}

async function checkTub(
  scope: Scope,
  broodId: string,
  field: 'tubId' | 'toTubId',
  tubId: string | null,
): Promise<void> {
  if (tubId === null) return;
  if ((await readStoredTub(scope, tubId))?.broodId !== broodId) {
    throw invalid(field, 'this is no tub of this brood; choose another');
  }
}

/**
 * Spread the young of a tub evenly over it and some new tubs, once: what is left over stays where it was.
 * @throws ProblemError 404 where there is no such brood, 422 for a tub that is not its own, for too many
 *   tubs, or for fewer young than tubs
 */
export async function splitBrood(scope: Scope, broodId: string, split: BroodSplit): Promise<void> {
  const { id, tubId, count, tubs, day, at, hand } = split;
  const each = Math.floor(count / (tubs.length + 1));
  if (each < 1) throw invalid('count', 'there are fewer of them than tubs; choose fewer tubs');
  const said = { day, at, hand, note: 'split evenly' };
  await addBroodEvent(scope, broodId, { ...said, id, kind: 'counted', tubId, count });
  for (const { moveId, ...tub } of tubs) {
    await addTub(scope, broodId, tub);
    const moved = { ...said, id: moveId, kind: 'moved' as const, tubId, toTubId: tub.id };
    await addBroodEvent(scope, broodId, { ...moved, count: each });
  }
}

/** Take an event back; a second time changes nothing. @returns the brood that it was of */
export const undoBroodEvent = async (
  scope: Scope,
  id: string,
  undo: { id: string; at: string },
): Promise<string> => (await BROOD_EVENTS.undo(scope, id, undo)).broodId;
