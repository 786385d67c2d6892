import type { FoodFamily } from '@open-larder/catalogue';
import { View } from 'react-native';
import Svg, { Line, Path, Rect } from 'react-native-svg';
import { useColours } from '../theme';
import { FoodSign } from './FoodSign';

interface Props {
  label: string;
  family: FoodFamily;
  /** 0 empty … 1 full: days left against a month and a half. */
  fill: number;
  /** Where the best-before stands on the same scale; null where there is none or it is far. */
  useBy: number | null;
  /** Running out or about to expire. */
  short: boolean;
  /** Smaller, on a full shelf. */
  small?: boolean;
}

const WIDTH = 76;
const HEIGHT = 104;
const SHOULDER = 20;
const FLOOR = 101;
const SIGN = 28;
const SMALL = 0.75;

/** A jar on the shelf: filled by days left, with a tape label and a notch at its use-by. */
export function Jar({ label, family, fill, useBy, short, small = false }: Props) {
  const c = useColours();
  const colour = short ? c.roe : c.family[family];
  const room = FLOOR - SHOULDER - 8;
  const level = FLOOR - 1.5 - Math.max(0, Math.min(1, fill)) * room;
  const body = `M14 12 V16 C14 20 6 22 6 30 V95 Q6 ${FLOOR} 12 ${FLOOR} H64 Q70 ${FLOOR} 70 95 V30 C70 22 62 20 62 16 V12 Z`;
  const notch = useBy === null ? null : FLOOR - 1.5 - Math.max(0, Math.min(1, useBy)) * room;
  const scale = small ? SMALL : 1;
  const size = { width: WIDTH * scale, height: HEIGHT * scale };
  return (
    <View style={size}>
      <Svg {...size} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={label}>
        <Path d={body} fill={c.paper} />
        <Path
          d={`M7.5 ${level} H68.5 V95 Q68.5 ${FLOOR - 1.5} 63 ${FLOOR - 1.5} H13 Q7.5 ${FLOOR - 1.5} 7.5 95 Z`}
          fill={colour}
          opacity={fill > 0 ? 0.3 : 0}
        />
        {fill > 0 ? (
          <Line x1={7.5} x2={68.5} y1={level} y2={level} stroke={colour} strokeWidth={2} />
        ) : null}
        <Path d={body} fill="none" stroke={c.ink} strokeWidth={2} />
        <Rect x={12} y={2} width={52} height={10} rx={2} fill={c.ink} />
        <Rect x={8} y={44} width={60} height={32} fill={c.ground} stroke={c.rule} />
        {notch === null ? null : (
          <Line x1={62} x2={75} y1={notch} y2={notch} stroke={c.roe} strokeWidth={3} />
        )}
      </Svg>
      <View style={{ position: 'absolute', left: 24 * scale, top: 46 * scale }}>
        <FoodSign family={family} size={SIGN * scale} />
      </View>
    </View>
  );
}
