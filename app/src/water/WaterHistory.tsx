import type { WaterEventRow, WaterRow } from '@open-larder/contract';
import { useFormat } from '../store';
import { History } from '../ui/History';
import { useWaterUndo } from './useWaterEvent';
import { formatWaterEvent } from './labels';

export function WaterHistory({ row, events }: { row: WaterRow; events: WaterEventRow[] }) {
  const format = useFormat();
  const takeBack = useWaterUndo();
  return (
    <History
      events={events.map((event) => {
        const day = format.day(event.day);
        return {
          id: event.id,
          title: formatWaterEvent(event, format, row.litres),
          detail: [day, event.hand, event.note],
          day,
          undo: () => void takeBack(event.id),
        };
      })}
    />
  );
}
