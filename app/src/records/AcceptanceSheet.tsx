import { api, useFormat, latest } from '../store';
import { Sheet, Text, Waiting } from '../ui';
import { Chart } from './Chart';
import type { ServedSum } from './served';

interface Props {
  sum: ServedSum;
  pair: { groupId: string; foodId: string };
  span: { from: string; to: string };
  onClose: () => void;
}

/** How much of one food a group ate, week by week. */
export function AcceptanceSheet({ sum, pair, span, onClose }: Props) {
  const format = useFormat();
  const { data, error, refetch } = latest(api.useAcceptanceQuery({ id: pair.groupId, ...span }));
  const food = data?.foods.find((one) => one.foodId === pair.foodId);
  const known = (food?.taken ?? []).flatMap((taken, at) =>
    taken === null ? [] : [{ week: data!.weeks[at]!, percent: 100 * taken }],
  );
  const short = (week: string) => format.day(week).split(' ').slice(1).join(' ');
  // A year of weeks is too many words for an axis.
  const every = Math.ceil(known.length / 6);
  return (
    <Sheet title={`${sum.name}: week by week`} open onClose={onClose}>
      <Text tone="quiet">{sum.detail}</Text>
      {!data ? (
        <Waiting of={{ error, refetch }} rows={1} height={240} />
      ) : known.length < 2 ? (
        <Text>
          {known[0]
            ? `${Math.round(known[0].percent)} % of it was eaten in the week of ${format.day(known[0].week)}: a course needs two weeks at least.`
            : 'None was offered in these weeks.'}
        </Text>
      ) : (
        <>
          <Chart
            view="lines"
            title="Eaten of what was offered"
            detail="% by week; weeks without it are left out."
            labels={known.map(({ week }, at) => (at % every === 0 ? short(week) : ''))}
            lines={[{ values: known.map(({ percent }) => percent), variant: 'main' }]}
          />
          <Text>{formatCourse(known.map(({ percent }) => percent))}</Text>
        </>
      )}
    </Sheet>
  );
}

/** A change of so many per cent between the first and the last third is worth a word. */
const WORTH = 15;

function formatCourse(percents: readonly number[]): string {
  const third = Math.max(1, Math.floor(percents.length / 3));
  const mean = (part: readonly number[]) => part.reduce((sum, one) => sum + one, 0) / part.length;
  const before = mean(percents.slice(0, third));
  const now = mean(percents.slice(-third));
  const figures = `${Math.round(before)} % at first, ${Math.round(now)} % lately`;
  if (now >= before + WORTH) return `Taken more readily than before: ${figures}.`;
  if (now <= before - WORTH) return `Taken less readily than before: ${figures}.`;
  return `Taken about as before: ${figures}.`;
}
