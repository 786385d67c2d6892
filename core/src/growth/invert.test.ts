import fc from 'fast-check';
import { invert } from './invert';

describe('the inverse of a matrix', () => {
  it('times the matrix is one', () => {
    const number = fc.double({ min: -5, max: 5, noNaN: true });
    fc.assert(
      fc.property(fc.array(number, { minLength: 9, maxLength: 9 }), (values) => {
        // A strong diagonal: such a matrix always has an inverse.
        const matrix = [0, 1, 2].map((row) =>
          [0, 1, 2].map((at) => values[3 * row + at]! + (row === at ? 20 : 0)),
        );
        const inverse = invert(matrix)!;
        matrix.forEach((row, i) =>
          inverse[0]!.forEach((_, j) => {
            const sum = row.reduce((total, value, k) => total + value * inverse[k]![j]!, 0);
            expect(sum).toBeCloseTo(i === j ? 1 : 0, 9);
          }),
        );
      }),
    );
  });

  it('is none where rows repeat each other, and needs its pivots', () => {
    expect(
      invert([
        [1, 2],
        [2, 4],
      ]),
    ).toBeNull();
    expect(
      invert([
        [0, 0],
        [0, 0],
      ]),
    ).toBeNull();
    expect(
      invert([
        [0, 1],
        [1, 0],
      ]),
    ).toEqual([
      [0, 1],
      [1, 0],
    ]);
  });
});
