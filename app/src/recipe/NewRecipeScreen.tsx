import { zodResolver } from '@hookform/resolvers/zod';
import { recipeCreate, type RecipeRow } from '@open-larder/contract';
import { useRouter } from 'expo-router';
import { useForm } from 'react-hook-form';
import type { z } from 'zod';
import { api } from '../store';
import { Button, Screen, useToast, Waiting } from '../ui';
import { useDraft } from '../ui/useDraft';
import { useSave } from '../ui/useSave';
import { RecipeForm } from './RecipeForm';
import { useKitchen } from './useKitchen';
import { formIntent } from '../store/intent';

type Values = z.infer<typeof recipeCreate>;

/** A tray of sixty bites, set in the fridge: a start, to be changed. */
const BLANK: Omit<Values, 'id' | 'foodId'> = {
  name: '',
  kind: 'gel',
  place: 'fridge',
  keepsDays: 10,
  ingredients: [],
  cooked: 0,
  drained: 0,
  tray: { lengthCm: 20, widthCm: 15, depthCm: 1, columns: 10, rows: 6 },
  targets: { protein: null, fat: null, plant: null, moisture: null },
  method: '',
};

export function NewRecipeScreen() {
  const router = useRouter();
  const toast = useToast();
  const { data, problem, retry } = useKitchen();
  const intent = formIntent('recipe.new');
  const ids = { id: intent.id, foodId: intent.also('food') };
  const [create] = api.useCreateRecipeMutation();
  const form = useForm<Values>({
    resolver: zodResolver(recipeCreate),
    defaultValues: { ...BLANK, ...ids },
  });
  const forgetDraft = useDraft('recipe.new', form);
  const { save } = useSave(form);
  const submit = form.handleSubmit(async (body) => {
    const saved = await save<RecipeRow>(() => create({ body: { ...body, ...ids } }) as never);
    if (!saved) return;
    forgetDraft();
    toast(`${saved.name} is saved. What it makes is on the shelf, empty for now.`);
    router.replace(`/larder/recipes/${saved.id}`);
  });
  return (
    <Screen title="A new recipe" back="/larder/recipes">
      {!data ? (
        <Waiting of={{ problem, retry }} rows={5} height={48} />
      ) : (
        <>
          <RecipeForm form={form as never} foods={data.foods} product={ids.foodId} />
          <Button variant="primary" label="Write it down" onPress={() => submit()} />
        </>
      )}
    </Screen>
  );
}
