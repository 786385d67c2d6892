import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import Svg, { Circle, Line, Path } from 'react-native-svg';
import { useColours } from '../theme';
import { Dates, Limit, Steps } from './axes';

interface Point {
  day: number;
  cm: number;
}

interface Props {
  label: string;
  width: number;
  /** Means of days with their interval; day counted from the first, lengths in the unit of the axis. */
  samples: readonly { day: number; mean: number; low: number | null; high: number | null }[];
  curve: readonly { day: number; cm: number; low: number; high: number }[];
  /** What its kind would have. */
  usual: readonly Point[];
  /** Other batches of the keeper’s, moved so that they begin alike. */
  others: readonly (readonly Point[])[];
  target: { at: number; says: string } | null;
  today: number;
  unit: string;
  dates: readonly { day: number; says: string }[];
}

const HEIGHT = 230;
const TOP = 14;
const BOTTOM = 196;
const LEFT = 36;

/** Lengths over the days: what was measured and how surely, the curve through it, its kind, other batches. */
export function GrowthCurve({
  label,
  width,
  samples,
  curve,
  usual,
  others,
  target,
  today,
  unit,
  dates,
}: Props) {
  const c = useColours();
  const last = Math.max(14, today, ...usual.map(({ day }) => day), ...curve.map(({ day }) => day));
  const max = Math.max(
    ...samples.map(({ mean, high }) => high ?? mean),
    ...curve.map(({ cm }) => cm * 1.05),
    ...usual.map(({ cm }) => cm),
    ...others.flatMap((points) => points.map(({ cm }) => cm)),
    target?.at ?? 0,
    0.1,
  );
  const x = scaleLinear([0, last], [LEFT, width - 6]);
  const y = scaleLinear([0, max * 1.06], [BOTTOM, TOP]).clamp(true);
  const points = line<Point>(
    ({ day }) => x(day),
    ({ cm }) => y(cm),
  );
  const path = (of: readonly Point[]) => points(of) ?? '';
  const band = area<Props['curve'][number]>(
    ({ day }) => x(day),
    ({ low }) => y(low),
    ({ high }) => y(high),
  )(curve.length > 1 ? curve : []);
  const across = { left: LEFT, width };
  return (
    <Svg width={width} height={HEIGHT} role="img" aria-label={label}>
      <Steps
        steps={y.ticks(3)}
        y={y}
        {...across}
        labelOf={(step) => (step === 0 ? unit : String(step))}
      />
      {band ? <Path d={band} fill={c.brine} fillOpacity={0.35} /> : null}
      {others.map((points, at) => (
        <Path key={at} d={path(points)} fill="none" stroke={c.ink2} strokeWidth={1} />
      ))}
      <Path d={path(usual)} fill="none" stroke={c.ink2} strokeWidth={2} strokeDasharray="6 5" />
      {curve.length > 1 ? (
        <Path d={path(curve)} fill="none" stroke={c.ink} strokeWidth={2.5} />
      ) : null}
      {target ? <Limit at={target.at} says={target.says} y={y} {...across} /> : null}
      {samples.map(({ day, low, high }) =>
        low === null || high === null ? null : (
          <Line
            key={day}
            x1={x(day)}
            x2={x(day)}
            y1={y(low)}
            y2={y(high)}
            stroke={c.ink}
            strokeWidth={2}
          />
        ),
      )}
      {samples.map(({ day, mean }) => (
        <Circle
          key={day}
          cx={x(day)}
          cy={y(mean)}
          r={5}
          fill={c.ink}
          stroke={c.paper}
          strokeWidth={1.5}
        />
      ))}
      <Line x1={x(today)} x2={x(today)} y1={TOP} y2={BOTTOM} stroke={c.ink} strokeDasharray="2 3" />
      <Dates dates={dates} x={x} at={BOTTOM + 20} {...across} />
    </Svg>
  );
}
