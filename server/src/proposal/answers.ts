import type { Answer } from '@open-larder/contract';
import type { Sign } from '@open-larder/core';
import type { Scope } from '../db';

const COLUMNS = `a.id, a.group_id, a.tank_id, a.kind, a.food_id, a.accepted, a.later, a.change,
  a.day::text, a.hand`;
const STANDING = `a.household_id = :household AND a.undoes IS NULL
  AND NOT EXISTS (SELECT 1 FROM answers u WHERE u.undoes = a.id)`;

/** Answers that stand, from a day on. */
export const answersSince = (scope: Scope, since: string): Promise<Answer[]> =>
  scope.rows(`SELECT ${COLUMNS} FROM answers a WHERE ${STANDING} AND a.day >= :since`, { since });

/** An answer as it is stored: with what spoke for it, and the version that it made or was about. */
export type StoredAnswer = Answer & { version: number; signs: Sign[] };

/** Answers that stand, newest first, after a cursor of [day, seq]. */
export const answersAfter = (
  scope: Scope,
  after: readonly (string | number)[] | null,
  limit: number,
): Promise<(StoredAnswer & { seq: number })[]> =>
  scope.rows(
    `SELECT ${COLUMNS}, a.version, a.signs, a.seq FROM answers a
      WHERE ${STANDING} ${after === null ? '' : 'AND (a.day, a.seq) < (:day, :seq)'}
      ORDER BY a.day DESC, a.seq DESC LIMIT :limit`,
    { day: after?.[0] ?? null, seq: after?.[1] ?? null, limit },
  );

export async function readAnswer(
  scope: Scope,
  id: string,
): Promise<(StoredAnswer & { undone: boolean }) | null> {
  const [row] = await scope.rows<StoredAnswer & { undone: boolean }>(
    `SELECT ${COLUMNS}, a.version, a.signs,
            EXISTS (SELECT 1 FROM answers u WHERE u.undoes = a.id) AS undone
       FROM answers a WHERE a.household_id = :household AND a.id = :id AND a.undoes IS NULL`,
    { id },
  );
  return row ?? null;
}

export const told = ({
  version: _,
  signs: __,
  undone: ___,
  ...answer
}: StoredAnswer & { undone?: boolean }): Answer => answer;
