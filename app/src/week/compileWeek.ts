import { addDays, compileRound, type GroupDay, type RoundServing } from '@open-larder/core/round';
import type { HouseData } from '../store';

export interface WeekRow {
  momentId: string;
  name: string;
  minutes: number;
  /** Servings of this moment on each day of the week. */
  cells: RoundServing[][];
}

export interface WeekView {
  days: string[];
  rows: WeekRow[];
  groups: { id: string; name: string; days: GroupDay[] }[];
}

/** One tank's week, compiled by the same code as the Round. */
export function compileWeek(data: HouseData, tankId: string, first: string): WeekView {
  const house = {
    ...data.house,
    groups: data.house.groups.filter((group) => group.tankId === tankId),
  };
  const days = [0, 1, 2, 3, 4, 5, 6].map((offset) => addDays(first, offset));
  const rounds = days.map((day) => compileRound(house, day));
  const rows = new Map<string, WeekRow>();
  rounds.forEach((round, index) => {
    for (const { moment, stops } of round.moments) {
      for (const stop of stops) {
        const row = rows.get(moment.id) ?? {
          momentId: moment.id,
          name: moment.name,
          minutes: stop.minutes,
          cells: days.map(() => []),
        };
        rows.set(moment.id, row);
        row.cells[index]?.push(...stop.servings);
      }
    }
  });
  return {
    days,
    rows: [...rows.values()].sort((a, b) => a.minutes - b.minutes),
    groups: house.groups.map((group) => ({
      id: group.id,
      name: group.name,
      days: rounds.flatMap((round) => round.groups.filter((one) => one.group.id === group.id)),
    })),
  };
}
