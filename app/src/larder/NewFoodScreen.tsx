import { zodResolver } from '@hookform/resolvers/zod';
import type { GenericFood } from '@open-larder/catalogue';
import { blankFood, fieldsOfGeneric, foodCreate, type FoodRow } from '@open-larder/contract';
import { usualPlace } from '@open-larder/core/stock';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { View } from 'react-native';
import type { z } from 'zod';
import { FoodSign } from '../draw/FoodSign';
import { useNameSearch } from '../species/useNameSearch';
import { api, useNow } from '../store';
import { Button, Screen, Text, useToast } from '../ui';
import { Picker } from '../ui/Picker';
import { useDraft } from '../ui/useDraft';
import { useSave } from '../ui/useSave';
import { FoodFields, FORM_WORDS } from './FoodFields';
import { LotFields } from './LotFields';
import { formIntent } from '../store/intent';

type Values = z.infer<typeof foodCreate>;

/** @param groupId of the group whose plan it is for: there it goes on */
export function NewFoodScreen({ groupId }: { groupId?: string }) {
  const router = useRouter();
  const toast = useToast();
  const now = useNow();
  const { data: catalogue } = api.useCatalogueQuery();
  const { data: household } = api.useHouseholdQuery();
  const intent = formIntent('food.new');
  const { id } = intent;
  const find = useNameSearch(catalogue?.foods);
  const [generic, setGeneric] = useState('');
  const [create] = api.useCreateFoodMutation();
  const form = useForm<Values>({
    resolver: zodResolver(foodCreate),
    defaultValues: { ...blank(now.day, intent.also('lot')), id },
  });
  const unit = useWatch({ control: form.control, name: 'unit' });
  const forgetDraft = useDraft('food.new', form);
  const { save } = useSave(form);
  const submit = form.handleSubmit(async (body) => {
    const saved = await save<FoodRow>(
      () =>
        create({
          body: {
            ...body,
            id,
            lot: body.lot && { ...body.lot, id: intent.also('lot') },
          },
        }) as never,
    );
    if (!saved) return;
    forgetDraft();
    toast(`${saved.name} is on the shelf.`);
    router.replace(groupId ? `/groups/${groupId}/diet?food=${saved.id}` : `/larder/${saved.id}`);
  });
  return (
    <Screen title="A new food" back="/larder">
      <Picker
        label="Start from a generic food"
        search={find}
        value={generic}
        nothing="Nothing by that name. Leave this empty and fill in the label, or start from the nearest food and change what differs."
        placeholder="Choose, then change what differs"
        picks={(catalogue?.foods ?? []).map((food) => ({
          value: food.key,
          title: food.name,
          detail: `${food.kind}, ${FORM_WORDS[food.form]}`,
          lead: <FoodSign family={food.family} />,
        }))}
        onChange={(key) => {
          setGeneric(key);
          const food = catalogue?.foods.find((one) => one.key === key);
          if (food) form.reset(from(food, form.getValues()), { keepDefaultValues: true });
        }}
      />
      <FoodFields control={form.control as never} />
      <Text variant="subtitle">On the shelf now</Text>
      <View style={{ gap: 12 }}>
        <LotFields
          control={form.control as never}
          at="lot."
          amount
          currency={household?.currency ?? 'EUR'}
          unit={unit}
        />
      </View>
      <Button variant="primary" label="Put it on the shelf" onPress={() => submit()} />
    </Screen>
  );
}

/** An unknown dry food: blanks that the keeper must fill, and no guess that looks like a fact. */
function blank(today: string, lotId: string): Values {
  return {
    ...blankFood,
    id: '',
    composition: {
      protein: null as never,
      fat: null as never,
      fibre: null as never,
      ash: null as never,
      moisture: null as never,
    },
    plantShare: null as never,
    unit: { ...blankFood.unit, massG: null as never },
    kind: 'dry',
    family: 'grain',
    form: 'floats',
    lot: {
      id: lotId,
      amountG: null as never,
      costMinor: null,
      place: usualPlace('dry'),
      boughtOn: today,
      openedOn: today,
      bestBefore: null,
    },
  };
}

/** What a generic food says of itself, and where its kind is kept. */
function from(food: GenericFood, { lot, ...values }: Values): Values {
  return {
    ...values,
    ...fieldsOfGeneric(food),
    lot: lot && { ...lot, place: usualPlace(food.kind) },
  };
}
