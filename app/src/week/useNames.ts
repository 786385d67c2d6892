import { useMemo } from 'react';
import { cycleDays, useFormat, type AppData } from '../store';
import type { Board } from './useBoard';

/** How groups, moments and days of a plan are called. */
export function useNames(data: AppData, { draft }: Pick<Board, 'draft'>) {
  const format = useFormat();
  const { cycle } = draft;
  return useMemo(() => {
    const days = new Map(cycleDays(format, cycle).map(({ value, label }) => [value, label]));
    return {
      group: (id: string) => data.groups.find((one) => one.id === id)?.name ?? 'a group',
      moment: (id: string) => data.moments.find((one) => one.id === id)?.name ?? 'a moment',
      food: (id: string) => data.foods.find((one) => one.id === id)?.name ?? 'a food',
      weekdays: (list: readonly number[]) =>
        format.weekdays
          .flatMap(({ value, label }) => (list.includes(value) ? [label] : []))
          .join(' '),
      days: (from0: readonly number[]) =>
        from0.length === cycle.days
          ? 'every day'
          : from0.map((day) => days.get(day + 1) ?? String(day + 1)).join(' '),
    };
  }, [data, format, cycle]);
}

export type Names = ReturnType<typeof useNames>;
