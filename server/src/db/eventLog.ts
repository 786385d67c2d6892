import { idUsed, notFound } from '../http/problems';
import { isPlain, type Scope } from './scope';

/** The logs: a row says what happened, or takes exactly one such row back. None is ever changed. */
export type LogTable =
  | 'answers'
  | 'batches'
  | 'brood_events'
  | 'chores'
  | 'feedings'
  | 'looks'
  | 'ratings'
  | 'sightings'
  | 'vessel_events'
  | 'water_events'
  | 'weighings';

/** An event, and whether it was taken back. */
export type Read<Row> = Row & { undone: boolean };

/** What takes an event back: an event of its own. */
interface Undo {
  id: string;
  at?: string;
}

interface Described<Row> {
  table: LogTable;
  /** As in the sentence that says that there is none: «This look». */
  what: string;
  /** What is read of an event, as a SELECT list over the log as `e`. */
  columns: string;
  /** Tables that are read beside it, and what comes of them: no part of the event. */
  joins?: string;
  joined?: readonly (keyof Row)[];
}

/** The instant of an event as it crosses a wire. */
export const AT = `to_char(e.at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') AS at`;

type Values = Record<string, unknown>;
type Before = readonly (string | number)[] | null;

/**
 * A log as its readers and writers see it. What is in force of it is the view `active_<table>`: neither
 * an undo, nor undone.
 */
export function eventLog<Row extends { id: string }>({
  table,
  what,
  columns,
  joins = '',
  joined = [],
}: Described<Row>) {
  const active = `active_${table} e ${joins}`;

  /** Events, taken back or not. @param where conditions over `e` */
  const among = (scope: Scope, where: string, values: Values): Promise<Read<Row>[]> =>
    scope.rows<Read<Row>>(
      `SELECT ${columns}, EXISTS (SELECT 1 FROM ${table} u WHERE u.undoes = e.id) AS undone
         FROM ${table} e ${joins}
        WHERE e.household_id = :household AND ${where} AND e.undoes IS NULL`,
      values,
    );

  /** An event by its id, taken back or not. */
  const read = async (scope: Scope, id: string): Promise<Read<Row> | null> =>
    (await among(scope, 'e.id = :id', { id }))[0] ?? null;

  return {
    among,
    read,

    /** Events in force. @param where conditions over `e`, and the order */
    list: (scope: Scope, where: string, values: Values = {}): Promise<Row[]> =>
      scope.rows<Row>(
        `SELECT ${columns} FROM ${active} WHERE e.household_id = :household AND ${where}`,
        values,
      ),

    /** Events in force, the newest first, before a cursor of [seq] or of [day, seq]. */
    page: (
      scope: Scope,
      by: 'seq' | 'day',
      {
        before,
        limit,
        where = 'true',
        values = {},
      }: { before: Before; limit: number; where?: string; values?: Values },
    ): Promise<(Row & { seq: number })[]> => {
      const [day, seq] = by === 'day' ? [before?.[0], before?.[1]] : [null, before?.[0]];
      const [key, cursor] = by === 'day' ? ['(e.day, e.seq)', '(:day, :seq)'] : ['e.seq', ':seq'];
      return scope.rows<Row & { seq: number }>(
        `SELECT e.seq, ${columns} FROM ${active}
          WHERE e.household_id = :household AND ${where}
            ${before === null ? '' : `AND ${key} < ${cursor}`}
          ORDER BY ${by === 'day' ? 'e.day DESC, ' : ''}e.seq DESC LIMIT :limit`,
        { ...values, limit, day: day ?? null, seq: seq ?? null },
      );
    },

    /**
     * Write an event once: sent again, it is the first that counts.
     * @param isSame whether what is kept under its id is what was sent
     * @throws ProblemError 409 where the id is used for something else
     */
    async append(
      scope: Scope,
      event: Values & { id: string },
      isSame: (kept: Read<Row>) => boolean = () => true,
    ): Promise<Row> {
      if (joins === '' && isPlain(event)) {
        const written = await scope.insertAndRead<Row>(table, event, columns);
        if (written) return written;
      } else await scope.insertOnce(table, [event]);
      const kept = await read(scope, event.id);
      if (!kept || !isSame(kept)) throw idUsed();
      const { undone: _, ...row } = kept;
      return row as unknown as Row;
    },

    /**
     * Take an event back: written once, a second time changes nothing.
     * @param first what is put right with it, unless it was taken back already
     * @throws ProblemError 404 where there is no such event
     */
    async undo(
      scope: Scope,
      id: string,
      undo: Undo,
      first: (event: Row) => Promise<void> = async () => {},
    ): Promise<Row> {
      await scope.lock(`undo ${table} ${id}`);
      const known = await read(scope, id);
      if (!known) throw notFound(what);
      const { undone, ...event } = known;
      if (!undone) {
        await first(event as unknown as Row);
        const own = Object.entries(event).filter(([key]) => !joined.includes(key as keyof Row));
        await scope.insert(table, [{ ...Object.fromEntries(own), ...undo, undoes: id }]);
      }
      return event as unknown as Row;
    },
  };
}
