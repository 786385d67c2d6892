import { mannerKey, type DietServing } from '../round';

/** One serving on one day of the cycle: what a keeper takes hold of on the board. */
export interface Cell {
  serving: DietServing;
  /** Day of the cycle, from 1. */
  day: number;
}

/** What is given, apart from its id and days. */
export type Line = Omit<DietServing, 'id' | 'days'>;

/** Servings as cells, one for each of their days. */
export const cellsOf = (servings: readonly DietServing[]): Cell[] =>
  servings.flatMap((serving) => serving.days.map((day) => ({ serving, day })));

/** What makes two servings one line of a plan. */
export const lineKey = (line: Line): string =>
  JSON.stringify([
    line.foodId,
    line.momentId,
    line.zone,
    line.place,
    line.ownUnits,
    line.weight,
    mannerKey(line.manner),
  ]);

/**
 * Cells as servings: what is alike on several days is one line. A line keeps the id that it had.
 * Two of a kind in one cell are added up.
 * @param newId an id for a line that is new
 */
export function servingsFrom(cells: readonly Cell[], newId: () => string): DietServing[] {
  const inCell = new Map<string, Cell>();
  for (const { serving, day } of cells) {
    const { weight, ownUnits, ...same } = serving;
    const key = `${day} ${lineKey({ ...same, weight: 1, ownUnits: null })} ${ownUnits === null}`;
    const there = inCell.get(key);
    const sum = there
      ? {
          ...there.serving,
          weight: ownUnits === null ? there.serving.weight + weight : weight,
          ownUnits: ownUnits === null ? null : (there.serving.ownUnits ?? 0) + ownUnits,
        }
      : serving;
    inCell.set(key, { serving: sum, day });
  }
  const lines = new Map<string, DietServing>();
  const taken = new Set<string>();
  for (const { serving, day } of inCell.values()) {
    const key = lineKey(serving);
    const line = lines.get(key);
    if (line) {
      lines.set(key, { ...line, days: [...line.days, day] });
      continue;
    }
    const id = taken.has(serving.id) ? newId() : serving.id;
    taken.add(id);
    lines.set(key, { ...serving, id, days: [day] });
  }
  return [...lines.values()].map((line) => ({
    ...line,
    days: [...line.days].sort((a, b) => a - b),
  }));
}

/** Put something in, on some days. */
export const put = (
  servings: readonly DietServing[],
  line: Line,
  days: readonly number[],
  newId: () => string,
): DietServing[] =>
  servingsFrom(
    [...cellsOf(servings), ...cellsOf([{ ...line, id: newId(), days: [...days] }])],
    newId,
  );

/** Take a serving out of one day. */
export const takeOut = (
  servings: readonly DietServing[],
  servingId: string,
  day: number,
): DietServing[] =>
  servings.flatMap((serving) => {
    if (serving.id !== servingId) return serving;
    const days = serving.days.filter((one) => one !== day);
    return days.length === 0 ? [] : { ...serving, days };
  });

/** Change a serving on one day alone; its other days stay as they are. */
export function changeOn(
  servings: readonly DietServing[],
  servingId: string,
  day: number,
  news: Partial<Line> & { day?: number },
  newId: () => string,
): DietServing[] {
  const { day: to = day, ...line } = news;
  return servingsFrom(
    cellsOf(servings).map((cell) =>
      cell.serving.id === servingId && cell.day === day
        ? { serving: { ...cell.serving, ...line, id: newId() }, day: to }
        : cell,
    ),
    newId,
  );
}

/** Two servings that are one line but for how much of it is given. */
const sameButAmount = (one: Line, other: Line): boolean =>
  lineKey({ ...one, weight: 1, ownUnits: null }) ===
  lineKey({ ...other, weight: 1, ownUnits: null });

/**
 * Take a serving from one day to another place of the board. Onto the same food it is added up there:
 * both amounts together, as they were served.
 * @param unitsOn what is served of a serving on a day, in its unit
 * @returns the servings, and the units that now stand there where two were added up
 */
export function moveOn(
  servings: readonly DietServing[],
  servingId: string,
  from: number,
  to: { day: number; momentId: string },
  unitsOn: (servingId: string, day: number) => number,
  newId: () => string,
): { servings: DietServing[]; joinedUnits: number | null } {
  const moving = servings.find(({ id }) => id === servingId);
  const there =
    moving &&
    servings.find(
      (one) =>
        one.days.includes(to.day) &&
        !(one.id === servingId && to.day === from) &&
        sameButAmount(one, { ...moving, momentId: to.momentId }),
    );
  if (!moving || !there) {
    return { servings: changeOn(servings, servingId, from, to, newId), joinedUnits: null };
  }
  const joinedUnits = unitsOn(servingId, from) + unitsOn(there.id, to.day);
  const added = changeOn(servings, there.id, to.day, { ownUnits: joinedUnits }, newId);
  return { servings: takeOut(added, servingId, from), joinedUnits };
}

/** Give a serving on further days too, or on these alone. */
export const repeatOn = (
  servings: readonly DietServing[],
  servingId: string,
  days: readonly number[],
): DietServing[] =>
  servings.flatMap((serving) =>
    serving.id !== servingId
      ? serving
      : days.length === 0
        ? []
        : { ...serving, days: [...days].sort((a, b) => a - b) },
  );

/** Make other days like one: what stood on them goes. */
export function copyDay(
  servings: readonly DietServing[],
  from: number,
  to: readonly number[],
  newId: () => string,
): DietServing[] {
  const onto = new Set(to.filter((day) => day !== from));
  const cells = cellsOf(servings);
  const copied = cells.filter((cell) => cell.day === from);
  return servingsFrom(
    [
      ...cells.filter((cell) => !onto.has(cell.day)),
      ...[...onto].flatMap((day) => copied.map(({ serving }) => ({ serving, day }))),
    ],
    newId,
  );
}

/** Lay servings of one cycle into another: a longer one repeats it, a shorter one ends it sooner. */
export function relaid(servings: readonly DietServing[], was: number, days: number): DietServing[] {
  return servings.flatMap((serving) => {
    const laid = Array.from({ length: days }, (_, at) => at + 1).filter((day) =>
      serving.days.includes(((day - 1) % was) + 1),
    );
    return laid.length === 0 ? [] : { ...serving, days: laid };
  });
}
