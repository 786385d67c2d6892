import { assertRange } from '../units';

/** A place in a picture, in its pixels. */
export interface Spot {
  x: number;
  y: number;
}

/** A stretch of the ruler that was marked, and how long it is. */
export interface RulerMark {
  a: Spot;
  b: Spot;
  cm: number;
}

const apart = (a: Spot, b: Spot) => Math.hypot(a.x - b.x, a.y - b.y);

/** Marked closer together than this a tap is off by too much, pixels. */
const MIN_PX = 20;
/** Two stretches of the ruler that differ by more are seen at a slant. Assumption. */
const SLANT = 0.04;
/** So many ruler lengths away a fish may be nearer to the lens than the ruler is. Assumption. */
const FAR = 1.5;
/** A fingertip sets a mark so well, pixels of the screen. Assumption. */
const TAP_PX = 3;

/** What of a picture was measured. */
export interface PhotoLength {
  cm: number;
  /** Standard deviation by how well a fingertip marks, cm. */
  sd: number;
  warnings: ('slanted' | 'farFromRuler')[];
}

/**
 * Length of a fish in a picture from a ruler beside it.
 * @param marks  a stretch of the ruler, or two: the second shows whether the ruler is seen at a slant
 * @param fish   nose and tail tip
 * @param perPx  pixels of the picture to one of the screen on which it was tapped
 * @throws RangeError for marks that are too close together, or no stretch of a ruler
 */
export function photoLength(
  marks: readonly RulerMark[],
  fish: { a: Spot; b: Spot },
  perPx = 1,
): PhotoLength {
  assertRange('stretches of the ruler', marks.length, 1, 2);
  const scales = marks.map(({ a, b, cm }) => {
    assertRange('length on the ruler in cm', cm, 0.1, 200);
    assertRange('pixels between the marks on the ruler', apart(a, b), MIN_PX, 1e6);
    return { perCm: apart(a, b) / cm, at: middle(a, b), px: apart(a, b) };
  });
  const px = apart(fish.a, fish.b);
  assertRange('pixels between the marks on the fish', px, MIN_PX / 4, 1e6);
  const warnings: PhotoLength['warnings'] = [];
  const [first, second] = scales as [(typeof scales)[0], (typeof scales)[0] | undefined];
  const from = middle(fish.a, fish.b);
  let perCm = first.perCm;
  if (second) {
    // Between two stretches the scale changes evenly: it is read where the fish lies.
    const along = along01(first.at, second.at, from);
    perCm = first.perCm + (second.perCm - first.perCm) * along;
    const differ = Math.abs(second.perCm / first.perCm - 1);
    if (differ > SLANT) warnings.push('slanted');
  }
  const ruler = Math.max(...scales.map((one) => one.px));
  const nearest = Math.min(...scales.map(({ at }) => apart(at, from)));
  if (nearest > FAR * ruler) warnings.push('farFromRuler');
  const cm = px / perCm;
  const tap = TAP_PX * perPx * Math.SQRT2;
  return { cm, sd: cm * Math.hypot(tap / px, tap / ruler), warnings };
}

const middle = (a: Spot, b: Spot): Spot => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });

/** How far a place is from one spot to another, 0..1 and a little beyond. */
function along01(a: Spot, b: Spot, at: Spot): number {
  const square = (b.x - a.x) ** 2 + (b.y - a.y) ** 2;
  if (square < 1) return 0.5;
  const share = ((at.x - a.x) * (b.x - a.x) + (at.y - a.y) * (b.y - a.y)) / square;
  return Math.min(1.5, Math.max(-0.5, share));
}
