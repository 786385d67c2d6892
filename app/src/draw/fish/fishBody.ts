import type { Shape } from '@open-larder/catalogue';
import { bodyOf, type Body } from '../bodies';
import { FAMILY_FINS, type FamilyFins } from './families';

/** A fish as it is drawn: its body, what is finer than it, and lines that feel. */
export interface FishBody extends Body {
  /** Fins, to be drawn lighter than the body. */
  fins: string;
  /** Barbels and threads, strokes. */
  lines: string;
  /** Half of the body’s height above and below the middle, at a share of its length. */
  reach: (x: number) => { up: number; down: number };
}

/** Where the body ends and the tail begins. */
const STALK = 0.82;

/** How deep the body of a shape is, above and below; none for what is no fish. */
const DEPTH: Partial<Record<Shape, { up: number; down: number; stalk: number }>> = {
  'eel-like': { up: 0.045, down: 0.055, stalk: 0.03 },
  elongated: { up: 0.095, down: 0.1, stalk: 0.035 },
  fusiform: { up: 0.15, down: 0.15, stalk: 0.045 },
  deep: { up: 0.25, down: 0.27, stalk: 0.055 },
  flat: { up: 0.12, down: 0.07, stalk: 0.03 },
};

const known = new Map<string, FishBody>();

/** The outline of a fish of this shape and family; of a family that is not drawn, of its shape alone. */
export function fishBody(shape: Shape, family: string | undefined): FishBody {
  const key = `${shape} ${family}`;
  let body = known.get(key);
  if (!body) {
    const fins = family === undefined ? undefined : FAMILY_FINS[family];
    body = drawn(shape, fins) ?? { ...bodyOf(shape), fins: '', lines: '', reach: () => NOTHING };
    known.set(key, body);
  }
  return body;
}

const NOTHING = { up: 0, down: 0 };

const f = (value: number) => String(Math.round(value * 1000) / 1000);
const at = (x: number, y: number) => `${f(x)} ${f(y)}`;

function drawn(shape: Shape, fins: FamilyFins | undefined): FishBody | null {
  const depth = DEPTH[shape];
  if (!depth || !fins) return null;
  const up = depth.up * (fins.above ?? 1);
  const down = depth.down * (fins.below ?? 1);
  const { stalk } = depth;
  const deepest = fins.deepest ?? 0.38;
  const nose = fins.snout ?? 0;
  const mouth = (fins.mouth ?? 0) * Math.min(up, down) * 0.3;
  const head = nose + (deepest - nose) * 0.25;
  const body =
    `M${at(0, mouth)} L${at(nose, mouth - 0.012)} ` +
    `C${at(head, mouth - up * 0.75)} ${at(deepest * 0.6, -up)} ${at(deepest, -up)} ` +
    `S${at(STALK - 0.14, -stalk - 0.01)} ${at(STALK, -stalk)} L${at(STALK, stalk)} ` +
    `C${at(STALK - 0.14, stalk + 0.01)} ${at(deepest + 0.22, down)} ${at(deepest, down)} ` +
    `S${at(head, mouth + down * 0.7)} ${at(nose, mouth + 0.012)} Z`;
  const rise = (x: number, of: number) =>
    x <= deepest
      ? of * Math.sin((Math.max(0, x - nose * 0.5) / deepest) * (Math.PI / 2))
      : stalk +
        (of - stalk) * Math.cos((Math.min(1, (x - deepest) / (STALK - deepest)) * Math.PI) / 2);
  const reach = (x: number) => ({ up: rise(x, up), down: rise(x, down) });
  const parts = [tailOf(fins.tail, stalk, Math.max(up, down))];
  let highest = up;
  let lowest = down;
  for (const [from, to, height] of fins.dorsal) {
    const peak = from + (to - from) * 0.3;
    const top = rise(peak, up) + height;
    highest = Math.max(highest, top);
    parts.push(
      `M${at(from, -rise(from, up) * 0.9)} L${at(peak, -top)} Q${at(to, -top * 0.85)} ${at(to + 0.015, -rise(to, up) * 0.9)} Z`,
    );
  }
  if (fins.anal) {
    const [from, to, height] = fins.anal;
    const peak = from + (to - from) * 0.35;
    const low = rise(peak, down) + height;
    lowest = Math.max(lowest, low);
    parts.push(
      `M${at(from, rise(from, down) * 0.9)} L${at(peak, low)} Q${at(to, low * 0.8)} ${at(to + 0.01, rise(to, down) * 0.9)} Z`,
    );
  }
  if (fins.adipose) {
    parts.push(
      `M${at(0.7, -rise(0.7, up) * 0.9)} L${at(0.755, -rise(0.74, up) - 0.045)} L${at(0.76, -rise(0.76, up) * 0.9)} Z`,
    );
  }
  if (fins.pelvic === 'fin' || fins.pelvic === 'sucker') {
    const low = down + (fins.pelvic === 'fin' ? 0.07 : 0.035);
    lowest = Math.max(lowest, low);
    parts.push(`M${at(0.34, down * 0.9)} L${at(0.42, low)} L${at(0.43, down * 0.9)} Z`);
  }
  const lines: string[] = [];
  if (fins.pelvic === 'thread') {
    lowest = Math.max(lowest, down + 0.14);
    lines.push(`M${at(0.26, down * 0.85)} Q${at(0.36, down + 0.06)} ${at(0.52, down + 0.13)}`);
  }
  const [pairs = 0, length = 0] = fins.barbels ?? [];
  for (let pair = 0; pair < pairs; pair += 1) {
    const foot = nose * 0.4 + 0.015 + pair * 0.018;
    lines.push(
      `M${at(foot, mouth + 0.012)} q${at(-0.012, length * 0.5)} ${at(length * (pair - 0.6) * 0.35, length * 0.8)}`,
    );
    lowest = Math.max(lowest, mouth + length * 0.8);
  }
  return {
    path: body,
    fins: parts.join(' '),
    lines: lines.join(' '),
    up: highest,
    down: lowest,
    reach,
  };
}

function tailOf(tail: FamilyFins['tail'], stalk: number, depth: number): string {
  const open = Math.min(0.19, Math.max(0.07, depth * 0.75));
  const from = `M${at(STALK - 0.02, -stalk)}`;
  const to = `${at(STALK - 0.02, stalk)} Z`;
  switch (tail) {
    case 'forked':
      return `${from} L${at(1, -open)} L${at(0.925, 0)} L${at(1, open)} L${to}`;
    case 'deep fork':
      return `${from} L${at(1, -open * 1.2)} L${at(0.88, 0)} L${at(1, open * 1.2)} L${to}`;
    case 'round':
      return `${from} C${at(0.9, -open)} ${at(1, -open * 0.7)} ${at(1, 0)} S${at(0.9, open)} ${to}`;
    case 'fan':
      return `${from} L${at(0.97, -open * 1.15)} Q${at(1, 0)} ${at(0.97, open * 1.15)} L${to}`;
    case 'straight':
      return `${from} L${at(0.99, -open * 0.9)} L${at(1, open * 0.9)} L${to}`;
    case 'pointed':
      return `${from} Q${at(0.95, -stalk * 1.4)} ${at(1, 0)} Q${at(0.95, stalk * 1.4)} ${to}`;
  }
}
