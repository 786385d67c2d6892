import type { RoundView } from '@open-larder/contract';
import { DayRibbon } from '../draw/DayRibbon';
import { useFormat, type AppData } from '../store';
import { useWide } from '../theme';
import { open } from './moments';

interface Props {
  data: AppData;
  round: RoundView;
  current: RoundView['moments'][number];
  minutes: number | null;
}

/** The day as a ribbon, lit as the tank that is next. */
export function RoundRibbon({ data, round, current, minutes }: Props) {
  const format = useFormat();
  const wide = useWide();
  const stop =
    current.stops.find((one) => one.servings.some((serving) => serving.fed === null)) ??
    current.stops[0];
  const tank = data.tanks.find((one) => one.id === stop?.tankId);
  const notches = round.moments.map((moment) => ({
    minutes: Math.min(...moment.stops.map((one) => one.minutes)),
    done: open(moment).length === 0,
  }));
  return (
    <DayRibbon
      label={`The day: ${round.moments.map((moment, index) => `${moment.name} at ${format.time(notches[index]?.minutes ?? 0)}, ${open(moment).length} to serve`).join('; ')}`}
      lightOnMin={tank?.lightOnMin ?? 0}
      lightOffMin={tank?.lightOffMin ?? 0}
      notches={notches}
      now={minutes}
      hours={wide}
    />
  );
}
