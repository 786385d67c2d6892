import type { InventoryMade, RoundView } from '@open-larder/contract';
import { addDays, feedingDay } from '@open-larder/core/round';
import { formatBodyMass, formatGrams, formatServing } from '@open-larder/say';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { formatMoment } from '../diet/labels';
import { FoodSign } from '../draw/FoodSign';
import { api, useFormat, useHand, useNow, type AppData, type Format } from '../store';
import { Button, Card, ListRow, lowerFirst, Text, upperFirst, Waiting } from '../ui';
import type { Assumed } from './entries';
import { whyLines } from './why';

/** What was made of it: the first day, why it looks so, and all that was assumed. */
export function FirstDay({
  answer,
  assumed,
  data,
  onMore,
}: {
  answer: InventoryMade;
  assumed: readonly Assumed[];
  data: AppData;
  onMore: () => void;
}) {
  const format = useFormat();
  const router = useRouter();
  const hand = useHand();
  const clock = useNow();
  const now = feedingDay(data.house, clock);
  const tankIds = answer.tanks.map(({ tankId }) => tankId);
  const tomorrow = addDays(now.day, 1);
  const today = api.useRoundQuery({ day: now.day, hand });
  const later = api.useRoundQuery({ day: tomorrow, hand });
  const rounds = today.data && later.data ? { today: today.data, later: later.data } : null;
  // Where most of today is over, tomorrow is the first day.
  const still = rounds ? servingsIn(rounds.today, tankIds, now.minutes) : [];
  const isToday = rounds !== null && sizeOf(still) * 2 > sizeOf(servingsIn(rounds.today, tankIds, null)); // prettier-ignore
  const day = isToday ? now.day : tomorrow;
  const moments = rounds && (isToday ? still : servingsIn(rounds.later, tankIds, null));
  const unfed = answer.tanks.flatMap(({ unfedIds }) =>
    unfedIds.map((id) => data.groups.find((group) => group.id === id)?.name ?? ''),
  );
  return (
    <>
      {tankIds.length === 0 ? (
        <Text>Saved. Now say who should get it.</Text>
      ) : moments === null ? (
        <Waiting of={[today, later] as never} rows={4} height={56} />
      ) : (
        <Day moments={moments} day={day} format={format} data={data} />
      )}
      {unfed.length > 0 ? (
        <View style={{ gap: 8, alignItems: 'flex-start' }}>
          <Text tone="due">
            {`Nothing on your shelf suits ${unfed.map(lowerFirst).join(' or ')} well. Put a food there that they take and can eat.`}
          </Text>
          <Button label="Put a food on the shelf" onPress={onMore} />
        </View>
      ) : null}
      {moments && moments.length > 0 ? (
        <View style={{ gap: 6 }}>
          <Text variant="subtitle">Why this plan</Text>
          {whyLines(answer, data).map((line) => (
            <Text key={line}>{line}</Text>
          ))}
        </View>
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button variant="primary" label="Open the Round" onPress={() => router.replace('/round')} />
        <Button label="Add more" onPress={onMore} />
      </View>
      {assumed.length + answer.moments.length > 0 ? (
        <AllAssumed
          assumed={[
            ...answer.moments.map((moment) => ({ is: 'moment' as const, moment })),
            ...assumed,
          ]}
          format={format}
        />
      ) : null}
    </>
  );
}

/** Moments of a day with what is served in these tanks; of today only those that are still to come. */
function servingsIn(round: RoundView, tankIds: readonly string[], minutes: number | null) {
  return round.moments.flatMap((moment) => {
    const stops = moment.stops.filter(
      (stop) => tankIds.includes(stop.tankId) && (minutes === null || stop.minutes >= minutes - 30),
    );
    return stops.length > 0 ? [{ ...moment, stops }] : [];
  });
}

const sizeOf = (moments: ReturnType<typeof servingsIn>) =>
  moments.flatMap(({ stops }) => stops.flatMap(({ servings }) => servings)).length;

function Day({
  moments,
  day,
  format,
  data,
}: {
  moments: ReturnType<typeof servingsIn>;
  day: string;
  format: Format;
  data: AppData;
}) {
  return (
    <View style={{ gap: 8 }}>
      <Text tone="quiet">{format.day(day)}</Text>
      {moments.map((moment) => (
        <Card key={moment.momentId} label={moment.name}>
          {moment.stops.flatMap((stop) =>
            stop.servings.map((serving, at) => (
              <ListRow
                key={serving.servingId}
                first={stop === moment.stops[0] && at === 0}
                lead={<FoodSign family={serving.family} />}
                title={formatServing(serving.portion, serving.foodName)}
                detail={`${serving.groupName}${data.tanks.length > 1 ? ` · ${data.tanks.find(({ id }) => id === stop.tankId)?.name ?? ''}` : ''} · ${formatBodyMass(serving.massG)}`}
                trail={
                  at === 0 ? (
                    <Text variant="small" tone="quiet">
                      {format.time(stop.minutes)}
                    </Text>
                  ) : null
                }
              />
            )),
          )}
        </Card>
      ))}
    </View>
  );
}

/** All that was not said, kind by kind, each with the way to put it right. */
function AllAssumed({ assumed, format }: { assumed: readonly Assumed[]; format: Format }) {
  const router = useRouter();
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">What was assumed</Text>
      <Text tone="quiet">Tap anything that is wrong and correct it.</Text>
      {KINDS.map(({ are, because }) => {
        const rows = assumed.filter(({ is }) => are.includes(is));
        return rows.length === 0 ? null : (
          <View key={because} style={{ gap: 4 }}>
            <Text variant="small" tone="quiet">
              {because}
            </Text>
            <Card label={because}>
              {rows.map((one, at) => {
                const { title, href } = wordsOf(one, format);
                return (
                  <ListRow
                    key={title}
                    first={at === 0}
                    title={title}
                    onPress={() => router.push(href as '/tanks')}
                  />
                );
              })}
            </Card>
          </View>
        );
      })}
    </View>
  );
}

const KINDS: { are: Assumed['is'][]; because: string }[] = [
  { are: ['warmth', 'lights'], because: 'The tank, by what suits its fish' },
  {
    are: ['moment'],
    because: 'Feeding times added, because fewer than two of yours were while the tank is lit',
  },
  { are: ['length'], because: 'Usual lengths for these species; portions follow from them' },
  { are: ['pack'], because: 'About one new pack of each, with typical figures' },
];

function wordsOf(one: Assumed, format: Format): { title: string; href: string } {
  switch (one.is) {
    case 'warmth':
      return {
        title: `${one.tankName}: ${format.quantity('temperature', one.tempC)}${one.because === 'room' ? ', as a lived-in room' : ''}`,
        href: `/tanks/${one.tankId}/edit`,
      };
    case 'lights':
      return {
        title: `${one.tankName}: lights ${format.time(one.onMin)} to ${format.time(one.offMin)}`,
        href: `/tanks/${one.tankId}/edit`,
      };
    case 'moment':
      return { title: upperFirst(formatMoment(one.moment, format)), href: '/settings' };
    case 'length':
      return {
        title: `${one.groupName}: ${format.quantity('length', one.lengthCm)}`,
        href: `/groups/${one.groupId}`,
      };
    case 'pack':
      return {
        title: `${one.foodName}: ${formatGrams(one.amountG)}`,
        href: `/larder/${one.foodId}`,
      };
  }
}
