import type { Activity, Shape, Zone } from '@open-larder/catalogue';
import Svg, { G, Line, Path, Rect } from 'react-native-svg';
import { useColours } from '../theme';
import { bodyPath } from './bodies';

export interface SectionGroup {
  id: string;
  shape: Shape;
  lengthCm: number;
  count: number;
  zone: Zone;
  activity: Activity;
}

interface Props {
  /** What the picture shows, in words. */
  label: string;
  lengthCm: number;
  heightCm: number;
  waterLevelCm: number;
  groups: readonly SectionGroup[];
  width: number;
  /** Night feeders are dimmed while it is light, day feeders while it is dark. */
  lit?: boolean;
}

/** Fish drawn of one group: more would only be a crowd. */
const DRAWN = 9;
const MIN_FISH_PX = 7;
/** Where each zone begins and ends, as shares of the water's depth from the surface. */
const BANDS: Record<Zone, [number, number]> = {
  surface: [0.05, 0.22],
  mid: [0.28, 0.66],
  bottom: [0.93, 0.96],
  film: [0.5, 0.86],
};

/** Side view of a tank to scale: surface, depths, ground, a root, and every group where it feeds. */
export function TankSection({
  label,
  lengthCm,
  heightCm,
  waterLevelCm,
  groups,
  width,
  lit = true,
}: Props) {
  const c = useColours();
  const scale = (width - 4) / lengthCm;
  const height = Math.max(40, heightCm * scale) + 4;
  const left = 2;
  const floor = height - 2;
  const top = floor - waterLevelCm * scale;
  const depth = floor - top;
  const ground = floor - depth * 0.07;
  const right = width - 2;
  const root = width * 0.66;
  return (
    <Svg width={width} height={height} role="img" aria-label={label}>
      <Rect x={left} y={top} width={right - left} height={depth} fill={c.water} />
      <Rect
        x={left}
        y={top + depth * 0.55}
        width={right - left}
        height={depth * 0.45}
        fill={c.waterDeep}
      />
      <Root x={root} ground={ground} depth={depth} width={width} />
      <Stems x={width * 0.1} ground={ground} depth={depth} width={width} />
      <Path
        d={`M${left} ${ground} C${width * 0.25} ${ground - depth * 0.03} ${width * 0.5} ${ground + depth * 0.03} ${right} ${ground - depth * 0.01} L${right} ${floor} L${left} ${floor} Z`}
        fill={c.sand}
      />
      <Line x1={left} y1={top} x2={right} y2={top} stroke={c.brine} strokeWidth={1.5} />
      {groups.map((group, index) => (
        <School
          key={group.id}
          group={group}
          index={index}
          of={groups.length}
          scale={scale}
          frame={{ left, right, top, depth, ground, root, width }}
          dimmed={lit ? group.activity === 'night' : group.activity === 'day'}
        />
      ))}
      <Path d={`M${left} 1 V${floor} H${right} V1`} fill="none" stroke={c.ink} strokeWidth={2.5} />
    </Svg>
  );
}

interface GrownProps {
  x: number;
  ground: number;
  depth: number;
  width: number;
}

/** A root lying on the ground: shelter, and something to graze on. */
function Root({ x, ground, depth, width }: GrownProps) {
  const c = useColours();
  const limb = (dx: number, dy: number, toX: number, toY: number, bend: number, thick: number) => (
    <Path
      d={`M${x + width * dx} ${ground - depth * dy} Q${x + width * bend} ${ground - depth * (dy + toY) * 0.55} ${x + width * toX} ${ground - depth * toY}`}
      stroke={c.sand}
      strokeWidth={Math.max(2, depth * thick)}
      strokeLinecap="round"
      fill="none"
    />
  );
  return (
    <G>
      {limb(-0.02, 0, 0.22, 0.2, 0.08, 0.13)}
      {limb(0.06, 0.08, 0.1, 0.52, 0.02, 0.07)}
      {limb(0.12, 0.12, 0.25, 0.44, 0.2, 0.055)}
      {limb(0.09, 0.3, 0.01, 0.46, 0.06, 0.04)}
    </G>
  );
}

/** A stand of stems near one end. */
function Stems({ x, ground, depth, width }: GrownProps) {
  const c = useColours();
  return (
    <G opacity={0.55}>
      {[0, 1, 2, 3].map((stem) => {
        const foot = x + stem * width * 0.022 - width * 0.03;
        const lean = (stem - 1.5) * width * 0.012;
        const top = ground - depth * (0.34 + ((stem * 0.37) % 0.3));
        return (
          <Path
            key={stem}
            d={`M${foot} ${ground} Q${foot - lean} ${(ground + top) / 2} ${foot + lean * 2} ${top}`}
            stroke={c.duckweed}
            strokeWidth={Math.max(1.2, width * 0.006)}
            strokeLinecap="round"
            fill="none"
          />
        );
      })}
    </G>
  );
}

interface Frame {
  left: number;
  right: number;
  top: number;
  depth: number;
  ground: number;
  root: number;
  width: number;
}

interface SchoolProps {
  group: SectionGroup;
  index: number;
  of: number;
  scale: number;
  frame: Frame;
  dimmed: boolean;
}

function School({ group, index, of, scale, frame, dimmed }: SchoolProps) {
  const c = useColours();
  const size = Math.max(MIN_FISH_PX, group.lengthCm * scale);
  const drawn = Math.min(group.count, DRAWN);
  return (
    <G opacity={dimmed ? 0.35 : 1}>
      {Array.from({ length: drawn }, (_, fish) => {
        const { x, y } = place(group, fish, drawn, index, of, size, frame);
        const turned = (fish * 7 + index * 3) % 5 < 2;
        const half = size / 2;
        return (
          <Path
            key={fish}
            d={bodyPath(group.shape)}
            fill={c.ink}
            transform={`translate(${turned ? x + half : x - half} ${y}) scale(${turned ? -size : size} ${size})`}
          />
        );
      })}
    </G>
  );
}

/**
 * Where one fish of a group swims: spread evenly along a stretch of its own, with a stir
 * from its number alone, so that the picture is the same every time.
 */
function place(
  group: SectionGroup,
  fish: number,
  drawn: number,
  index: number,
  of: number,
  size: number,
  frame: Frame,
): { x: number; y: number } {
  const stir = (salt: number) =>
    (((fish + 1) * 0.618_034 + (index + 1) * 0.381_966 * salt) % 1) - 0.5;
  const span = frame.right - frame.left - size;
  const stretch =
    group.zone === 'bottom' ? span : Math.min(span, Math.max(span * 0.42, size * drawn * 0.5));
  const start = of > 1 ? ((index * 0.618_034) % 1) * (span - stretch) : (span - stretch) * 0.3;
  let x = frame.left + size / 2 + start + ((fish + 0.5) / drawn) * stretch + stir(2) * size * 0.4;
  const [from, to] = BANDS[group.zone];
  let y = frame.top + frame.depth * (from + (0.5 + stir(5)) * (to - from));
  if (group.zone === 'film') {
    x = frame.root + frame.width * (0.04 + 0.14 * ((fish + 0.5) / drawn));
  }
  if (group.zone === 'bottom') y = frame.ground - size * 0.04 + stir(3) * 3;
  const low = frame.left + size / 2 + 2;
  const high = frame.right - size / 2 - 2;
  return { x: Math.min(high, Math.max(low, x)), y };
}
