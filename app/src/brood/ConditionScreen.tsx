import type { Group, Tank } from '@open-larder/contract';
import { conditioned, type Conditioned } from '@open-larder/core/brood';
import type { Stage } from '@open-larder/core/fish';
import { addDays } from '@open-larder/core/round';
import { plannedUse } from '@open-larder/core/stock';
import { waterLitres } from '@open-larder/core/tank';
import { formatNumber, formatMgL } from '@open-larder/say';
import { USUAL_RHYTHM } from '@open-larder/core/water/rhythm';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { api, useHouse, useNow, useFormat, type AppData } from '../store';
import { Button, Card, Empty, ListRow, Screen, Stepper, Text, Waiting } from '../ui';
import { Picker } from '../ui/Picker';
import { TriggerCard } from './TriggerCard';
import { servingOf, useConditioning, type Rich } from './useConditioning';

const WEEK = 7;

/** Conditioning a pair: richer meals for a span, what they cost the water, and what sets them off. */
export function ConditionScreen({ group }: { group?: string }) {
  const house = useHouse();
  return (
    <Screen title="Condition a pair" back="/broods">
      {house.data ? (
        house.data.house.groups.length === 0 ? (
          <Empty
            title="No fish yet"
            text="Put a group into a tank first: conditioning starts from what it eats now."
          />
        ) : (
          <Condition data={house.data} asked={group} />
        )
      ) : (
        <Waiting of={house} rows={4} height={72} />
      )}
    </Screen>
  );
}

function Condition({ data, asked }: { data: AppData; asked?: string }) {
  const { day } = useNow();
  const format = useFormat();
  const router = useRouter();
  const [groupId, setGroupId] = useState(asked ?? data.house.groups[0]!.id);
  const [days, setDays] = useState(14);
  const [busy, setBusy] = useState(false);
  const [foodId, setFoodId] = useState(
    () => data.foods.find(({ liveG, archived }) => !archived && liveG)?.id ?? '',
  );
  const [momentId, setMomentId] = useState(
    () => data.moments.find(({ archived }) => !archived)?.id ?? '',
  );
  const conditioning = useConditioning(data);
  const { data: waters } = api.useWatersQuery();
  const group = data.house.groups.find(({ id }) => id === groupId);
  const speciesKey = data.groups.find(({ id }) => id === groupId)?.speciesKey ?? '';
  const tank = data.tanks.find(({ id }) => id === group?.tankId);
  const litres = tank ? (waterLitres(tank)?.value ?? null) : null;
  const species = data.species.get(speciesKey);
  const change = tank?.plan?.water ?? USUAL_RHYTHM;
  const row = data.groups.find(({ id }) => id === groupId);
  const on = group?.stage === 'conditioning';
  const then = (to: Stage) =>
    tank && row
      ? proteinOf(
          data,
          tank,
          row,
          to,
          to === 'conditioning' && !on ? richOf(foodId, momentId) : null,
          day,
        )
      : 0;
  if (!group || !row || !tank || litres === null) {
    return (
      <Empty
        title="This group cannot be worked out"
        text="Its tank needs litres, or length, width and height."
      />
    );
  }
  const protein = { proteinG: then(on ? 'adult' : row.stage), thenG: then('conditioning') };
  const times = protein.proteinG > 0 ? protein.thenG / protein.proteinG : 1;
  const believed = waters?.find(({ tankId }) => tankId === tank.id)?.status?.fit ?? null;
  const report = conditioned({ litres, ...protein, days, ...change, believed });
  const richFoods = data.foods.filter(
    ({ archived, kind }) => !archived && (kind === 'live' || kind === 'frozen'),
  );
  const run = async (work: () => Promise<unknown>) => {
    setBusy(true);
    await work();
    setBusy(false);
  };
  return (
    <>
      <Picker
        label="Who"
        value={groupId}
        picks={data.house.groups
          .filter(({ stage: of }) => of !== 'fry' && of !== 'yolk-sac larva' && of !== 'juvenile')
          .map(({ id, name, tankId }) => ({
            value: id,
            title: name,
            detail: data.tanks.find((one) => one.id === tankId)?.name,
          }))}
        onChange={setGroupId}
      />
      <Stepper
        label="For"
        value={days}
        step={1}
        min={3}
        max={42}
        onChange={setDays}
        format={(value) => `${value} days, until ${format.day(addDays(day, value))}`}
      />
      {on ? null : (
        <>
          <Picker
            label="Richer, every other day"
            value={foodId}
            picks={[
              { value: '', title: 'Nothing more than they get' },
              ...richFoods.map(({ id, name, kind }) => ({ value: id, title: name, detail: kind })),
            ]}
            onChange={setFoodId}
            hint="Added to their week until then; the day’s food is split between the portions."
          />
          {foodId === '' ? null : (
            <Picker
              label="At"
              value={momentId}
              picks={data.moments
                .filter(({ archived }) => !archived)
                .map(({ id, name }) => ({ value: id, title: name }))}
              onChange={setMomentId}
            />
          )}
        </>
      )}
      <Card label="What it changes">
        <ListRow
          first
          title={on ? 'They are conditioned now' : 'Protein in the tank’s food'}
          detail="richer and more often; something live every other day; the last meal the evening before they are put together"
          trail={<Text variant="strong">{on ? '' : `×${formatNumber(times, 1)}`}</Text>}
        />
        <WaterRows report={report} litres={litres} change={change} />
      </Card>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {on ? (
          <Button
            least="keeper"
            variant="primary"
            label="Back to the usual"
            busy={busy}
            onPress={() => run(() => conditioning.end(row, tank))}
          />
        ) : (
          <Button
            least="keeper"
            variant="primary"
            label="Begin today"
            busy={busy}
            onPress={() => run(() => conditioning.begin(row, tank, days, richOf(foodId, momentId)))}
          />
        )}
        <Button
          label="Balance their week"
          onPress={() => router.push({ pathname: '/week', params: { tank: tank.id } })}
        />
        <Button
          least="keeper"
          label="They have spawned"
          onPress={() => router.push({ pathname: '/broods/new', params: { group: group.id } })}
        />
      </View>
      {species ? (
        <TriggerCard
          key={tank.id}
          tank={tank}
          groupId={group.id}
          litres={litres}
          status={waters?.find(({ tankId }) => tankId === tank.id)?.status ?? null}
          species={species}
        />
      ) : null}
    </>
  );
}

