import { scaleLinear } from 'd3-scale';
import { area } from 'd3-shape';
import { memo, useState } from 'react';
import { View } from 'react-native';
import Svg, { G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { FONTS, useColours } from '../theme';

/** One line of the picture over time. */
export interface DayStrip {
  name: string;
  /** Written at the end of the line. */
  says: string;
  /** Height at each time, 0..1. */
  heights: readonly number[];
  /** Where a mark stands across the strip, 0..1: the day's need. */
  mark?: number;
  of: 'food' | 'group';
}

interface Props {
  label: string;
  /** Minutes after midnight of each height. */
  times: readonly number[];
  strips: readonly DayStrip[];
  /** Whether it is lit, over the same span. */
  isLit: (minutes: number) => boolean;
  feedings: readonly number[];
  /** Minutes after midnight that are looked at. */
  at: number;
}

const HOURS = 18;
const BAND = 12;
const HEAD = HOURS + BAND + 4;
const NAME = 18;
const STRIP = 26;
const STRIPS_GAP = 8;

/** A whole day of a tank: what lies where, and what each group has got, hour by hour. */
export function FeedingDay({ label, times, strips, isLit, feedings, at }: Props) {
  const c = useColours();
  const [width, setWidth] = useState(0);
  const from = times[0] ?? 0;
  const to = times.at(-1) ?? from + 1;
  const x = scaleLinear([from, Math.max(from + 1, to)], [0, width]);
  const pitch = NAME + STRIP + STRIPS_GAP;
  const height = HEAD + strips.length * pitch;
  const hours = Array.from(
    { length: 5 },
    (_, part) => Math.ceil(from / 360) * 360 + part * 360,
  ).filter((minutes) => minutes <= to);
  return (
    <View
      testID="feeding-day"
      onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
      style={{ height }}
    >
      {width > 0 ? (
        <Svg width={width} height={height} role="img" aria-label={label}>
          <LightBand from={from} to={to} x={x} isLit={isLit} />
          {hours.map((minutes) => (
            <SvgText
              key={minutes}
              x={Math.min(width - 14, Math.max(10, x(minutes)))}
              y={12}
              fontSize={12}
              fontFamily={FONTS.text}
              fill={c.ink2}
              textAnchor="middle"
            >
              {String((((minutes / 60) % 24) + 24) % 24).padStart(2, '0')}
            </SvgText>
          ))}
          {strips.map((strip, row) => {
            const top = HEAD + row * pitch + NAME;
            return (
              <G key={strip.name}>
                <SvgText x={0} y={top - 5} fontSize={13} fontFamily={FONTS.text} fill={c.ink}>
                  {strip.name}
                </SvgText>
                <SvgText
                  x={width}
                  y={top - 5}
                  fontSize={13}
                  fontFamily={FONTS.strong}
                  fill={c.ink}
                  textAnchor="end"
                >
                  {strip.says}
                </SvgText>
                <Rect x={0} y={top} width={width} height={STRIP} fill={c.paper} stroke={c.rule} />
                <Area strip={strip} times={times} width={width} top={top} />
                <Line
                  x1={x(at)}
                  x2={x(at)}
                  y1={top}
                  y2={top + STRIP}
                  stroke={c.ink}
                  strokeWidth={1.5}
                />
                {strip.mark === undefined ? null : (
                  <Line
                    x1={0}
                    x2={width}
                    y1={top + STRIP * (1 - strip.mark)}
                    y2={top + STRIP * (1 - strip.mark)}
                    stroke={c.ink}
                    strokeWidth={1}
                    strokeDasharray="4 3"
                  />
                )}
              </G>
            );
          })}
          {feedings.map((minutes, index) => (
            <Line
              key={index}
              x1={x(minutes)}
              x2={x(minutes)}
              y1={HOURS - 3}
              y2={HOURS + BAND + 3}
              stroke={c.roe}
              strokeWidth={4}
            />
          ))}
        </Svg>
      ) : null}
    </View>
  );
}

interface AreaProps {
  strip: DayStrip;
  times: readonly number[];
  width: number;
  top: number;
}

/** A strip's shape: drawn anew only for another day, not for each moment that is looked at. */
const Area = memo(function Area({ strip, times, width, top }: AreaProps) {
  const c = useColours();
  const from = times[0] ?? 0;
  const x = scaleLinear([from, Math.max(from + 1, times.at(-1) ?? 0)], [0, width]);
  const y = scaleLinear([0, 1], [top + STRIP, top]).clamp(true);
  const shape = area<number>(
    (_, at) => x(times[at] as number),
    top + STRIP,
    (height) => y(height),
  ).digits(1);
  const food = strip.of === 'food';
  return (
    <Path
      d={shape(strip.heights) ?? ''}
      fill={food ? c.brine : c.duckweed}
      stroke={food ? c.brine : undefined}
      strokeWidth={1.5}
    />
  );
});

/** The hours, lit and dark, ten minutes at a time. */
function LightBand({
  from,
  to,
  x,
  isLit,
}: {
  from: number;
  to: number;
  x: (minutes: number) => number;
  isLit: (minutes: number) => boolean;
}) {
  const c = useColours();
  const spans: { start: number; end: number; lit: boolean }[] = [];
  for (let minutes = from; minutes < to; minutes += 10) {
    const lit = isLit(minutes);
    const last = spans.at(-1);
    if (last && last.lit === lit) last.end = Math.min(to, minutes + 10);
    else spans.push({ start: minutes, end: Math.min(to, minutes + 10), lit });
  }
  return (
    <G>
      {spans.map(({ start, end, lit }) => (
        <Rect
          key={start}
          x={x(start)}
          y={HOURS}
          width={Math.max(0, x(end) - x(start))}
          height={BAND}
          fill={lit ? c.day : c.night}
        />
      ))}
    </G>
  );
}
