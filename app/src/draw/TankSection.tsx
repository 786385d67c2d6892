import type { Activity, FoodFamily } from '@open-larder/catalogue';
import Svg, { Circle, G, Line, Path, Rect } from 'react-native-svg';
import { useColours } from '../theme';
import { bodyOf } from './bodies';
import { placeShoals, type Placed, type Shoal } from './shoals';

export interface SectionGroup extends Shoal {
  activity: Activity;
}

/** Food and fish during a feeding; lengths along the tank and depths are shares, 0..1. */
export interface FedSection {
  dots: readonly {
    key: string;
    family: FoodFamily;
    along: number;
    deep: number;
    onFilm: boolean;
  }[];
  /** By group: how far it has come, to where, and how full its bellies are. */
  groups: ReadonlyMap<string, { pull: number; along: number; fill: number }>;
}

interface Props {
  /** What the picture shows, in words. */
  label: string;
  lengthCm: number;
  heightCm: number;
  waterLevelCm: number;
  groups: readonly SectionGroup[];
  width: number;
  /** A feeding at one moment: its food, and where it has drawn the fish. */
  feeding?: FedSection;
  /** Night feeders are dimmed while it is light, day feeders while it is dark. */
  lit?: boolean;
}

/** Side view of a tank to scale: surface, depths, ground, a root, and every group where it feeds. */
export function TankSection({
  label,
  lengthCm,
  heightCm,
  waterLevelCm,
  groups,
  width,
  feeding,
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
  const activity = new Map(groups.map((group) => [group.id, group.activity]));
  const isDimmed = (groupId: string) => activity.get(groupId) === (lit ? 'night' : 'day');
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
      {placeShoals(groups, { left, right, top, ground, root }, scale).map((fish, index) => {
        const fed = feeding?.groups.get(fish.groupId);
        const drawn = fed ? drawnTo(fish, fed, index, { left, right }) : fish;
        return (
          <G key={index}>
            <Fish fish={drawn} dimmed={isDimmed(fish.groupId)} />
            {fed && fed.fill > 0.02 ? <Belly fish={drawn} fill={fed.fill} /> : null}
          </G>
        );
      })}
      {feeding?.dots.map((dot) => (
        <Circle
          key={dot.key}
          cx={left + dot.along * (right - left)}
          cy={dot.onFilm ? top + dot.deep * depth : top + 2 + dot.deep * (ground - top - 4)}
          r={2.2}
          fill={c.family[dot.family]}
          stroke={c.paper}
          strokeWidth={0.6}
        />
      ))}
      <Path d={`M${left} 1 V${floor} H${right} V1`} fill="none" stroke={c.ink} strokeWidth={2.5} />
    </Svg>
  );
}

/** A fish that has come towards food: the further its group has come, the closer it is drawn. */
function drawnTo(
  fish: Placed,
  fed: { pull: number; along: number },
  index: number,
  { left, right }: { left: number; right: number },
): Placed {
  const spread = (((index * 0.618_034) % 1) - 0.5) * 0.26;
  const there = left + (fed.along + spread) * (right - left) - fish.width / 2;
  const x = fish.x + fed.pull * (there - fish.x);
  return { ...fish, x: Math.min(right - fish.width, Math.max(left, x)) };
}

/** What a fish has eaten, as a spot in its belly that grows as it fills. */
function Belly({ fish, fill }: { fish: Placed; fill: number }) {
  const c = useColours();
  const { up, down } = bodyOf(fish.shape);
  const max = Math.max(1.5, fish.width * Math.min(up, down) * 0.75);
  return (
    <Circle
      cx={fish.x + fish.width * (fish.turned ? 0.6 : 0.4)}
      cy={fish.y + fish.width * up + max * 0.3}
      r={max * Math.sqrt(Math.min(1, fill))}
      fill={c.paper}
    />
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

/** One fish as its outline. */
export function Fish({ fish, dimmed = false }: { fish: Placed; dimmed?: boolean }) {
  const c = useColours();
  const { path, up } = bodyOf(fish.shape);
  const { x, y, width, turned } = fish;
  return (
    <Path
      d={path}
      fill={c.ink}
      fillRule="evenodd"
      opacity={dimmed ? 0.35 : 1}
      transform={`translate(${turned ? x + width : x} ${y + width * up}) scale(${turned ? -width : width} ${width})`}
    />
  );
}
