import type { FoodRow, Problem, RecipeRow } from '@open-larder/contract';
import { formatGrams } from '@open-larder/say';
import { pieceMassG } from '@open-larder/core/recipe';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { FoodSign } from '../draw/FoodSign';
import { api, useFormat } from '../store';
import { useWide } from '../theme';
import { Button, Card, Empty, ListRow, Screen, Text, useToast, Waiting } from '../ui';
import { usePrintLabels } from '../larder/usePrintLabels';
import { BatchSheet } from './BatchSheet';
import { MixCard } from './MixCard';
import { useKitchen } from './useKitchen';
import { percent, formatPieces } from './labels';
import { stampFor } from '../store/intent';

/** One recipe: what goes in, what it makes, and the batches that were made of it. */
export function RecipeScreen({ id }: { id: string }) {
  const { data, problem, retry } = useKitchen();
  const recipe = data?.recipes.find((one) => one.id === id);
  const wide = useWide();
  return (
    <Screen
      title={recipe?.name ?? 'Recipe'}
      back="/larder/recipes"
      aside={wide && data && recipe ? <Batches recipe={recipe} foods={data.foods} /> : undefined}
    >
      {!data ? (
        <Waiting of={{ problem, retry }} rows={5} height={56} />
      ) : !recipe ? (
        <Empty title="No such recipe" text="It may have been put away. Go back to the recipes." />
      ) : (
        <>
          <Text variant="subtitle">What goes in</Text>
          <Ingredients recipe={recipe} foods={data.foods} />
          <Text variant="subtitle">What it makes</Text>
          <MixCard recipe={recipe} foods={data.foods} />
          {recipe.method ? (
            <>
              <Text variant="subtitle">How it is made</Text>
              <Text>{recipe.method}</Text>
            </>
          ) : null}
          {wide ? null : <Batches recipe={recipe} foods={data.foods} />}
          <Acts recipe={recipe} />
        </>
      )}
    </Screen>
  );
}

interface Parts {
  recipe: RecipeRow;
  foods: ReadonlyMap<string, FoodRow>;
}

function Ingredients({ recipe, foods }: Parts) {
  const router = useRouter();
  return (
    <Card label="What goes in">
      {recipe.ingredients.map(({ foodId, share, binder }, index) => {
        const food = foods.get(foodId ?? '');
        return (
          <ListRow
            key={foodId ?? 'water'}
            first={index === 0}
            lead={food ? <FoodSign family={food.family} size={24} /> : null}
            title={food?.name ?? 'Water'}
            detail={[
              binder ? 'binds' : null,
              food ? `${formatGrams(food.remainingG)} on the shelf` : null,
            ]
              .filter(Boolean)
              .join(' · ')}
            trail={<Text>{percent(share, 1)}</Text>}
            onPress={food ? () => router.push(`/larder/${food.id}`) : undefined}
          />
        );
      })}
    </Card>
  );
}

function Batches({ recipe, foods }: Parts) {
  const format = useFormat();
  const print = usePrintLabels();
  const [making, setMaking] = useState(false);
  const product = foods.get(recipe.foodId);
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Batches</Text>
      {recipe.batches.length === 0 ? (
        <Text tone="quiet">None was made yet.</Text>
      ) : (
        <Card label="Batches, the newest first">
          {recipe.batches.map((batch, index) => {
            const lot = product?.lots.find((one) => one.id === batch.lotId);
            const pieces = Math.floor(batch.massG / pieceMassG(recipe.tray) + 1e-6);
            return (
              <ListRow
                key={batch.id}
                first={index === 0}
                title={`${formatGrams(batch.massG)} on ${format.day(batch.day)}`}
                detail={[
                  formatPieces(pieces, pieceMassG(recipe.tray)),
                  lot ? `${formatGrams(lot.remainingG)} left` : null,
                  lot?.bestBefore ? `use by ${format.day(lot.bestBefore)}` : null,
                ]
                  .filter(Boolean)
                  .join(' · ')}
                trail={
                  <View style={{ flexDirection: 'row' }}>
                    <Button
                      variant="bare"
                      label="Labels"
                      spoken={`Labels of the batch of ${format.day(batch.day)}`}
                      onPress={() => print(batch.lotId)}
                    />
                    {lot && lot.remainingG >= batch.massG - 1e-5 ? (
                      <TakeBack id={batch.id} />
                    ) : null}
                  </View>
                }
              />
            );
          })}
        </Card>
      )}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button
          least="keeper"
          variant="primary"
          label="Make a batch"
          onPress={() => setMaking(true)}
        />
      </View>
      {making ? (
        <BatchSheet recipe={recipe} foods={foods} onClose={() => setMaking(false)} />
      ) : null}
    </View>
  );
}

function TakeBack({ id }: { id: string }) {
  const toast = useToast();
  const [undo] = api.useUndoBatchMutation();
  return (
    <Button
      least="keeper"
      variant="bare"
      label="Take back"
      onPress={async () => {
        const done = await undo({ params: { id }, body: stampFor('undo', id) });
        if (done.error) toast((done.error as Problem).detail, { tone: 'error' });
        else toast('The batch is taken back; its ingredients are on the shelf again.');
      }}
    />
  );
}

function Acts({ recipe }: { recipe: RecipeRow }) {
  const router = useRouter();
  const toast = useToast();
  const [edit] = api.useEditRecipeMutation();
  const putAway = async () => {
    const { id, foodId: _, batches: __, ...fields } = recipe;
    const done = await edit({ params: { id }, body: { ...fields, archived: true } });
    if (done.error) {
      toast((done.error as Problem).detail, { tone: 'error' });
      return;
    }
    const { version } = done.data;
    toast(`${recipe.name} is put away, and its food is taken down.`, {
      undo: () => void edit({ params: { id }, body: { ...fields, version, archived: false } }),
    });
    router.replace('/larder/recipes');
  };
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
      <Button
        least="keeper"
        label="Change recipe"
        onPress={() => router.push(`/larder/recipes/${recipe.id}/edit`)}
      />
      <Button label="On the shelf" onPress={() => router.push(`/larder/${recipe.foodId}`)} />
      <Button least="keeper" label="Put away" onPress={() => putAway()} />
    </View>
  );
}
