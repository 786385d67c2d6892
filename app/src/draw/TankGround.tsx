import { Ellipse, G, Line, Path } from 'react-native-svg';
import { useColours } from '../theme';
import { draw, type SceneryProps } from './TankScenery';

/** The ground by its grain: what lies before the feet of all. */
export function Ground({ scenery, frame }: SceneryProps) {
  const c = useColours();
  const { left, right, ground, floor } = frame;
  const { ground: kind, seed } = scenery;
  const span = right - left;
  if (kind === 'bare') return null;
  const leaves = kind === 'leaf litter' ? Math.min(40, Math.round(span / 9)) : 0;
  const fill = kind === 'soil' ? c.soil : c.sand;
  const grains =
    kind === 'sand' || leaves > 0 ? 0 : Math.min(90, Math.round(span / (kind === 'soil' ? 9 : 5)));
  return (
    <G>
      <Path
        d={`M${left} ${ground} C${left + span * 0.25} ${ground - (floor - ground) * 0.3} ${left + span * 0.55} ${ground + (floor - ground) * 0.25} ${right} ${ground - (floor - ground) * 0.1} L${right} ${floor} L${left} ${floor} Z`}
        fill={fill}
      />
      {Array.from({ length: grains }, (_, nth) => {
        const size = kind === 'gravel' ? 1.4 + draw(seed, nth + 40) * 2 : 0.9;
        return (
          <Ellipse
            key={nth}
            cx={left + draw(seed, nth + 200) * span}
            cy={ground + 1 + draw(seed, nth + 400) * Math.max(1, floor - ground - 2)}
            rx={size}
            ry={size * 0.7}
            fill={draw(seed, nth + 600) < 0.5 ? c.wood : c.stone}
            opacity={0.55}
          />
        );
      })}
      {Array.from({ length: leaves }, (_, nth) => (
        <Leaf
          key={nth}
          x={left + draw(seed, nth + 200) * span}
          y={ground + draw(seed, nth + 400) * Math.max(2, (floor - ground) * 0.6)}
          length={9 + draw(seed, nth + 600) * 9}
          turn={draw(seed, nth + 800) * 70 - 35}
          fill={draw(seed, nth + 1000) < 0.55 ? c.wood : c.soil}
        />
      ))}
    </G>
  );
}

interface LeafProps {
  x: number;
  y: number;
  length: number;
  /** Degrees from lying flat. */
  turn: number;
  fill: string;
}

/** One fallen leaf with its rib. */
function Leaf({ x, y, length, turn, fill }: LeafProps) {
  const c = useColours();
  const half = length / 2;
  return (
    <G transform={`translate(${x} ${y}) rotate(${turn})`}>
      <Path
        d={`M${-half} 0 Q${-half * 0.2} ${-half * 0.62} ${half} 0 Q${-half * 0.2} ${half * 0.5} ${-half} 0 Z`}
        fill={fill}
        opacity={0.9}
      />
      <Line x1={-half * 1.25} x2={half * 0.8} y1={0} y2={0} stroke={c.sand} strokeWidth={0.6} />
    </G>
  );
}
