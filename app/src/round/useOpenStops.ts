import type { RoundServingView, RoundStopView, RoundView } from '@open-larder/contract';
import { useState } from 'react';
import { mealAt, openDrops } from './inWater';
import { open, type RoundMomentView } from './moments';

/**
 * Which tanks of a moment are unfolded: the next, the one that was served last, and what was opened or
 * folded by hand, and what a label beside it was read for (`asked`). On a wide screen one of them stands beside the day.
 */
export function useOpenStops(
  round: RoundView | null,
  current: RoundMomentView | null,
  asked: string | null = null,
) {
  const [toggled, setToggled] = useState<Readonly<Record<string, boolean>>>({});
  const [servedAt, setServedAt] = useState<string | null>(null);
  const [picked, setPicked] = useState(asked);
  const stops = current?.stops ?? [];
  const holding = (servingId: string | null) =>
    stops.find(({ servings }) => servings.some((one) => one.servingId === servingId)) ?? null;
  const nextId = current ? (open(current)[0]?.servingId ?? null) : null;
  const lastId = servedAt ?? (round && current ? lastServed(round, current) : null);
  const stopOf = (tankId: string | null) => stops.find((stop) => stop.tankId === tankId) ?? null;
  return {
    /** The serving that is next in the whole moment. */
    nextId,
    isOpen: (stop: RoundStopView) =>
      toggled[stop.tankId] ??
      (stop.tankId === asked || stop.tankId === lastId || stop === holding(nextId)),
    /** Something beside feeding, unfolded by hand. */
    isUnfolded: (key: string) => toggled[key] ?? key === asked,
    toggle: (tankId: string, on: boolean) => setToggled({ ...toggled, [tankId]: on }),
    /** A hand is at this tank: it stays as it is. */
    atHand: ({ servingId }: RoundServingView) => setServedAt(holding(servingId)?.tankId ?? null),
    /** The one beside the day: chosen, or the next. */
    beside: stopOf(picked) ?? holding(nextId) ?? stops[0] ?? null,
    pick: setPicked,
    /** What was served last, with its clock and its way back. */
    justServed: stopOf(lastId),
    /** Another moment is looked at. */
    reset: () => {
      setToggled({});
      setServedAt(null);
      setPicked(null);
    },
    /** What the rows depend on, so that they are drawn anew. */
    key: [nextId, lastId, toggled],
  };
}

/** The tank that was served last at this moment, while its food is still in the water. */
function lastServed(round: RoundView, { stops, momentId }: RoundMomentView): string | null {
  const times = stops
    .filter(({ tankId }) => {
      const meal = mealAt(round, { day: round.day, momentId, tankId });
      return meal !== null && openDrops(meal).length > 0;
    })
    .map(({ tankId, servings }) => ({
      tankId,
      at: servings.reduce((latest, { fed }) => (fed && fed.at > latest ? fed.at : latest), ''),
    }));
  return times.reduce((a, b) => (b.at > a.at ? b : a), { tankId: '', at: '' }).tankId || null;
}
