import { z } from 'zod';
import { between, id } from './basics';

const spot = z.object({
  x: between(0, 10_000, 'a place in the picture'),
  y: between(0, 10_000, 'a place in the picture'),
});
const stretch = z.object({ a: spot, b: spot });

/** What was marked in a picture, in its pixels. */
export const photoMarks = z.object({
  ruler: z
    .array(stretch.extend({ cm: between(0.1, 200, 'length on the ruler in cm') }))
    .min(1, 'mark a stretch of the ruler')
    .max(2, 'mark at most two stretches of the ruler'),
  fish: z.array(stretch).min(1, 'mark at least one fish').max(200, 'mark at most 200 fish'),
});

const fields = {
  /** The measurement that was taken in it. */
  eventId: id,
  widthPx: between(1, 10_000, 'its width').int(),
  heightPx: between(1, 10_000, 'its height').int(),
  /** A JPEG or PNG as a data address. */
  picture: z
    .string()
    .regex(/^data:image\/(jpeg|png);base64,[A-Za-z0-9+/]+=*$/, 'choose a JPEG or a PNG picture')
    .max(1_500_000, 'the picture is too large; take a smaller one'),
  marks: photoMarks,
};
export const photoCreate = z.object({ id, ...fields });
/** As read back. */
export const photo = z.object({ id: z.string(), ...fields, eventId: z.string() });

export type PhotoCreate = z.infer<typeof photoCreate>;
export type PhotoRow = z.infer<typeof photo>;
export type PhotoMarks = z.infer<typeof photoMarks>;
