import type { Activity, FoodFamily } from '@open-larder/catalogue';
import { useMemo } from 'react';
import Svg, { Circle, G, Line, Path, Rect } from 'react-native-svg';
import { useColours } from '../theme';
import { fishBody } from './fish/fishBody';
import { patternPath } from './fish/patterns';
import { Ground } from './TankGround';
import { Furniture, Glass, type Scenery } from './TankScenery';
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
  /** What stands in it; left out where only the water is of interest. */
  scenery?: Scenery;
  /** Beats since the picture was opened: the fish drift a little. Left out they rest. */
  idle?: number;
  /** A fish was tapped. */
  onGroup?: (groupId: string) => void;
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
  scenery,
  idle,
  onGroup,
  lit = true,
}: Props) {
  const c = useColours();
  const scale = (width - 4) / lengthCm;
  const height = Math.max(40, heightCm * scale) + 4;
  const left = 2;
  const floor = height - 2;
  const top = floor - waterLevelCm * scale;
  const depth = floor - top;
  const right = width - 2;
  const sunk = scenery ? scenery.groundDepthCm * scale : depth * 0.07;
  const ground = floor - Math.min(depth * 0.3, Math.max(scenery?.ground === 'bare' ? 1 : 4, sunk));
  const root = width * 0.66;
  const frame = { left, right, top, ground, floor, rim: 1 };
  const activity = new Map(groups.map((group) => [group.id, group.activity]));
  const isDimmed = (groupId: string) => activity.get(groupId) === (lit ? 'night' : 'day');
  const placed = useMemo(
    () => placeShoals(groups, { left, right, top, ground, root }, scale),
    [groups, left, right, top, ground, root, scale],
  );
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
      {scenery ? <Furniture scenery={scenery} frame={frame} /> : null}
      {scenery ? <Ground scenery={scenery} frame={frame} /> : null}
      <Line x1={left} y1={top} x2={right} y2={top} stroke={c.brine} strokeWidth={1.5} />
      {scenery ? <Glass scenery={scenery} frame={frame} lit={lit} /> : null}
      {placed.map((fish, index) => {
        const fed = feeding?.groups.get(fish.groupId);
        const drawn = fed ? drawnTo(fish, fed, index, { left, right }) : fish;
        const [dx, dy] = idle ? swayOf(index, idle, fish.width) : [0, 0];
        return (
          <G
            key={index}
            transform={`translate(${dx} ${dy})`}
            style={idle ? (SWAYS as object) : undefined}
            onPress={onGroup ? () => onGroup(fish.groupId) : undefined}
          >
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

/** Drawn from one idle place to the next by the browser, at a fish’s pace. */
const SWAYS = { transition: 'transform 2.4s ease-in-out' };

/** Where a fish has drifted to in the moments since the picture was opened. */
function swayOf(index: number, beat: number, width: number): [number, number] {
  const turn = beat * 0.9 + index * 1.7;
  return [Math.sin(turn) * width * 0.35, Math.cos(turn * 0.7) * width * 0.08];
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
  const { up, down } = fishBody(fish.shape, fish.family);
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

/** One fish: its body, with lighter fins, what it feels with, and the pattern of its kind. */
export function Fish({ fish, dimmed = false }: { fish: Placed; dimmed?: boolean }) {
  const c = useColours();
  const body = fishBody(fish.shape, fish.family);
  const { x, y, width, turned } = fish;
  // Finer than the eye sees it, a pattern is only noise.
  const marks = fish.pattern && width >= 16 ? patternPath(fish.pattern, body) : null;
  return (
    <G
      opacity={dimmed ? 0.35 : 1}
      transform={`translate(${turned ? x + width : x} ${y + width * body.up}) scale(${turned ? -width : width} ${width})`}
    >
      {body.fins ? <Path d={body.fins} fill={c.ink} opacity={0.55} /> : null}
      {body.lines && width >= 14 ? (
        <Path d={body.lines} fill="none" stroke={c.ink} strokeWidth={0.014} strokeLinecap="round" />
      ) : null}
      <Path d={body.path} fill={c.ink} fillRule="evenodd" />
      {marks ? (
        <Path
          d={marks.d}
          fill="none"
          stroke={c.waterDeep}
          strokeWidth={marks.width}
          strokeLinecap="round"
          opacity={0.75}
        />
      ) : null}
    </G>
  );
}
