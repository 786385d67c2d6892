import { student95 } from '../chance/distributions';
import { invert } from './invert';
import { leastSquares } from './leastSquares';

/** A mean length on a day, and how many fish it is of. */
export interface Point {
  /** Days from any beginning. */
  day: number;
  lengthCm: number;
  n: number;
}

export const CURVES = ['vonBertalanffy', 'gompertz'] as const;
export type CurveKind = (typeof CURVES)[number];

type Params = readonly [number, number, number];

/** One of the two curves, fitted. Lengths in cm, rates a day. */
interface Model {
  kind: CurveKind;
  /** Where it levels off; k; and the day of no length (von Bertalanffy) or of fastest growth (Gompertz). */
  params: Params;
  covariance: number[][];
  aicc: number;
  /** How much it is believed beside the other, 0..1. */
  weight: number;
}

/** What was fitted to a group's lengths. */
export interface Curve {
  /** The curve that is believed most. */
  kind: CurveKind;
  /** Where it levels off, cm. */
  linfCm: number;
  /** Both, weighed: where they are as good, what they differ by is part of what is not known. */
  models: Model[];
  /** Standard deviation of one fish around it, as a share of its length. */
  sd: number;
  freedom: number;
  /** The days that it was fitted over. */
  from: number;
  to: number;
  /** How far its end is known: false where growth has not slowed yet. */
  endKnown: boolean;
}

export type Refusal = 'tooFew' | 'tooShort' | 'noGrowth' | 'shrinks' | 'noFit';
export type Fitted = { curve: Curve } | { refused: Refusal };

/**
 * So many different days must have been measured: three figures are fitted, the choice between the
 * curves costs as much as one, and some must be left over.
 */
export const MIN_DAYS = 6;
/** Over so many days at the least. Assumption. */
const MIN_SPAN = 14;
/** Grown by less than this share nothing can be told from how well one measures. Assumption. */
const MIN_GROWTH = 0.08;
/** Fish of one group that lie further from every curve, as a share of their length, follow none. Assumption. */
const MAX_SPREAD = 0.6;
/** An end known no better than to this share of itself is not known. Assumption. */
const END_UNSURE = 0.35;

const VALUE: Record<CurveKind, (p: Params, day: number) => number> = {
  vonBertalanffy: ([linf, k, t0], day) => linf * (1 - Math.exp(-k * (day - t0))),
  gompertz: ([linf, k, t0], day) => linf * Math.exp(-Math.exp(-k * (day - t0))),
};

/** By each figure, the slope of the logarithm of the length: fish of one age differ by a share of it. */
const SLOPES: Record<CurveKind, (p: Params, day: number) => [number, number, number]> = {
  vonBertalanffy: ([linf, k, t0], day) => {
    const left = Math.exp(-k * (day - t0));
    return [1 / linf, ((day - t0) * left) / (1 - left), (-k * left) / (1 - left)];
  },
  gompertz: ([linf, k, t0], day) => {
    const inner = Math.exp(-k * (day - t0));
    return [1 / linf, inner * (day - t0), -inner * k];
  },
};

/**
 * The curve that fits what was measured, or why none is fitted.
 * @param points means of days, in any order; more of one day are weighed together
 * @param mostCm no fish of its kind grows longer than about this
 * Method: von Bertalanffy and Gompertz by weighted least squares (Levenberg-Marquardt), chosen and
 * weighed by AICc (Burnham & Anderson 2002). What is too little is refused, not fitted.
 */
export function fitCurve(points: readonly Point[], maxCm: number): Fitted {
  const days = pooled(points);
  if (days.length < MIN_DAYS) return { refused: 'tooFew' };
  const first = days[0]!;
  const last = days.at(-1)!;
  if (last.day - first.day < MIN_SPAN) return { refused: 'tooShort' };
  const trend = slopeOf(days) * (last.day - first.day);
  const mean = days.reduce((sum, { lengthCm }) => sum + lengthCm, 0) / days.length;
  if (trend < -MIN_GROWTH * mean) return { refused: 'shrinks' };
  if (trend < MIN_GROWTH * mean) return { refused: 'noGrowth' };
  const models = CURVES.flatMap((kind) => fitOne(kind, days, maxCm) ?? []);
  if (models.length === 0) return { refused: 'noFit' };
  const curve = weighed(models, days);
  return curve.sd > MAX_SPREAD ? { refused: 'noFit' } : { curve };
}

