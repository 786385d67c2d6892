import type {
  Feeding,
  RoundServingView,
  RoundParents,
  RoundStopView,
  RoundView,
  Tank,
} from '@open-larder/contract';
import { addDays, feedingDay } from '@open-larder/core/round';
import { useRouter } from 'expo-router';
import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import Printer from 'lucide-react-native/icons/printer';
import { useLayoutEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { api, reading, useHand, useHouse, useNow, useFormat } from '../store';
import { ScreenTools } from '../shell';
import { useColours, useWide } from '../theme';
import { Button, IconButton, Screen, Waiting } from '../ui';
import { isNear, momentAt, momentNow, open } from './moments';
import { mealsOf } from './late';
import { Resting } from './Resting';
import { RoundHead } from './RoundHead';
import { StopCard, type Acts } from './StopCard';
import { StopRow } from './StopRow';
import { ToOrder } from './ToOrder';
import { Unplanned } from './Unplanned';
import { mealAt } from './inWater';
import { useAwake } from './useAwake';
import { useFeed } from './useFeed';
import { useOpenStops } from './useOpenStops';
import { useSame } from './useSame';
import { usePrintRound } from './usePrintRound';
import { swapsFor } from './swaps';
import { useWalk, type WalkItem } from './useWalk';
import { useWalkWork, type WalkWork } from './useWalkWork';
import { useFeedYoung } from '../brood/useFeedYoung';
import { WorkRow } from './WorkRow';
import { fromHouse } from '../bundles/fromHouse';

/** Looked at now and then, or only when wide: they need not come with the first screen. */
const RoundAside = fromHouse((house) => house.RoundAside);
const DayTable = fromHouse((house) => house.DayTable);
const AheadSheet = fromHouse((house) => house.AheadSheet);
const AgainSheet = fromHouse((house) => house.AgainSheet, true);
const OtherSheet = fromHouse((house) => house.OtherSheet, true);
const BesidesSheet = fromHouse((house) => house.BesidesSheet, true);
const LookSheet = fromHouse((house) => house.LookSheet);
const LiveMeals = fromHouse((house) => house.LiveMeals, true);
const Proposals = fromHouse((house) => house.Proposals, true);

/** Whether a query was answered, one way or the other. */
const ANSWERED = {
  selectFromResult: ({ data, error }: { data?: unknown; error?: unknown }) => ({
    answered: data !== undefined || error !== undefined,
  }),
};

/** What to do now, in walking order. */
export function RoundScreen({ day: asked, at = null }: { day?: string; at?: string | null }) {
  useAwake();
  const clock = useNow();
  const format = useFormat();
  const colours = useColours();
  const wide = useWide();
  const loaded = useHouse();
  // After midnight the night's servings are still those of the evening before.
  const now = loaded.data ? feedingDay(loaded.data.house, clock) : clock;
  const day = asked ?? now.day;
  const hand = useHand();
  const read = api.useRoundQuery({ day, hand }, reading<RoundView>());
  // As the day turns, what was read of the day before is not served as this one's.
  const round = { ...read, data: read.data?.day === day ? read.data : undefined };
  // It stands above the tanks: drawn after them it would move them under a thumb.
  const toPrepare = api.usePreparationsQuery({ day, hand }, ANSWERED);
  const print = usePrintRound(day);
  const [chosen, setChosen] = useState<string | null>(null);
  const ready =
    loaded.data && round.data && toPrepare.answered
      ? { data: loaded.data, round: round.data }
      : null;
  const current = ready
    ? (ready.round.moments.find((one) => one.momentId === chosen) ??
      momentAt(ready.round, at) ??
      momentNow(ready.round, day === now.day ? now.minutes : null))
    : null;
  const stops = useOpenStops(round.data ?? null, current, at);
  const choose = (momentId: string) => {
    setChosen(momentId);
    stops.reset();
  };
  const left = current ? open(current).length : 0;
  const minutes = day === now.day ? now.minutes : null;
  const [look, setLook] = useState<Tank | null>(null);
  const [besides, setBesides] = useState<Tank | null>(null);
  const [again, setAgain] = useState<{ serving: RoundServingView; fed: Feeding } | null>(null);
  const feed = useFeed(day, ready, (serving, fed) => setAgain({ serving, fed }));
  const [ahead, setAhead] = useState<(() => void) | null>(null);
  /** What is said to have been served on a day to come is asked about first. */
  const whenCome = (act: () => void): boolean => {
    if (day <= now.day) act();
    else setAhead(() => act);
    return day <= now.day;
  };
  const [other, setOther] = useState<RoundServingView | null>(null);
  const young = useFeedYoung();
  const acts = useActs({
    serve: (serving, portion) => {
      walk.touch();
      stops.atHand(serving);
      return whenCome(() => void feed.feed(serving, portion));
    },
    serveAll: (servings, what) => {
      walk.touch();
      if (servings[0]) stops.atHand(servings[0]);
      void whenCome(() => void feed.feedAll(servings, what));
    },
    other: (serving) => (serving.fed ? setAgain({ serving, fed: serving.fed }) : setOther(serving)),
    undo: (fed) => void feed.takeBack(fed),
    look: setLook,
    besides: setBesides,
    giveYoung: ({ broodId, servings, says }) => {
      walk.touch();
      void young.feed(broodId, servings, `${says}: given.`);
    },
    open: (tankId, on) => {
      walk.touch();
      stops.toggle(tankId, on);
    },
  });
  const work = useWalkWork(ready?.data.tanks ?? [], now, ready !== null && day === now.day);
  const walk = useWalk(
    current?.momentId ?? '',
    current?.stops ?? [],
    ready?.data.tanks ?? [],
    work,
  );
  const water = useSame(waterOf(work));
  const meals = useSame(round.data ? mealsOf(round.data) : {});
  const parents = useSame(parentsOf(round.data?.parents ?? NO_PARENTS));
  // A moment that is far off is not served in one tap: the screen moves on to it by itself.
  const rest = current && isNear(current, minutes) ? open(current) : [];
  const drawStop = ({ data, round: view }: NonNullable<typeof ready>, stop: RoundStopView) => {
    const tank = data.tanks.find(({ id }) => id === stop.tankId);
    if (!tank) return <View />;
    const momentId = current?.momentId ?? '';
    const meal = mealAt(view, { day, momentId, tankId: tank.id });
    return wide || stops.isOpen(stop) ? (
      <StopCard
        stop={stop}
        day={day}
        momentId={momentId}
        data={data}
        meal={meal}
        nextId={stop.servings.some((one) => one.servingId === stops.nextId) ? stops.nextId : null}
        meals={meals}
        minutes={minutes}
        water={wide ? (water[tank.id] ?? '') : ''}
        parents={parents[tank.id] ?? NO_PARENTS}
        pictured={!wide}
        acts={acts}
      />
    ) : (
      <StopRow stop={stop} tank={tank} acts={acts} />
    );
  };
  const drawWork = (one: WalkWork) => (
    <WorkRow
      key={one.key}
      work={one}
      open={stops.isUnfolded(one.key)}
      onOpen={acts.open}
      onGive={acts.giveYoung}
    />
  );
  const { beside, justServed } = stops;
  const foot = ready ? (
    <>
      {current && rest.length > 1 ? (
        <View style={{ marginTop: 16, alignItems: 'flex-start' }}>
          <Button
            least="feeder"
            label={`All the rest as planned (${rest.length})`}
            onPress={() => whenCome(() => void feed.feedAll(rest, current.name))}
          />
        </View>
      ) : null}
      <Unplanned unplanned={ready.round.unplanned} data={ready.data} onUndo={acts.undo} />
      {current ? <Resting resting={ready.round.resting} data={ready.data} /> : null}
      {current && day === now.day ? <LiveMeals current={current} /> : null}
      {wide ? work.map(drawWork) : null}
      {day === now.day ? <ToOrder /> : null}
      {day === now.day ? <Proposals data={ready.data} /> : null}
    </>
  ) : null;
  return (
    <Screen
      dense
      title={current ? current.name : 'Round'}
      detail={`${format.day(day)}${current ? ` · ${left === 0 ? 'all served' : `${left} to serve`}` : ''}`}
      tools={<ScreenTools />}
      actions={
        <>
          <IconButton label="Print this day" onPress={() => print()}>
            <Printer size={22} color={colours.ink} />
          </IconButton>
          <DayArrows day={day} today={now.day} />
        </>
      }
      aside={
        ready && beside ? (
          <RoundAside data={ready.data} tankId={beside.tankId}>
            {drawStop(ready, beside)}
            {justServed && justServed !== beside ? drawStop(ready, justServed) : null}
          </RoundAside>
        ) : null
      }
      rows={
        ready === null || wide
          ? undefined
          : {
              items: walk.items,
              keyOf: ({ key }: WalkItem) => key,
              extra: [ready, minutes, ...stops.key],
              first: 8,
              foot,
              render: ({ stop, work: one }: WalkItem) => (
                <View style={{ marginTop: 8 }}>{stop ? drawStop(ready, stop) : drawWork(one)}</View>
              ),
            }
      }
    >
      {ready ? (
        <RoundHead {...ready} current={current} minutes={minutes} onChoose={choose} />
      ) : (
        <Waiting of={[loaded, round]} rows={4} height={120} />
      )}
      {wide && ready && current ? (
        <DayTable
          {...ready}
          momentId={current.momentId}
          tankId={beside?.tankId ?? null}
          water={water}
          onChoose={(momentId, tankId) => {
            // Of the same moment, the screen still moves on by itself once all of it is served.
            if (momentId !== current.momentId) choose(momentId);
            stops.pick(tankId);
          }}
        />
      ) : null}
      {wide ? foot : null}
      {other ? (
        <OtherSheet
          serving={other}
          onClose={() => setOther(null)}
          onLog={(portion) => {
            setOther(null);
            stops.atHand(other);
            whenCome(() => void feed.feed(other, portion));
          }}
          swaps={loaded.data ? swapsFor(other, loaded.data, hand) : []}
          onSwap={({ food, units }) => {
            setOther(null);
            stops.atHand(other);
            whenCome(() => void feed.swap(other, food, units));
          }}
        />
      ) : null}
      {ahead ? (
        <AheadSheet
          day={day}
          onClose={() => setAhead(null)}
          onLog={() => {
            setAhead(null);
            ahead();
          }}
        />
      ) : null}
      {look && loaded.data ? (
        <LookSheet tank={look} day={day} data={loaded.data} onClose={() => setLook(null)} />
      ) : null}
      {besides && loaded.data ? (
        <BesidesSheet
          tank={besides}
          data={loaded.data}
          moment={current}
          onClose={() => setBesides(null)}
          onLog={(given) => {
            setBesides(null);
            const place = { momentId: current?.momentId ?? '', tankId: besides.id };
            whenCome(() => void feed.besides(given, place));
          }}
        />
      ) : null}
      {again && loaded.data ? (
        <AgainSheet
          {...again}
          household={loaded.data.household}
          onClose={() => setAgain(null)}
          onAgain={() => {
            setAgain(null);
            void feed.again(again.serving);
          }}
        />
      ) : null}
    </Screen>
  );
}

/** The same functions all day, that do what the newest of them do. */
function useActs(newest: Acts): Acts {
  const latest = useRef(newest);
  useLayoutEffect(() => {
    latest.current = newest;
  });
  return useMemo(
    () => ({
      serve: (serving, portion) => latest.current.serve(serving, portion),
      serveAll: (servings, what) => latest.current.serveAll(servings, what),
      other: (serving) => latest.current.other(serving),
      undo: (fed) => latest.current.undo(fed),
      look: (tank) => latest.current.look(tank),
      besides: (tank) => latest.current.besides(tank),
      giveYoung: (meal) => latest.current.giveYoung(meal),
      open: (tankId, on) => latest.current.open(tankId, on),
    }),
    [],
  );
}

/** What is said of the water at each tank, by its id. */
const NO_PARENTS: readonly RoundParents[] = [];
const parentsOf = (
  all: readonly RoundParents[],
): Readonly<Record<string, readonly RoundParents[]>> =>
  Object.fromEntries(all.map(({ tankId }) => [tankId, all.filter((one) => one.tankId === tankId)]));

const waterOf = (work: readonly WalkWork[]): Readonly<Record<string, string>> =>
  Object.fromEntries(
    work.flatMap(({ about, id, detail }) => (about === 'water' ? [[id, detail]] : [])),
  );

function DayArrows({ day, today }: { day: string; today: string }) {
  const router = useRouter();
  const colours = useColours();
  const go = (to: string) =>
    router.replace(to === today ? '/round' : { pathname: '/round', params: { day: to } });
  return (
    <>
      <IconButton label="The day before" onPress={() => go(addDays(day, -1))}>
        <ChevronLeft size={24} color={colours.ink} />
      </IconButton>
      {day < addDays(today, 1) ? (
        <IconButton label="The day after" onPress={() => go(addDays(day, 1))}>
          <ChevronRight size={24} color={colours.ink} />
        </IconButton>
      ) : null}
    </>
  );
}
