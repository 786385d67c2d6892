import { assertRange } from '../units';
import { byAge } from './byAge';
import { DRIFT, MOST_SD } from './drift';
import { crashHazard } from './hazard';
import type { Estimate } from './estimate';
import { gramsOfOne, logisticOf, type Growing } from './kind';
import { grown, safeHarvest } from './logistic';

/** A vessel as it stands on the day that is looked ahead from. */
export interface Standing {
  kind: Growing;
  /** Litres, square decimetres or jars. */
  measure: number;
  ageDays: number;
  /** What is believed to be in it, for kinds that grow until they are crowded. */
  estimate: Pick<Estimate, 'count' | 'sd'>;
  /** Grams that were put in, of what is only kept; of a hatch, the dry eggs. */
  keptG: number;
  /** Of what does not grow again, so much was not taken yet; missing for all of it. */
  leftShare?: number;
}

/** A day of a forecast. */
export interface CultureDay {
  /** Days from now: 0 is today. */
  day: number;
  /** Grams that stand in it, and the band in which they lie nine times of ten. */
  standingG: number;
  lowG: number;
  highG: number;
  /** Grams that can be taken that day without harm to what follows. */
  givesG: number;
  /** Chance that it crashes on that day. */
  crash: number;
}

const BAND = 1.645;

/**
 * A vessel for some days ahead.
 * @param tempOn water temperature on a day from now, °C
 * @param taken  grams that are to be taken on a day from now
 * @throws RangeError for more than a year
 */
export function forecast(
  vessel: Standing,
  days: number,
  tempOn: (day: number) => number,
  taken: (day: number) => number = () => 0,
): CultureDay[] {
  assertRange('days ahead', days, 1, 366);
  return vessel.kind.model === 'logistic'
    ? crowdedAhead(vessel, days, tempOn, taken)
    : Array.from({ length: days }, (_, day) => givingOn(vessel, day, tempOn(day)));
}

function crowdedAhead(
  { kind, measure, ageDays, estimate: { count, sd } }: Standing,
  days: number,
  tempOn: (day: number) => number,
  taken: (day: number) => number,
): CultureDay[] {
  const gram = gramsOfOne(kind);
  let now = count;
  let variance = sd ** 2;
  return Array.from({ length: days }, (_, day) => {
    const tempC = tempOn(day);
    const model = logisticOf(kind, measure, tempC);
    const wide = BAND * Math.sqrt(variance);
    const standing = now;
    now = grown(model, Math.max(0, now - taken(day) / gram), 1);
    variance = Math.min(MOST_SD ** 2, variance + DRIFT);
    return {
      day,
      standingG: standing * gram,
      lowG: standing * gram * Math.exp(-wide),
      highG: Math.min(standing * Math.exp(wide), Math.max(standing, model.capacity)) * gram,
      givesG: safeHarvest(model, standing) * gram,
      crash: crashHazard({
        crowding: model.capacity > 0 ? standing / model.capacity : 0,
        tooWarmC: Math.max(0, tempC - kind.tempMaxC),
        overfed: false,
        ageDays: ageDays + day,
        tiredDays: null,
      }).perDay,
    };
  });
}

/** A day of a kind whose age tells what it gives. */
function givingOn(
  { kind, measure, ageDays, keptG, leftShare }: Standing,
  day: number,
  tempC: number,
): CultureDay {
  const { standingG, givesG } = byAge(kind, { measure, keptG, leftShare }, ageDays + day, tempC);
  return {
    day,
    standingG,
    // What a substrate gives differs by about half from one box to the next. Assumption.
    lowG: standingG * 0.5,
    highG: standingG * 1.5,
    givesG,
    crash: crashHazard({
      crowding: 0.5,
      tooWarmC: Math.max(0, tempC - kind.tempMaxC),
      overfed: false,
      ageDays: ageDays + day,
      tiredDays: kind.overDays,
    }).perDay,
  };
}
