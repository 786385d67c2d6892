import { useRouter } from 'expo-router';
import Plus from 'lucide-react-native/icons/plus';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { ScreenTools } from '../shell';
import { SIZES, themed, useColours, useWide } from '../theme';
import { useFormat } from '../store';
import { Button, Card, Disclosure, Empty, Screen, Text, Waiting } from '../ui';
import { BroodDetail } from './BroodDetail';
import { BroodWorkList } from './BroodWorkList';
import { CalendarCard } from './CalendarCard';
import { DaySheet } from './DaySheet';
import { useBroods, type Brood, type Broods } from './useBroods';
import { formatBrood, formatWindow, stageWords } from './labels';

/** The broods of the house: how each stands, what it asks for, and all of them against the weeks. */
export function BroodsScreen({ id }: { id?: string }) {
  const router = useRouter();
  const colours = useColours();
  const wide = useWide();
  const [sheet, setSheet] = useState(false);
  const { data, problem, ...rest } = useBroods();
  const alone = id !== undefined && !wide;
  const chosen =
    data?.all.find((one) => one.id === id) ?? (wide && !id ? data?.kept[0] : undefined);
  const detail =
    data && chosen ? (
      <BroodDetail key={chosen.id} brood={chosen} broods={data} titled={!alone} />
    ) : data && id ? (
      <Empty title="No such brood" text="It may never have been. Go back to the broods." />
    ) : null;
  return (
    <Screen
      title={alone ? (chosen?.name ?? 'Brood') : 'Broods'}
      back={alone ? '/broods' : '/round'}
      tools={alone ? null : <ScreenTools />}
      actions={
        !alone && data && data.all.length > 0 ? (
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            <Button
              least="keeper"
              label="Condition a pair"
              onPress={() => router.push('/broods/condition')}
            />
            <Button label="Day sheet" onPress={() => setSheet(true)} />
            <Button
              least="keeper"
              label="Begin one"
              icon={<Plus size={20} color={colours.ink} />}
              onPress={() => router.push('/broods/new')}
            />
          </View>
        ) : null
      }
      aside={detail}
    >
      {!data ? (
        <Waiting of={{ problem, ...rest }} rows={3} height={180} />
      ) : alone ? (
        detail
      ) : data.all.length === 0 ? (
        <Empty
          title="No brood yet"
          text="Say when a pair was put together or has spawned: hatching, the first food, its cultures and the water follow from there."
          action={
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
              <Button
                least="keeper"
                variant="primary"
                label="Begin a brood"
                onPress={() => router.push('/broods/new')}
              />
              <Button
                least="keeper"
                label="Condition a pair"
                onPress={() => router.push('/broods/condition')}
              />
            </View>
          }
        />
      ) : (
        <All data={data} selected={wide ? chosen?.id : undefined} />
      )}
      {sheet ? <DaySheet onClose={() => setSheet(false)} /> : null}
    </Screen>
  );
}

function All({ data, selected }: { data: Broods; selected: string | undefined }) {
  const router = useRouter();
  const past = data.all.filter(({ status }) => status.state.phase === 'over');
  return (
    <>
      {data.kept.map((brood) => (
        <BroodCard key={brood.id} brood={brood} selected={brood.id === selected} />
      ))}
      {data.kept.length > 0 ? <CalendarCard broods={data.kept} /> : null}
      {past.length > 0 ? (
        <Disclosure title={`${past.length} earlier`}>
          {past.map((brood) => (
            <Button
              key={brood.id}
              variant="bare"
              label={brood.name}
              onPress={() => router.push(`/broods/${brood.id}`)}
            />
          ))}
        </Disclosure>
      ) : null}
    </>
  );
}

function BroodCard({ brood, selected }: { brood: Brood; selected: boolean }) {
  const styles = useStyles();
  const router = useRouter();
  const format = useFormat();
  const { next } = brood.status;
  return (
    <Card label={brood.name} marked={selected}>
      <Pressable
        role="link"
        aria-label={`${brood.name}, ${formatBrood(brood)}`}
        aria-current={selected ? 'page' : undefined}
        onPress={() => router.push(`/broods/${brood.id}`)}
        style={styles.press}
      >
        <Text variant="strong">{brood.name}</Text>
        <Text variant="small" tone="quiet">
          {[
            brood.species.common,
            brood.strategy.breeding,
            ...brood.tubs.map(({ name }) => name),
          ].join(' · ')}
        </Text>
        <Text>{formatBrood(brood)}</Text>
        {next ? (
          <Text variant="small">{`${stageWords(next.stage, brood)}: ${formatWindow(next, format)}`}</Text>
        ) : null}
      </Pressable>
      {brood.work.some(({ what }) => what !== 'feed') ? (
        <View style={styles.work}>
          <BroodWorkList brood={brood} work={brood.work.filter(({ what }) => what !== 'feed')} />
        </View>
      ) : null}
    </Card>
  );
}

const useStyles = themed((c) => ({
  press: { padding: 12, gap: 4, minHeight: SIZES.touch },
  work: { borderTopWidth: 1, borderColor: c.rule },
}));
