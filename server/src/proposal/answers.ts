import type { Answer } from '@open-larder/contract';
import type { Sign } from '@open-larder/core';
import { eventLog, type Scope } from '../db';

/** An answer as it is stored: with what spoke for it, and the version that it made or was about. */
export type StoredAnswer = Answer & { version: number; signs: Sign[] };

export const ANSWERS = eventLog<StoredAnswer>({
  table: 'answers',
  what: 'This answer',
  columns: `e.id, e.group_id, e.tank_id, e.kind, e.food_id, e.accepted, e.later, e.change,
    e.day::text, e.hand, e.version, e.signs`,
});

/** Answers from a day on. */
export const answersSince = async (scope: Scope, since: string): Promise<Answer[]> =>
  (await ANSWERS.list(scope, 'e.day >= :since', { since })).map(report);

/** Answers, newest first, after a cursor of [day, seq]. */
export const answersAfter = (
  scope: Scope,
  after: readonly (string | number)[] | null,
  limit: number,
): Promise<(StoredAnswer & { seq: number })[]> =>
  ANSWERS.page(scope, 'day', { before: after, limit });

export const report = ({
  version: _,
  signs: __,
  undone: ___,
  ...answer
}: StoredAnswer & { undone?: boolean }): Answer => answer;
