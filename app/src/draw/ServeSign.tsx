import type { FoodFamily } from '@open-larder/catalogue';
import { View } from 'react-native';
import Svg, { Line, Path } from 'react-native-svg';
import { useColours } from '../theme';
import { FoodSign } from './FoodSign';

const SIZE = 44;
const LEVEL = 26;
const SIGN = 18;

/**
 * A food over a water line, and under it once it is served: what a tap does, told by where it is.
 * @param strong the next of all: filled, as the one act of the screen
 */
export function ServeSign({
  family,
  served,
  strong = false,
}: {
  family: FoodFamily;
  served: boolean;
  strong?: boolean;
}) {
  const c = useColours();
  const line = strong ? c.onRoe : served ? c.duckweed : c.ink;
  return (
    <View style={{ width: SIZE, height: SIZE }} aria-hidden>
      <Svg width={SIZE} height={SIZE}>
        {served ? (
          <Path d={`M4 ${LEVEL} H${SIZE - 4} V${SIZE - 4} H4 Z`} fill={c.waterDeep} />
        ) : (
          // The way that it takes.
          <Line
            x1={SIZE / 2}
            x2={SIZE / 2}
            y1={LEVEL + 4}
            y2={SIZE - 5}
            stroke={line}
            strokeWidth={2}
            strokeDasharray="2 3"
          />
        )}
        <Path
          d={`M3 ${LEVEL} q4.75 -3 9.5 0 t9.5 0 t9.5 0 t9.5 0`}
          fill="none"
          stroke={line}
          strokeWidth={2}
          strokeLinecap="round"
        />
      </Svg>
      <View
        style={{
          position: 'absolute',
          left: (SIZE - SIGN) / 2,
          top: served ? LEVEL - 1 : 3,
        }}
      >
        <FoodSign family={family} size={SIGN} colour={strong ? c.onRoe : undefined} />
      </View>
    </View>
  );
}
