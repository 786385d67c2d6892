import { formatServing } from '@open-larder/say';
import type { RoundView, Tank } from '@open-larder/contract';
import { measuresOf } from '@open-larder/core/tank';
import { feedingDay } from '@open-larder/core/round';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { api, useFormat, useHand, useHouse, useNow, type AppData, type Format } from '../store';
import { TankPicture } from '../tank/TankPicture';
import { isLit } from '../tank/section';
import { themed } from '../theme';
import { lowerFirst, Screen, Text, Waiting } from '../ui';
import { VesselStrip } from '../culture/VesselCard';
import { useCultures, type Culture } from '../culture/useCultures';
import { shelvesOf } from './shelves';

/** The whole house on its shelves, left open on a tablet: what is next, and what is in the water now. */
export function WatchScreen() {
  const loaded = useHouse();
  const clock = useNow();
  const format = useFormat();
  const hand = useHand();
  const now = loaded.data ? feedingDay(loaded.data.house, clock) : clock;
  const round = api.useRoundQuery({ day: now.day, hand });
  const cultures = useCultures();
  const { data } = loaded;
  return (
    <Screen
      title={format.time(clock.minutes)}
      detail={data && round.data ? nextWords(round.data, now.minutes, data) : undefined}
      back="/tanks"
    >
      {data ? (
        <>
          <Room data={data} round={round.data} minutes={now.minutes} format={format} />
          <Vessels kept={cultures.data?.kept ?? []} />
        </>
      ) : (
        <Waiting of={loaded} rows={3} height={160} />
      )}
    </Screen>
  );
}

/** «The Weir Room · After work in 6 min: 10 servings» */
function nextWords(round: RoundView, minutes: number, data: AppData): string {
  const ahead = round.moments.flatMap((moment) => {
    const due = moment.stops.flatMap(({ servings }) => servings.filter(({ fed }) => fed === null));
    const at = Math.min(...moment.stops.map((stop) => stop.minutes));
    return due.length > 0 ? [{ name: moment.name, at, count: due.length }] : [];
  });
  const next = ahead.find(({ at }) => at >= minutes - 30) ?? ahead.at(-1);
  const when = !next
    ? 'all served today'
    : next.at > minutes
      ? `${next.name} in ${formatWait(next.at - minutes)}: ${next.count} to serve`
      : `${next.name} now: ${next.count} to serve`;
  return `${data.household.name} · ${when}`;
}

const formatWait = (minutes: number) =>
  minutes < 60
    ? `${Math.round(minutes)} min`
    : `${Math.floor(minutes / 60)} h ${Math.round(minutes % 60)} min`;

/** Room around a tank on its shelf, px. */
const GAP = 20;

function Room({
  data,
  round,
  minutes,
  format,
}: {
  data: AppData;
  round: RoundView | undefined;
  minutes: number;
  format: Format;
}) {
  const styles = useStyles();
  const router = useRouter();
  const [width, setWidth] = useState(0);
  const tanks = data.tanks.filter(({ archived }) => !archived);
  const shelves = shelvesOf(
    tanks.map((tank) => ({ tank, lengthCm: measuresOf(tank).lengthCm })),
    width,
    GAP,
  );
  return (
    <View
      testID="room"
      onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
      style={{ gap: 28 }}
    >
      {width === 0
        ? null
        : shelves.map((shelf) => (
            <View key={shelf.map(({ tank }) => tank.id).join()} style={{ gap: 0 }}>
              <View style={styles.shelf}>
                {shelf.map(({ tank, widthPx }) => {
                  const state = stateWords(tank, data, round, minutes, format);
                  return (
                    <View key={tank.id} style={{ width: widthPx }}>
                      <Pressable
                        role="link"
                        aria-label={`${tank.name}, ${state.says}`}
                        onPress={() => router.push(`/tanks/${tank.id}`)}
                        style={styles.label}
                      >
                        <Text variant="strong" numberOfLines={1}>
                          {tank.name}
                        </Text>
                        <Text variant="small" tone={state.due ? 'due' : 'quiet'} numberOfLines={2}>
                          {state.says}
                        </Text>
                      </Pressable>
                      <TankPicture tank={tank} data={data} width={widthPx} alive />
                    </View>
                  );
                })}
              </View>
              <View style={styles.board} />
            </View>
          ))}
    </View>
  );
}

/** What is to be said of a tank now, the most pressing thing alone. */
function stateWords(
  tank: Tank,
  data: AppData,
  round: RoundView | undefined,
  minutes: number,
  format: Format,
): { says: string; due: boolean } {
  const inWater = round?.inWater
    .filter(({ tankId }) => tankId === tank.id)
    .flatMap(({ drops }) => drops.filter(({ ended }) => !ended));
  const [drop] = inWater ?? [];
  if (drop) {
    const food = data.foods.find(({ id }) => id === drop.foodId)?.name ?? 'food';
    return { says: `in the water: ${lowerFirst(food)}`, due: false };
  }
  const stops = (round?.moments ?? []).flatMap((moment) =>
    moment.stops.filter(({ tankId }) => tankId === tank.id),
  );
  const next = stops.find((stop) => stop.servings.some(({ fed }) => fed === null));
  if (next) {
    const due = next.servings.filter(({ fed }) => fed === null);
    const [first] = due;
    const more = due.length > 1 ? `, and ${due.length - 1} more` : '';
    return {
      says: `${format.time(next.minutes)} ${formatServing(first!.portion, first!.foodName)}${more}`,
      due: next.minutes <= minutes,
    };
  }
  const groups = data.groupsIn.get(tank.id) ?? [];
  if (groups.length === 0) return { says: 'no fish', due: false };
  if (stops.length > 0) return { says: 'all served', due: false };
  return { says: isLit(tank, minutes) ? 'rests today' : 'dark, rests today', due: false };
}

/** The cultures as they stand below the tanks. */
function Vessels({ kept }: { kept: readonly Culture[] }) {
  const styles = useStyles();
  const router = useRouter();
  if (kept.length === 0) return null;
  return (
    <View>
      <View style={styles.vessels}>
        {kept.map((culture) => (
          <Pressable
            key={culture.id}
            role="link"
            aria-label={culture.name}
            onPress={() => router.push(`/larder/live/${culture.id}`)}
            style={styles.vessel}
          >
            <Text variant="strong" numberOfLines={1}>
              {culture.name}
            </Text>
            <VesselStrip culture={culture} label={culture.name} height={72} />
          </Pressable>
        ))}
      </View>
      <View style={styles.board} />
    </View>
  );
}

const useStyles = themed((c) => ({
  shelf: { flexDirection: 'row', alignItems: 'flex-end', gap: GAP },
  label: { minHeight: 48, justifyContent: 'flex-end', paddingBottom: 4 },
  board: { height: 8, backgroundColor: c.wood, borderRadius: 2 },
  vessels: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'flex-end', gap: GAP },
  vessel: { width: 168, minHeight: 64, gap: 2 },
}));
