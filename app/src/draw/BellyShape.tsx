import type { Shape } from '@open-larder/catalogue';
import type { Belly } from '@open-larder/core/ration';
import Svg, { Ellipse, Path } from 'react-native-svg';
import { useColours } from '../theme';
import { bodyOf } from './bodies';

/** Where a belly lies along a body of unit length, and how far round it reaches. */
const BELLY = { x: 0.36, rx: 0.23 };
/** By how full it is: what is filled below the outline, or cut out of it, in parts of its depth. */
const FULL: Record<Belly, number> = { 1: -0.75, 2: -0.38, 3: 0, 4: 0.5, 5: 1 };

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
  const room = down * 2;
  const height = body * (up + room) + 4;
  const full = FULL[belly];
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
          // A round belly hangs from the middle; what is sunken comes in from below.
          cy={2 + body * (up + (full > 0 ? down * 0.4 : down * 1.15))}
          rx={body * BELLY.rx}
          ry={body * down * (full > 0 ? 0.6 + full * 0.75 : 0.3 - full * 0.65)}
          fill={full > 0 ? c.ink : ground}
        />
      )}
    </Svg>
  );
}
