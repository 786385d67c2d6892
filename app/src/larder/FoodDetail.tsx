import type { FoodRow, LotRow, Problem } from '@open-larder/contract';
import { unitOf } from '@open-larder/contract/servingUnit';
import { carbohydrate, digestibleEnergy, ofDryMatter } from '@open-larder/core/food';
import { formatGrams, formatNumber, formatSignificant } from '@open-larder/say';
import { addDays } from '@open-larder/core/round';
import { runsOutIn } from '@open-larder/core/stock';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { RecordNote } from '../forecasts/RecordNote';
import { useCalibrated } from '../forecasts/useForecastRecord';
import { FoodSign } from '../draw/FoodSign';
import { api, useHand, useNow, useFormat } from '../store';
import { useWide } from '../theme';
import { Button, Card, ListRow, Text, useToast, WhyLink } from '../ui';
import { EatersCard } from './EatersCard';
import { FoodSources } from './FoodSources';
import { ServingUnitCard } from './ServingUnitCard';
import { KeepingCard } from './KeepingCard';
import { LotsCard } from './LotsCard';
import { endsFirst, jarOf, type FoodSupply } from './shelves';
import { CountSheet } from './CountSheet';
import { LotSheet } from './LotSheet';
import { WeighSheet } from './WeighSheet';

interface Props {
  food: FoodRow;
  supply: FoodSupply | undefined;
}

type Open = { kind: 'buy' | 'weigh' } | { kind: 'count' | 'edit'; lot: LotRow } | null;

