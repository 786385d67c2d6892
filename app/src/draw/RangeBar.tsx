import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Line, Rect } from 'react-native-svg';
import { useColours } from '../theme';

interface Props {
  /** The whole axis. */
  from: number;
  to: number;
  low: number;
  high: number;
  /** A best value inside the range. */
  best?: number;
  label: string;
}

const HEIGHT = 18;

/** A range on its axis: from the least that is possible to the most. */
export function RangeBar({ from, to, low, high, best, label }: Props) {
  const c = useColours();
  const [width, setWidth] = useState(0);
  const at = (value: number) =>
    1 + ((Math.min(to, Math.max(from, value)) - from) / (to - from)) * (width - 2);
  return (
    <View onLayout={(event) => setWidth(event.nativeEvent.layout.width)} style={{ height: HEIGHT }}>
      {width > 0 ? (
        <Svg width={width} height={HEIGHT} role="img" aria-label={label}>
          <Rect x={0.5} y={7} width={width - 1} height={4} fill={c.rule} />
          <Rect
            x={at(low)}
            y={4}
            width={Math.max(3, at(high) - at(low))}
            height={10}
            rx={2}
            fill={c.brine}
          />
          {best === undefined ? null : (
            <Line x1={at(best)} x2={at(best)} y1={0} y2={HEIGHT} stroke={c.ink} strokeWidth={2.5} />
          )}
        </Svg>
      ) : null}
    </View>
  );
}
