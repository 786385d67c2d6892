import { fryPortion, MINUTES_A_CHANGE, MINUTES_A_MEAL, raisable } from '@open-larder/core/brood';
import { daysBetween } from '@open-larder/core/round';
import { digestibleEnergy } from '@open-larder/core/food';
import { formatNumber } from '@open-larder/say';
import { useState } from 'react';
import { View } from 'react-native';
import { useCultures } from '../culture/useCultures';
import { api, useFormat } from '../store';
import { Card, ListRow, NumberField, Text } from '../ui';
import type { Brood } from './useBroods';

const LIMITS = { litres: 'room', food: 'live food', minutes: 'time' } as const;

/** When someone can take them, and how many this house can raise until then. */
export function RaiseCard({ brood }: { brood: Brood }) {
  const format = useFormat();
  const cultures = useCultures();
  const foods = api.useFoodsQuery();
  const own = brood.tubs.reduce((sum, { litres }) => sum + litres, 0);
  const [litres, setLitres] = useState<number | null>(own * 2);
  const [minutes, setMinutes] = useState<number | null>(20);
  const volume = format.scale('volume');
  const { targetCm, target, targetFrom, targetTo, state } = brood.status;
  const tub = brood.tubs[0];
  const meals = brood.status.feeds[0]?.meals ?? 3;
  const liveKj = (cultures.data?.kept ?? []).reduce((sum, { foodId, status }) => {
    const food = foods.data?.find(({ id }) => id === foodId);
    if (!food || status.lastingG <= 0) return sum;
    return (
      sum +
      status.lastingG * digestibleEnergy(food.name, food.composition, brood.species.guild).value
    );
  }, 0);
  const lengthCm = longestOnLive(brood, targetCm);
  const oneKj = lengthCm === null ? 0 : needOf(brood, lengthCm);
  const can =
    tub && litres !== null && minutes !== null && litres > 0 && minutes > 0
      ? raisable({
          litres,
          targetCm,
          liveKj,
          oneKj,
          minutes,
          minutesPerTub: meals * MINUTES_A_MEAL + MINUTES_A_CHANGE,
          litresPerTub: tub.litres,
        })
      : null;
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Its end</Text>
      <Card label="Its end">
        <ListRow
          first
          title={`Large enough at ${format.quantity('length', targetCm)}`}
          detail={
            target === null
              ? 'the day follows when they swim free'
              : `between ${format.day(targetFrom!)} and ${format.day(targetTo!)}, as they grow now`
          }
          trail={target === null ? <View /> : <Text>{format.day(target)}</Text>}
        />
        {can ? (
          <ListRow
            title="This house can raise"
            detail={[
              `by room ${can.byLitres}`,
              lengthCm === null ? null : `by the live food of its cultures ${can.byFood}`,
              `by your time ${can.byMinutes}`,
            ]
              .filter(Boolean)
              .join(', ')}
            trail={<Text variant="strong">{`${can.count}, for ${LIMITS[can.limit]}`}</Text>}
          />
        ) : null}
      </Card>
      <NumberField
        label="Room that is free for them at the end"
        unit={volume.unit}
        scale={volume}
        value={litres}
        onChange={setLitres}
      />
      <NumberField
        label="Time you have for them a day"
        unit="min"
        value={minutes}
        onChange={setMinutes}
      />
      {can && (state.count ?? 0) > can.count ? (
        <Text tone="due">
          {`${state.count} are more than that. Find takers early: better to pass them on small than to crowd them.`}
        </Text>
      ) : null}
      <Text variant="small" tone="quiet">
        {`At ${format.quantity('length', targetCm)} one eats about ${formatNumber(needOf(brood, targetCm) * 1000, 0)} J a day. Know who will take them before you encourage a spawn. Put down suffering animals only as animal-welfare law allows, follow local rules for selling and shipping, and never release any.`}
      </Text>
    </View>
  );
}

/** How long they are when they last live on live food, up to the length at which they go; null if they never do. */
function longestOnLive({ status }: Brood, targetCm: number): number | null {
  const last = status.rungs.filter(({ live }) => live).at(-1);
  if (!last || status.swim === null) return null;
  if (last.to === null) return targetCm;
  const day = daysBetween(status.swim.day, last.to) - 1;
  return Math.min(targetCm, status.lengthsCm[day] ?? targetCm);
}

/** What one young eats in a day at a length, kJ. */
function needOf({ species, tubs }: Brood, lengthCm: number): number {
  const food = {
    name: 'any',
    composition: { protein: 0.5, fat: 0.1, fibre: 0, ash: 0.1, moisture: 0 },
    animalUg: null,
  };
  const tempC = Math.min(
    species.tempMaxC,
    Math.max(species.tempMinC, tubs[0]?.tempC ?? species.tempOptC),
  );
  return fryPortion({ species, lengthCm, count: 1, tempC, lightHours: 12, moments: 3 }, food)
    .needKj;
}
