import type { Group, LifeEventRow } from '@open-larder/contract';
import { formatGrams, formatNumber } from '@open-larder/say';
import { foodConversion, survivalOf, type GrowthStatus } from '@open-larder/core/growth';
import { addDays } from '@open-larder/core/round';
import { useMemo } from 'react';
import { View } from 'react-native';
import { formatCause } from '../group/labels';
import { api, useNow, useFormat, type AppData } from '../store';
import { Card, ListRow, Text } from '../ui';
import { formatPercent } from './labels';
import { Chart } from '../records/Chart';

/** Growth, food and losses between the last two measurements. */
export function OutcomeCard({
  group,
  status,
  events,
  data,
}: {
  group: Group;
  status: GrowthStatus;
  events: LifeEventRow[];
  data: AppData;
}) {
  const format = useFormat();
  const now = useNow();
  const last = status.samples.at(-1)!;
  const before = status.samples.at(-2);
  const span = { from: before?.day ?? addDays(now.day, -28), to: last.day };
  const served = api.useServedQuery(span, { skip: before === undefined || span.from > span.to });
  const dry = useMemo(() => {
    const moist = new Map(data.foods.map((food) => [food.id, food.composition.moisture]));
    return (served.data?.rows ?? [])
      .filter(({ groupId }) => groupId === group.id)
      .reduce(
        (sum, row) =>
          sum +
          Math.max(0, row.offeredG - row.refusedG - row.leftG) * (1 - (moist.get(row.foodId) ?? 0)),
        0,
      );
  }, [served.data, data.foods, group.id]);
  const gained = before ? (last.massG - before.massG) * group.size.total : 0;
  const conversion = before && served.data ? foodConversion(dry, gained) : null;
  const lived = survivalOf(
    events
      .filter(({ withdrawn }) => !withdrawn)
      .map((event) => ({
        ...event,
        males: event.males ?? 0,
        females: event.females ?? 0,
        unsexed: event.unsexed ?? 0,
      }))
      .filter(({ kind }) => !['moved', 'measured', 'staged'].includes(kind))
      .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0)) as never,
    addDays(now.day, -90),
    now.day,
  );
  const spanSays = before ? `${format.day(before.day)} to ${format.day(last.day)}` : '';
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Results</Text>
      <Card label="Results">
        <ListRow
          first
          title="Growth"
          detail={before ? spanSays : 'measure once more to find out'}
          trail={
            <Text variant="strong">
              {status.growthRate
                ? `${formatNumber(status.growthRate.perDay, 2)} % of its mass a day`
                : 'not known yet'}
            </Text>
          }
        />
        <ListRow
          title="Dry food per gram gained"
          detail={
            before
              ? `${formatGrams(dry)} of dry food noted, ${formatGrams(gained)} gained by all`
              : ''
          }
          trail={
            <Text variant="strong">
              {conversion === null
                ? before && gained <= 0
                  ? 'nothing gained'
                  : before && served.data
                    ? 'too little food noted'
                    : 'not known yet'
                : `${formatNumber(conversion, 1)} g`}
            </Text>
          }
        />
        <ListRow
          title="Monthly survival"
          detail={
            lived.died === 0
              ? 'no loss in ninety days'
              : `${lived.died} lost in ninety days: ${lived.causes.map(({ cause, count }) => `${count} ${formatCause(cause)}`).join(', ')}`
          }
          trail={
            <Text variant="strong">
              {lived.over30
                ? `${formatPercent(lived.over30.share)} (${formatPercent(lived.over30.low)} to ${formatPercent(lived.over30.high)})`
                : 'not known'}
            </Text>
          }
        />
        {status.condition ? (
          <ListRow
            title="Condition"
            detail={`weighed ${format.day(status.condition.day)}, against what is usual at that length`}
            trail={
              <Text variant="strong">{`${formatNumber(status.condition.value, 2)}, ${status.condition.word}`}</Text>
            }
          />
        ) : null}
      </Card>
    </View>
  );
}

export function MassChart({ status }: { status: GrowthStatus }) {
  const format = useFormat();
  if (status.samples.length < 3) return null;
  return (
    <Chart
      view="lines"
      title="Mass of one"
      detail="g, from the mean length of each measurement by the shape of its body."
      labels={status.samples.map(({ day }, at) =>
        status.samples.length > 5 && at % 2 === 1 ? '' : format.day(day).replace(/^\w+ /, ''),
      )}
      lines={[{ values: status.samples.map(({ massG }) => massG), variant: 'main' }]}
    />
  );
}
