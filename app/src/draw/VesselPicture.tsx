import type { CultureDay } from '@open-larder/core/culture';
import Svg, { G, Line, Path, Rect } from 'react-native-svg';
import { useColours } from '../theme';
import { Specks, type Speck } from './specks';

interface Props {
  label: string;
  speck: Speck;
  /** Grams in it now, and for the days ahead with their band. */
  ahead: readonly Pick<CultureDay, 'contentG' | 'lowG' | 'highG'>[];
  /** Above this many grams is what can be taken; null for kinds without such a line. */
  lineG: number | null;
  /** Grams that the top of the picture stands for. */
  topG: number;
  /** Empty for good: crashed, or over. */
  gone: boolean;
  width: number;
  height?: number;
}

const TUB = 66;
const GAP = 8;
const RIM = 6;

/** A vessel with what lives in it now; beside it how that goes on, its band, and the harvest line. */
export function VesselPicture({
  label,
  speck,
  ahead,
  lineG,
  topG,
  gone,
  width,
  height = 92,
}: Props) {
  const c = useColours();
  const floor = height - 4;
  const room = floor - RIM - 8;
  const yOf = (grams: number) =>
    floor - Math.min(1, Math.max(0, grams / Math.max(1e-9, topG))) * room;
  const now = ahead[0]?.contentG ?? 0;
  const level = yOf(now);
  const left = TUB + GAP;
  const stepX = ahead.length > 1 ? (width - left - 2) / (ahead.length - 1) : 0;
  const at = (day: number, grams: number) => `${left + day * stepX} ${yOf(grams)}`;
  const band = [
    ...ahead.map((one, day) => at(day, one.highG)),
    ...ahead.map((one, day) => at(day, one.lowG)).reverse(),
  ];
  const line = lineG === null ? null : yOf(lineG);
  const full = topG > 0 ? now / topG : 0;
  return (
    <Svg width={width} height={height} role="img" aria-label={label}>
      <Rect x={2} y={RIM + 6} width={TUB - 4} height={floor - RIM - 6} rx={5} fill={c.water} />
      {gone ? (
        <G>
          <Line x1={16} y1={34} x2={TUB - 16} y2={height - 24} stroke={c.roe} strokeWidth={2.5} />
          <Line x1={TUB - 16} y1={34} x2={16} y2={height - 24} stroke={c.roe} strokeWidth={2.5} />
        </G>
      ) : (
        <Specks
          speck={speck}
          count={Math.round(4 + Math.min(1, full) * 76)}
          x={7}
          y={Math.min(level, floor - 10)}
          width={TUB - 14}
          height={Math.max(6, floor - 4 - level)}
          colour={c.family.wriggle}
          size={1.1}
        />
      )}
      <Path
        d={`M2 ${RIM} V${floor - 5} Q2 ${floor} 7 ${floor} H${TUB - 7} Q${TUB - 2} ${floor} ${TUB - 2} ${floor - 5} V${RIM}`}
        fill="none"
        stroke={c.ink}
        strokeWidth={2}
      />
      {gone || ahead.length < 2 ? null : (
        <>
          <Path
            d={`M${band.join(' L')} Z`}
            fill={c.waterDeep}
            stroke={c.ink2}
            strokeWidth={0.75}
            strokeOpacity={0.6}
          />
          <Path
            d={`M${ahead.map((one, day) => at(day, one.contentG)).join(' L')}`}
            fill="none"
            stroke={c.ink}
            strokeWidth={2}
          />
        </>
      )}
      {ahead.map((_, day) =>
        day % 7 === 0 && ahead.length > 7 ? (
          <Line
            key={day}
            x1={left + day * stepX}
            x2={left + day * stepX}
            y1={floor}
            y2={floor - 5}
            stroke={c.ink2}
            strokeWidth={1}
          />
        ) : null,
      )}
      <Line x1={left} x2={width} y1={floor} y2={floor} stroke={c.rule} strokeWidth={1} />
      {line === null || gone ? null : (
        <Line
          x1={2}
          x2={width}
          y1={line}
          y2={line}
          stroke={c.roe}
          strokeWidth={1.5}
          strokeDasharray="5 4"
        />
      )}
    </Svg>
  );
}
