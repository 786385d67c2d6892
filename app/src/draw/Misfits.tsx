import { scaleLinear } from 'd3-scale';
import Svg, { Circle, Line, Rect } from 'react-native-svg';
import { useColours } from '../theme';

/** Further out than this many widths of its band a forecast is drawn at the edge. */
const EDGE = 2.5;
const HEIGHT = 64;
const DOT = 4;

/**
 * Forecasts that came true, the oldest left: where what happened lay against the band that was shown,
 * which is the shaded strip. Filled dots lay within it.
 */
export function Misfits({
  label,
  width,
  off,
}: {
  label: string;
  width: number;
  /** How far off each was, in widths of its band to that side: 0 in the middle, 1 at the upper edge. */
  off: readonly number[];
}) {
  const c = useColours();
  const y = scaleLinear([-EDGE, EDGE], [HEIGHT - DOT - 1, DOT + 1]).clamp(true);
  const step = Math.min(22, (width - 4 * DOT) / Math.max(1, off.length - 1));
  return (
    <Svg width={width} height={HEIGHT} role="img" aria-label={label}>
      <Rect x={0} y={y(1)} width={width} height={y(-1) - y(1)} fill={c.waterDeep} rx={4} />
      <Line x1={0} x2={width} y1={HEIGHT / 2} y2={HEIGHT / 2} stroke={c.ink2} strokeWidth={1} />
      {off.map((value, at) => {
        const inside = Math.abs(value) <= 1;
        return (
          <Circle
            key={at}
            cx={2 * DOT + at * step}
            cy={y(value)}
            r={DOT}
            fill={inside ? c.ink : c.paper}
            stroke={inside ? c.ink : c.roe}
            strokeWidth={2}
          />
        );
      })}
    </Svg>
  );
}
