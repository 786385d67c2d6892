import { formatNumber } from '@open-larder/say';
import type { Aim } from '@open-larder/core/week';

interface Names {
  group: (id: string) => string;
  moment: (id: string) => string;
  food: (id: string) => string;
  /** Days of the cycle as words, from 0: «Mo, Th». */
  days: (days: readonly number[]) => string;
}

const figure = (value: number) => formatNumber(value, value < 10 ? 1 : 0);

/** An aim as a sentence with its figure: what it is, and what it should be. */
export function formatAim(
  { kind, groupId, about, value, low, high, days }: Aim,
  names: Names,
): string {
  const who = groupId === null ? '' : names.group(groupId);
  const is = figure(value);
  const band =
    low !== null && high !== null
      ? `${figure(low)} to ${figure(high)}`
      : low !== null
        ? `at least ${figure(low)}`
        : `at most ${figure(high ?? 0)}`;
  const on = days.length > 0 ? ` (${names.days(days)})` : '';
  switch (kind) {
    case 'energy':
      return `${who}: ${is} % of the day’s need on its worst day${on}; aim for ${band} %.`;
    case 'fast':
      return `${who}: on its fasting day it still finds ${is} % of a day’s need${on}; a fast allows ${band} %.`;
    case 'plant':
      return `${who}: ${is} % of its energy from plants; aim for ${band} %.`;
    case 'protein':
      return `${who}: ${is} % protein in the dry matter it eats; aim for ${band} %.`;
    case 'fibre':
      return `${who}: ${is} % fibre in the dry matter it eats; ${band} % is usual.`;
    case 'capped':
      return `${who}: ${about} ${is} times a week; ${band} is wise.`;
    case 'rule':
      return `${who}: ${names.food(about).toLowerCase()} is planned ${is} times a week; you said ${high === 0 ? 'never' : `${band}`}.`;
    case 'variety':
      return `${who}: ${is} different foods; ${band} are wanted.`;
    case 'dominant':
      return `${who}: ${is} % of its energy from one food; aim for ${band} %.`;
    case 'meals':
      return `${who}: ${is} meals a day; fry want ${band}.`;
    case 'work':
      return `${names.moment(about)}: ${is} minutes of work${on}; you have ${figure(high ?? 0)} for this tank.`;
  }
}
