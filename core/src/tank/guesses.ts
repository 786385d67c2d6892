import type { TankFurnishing, TankKind } from './tank';

type Furnished = { [F in keyof TankFurnishing]: NonNullable<TankFurnishing[F]> };

const planted: Furnished = {
  ground: 'gravel',
  groundDepthCm: 4,
  decor: 'some',
  filter: 'internal',
  flow: 'gentle',
  plants: 'few',
  cover: 'loose',
  sourceWater: 'tap',
};
const bare: Furnished = {
  ...planted,
  ground: 'bare',
  groundDepthCm: 0,
  decor: 'none',
  filter: 'sponge',
};

/** What tanks of a kind usually hold. Assumptions of the craft, each shown as a guess. */
const USUAL: Record<TankKind, Furnished> = {
  display: planted,
  breeding: { ...bare, plants: 'many' },
  'grow-out': { ...bare, plants: 'few' },
  'fry tub': { ...bare, filter: 'none', flow: 'still', plants: 'few', cover: 'open' },
  quarantine: { ...bare, plants: 'none' },
  'outdoor tub': {
    ...bare,
    ground: 'soil',
    groundDepthCm: 3,
    filter: 'none',
    flow: 'still',
    plants: 'dense',
    cover: 'open',
    sourceWater: 'rain',
  },
};

export interface Furnishings extends Furnished {
  /** Fields that the keeper did not say and that were guessed from the kind of tank. */
  guessed: (keyof TankFurnishing)[];
}

/** A tank's furnishing with a guess wherever the keeper said nothing. */
export function furnishingOf(tank: TankFurnishing & { kind: TankKind }): Furnishings {
  const usual = USUAL[tank.kind];
  const fields = Object.keys(usual) as (keyof TankFurnishing)[];
  const guessed = fields.filter((field) => tank[field] === null);
  const said = Object.fromEntries(
    fields.filter((field) => tank[field] !== null).map((field) => [field, tank[field]]),
  );
  const whole = { ...usual, ...said } as Furnished;
  // Whoever says only that the floor is bare, or covered, has said enough about its depth.
  if (tank.groundDepthCm === null) {
    whole.groundDepthCm =
      whole.ground === 'bare' ? 0 : usual.groundDepthCm || USUAL.display.groundDepthCm;
  }
  return { ...whole, guessed };
}
