import type { Shape } from '@open-larder/catalogue';
import type { Belly } from '@open-larder/core/ration';
import Svg, { Ellipse, Path } from 'react-native-svg';
import { useColours } from '../theme';
import { bodyOf } from './bodies';

/** Where a belly lies along a body of unit length, and how far round it reaches. */
const BELLY = { x: 0.36, rx: 0.25 };
/** By how full it is: how far it hangs below the outline, or is cut out of it. */
const FULL: Record<Belly, number> = { 1: -0.8, 2: -0.4, 3: 0, 4: 0.5, 5: 1 };
/** A full belly of a deep body hangs no further than that of a slender one. */
const MAX = 0.14;
const CUT = 0.08;

/** The outline at hand with a belly from sunken to bloated, seen from the side. */
export function BellyShape({
  shape,
  belly,
  width,
  ground,
}: {
  shape: Shape;
  belly: Belly;
  width: number;
  /** The colour that it lies on: a sunken belly is cut out of the outline. */
  ground: string;
}) {
  const c = useColours();
  const { path, up, down } = bodyOf(shape);
  const body = width - 4;
  const height = body * (up + down + MAX) + 4;
  const full = FULL[belly];
  const by = Math.abs(full) * Math.min(MAX, down);
  // A round belly hangs from the middle; what is sunken comes in from below.
  const middle = full > 0 ? down * 0.35 : down + CUT;
  const reach = full > 0 ? down + by - middle : by + CUT;
  return (
    <Svg width={width} height={height} aria-hidden>
      <Path
        d={path}
        fill={c.ink}
        fillRule="evenodd"
        transform={`translate(2 ${2 + body * up}) scale(${body} ${body})`}
      />
      {full === 0 ? null : (
        <Ellipse
          cx={2 + body * BELLY.x}
          cy={2 + body * (up + middle)}
          rx={body * BELLY.rx}
          ry={body * reach}
          fill={full > 0 ? c.ink : ground}
        />
      )}
    </Svg>
  );
}
