import type { Changes, RouteName } from '@open-larder/contract';
import { z } from 'zod';
import type { Scope } from '../db';

/** What is read at once at most; a page that missed more reads on. */
const MOST = 500;
/** A phone that was away for longer reads all anew. */
const KEPT_DAYS = 7;
/** What is too old is looked for now and then, not with each change. */
const SWEPT_EVERY = 500;
/** Someone whose page said nothing for so long has left the Round. */
const PRESENT_S = 50;

/**
 * Write that something changed, as the last of the transaction that changes it: the next change of the
 * household waits until this one is in force. A household that was erased in it is named no more.
 */
export function noteChange(
  scope: Scope,
  change: { route: RouteName; subject: string | null; page: string | null },
): void {
  scope.changeAhead(
    `WITH next AS (
       INSERT INTO change_counters AS c (household_id, last)
       SELECT id, 1 FROM households WHERE id = :household
       ON CONFLICT (household_id) DO UPDATE SET last = c.last + 1
       RETURNING household_id, last
     ), swept AS (
       DELETE FROM changes
        WHERE household_id = :household AND (SELECT last % ${SWEPT_EVERY} = 0 FROM next)
          AND recorded_at < now() - make_interval(days => ${KEPT_DAYS})
     )
     INSERT INTO changes (household_id, seq, route, subject, page)
     SELECT household_id, last, :route, :subject, :page FROM next`,
    change,
  );
}

const changedRow = z.object({
  seq: z.coerce.number(),
  route: z.string(),
  subject: z.string().nullable(),
  page: z.string().nullable(),
});
const counterRow = z.object({ line: z.string(), last: z.coerce.number() });
const presentRow = z.object({
  page: z.string(),
  name: z.string().nullable(),
  tankId: z.string().nullable(),
});

/** The place before the first change of a household of which nothing was changed yet. */
const BEGINNING = '0-00000000-0000-0000-0000-000000000000';

/**
 * What came into force after a position, in order; without one, where the order is now. Every change is
 * returned to who goes on from the answer's position, and none twice.
 */
export async function changesAfter(scope: Scope, after: string | undefined): Promise<Changes> {
  const here = await scope.read(
    presentRow,
    `SELECT page, person AS name, tank_id FROM presences
      WHERE household_id = :household AND seen_at > now() - make_interval(secs => ${PRESENT_S})
      ORDER BY person NULLS LAST, page`,
  );
  const [counter] = await scope.read(
    counterRow,
    'SELECT line, last FROM change_counters WHERE household_id = :household',
  );
  if (!counter) {
    return { changes: [], position: BEGINNING, whole: (after ?? BEGINNING) === BEGINNING, here };
  }
  const positionOf = (seq: number) => `${seq}-${counter.line}`;
  const now = { changes: [], position: positionOf(counter.last), here };
  if (after === undefined) return { ...now, whole: true };
  const [seq, line] = split(after);
  // Of another line, from before the database was put back: there is nothing to go on from.
  if (seq > counter.last || (seq > 0 && line !== counter.line)) return { ...now, whole: false };
  const rows = await scope.read(
    changedRow,
    `SELECT seq, route, subject, page FROM changes
      WHERE household_id = :household AND seq > :seq ORDER BY seq LIMIT ${MOST}`,
    { seq },
  );
  const first = rows[0]?.seq ?? counter.last + 1;
  if (first > seq + 1) return { ...now, whole: false };
  return {
    changes: rows.map(({ seq: at, ...change }) => ({ position: positionOf(at), ...change })),
    position: positionOf(rows.at(-1)?.seq ?? seq),
    whole: true,
    here,
  };
}

function split(position: string): [number, string] {
  const dash = position.indexOf('-');
  return [Number(position.slice(0, dash)), position.slice(dash + 1)];
}

/** Say that a page has the Round open, or no longer. */
export async function setPresence(
  scope: Scope,
  page: string,
  where: { person: string | null; tankId: string | null } | null,
): Promise<void> {
  if (where === null) {
    await scope.rows(
      `DELETE FROM presences WHERE household_id = :household
          AND (page = :page OR seen_at < now() - interval '1 day') RETURNING page`,
      { page },
    );
    return;
  }
  await scope.rows(
    `INSERT INTO presences (household_id, page, person, tank_id)
     VALUES (:household, :page, :person, :tankId)
     ON CONFLICT (household_id, page)
       DO UPDATE SET person = excluded.person, tank_id = excluded.tank_id, seen_at = now()
     RETURNING page`,
    { page, person: where.person, tankId: where.tankId },
  );
}
