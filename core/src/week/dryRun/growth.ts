import { lengthFromMass, massFromLength } from '../../fish';
import { lengthOf, maintenanceKj, stageFactor, type SpeciesTraits } from '../../ration';
import type { WeekGroup } from '../task';

/** What of a group its growth by its food follows from. */
type Fed = Pick<WeekGroup, 'stage' | 'count' | 'lengthCm' | 'lengthMeasured'> & {
  species: SpeciesTraits;
};

/** A group as a dry run carries it from day to day. */
export interface Growing {
  /** Mass of one fish, g: the lowest likely, the middle, and the highest likely. */
  massG: Range;
  /** The greatest mass so far: a hungry fish grows thin, not short. */
  greatestG: Range;
}

/** Nine of ten are expected between the ends. */
export interface Range {
  low: number;
  middle: number;
  high: number;
}

/**
 * Share of the energy over maintenance that stays in the body as growth, and what a gram of fish
 * holds: about 5.5 kJ. Sources: Lupatsch et al. 2003, Aquaculture 225:175 (efficiency 0.5 to 0.7 and
 * composition of small fish); rounded, an assumption for aquarium fish.
 */
const KEPT = 0.6;
const KJ_PER_G = 5.5;
/**
 * A hungry body lives more thriftily, the thinner the more: what is missing costs only this share of it,
 * from the first day to when a fifth of its mass is gone. Starving adults lose 1 to 1.5 % of their mass
 * a day at first. Practice.
 */
const SPARED = { first: 0.6, thin: 0.4, thinAt: 0.8 };
/** A gram that is lost is fat and muscle of the reserves, richer than a gram that is grown. Assumption. */
const LOST_KJ_PER_G = 8;
/** How far off intake and maintenance may be. Assumption: as the bands of the simulation are. */
const UNSURE = { intake: 0.15, maintenance: 0.12 };
/** Per cent of its mass that a fish loses or gains in a day at most. */
const MAX_A_DAY = 0.12;

export function growingOf(group: Fed): Growing {
  const { massG } = massFromLength(group.species, lengthOf({ ...group, tempC: 25 }));
  const same = { low: massG.value, middle: massG.value, high: massG.value };
  return { massG: same, greatestG: same };
}

/**
 * Mass after a day with so much energy. What is over maintenance grows it, less the nearer it is to
 * the length of an adult; what is missing is taken from it, and comes back first.
 * @param gotKj what one fish gets that day
 */
export function grown(
  group: Fed,
  { massG, greatestG }: Growing,
  gotKj: number,
  tempC: number,
): Growing {
  const rests = stageFactor(group.stage);
  const laying = group.stage === 'adult' ? stageFactor('adult', group.species) : 1;
  // What adults put into eggs and young does not make them grow.
  const calm = rests > 0 && rests < 1 ? rests : rests === 0 ? stageFactor('resting') : laying;
  const step = (mass: number, greatest: number, intake: number, upkeep: number) => {
    const over = gotKj * intake - maintenanceKj(group.species, mass, tempC) * calm * upkeep;
    const length = lengthFromMass(group.species, greatest);
    const room = Math.max(0, 1 - length / group.species.adultLengthCm);
    const gained = (KEPT * Math.max(0, over)) / KJ_PER_G;
    const lost = (sparedAt(mass / greatest) * Math.max(0, -over)) / LOST_KJ_PER_G;
    // What it lost comes back first; of more, a full-grown fish makes roe, milt and reserves.
    const back = Math.min(gained, greatest - mass);
    const change = back + (gained - back) * Math.min(1, 2 * room) - lost;
    const max = MAX_A_DAY * mass;
    return mass + Math.min(max, Math.max(-max, change));
  };
  const next = {
    low: step(massG.low, greatestG.low, 1 - UNSURE.intake, 1 + UNSURE.maintenance),
    middle: step(massG.middle, greatestG.middle, 1, 1),
    high: step(massG.high, greatestG.high, 1 + UNSURE.intake, 1 - UNSURE.maintenance),
  };
  return {
    massG: next,
    greatestG: {
      low: Math.max(greatestG.low, next.low),
      middle: Math.max(greatestG.middle, next.middle),
      high: Math.max(greatestG.high, next.high),
    },
  };
}

/** @param filled mass as a share of the greatest so far */
function sparedAt(filled: number): number {
  const { first, thin, thinAt } = SPARED;
  const gone = Math.min(1, Math.max(0, (1 - filled) / (1 - thinAt)));
  return first + (thin - first) * gone;
}

export const lengthsOf = (group: Fed, { greatestG }: Growing): Range => ({
  low: lengthFromMass(group.species, greatestG.low),
  middle: lengthFromMass(group.species, greatestG.middle),
  high: lengthFromMass(group.species, greatestG.high),
});
