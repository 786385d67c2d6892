import { formatAnimals, formatBodyMass, formatNumber } from '@open-larder/say';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { KeptHere } from '../offline/KeptHere';
import { api, useFormat, type Format } from '../store';
import { useSavePrinted } from '../table/useSavePrinted';
import { useWide } from '../theme';
import { Button, Card, Disclosure, Text, upperFirst } from '../ui';
import { BroodWorkList } from './BroodWorkList';
import { ClutchesCard } from './ClutchesCard';
import { CorrectBroodSheet } from './CorrectBroodSheet';
import { EventSheet } from './EventSheet';
import { GroupSheet } from './GroupSheet';
import { HistoryCard } from './HistoryCard';
import { LadderCard } from './LadderCard';
import { MealsCard } from './MealsCard';
import { RaiseCard } from './RaiseCard';
import { StagesCard } from './StagesCard';
import { TubsCard } from './TubsCard';
import type { Brood, Broods } from './useBroods';
import { StrategyCard } from './StrategyCard';
import { formatBrood } from './labels';

/** Everything about one brood: its days, its ladder, today's food, its tubs, its end. */
export function BroodDetail({
  brood,
  broods,
  titled,
}: {
  brood: Brood;
  broods: Broods;
  /** Beside the list, where the screen's title is not its own. */
  titled: boolean;
}) {
  const router = useRouter();
  const [open, setOpen] = useState<'event' | 'correct' | 'group' | null>(null);
  const [ask] = api.useLazyBroodCardQuery();
  const save = useSavePrinted();
  const format = useFormat();
  const wide = useWide();
  const { state } = brood.status;
  const over = state.phase === 'over';
  return (
    <View style={{ gap: 16 }}>
      <View style={{ gap: 4 }}>
        {titled ? (
          <Text variant="title" level={2}>
            {brood.name}
          </Text>
        ) : null}
        <Text variant="small" tone="quiet">
          {[brood.species.common, brood.strategy.breeding].join(' · ')}
        </Text>
        <Text>{formatBrood(brood)}</Text>
        <KeptHere about={brood.id} />
        {state.mixed ? (
          <Text tone="due">
            Two clutches of different ages share a tub: the younger are treated as the older.
            Separate them while you can tell which is which.
          </Text>
        ) : null}
      </View>
      {over || brood.work.every(({ what }) => what === 'feed') ? null : (
        <Card label="To do today">
          <BroodWorkList brood={brood} work={brood.work.filter(({ what }) => what !== 'feed')} />
        </Card>
      )}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button least="feeder" label="Something happened" onPress={() => setOpen('event')} />
        <Button least="keeper" label="Correct" onPress={() => setOpen('correct')} />
        {state.phase === 'fry' && brood.youngGroupId === null ? (
          <Button least="keeper" label="Make them a group" onPress={() => setOpen('group')} />
        ) : null}
        <Button label="Card for the tub" onPress={async () => save(await ask(brood.id))} />
        {brood.groupId === null ? null : (
          <Button
            label="The parents"
            onPress={() => router.push(`/broods/parents/${brood.groupId!}`)}
          />
        )}
        {brood.groupId === null ? null : (
          <Button
            least="keeper"
            label="Condition the pair"
            onPress={() =>
              router.push({ pathname: '/broods/condition', params: { group: brood.groupId! } })
            }
          />
        )}
      </View>
      {over ? null : <FeedsCard brood={brood} />}
      {over ? null : <TubsCard brood={brood} />}
      {over ? null : <StagesCard brood={brood} />}
      {over ? null : <LadderCard brood={brood} />}
      {over ? null : (
        <Disclosure title="How many, until when" detail={endWords(brood, format)} forced={wide}>
          <RaiseCard brood={brood} />
        </Disclosure>
      )}
      <ClutchesCard brood={brood} broods={broods} />
      <Disclosure title="History" detail="everything that was noted" forced={over}>
        <HistoryCard brood={brood} />
      </Disclosure>
      <Disclosure title={`${upperFirst(brood.strategy.breeding)}: how it goes`}>
        <StrategyCard brood={brood} />
      </Disclosure>
      {open === 'event' ? <EventSheet brood={brood} onClose={() => setOpen(null)} /> : null}
      {open === 'group' ? <GroupSheet brood={brood} onClose={() => setOpen(null)} /> : null}
      {open === 'correct' ? (
        <CorrectBroodSheet
          brood={brood}
          strategies={broods.strategies}
          onClose={() => setOpen(null)}
        />
      ) : null}
    </View>
  );
}

/** «2 cm by about Mon 4 Jan» */
const endWords = ({ status: { targetCm, target } }: Brood, format: Format): string =>
  `${format.quantity('length', targetCm)}${target === null ? '' : ` by about ${format.day(target)}`}`;

/** What the brood gets today, meal by meal, and what makes up for meals when no one is home. */
function FeedsCard({ brood }: { brood: Brood }) {
  const format = useFormat();
  const { feeds, toleratesHours, swim, state, count, counted } = brood.status;
  if (state.phase !== 'fry') {
    return state.phase === 'paired' || state.phase === 'conditioning' ? null : (
      <Text tone="quiet">
        No food yet{swim ? `, until about ${format.day(swim.day)}` : ''}: what is given before they
        swim only fouls.
      </Text>
    );
  }
  const grazers = brood.status.never.includes('animalsToGrazers');
  // Why there is nothing stands among what is to do.
  if (feeds.length === 0) return null;
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Today’s food</Text>
      <MealsCard brood={brood} />
      <Text variant="small" tone="quiet">
        {feeds.map((feed) => feedWords(feed, grazers)).join(' ')}
      </Text>
      {feeds[0] && feeds[0].mealsWanted > feeds[0].meals ? (
        <Text variant="small" tone="quiet">
          {`Best in ${feeds[0].mealsWanted} small meals while it is light; you are there for ${feeds[0].meals}. ${grazers ? 'Film and vegetables in the tub make up for the rest.' : 'Live food in the tub, green stones or a feeder make up for the rest.'}`}
        </Text>
      ) : null}
      {toleratesHours === null ? null : (
        <Text variant="small" tone="quiet">
          {`They can go ${formatNumber(toleratesHours, 0)} h without food: someone has to feed them while you are away.`}
        </Text>
      )}
      {counted ? null : (
        <Text variant="small" tone="due">
          {`Not counted: the portions are for about ${count}.`}
        </Text>
      )}
      {brood.youngGroupId === null ? null : (
        <Text variant="small" tone="quiet">
          They are a group of their own by now: the Round serves what that group’s plan says, and
          the live supply counts it once.
        </Text>
      )}
    </View>
  );
}

/** «Hatched brine shrimp: about 13 thousand in each meal, 533 mg a day.» */
function feedWords(feed: Brood['status']['feeds'][number], grazers: boolean): string {
  const { name, animalsPerMeal, gramsPerDay, carried } = feed;
  const each =
    animalsPerMeal === null ? '' : `about ${formatAnimals(animalsPerMeal)} in each meal, `;
  const rest =
    carried < 0.995
      ? ` It carries ${formatNumber(carried * 100, 0)} % of their need: ${grazers ? 'film and vegetables carry the rest' : 'keep something live in the tub'}.`
      : '';
  return `${name}: ${each}${formatBodyMass(gramsPerDay)} a day.${rest}`;
}
