import Svg, { Circle, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { FONTS, useColours } from '../theme';

export interface WaterPoint {
  /** Days from today; before it below nothing. */
  day: number;
  mgL: number;
}

interface Props {
  label: string;
  width: number;
  /** What was, and what is to come with its band. */
  past: readonly WaterPoint[];
  ahead: readonly (WaterPoint & { low: number; high: number; after: number })[];
  tests: readonly (WaterPoint & { odd: boolean })[];
  /** Days on which water was or will be changed. */
  changes: readonly number[];
  capMgL: number | null;
  capSays: string;
  dates: readonly { day: number; says: string }[];
}

const HEIGHT = 216;
const TOP = 16;
const BOTTOM = 170;
const LEFT = 30;

/** Nitrate over the days: its saw-tooth, what was tested, what is to come and how sure, and what they stand. */
export function WaterRibbon({
  label,
  width,
  past,
  ahead,
  tests,
  changes,
  capMgL,
  capSays,
  dates,
}: Props) {
  const c = useColours();
  const first = Math.min(0, ...past.map(({ day }) => day));
  const last = Math.max(7, ...ahead.map(({ day }) => day));
  const top = niceTop(
    Math.max(
      5,
      (capMgL ?? 0) * 1.15,
      ...past.map(({ mgL }) => mgL),
      ...tests.map(({ mgL }) => mgL),
      ...ahead.map(({ mgL }) => mgL * 1.1),
    ),
  );
  const x = (day: number) => LEFT + ((day - first) / (last - first)) * (width - LEFT - 4);
  const y = (mgL: number) => BOTTOM - (Math.min(mgL, top) / top) * (BOTTOM - TOP);
  const line = past
    .map(({ day, mgL }, at) => `${at === 0 ? 'M' : 'L'}${x(day)} ${y(mgL)}`)
    .join(' ');
  // Down at once on the day of a change, and up again from there.
  const saw = ahead
    .map(
      ({ day, mgL, after }, at) =>
        `${at === 0 ? 'M' : 'L'}${x(day)} ${y(mgL)} L${x(day)} ${y(after)}`,
    )
    .join(' ');
  const band =
    ahead.length > 1
      ? `M${ahead.map(({ day, high }) => `${x(day)} ${y(high)}`).join(' L')} L${[...ahead]
          .reverse()
          .map(({ day, low }) => `${x(day)} ${y(low)}`)
          .join(' L')} Z`
      : '';
  const steps = [0, top / 2, top];
  return (
    <Svg width={width} height={HEIGHT} role="img" aria-label={label}>
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
          {String(Math.round(step))}
        </SvgText>
      ))}
      {steps.map((step) => (
        <Line key={step} x1={LEFT} x2={width} y1={y(step)} y2={y(step)} stroke={c.rule} />
      ))}
      {band ? <Path d={band} fill={c.brine} fillOpacity={0.5} /> : null}
      {capMgL === null ? null : (
        <>
          <Line
            x1={LEFT}
            x2={width}
            y1={y(capMgL)}
            y2={y(capMgL)}
            stroke={c.roe}
            strokeWidth={2}
            strokeDasharray="8 4"
          />
          <SvgText
            x={LEFT + 4}
            y={y(capMgL) - 5}
            fontSize={12}
            fontFamily={FONTS.text}
            fill={c.ink}
          >
            {capSays}
          </SvgText>
        </>
      )}
      {line ? <Path d={line} fill="none" stroke={c.ink2} strokeWidth={2} /> : null}
      {saw ? <Path d={saw} fill="none" stroke={c.ink} strokeWidth={2.5} /> : null}
      {tests.map(({ day, mgL, odd }) => (
        <Circle
          key={`${day} ${mgL}`}
          cx={x(day)}
          cy={y(mgL)}
          r={5}
          fill={odd ? c.paper : c.ink}
          stroke={odd ? c.roe : c.paper}
          strokeWidth={odd ? 2.5 : 1.5}
        />
      ))}
      <Line x1={x(0)} x2={x(0)} y1={TOP} y2={BOTTOM + 14} stroke={c.ink} strokeDasharray="2 3" />
      <Rect
        x={LEFT}
        y={BOTTOM + 4}
        width={width - LEFT - 4}
        height={10}
        fill={c.day}
        stroke={c.rule}
      />
      {changes.map((day, at) => (
        <Line
          key={at}
          x1={x(day)}
          x2={x(day)}
          y1={BOTTOM + 1}
          y2={BOTTOM + 17}
          stroke={day < 0 ? c.duckweed : c.roe}
          strokeWidth={3}
          strokeDasharray={day < 0 ? '6 4 6' : undefined}
        />
      ))}
      {dates.map(({ day, says }) => (
        <SvgText
          key={day}
          x={Math.min(width - 18, Math.max(LEFT + 8, x(day)))}
          y={BOTTOM + 34}
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

/** The next round figure above. */
function niceTop(value: number): number {
  const step = 10 ** Math.floor(Math.log10(value));
  return [1, 1.5, 2, 3, 4, 5, 8, 10].map((of) => of * step).find((of) => of >= value)!;
}
