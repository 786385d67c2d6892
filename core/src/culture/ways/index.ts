import type { CultureModel } from '@open-larder/catalogue/cultures';
import { gramsOfOne } from '../kind';
import { aging, type ByAge } from './aging';
import { CROWDING } from './crowding';
import { HATCH } from './hatch';
import { KEPT } from './kept';
import type { Way } from './way';

export { START_SHARE } from './crowding';
export type { Way } from './way';

/** Of a batch that is good, so much can be drawn in a day. Assumption. */
const BATCH_PART = 1 / 3;

/** Bread rises again overnight. */
const RENEWING: ByAge = {
  renews: true,
  isStore: false,
  drawn: 1,
  fullG: (kind, { measure }) => (kind.yieldGPerDay ?? 0) * measure,
};
/** A batch does not. */
const BATCH: ByAge = {
  renews: false,
  isStore: false,
  drawn: BATCH_PART,
  fullG: (kind, { measure }) => (kind.capacity ?? 0) * measure * gramsOfOne(kind),
};

/** Every way to grow that the catalogue knows. */
const WAYS: Record<CultureModel, Way> = {
  logistic: CROWDING,
  hatch: HATCH,
  batch: aging(BATCH),
  plateau: aging(RENEWING),
  generations: aging(RENEWING),
  film: { ...aging(RENEWING), isPlant: true },
  kept: KEPT,
};

/** It is set up in jars, with dried eggs, and gives all at once. */
export const isFromEggs = (kind: { model: CultureModel }): boolean =>
  wayOf(kind).startsFrom === 'eggs';

export const wayOf = ({ model }: { model: CultureModel }): Way => WAYS[model];