/** One food: what is left and for how long, its lots, its make-up and its serving unit. */
export function FoodDetail({ food, supply }: Props) {
  const format = useFormat();
  const router = useRouter();
  const wide = useWide();
  const now = useNow();
  const takeDown = useTakeDown(food);
  const { data: recipes } = api.useRecipesQuery();
  const recipe = recipes?.find((one) => one.foodId === food.id);
  const [open, setOpen] = useState<Open>(null);
  const state = jarOf(food, supply, now.day, format.day);
  const energy = digestibleEnergy(food.name, food.composition, 'omnivore');
  const per = (share: number) => `${formatNumber(share * 100, 1)} %`;
  const { composition } = food;
  const dry = ofDryMatter(composition);
  const unit = unitOf(food, useHand());
  const inUnits = (grams: number) =>
    `about ${formatSignificant(Math.round((grams / unit.massG) * 10) / 10)} ${unit.plural}`;
  const soonG = (supply?.waste ?? []).reduce((sum, one) => sum + one.massG, 0);
  const wastedG =
    supply?.days === null
      ? Math.max(soonG, endsFirst(food, supply.usedPerWeekG, now.day)?.wasteG ?? 0)
      : soonG;
  return (
    <View style={{ gap: 16 }}>
      {wide ? (
        <Text variant="title" level={2}>
          {food.name}
        </Text>
      ) : null}
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 10 }}>
        <FoodSign family={food.family} size={36} />
        <Text variant="figure" tone={state.short ? 'due' : 'ink'}>
          {supply?.cultured && food.remainingG <= 0
            ? 'Taken from the live shelf as it is served'
            : `${formatGrams(food.remainingG)} left, ${state.words}`}
        </Text>
      </View>
      {supply?.days == null ? null : <RunsOut days={supply.days} today={now.day} />}
      <Card>
        <ListRow
          first
          title="Left, in your measures"
          trail={<Text>{inUnits(food.remainingG)}</Text>}
        />
        {food.liveG ? (
          <ListRow
            title="Its cultures give"
            detail="a day, for good"
            trail={<Text>{formatGrams(food.liveG[0] ?? 0)}</Text>}
            onPress={() => router.push('/larder/live')}
          />
        ) : null}
        <ListRow
          title="Used by the plan"
          detail={supply ? `${inUnits(supply.usedPerWeekG)} a week` : undefined}
          trail={<Text>{supply ? `${formatGrams(supply.usedPerWeekG)} a week` : '…'}</Text>}
        />
        <ListRow
          title="Cost"
          trail={
            <Text>
              {supply?.costPerDayMinor == null
                ? 'no price entered'
                : `${format.money(supply.costPerDayMinor)} a day`}
            </Text>
          }
        />
        {wastedG > 0.005 ? (
          <ListRow
            title="Will expire before it is used"
            trail={<Text tone="due">{formatGrams(wastedG)}</Text>}
          />
        ) : null}
        <ListRow
          title="Energy for an omnivore"
          trail={
            <View style={{ flexDirection: 'row', alignItems: 'center', gap: 4 }}>
              <Text>{formatNumber(energy.value, 1)} kJ/g</Text>
              <WhyLink about={`${formatNumber(energy.value, 1)} kilojoules a gram`} why={energy} />
            </View>
          }
        />
        <ListRow
          title="As fed"
          detail={`protein ${per(composition.protein)} · fat ${per(composition.fat)} · fibre ${per(composition.fibre)} · ash ${per(composition.ash)} · moisture ${per(composition.moisture)} · carbohydrate ${per(carbohydrate(composition))} · plant share ${per(food.plantShare)}`}
        />
        <ListRow
          title="In its dry matter"
          detail={`protein ${per(dry.protein)} · fat ${per(dry.fat)} · fibre ${per(dry.fibre)} · ash ${per(dry.ash)}`}
        />
      </Card>
      <ServingUnitCard food={food} onWeigh={() => setOpen({ kind: 'weigh' })} />
      <KeepingCard food={food} />
      {recipe ? null : <FoodSources food={food} />}
      <EatersCard food={food} />
      <LotsCard
        food={food}
        waste={supply?.waste ?? []}
        onCount={(lot) => setOpen({ kind: 'count', lot })}
        onEdit={(lot) => setOpen({ kind: 'edit', lot })}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button least="keeper" label="Bought more" onPress={() => setOpen({ kind: 'buy' })} />
        <Button
          least="keeper"
          label="Change food"
          onPress={() => router.push(`/larder/${food.id}/edit`)}
        />
        {recipe ? (
          <Button label="Its recipe" onPress={() => router.push(`/larder/recipes/${recipe.id}`)} />
        ) : null}
        <Button least="keeper" label="Put away" onPress={takeDown} />
      </View>
      {open?.kind === 'buy' ? (
        <LotSheet food={food} lot={null} onClose={() => setOpen(null)} />
      ) : null}
      {open?.kind === 'weigh' ? <WeighSheet food={food} onClose={() => setOpen(null)} /> : null}
      {open?.kind === 'edit' ? (
        <LotSheet food={food} lot={open.lot} onClose={() => setOpen(null)} />
      ) : null}
      {open?.kind === 'count' ? (
        <CountSheet food={food} lot={open.lot} onClose={() => setOpen(null)} />
      ) : null}
    </View>
  );
}

/** Taking a food off the shelf, with a way back. Servings of it leave the plan until it returns. */
function useTakeDown(food: FoodRow) {
  const toast = useToast();
  const router = useRouter();
  const [edit] = api.useEditFoodMutation();
  return async () => {
    const { id, lots: _, remainingG: __, weighings: ___, ...fields } = food;
    const done = await edit({ params: { id }, body: { ...fields, archived: true } });
    if (done.error) {
      toast((done.error as Problem).detail, { tone: 'error' });
      return;
    }
    const { version } = done.data;
    toast(`${food.name} is taken down; servings of it rest.`, {
      undo: () => void edit({ params: { id }, body: { ...fields, version, archived: false } }),
    });
    router.replace('/larder');
  };
}

/** When it runs out at the pace of the plan, and how right such days were. */
function RunsOut({ days, today }: { days: number; today: string }) {
  const format = useFormat();
  const calibrated = useCalibrated('runsOut');
  const { low, middle, high } = calibrated(runsOutIn(days));
  const dayIn = (count: number) => format.day(addDays(today, Math.max(0, Math.round(count))));
  return (
    <View style={{ gap: 2 }}>
      <Text>
        {middle < 1
          ? 'Runs out today.'
          : `Runs out around ${dayIn(middle)}; likely between ${dayIn(low)} and ${dayIn(high)}.`}
      </Text>
      <RecordNote kind="runsOut" />
    </View>
  );
}
