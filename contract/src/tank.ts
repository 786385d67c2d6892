import { z } from 'zod';
import { between, id, name, version } from './basics';
import { minutesOfDay } from './moment';

export const TANK_LIMITS = {
  sizeCm: [3, 1000],
  litres: [0.2, 50_000],
  tempC: [0, 40],
  ph: [3, 11],
  walkOrder: [1, 9999],
} as const;

const fields = z.object({
  name,
  lengthCm: between(...TANK_LIMITS.sizeCm, 'inside length in cm').nullable(),
  widthCm: between(...TANK_LIMITS.sizeCm, 'inside width in cm').nullable(),
  heightCm: between(...TANK_LIMITS.sizeCm, 'inside height in cm').nullable(),
  waterLevelCm: between(1, 1000, 'water level in cm').nullable(),
  litres: between(...TANK_LIMITS.litres, 'litres').nullable(),
  tempC: between(...TANK_LIMITS.tempC, 'water temperature in °C'),
  ph: between(...TANK_LIMITS.ph, 'pH').nullable(),
  lightOnMin: minutesOfDay,
  lightOffMin: minutesOfDay,
  walkOrder: between(...TANK_LIMITS.walkOrder, 'place in the walking order').int(),
});

function sized<Shape extends z.ZodType<z.infer<typeof fields>>>(schema: Shape) {
  return schema
    .refine((tank) => tank.litres !== null || (tank.lengthCm && tank.widthCm && tank.heightCm), {
      path: ['litres'],
      message: 'give length, width and height, or the litres',
    })
    .refine((tank) => !tank.waterLevelCm || !tank.heightCm || tank.waterLevelCm <= tank.heightCm, {
      path: ['waterLevelCm'],
      message: 'the water cannot stand above the rim of the tank',
    });
}

export const tankCreate = sized(fields.extend({ id }));
export const tankEdit = sized(fields.extend({ version, archived: z.boolean() }));
export const tank = fields.extend({ id, version, archived: z.boolean() });

export type Tank = z.infer<typeof tank>;
