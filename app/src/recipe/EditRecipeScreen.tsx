import { zodResolver } from '@hookform/resolvers/zod';
import { recipeEdit, type FoodRow, type RecipeEdit, type RecipeRow } from '@open-larder/contract';
import { useRouter } from 'expo-router';
import { useForm } from 'react-hook-form';
import { api } from '../store';
import { Button, Empty, Screen, useToast, Waiting } from '../ui';
import { StaleNotice } from '../ui/StaleNotice';
import { useDraft } from '../ui/useDraft';
import { useSave } from '../ui/useSave';
import { RecipeForm } from './RecipeForm';
import { useKitchen } from './useKitchen';

export function EditRecipeScreen({ id }: { id: string }) {
  const { data, problem, retry } = useKitchen();
  const recipe = data?.recipes.find((one) => one.id === id);
  return (
    <Screen
      title={recipe ? `Change ${recipe.name}` : 'Change recipe'}
      back={`/larder/recipes/${id}`}
    >
      {!data ? (
        <Waiting of={{ problem, retry }} rows={5} height={48} />
      ) : recipe ? (
        <EditForm recipe={recipe} foods={data.foods} />
      ) : (
        <Empty title="No such recipe" text="It may have been put away. Go back to the recipes." />
      )}
    </Screen>
  );
}

function EditForm({ recipe, foods }: { recipe: RecipeRow; foods: ReadonlyMap<string, FoodRow> }) {
  const router = useRouter();
  const toast = useToast();
  const [edit] = api.useEditRecipeMutation();
  const form = useForm<RecipeEdit>({
    resolver: zodResolver(recipeEdit),
    defaultValues: valuesOf(recipe),
  });
  const forgetDraft = useDraft(`recipe.${recipe.id}`, form);
  const { save, stale } = useSave(form);
  const submit = form.handleSubmit(async (body) => {
    const saved = await save<RecipeRow>(() => edit({ params: { id: recipe.id }, body }) as never);
    if (!saved) return;
    forgetDraft();
    toast(`${saved.name} is saved; the food that it makes follows.`);
    router.replace(`/larder/recipes/${recipe.id}`);
  });
  return (
    <>
      <StaleNotice
        stale={stale}
        fields={{
          name: 'Name',
          ingredients: 'What goes in',
          cooked: 'Steams off',
          drained: 'Drains off',
          tray: 'Tray and cutting',
          targets: 'Targets',
          place: 'Kept in the',
          keepsDays: 'Keeps',
          method: 'How it is made',
        }}
        onKeepMine={() => void submit()}
        onTakeTheirs={(theirs: RecipeRow) => form.reset(valuesOf(theirs))}
      />
      <RecipeForm form={form as never} foods={foods} product={recipe.foodId} />
      <Button variant="primary" label="Save" onPress={() => submit()} />
    </>
  );
}

function valuesOf({ id: _, foodId: __, batches: ___, ...values }: RecipeRow): RecipeEdit {
  return values;
}
