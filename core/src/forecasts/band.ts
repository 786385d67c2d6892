/** What is expected, and the band that should hold it nine times of ten. */
export interface Foreseen {
  low: number;
  middle: number;
  high: number;
}

/** A forecast with what happened. */
export interface Scored extends Foreseen {
  actual: number;
}

/** Nine of ten lie within so many standard deviations. */
const NINE_OF_TEN = 1.645;

/** Of a quantity whose logarithm is uncertain. @param sd of the logarithm */
export const bandAround = (middle: number, sd: number): Foreseen => ({
  low: middle * Math.exp(-NINE_OF_TEN * sd),
  middle,
  high: middle * Math.exp(NINE_OF_TEN * sd),
});

/** The same band where what is read of it is off by so much itself. @param sd in its unit */
export const asRead = ({ low, middle, high }: Foreseen, sd: number): Foreseen => ({
  low: middle - Math.hypot(middle - low, NINE_OF_TEN * sd),
  middle,
  high: middle + Math.hypot(high - middle, NINE_OF_TEN * sd),
});

/** A band so many times as wide; none of what is forecast is less than nothing. */
export const widened = <B extends Foreseen>(band: B, times: number): B => ({
  ...band,
  low: Math.max(0, band.middle - (band.middle - band.low) * times),
  high: band.middle + (band.high - band.middle) * times,
});

export const isInside = ({ low, high, actual }: Scored): boolean => actual >= low && actual <= high;

/** How far off it was, in widths of its band to that side: 1 is at the edge. */
export function misfit({ low, middle, high, actual }: Scored): number {
  const side = actual >= middle ? high - middle : middle - low;
  const off = Math.abs(actual - middle);
  return off === 0 ? 0 : off / Math.max(side, 1e-9);
}
