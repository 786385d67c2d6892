import type { Furnishings } from '@open-larder/core/tank';
import { Circle, Ellipse, G, Line, Path, Rect } from 'react-native-svg';
import { useColours } from '../theme';

/** What a tank holds beside its fish, as it was said or guessed. */
export type Scenery = Pick<
  Furnishings,
  'ground' | 'groundDepthCm' | 'decor' | 'filter' | 'flow' | 'plants' | 'cover'
> & {
  /** The layer that grazers live on, as it was seen. */
  film: 'none' | 'thin' | 'furred' | null;
  /** The same tank is drawn the same every time. */
  seed: number;
};

interface Frame {
  left: number;
  right: number;
  top: number;
  ground: number;
  floor: number;
  /** Of the glass. */
  rim: number;
}

export interface SceneryProps {
  scenery: Scenery;
  frame: Frame;
}

/** A number in 0..1 that is the same for the same tank and thing. */
export const draw = (seed: number, nth: number) => {
  const mixed = Math.sin(seed * 12.9898 + nth * 78.233) * 43_758.5453;
  return mixed - Math.floor(mixed);
};

/** Wood, stones, plants and filter: what stands behind the fish. */
export function Furniture({ scenery, frame }: SceneryProps) {
  const { decor, plants, seed } = scenery;
  const wooden = draw(seed, 1) < 0.6;
  return (
    <G>
      <Filter scenery={scenery} frame={frame} />
      {decor === 'none' ? null : wooden ? (
        <Wood frame={frame} seed={seed} limbs={decor === 'much' ? 2 : 1} />
      ) : null}
      <Plants frame={frame} seed={seed} count={{ none: 0, few: 1, many: 3, dense: 5 }[plants]} />
      {decor === 'none' || (wooden && decor !== 'much') ? null : (
        <Stones frame={frame} seed={seed} count={decor === 'much' ? 4 : 2} />
      )}
      {plants === 'many' || plants === 'dense' ? <Floating frame={frame} seed={seed} /> : null}
    </G>
  );
}

/** Film on the glass, its lid, and the light that is out: what lies over all. */
export function Glass({ scenery, frame, lit }: SceneryProps & { lit: boolean }) {
  const c = useColours();
  const { left, right, top, ground, rim } = frame;
  const { film, cover, seed } = scenery;
  const specks = film === 'furred' ? 26 : film === 'thin' ? 10 : 0;
  return (
    <G>
      {lit ? null : (
        <Rect
          x={left}
          y={top}
          width={right - left}
          height={ground - top}
          fill={c.night}
          opacity={0.28}
        />
      )}
      {Array.from({ length: specks }, (_, nth) => (
        <Rect
          key={nth}
          x={right - 3 - draw(seed, nth + 800) * 4}
          y={top + 4 + (nth / specks) * (ground - top - 8)}
          width={film === 'furred' ? 4 : 2.5}
          height={2}
          fill={c.duckweed}
          opacity={0.6}
        />
      ))}
      {cover === 'open' ? null : (
        <Line
          x1={left - 1}
          x2={cover === 'tight' ? right + 1 : left + (right - left) * 0.7}
          y1={rim}
          y2={rim}
          stroke={c.ink}
          strokeWidth={cover === 'tight' ? 3 : 1.5}
        />
      )}
    </G>
  );
}

function Wood({ frame, seed, limbs }: { frame: Frame; seed: number; limbs: number }) {
  const c = useColours();
  const { left, right, top, ground } = frame;
  const span = right - left;
  const depth = ground - top;
  return (
    <G>
      {Array.from({ length: limbs }, (_, nth) => {
        const foot = left + span * (0.5 + draw(seed, nth + 3) * 0.28);
        const lean = draw(seed, nth + 5) < 0.5 ? -1 : 1;
        const rise = depth * (0.4 + draw(seed, nth + 7) * 0.35);
        const reach = span * (0.1 + draw(seed, nth + 9) * 0.1) * lean;
        const thick = Math.max(3, depth * 0.07);
        const limb = (toX: number, toY: number, bend: number, width: number, from = 0) => (
          <Path
            key={`${toX} ${toY}`}
            d={`M${foot + toX * from} ${ground - toY * from} Q${foot + toX * bend} ${ground - toY * 0.75} ${foot + toX} ${ground - toY}`}
            stroke={c.wood}
            strokeWidth={width}
            strokeLinecap="round"
            fill="none"
          />
        );
        return (
          <G key={nth}>
            <Ellipse cx={foot} cy={ground} rx={span * 0.06} ry={thick * 0.8} fill={c.wood} />
            {limb(reach, rise, 0.2, thick)}
            {limb(-reach * 0.7, rise * 0.55, 0.3, thick * 0.7)}
            {limb(reach * 1.3, rise * 0.5, 0.6, thick * 0.55, 0.4)}
            {limb(reach * 0.35, rise * 1.1, 0.9, thick * 0.45, 0.45)}
          </G>
        );
      })}
    </G>
  );
}

