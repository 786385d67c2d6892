import type { Group, Problem } from '@open-larder/contract';
import { houseGroup, houseTank } from '@open-larder/contract/house';
import { massFromLength, type GrownFrom } from '@open-larder/core/fish';
import { formatBodyMass, formatGramBand, formatSignificant } from '@open-larder/say';
import {
  hoursUntilHungry,
  longestSafeGap,
  lengthOf,
  massSpread,
  needSpread,
} from '@open-larder/core/ration';
import { compileGroupDay, groupOnDay } from '@open-larder/core/round';
import { useRouter } from 'expo-router';
import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { api, useHouse, useNow, useFormat, type AppData, type Format } from '../store';
import { useWide } from '../theme';
import {
  Button,
  Card,
  Empty,
  ListRow,
  Screen,
  Sheet,
  Text,
  useToast,
  WhyLink,
  Waiting,
} from '../ui';
import { DietSummary } from '../diet/DietSummary';
import { FoodCost } from '../larder/FoodCost';
import type { EventKind } from './EventSheet';
import { LifeCard } from './LifeCard';
import { formatSize } from './labels';
import { EditGroupSheet } from './EditGroupSheet';
import { EventSheet } from './EventSheet';
import { MergeSheet } from './MergeSheet';
import { Proposals } from '../proposal/Proposals';
import { SplitSheet } from './SplitSheet';
import { TrainSheet } from '../proposal/TrainSheet';
import { TrainingCard } from '../proposal/TrainingCard';

export function GroupScreen({ id }: { id: string }) {
  const loaded = useHouse();
  const group = loaded.data?.groups.find((one) => one.id === id);
  const tank = loaded.data?.tanks.find((one) => one.id === group?.tankId);
  const species = group && loaded.data?.species.get(group.speciesKey);
  return (
    <Screen
      title={group?.name ?? 'Group'}
      detail={group && species ? `${species.scientific} · ${tank?.name ?? ''}` : undefined}
      back={group ? `/tanks/${group.tankId}` : '/tanks'}
      aside={loaded.data && group ? <BesideFacts group={group} data={loaded.data} /> : null}
    >
      {!loaded.data ? (
        <Waiting of={loaded} rows={4} />
      ) : group ? (
        <GroupFacts group={group} data={loaded.data} />
      ) : (
        <Empty title="No such group" text="It may have been ended. Go back to its tank." />
      )}
    </Screen>
  );
}

/** What happens most, in sight; the rest behind one more tap. */
const OFTEN: { kind: EventKind; label: string }[] = [
  { kind: 'measured', label: 'Measure' },
  { kind: 'counted', label: 'Count' },
  { kind: 'died', label: 'Losses' },
  { kind: 'staged', label: 'Stage' },
  { kind: 'moved', label: 'Move' },
];
const SELDOM: { kind: EventKind; label: string; detail: string }[] = [
  { kind: 'arrived', label: 'More came', detail: 'bought, caught or given to you' },
  { kind: 'born', label: 'Born', detail: 'young that swim with this group' },
  { kind: 'sold', label: 'Sold', detail: 'they left for a buyer' },
  { kind: 'given', label: 'Given away', detail: 'they left for another keeper' },
];

type Act = { event: EventKind } | { act: 'split' | 'apart' | 'join' | 'edit' | 'train' | 'more' };

function GroupFacts({ group, data }: { group: Group; data: AppData }) {
  const format = useFormat();
  const router = useRouter();
  const now = useNow();
  const [act, setAct] = useState<Act | null>(null);
  const close = () => setAct(null);
  const end = useEnd(group);
  const figures = figuresOf(group, data, now.day);
  return (
    <View style={{ gap: 16 }}>
      <Card>
        <ListRow
          first
          title="Fish"
          trail={<Text variant="strong">{formatSize(group.size)}</Text>}
        />
        <ListRow title="Stage" trail={<Text variant="strong">{group.stage}</Text>} />
        {figures ? (
          <>
            <Figure
              title="Mean length"
              detail={lengthBasis(group, figures.grown, format)}
              value={format.quantity('length', figures.length.value)}
              why={figures.length}
            />
            <Figure
              title="Mass of one"
              detail={formatGramBand(figures.mass.value, figures.spread)}
              value={formatBodyMass(figures.mass.value)}
              why={figures.mass}
            />
            <Figure
              title="Needs on a feeding day"
              detail={`${formatSignificant(figures.need.value / figures.needSpread, 2)} to ${formatSignificant(figures.need.value * figures.needSpread, 2)} kJ: their mass is an estimate`}
              value={`${formatSignificant(figures.need.value, 2)} kJ`}
              why={figures.need}
            />
            <Figure
              title="Hungry again after"
              value={`${formatSignificant(figures.hungry.value, 2)} h`}
              why={figures.hungry}
            />
            <Figure
              title="Can go without food"
              value={
                figures.gap.value === 0
                  ? 'not fed now'
                  : figures.gap.value >= 48
                    ? `${Math.floor(figures.gap.value / 24)} days`
                    : `${Math.floor(figures.gap.value)} h`
              }
              why={figures.gap}
            />
            <FoodCost groups={[group]} />
          </>
        ) : null}
      </Card>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {OFTEN.map(({ kind, label }) => (
          <Button least="keeper" key={kind} label={label} onPress={() => setAct({ event: kind })} />
        ))}
        <Button label="Growth" onPress={() => router.push(`/groups/${group.id}/growth`)} />
        <Button least="keeper" label="Something else" onPress={() => setAct({ act: 'more' })} />
      </View>
      {group.training ? <TrainingCard group={group} data={data} /> : null}
      <Proposals groupId={group.id} data={data} />
      <Narrow>
        <DietSummary group={group} data={data} />
      </Narrow>
      <Narrow>
        <LifeCard group={group} data={data} />
      </Narrow>
      {act && 'event' in act ? (
        <EventSheet key={act.event} kind={act.event} group={group} data={data} onClose={close} />
      ) : null}
      {act && 'act' in act ? (
        act.act === 'more' ? (
          <MoreActs group={group} onAct={setAct} onEnd={end} onClose={close} />
        ) : act.act === 'edit' ? (
          <EditGroupSheet group={group} data={data} onClose={close} />
        ) : act.act === 'train' ? (
          <TrainSheet group={group} data={data} onClose={close} />
        ) : act.act === 'join' ? (
          <MergeSheet group={group} data={data} onClose={close} />
        ) : (
          <SplitSheet group={group} data={data} apart={act.act === 'apart'} onClose={close} />
        )
      ) : null}
    </View>
  );
}