/** Measurements of one day as one, oldest first. */
function pooled(points: readonly Point[]): Point[] {
  const days = new Map<number, Point>();
  for (const { day, lengthCm, n } of points) {
    const known = days.get(day);
    const sum = known ? known.lengthCm * known.n + lengthCm * n : lengthCm * n;
    const all = (known?.n ?? 0) + n;
    days.set(day, { day, lengthCm: sum / all, n: all });
  }
  return [...days.values()].sort((a, b) => a.day - b.day);
}

function slopeOf(points: readonly Point[]): number {
  const w = points.reduce((sum, { n }) => sum + n, 0);
  const x = points.reduce((sum, { day, n }) => sum + n * day, 0) / w;
  const y = points.reduce((sum, { lengthCm, n }) => sum + n * lengthCm, 0) / w;
  const up = points.reduce((sum, p) => sum + p.n * (p.day - x) * (p.lengthCm - y), 0);
  return up / points.reduce((sum, p) => sum + p.n * (p.day - x) ** 2, 0);
}

/** Fitted in shares of the span and of the greatest length: figures of one size are found fast. */
function fitOne(kind: CurveKind, points: readonly Point[], maxCm: number): Model | null {
  const first = points[0]!.day;
  const span = points.at(-1)!.day - first;
  const greatest = Math.max(...points.map(({ lengthCm }) => lengthCm));
  const shares = points.map(({ day, lengthCm, n }) => ({
    day: (day - first) / span,
    lengthCm: lengthCm / greatest,
    n,
  }));
  const max = Math.max(1, maxCm / greatest);
  const low = [0.9, 0.01, -5];
  // A fish has a length on the first day: von Bertalanffy’s day of none lies before it.
  const high = [3 * max, 60, kind === 'gompertz' ? 2 : -1e-3];
  const tries = startsOf(kind, shares, max).flatMap((at) => {
    const rowsOf = (figures: readonly number[]) =>
      shares.map(({ day, lengthCm, n }) => {
        const params = figures as unknown as Params;
        const root = Math.sqrt(n);
        return {
          rest: root * Math.log(lengthCm / VALUE[kind](params, day)),
          slopes: SLOPES[kind](params, day).map((slope) => root * slope),
        };
      });
    return leastSquares(rowsOf, { at, low, high }) ?? [];
  });
  if (tries.length === 0) return null;
  const best = tries.reduce((a, b) => (b.sum < a.sum ? b : a));
  const [linf, k, t0] = best.figures as unknown as Params;
  return modelOf(kind, [linf * greatest, k / span, first + t0 * span], points);
}

/** A good beginning: the straight line that the curve is, if its end is known. */
function startsOf(kind: CurveKind, points: readonly Point[], max: number): Params[] {
  return [...new Set([1.08, Math.max(max, 1.3)])].map((linf): Params => {
    const straight = points.map(({ day, lengthCm, n }) => {
      const share = Math.min(0.999, lengthCm / linf);
      return {
        day,
        n,
        lengthCm: kind === 'gompertz' ? -Math.log(-Math.log(share)) : -Math.log(1 - share),
      };
    });
    const k = Math.max(0.05, slopeOf(straight));
    const w = straight.reduce((sum, { n }) => sum + n, 0);
    const x = straight.reduce((sum, { day, n }) => sum + n * day, 0) / w;
    const y = straight.reduce((sum, { lengthCm, n }) => sum + n * lengthCm, 0) / w;
    return [linf, k, x - y / k];
  });
}

/** Its three, and the spread around it. */
const FIGURES = 4;
/** Nothing is measured more finely than to a hundredth of itself. */
const FINEST = 0.01;

function modelOf(kind: CurveKind, params: Params, points: readonly Point[]): Model | null {
  const rss = restOf(kind, params, points);
  const variance = Math.max(rss / (points.length - 3), FINEST ** 2);
  const information = [0, 1, 2].map(() => [0, 0, 0]);
  for (const { day, n } of points) {
    const slopes = SLOPES[kind](params, day);
    for (let i = 0; i < 3; i += 1) {
      for (let j = 0; j < 3; j += 1) {
        information[i]![j]! += (n * slopes[i]! * slopes[j]!) / variance;
      }
    }
  }
  const covariance = invert(information);
  // A variance below nothing is one that numbers could not tell.
  if (covariance === null || covariance.some((row, at) => !(row[at]! > 0))) return null;
  const count = points.length;
  const over = (2 * FIGURES * (FIGURES + 1)) / Math.max(0.5, count - FIGURES - 1);
  const aicc = count * Math.log(Math.max(rss, 1e-12) / count) + 2 * FIGURES + over;
  return { kind, params, covariance, aicc, weight: 1 };
}