function Stones({ frame, seed, count }: { frame: Frame; seed: number; count: number }) {
  const c = useColours();
  const { left, right, top, ground } = frame;
  const span = right - left;
  const depth = ground - top;
  return (
    <G>
      {Array.from({ length: count }, (_, nth) => {
        const width = span * (0.07 + draw(seed, nth + 21) * 0.1);
        const height = Math.min(width * 0.7, depth * (0.1 + draw(seed, nth + 23) * 0.18));
        const x = left + width + draw(seed, nth + 25) * (span - 2 * width);
        return (
          <Path
            key={nth}
            d={`M${x - width / 2} ${ground + 2} C${x - width * 0.55} ${ground - height * 0.8} ${x - width * 0.2} ${ground - height * 1.1} ${x + width * 0.1} ${ground - height} S${x + width * 0.6} ${ground - height * 0.3} ${x + width / 2} ${ground + 2} Z`}
            fill={c.stone}
          />
        );
      })}
    </G>
  );
}

/** Clumps of different growth: stems, ribbons, broad leaves, and cushions of moss. */
function Plants({ frame, seed, count }: { frame: Frame; seed: number; count: number }) {
  const { left, right } = frame;
  return (
    <G>
      {Array.from({ length: count }, (_, nth) => {
        // Near the ends first, as they are planted.
        const slot = [0.12, 0.87, 0.28, 0.72, 0.5][nth]!;
        const x = left + (slot + (draw(seed, nth + 31) - 0.5) * 0.08) * (right - left);
        const kind = Math.floor(draw(seed, nth + 33) * 4);
        return <Clump key={nth} kind={kind} x={x} frame={frame} seed={seed + nth * 3.7} />;
      })}
    </G>
  );
}

function Clump({ kind, x, frame, seed }: { kind: number; x: number; frame: Frame; seed: number }) {
  const c = useColours();
  const { left, right, top, ground } = frame;
  const depth = ground - top;
  const span = right - left;
  const leaf = Math.max(1.2, span * 0.006);
  if (kind === 3) {
    return (
      <G opacity={0.75}>
        {Array.from({ length: 9 }, (_, nth) => (
          <Circle
            key={nth}
            cx={x + (draw(seed, nth) - 0.5) * span * 0.1}
            cy={ground - draw(seed, nth + 20) * depth * 0.2}
            r={Math.max(2.5, depth * (0.05 + draw(seed, nth + 30) * 0.04))}
            fill={c.duckweed}
            opacity={0.7}
          />
        ))}
      </G>
    );
  }
  const blades = kind === 2 ? 6 : 5;
  return (
    <G opacity={0.75}>
      {Array.from({ length: blades }, (_, nth) => {
        const foot = x + (nth - blades / 2) * span * 0.012;
        const lean = (nth - (blades - 1) / 2) * span * (kind === 2 ? 0.02 : 0.008);
        const high = ground - depth * (kind === 2 ? 0.34 : 0.42 + draw(seed, nth) * 0.4);
        const stem = `M${foot} ${ground} Q${foot - lean} ${(ground + high) / 2} ${foot + lean * 2} ${high}`;
        return (
          <G key={nth}>
            {kind === 2 ? (
              <Path
                d={`M${foot} ${ground} Q${foot - lean - span * 0.012} ${(ground + high) / 2} ${foot + lean * 2.4} ${high} Q${foot + lean * 1.2 + span * 0.016} ${(ground + high) / 2} ${foot} ${ground} Z`}
                fill={c.duckweed}
              />
            ) : (
              <Path
                d={stem}
                stroke={c.duckweed}
                strokeWidth={leaf * (kind === 0 ? 1.8 : 1)}
                strokeLinecap="round"
                fill="none"
              />
            )}
            {kind === 1
              ? [0.3, 0.5, 0.7, 0.9].map((share) => (
                  <Ellipse
                    key={share}
                    cx={foot + lean * 2 * share}
                    cy={ground + (high - ground) * share}
                    rx={Math.max(2, span * 0.011)}
                    ry={Math.max(1, span * 0.0035)}
                    fill={c.duckweed}
                  />
                ))
              : null}
          </G>
        );
      })}
    </G>
  );
}

