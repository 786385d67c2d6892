import { TZDate } from '@date-fns/tz';
import type { Catalogue } from '@open-larder/catalogue/load';
import type { Foreseen, ForecastKind } from '@open-larder/core/forecasts';
import type { Clock } from '../clock';
import type { Scope } from '../db';
import type { HouseholdSnapshot } from '../round/house';

/** Something that was seen, and could have been forecast. */
export interface Outcome {
  kind: ForecastKind;
  eventId: string;
  /** What it is of, by its name. */
  about: string;
  /** The day up to which things are known when it is forecast, and the day on which it was seen. */
  madeOn: string;
  day: string;
  actual: number;
  /**
   * What the models expected of it, from what was known on `madeOn`; null where they could say nothing.
   */
  foresee: () => Promise<Foreseen | null> | Foreseen | null;
}

/** What outcomes are found in: the household read once, up to today. */
export interface Seen {
  scope: Scope;
  catalogue: Catalogue;
  household: HouseholdSnapshot;
  today: string;
  /** Outcomes before this day are not looked for: what is older was of other fish and other habits. */
  since: string;
}

/** A clock that stands at noon of a past day: what is asked of it is as it was known then. */
export const clockOn = (day: string, timeZone: string): Clock => {
  const noon = new TZDate(`${day}T12:00:00`, timeZone);
  return { now: () => new Date(noon.getTime()) };
};
