import type { Growing } from '../kind';
import type { Logistic } from '../logistic';
import type {
  VesselContents,
  CultureDay,
  EventsSinceStart,
  ForecastStart,
  Supplying,
  Vessel,
  VesselStatus,
} from '../types';
import type { Strain } from '../hazard';
import type { Work } from '../work';

/** Grams that can be taken, by day; the temperature of a day from now, °C. */
export type ByDay = (day: number) => number;

/**
 * One way to grow, with all that the live shelf asks of it. Adding one is a file here and a row of the
 * registry (index.ts); the compiler names the words and pictures that are wanted for it.
 */
export interface Way {
  /** What a vessel is set up with: a part of another, dried eggs, or animals that are only kept. */
  startsFrom: 'culture' | 'eggs' | 'stock';
  /** It is plant food: what stands in for it is too. */
  isPlant: boolean;
  /** What is in a vessel today, from what was put in, seen and taken. */
  status: (since: EventsSinceStart) => VesselContents;
  /** The days ahead. @param takenOn grams that are to be taken on a day from now */
  forecast: (vessel: ForecastStart, days: number, tempOn: ByDay, takenOn: ByDay) => CultureDay[];
  /**
   * What it gives each day for good, not what could be taken once.
   * @param fullG grams in it at its best
   */
  lasting: (vessel: ForecastStart, fullG: number, days: number, tempOn: ByDay) => number[];
  /** Days from its start until it gives in earnest; 366 for never. @param measure L, dm² or jars */
  leadDays: (kind: Growing, measure: number, tempC: number) => number;
  /** What of its chance of a crash follows from how it grows. @param fullness share of the most that it carries */
  strain: (kind: Growing, fullness: number) => Pick<Strain, 'crowding' | 'tiredDays'>;
  /** A day of one that is to supply: how it grows, or what it gives by its age, grams. */
  supplyOn: (
    vessel: Supplying,
    day: number,
    tempC: number,
  ) => { logistic: Logistic | null; givesG: number };
  /** How far one vessel is off from what is believed of it: of the logarithm. */
  luckSd: (vessel: ForecastStart) => number;
  /** What is to be done at one today. @param nowMs ms since 1970 */
  tasks: (vessel: Vessel, status: VesselStatus, day: string, nowMs: number) => Work[];
  /** How it grows in a vessel, where that is until it is crowded; null for what follows its age. */
  crowdingIn: (kind: Growing, measure: number, tempC: number) => Logistic | null;
}
