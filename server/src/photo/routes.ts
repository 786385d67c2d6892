import type { PhotoRow } from '@open-larder/contract';
import type { Scope } from '../db';
import { readEvent } from '../group/life';
import type { Handlers } from '../http/mount';
import { conflict, idUsed, notFound, invalid } from '../http/problems';

export const photoRoutes = {
  keepPhoto: ({ body }, { scope }) =>
    scope.atomically(async (inside) => {
      await inside.lock(`photo of ${body.eventId}`);
      const event = await readEvent(inside, body.eventId);
      if (event?.kind !== 'measured') {
        throw invalid('eventId', 'this measurement is not here; note it first');
      }
      const known = await photoOf(inside, body.eventId);
      if (known !== null && known.id !== body.id) {
        throw conflict('This measurement has a picture already.');
      }
      await inside.insertOnce('photos', [body]);
      if ((await photoOf(inside, body.eventId))?.id !== body.id) {
        throw idUsed();
      }
      return { id: body.id };
    }),

  async getPhoto({ params }, { scope }) {
    const found = await photoOf(scope, params.id);
    if (!found) throw notFound('This picture');
    return found;
  },
} satisfies Partial<Handlers>;

async function photoOf(scope: Scope, eventId: string): Promise<PhotoRow | null> {
  const [row] = await scope.rows<PhotoRow>(
    `SELECT id, event_id, width_px, height_px, picture, marks FROM photos
      WHERE household_id = :household AND event_id = :eventId`,
    { eventId },
  );
  return row ?? null;
}
