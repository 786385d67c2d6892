import { addsFor, everyFor, shareFor, type Rhythm } from './sawTooth';

/** What keeps a tank under a cap: each with the others as they are; null where it alone cannot. */
export interface Keeps {
  share: number | null;
  everyDays: number | null;
  ration: number | null;
}

/** What a day may add, and with it share, interval or ration, for the peak to be at the cap. */
export function keepsUnder(
  capMgL: number,
  { production, uptakeMgL }: { production: number; uptakeMgL: number },
  foodAddsMgL: number,
  rhythm: Rhythm,
): Keeps {
  const adds = Math.max(0, production * foodAddsMgL - uptakeMgL);
  const every = everyFor(capMgL, adds, rhythm);
  const may = addsFor(capMgL, rhythm);
  const byFood = production * foodAddsMgL;
  return {
    share: shareFor(capMgL, adds, rhythm),
    everyDays: every === null || every < 1 ? null : Math.min(365, Math.floor(every)),
    ration: may === null ? null : byFood > 0 ? (may + uptakeMgL) / byFood : null,
  };
}
