import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import Svg, { Circle, Line, Path, Rect } from 'react-native-svg';
import { useColours } from '../theme';
import { Dates, Limit, Steps } from './axes';

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
  const highest = Math.max(
    5,
    (capMgL ?? 0) * 1.15,
    ...past.map(({ mgL }) => mgL),
    ...tests.map(({ mgL }) => mgL),
    ...ahead.map(({ mgL }) => mgL * 1.1),
  );
  const x = scaleLinear([first, last], [LEFT, width - 4]);
  const y = scaleLinear([0, highest], [BOTTOM, TOP]).nice(3).clamp(true);
  const points = line<WaterPoint>(
    ({ day }) => x(day),
    ({ mgL }) => y(mgL),
  );
  // Down at once on the day of a change, and up again from there.
  const saw = ahead.flatMap(({ day, mgL, after }) => [
    { day, mgL },
    { day, mgL: after },
  ]);
  const band = area<Props['ahead'][number]>(
    ({ day }) => x(day),
    ({ low }) => y(low),
    ({ high }) => y(high),
  )(ahead.length > 1 ? ahead : []);
  const across = { left: LEFT, width };
  return (
    <Svg width={width} height={HEIGHT} role="img" aria-label={label}>
      <Steps steps={y.ticks(3)} y={y} {...across} labelOf={String} />
      {band ? <Path d={band} fill={c.brine} fillOpacity={0.5} /> : null}
      {capMgL === null ? null : <Limit at={capMgL} says={capSays} y={y} {...across} />}
      <Path d={points(past) ?? ''} fill="none" stroke={c.ink2} strokeWidth={2} />
      <Path d={points(saw) ?? ''} fill="none" stroke={c.ink} strokeWidth={2.5} />
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
      <Dates dates={dates} x={x} at={BOTTOM + 34} {...across} />
    </Svg>
  );
}
