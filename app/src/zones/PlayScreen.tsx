import type { Tank } from '@open-larder/contract';
import { feedingOf } from '@open-larder/contract/zones';
import { compileRound } from '@open-larder/core/round';
import { formatSignificant, formatMgL } from '@open-larder/say';
import { gotBy, type Feeding, type Played } from '@open-larder/core/zones';
import Pause from 'lucide-react-native/icons/pause';
import Play from 'lucide-react-native/icons/play';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { FeedingDay, type DayStrip } from '../draw/FeedingDay';
import { FoodSign } from '../draw/FoodSign';
import { TankSection } from '../draw/TankSection';
import { api, useHouse, useNow, useFormat, type AppData } from '../store';
import { useColours, useWide } from '../theme';
import { isLit, sectionOf } from '../tank/section';
import {
  Button,
  Card,
  Empty,
  IconButton,
  ListRow,
  Screen,
  Skeleton,
  Tabs,
  Text,
  WhyLink,
  Waiting,
} from '../ui';
import { Scrub } from '../ui/Scrub';
import { AskForBetter } from './AskForBetter';
import { dotsOf, lyingBy, pullOf } from './dots';
import { LearnedCard } from './LearnedCard';
import { SeenCard } from './SeenCard';
import { Shares } from './Shares';
import { usePlayback } from './usePlayback';
import { useSimulation, type Simulation } from './useSimulation';
import { RecordNote } from '../forecasts/RecordNote';
import { useCalibrated } from '../forecasts/useForecastRecord';
import { formatDrop, formatSpan, formatWater } from './labels';

const WHOLE_DAY = 'day';

/** A feeding played in its tank: who gets what, when it is gone, what is left lying. */
export function PlayScreen({ id, moment, day }: { id: string; moment?: string; day?: string }) {
  const loaded = useHouse();
  const tank = loaded.data?.tanks.find((one) => one.id === id);
  return loaded.data && tank ? (
    <Feedings key={id} tank={tank} data={loaded.data} asked={moment} on={day} />
  ) : (
    <Screen title="Who gets it" back={`/tanks/${id}`}>
      {loaded.data ? (
        <Empty title="No such tank" text="It may have been put away. Go back to the tanks." />
      ) : (
        <Waiting of={loaded} rows={4} height={80} />
      )}
    </Screen>
  );
}

interface FeedingsProps {
  tank: Tank;
  data: AppData;
  asked?: string;
  on?: string;
}

