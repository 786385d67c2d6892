import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { FONTS, useColours } from '../theme';

export interface Notch {
  /** Minutes after midnight. */
  minutes: number;
  done: boolean;
}

interface Props {
  label: string;
  lightOnMin: number;
  lightOffMin: number;
  notches: readonly Notch[];
  /** Minutes after midnight; null where another day is shown. */
  now: number | null;
  /** Whether the hours are written over it. */
  hours?: boolean;
}

/** Over the band, with the hours and without. */
const HOURS = 20;
const PLAIN = 5;
const BAND = 14;
/** Below it, for what shows where the day is now. */
const BELOW = 10;

/** 24 hours: the lit part light, feedings as notches, done or due, and where the day stands now. */
export function DayRibbon({ label, lightOnMin, lightOffMin, notches, now, hours = true }: Props) {
  const c = useColours();
  const top = hours ? HOURS : PLAIN;
  const height = top + BAND + BELOW;
  const [width, setWidth] = useState(0);
  const at = (minutes: number) => 1 + ((((minutes % 1440) + 1440) % 1440) / 1440) * (width - 2);
  const past = lightOffMin < lightOnMin;
  const lit: [number, number][] =
    lightOnMin === lightOffMin
      ? []
      : past
        ? [
            [lightOnMin, 1439],
            [0, lightOffMin],
          ]
        : [[lightOnMin, lightOffMin]];
  return (
    <View onLayout={(event) => setWidth(event.nativeEvent.layout.width)} style={{ height }}>
      {width > 0 ? (
        <Svg width={width} height={height} role="img" aria-label={label}>
          <Rect x={0.5} y={top} width={width - 1} height={BAND} fill={c.night} stroke={c.rule} />
          {lit.map(([from, to]) => (
            <Rect
              key={from}
              x={at(from)}
              y={top + 1}
              width={Math.max(1, at(to) - at(from))}
              height={BAND - 2}
              fill={c.day}
            />
          ))}
          {(hours ? [0, 6, 12, 18] : []).map((hour) => (
            <SvgText
              key={hour}
              x={hour === 0 ? 1 : at(hour * 60)}
              y={12}
              fontSize={12}
              fontFamily={FONTS.text}
              fill={c.ink2}
              textAnchor={hour === 0 ? 'start' : 'middle'}
            >
              {String(hour).padStart(2, '0')}
            </SvgText>
          ))}
          {notches.map((notch, index) => (
            <Line
              key={index}
              x1={at(notch.minutes)}
              x2={at(notch.minutes)}
              y1={top - 4}
              y2={top + BAND + 4}
              stroke={notch.done ? c.duckweed : c.roe}
              strokeWidth={4}
              // Done is also told by a gap in the middle: shape before colour.
              strokeDasharray={notch.done ? '7 8 7' : undefined}
            />
          ))}
          {now === null ? null : (
            <Path
              d={`M${at(now) - 5} 7 L${at(now)} 0 L${at(now) + 5} 7 Z`}
              fill={c.ink}
              stroke={c.ground}
              strokeWidth={1}
              transform={`translate(0 ${top + BAND + 2})`}
            />
          )}
        </Svg>
      ) : null}
    </View>
  );
}
