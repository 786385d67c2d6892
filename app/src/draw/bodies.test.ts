import { SHAPES } from '@open-larder/catalogue';
import { bodyOf } from './bodies';

/** The ends and handles of an absolute path, as points. */
function points(path: string): [number, number][] {
  const numbers = (path.replace(/[A-Z]/g, ' ').match(/-?(?:\d+\.?\d*|\.\d+)/g) ?? []).map(Number);
  return Array.from({ length: Math.floor(numbers.length / 2) }, (_, at) => [
    numbers[2 * at] as number,
    numbers[2 * at + 1] as number,
  ]);
}

describe('the outline of every shape', () => {
  it.each(SHAPES)('%s is of unit length and reaches no further than it says', (shape) => {
    const { path, up, down } = bodyOf(shape);
    const drawn = points(path);
    for (const [x, y] of drawn) {
      expect(x).toBeGreaterThanOrEqual(0);
      expect(x).toBeLessThanOrEqual(1);
      // Handles of a curve lie a little outside of what they bend.
      expect(y).toBeGreaterThanOrEqual(-up - 0.06);
      expect(y).toBeLessThanOrEqual(down + 0.06);
    }
    expect(Math.max(...drawn.map(([x]) => x))).toBeCloseTo(1, 1);
  });

  it('shows the shapes apart', () => {
    expect(new Set(SHAPES.map((shape) => bodyOf(shape).path)).size).toBe(SHAPES.length);
  });
});
