import fc from 'fast-check';
import { QUIET_ROUNDING } from '@open-larder/core/ration';
import { formatRounding } from '.';

describe('what rounding made of a ration', () => {
  it.each([
    [1, ''],
    [1.05, ''],
    [0.95, ''],
    [1.051, '5 % over the need'],
    [0.88, '12 % under the need'],
    [1.5, '50 % over the need'],
    [2, '2 times the need'],
    [4.26, '4.3 times the need'],
    [0.02, '98 % under the need'],
  ])('%s of what is wanted: «%s»', (ofWanted, says) => {
    expect(formatRounding(ofWanted)).toBe(says);
  });

  it('is never quiet past a twentieth, and never said within it', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 20, noNaN: true }), (ofWanted) => {
        const quiet = Math.abs(ofWanted - 1) <= QUIET_ROUNDING + 1e-9;
        expect(formatRounding(ofWanted) === '').toBe(quiet);
      }),
    );
  });
});