interface MoreProps {
  group: Group;
  onAct: (act: Act) => void;
  onEnd: () => Promise<void>;
  onClose: () => void;
}

function MoreActs({ group, onAct, onEnd, onClose }: MoreProps) {
  const router = useRouter();
  return (
    <Sheet title={`${group.name}: something else`} open onClose={onClose}>
      <Card>
        {SELDOM.map(({ kind, label, detail }, index) => (
          <ListRow
            key={kind}
            first={index === 0}
            title={label}
            detail={detail}
            onPress={() => onAct({ event: kind })}
          />
        ))}
        <ListRow
          title="Set apart"
          detail="some of them, in quarantine for a while"
          onPress={() => onAct({ act: 'apart' })}
        />
        <ListRow
          title="Split"
          detail="some of them become a group of their own"
          onPress={() => onAct({ act: 'split' })}
        />
        <ListRow
          title="Join another group"
          detail="all of them, with others of their species"
          onPress={() => onAct({ act: 'join' })}
        />
        {group.training ? null : (
          <ListRow
            title="Train onto a food"
            detail="one that they refuse, mixed into one that they take"
            onPress={() => onAct({ act: 'train' })}
          />
        )}
        <ListRow
          title="Name and species"
          detail="what you call them, and what they are"
          onPress={() => onAct({ act: 'edit' })}
        />
        <ListRow
          title="About the species"
          detail="what it is built to eat, where and when"
          onPress={() => router.push(`/species/${group.speciesKey}`)}
        />
        <ListRow
          title="End group"
          detail="it is no more; its records stay"
          onPress={() => onEnd()}
        />
      </Card>
    </Sheet>
  );
}

/** On a wide screen, beside the figures: what they eat, and what happened to them. */
const BesideFacts = ({ group, data }: { group: Group; data: AppData }) => (
  <View style={{ gap: 24 }}>
    <DietSummary group={group} data={data} />
    <LifeCard group={group} data={data} />
  </View>
);

/** On a phone the same follows below. */
function Narrow({ children }: { children: ReactNode }) {
  return useWide() ? null : children;
}

function Figure({
  title,
  detail,
  value,
  why,
}: {
  title: string;
  detail?: string;
  value: string;
  why: Parameters<typeof WhyLink>[0]['why'];
}) {
  return (
    <ListRow
      title={title}
      detail={detail}
      trail={
        <View style={{ flexDirection: 'row', alignItems: 'center', gap: 4 }}>
          <Text variant="strong">{value}</Text>
          <WhyLink about={`${title.toLowerCase()} ${value}`} why={why} />
        </View>
      }
    />
  );
}

/** What the length that is shown rests on. */
function lengthBasis({ lengthCm, lastOn }: Group, grown: GrownFrom | null, format: Format): string {
  if (lengthCm === null) return 'assumed; measure a few to be sure';
  if (grown === null) return 'measured';
  const measured = `${format.quantity('length', lengthCm)} on ${format.day(lastOn.measured!)}`;
  const [low, high] = [grown.lowCm, grown.highCm].map((cm) => format.quantity('length', cm));
  return `${measured}; now ${low} to ${high} at the usual growth`;
}

/** What the core knows of a group today; null where its species has left the catalogue. */
function figuresOf(group: Group, data: AppData, day: string) {
  const tank = data.tanks.find((one) => one.id === group.tankId);
  const inHouse = houseGroup(group, data.species, tank, day);
  if (!tank || !inHouse) return null;
  const onDay = groupOnDay(inHouse, houseTank(tank));
  const { massG } = massFromLength(onDay.species, lengthOf(onDay));
  return {
    length: lengthOf(onDay),
    grown: onDay.grown ?? null,
    mass: massG,
    spread: massSpread(onDay),
    needSpread: needSpread(onDay),
    need: compileGroupDay(inHouse, houseTank(tank), new Map(), day).needKj,
    hungry: hoursUntilHungry(onDay),
    gap: longestSafeGap(onDay),
  };
}

/** Ending a group, with a way back. Its past stays in the records. */
function useEnd(group: Group) {
  const toast = useToast();
  const router = useRouter();
  const [edit] = api.useEditGroupMutation();
  return async () => {
    const params = { id: group.id };
    const { name, speciesKey, version } = group;
    const done = await edit({ params, body: { name, speciesKey, version, archived: true } });
    if (done.error) {
      toast((done.error as Problem).detail, { tone: 'error' });
      return;
    }
    toast(`${name} ended. Its records stay.`, {
      undo: () =>
        void edit({
          params,
          body: { name, speciesKey, version: done.data.version, archived: false },
        }),
    });
    router.replace(`/tanks/${group.tankId}`);
  };
}
