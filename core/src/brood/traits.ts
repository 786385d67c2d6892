import type { Species } from '@open-larder/catalogue';
import type { Way } from '@open-larder/catalogue/ways';
import type { EggTraits } from './development';
import type { YoungTraits } from './length';

type Bred = Pick<
  Species,
  | 'hatchDegreeDays'
  | 'swimDegreeDays'
  | 'hatching'
  | 'larvalLengthMm'
  | 'adultLengthCm'
  | 'growthLinfCm'
  | 'growthK'
  | 'tempOptC'
  | 'defaulted'
>;

/** What the eggs and young of a species are reckoned with, and which of it is only of its way of life. */
export interface BroodTraits extends YoungTraits {
  /** Null for live-bearers, and where eggs are stored: there is no hatching to wait for. */
  eggs: EggTraits | null;
  /** Fields that are not known of the species itself. */
  assumed: ('hatchDegreeDays' | 'swimDegreeDays' | 'larvalLengthMm')[];
}

/** Of a way of breeding alone little is known: half or twice the time. Assumption. */
const UNSURE_OF_A_WAY = 2;

/** A larva of a kind of which neither it nor its way tells a length. Assumption. */
const LARVA_MM = 4;

/** On a yolk of more than this many degree-days a larva grows by so much until it swims. Assumptions. */
const YOLK_DEGREE_DAYS = 20;
const GROWN_ON_YOLK = 1.2;

/** What is known of a species or its relatives, and in its place what is usual for its way of life. */
export function broodTraits(species: Bred, way: Way): BroodTraits {
  const { hatchDegreeDays, swimDegreeDays, hatching, tempOptC, defaulted } = species;
  const larvalLengthMm = defaulted.includes('larvalLengthMm') ? null : species.larvalLengthMm;
  const hatch = hatching?.hatchDegreeDays ?? way.hatchDegreeDays;
  const swim = hatching?.swimDegreeDays ?? way.swimDegreeDays ?? hatch;
  const assumed: BroodTraits['assumed'] = [];
  if (hatchDegreeDays === null) assumed.push('hatchDegreeDays');
  if (swimDegreeDays === null) assumed.push('swimDegreeDays');
  if (larvalLengthMm === null) assumed.push('larvalLengthMm');
  const hatchedMm = larvalLengthMm ?? way.larvalLengthMm ?? LARVA_MM;
  const onYolk = hatch !== null && swim !== null && swim - hatch > YOLK_DEGREE_DAYS;
  return {
    ...species,
    larvalLengthMm: onYolk ? hatchedMm * GROWN_ON_YOLK : hatchedMm,
    eggs:
      hatch === null || swim === null
        ? null
        : {
            hatchDegreeDays: hatch,
            swimDegreeDays: Math.max(hatch, swim),
            tempOptC,
            unsure: hatching?.unsure ?? UNSURE_OF_A_WAY,
          },
    assumed,
  };
}
