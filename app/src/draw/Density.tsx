import Svg, { Circle, ClipPath, Defs, G } from 'react-native-svg';
import { useColours } from '../theme';
import { Specks, type Speck } from './specks';

/** Specks in a drop of the culture held against the light: hardly any, thin, fair, dense, crowded. */
const COUNTS = [2, 7, 18, 40, 84] as const;

/** How dense a culture looks, from 1 to 5: what the keeper compares a spoonful with. */
export function Density({
  speck,
  density,
  size = 52,
}: {
  speck: Speck;
  density: 1 | 2 | 3 | 4 | 5;
  size?: number;
}) {
  const c = useColours();
  const id = `drop-${speck}-${density}`;
  return (
    <Svg width={size} height={size} viewBox="0 0 52 52" aria-hidden>
      <Defs>
        <ClipPath id={id}>
          <Circle cx={26} cy={26} r={24} />
        </ClipPath>
      </Defs>
      <Circle cx={26} cy={26} r={24} fill={c.water} stroke={c.ink2} strokeWidth={1.2} />
      <G clipPath={`url(#${id})`}>
        <Specks
          speck={speck}
          count={COUNTS[density - 1]!}
          x={2}
          y={2}
          width={48}
          height={48}
          colour={c.family.wriggle}
        />
      </G>
    </Svg>
  );
}
