import { assertRange } from '../units';
import { assumed, computed, measured, worded, type Known, type Why } from '../why';
import { furnishingOf, type Furnishings } from './guesses';
import type { TankFurnishing, TankShape, TankSize } from './tank';

/** Assumption: an open tank is filled to nine tenths of its height. */
export const USUAL_FILL = 0.9;

interface Footprint {
  /** Water surface as a share of length × width. */
  share: number;
  says: string;
}

/** How much of the rectangle around it a shape fills. */
const FOOTPRINTS: Record<Exclude<TankShape, 'bowl'>, Footprint> = {
  box: { share: 1, says: 'rectangle' },
  'bow front': {
    share: 0.92,
    says: 'assumption: sides three quarters as deep as the middle of the bow',
  },
  corner: { share: Math.PI / 4, says: 'quarter of an ellipse' },
  hexagon: { share: 0.75, says: 'regular hexagon, across corners × across flats' },
  cylinder: { share: Math.PI / 4, says: 'ellipse' },
  'tapered tub': {
    share: (Math.PI / 4) * 0.85,
    says: 'ellipse, less 15 % for the slope of the wall (assumption)',
  },
};

/** Share of the ground's bulk that is water between its grains. Usual porosities, an assumption. */
const POROSITY = { bare: 1, sand: 0.35, gravel: 0.4, soil: 0.5, 'leaf litter': 0.8 };
/** Share of the water that wood and stone take. Assumptions. */
const DECOR_SHARE = { none: 0, some: 0.03, much: 0.08 };

/** A tank as far as the water in it goes. */
export type TankWater = TankSize & TankFurnishing;

/**
 * Litres of water in a tank: inside measures to the water level, less ground, wood and stone.
 * @returns litres with derivation; null where neither litres nor measures are known
 * @throws RangeError where the water would stand above the rim, or the ground above the water
 */
export function waterLitres(tank: TankWater): Known | null {
  if (tank.litres !== null) return measured('Water', tank.litres, 'L', 'entered by the keeper');
  const filled = filledLitres(tank);
  if (filled === null) return null;
  const furnishing = furnishingOf(tank);
  const ground = groundLitres(tank, furnishing, filled);
  const taken = DECOR_SHARE[furnishing.decor];
  const said = (field: keyof TankFurnishing) =>
    furnishing.guessed.includes(field)
      ? `guessed for a tank of this kind (${tank.kind})`
      : 'entered by the keeper';
  const decor: Why = {
    ...worded('Wood and stone', furnishing.decor, 'assumed', said('decor')),
    from: [assumed('take of the water', taken * 100, '%', 'Assumption by how much there is')],
  };
  return computed((filled.value - (ground?.value ?? 0)) * (1 - taken), {
    label: 'Water',
    unit: 'L',
    how: '(filled volume − ground) × (1 − share taken by wood and stone)',
    from: ground === null ? [filled, decor] : [filled, ground, decor],
  });
}

function filledLitres(tank: TankWater): Known | null {
  const { lengthCm, widthCm, heightCm, shape } = tank;
  if (lengthCm === null || widthCm === null || heightCm === null) return null;
  const level = tank.waterLevelCm ?? heightCm * USUAL_FILL;
  assertRange('water level in cm', level, 0, heightCm);
  const measures = [
    measured('Inside length', lengthCm, 'cm'),
    measured('Inside width', widthCm, 'cm'),
    measured(
      'Water level',
      level,
      'cm',
      tank.waterLevelCm === null ? '90 % of height, assumed' : undefined,
    ),
  ];
  if (shape === 'bowl') {
    // A cut sphere: the cap of height h of a ball of radius r holds π·h²·(3r − h) ÷ 3.
    const radius = Math.max(lengthCm, widthCm, heightCm) / 2;
    return computed((Math.PI * level ** 2 * (3 * radius - level)) / 3000, {
      label: 'Filled volume',
      unit: 'L',
      how: 'cap of a ball: π × level² × (3 × radius − level) ÷ 3000',
      from: measures,
    });
  }
  const { share, says } = FOOTPRINTS[shape];
  return computed((lengthCm * widthCm * share * level) / 1000, {
    label: 'Filled volume',
    unit: 'L',
    how: 'inside length × width × share of the rectangle × water level ÷ 1000',
    from: [...measures, assumed('Share of the rectangle', share, '', `${shape}: ${says}`)],
  });
}

function groundLitres(
  tank: TankWater,
  { ground, groundDepthCm, guessed }: Furnishings,
  filled: Known,
): Known | null {
  if (ground === 'bare' || groundDepthCm === 0) return null;
  const level = tank.waterLevelCm ?? (tank.heightCm as number) * USUAL_FILL;
  // A guess never drowns a shallow tub; what the keeper says is taken at its word, and checked.
  const depth = guessed.includes('groundDepthCm')
    ? Math.min(groundDepthCm, level / 4)
    : groundDepthCm;
  assertRange('depth of the ground in cm', depth, 0, level);
  const source = 'Usual porosity; an assumption';
  return computed(filled.value * (depth / level) * (1 - POROSITY[ground]), {
    label: 'Ground',
    unit: 'L',
    how: 'filled volume × depth ÷ water level × (1 − share between the grains)',
    from: [
      measured(
        'Depth of the ground',
        depth,
        'cm',
        guessed.includes('groundDepthCm') ? 'guessed for a tank of this kind' : undefined,
      ),
      worded(
        'Ground',
        ground,
        guessed.includes('ground') ? 'assumed' : 'measured',
        guessed.includes('ground') ? `guessed for a tank of this kind (${tank.kind})` : undefined,
      ),
      assumed('Water between the grains', POROSITY[ground] * 100, '%', source),
    ],
  });
}
