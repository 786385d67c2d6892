import type { Sign } from './signs';

/** What was seen after an answer: how much of it speaks for more, for less, and for what is served. */
export interface LedTo {
  more: number;
  right: number;
  less: number;
  says: 'right' | 'still more' | 'still less' | 'unseen';
}

/** Within this the mean of what was seen is right. Assumption: as far as a change would be felt. */
const RIGHT = 1 / 3;

/**
 * What the signs after an answer say of the portions that came of it.
 * @param signs those of the days after it, up to the next change of the portions
 */
export function ledTo(signs: readonly Sign[]): LedTo {
  const counted = signs.filter(({ weight }) => weight > 0);
  const weights = counted.reduce((sum, { weight }) => sum + weight, 0);
  const mean =
    weights > 0 ? counted.reduce((sum, { pull, weight }) => sum + pull * weight, 0) / weights : 0;
  const more = counted.filter(({ pull }) => pull > 0).length;
  const less = counted.filter(({ pull }) => pull < 0).length;
  return {
    more,
    less,
    right: counted.length - more - less,
    says:
      counted.length === 0
        ? 'unseen'
        : Math.abs(mean) < RIGHT
          ? 'right'
          : mean > 0
            ? 'still more'
            : 'still less',
  };
}
