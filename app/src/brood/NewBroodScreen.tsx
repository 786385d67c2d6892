import { zodResolver } from '@hookform/resolvers/zod';
import { animals, broodCreate, day, type BroodEventCreate, type Tank } from '@open-larder/contract';
import { waterLitres } from '@open-larder/core/tank';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { View } from 'react-native';
import { z } from 'zod';
import { FormFields } from '../forms/FormFields';
import { ChoiceInput, DateInput, NumberInput, PickerInput } from '../forms/inputs';
import { api, useHand, useHouse, useNow, type AppData } from '../store';
import { Button, Screen, Text, upperFirst, useToast, Waiting } from '../ui';
import { useSave } from '../ui/useSave';
import { BroodFieldsInput, defaultsOf, type BroodDraft } from './fields';
import { tubFieldsAt, type TubValues } from './TubSheet';
import { useBroods, strategyOf, type Broods } from './useBroods';
import { formIntent } from '../store/intent';

const BEGINNINGS = ['paired', 'spawned', 'swimming'] as const;
type Beginning = (typeof BEGINNINGS)[number];
const BEGIN_WORDS: Record<Beginning, string> = {
  paired: 'they are together',
  spawned: 'they have spawned',
  swimming: 'the young swim',
};

const { id: _, tub, events: __, ...fields } = broodCreate.shape;
const beginning = z.object({
  ...fields,
  began: z.enum(BEGINNINGS),
  day,
  /** Eggs or young, about. */
  count: animals.nullable(),
  /** Null where they stay with their parents. */
  tub: tub.omit({ id: true }).nullable(),
});
type Values = Omit<z.infer<typeof beginning>, 'tub'> & { tub: TubValues };

/** Beginning the line of a brood: whose it is, how it began, where it is. */
export function NewBroodScreen({ tank, group }: { tank?: string; group?: string }) {
  const broods = useBroods();
  const house = useHouse();
  return (
    <Screen title="Begin a brood" back="/broods">
      {broods.data && house.data ? (
        <Begin broods={broods.data} data={house.data} tank={tank} group={group} />
      ) : (
        <Waiting of={[broods, house]} rows={5} height={64} />
      )}
    </Screen>
  );
}

