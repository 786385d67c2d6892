import type { RoundStopView, Tank } from '@open-larder/contract';
import { useState } from 'react';
import type { WalkWork } from './useWalkWork';

/** A row of the walk: a tank to feed, or something beside feeding. */
export type WalkItem =
  | { key: string; stop: RoundStopView; work?: undefined }
  | { key: string; stop?: undefined; work: WalkWork };

/**
 * The rows of a moment in walking order. What comes late goes in its place only while nothing was done
 * yet: after the first tap it goes to the end, so that nothing moves under a thumb.
 */
export function useWalk(
  momentId: string,
  stops: readonly RoundStopView[],
  tanks: readonly Tank[],
  work: readonly WalkWork[],
): { items: WalkItem[]; touch: () => void } {
  const [held, setHeld] = useState<{ momentId: string; keys: readonly string[] } | null>(null);
  const placed = (key: string) => held?.momentId !== momentId || held.keys.includes(key);
  const orderOf = (tankId: string) => tanks.find(({ id }) => id === tankId)?.walkOrder ?? 0;
  const inPlace = work.filter(({ key }) => placed(key));
  const late = work.filter(({ key }) => !placed(key));
  const items: WalkItem[] = [];
  let next = 0;
  const workBefore = (order: number) => {
    for (let one = inPlace[next]; one && one.order < order; one = inPlace[next]) {
      items.push({ key: one.key, work: one });
      next += 1;
    }
  };
  for (const stop of stops) {
    workBefore(orderOf(stop.tankId));
    items.push({ key: stop.tankId, stop });
  }
  workBefore(Infinity);
  items.push(...late.map((one) => ({ key: one.key, work: one })));
  return {
    items,
    touch: () => {
      if (held?.momentId !== momentId) setHeld({ momentId, keys: work.map(({ key }) => key) });
    },
  };
}
