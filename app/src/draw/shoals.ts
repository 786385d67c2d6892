import type { Shape, Zone } from '@open-larder/catalogue';
import { fishBody } from './fish/fishBody';
import type { Pattern } from './fish/patterns';

/** A group as a drawing needs it. */
export interface Shoal {
  id: string;
  shape: Shape;
  /** How its fins are drawn; by its shape alone where it is left out. */
  family?: string;
  pattern?: Pattern | null;
  lengthCm: number;
  count: number;
  zone: Zone;
}

/** The water in px: `ground` is where the floor begins, `root` where something stands to graze on. */
export interface Frame {
  left: number;
  right: number;
  top: number;
  ground: number;
  root: number;
}

/** One fish in its place: its nose-to-tail box in px. */
export interface Placed {
  groupId: string;
  shape: Shape;
  family?: string;
  pattern?: Pattern | null;
  x: number;
  y: number;
  width: number;
  height: number;
  /** Nose to the right. */
  turned: boolean;
}

/** Fish drawn of one group: more would only be a crowd. */
const DRAWN = 9;
const MIN_FISH_PX = 7;
/** Water left around each fish, px. */
const AROUND = 1.5;
/** Places tried before a fish is left out; the first of a group is always drawn. */
const TRIES = 140;

/** Where each zone lies, as shares of the water's depth from the surface, and of its length. */
const BANDS: Record<Zone, { y: [number, number]; x: [number, number] }> = {
  surface: { y: [0.02, 0.27], x: [0, 1] },
  mid: { y: [0.27, 0.72], x: [0, 1] },
  bottom: { y: [0.84, 1], x: [0, 1] },
  film: { y: [0.4, 0.95], x: [0.58, 0.94] },
};

/**
 * Places for the fish of all groups, each in its zone, none over another so that it cannot be read.
 * The same groups give the same picture every time. Large fish are placed first, in turn by group.
 * @param scale px in a centimetre
 */
export function placeShoals(groups: readonly Shoal[], frame: Frame, scale: number): Placed[] {
  const max = Math.max(1, Math.min(DRAWN, Math.floor((frame.right - frame.left) / 36)));
  const inOrder = groups
    .map((group, index) => ({ group, index }))
    .filter(({ group }) => group.count > 0)
    .sort((a, b) => b.group.lengthCm - a.group.lengthCm);
  const placed: Placed[] = [];
  for (let fish = 0; fish < max; fish += 1) {
    for (const { group, index } of inOrder) {
      if (fish >= group.count) continue;
      const spot = findSpot(group, index, fish, placed, frame, scale);
      if (spot) placed.push(spot);
    }
  }
  return placed;
}

function findSpot(
  group: Shoal,
  index: number,
  fish: number,
  placed: readonly Placed[],
  frame: Frame,
  scale: number,
): Placed | null {
  const { up, down } = fishBody(group.shape, group.family);
  const width = Math.min(
    Math.max(MIN_FISH_PX, group.lengthCm * scale),
    (frame.right - frame.left) * 0.9,
  );
  const height = width * (up + down);
  let best: Placed | null = null;
  let min = Number.POSITIVE_INFINITY;
  for (let attempt = 0; attempt < TRIES; attempt += 1) {
    const spot = spotAt(group, index, fish, attempt, { width, height }, frame);
    const overlap = placed.reduce((sum, other) => sum + shared(spot, other), 0);
    if (overlap === 0) return spot;
    if (overlap < min) [best, min] = [spot, overlap];
  }
  return fish === 0 ? best : null;
}

/** Golden-ratio steps: every attempt is far from those before, and the same every time. */
function spotAt(
  group: Shoal,
  index: number,
  fish: number,
  attempt: number,
  size: { width: number; height: number },
  frame: Frame,
): Placed {
  const seed = index * 13 + fish * 5 + attempt * 7 + 1;
  const along = (seed * 0.618_034) % 1;
  const across = (seed * 0.754_878) % 1;
  const band = BANDS[group.zone];
  const span = frame.right - frame.left;
  const depth = frame.ground - frame.top;
  const low = frame.left + band.x[0] * span;
  const high = Math.max(low, frame.left + band.x[1] * span - size.width);
  // Crowded out of its own zone, a fish is drawn a little above or below it, never elsewhere.
  const stretch = attempt > TRIES / 2 ? 0.12 : 0;
  const top = frame.top + Math.max(0.01, band.y[0] - stretch) * depth;
  const floor = frame.top + Math.min(1, band.y[1] + stretch / 2) * depth - size.height;
  // At the bottom they lie on the ground, unless it is full.
  const onGround = group.zone === 'bottom' && attempt < TRIES / 3;
  return {
    groupId: group.id,
    shape: group.shape,
    family: group.family,
    pattern: group.pattern,
    x: Math.min(frame.right - size.width, low + along * (high - low)),
    y: onGround
      ? frame.ground - size.height * 0.92
      : Math.max(frame.top, top + across * Math.max(0, floor - top)),
    ...size,
    turned: (fish * 7 + index * 3 + attempt) % 5 < 2,
  };
}

/** Area that two boxes share, with the water around them, px². */
export function shared(a: Placed, b: Placed): number {
  const wide = Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x) + AROUND;
  const high = Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y) + AROUND;
  return wide > 0 && high > 0 ? wide * high : 0;
}
