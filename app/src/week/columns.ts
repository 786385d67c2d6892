import {
  addDays,
  compileRound,
  wallMinutes,
  type Round,
  type RoundServing,
} from '@open-larder/core/round';
import { cellsOf, tankOf, type WeekTask } from '@open-larder/core/week';

/** One column of the board: a day of the cycle, and the date on which it stands. */
export interface Column {
  /** Day of the cycle, from 1. */
  day: number;
  date: string;
  /** Groups that fast, by id. */
  fasting: string[];
}

export interface BoardRow {
  momentId: string;
  name: string;
  minutes: number;
  /** Servings by column. */
  cells: RoundServing[][];
}

/**
 * A tank's cycle as a board: days across, every moment of the house down.
 * @param weekStart ISO weekday with which a week begins
 */
export function boardOf(
  task: WeekTask,
  weekStart: number,
): { columns: Column[]; rows: BoardRow[] } {
  const tank = tankOf(task);
  const { days } = tank.plan.cycle;
  const order = Array.from({ length: days }, (_, at) => at + 1);
  // A week that begins on Sunday shows the Sunday before.
  if (days === 7 && weekStart === 7) order.unshift(order.pop() as number);
  const rounds: Round[] = [];
  const columns = order.map((day, at): Column => {
    const before = days === 7 && weekStart === 7 && at === 0 ? 7 : 0;
    const date = addDays(task.first, day - 1 - before);
    const round = compileRound(task.house, date);
    rounds.push(round);
    return {
      day,
      date,
      fasting: round.groups.flatMap(({ group, rest }) => (rest === 'fast' ? group.id : [])),
    };
  });
  const rows = task.house.moments
    .map((moment) => ({
      momentId: moment.id,
      name: moment.name,
      minutes: wallMinutes(moment, tank.light),
      cells: rounds.map((round) =>
        round.moments
          .filter((one) => one.moment.id === moment.id)
          .flatMap(({ stops }) => stops.flatMap(({ servings }) => servings)),
      ),
    }))
    .sort((a, b) => a.minutes - b.minutes || (a.momentId < b.momentId ? -1 : 1));
  return { columns, rows };
}

/** Whether anything is planned at all. */
export const isEmpty = (task: WeekTask): boolean =>
  task.house.groups.every(({ diet }) => cellsOf(diet?.servings ?? []).length === 0);
