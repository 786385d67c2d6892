import type { CultureKind } from '@open-larder/catalogue/cultures';
import type { Density, Estimate } from './estimate';
import type { Cause } from './hazard';
import type { Growing } from './kind';
import type { Clarity } from './vocabulary';

/** What happened to a vessel on a day, at an instant (ms since 1970). */
export type VesselEvent = { day: string; atMs: number } & (
  | { kind: 'fed' | 'topped' | 'crashed' | 'rested' | 'woken' | 'ended' }
  | { kind: 'seen'; density: Density | null; clarity: Clarity | null }
  /** Animals in a sample of so many millilitres. */
  | { kind: 'counted'; count: number; sampleMl: number }
  /** Grams wet. Of a hatch that was counted, the animals too. */
  | { kind: 'harvested'; massG: number; count: number | null }
  | { kind: 'changed'; share: number }
  /** That share of the culture went into another vessel. */
  | { kind: 'split'; share: number }
  | { kind: 'added'; massG: number }
  | { kind: 'warmth'; tempC: number }
  /** Set up anew with so many grams: of cysts for a hatch, of the animals else; null for the usual. */
  | { kind: 'restarted'; massG: number | null }
);

/** A vessel with all that happened to it, the oldest first. */
export interface Vessel {
  kind: CultureKind;
  /** A second kind that lives in it too. */
  also: CultureKind | null;
  /** Litres, square decimetres or jars. */
  measure: number;
  /** °C, as it usually is. */
  tempC: number;
  startedOn: string;
  startedAtMs: number;
  /** Grams it was started with; null for the usual tenth of what it carries. */
  startG: number | null;
  /** Share of its cysts that hatches, where the keeper's own jars have told. */
  hatchShare?: number;
  /** The day on which a culture that was going already was entered; missing for one started here. */
  enteredOn?: string | null;
  events: readonly VesselEvent[];
}

export type VesselState =
  'building' | 'giving' | 'fading' | 'over' | 'crashed' | 'resting' | 'ended';

/** The status of a vessel on a day. */
export interface VesselStatus {
  state: VesselState;
  ageDays: number;
  /** °C now, and for the days ahead. */
  tempC: number;
  tempAhead: number[];
  /** Grams in it, and the band in which they lie nine times of ten. */
  contentG: number;
  lowG: number;
  highG: number;
  /** Grams that it carries, or gives at its best; and what is in it, of that: 0 to 1. */
  fullG: number;
  fullness: number;
  /** Grams that can be taken today without harm, and each day for good. */
  givesG: number;
  lastingG: number;
  /** Days since anyone saw, counted or took anything. */
  unseenDays: number;
  /** More was taken than was believed to be there. */
  surprised: boolean;
  crash: { perDay: number; causes: Cause[] };
  fedDays: number | null;
  changedDays: number | null;
  clarity: { seen: Clarity; days: number } | null;
  /** Of a hatch: when it can be harvested, ms since 1970. */
  hatchesAtMs: number | null;
  /** Enough of it to look ahead from. */
  estimate: Pick<Estimate, 'count' | 'sd'>;
  keptG: number;
  /** Of kinds that give by their age: how it does against its kind, from what was seen. */
  vigour: number;
  /** Of what does not grow again, so much was not taken yet. */
  leftShare: number;
  /** Grams taken today, and how well it is fed: 1 as it should be. */
  takenTodayG: number;
  fed: number;
}

/** What the way in which a kind grows says of a vessel. */
export type VesselContents = Pick<
  VesselStatus,
  | 'state'
  | 'contentG'
  | 'lowG'
  | 'highG'
  | 'fullG'
  | 'fullness'
  | 'givesG'
  | 'lastingG'
  | 'surprised'
  | 'estimate'
  | 'keptG'
  | 'vigour'
  | 'leftShare'
  | 'takenTodayG'
  | 'fed'
>;

/** What a way to grow reads a vessel from. */
export interface EventsSinceStart {
  vessel: Vessel;
  measure: number;
  since: readonly VesselEvent[];
  startG: number | null;
  /** Age today, and on another day, in days. */
  ageDays: number;
  ageOf: (day: string) => number;
  /** °C on a day of its age. */
  tempOn: (age: number) => number;
  /** Today, YYYY-MM-DD. */
  day: string;
}

/** What is in a vessel of a kind whose age says what it gives. */
export interface Contents {
  /** Litres, square decimetres or jars. */
  measure: number;
  /** What was put in, of what is only kept; of a hatch, the dry eggs. Grams. */
  keptG: number;
  /** Share of the eggs that hatches; missing for the usual. */
  hatchShare?: number;
  /** Of what does not grow again, so much was not taken yet; missing for all of it. */
  leftShare?: number;
}

/** A vessel as it is on the day that is looked ahead from. */
export interface ForecastStart extends Contents {
  kind: Growing;
  ageDays: number;
  /** What is believed to be in it, for kinds that grow until they are crowded; how sure, for all. */
  estimate: Pick<Estimate, 'count' | 'sd'>;
  /** Grams taken today already; missing for none. */
  takenTodayG?: number;
  /** How well it is fed today, 1 as it should be; missing for that. */
  fed?: number;
  /** It rests, crashed or was ended: nothing can be taken. */
  idle?: boolean;
}

/** A day of a forecast. */
export interface CultureDay {
  /** Days from now: 0 is today. */
  day: number;
  /** Grams that stand in it, and the band in which they lie nine times of ten. */
  contentG: number;
  lowG: number;
  highG: number;
  /** Grams that can be taken that day without harm to what follows. */
  givesG: number;
  /** Chance that it crashes on that day. */
  crash: number;
}

/** A vessel that is to supply: it runs already, or is started on a day from now. */
export interface Supplying extends ForecastStart {
  id: string;
  /** Days from now; 0 runs already. */
  startsOn: number;
  /** Temperature on a day from now, °C. */
  tempOn: readonly number[];
}