function Floating({ frame, seed }: { frame: Frame; seed: number }) {
  const c = useColours();
  const { left, right, top, ground } = frame;
  const from = left + (right - left) * (0.12 + draw(seed, 51) * 0.3);
  const step = (right - left) * 0.035;
  return (
    <G opacity={0.75}>
      {Array.from({ length: 6 }, (_, nth) => (
        <G key={nth}>
          <Ellipse cx={from + nth * step} cy={top + 1} rx={step * 0.45} ry={2} fill={c.duckweed} />
          <Line
            x1={from + nth * step}
            x2={from + nth * step + (nth % 2 ? 1.5 : -1.5)}
            y1={top + 2}
            y2={top + (ground - top) * (0.06 + draw(seed, nth + 60) * 0.07)}
            stroke={c.duckweed}
            strokeWidth={0.8}
          />
        </G>
      ))}
    </G>
  );
}

/** The filter where it hangs or stands, and what it moves. */
function Filter({ scenery: { filter, flow, seed }, frame }: SceneryProps) {
  const c = useColours();
  const { left, right, top, ground, rim } = frame;
  const depth = ground - top;
  const span = right - left;
  const atLeft = draw(seed, 71) < 0.5;
  const wide = Math.max(5, span * 0.035);
  const x = atLeft ? left + 3 : right - 3 - wide;
  const ways = { still: 0, gentle: 1, moderate: 2, strong: 3 }[flow];
  const out = atLeft ? 1 : -1;
  return (
    <G opacity={0.8}>
      {filter === 'sponge' ? (
        <>
          <Rect x={x + wide / 3} y={top} width={1.5} height={depth * 0.7} fill={c.stone} />
          <Rect
            x={x}
            y={ground - depth * 0.3}
            width={wide}
            height={depth * 0.28}
            rx={2}
            fill={c.stone}
          />
          {[0.2, 0.4, 0.6].map((share) => (
            <Circle
              key={share}
              cx={x + wide * 0.8}
              cy={top + depth * share}
              r={1.4}
              fill="none"
              stroke={c.paper}
            />
          ))}
        </>
      ) : filter === 'internal' ? (
        <Rect
          x={x}
          y={top + depth * 0.12}
          width={wide}
          height={depth * 0.4}
          rx={2}
          fill={c.stone}
        />
      ) : filter === 'hanging' ? (
        <Rect
          x={x - out * wide * 0.6}
          y={rim - 3}
          width={wide * 1.3}
          height={depth * 0.16}
          rx={2}
          fill={c.stone}
        />
      ) : filter === 'external' || filter === 'sump' ? (
        <Path
          d={`M${x + wide / 2} ${rim - 2} V${ground - depth * 0.25} M${x + wide / 2 + out * wide} ${rim - 2} V${top + 4} h${out * wide}`}
          stroke={c.stone}
          strokeWidth={2.5}
          fill="none"
        />
      ) : null}
      {Array.from({ length: ways }, (_, nth) => {
        const y = top + depth * (0.14 + nth * 0.1);
        const start = x + (atLeft ? wide + 4 : -4);
        const length = span * (0.1 + nth * 0.03) * out;
        return (
          <Path
            key={nth}
            d={`M${start} ${y} q${length / 4} -3 ${length / 2} 0 t${length / 2} 0`}
            stroke={c.paper}
            strokeWidth={1}
            fill="none"
          />
        );
      })}
    </G>
  );
}