const restOf = (kind: CurveKind, params: Params, points: readonly Point[]): number =>
  points.reduce(
    (sum, { day, lengthCm, n }) => sum + n * Math.log(lengthCm / VALUE[kind](params, day)) ** 2,
    0,
  );

/** The models of one group’s lengths, each believed by its AICc. */
function weighed(models: readonly Model[], points: readonly Point[]): Curve {
  const best = models.reduce((a, b) => (b.aicc < a.aicc ? b : a));
  const raw = models.map(({ aicc }) => Math.exp((best.aicc - aicc) / 2));
  const sum = raw.reduce((a, b) => a + b, 0);
  const kept = models.map((model, at) => ({ ...model, weight: raw[at]! / sum }));
  const freedom = points.length - FIGURES;
  const variance = restOf(best.kind, best.params, points) / (points.length - 3);
  const end = averaged(kept, ({ params, covariance }) => ({
    value: params[0],
    variance: covariance[0]![0]!,
  }));
  return {
    kind: best.kind,
    linfCm: end.value,
    models: kept,
    sd: Math.sqrt(variance),
    freedom,
    from: points[0]!.day,
    to: points.at(-1)!.day,
    endKnown: student95(freedom) * end.sd < END_UNSURE * end.value,
  };
}

/**
 * What the models say together; that they differ is part of what is not known.
 * Source: Burnham & Anderson 2002, unconditional variance.
 */
function averaged(
  models: readonly Model[],
  of: (model: Model) => { value: number; variance: number },
): { value: number; sd: number } {
  const report = models.map((model) => ({ ...of(model), weight: model.weight }));
  const value = report.reduce((sum, one) => sum + one.weight * one.value, 0);
  const sd = report.reduce(
    (sum, one) => sum + one.weight * Math.sqrt(one.variance + (one.value - value) ** 2),
    0,
  );
  return { value, sd };
}

/** Mean length of the curve on a day, cm, with its 95 % interval. */
export function lengthOn(curve: Curve, day: number): { cm: number; low: number; high: number } {
  // Before it was there it had no length.
  if (curve.models.some(({ kind, params }) => VALUE[kind](params, day) <= 1e-9)) {
    return { cm: 0, low: 0, high: 0 };
  }
  const { value, sd } = averaged(curve.models, ({ kind, params, covariance }) => {
    const slopes = SLOPES[kind](params, day);
    let variance = 0;
    for (let i = 0; i < 3; i += 1) {
      for (let j = 0; j < 3; j += 1) variance += slopes[i]! * slopes[j]! * covariance[i]![j]!;
    }
    return { value: Math.log(VALUE[kind](params, day)), variance: Math.max(0, variance) };
  });
  const off = student95(curve.freedom) * sd;
  return { cm: Math.exp(value), low: Math.exp(value - off), high: Math.exp(value + off) };
}

/** The day on which a length is reached, with the days between which it is in 95 of 100 cases. */
export interface Reached {
  day: number;
  from: number;
  /** Null where it may never be. */
  to: number | null;
}

/** Beyond what was measured a curve is followed for as long again, and half a year at most. */
const MAX_AHEAD = 183;

/**
 * When the curve comes to a length.
 * @returns null where it levels off below it, or that lies too far beyond what was measured
 */
export function reaches(curve: Curve, lengthCm: number): Reached | null {
  const last = curve.to + Math.min(MAX_AHEAD, Math.max(28, curve.to - curve.from));
  const first = curve.from - (curve.to - curve.from);
  const when = (of: (day: number) => number): number | null => {
    if (of(last) < lengthCm) return null;
    if (of(first) >= lengthCm) return first;
    let [low, high] = [first, last];
    // The lower limit widens beyond the data and may turn down again: the first crossing counts.
    for (let day = first; day <= last; day += 1) {
      if (of(day) >= lengthCm) {
        [low, high] = [day - 1, day];
        break;
      }
    }
    const within = (of(high) - lengthCm) / (of(high) - of(low));
    return Number.isFinite(within) ? high - within : high;
  };
  const day = when((at) => lengthOn(curve, at).cm);
  if (day === null) return null;
  return {
    day,
    from: when((at) => lengthOn(curve, at).high) ?? day,
    to: laterOf(curve, lengthCm, last),
  };
}

/** The first day from which on even the lower limit is past a length. */
function laterOf(curve: Curve, lengthCm: number, last: number): number | null {
  for (let day = Math.floor(curve.from); day <= last; day += 1) {
    if (lengthOn(curve, day).low >= lengthCm) return day;
  }
  return null;
}
