import { z } from 'zod';
import { id } from './basics';
import { foodCreate } from './food';
import { groupCreate } from './group';
import { moment } from './moment';
import { tankCreate } from './tank';

/** What a keeper has, entered in one go: all of it is written, or nothing. */
export const inventoryCreate = z
  .object({
    id,
    tanks: z.array(tankCreate).max(20, 'enter at most 20 tanks at once'),
    groups: z.array(groupCreate).max(100, 'enter at most 100 groups at once'),
    foods: z.array(foodCreate).max(60, 'enter at most 60 foods at once'),
  })
  .refine(({ tanks, groups, foods }) => tanks.length + groups.length + foods.length > 0, {
    path: ['tanks'],
    message: 'enter a tank, fish or a food',
  });

/** What was planned, tank by tank. */
export const inventoryMade = z.object({
  tanks: z.array(
    z.object({
      tankId: id,
      groupIds: z.array(id),
      /** Groups that nothing on the shelf suits well; some of them get the best of it all the same. */
      unfedIds: z.array(id),
    }),
  ),
  /** Moments that were added, so that each tank is fed twice a day while it is lit. */
  moments: z.array(moment),
});
export type InventoryCreate = z.infer<typeof inventoryCreate>;
export type InventoryMade = z.infer<typeof inventoryMade>;
