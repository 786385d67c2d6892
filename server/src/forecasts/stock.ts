import { addDays, daysBetween, larderOf, runsOutIn } from '@open-larder/core';
import type { Foreseen } from '@open-larder/core/forecasts';
import type { Outcome, Seen } from './outcome';
import { z } from 'zod';

/** The day that a food runs out is forecast so many days before. */
const AHEAD_DAYS = 14;
const HORIZON = 60;

/** Foods of which the last was used up, forecast two weeks before. */
export async function stockOutcomes({ scope, household, since, today }: Seen): Promise<Outcome[]> {
  const ended = await scope.read(
    z.object({ foodId: z.string(), eventId: z.string(), day: z.string() }),
    `SELECT DISTINCT ON (l.food_id) l.food_id, e.id AS event_id, e.day::text
       FROM stock_events e JOIN lots l ON l.household_id = e.household_id AND l.id = e.lot_id
      WHERE e.household_id = :household AND e.kind = 'drawn' AND e.day BETWEEN :since AND :today
        AND (SELECT sum(remaining_g) FROM lots x
              WHERE x.household_id = :household AND x.food_id = l.food_id) <= 1e-6
      ORDER BY l.food_id, e.seq DESC`,
    { since, today },
  );
  return ended.flatMap(({ foodId, eventId, day }): Outcome[] => {
    const food = household.foods.find(({ id }) => id === foodId);
    if (!food || food.archived) return [];
    const madeOn = addDays(day, -AHEAD_DAYS);
    return [
      {
        kind: 'runsOut',
        eventId,
        about: food.name,
        madeOn,
        day,
        actual: daysBetween(madeOn, day),
        foresee: async (): Promise<Foreseen | null> => {
          const held = await scope.read(
            z.object({ lotId: z.string(), grams: z.number() }),
            `SELECT lot_id, sum(delta_g) AS grams FROM stock_events
              WHERE household_id = :household AND day <= :madeOn
                AND lot_id IN (SELECT id FROM lots
                                WHERE household_id = :household AND food_id = :foodId)
              GROUP BY lot_id`,
            { madeOn, foodId },
          );
          const grams = new Map(held.map((lot) => [lot.lotId, Number(lot.grams)]));
          const lots = food.lots
            .filter(({ boughtOn }) => boughtOn <= madeOn)
            .map((lot) => ({ ...lot, remainingG: Math.max(0, grams.get(lot.id) ?? 0) }));
          // What was bought since was not to be foreseen.
          if (lots.length < food.lots.length || lots.every(({ remainingG }) => remainingG <= 0)) {
            return null;
          }
          const stocked = {
            id: foodId,
            lots,
            openedDays: null,
            leadDays: 0,
            sealedDays: null,
            loose: false,
          };
          const { foods } = larderOf(household.on(madeOn).house, [stocked], {
            today: madeOn,
            horizon: HORIZON,
          });
          const days = foods.find((one) => one.foodId === foodId)?.days ?? null;
          return days === null ? null : runsOutIn(days);
        },
      },
    ];
  });
}