function Feedings({ tank, data, asked, on }: FeedingsProps) {
  const now = useNow();
  const format = useFormat();
  // An address may hold anything: what is no day is today.
  const date = on && !Number.isNaN(Date.parse(`${on}T00:00:00Z`)) ? on : now.day;
  const when = date === now.day ? 'today' : `on ${format.day(date)}`;
  const [chosen, setChosen] = useState<string | null>(asked ?? null);
  const moments = useMemo(() => momentsOf(data, tank.id, date), [data, tank.id, date]);
  const view = chosen ?? moments[0]?.id ?? WHOLE_DAY;
  const { data: learned, isError } = api.useLearnedQuery(tank.id);
  const rows = useMemo(
    () => ({
      ...data,
      tank,
      groups: data.groupsIn.get(tank.id) ?? [],
      learned: learned?.groups,
    }),
    [data, tank, learned],
  );
  const day = useMemo(() => feedingOf(rows, date, null), [rows, date]);
  const feeding = useMemo(
    () => (view === WHOLE_DAY ? day : feedingOf(rows, date, view)),
    [rows, day, date, view],
  );
  const nothing = feeding.drops.length === 0;
  const simulation = useSimulation(nothing || !(learned || isError) ? null : feeding);
  const { played, fieldError } = simulation;
  const parts = { tank, data, feeding, simulation };
  const wide = useWide();
  const outcome = played ? (
    <View style={{ gap: 24 }}>
      <Outcome {...parts} played={played} />
      <AskForBetter tank={tank} data={data} day={day} />
      {view === WHOLE_DAY || date > now.day ? null : (
        <SeenCard tank={tank} day={date} momentId={view} feeding={feeding} />
      )}
      {learned ? <LearnedCard tank={tank} rows={rows} learned={learned} /> : null}
    </View>
  ) : null;
  return (
    <Screen
      title="Who gets it"
      detail={`${tank.name}, as planned ${when}`}
      back={`/tanks/${tank.id}`}
      aside={outcome}
    >
      {moments.length > 0 ? (
        <Tabs
          label="Feedings of the day"
          value={view}
          tabs={[
            { value: WHOLE_DAY, label: 'Whole day' },
            ...moments.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={setChosen}
        />
      ) : null}
      {nothing ? (
        <Empty
          title={`Nothing is planned here ${when}`}
          text="Plan what the groups of this tank eat, and you can watch a feeding before you give it."
        />
      ) : fieldError ? (
        <Empty title="This cannot be simulated" text={fieldError} />
      ) : played ? (
        <Playing key={view} {...parts} played={played} whole={view === WHOLE_DAY} />
      ) : (
        <Skeleton rows={3} height={120} />
      )}
      {wide ? null : outcome}
    </Screen>
  );
}

const momentsOf = (data: AppData, tankId: string, day: string) =>
  compileRound(data.house, day)
    .moments.filter(({ stops }) => stops.some((stop) => stop.tank.id === tankId))
    .map(({ moment }) => moment);

interface Parts {
  tank: Tank;
  data: AppData;
  feeding: Feeding;
  simulation: Simulation & { stop: () => void };
  played: Played;
}

function Playing({ tank, data, feeding, simulation, played, whole }: Parts & { whole: boolean }) {
  const format = useFormat();
  const colours = useColours();
  const { frames, scene, report } = played;
  const playback = usePlayback(frames.length);
  const frame = frames[playback.at]!;
  const minutes = feeding.fromMin + frame.atS / 60;
  const clock = format.time(((Math.floor(minutes) % 1440) + 1440) % 1440);
  const soFar = report.groups.map((_, f) => gotBy(scene, frame, f));
  return (
    <View style={{ gap: 16 }}>
      <FedTank {...{ tank, data, feeding, played }} at={playback.at} minutes={minutes} />
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
        <IconButton label={playback.playing ? 'Pause' : 'Play'} onPress={playback.toggle}>
          {playback.playing ? (
            <Pause size={24} color={colours.ink} />
          ) : (
            <Play size={24} color={colours.ink} />
          )}
        </IconButton>
        <Scrub
          label="Time in the feeding"
          says={`${clock}, ${formatSpan(frame.atS)} in`}
          value={playback.at}
          max={Math.max(1, frames.length - 1)}
          onChange={playback.seek}
        />
      </View>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', marginTop: -12 }}>
        <Text variant="strong">{clock}</Text>
        <Text tone="quiet">{whole ? '' : `${formatSpan(frame.atS)} in`}</Text>
      </View>
      {whole ? <WholeDay {...{ tank, feeding, played }} minutes={minutes} /> : null}
      <Card label="Who gets it">
        <View style={{ paddingVertical: 6 }}>
          <Shares groups={report.groups} soFarKj={soFar} bands={simulation.bands?.ofNeed} />
        </View>
      </Card>
      {simulation.bands || simulation.stopped ? null : (
        <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
          <View style={{ flex: 1 }}>
            <Text variant="small" tone="quiet" role="status">
              {`How sure this is: ${Math.round(simulation.progress * 100)} % of the runs over uncertain traits.`}
            </Text>
          </View>
          <Button
            variant="bare"
            label="Stop"
            spoken="Stop the runs over uncertain traits"
            onPress={simulation.stop}
          />
        </View>
      )}
    </View>
  );
}

function FedTank({
  tank,
  data,
  feeding,
  played,
  at,
  minutes,
}: Omit<Parts, 'simulation'> & { at: number; minutes: number }) {
  const [room, setRoom] = useState(0);
  const { frames, scene } = played;
  const frame = frames[at]!;
  const groups = data.groupsIn.get(tank.id) ?? [];
  const fed = new Map(
    feeding.groups.map((group, f) => [
      group.id,
      {
        ...pullOf(scene, frame, f),
        fill: scene.stomachG[f] ? frame.fill[f]! / scene.stomachG[f]! : 0,
      },
    ]),
  );
  const lit = isLit(tank, ((minutes % 1440) + 1440) % 1440);
  return (
    <View testID="fed-tank" onLayout={(event) => setRoom(event.nativeEvent.layout.width)}>
      {room > 0 ? (
        <TankSection
          {...sectionOf(tank, groups, data.species, data.house)}
          label={`${tank.name} from the side, ${formatSpan(frame.atS)} into the feeding`}
          width={Math.min(room, 760)}
          lit={lit}
          feeding={{ dots: dotsOf(scene, frame), groups: fed }}
        />
      ) : null}
    </View>
  );
}

/** Strips under the clock: food lying at the top, in the water and below, then every group. */
function WholeDay({
  tank,
  feeding,
  played,
  minutes,
}: Pick<Parts, 'tank' | 'feeding' | 'played'> & { minutes: number }) {
  const strips = useMemo(() => stripsOf(feeding, played), [feeding, played]);
  const times = useMemo(
    () => played.frames.map((frame) => feeding.fromMin + frame.atS / 60),
    [feeding, played],
  );
  const says = strips.map(({ name, says }) => `${name}: ${says}`).join(', ');
  return (
    <FeedingDay
      label={`The day of ${tank.name}. ${says}`}
      times={times}
      strips={strips}
      isLit={(at) => isLit(tank, ((at % 1440) + 1440) % 1440)}
      feedings={feeding.drops.map((drop) => drop.atMin + drop.manner.afterMin)}
      at={minutes}
    />
  );
}

/** Layers from the surface down, by how they are named in the picture. */
const LYING: { name: string; layers: readonly number[] }[] = [
  { name: 'Food at the surface', layers: [0] },
  { name: 'Food in the water', layers: [1, 2, 3] },
  { name: 'Food on the ground, glass and wood', layers: [4, 5] },
];
/** A strip's full height, as a multiple of the day's need. */
const FULL_NEED = 1.25;

function stripsOf(feeding: Feeding, { frames, scene, report }: Played): DayStrip[] {
  const grams = LYING.map(() => new Float64Array(frames.length));
  frames.forEach((frame, at) => {
    const inLayers = lyingBy(scene, frame);
    LYING.forEach(({ layers }, strip) => {
      grams[strip]![at] = layers.reduce((sum, layer) => sum + inLayers[layer]!, 0);
    });
  });
  const peaks = grams.map((part) => part.reduce((a, b) => Math.max(a, b), 0));
  const max = Math.max(1e-9, ...peaks);
  return [
    ...LYING.map(({ name }, strip): DayStrip => ({
      name,
      says: `${formatSignificant(peaks[strip]!, 2)} g at most`,
      // The root shows a crumb beside a cube.
      heights: Array.from(grams[strip]!, (part) => Math.sqrt(part / max)),
      of: 'food',
    })),
    ...report.groups.map((group, f): DayStrip => {
      const need = group.ofNeed.value > 0 ? (group.gotKj.value * 100) / group.ofNeed.value : 0;
      return {
        name: group.name,
        says: `${Math.round(group.ofNeed.value)} % of its need`,
        heights: frames.map((frame) => (need > 0 ? gotBy(scene, frame, f) / need / FULL_NEED : 0)),
        mark: 1 / FULL_NEED,
        of: 'group',
      };
    }),
  ];
}

/** What came of it: food by food, and the water. */
function Outcome({ tank, data, simulation, played: { report } }: Parts) {
  const { data: waters } = api.useWatersQuery();
  const status = waters?.find(({ tankId }) => tankId === tank.id)?.status ?? null;
  const calibrated = useCalibrated('clearing');
  const bandOf = (at: number) => {
    const band = simulation.bands?.clearedMin[at];
    return band && calibrated(band);
  };
  const names = new Map(report.groups.map((group) => [group.groupId, group.name]));
  const { water } = report;
  return (
    <View style={{ gap: 16 }}>
      <Text variant="subtitle">Where it goes</Text>
      <Card>
        {report.drops.map((drop, at) => (
          <ListRow
            key={drop.key}
            first={at === 0}
            lead={<FoodSign family={familyOf(data, drop.foodId)} size={24} />}
            title={drop.name}
            detail={formatDrop(drop, names.get(drop.groupId) ?? 'Its group', bandOf(at))}
          />
        ))}
        <ListRow
          title="Adds to the water"
          detail={formatWater(water.nitrogenMg.value, water.nitrateMgL.value, status)}
          trail={
            <View style={{ flexDirection: 'row', alignItems: 'center' }}>
              <Text variant="strong">{`${formatMgL(water.nitrateMgL.value)} mg/L nitrate`}</Text>
              <WhyLink about="what it adds to the water" why={water.nitrateMgL}>
                <RecordNote kind="nitrate" />
              </WhyLink>
            </View>
          }
        />
      </Card>
      <RecordNote
        kind={report.drops.every(({ clearedMin }) => clearedMin === null) ? 'left' : 'clearing'}
      />
      <Text variant="small" tone="quiet">
        A simulation from what is known of each species and size, not a measurement. Look who comes
        and what is left; clearing times are worth more than any figure here.
      </Text>
    </View>
  );
}

const familyOf = (data: AppData, foodId: string) =>
  data.foods.find((food) => food.id === foodId)?.family ?? 'grain';
