import Svg, { Circle, Line, Path, Text as SvgText } from 'react-native-svg';
import { FONTS, useColours } from '../theme';

interface Props {
  label: string;
  width: number;
  /** Means of days with their interval; day counted from the first, lengths in the unit of the axis. */
  samples: readonly { day: number; mean: number; low: number | null; high: number | null }[];
  curve: readonly { day: number; cm: number; low: number; high: number }[];
  /** What its kind would have. */
  usual: readonly { day: number; cm: number }[];
  /** Other batches of the keeper’s, moved so that they begin alike. */
  others: readonly (readonly { day: number; cm: number }[])[];
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
  const top = max * 1.06;
  const x = (day: number) => LEFT + (day / last) * (width - LEFT - 6);
  const y = (value: number) => BOTTOM - (Math.min(value, top) / top) * (BOTTOM - TOP);
  const path = (points: readonly { day: number; cm: number }[]) =>
    points.map(({ day, cm }, at) => `${at === 0 ? 'M' : 'L'}${x(day)} ${y(cm)}`).join(' ');
  const band =
    curve.length > 1
      ? `M${curve.map(({ day, high }) => `${x(day)} ${y(high)}`).join(' L')} L${[...curve]
          .reverse()
          .map(({ day, low }) => `${x(day)} ${y(low)}`)
          .join(' L')} Z`
      : '';
  const steps = [0, 0.5, 1].map((share) => share * niceBelow(top));
  return (
    <Svg width={width} height={HEIGHT} role="img" aria-label={label}>
      {steps.map((step) => (
        <Line key={step} x1={LEFT} x2={width} y1={y(step)} y2={y(step)} stroke={c.rule} />
      ))}
      {steps.map((step) => (
        <SvgText
          key={step}
          x={LEFT - 4}
          y={y(step) + 4}
          textAnchor="end"
          fontSize={12}
          fontFamily={FONTS.text}
          fill={c.ink2}
        >
          {step === 0 ? unit : String(Math.round(step * 10) / 10)}
        </SvgText>
      ))}
      {band ? <Path d={band} fill={c.brine} fillOpacity={0.35} /> : null}
      {others.map((points, at) => (
        <Path key={at} d={path(points)} fill="none" stroke={c.ink2} strokeWidth={1} />
      ))}
      <Path d={path(usual)} fill="none" stroke={c.ink2} strokeWidth={2} strokeDasharray="6 5" />
      {curve.length > 1 ? (
        <Path d={path(curve)} fill="none" stroke={c.ink} strokeWidth={2.5} />
      ) : null}
      {target ? (
        <>
          <Line
            x1={LEFT}
            x2={width}
            y1={y(target.at)}
            y2={y(target.at)}
            stroke={c.roe}
            strokeWidth={2}
            strokeDasharray="8 4"
          />
          <SvgText
            x={LEFT + 4}
            y={y(target.at) - 5}
            fontSize={12}
            fontFamily={FONTS.text}
            fill={c.ink}
          >
            {target.says}
          </SvgText>
        </>
      ) : null}
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
      {dates.map(({ day, says }) => (
        <SvgText
          key={day}
          x={Math.min(width - 20, Math.max(LEFT + 10, x(day)))}
          y={BOTTOM + 20}
          textAnchor="middle"
          fontSize={12}
          fontFamily={FONTS.text}
          fill={c.ink2}
        >
          {says}
        </SvgText>
      ))}
    </Svg>
  );
}

/** The round figure below. */
function niceBelow(value: number): number {
  const step = 10 ** Math.floor(Math.log10(value));
  return [8, 6, 5, 4, 3, 2, 1].map((of) => of * step).find((of) => of <= value)!;
}
