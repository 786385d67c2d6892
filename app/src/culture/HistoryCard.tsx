import type { Problem } from '@open-larder/contract';
import { api, useFormat } from '../store';
import { useToast, Waiting } from '../ui';
import { History } from '../ui/History';
import { formatEvent } from './labels';
import { stampFor } from '../store/intent';

/** What happened to a vessel, newest first; each can be taken back, never erased. */
export function HistoryCard({ vesselId }: { vesselId: string }) {
  const format = useFormat();
  const toast = useToast();
  const { data: events, error, refetch } = api.useVesselEventsQuery(vesselId);
  const [undo] = api.useUndoVesselEventMutation();
  if (!events) return <Waiting of={{ error, refetch }} rows={3} height={52} />;
  const takeBack = async (id: string) => {
    const answer = await undo({ params: { id }, body: stampFor('undo', id) });
    if (answer.error) toast((answer.error as Problem).detail, { tone: 'error' });
    else toast('Taken back.');
  };
  return (
    <History
      events={events.map((event) => {
        const day = format.day(event.day);
        // What was harvested for a meal goes back with the meal.
        const undo = event.feedingId === null ? () => void takeBack(event.id) : undefined;
        return {
          id: event.id,
          title: formatEvent(event, format),
          detail: [day, event.hand, event.note],
          day,
          undo,
        };
      })}
    />
  );
}
