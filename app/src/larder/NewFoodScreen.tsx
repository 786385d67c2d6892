import { zodResolver } from '@hookform/resolvers/zod';
import type { GenericFood } from '@open-larder/catalogue';
import { foodCreate, type FoodRow } from '@open-larder/contract';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import type { z } from 'zod';
import { FoodSign } from '../draw';
import { api, useNow } from '../store';
import { Button, Picker, Screen, Text, useDraft, useSave, useSay } from '../ui';
import { FoodFields } from './FoodFields';
import { LotFields } from './LotFields';

type Values = z.infer<typeof foodCreate>;

export function NewFoodScreen() {
  const router = useRouter();
  const say = useSay();
  const now = useNow();
  const { data: catalogue } = api.useCatalogueQuery();
  const { data: household } = api.useHouseholdQuery();
  const [id] = useState(() => uuidv7());
  const [generic, setGeneric] = useState('');
  const [create] = api.useCreateFoodMutation();
  const form = useForm<Values>({
    resolver: zodResolver(foodCreate),
    defaultValues: { ...blank(now.day), id },
  });
  const forgetDraft = useDraft('food.new', form);
  const { save } = useSave(form);
  const submit = form.handleSubmit(async (body) => {
    const saved = await save<FoodRow>(() => create({ body: { ...body, id } }) as never);
    if (!saved) return;
    forgetDraft();
    say(`${saved.name} is on the shelf.`);
    router.replace(`/larder/${saved.id}`);
  });
  return (
    <Screen title="A new food" back="/larder">
      <Picker
        label="Start from a generic food"
        search
        value={generic}
        placeholder="Choose, then change what differs"
        picks={(catalogue?.foods ?? []).map((food) => ({
          value: food.key,
          title: food.name,
          detail: `${food.kind}, ${food.form}`,
          lead: <FoodSign family={food.family} />,
        }))}
        onChange={(key) => {
          setGeneric(key);
          const food = catalogue?.foods.find((one) => one.key === key);
          if (food)
            form.reset({ ...form.getValues(), ...fromGeneric(food) }, { keepDefaultValues: true });
        }}
      />
      <FoodFields control={form.control as never} />
      <Text look="subtitle">On the shelf now</Text>
      <View style={{ gap: 12 }}>
        <LotFields
          control={form.control as never}
          at="lot."
          amount
          currency={household?.currency ?? 'EUR'}
        />
      </View>
      <Button
        look="primary"
        label="Put it on the shelf"
        busy={form.formState.isSubmitting}
        onPress={() => void submit()}
      />
    </Screen>
  );
}

/** An unknown dry food: zeros that the keeper must replace, and no guess that looks like a fact. */
function blank(today: string): Values {
  return {
    id: '',
    name: '',
    kind: 'dry',
    family: 'grain',
    form: 'floats',
    composition: {
      protein: null as never,
      fat: null as never,
      fibre: null as never,
      ash: null as never,
      moisture: null as never,
    },
    plantShare: null as never,
    unit: { name: 'pinch', plural: 'pinches', massG: null as never, step: 0.5 },
    lot: {
      id: uuidv7(),
      amountG: null as never,
      costMinor: null,
      boughtOn: today,
      openedOn: today,
      bestBefore: null,
    },
  };
}

/** The figures of a generic food; whoever has the tub in hand corrects them from its label. */
function fromGeneric(food: GenericFood): Omit<Values, 'id' | 'lot'> {
  return {
    name: food.name,
    kind: food.kind,
    family: food.family,
    form: food.form,
    composition: {
      protein: food.protein,
      fat: food.fat,
      fibre: food.fibre,
      ash: food.ash,
      moisture: food.moisture,
    },
    plantShare: food.plantShare,
    unit: {
      name: food.unitName,
      plural: food.unitPlural,
      massG: food.unitMassG,
      step: food.unitStep,
    },
  };
}
