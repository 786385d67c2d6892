import type { ByLight } from '@open-larder/catalogue';
import { scaleLinear } from 'd3-scale';
import { area } from 'd3-shape';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Path, Rect, Text as SvgText } from 'react-native-svg';
import { FONTS, useColours } from '../theme';

interface Props {
  activity: ByLight;
  label: string;
}

const HEIGHT = 74;
const TOP = 4;
const FLOOR = 54;
/** A day lit from 8 to 20, with an hour of dawn and of dusk: what matters is the light, not the clock. */
const LIT: [number, number] = [8, 20];

/** A day of 24 hours, lit in its middle, and how ready an animal is to feed through it. */
export function ReadyHours({ activity, label }: Props) {
  const c = useColours();
  const [width, setWidth] = useState(0);
  const x = scaleLinear([0, 24], [1, width - 1]);
  const y = scaleLinear([0, 1], [FLOOR, TOP + 4]);
  const [dawn, dusk] = LIT;
  const steps: [number, number][] = [
    [0, activity.night],
    [dawn - 1, activity.night],
    [dawn, activity.dusk],
    [dawn + 1, activity.day],
    [dusk - 1, activity.day],
    [dusk, activity.dusk],
    [dusk + 1, activity.night],
    [24, activity.night],
  ];
  const shape = area<[number, number]>(
    ([hour]) => x(hour),
    FLOOR,
    ([, ready]) => y(ready),
  )(steps);
  return (
    <View onLayout={(event) => setWidth(event.nativeEvent.layout.width)} style={{ height: HEIGHT }}>
      {width > 0 ? (
        <Svg width={width} height={HEIGHT} role="img" aria-label={label}>
          <Rect
            x={0.5}
            y={TOP}
            width={width - 1}
            height={FLOOR - TOP}
            fill={c.night}
            opacity={0.35}
          />
          <Rect x={x(dawn)} y={TOP} width={x(dusk) - x(dawn)} height={FLOOR - TOP} fill={c.day} />
          <Path d={shape ?? ''} fill={c.brine} opacity={0.75} />
          {['dark', 'lit', 'dark'].map((says, at) => (
            <SvgText
              key={at}
              x={x([dawn / 2, 14, 22][at] as number)}
              y={HEIGHT - 4}
              textAnchor="middle"
              fontSize={14}
              fontFamily={FONTS.text}
              fill={c.ink2}
            >
              {says}
            </SvgText>
          ))}
        </Svg>
      ) : null}
    </View>
  );
}
