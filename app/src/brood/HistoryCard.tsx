import type { Problem } from '@open-larder/contract';
import { api, useFormat } from '../store';
import { useToast, Waiting } from '../ui';
import { History } from '../ui/History';
import type { Brood } from './useBroods';
import { formatEvent } from './labels';
import { stampFor } from '../store/intent';

/** What happened to a brood, newest first; each can be taken back, never erased. */
export function HistoryCard({ brood }: { brood: Brood }) {
  const format = useFormat();
  const toast = useToast();
  const { data: events, error, refetch } = api.useBroodEventsQuery(brood.id);
  const [undo] = api.useUndoBroodEventMutation();
  if (!events) return <Waiting of={{ error, refetch }} rows={3} height={52} />;
  const tubName = (id: string) => brood.tubs.find((tub) => tub.id === id)?.name ?? 'a tub';
  const foodName = (key: string) =>
    brood.status.rungs.find((rung) => rung.key === key)?.name ?? 'a food';
  const takeBack = async (id: string) => {
    const answer = await undo({ params: { id }, body: stampFor('undo', id) });
    if (answer.error) toast((answer.error as Problem).detail, { tone: 'error' });
    else toast('Taken back: dates and amounts are worked out again.');
  };
  return (
    <History
      events={events.map((event) => {
        const day = format.day(event.day);
        const where = brood.tubs.length > 1 && event.tubId !== null ? tubName(event.tubId) : null;
        return {
          id: event.id,
          title: formatEvent(event, format, tubName, foodName),
          detail: [day, where, event.hand, event.note],
          day,
          undo: () => void takeBack(event.id),
        };
      })}
    />
  );
}
