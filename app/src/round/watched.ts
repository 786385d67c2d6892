import type { FoodRow, Tank } from '@open-larder/contract';
import { liftAfter } from '@open-larder/core/school';
import type { Drop } from '@open-larder/core/zones';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { recall, remember } from '../store/memory';
import { nowMs } from '../store/clock';

/** A meal in one tank that is being watched: since when, and what went in. */
export interface Watched {
  tankId: string;
  day: string;
  momentId: string;
  /** When the first of it went in, ms. */
  since: number;
  drops: Drop[];
}

const PLACE = 'watched';
/** A meal that nobody looked at for so long is not watched any more. */
const FORGOTTEN_MS = 36 * 3_600_000;

export const mealKey = ({ day, momentId, tankId }: Pick<Watched, 'day' | 'momentId' | 'tankId'>) =>
  `${day} ${momentId} ${tankId}`;

/** Meals that were being watched before the page was loaded anew. */
function kept(now: number): Record<string, Watched> {
  const list = recall<Watched[]>(PLACE);
  if (!Array.isArray(list)) return {};
  const fresh = list.filter(
    (meal) => Array.isArray(meal?.drops) && now - meal.since < FORGOTTEN_MS && meal.since <= now,
  );
  return Object.fromEntries(fresh.map((meal) => [mealKey(meal), meal]));
}

/** Meals being watched, on this device. */
const watched = createSlice({
  name: 'watched',
  initialState: () => kept(nowMs()),
  reducers: {
    /** Something went into a tank: its meal is watched from the first of it. */
    dropWatched(state, { payload }: PayloadAction<Omit<Watched, 'drops'> & { drop: Drop }>) {
      const { drop, ...meal } = payload;
      const before = state[mealKey(meal)];
      const others = before?.drops.filter(({ key }) => key !== drop.key) ?? [];
      state[mealKey(meal)] = { ...(before ?? meal), drops: [...others, drop] };
      remember(PLACE, Object.values(state));
    },
    /** A serving was taken back: what never went in is not watched. */
    dropTakenBack(state, { payload }: PayloadAction<{ day: string; key: string }>) {
      for (const [id, meal] of Object.entries(state)) {
        if (meal.day !== payload.day) continue;
        meal.drops = meal.drops.filter(({ key }) => key !== payload.key);
        if (meal.drops.length === 0) delete state[id];
      }
      remember(PLACE, Object.values(state));
    },
    /** It was seen to the end, or nobody looks any more. */
    watchEnded(state, { payload }: PayloadAction<Watched>) {
      delete state[mealKey(payload)];
      remember(PLACE, Object.values(state));
    },
    /** What was said of it is taken back: it is watched again. */
    watchedAgain(state, { payload }: PayloadAction<Watched>) {
      state[mealKey(payload)] = payload;
      remember(PLACE, Object.values(state));
    },
  },
});

export const { dropWatched, dropTakenBack, watchEnded, watchedAgain } = watched.actions;
export const watchedReducer = watched.reducer;

/** When what is left of a meal is to be lifted, ms; null where nothing of it is. */
export function liftAt(
  { since, drops }: Watched,
  tank: Pick<Tank, 'plan'>,
  foods: readonly FoodRow[],
): number | null {
  const ends = drops.flatMap((drop) => {
    const food = foods.find((one) => one.id === drop.foodId);
    const after = food ? liftAfter(tank.plan?.school ?? null, food) : null;
    return after === null ? [] : [since + (drop.manner.afterMin + after) * MIN_MS];
  });
  return ends.length > 0 ? Math.max(...ends) : null;
}

const MIN_MS = 60_000;
