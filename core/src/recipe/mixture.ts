import type { Composition } from '../food';

/** Some grams of one thing in a mix. */
export interface Part {
  massG: number;
  composition: Composition;
  plantShare: number;
}

/** What a mix loses before it is portioned, as shares of all that went in, 0..1. */
export interface Losses {
  /** Water that leaves as steam. */
  cooked: number;
  /** Liquid that is poured off, with what is dissolved in it. */
  drained: number;
}

/** Water, which a mix may take as any other part. */
export const WATER: Pick<Part, 'composition' | 'plantShare'> = {
  composition: { protein: 0, fat: 0, fibre: 0, ash: 0, moisture: 1 },
  plantShare: 0,
};

/**
 * Solids in what drains off, as a share of its mass. Assumption, for blanching water and thaw drip;
 * they are made up as the mix is, but for the fibre, which stays.
 */
export const DRIP_SOLIDS = 0.04;

export interface Mixture {
  /** What went in, and what is left after cooking and draining, g. */
  rawG: number;
  massG: number;
  composition: Composition;
  /** Share of the dry matter that is of plants. */
  plantShare: number;
}

/**
 * The composition of a mix after its losses. Nothing but water and drip leaves:
 * raw mass = mass + steam + drip.
 * @throws RangeError where more would be lost than there is
 */
export function mixture(parts: readonly Part[], { cooked, drained }: Losses): Mixture {
  const rawG = total(parts, () => 1);
  if (rawG === 0) {
    return { rawG: 0, massG: 0, composition: { ...WATER.composition, moisture: 0 }, plantShare: 0 };
  }
  const raw = {
    protein: total(parts, (part) => part.composition.protein),
    fat: total(parts, (part) => part.composition.fat),
    fibre: total(parts, (part) => part.composition.fibre),
    ash: total(parts, (part) => part.composition.ash),
    water: total(parts, (part) => part.composition.moisture),
  };
  const dryG = rawG - raw.water;
  // Summed as the plants are: a difference of two nearly equal masses would leave more than all.
  const solidG = total(parts, (part) => 1 - part.composition.moisture);
  const plantG = total(parts, (part) => part.plantShare * (1 - part.composition.moisture));
  const dripG = drained * rawG;
  const soluble = dryG - raw.fibre;
  const dripSolids = Math.min(dripG * DRIP_SOLIDS, soluble);
  const water = raw.water - cooked * rawG - (dripG - dripSolids);
  if (water < -1e-9 * rawG) {
    throw new RangeError(
      'a mix cannot lose more water than it has: less is cooked away or drained',
    );
  }
  const kept = soluble > 0 ? 1 - dripSolids / soluble : 1;
  const massG = rawG - cooked * rawG - dripG;
  const share = (grams: number) => (massG > 0 ? Math.max(0, grams) / massG : 0);
  return {
    rawG,
    massG,
    composition: {
      protein: share(raw.protein * kept),
      fat: share(raw.fat * kept),
      fibre: share(raw.fibre),
      ash: share(raw.ash * kept),
      moisture: share(water),
    },
    plantShare: solidG > 0 ? plantG / solidG : 0,
  };
}

const total = (parts: readonly Part[], of: (part: Part) => number) =>
  parts.reduce((sum, part) => sum + part.massG * of(part), 0);
