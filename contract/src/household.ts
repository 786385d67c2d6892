import { z } from 'zod';
import { between, name, version } from './basics';

const timeZone = z
  .string()
  .max(60)
  .refine((zone) => {
    try {
      return Boolean(new Intl.DateTimeFormat('en', { timeZone: zone }));
    } catch {
      return false;
    }
  }, 'this is not a known time zone, such as Europe/Berlin');

const minuteOfDay = between(0, 1439, 'minutes of a day').int('count whole minutes');

export const householdInput = z.object({
  name,
  timeZone,
  /** Lengths, volumes and masses. */
  units: z.enum(['metric', 'us']),
  temperature: z.enum(['C', 'F']),
  hardness: z.enum(['dGH', 'ppm']),
  clock: z.enum(['24', '12']),
  /** First day of the week: 1 Monday, 7 Sunday. */
  weekStart: z.union([z.literal(1), z.literal(7)]),
  /** Days from ordering until a parcel is in the house. */
  deliveryDays: between(0, 60, 'days of delivery').int('write whole days'),
  /** What is noted most of a serving, to be tapped. */
  phrases: z
    .array(z.string().trim().min(1, 'leave out what is empty').max(40, 'keep it under 40 letters'))
    .max(12, 'keep it to twelve phrases'),
  /** When someone is at home, beside the moments: young are fed then. */
  atHome: z
    .array(
      z
        .object({ fromMin: minuteOfDay, toMin: minuteOfDay })
        .refine(({ fromMin, toMin }) => fromMin !== toMin, {
          path: ['toMin'],
          message: 'this span has no length',
        }),
    )
    .max(6, 'keep it to six spans'),
  currency: z.string().regex(/^[A-Z]{3}$/, 'write the currency as three capitals, such as EUR'),
});
/** As read back: what passed the limits on its way in. */
export const household = householdInput.extend({
  id: z.string(),
  name: z.string(),
  timeZone: z.string(),
  currency: z.string(),
  deliveryDays: z.number(),
  phrases: z.array(z.string()),
  atHome: z.array(z.object({ fromMin: z.number(), toMin: z.number() })),
  version: z.number(),
});
export const householdEdit = householdInput.extend({ version });

export type HouseholdSettings = z.infer<typeof household>;
