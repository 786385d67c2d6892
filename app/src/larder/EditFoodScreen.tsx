import { zodResolver } from '@hookform/resolvers/zod';
import { foodEdit, type FoodRow } from '@open-larder/contract';
import { useRouter } from 'expo-router';
import { useForm } from 'react-hook-form';
import type { z } from 'zod';
import { api } from '../store';
import { Button, Empty, Screen, useToast, lowerFirst, Waiting } from '../ui';
import { StaleNotice } from '../ui/StaleNotice';
import { useDraft } from '../ui/useDraft';
import { useSave } from '../ui/useSave';
import { FoodFields } from './FoodFields';

type Values = z.infer<typeof foodEdit>;

export function EditFoodScreen({ id }: { id: string }) {
  const foods = api.useFoodsQuery();
  const food = foods.data?.find((one) => one.id === id);
  return (
    <Screen title={food ? `Change ${lowerFirst(food.name)}` : 'Change food'} back={`/larder/${id}`}>
      {!foods.data ? (
        <Waiting of={foods} rows={5} height={48} />
      ) : food ? (
        <FoodForm food={food} />
      ) : (
        <Empty title="No such food" text="It may have been taken down. Go back to the shelf." />
      )}
    </Screen>
  );
}

function FoodForm({ food }: { food: FoodRow }) {
  const router = useRouter();
  const toast = useToast();
  const [edit] = api.useEditFoodMutation();
  const form = useForm<Values>({ resolver: zodResolver(foodEdit), defaultValues: valuesOf(food) });
  const forgetDraft = useDraft(`food.${food.id}`, form);
  const { save, stale } = useSave(form);
  const submit = form.handleSubmit(async (body) => {
    const saved = await save<FoodRow>(() => edit({ params: { id: food.id }, body }) as never);
    if (!saved) return;
    forgetDraft();
    toast(`${saved.name} is saved; portions follow.`);
    router.replace(`/larder/${food.id}`);
  });
  return (
    <>
      <StaleNotice
        stale={stale}
        fields={{
          name: 'Name',
          kind: 'Kind',
          form: 'In the water',
          composition: 'Make-up',
          plantShare: 'Plant share',
          unit: 'Serving unit',
          inWater: 'How it behaves',
          steps: 'Preparation',
          keeps: 'How long it keeps',
          cautions: 'What to beware of',
        }}
        onKeepMine={() => void submit()}
        onTakeTheirs={(theirs: FoodRow) => form.reset(valuesOf(theirs))}
      />
      <FoodFields control={form.control as never} />
      <Button variant="primary" label="Save" onPress={() => submit()} />
    </>
  );
}

function valuesOf({
  id: _,
  lots: __,
  remainingG: ___,
  weighings: ____,
  ...values
}: FoodRow): Values {
  return values;
}
