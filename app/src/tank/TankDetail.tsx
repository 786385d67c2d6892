import { compileRound, type FeedingModel } from '@open-larder/core/round';
import { waterLitres } from '@open-larder/core/tank';
import type { Group, Problem, Tank } from '@open-larder/contract';
import { useRouter } from 'expo-router';
import Copy from 'lucide-react-native/icons/copy';
import Droplet from 'lucide-react-native/icons/droplet';
import Egg from 'lucide-react-native/icons/egg';
import Pencil from 'lucide-react-native/icons/pencil';
import Play from 'lucide-react-native/icons/play';
import Plus from 'lucide-react-native/icons/plus';
import { useMemo } from 'react';
import { View } from 'react-native';
import { DayRibbon } from '../draw/DayRibbon';
import { api, useNow, useFormat, type AppData } from '../store';
import { useColours, useWide } from '../theme';
import { Button, Card, Empty, ListRow, Text, useToast, WhyLink } from '../ui';
import { formatSize } from '../group/labels';
import { usePrintSummary } from '../table/usePrintSummary';
import { FoodCost } from '../larder/FoodCost';
import { TogetherCard } from '../together/TogetherCard';
import { StandingFood } from './StandingFood';
import { TankFacts } from './TankFacts';
import { TankLife } from './TankLife';
import { TankPicture } from './TankPicture';

/** One tank: its picture, its day, its water and its groups. */
export function TankDetail({ tank, data }: { tank: Tank; data: AppData }) {
  const router = useRouter();
  const format = useFormat();
  const colours = useColours();
  const wide = useWide();
  const now = useNow();
  const putAway = usePutAway(tank);
  const print = usePrintSummary();
  const groups = data.groupsIn.get(tank.id) ?? [];
  const round = useMemo(
    () => compileRound(onlyTank(data.house, tank.id), now.day),
    [data.house, tank.id, now.day],
  );
  const notches = round.moments.flatMap((moment) =>
    moment.stops.map((stop) => ({ minutes: stop.minutes, done: false })),
  );
  const litres = waterLitres(tank);
  const light = `${format.time(tank.lightOnMin)} to ${format.time(tank.lightOffMin)}`;
  return (
    <View style={{ gap: 16 }}>
      {wide ? (
        <Text variant="title" level={2}>
          {tank.name}
        </Text>
      ) : null}
      <TankPicture tank={tank} data={data} alive />
      <View>
        <Text variant="small" tone="quiet">
          Lit {light};{' '}
          {notches.length === 0
            ? 'no meals today'
            : `${notches.length} meal${notches.length === 1 ? '' : 's'} today`}
        </Text>
        <DayRibbon
          label={`Lit ${light}. Meals at ${notches.map((notch) => format.time(notch.minutes)).join(', ') || 'no time today'}.`}
          lightOnMin={tank.lightOnMin}
          lightOffMin={tank.lightOffMin}
          notches={notches}
          now={now.minutes}
        />
      </View>
      <Card>
        <ListRow
          first
          title="Water"
          trail={
            <View style={{ flexDirection: 'row', alignItems: 'center' }}>
              <Text variant="strong">
                {litres ? format.quantity('volume', litres.value) : 'unknown'}
              </Text>
              {litres ? (
                <WhyLink about={format.quantity('volume', litres.value)} why={litres} />
              ) : null}
            </View>
          }
        />
        <ListRow title="pH" trail={<Text variant="strong">{tank.ph ?? 'not entered'}</Text>} />
        <ListRow
          title="Hardness"
          trail={
            <Text variant="strong">
              {tank.gh === null ? 'not entered' : format.quantity('hardness', tank.gh)}
            </Text>
          }
        />
        <TankFacts tank={tank} />
        <FoodCost groups={groups} />
      </Card>
      <TankLife tank={tank} groups={groups} data={data} />
      <StandingFood tank={tank} data={data} />
      <Text variant="subtitle">Groups</Text>
      {groups.length === 0 ? (
        <Empty
          title="No fish yet"
          text="Say which species lives here, how many, and how long they are. The app works out what they need."
        />
      ) : (
        <Card>
          {groups.map((group, index) => (
            <GroupLine key={group.id} group={group} data={data} first={index === 0} />
          ))}
        </Card>
      )}
      <TogetherCard tank={tank} groups={groups} data={data} />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button
          least="keeper"
          variant={groups.length === 0 ? 'primary' : 'plain'}
          label="Add fish"
          icon={<Plus size={20} color={groups.length === 0 ? colours.onRoe : colours.ink} />}
          onPress={() => router.push(`/begin?tank=${tank.id}`)}
        />
        {groups.length > 0 ? (
          <Button
            label="Who gets the food"
            icon={<Play size={18} color={colours.ink} />}
            onPress={() => router.push(`/tanks/${tank.id}/play`)}
          />
        ) : null}
        <Button label="Print a summary" onPress={() => print('tank', tank.id)} />
        <Button
          label="Water"
          icon={<Droplet size={18} color={colours.ink} />}
          onPress={() => router.push(`/tanks/${tank.id}/water`)}
        />
        {groups.length > 0 ? (
          <Button
            label="Broods"
            icon={<Egg size={18} color={colours.ink} />}
            onPress={() => router.push('/broods')}
          />
        ) : null}
        <Button
          least="keeper"
          label="Change tank"
          icon={<Pencil size={18} color={colours.ink} />}
          onPress={() => router.push(`/tanks/${tank.id}/edit`)}
        />
        <Button
          least="keeper"
          label="Another like this"
          icon={<Copy size={18} color={colours.ink} />}
          onPress={() => router.push(`/tanks/new?like=${tank.id}`)}
        />
        {groups.length === 0 ? <Button least="keeper" label="Put away" onPress={putAway} /> : null}
      </View>
    </View>
  );
}

/** The house as far as one tank goes: its day need not be compiled with all the others. */
const onlyTank = (house: FeedingModel, tankId: string): FeedingModel => ({
  ...house,
  groups: house.groups.filter((group) => group.tankId === tankId),
});

function GroupLine({ group, data, first }: { group: Group; data: AppData; first: boolean }) {
  const router = useRouter();
  const species = data.species.get(group.speciesKey);
  return (
    <ListRow
      first={first}
      title={group.name}
      detail={`${formatSize(group.size)} · ${group.stage}${species ? ` · ${species.scientific}` : ''}${group.diet ? '' : ' · no diet yet'}`}
      onPress={() => router.push(`/groups/${group.id}`)}
    />
  );
}

/** Putting a tank away, with a way back. */
function usePutAway(tank: Tank) {
  const toast = useToast();
  const router = useRouter();
  const [edit] = api.useEditTankMutation();
  return async () => {
    const { id, ...body } = tank;
    const done = await edit({ params: { id }, body: { ...body, archived: true } });
    if (done.error) {
      toast((done.error as Problem).detail, { tone: 'error' });
      return;
    }
    const { id: _, ...now } = done.data;
    toast(`${tank.name} is put away.`, {
      undo: () => void edit({ params: { id }, body: { ...now, archived: false } }),
    });
    router.replace('/tanks');
  };
}
