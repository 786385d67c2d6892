import { useRouter } from 'expo-router';
import Plus from 'lucide-react-native/icons/plus';
import { View } from 'react-native';
import { LarderTabs } from '../larder/LarderTabs';
import { ScreenTools } from '../shell';
import { themed, useColours, useWide } from '../theme';
import { Button, Disclosure, Empty, Screen, Text, Waiting } from '../ui';
import { useCultures, type Cultures } from './useCultures';
import { VesselCard } from './VesselCard';
import { VesselDetail } from './VesselDetail';

/** The live shelf: vessels with what is in them now, how it goes on, and what they ask for today. */
export function LiveScreen({ id }: { id?: string }) {
  const router = useRouter();
  const colours = useColours();
  const wide = useWide();
  const { data, problem, ...rest } = useCultures();
  const alone = id !== undefined && !wide;
  const chosen =
    data?.all.find((one) => one.id === id) ?? (wide && !id ? mostUrgent(data) : undefined);
  const detail =
    data && chosen ? (
      <VesselDetail key={chosen.id} culture={chosen} cultures={data} titled={!alone} />
    ) : data && id ? (
      <Empty title="No such culture" text="It may never have been. Go back to the live shelf." />
    ) : null;
  const upkeep = data?.kept.reduce((sum, { kind }) => sum + kind.upkeepMinWeek, 0) ?? 0;
  return (
    <Screen
      title={alone ? (chosen?.name ?? 'Culture') : 'Larder'}
      back={alone ? '/larder/live' : undefined}
      detail={
        alone || !data || data.kept.length === 0
          ? undefined
          : `${count(data.kept.length, 'culture')} · about ${upkeep} min of work a week`
      }
      tools={alone ? null : <ScreenTools />}
      actions={
        !alone && data && data.kept.length > 0 ? (
          <Button
            least="keeper"
            label="Start one"
            icon={<Plus size={20} color={colours.ink} />}
            onPress={() => router.push('/larder/live/new')}
          />
        ) : null
      }
      aside={detail}
    >
      {alone ? null : <LarderTabs on="live" />}
      {!data ? (
        <Waiting of={{ problem, ...rest }} rows={3} height={180} />
      ) : alone ? (
        detail
      ) : data.all.length === 0 ? (
        <Empty
          title="Nothing lives here yet"
          text="Start with something that forgives: vinegar worms keep for months, Moina can be harvested from the second week. Each kind has its steps."
          action={
            <Button
              least="keeper"
              variant="primary"
              label="Start a culture"
              onPress={() => router.push('/larder/live/new')}
            />
          }
        />
      ) : (
        <Shelf data={data} selected={wide ? chosen?.id : undefined} />
      )}
    </Screen>
  );
}

function Shelf({ data, selected }: { data: Cultures; selected: string | undefined }) {
  const styles = useStyles();
  const router = useRouter();
  const ended = data.all.filter(({ status }) => status.state === 'ended');
  const crashed = data.kept.filter(({ status }) => status.state === 'crashed');
  return (
    <>
      {data.kept.length > 0 && crashed.length === data.kept.length ? (
        <Text tone="due">
          Every culture has crashed. Start again with fresh water and clean tools, from a friend or
          a shop, and keep the next two apart.
        </Text>
      ) : null}
      {data.kept
        .filter(({ status }) => withinWeek(status.crash.perDay) > CLOSE)
        .map(({ id, name, status }) => (
          <Text key={id} tone="due">
            {`${name}: ${Math.round(withinWeek(status.crash.perDay) * 100)} % chance of a crash this week.`}
          </Text>
        ))}
      <View style={styles.acts}>
        <Button label="Supply for six weeks" onPress={() => router.push('/larder/live/supply')} />
      </View>
      <View style={styles.cards}>
        {data.kept.map((culture) => (
          <View key={culture.id} style={styles.card}>
            <VesselCard culture={culture} selected={culture.id === selected} />
          </View>
        ))}
      </View>
      {ended.length > 0 ? (
        <Disclosure title={`${count(ended.length, 'earlier culture')}`}>
          {ended.map((culture) => (
            <Button
              key={culture.id}
              variant="bare"
              label={culture.name}
              onPress={() => router.push(`/larder/live/${culture.id}`)}
            />
          ))}
        </Disclosure>
      ) : null}
    </>
  );
}

/** From this chance of a crash within a week on it is said first. */
const CLOSE = 0.25;
const withinWeek = (perDay: number) => 1 - (1 - perDay) ** 7;

const mostUrgent = (data: Cultures | undefined) =>
  data?.kept.find(({ work }) => work.some(({ urgent }) => urgent)) ?? data?.kept[0];

export const count = (number: number, what: string): string =>
  `${number} ${number === 1 ? what : `${what}s`}`;

const useStyles = themed(() => ({
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  cards: { gap: 12 },
  card: { minWidth: 0 },
}));
