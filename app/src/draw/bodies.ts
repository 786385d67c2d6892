import type { Shape } from '@open-larder/catalogue';

export interface Body {
  /** Outline of unit length, nose at x = 0, tail at x = 1, back up. */
  path: string;
  /** How far the outline reaches above and below y = 0. */
  up: number;
  down: number;
}

/** Plain body outlines, to the depth of the body-shape classes. Snails stand as high as they are long. */
const BODIES: Record<Shape, Body> = {
  'eel-like': {
    path: 'M0 0 C.06 -.05 .16 -.05 .3 -.04 S.6 .04 .78 .01 S.94 -.03 1 -.04 L1 .05 C.92 .04 .86 .06 .76 .07 S.5 .1 .32 .04 S.06 .05 0 0 Z',
    up: 0.05,
    down: 0.1,
  },
  elongated: {
    path: 'M0 0 C.1 -.09 .3 -.12 .5 -.09 C.66 -.07 .76 -.03 .83 -.02 L1 -.11 L.96 0 L1 .11 L.83 .02 C.74 .04 .62 .08 .5 .09 C.3 .11 .1 .08 0 0 Z',
    up: 0.12,
    down: 0.11,
  },
  fusiform: {
    path: 'M0 0 C.1 -.14 .28 -.2 .48 -.16 C.64 -.12 .76 -.05 .82 -.03 L1 -.15 L.95 0 L1 .15 L.82 .03 C.74 .07 .62 .14 .48 .16 C.28 .19 .1 .13 0 0 Z',
    up: 0.18,
    down: 0.17,
  },
  deep: {
    path: 'M0 -.02 C.1 -.2 .26 -.3 .46 -.24 C.64 -.18 .74 -.07 .81 -.04 L1 -.18 L.96 0 L1 .18 L.81 .04 C.74 .12 .62 .3 .42 .31 C.24 .3 .08 .14 0 -.02 Z',
    up: 0.28,
    down: 0.31,
  },
  flat: {
    path: 'M0 .05 C.02 -.05 .12 -.13 .27 -.14 L.36 -.25 L.5 -.12 C.66 -.09 .78 -.03 .84 -.01 L1 -.12 L.97 .02 L1 .13 L.84 .06 C.7 .09 .3 .1 .1 .1 C.04 .1 0 .09 0 .05 Z',
    up: 0.25,
    down: 0.13,
  },
  shrimp: {
    path:
      // body: rostrum, carapace, the bent abdomen, and the fan of the tail
      'M0 -.07 L.16 -.1 C.26 -.15 .36 -.15 .44 -.12 C.52 -.16 .62 -.14 .7 -.08 C.78 -.02 .84 .05 .88 .1 L.97 .06 L1 .12 L.99 .2 L.9 .2 L.85 .17 C.78 .14 .7 .09 .63 .06 L.6 .12 L.57 .05 L.53 .12 L.5 .04 L.46 .12 L.43 .03 ' +
      // walking legs, bent at the knee
      'L.42 .04 L.46 .13 L.4 .24 L.435 .13 L.38 .03 L.36 .03 L.39 .13 L.32 .24 L.365 .13 L.32 .02 L.3 .02 L.32 .12 L.24 .23 L.295 .12 L.26 .01 C.2 0 .14 -.03 .1 -.05 Z ' +
      // antennae, swept back
      'M.06 -.07 C.1 -.28 .4 -.36 .82 -.3 C.42 -.34 .14 -.26 .09 -.075 Z',
    up: 0.35,
    down: 0.24,
  },
  snail: {
    path: 'M.04 .42 L.14 .3 C.08 0 .28 -.42 .6 -.4 C.9 -.38 .98 -.1 .9 .14 C.88 .22 .84 .28 .78 .32 L.98 .42 Z M.62 -.24 C.42 -.26 .28 -.04 .38 .12 C.46 .24 .72 .2 .76 .02 C.78 -.1 .68 -.18 .58 -.12 C.52 -.08 .52 .02 .6 .02 C.64 .02 .66 -.02 .64 -.05 C.7 -.04 .7 .06 .62 .09 C.52 .12 .44 .04 .47 -.06 C.49 -.15 .55 -.19 .62 -.24 Z',
    up: 0.4,
    down: 0.42,
  },
};

export const bodyOf = (shape: Shape): Body => BODIES[shape];
