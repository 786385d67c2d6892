import type { Group } from '@open-larder/contract';
import { LOOK_AGAIN_DAYS } from '@open-larder/core/ration';
import { daysBetween } from '@open-larder/core/round';

/** Groups whose bellies were not as they should be, some days ago: they are asked about again. */
export const lookAgain = (groups: readonly Group[], day: string): Group[] =>
  groups.filter(
    ({ belly }) =>
      belly !== null &&
      (belly.score <= 2 || belly.score === 5) &&
      daysBetween(belly.day, day) >= LOOK_AGAIN_DAYS,
  );
