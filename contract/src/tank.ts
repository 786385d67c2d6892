import {
  COVERS,
  DECORS,
  FILMS,
  FILTERS,
  FLOWS,
  GROUNDS,
  PLANTINGS,
  SOURCE_WATERS,
  TANK_KINDS,
  TANK_SHAPES,
  waterLitres,
  type TankWater,
} from '@open-larder/core/tank';
import { z } from 'zod';
import { between, day, id, name, version } from './basics';
import { minutesOfDay } from './moment';
import { plan } from './plan';

const sizeCm = [3, 1000] as const;

/** Fields of a tank with their limits. What is null the app guesses, and shows as a guess. */
export const tankFields = z.object({
  name,
  kind: z.enum(TANK_KINDS),
  shape: z.enum(TANK_SHAPES),
  lengthCm: between(...sizeCm, 'inside length in cm').nullable(),
  widthCm: between(...sizeCm, 'inside width in cm').nullable(),
  heightCm: between(...sizeCm, 'inside height in cm').nullable(),
  waterLevelCm: between(1, 1000, 'water level in cm').nullable(),
  litres: between(0.2, 50_000, 'litres').nullable(),
  ground: z.enum(GROUNDS).nullable(),
  groundDepthCm: between(0, 200, 'depth of the ground in cm').nullable(),
  decor: z.enum(DECORS).nullable(),
  filter: z.enum(FILTERS).nullable(),
  flow: z.enum(FLOWS).nullable(),
  plants: z.enum(PLANTINGS).nullable(),
  cover: z.enum(COVERS).nullable(),
  sourceWater: z.enum(SOURCE_WATERS).nullable(),
  tempC: between(0, 40, 'water temperature in °C'),
  ph: between(3, 11, 'pH').nullable(),
  gh: between(0, 60, 'hardness in dGH').nullable(),
  lightOnMin: minutesOfDay,
  lightOffMin: minutesOfDay,
  walkOrder: between(1, 9999, 'place in the walking order').int(),
  /** Since when there is water and life in it; null where it was not said. */
  runsSince: day.nullable(),
  /** The film on glass, wood and stones as it was last seen, and when; null until it was seen. */
  film: z.enum(FILMS).nullable(),
  filmOn: day.nullable(),
});
type Fields = z.infer<typeof tankFields>;

/** What is wrong with a tank as a whole, at the field to change; null where all fits. */
export function tankError(tank: Fields): { path: keyof Fields; message: string } | null {
  if (tank.litres === null && !(tank.lengthCm && tank.widthCm && tank.heightCm)) {
    return { path: 'litres', message: 'give length, width and height, or the litres' };
  }
  if (tank.waterLevelCm && tank.heightCm && tank.waterLevelCm > tank.heightCm) {
    return { path: 'waterLevelCm', message: 'the water cannot be above the rim of the tank' };
  }
  const level = tank.waterLevelCm ?? (tank.heightCm ?? 0) * 0.9;
  if (tank.litres === null && tank.groundDepthCm !== null && tank.groundDepthCm >= level) {
    return { path: 'groundDepthCm', message: 'the ground cannot reach the surface of the water' };
  }
  if ((tank.film === null) !== (tank.filmOn === null)) {
    return { path: 'filmOn', message: 'say both what the film looks like and when it was seen' };
  }
  const max = maxLitres(tank);
  if (tank.litres !== null && max !== null && tank.litres > max) {
    return {
      path: 'litres',
      message: 'a tank of these measures holds less than that; check both',
    };
  }
  return null;
}

/** Litres up to the rim with nothing else in it; null where the measures are not all known. */
function maxLitres(tank: Fields): number | null {
  if (!tank.lengthCm || !tank.widthCm || !tank.heightCm) return null;
  const full: TankWater = {
    ...tank,
    litres: null,
    waterLevelCm: tank.heightCm,
    ground: 'bare',
    groundDepthCm: 0,
    decor: 'none',
  };
  return waterLitres(full)?.value ?? null;
}

function sized<Schema extends z.ZodType<Fields>>(schema: Schema) {
  return schema.superRefine((tank, context) => {
    const error = tankError(tank);
    if (error) context.addIssue({ code: 'custom', path: [error.path], message: error.message });
  });
}

export const tankCreate = sized(tankFields.extend({ id }));
export const tankEdit = sized(tankFields.extend({ version, archived: z.boolean() }));
const size = z.number().nullable();
/** As read back: the database holds nothing but what passed the limits on its way in. */
export const tank = tankFields.extend({
  id: z.string(),
  name: z.string(),
  lengthCm: size,
  widthCm: size,
  heightCm: size,
  waterLevelCm: size,
  litres: size,
  groundDepthCm: size,
  tempC: z.number(),
  ph: size,
  gh: size,
  lightOnMin: z.number(),
  lightOffMin: z.number(),
  walkOrder: z.number(),
  version: z.number(),
  archived: z.boolean(),
  runsSince: z.string().nullable(),
  film: z.enum(FILMS).nullable(),
  filmOn: z.string().nullable(),
  /** The temperature of its last test that told one; null where none did. */
  lastTemp: z.object({ tempC: z.number(), day: z.string() }).nullable(),
  /** Null where nothing was said of the tank as a whole: it repeats by the week. */
  plan: plan.nullable(),
});

export type Tank = z.infer<typeof tank>;

/** Starting values of a tank about which nothing is known but its size. */
export const blankTank = {
  kind: 'display',
  shape: 'box',
  lengthCm: null,
  widthCm: null,
  heightCm: null,
  waterLevelCm: null,
  litres: null,
  ground: null,
  groundDepthCm: null,
  decor: null,
  filter: null,
  flow: null,
  plants: null,
  cover: null,
  sourceWater: null,
  tempC: 25,
  ph: null,
  gh: null,
  lightOnMin: 600,
  lightOffMin: 1200,
  runsSince: null,
  film: null,
  filmOn: null,
} as const satisfies Omit<Fields, 'name' | 'walkOrder'>;

/** The order in which tanks are walked: every tank that is kept, once. */
export const walkEdit = z.object({
  tankIds: z
    .array(id)
    .max(1000, 'arrange at most 1000 tanks')
    .refine((ids) => new Set(ids).size === ids.length, 'a tank is listed twice'),
});