function WaterRows({
  report,
  litres,
  change,
}: {
  report: Conditioned;
  litres: number;
  change: { share: number; everyDays: number };
}) {
  const format = useFormat();
  const percent = (share: number) => `${Math.round(share * 100)} %`;
  return (
    <>
      <ListRow
        title="Ammonia from food"
        detail={`before ${formatMgL(report.tanBefore)} mg/L a day, which the filter takes up`}
        trail={<Text>{`${formatMgL(report.tanThen)} mg/L a day`}</Text>}
      />
      <ListRow
        title="Nitrate before a change"
        detail={`before ${formatMgL(report.nitrateBefore)} mg/L, as this tank’s tests suggest`}
        trail={<Text>{`${formatMgL(report.nitrateThen)} mg/L`}</Text>}
      />
      <ListRow
        title="Water changes that make up for it"
        detail={`now ${percent(change.share)} every ${change.everyDays} days`}
        trail={
          <Text tone={report.enough ? 'quiet' : 'due'}>
            {report.enough
              ? 'these are enough'
              : [
                  report.shareThen === null
                    ? null
                    : `${percent(report.shareThen)} (${format.quantity('volume', Math.round(report.shareThen * litres))})`,
                  report.everyThen === null ? null : `or every ${report.everyThen} days`,
                ]
                  .filter(Boolean)
                  .join(', ') || 'feed less, or in more water'}
          </Text>
        }
      />
    </>
  );
}

/** Protein that the tank’s plan gives in a day, grams, with a group in a stage and what is served more. */
function proteinOf(
  data: AppData,
  tank: Tank,
  row: Group,
  stage: Stage,
  rich: Rich | null,
  day: string,
): number {
  const composition = new Map(data.foods.map(({ id, composition: of }) => [id, of]));
  const groups = data.house.groups
    .filter(({ tankId }) => tankId === tank.id)
    .map((group) => {
      if (group.id !== row.id) return group;
      const more = rich && group.diet ? [servingOf(row, tank, rich)] : [];
      const diet = group.diet && { ...group.diet, servings: [...group.diet.servings, ...more] };
      return { ...group, stage, diet };
    });
  return plannedUse({ ...data.house, groups }, day, WEEK).reduce((grams, { foodId, gramsOn }) => {
    const all = gramsOn.reduce((total, one) => total + one, 0);
    return grams + (all / WEEK) * (composition.get(foodId)?.protein ?? 0);
  }, 0);
}

/** The richer food that is given besides, and when; null until both are chosen. */
const richOf = (foodId: string, momentId: string): Rich | null =>
  foodId === '' || momentId === '' ? null : { foodId, momentId };
