import type { BodyOf, FoodRow } from '@open-larder/contract';
import type { Clock } from '../clock';
import type { Scope } from '../db';
import { assertNotFuture } from '../household/ahead';
import { idUsed } from '../http/problems';
import { foodColumns, readFood, shelve } from './store';

/** Put a food on the shelf, with a lot of it if there is one. Sent twice it is there once. */
export async function createFood(
  scope: Scope,
  clock: Clock,
  body: BodyOf<'createFood'>,
): Promise<FoodRow> {
  if (body.lot) await assertLotNotAhead(scope, clock, body.lot);
  await scope.insertOnce('foods', [
    { id: body.id, ...foodColumns(body), version: 1, archived: false },
  ]);
  const made = await readFood(scope, body.id);
  if (!made) throw idUsed();
  if (body.lot === null) return made;
  await shelve(scope, body.id, body.lot);
  return (await readFood(scope, body.id)) ?? made;
}

/** What is on the shelf was bought, and opened, by today. */
export async function assertLotNotAhead(
  scope: Scope,
  clock: Clock,
  { boughtOn, openedOn }: { boughtOn: string; openedOn: string | null },
): Promise<void> {
  await assertNotFuture(
    scope,
    clock,
    { day: boughtOn },
    'put it on the shelf when it is here',
    'boughtOn',
  );
  if (openedOn !== null) {
    await assertNotFuture(scope, clock, { day: openedOn }, 'say so when it is opened', 'openedOn');
  }
}
