import type { ByLight, Presence, Zone } from '@open-larder/catalogue';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { G, Line, Rect, Text as SvgText } from 'react-native-svg';
import { FONTS, useColours } from '../theme';

interface Props {
  day: Presence;
  night: Presence;
  activity: ByLight;
  label: string;
}

const ROWS: { zone: Zone; says: string }[] = [
  { zone: 'surface', says: 'surface' },
  { zone: 'mid', says: 'mid-water' },
  { zone: 'bottom', says: 'bottom' },
  { zone: 'film', says: 'glass, wood, stone' },
];
const ROW = 30;
const HEAD = 24;
const NAMES = 128;

/**
 * Where an animal feeds, by day and by night: each bar is the share of that time it spends in the
 * zone, as strong as it is ready to feed then. What the bars leave open it spends in shelter.
 */
export function ZoneHours({ day, night, activity, label }: Props) {
  const c = useColours();
  const [width, setWidth] = useState(0);
  const column = (width - NAMES - 16) / 2;
  const height = HEAD + ROWS.length * ROW;
  const halves = [
    { says: 'by day', x: NAMES, zones: day, ready: activity.day, fill: c.day },
    {
      says: 'by night',
      x: NAMES + column + 16,
      zones: night,
      ready: activity.night,
      fill: c.night,
    },
  ];
  return (
    <View onLayout={(event) => setWidth(event.nativeEvent.layout.width)} style={{ height }}>
      {width > 0 ? (
        <Svg width={width} height={height} role="img" aria-label={label}>
          {ROWS.map(({ zone, says }, row) => (
            <SvgText
              key={zone}
              x={0}
              y={HEAD + row * ROW + 19}
              fontSize={14}
              fontFamily={FONTS.text}
              fill={c.ink}
            >
              {says}
            </SvgText>
          ))}
          {halves.map(({ says, x, zones, ready, fill }) => (
            <G key={says}>
              <SvgText x={x} y={14} fontSize={14} fontFamily={FONTS.text} fill={c.ink2}>
                {says}
              </SvgText>
              <Rect
                x={x}
                y={HEAD}
                width={column}
                height={ROWS.length * ROW}
                fill={fill}
                opacity={0.35}
              />
              {ROWS.map(({ zone }, row) => (
                <Rect
                  key={zone}
                  x={x}
                  y={HEAD + row * ROW + 7}
                  width={Math.max(0, column * zones[zone])}
                  height={16}
                  rx={2}
                  fill={c.brine}
                  opacity={0.3 + 0.7 * ready}
                />
              ))}
              <Line x1={x} x2={x} y1={HEAD} y2={height} stroke={c.ink2} strokeWidth={1} />
            </G>
          ))}
        </Svg>
      ) : null}
    </View>
  );
}
