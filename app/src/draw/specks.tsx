import type { CultureKind, CultureModel } from '@open-larder/catalogue/cultures';
import { Circle, Ellipse, G, Path } from 'react-native-svg';

/** What is drawn for what lives in a vessel: by shape first. */
export type Speck = 'flea' | 'worm' | 'cloud' | 'leaf' | 'fly';

/** By the way in which it grows. */
const BY_MODEL: Record<CultureModel, Speck> = {
  logistic: 'flea',
  hatch: 'flea',
  batch: 'flea',
  plateau: 'worm',
  kept: 'worm',
  generations: 'fly',
  film: 'leaf',
};
/** Kinds that look unlike the others of their way. */
const BY_KIND = new Map<string, Speck>([
  ['floating-plants', 'leaf'],
  ['infusoria', 'cloud'],
  ['green-water', 'cloud'],
  ['rotifers', 'cloud'],
]);

export const speckOf = ({ model, measure, key }: CultureKind): Speck =>
  BY_KIND.get(key) ?? (measure === 'dm2' && BY_MODEL[model] === 'flea' ? 'worm' : BY_MODEL[model]);

/** Spread evenly whatever their number, the same each time: steps of the plastic number. */
const STEP_X = 0.7548776662;
const STEP_Y = 0.569840291;
const placed = (at: number) => ({ x: (0.5 + at * STEP_X) % 1, y: (0.5 + at * STEP_Y) % 1 });

interface Props {
  speck: Speck;
  count: number;
  x: number;
  y: number;
  width: number;
  height: number;
  colour: string;
  size?: number;
}

/** What lives in a vessel, strewn over a part of its picture. */
export function Specks({ speck, count, x, y, width, height, colour, size = 1 }: Props) {
  return (
    <G>
      {Array.from({ length: count }, (_, at) => {
        const { x: right, y: down } = placed(at);
        const turn = (at * 67) % 180;
        return (
          <G
            key={at}
            transform={`translate(${x + right * width} ${y + down * height}) rotate(${turn}) scale(${size})`}
          >
            <One speck={speck} colour={colour} />
          </G>
        );
      })}
    </G>
  );
}

function One({ speck, colour }: { speck: Speck; colour: string }) {
  switch (speck) {
    case 'flea':
      return (
        <>
          <Ellipse rx={1.7} ry={1.3} fill={colour} />
          <Path d="M1.4 0 L3.2 -0.9" stroke={colour} strokeWidth={0.6} />
        </>
      );
    case 'worm':
      return (
        <Path
          d="M-3.4 0 Q-1.7 -2.2 0 0 T3.4 0"
          fill="none"
          stroke={colour}
          strokeWidth={1}
          strokeLinecap="round"
        />
      );
    case 'leaf':
      return <Ellipse rx={2.1} ry={1.4} fill="none" stroke={colour} strokeWidth={0.9} />;
    case 'fly':
      return (
        <>
          <Ellipse rx={1.6} ry={0.9} fill={colour} />
          <Circle cx={1.9} cy={0} r={0.7} fill={colour} />
        </>
      );
    default:
      return <Circle r={0.7} fill={colour} />;
  }
}