function Begin({
  broods,
  data,
  tank,
  group: asked,
}: {
  broods: Broods;
  data: AppData;
  tank?: string;
  group?: string;
}) {
  const toast = useToast();
  const now = useNow();
  const hand = useHand();
  const router = useRouter();
  const [create] = api.useCreateBroodMutation();
  const intent = formIntent('brood.new', tank, asked);
  const staysIn = ({ raising, tankId }: Pick<Values, 'raising' | 'tankId'>) =>
    raising === 'with' ? data.tanks.find(({ id }) => id === tankId) : undefined;
  const [initial] = useState(() => beginningOf(broods, data, tank, asked));
  const form = useForm<Values>({
    resolver: (values, context, options) =>
      zodResolver(beginning)(
        { ...values, tub: staysIn(values) ? null : values.tub },
        context,
        options as never,
      ) as never,
    defaultValues: { ...initial, began: 'spawned', day: now.day, count: null },
  });
  const { control, setValue, getValues } = form;
  const { save } = useSave(form);
  const { speciesKey, tankId, raising, began } = useWatch({ control }) as Values;
  const species = data.species.get(speciesKey) ?? null;
  const strategy = species ? strategyOf(broods.strategies, species.breeding) : undefined;
  const home = staysIn({ raising, tankId });
  /** What suits a species and where it lives; what was chosen by hand goes with it. */
  const suit = (key: string, livesIn: string | null) => {
    const kind = data.species.get(key);
    const place = data.tanks.find(({ id }) => id === livesIn);
    for (const [name, value] of Object.entries(
      defaultsOf(strategyOf(broods.strategies, kind?.breeding)),
    )) {
      setValue(name as keyof BroodDraft, value);
    }
    setValue('tub.tempC', place?.tempC ?? kind?.tempOptC ?? getValues('tub.tempC'));
    setValue('tub.ph', place?.ph ?? getValues('tub.ph'));
  };
  // Who the parents are shows the species, where they live, and what suits their way of life.
  const takeParents = (groupId: string | null) => {
    const parents = data.groups.find(({ id }) => id === groupId);
    if (!parents) return;
    setValue('speciesKey', parents.speciesKey);
    setValue('tankId', parents.tankId);
    suit(parents.speciesKey, parents.tankId);
  };
  const submit = form.handleSubmit(async ({ began, day, count, tub: own, ...fields }) => {
    const tub = home ? asTub(home) : own;
    const { id } = intent;
    const tubId = intent.also('tub');
    const base = { day, at: intent.at, hand, note: '', tubId };
    const events: BroodEventCreate[] = [{ ...base, id: intent.also('begun'), kind: began }];
    if (count !== null && began !== 'paired') {
      const kind = began === 'spawned' ? 'eggsSeen' : 'counted';
      events.push({ ...base, id: intent.also('count'), kind, count });
    }
    const body = { ...fields, id, tub: { ...tub, id: tubId }, events };
    if (!(await save(() => create({ body })))) return;
    toast(`${fields.name} is begun.`);
    router.replace(`/broods/${id}`);
  });
  return (
    <>
      <PickerInput
        control={control}
        name="speciesKey"
        label="Species"
        search
        placeholder="Choose a species"
        picks={[...data.species.values()]
          .filter(({ breeding }) => breeding !== 'not bred at home')
          .map((one) => ({
            value: one.key,
            title: one.common,
            detail: `${one.scientific} · ${one.breeding}`,
          }))}
        onPicked={(key) => suit(key, tankId)}
      />
      {strategy && species ? (
        <>
          <Text>{`${upperFirst(strategy.breeding)}: ${strategy.parentsRule}.`}</Text>
          {strategy.cautions.map((caution) => (
            <Text key={caution} tone="due">
              {upperFirst(caution)}.
            </Text>
          ))}
        </>
      ) : null}
      <ChoiceInput
        control={control}
        name="began"
        label="How far it is"
        options={BEGINNINGS.map((value) => ({ value, label: BEGIN_WORDS[value] }))}
      />
      <DateInput control={control} name="day" label="Since" required />
      {began === 'paired' ? null : (
        <NumberInput
          control={control}
          name="count"
          label={
            began === 'spawned' ? 'Eggs, about, if you saw them' : 'Young, about, if you counted'
          }
        />
      )}
      <BroodFieldsInput
        control={control as never}
        strategies={broods.strategies}
        species={species}
        data={data}
        onParents={takeParents}
      />
      {home ? (
        <Text tone="quiet">They are in {home.name}, with their parents.</Text>
      ) : (
        <>
          <Text variant="subtitle">Where they are</Text>
          <FormFields control={control as never} fields={tubFieldsAt('tub')} />
        </>
      )}
      <View style={{ alignItems: 'flex-start' }}>
        <Button
          variant="primary"
          label="Begin it"
          disabled={speciesKey === ''}
          onPress={() => submit()}
        />
      </View>
    </>
  );
}

/** A brood of the group that was asked for, or of the first in its tank. */
function beginningOf(broods: Broods, data: AppData, tank?: string, asked?: string) {
  const parents =
    data.groups.find(({ id }) => id === asked) ??
    (tank === undefined ? undefined : data.groupsIn.get(tank)?.[0]);
  const species = parents && data.species.get(parents.speciesKey);
  const tankId = parents?.tankId ?? tank ?? null;
  const home = data.tanks.find(({ id }) => id === tankId);
  return {
    speciesKey: parents?.speciesKey ?? '',
    name: '',
    breeding: null,
    tankId,
    groupId: parents?.id ?? null,
    youngGroupId: null,
    targetCm: null,
    conditionDays: null,
    checkpoints: [],
    ...defaultsOf(species && strategyOf(broods.strategies, species.breeding)),
    tub: {
      name: '',
      litres: 10,
      tempC: home?.tempC ?? species?.tempOptC ?? 24,
      ph: home?.ph ?? null,
      filtered: false,
    },
  };
}

/** The parents’ tank as the place of their young. */
const asTub = (home: Tank): TubValues => ({
  name: home.name,
  litres: waterLitres(home)?.value ?? Number.NaN,
  tempC: home.tempC,
  ph: home.ph,
  filtered: home.filter !== 'none',
});
