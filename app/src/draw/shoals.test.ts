import { SHAPES, ZONES, type Shape, type Zone } from '@open-larder/catalogue';
import fc from 'fast-check';
import { placeShoals, shared, type Frame, type Shoal } from './shoals';

const frame = (width: number, height: number): Frame => ({
  left: 2,
  right: width - 2,
  top: 4,
  ground: height,
  root: width * 0.66,
});
const group = (id: string, shape: Shape, zone: Zone, lengthCm: number, count: number): Shoal => ({
  id,
  shape,
  zone,
  lengthCm,
  count,
});

/** Forty fish of eight species, in a tank of a metre drawn 358 px wide. */
const eight = [
  group('a', 'deep', 'surface', 10, 3),
  group('b', 'elongated', 'surface', 5, 6),
  group('c', 'fusiform', 'mid', 3, 8),
  group('d', 'elongated', 'mid', 4, 8),
  group('e', 'deep', 'mid', 6, 4),
  group('f', 'eel-like', 'bottom', 9, 5),
  group('g', 'flat', 'film', 6, 3),
  group('h', 'shrimp', 'bottom', 3, 3),
];

describe('fish in their places', () => {
  it('forty of eight species are all there, and none lies over another', () => {
    const placed = placeShoals(eight, frame(358, 160), 3.58);
    expect(placed).toHaveLength(40);
    for (const [at, one] of placed.entries()) {
      for (const other of placed.slice(at + 1)) expect(shared(one, other)).toBe(0);
    }
  });

  it('are the same every time, and to scale', () => {
    const one = placeShoals(eight, frame(358, 160), 3.58);
    expect(placeShoals(eight, frame(358, 160), 3.58)).toEqual(one);
    const lengths = new Map(one.map((fish) => [fish.groupId, fish.width]));
    expect((lengths.get('a') ?? 0) / (lengths.get('b') ?? 1)).toBeCloseTo(2, 6);
  });

  it('stay inside the glass, every group with one at least, in any tank', () => {
    const groups = fc.array(
      fc.record({
        shape: fc.constantFrom(...SHAPES),
        zone: fc.constantFrom(...ZONES),
        lengthCm: fc.double({ min: 0.5, max: 60, noNaN: true }),
        count: fc.integer({ min: 1, max: 200 }),
      }),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(groups, fc.integer({ min: 100, max: 560 }), (some, width) => {
        const made = some.map((one, at) => ({ ...one, id: String(at) }));
        const box = frame(width, width * 0.45);
        const placed = placeShoals(made, box, width / 100);
        expect(new Set(placed.map((fish) => fish.groupId)).size).toBe(made.length);
        for (const fish of placed) {
          expect(fish.x).toBeGreaterThanOrEqual(box.left - 1e-6);
          expect(fish.x + fish.width).toBeLessThanOrEqual(box.right + 1e-6);
        }
      }),
    );
  });
});
