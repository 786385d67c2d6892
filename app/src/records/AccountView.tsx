import type { Account } from '@open-larder/contract';
import { formatGrams } from '@open-larder/say';
import { addDays } from '@open-larder/core/round';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { FoodSign } from '../draw/FoodSign';
import { useFormat, latest } from '../store';
import { call } from '../store/call';
import { ledgerApi } from '../store/ledgerApi';
import { saveFile } from '../table/saveFile';
import { Button, Card, Choice, Empty, ListRow, Text, useToast, Waiting } from '../ui';
import {
  lossesOf,
  formatEaten,
  formatGrowth,
  formatLiving,
  formatLosses,
  formatRated,
  formatWater,
} from './account';
import { RatingSheet, Ratings } from './RatingSheet';
import { SpanChoice } from './SpanChoice';

type Part = keyof Account;

/** What came of it all: growth, losses, water, costs, and what foods did, over up to a year. */
export function AccountView({ to }: { to: string }) {
  const router = useRouter();
  const toast = useToast();
  const [days, setDays] = useState(91);
  const [part, setPart] = useState<Part>('groups');
  const span = { from: addDays(to, 1 - days), to };
  const { data, error, refetch } = latest(ledgerApi.useAccountQuery(span));
  const save = async () => {
    const answer = await call('exportAccount', { query: { ...span, part } });
    if ('error' in answer) toast(answer.error.detail, { tone: 'error' });
    else saveFile(answer.data.fileName, answer.data.text);
  };
  return (
    <View style={{ gap: 16, maxWidth: 820 }}>
      <SpanChoice value={days} onChange={setDays} />
      <Choice
        label="Told of"
        value={part}
        onChange={setPart}
        options={[
          { value: 'groups', label: 'fish' },
          { value: 'tanks', label: 'water' },
          { value: 'foods', label: 'food' },
        ]}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button label="Compare" onPress={() => router.push('/records/compare')} />
        <Button variant="bare" label="Save as CSV" onPress={() => save()} />
      </View>
      {!data ? (
        <Waiting of={{ error, refetch }} rows={4} height={72} />
      ) : data[part].length === 0 ? (
        <Empty
          title="Nothing happened in these days"
          text="What you log on the Round, measure, test and count is added up here."
        />
      ) : part === 'groups' ? (
        <GroupRows rows={data.groups} />
      ) : part === 'tanks' ? (
        <TankRows rows={data.tanks} />
      ) : (
        <FoodRows rows={data.foods} />
      )}
    </View>
  );
}

function GroupRows({ rows }: { rows: Account['groups'] }) {
  const router = useRouter();
  const format = useFormat();
  const losses = lossesOf(rows);
  const lost = losses.reduce((sum, { count }) => sum + count, 0);
  return (
    <View style={{ gap: 16 }}>
      {lost > 0 ? (
        <View style={{ gap: 8 }}>
          <Text variant="subtitle">Losses</Text>
          <Card label="Losses">
            {losses.map(({ says, count }, at) => (
              <ListRow
                key={says}
                first={at === 0}
                title={`${count} lost, ${says}`}
                trail={<Share of={count / lost} />}
              />
            ))}
          </Card>
        </View>
      ) : null}
      <Card label="Fish">
        {rows.map((row, at) => (
          <ListRow
            key={row.groupId}
            first={at === 0}
            title={row.name}
            detail={[
              row.tankName,
              formatLosses(row),
              formatLiving(row),
              formatGrowth(row, format),
              formatEaten(row, format),
            ]
              .filter(Boolean)
              .join('\n')}
            onPress={() => router.push(`/groups/${row.groupId}`)}
          />
        ))}
      </Card>
    </View>
  );
}

/** How much of all, as a figure. */
const Share = ({ of }: { of: number }) => <Text tone="quiet">{`${Math.round(of * 100)} %`}</Text>;

function TankRows({ rows }: { rows: Account['tanks'] }) {
  const router = useRouter();
  const format = useFormat();
  return (
    <Card label="Water">
      {rows.map((row, at) => (
        <ListRow
          key={row.tankId}
          first={at === 0}
          title={row.name}
          detail={[
            ...formatWater(row, format),
            row.costMinor === null ? null : `food for ${format.money(row.costMinor)}`,
          ]
            .filter(Boolean)
            .join('\n')}
          onPress={() => router.push(`/tanks/${row.tankId}/water`)}
        />
      ))}
    </Card>
  );
}

function FoodRows({ rows }: { rows: Account['foods'] }) {
  const format = useFormat();
  const [rated, setRated] = useState<Account['foods'][number] | null>(null);
  const sorted = [...rows].sort((a, b) => b.offeredG - a.offeredG);
  return (
    <View style={{ gap: 16 }}>
      <Card label="Food">
        {sorted.map((row, at) => (
          <ListRow
            key={row.foodId}
            first={at === 0}
            lead={<FoodSign family={row.family} size={22} />}
            title={row.name}
            detail={[
              `${formatGrams(row.offeredG - row.refusedG - row.leftG)} of ${formatGrams(row.offeredG)} eaten${
                row.costMinor === null ? '' : ` for ${format.money(row.costMinor)}`
              }`,
              formatRated(row) ?? 'not rated',
            ].join('\n')}
            trail={
              <Button
                least="feeder"
                variant="bare"
                label="Rate"
                spoken={`Rate what ${row.name} did`}
                onPress={() => setRated(row)}
              />
            }
          />
        ))}
      </Card>
      <Ratings />
      {rated ? <RatingSheet food={rated} onClose={() => setRated(null)} /> : null}
    </View>
  );
}
