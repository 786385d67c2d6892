import type { Shape } from '@open-larder/catalogue';

/**
 * Plain body outlines of unit length, nose at x = 0, tail at x = 1, back up, centred on y = 0.
 * Depth follows the body-shape classes of the length-weight priors.
 */
const BODIES: Record<Shape, string> = {
  'eel-like':
    'M0 0 C.06 -.05 .16 -.05 .3 -.04 S.6 .04 .78 .01 S.94 -.03 1 -.04 L1 .05 C.92 .04 .86 .06 .76 .07 S.5 .1 .32 .04 S.06 .05 0 0 Z',
  elongated:
    'M0 0 C.1 -.09 .3 -.12 .5 -.09 C.66 -.07 .76 -.03 .83 -.02 L1 -.11 L.96 0 L1 .11 L.83 .02 C.74 .04 .62 .08 .5 .09 C.3 .11 .1 .08 0 0 Z',
  fusiform:
    'M0 0 C.1 -.14 .28 -.2 .48 -.16 C.64 -.12 .76 -.05 .82 -.03 L1 -.15 L.95 0 L1 .15 L.82 .03 C.74 .07 .62 .14 .48 .16 C.28 .19 .1 .13 0 0 Z',
  deep: 'M0 -.02 C.1 -.2 .26 -.3 .46 -.24 C.64 -.18 .74 -.07 .81 -.04 L1 -.18 L.96 0 L1 .18 L.81 .04 C.74 .12 .62 .3 .42 .31 C.24 .3 .08 .14 0 -.02 Z',
};

export const bodyPath = (shape: Shape): string => BODIES[shape];
