import { cutPage, readCursor, type Scope } from '../db';
import { todayOf } from '../household/store';
import type { Handlers } from '../http/mount';
import { idUsed, notFound, invalid } from '../http/problems';
import { readHouse } from '../round/house';
import { readTrial, trialRow, trials } from './store';

export const trialRoutes = {
  async listTrials({ query }, { scope, catalogue, clock }) {
    const after = readCursor(query.cursor, 'id')?.[0] ?? null;
    const rows = await trials(scope, after as string | null, query.limit + 1);
    const { items, next } = cutPage(rows, query.limit, ({ id }) => [id]);
    const today = await todayOf(scope, clock);
    const household = await readHouse(scope, catalogue);
    return {
      items: scope.each(
        items,
        ({ id }) => id,
        (row) => [trialRow(household, row, today)],
      ),
      next,
    };
  },

  async createTrial({ body }, { scope, catalogue, clock }) {
    const { from, ...trial } = body;
    await assertOwned(scope, [body.groupId, body.otherGroupId]);
    const row = { ...trial, fromDay: from, endedOn: null, version: 1, archived: false };
    await scope.insertOnce('trials', [row]);
    const made = await readTrial(scope, body.id);
    if (!made) throw idUsed();
    return trialRow(await readHouse(scope, catalogue), made, await todayOf(scope, clock));
  },

  async editTrial({ params, body }, { scope, catalogue, clock }) {
    const known = await readTrial(scope, params.id);
    if (!known) throw notFound('This trial');
    const { from, ...edit } = body;
    if ((known.kind === 'tank') !== (edit.changedOn !== null)) {
      throw invalid('changedOn', 'one tank changes its diet on a day; siblings do not');
    }
    if (edit.changedOn !== null && edit.changedOn <= from) {
      throw invalid('changedOn', 'the diet is changed after the beginning');
    }
    const now = await scope.revise(
      'trials',
      'This trial',
      params.id,
      { ...edit, fromDay: from },
      () => readTrial(scope, params.id),
    );
    return trialRow(await readHouse(scope, catalogue), now, await todayOf(scope, clock));
  },
} satisfies Partial<Handlers>;

/** @throws ProblemError 404 for a group that this household does not have */
async function assertOwned(scope: Scope, ids: readonly (string | null)[]): Promise<void> {
  const wanted = ids.filter((id) => id !== null);
  const known = await scope.rows(
    'SELECT id FROM groups WHERE household_id = :household AND id IN (:wanted)',
    { wanted },
  );
  if (known.length < wanted.length) throw notFound('This group');
}
