import { z } from 'zod';
import { between, id, name, version } from './basics';

const fields = z.object({
  name,
  anchor: z.enum(['clock', 'lightsOn', 'lightsOff']),
  /** Minutes after midnight, or after (negative: before) the tank's lights. */
  minutes: z.int('choose a time'),
  /** Minutes that the keeper has then; null if not said. */
  spareMin: between(1, 600, 'minutes that you have').nullable(),
});

const timed = (moment: z.infer<typeof fields>) =>
  moment.anchor === 'clock'
    ? moment.minutes >= 0 && moment.minutes < 1440
    : Math.abs(moment.minutes) <= 360;
const sentence = {
  path: ['minutes'],
  message: 'a clock time lies within the day; a light-relative one within six hours of the light',
};

export const momentCreate = fields.extend({ id }).refine(timed, sentence);
export const momentEdit = fields.extend({ version, archived: z.boolean() }).refine(timed, sentence);
export const moment = fields.extend({ id, version, archived: z.boolean() });

export const minutesOfDay = between(0, 1439, 'a time of day').int();

export type MomentRow = z.infer<typeof moment>;
