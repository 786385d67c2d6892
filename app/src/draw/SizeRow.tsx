import type { Shape } from '@open-larder/catalogue';
import Svg, { G, Line, Path, Text as SvgText } from 'react-native-svg';
import { FONTS, useColours } from '../theme';
import { bodyOf } from './bodies';

interface Props {
  label: string;
  width: number;
  shape: Shape;
  /** Each fish of a sample, in the unit of the rule. */
  lengths: readonly number[];
  /** Where they would be parted; null where they need not be. */
  cut: number | null;
  unit: string;
}

/** More rows than this are not told apart: then every second or third fish is drawn. */
const MAX = 14;

/** The fish of a sample to one scale, the smallest first: how far they have grown apart. */
export function SizeRow({ label, width, shape, lengths, cut, unit }: Props) {
  const c = useColours();
  const { path, up, down } = bodyOf(shape);
  const sorted = [...lengths].sort((a, b) => a - b);
  const every = Math.ceil(sorted.length / MAX);
  const drawn = sorted.filter((_, at) => (sorted.length - 1 - at) % every === 0);
  const max = sorted.at(-1) ?? 1;
  const scale = (width - 60) / max;
  const row = Math.min(30, Math.max(12, 0.4 * scale * max * (up + down)));
  const height = drawn.length * row + 26;
  const rule = [5, 2, 1, 0.5, 0.2, 0.1].find((of) => of <= max / 2) ?? max / 2;
  return (
    <Svg width={width} height={height} role="img" aria-label={label}>
      {cut === null ? null : (
        <Line
          x1={2 + cut * scale}
          x2={2 + cut * scale}
          y1={0}
          y2={height - 26}
          stroke={c.roe}
          strokeWidth={2}
          strokeDasharray="6 4"
        />
      )}
      {drawn.map((length, at) => {
        const body = length * scale;
        // Thick fish are drawn flatter rather than into each other.
        const flat = Math.min(1, (row - 2) / (body * (up + down)));
        return (
          <G key={at}>
            <Path
              d={path}
              fill={c.ink}
              fillRule="evenodd"
              transform={`translate(2 ${at * row + 1 + body * up * flat}) scale(${body} ${body * flat})`}
            />
            <SvgText
              x={body + 8}
              y={at * row + row / 2 + 4}
              fontSize={12}
              fontFamily={FONTS.text}
              fill={c.ink2}
            >
              {String(Math.round(length * 10) / 10)}
            </SvgText>
          </G>
        );
      })}
      <Line
        x1={2}
        x2={2 + rule * scale}
        y1={height - 18}
        y2={height - 18}
        stroke={c.ink2}
        strokeWidth={2}
      />
      <SvgText x={2} y={height - 4} fontSize={12} fontFamily={FONTS.text} fill={c.ink2}>
        {`${rule} ${unit}`}
      </SvgText>
    </Svg>
  );
}
