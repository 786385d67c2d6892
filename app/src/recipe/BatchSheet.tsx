import { zodResolver } from '@hookform/resolvers/zod';
import { batchCreate, type FoodRow, type RecipeRow, type ResponseOf } from '@open-larder/contract';
import { formatGrams } from '@open-larder/say';
import { addDays } from '@open-larder/core/round';
import { batchOf, pieceMassG, trayMassG } from '@open-larder/core/recipe';
import { useForm, useWatch } from 'react-hook-form';
import type { z } from 'zod';
import { DateInput, MeasureInput } from '../forms/inputs';
import { api, useNow, useFormat } from '../store';
import { Button, Card, ListRow, Sheet, Text, useToast } from '../ui';
import { useSave } from '../ui/useSave';
import { formatPieces } from './labels';
import { formIntent } from '../store/intent';

interface Props {
  recipe: RecipeRow;
  foods: ReadonlyMap<string, FoodRow>;
  onClose: () => void;
}

/** Making a batch: how much, what it takes from the shelf, and until when it keeps. */
export function BatchSheet({ recipe, foods, onClose }: Props) {
  const toast = useToast();
  const now = useNow();
  const format = useFormat();
  const intent = formIntent('batch', recipe.id);
  const ids = { id: intent.id, lotId: intent.also('lot') };
  const [make] = api.useMakeBatchMutation();
  const tray = trayMassG(recipe.tray);
  const piece = pieceMassG(recipe.tray);
  const form = useForm<z.infer<typeof batchCreate>>({
    resolver: zodResolver(batchCreate),
    defaultValues: { ...ids, day: now.day, massG: Math.round(tray * 1e6) / 1e6 },
  });
  const { save } = useSave(form);
  const { control, handleSubmit } = form;
  const { massG, day } = useWatch({ control });
  const shares = recipe.ingredients.map((one) => one.share);
  const batch = massG && massG > 0 ? batchOf(shares, recipe, recipe.tray, massG) : null;
  const submit = handleSubmit(async (body) => {
    const made = await save<ResponseOf<'makeBatch'>>(
      () => make({ params: { id: recipe.id }, body: { ...body, ...ids } }) as never,
    );
    if (!made) return;
    const missing = made.short.map(({ foodId }) => foods.get(foodId)?.name).filter(Boolean);
    toast(
      missing.length === 0
        ? `${formatGrams(body.massG)} of ${recipe.name} are on the shelf.`
        : `Made. The shelf had too little ${missing.join(' and ')}: count it in the larder.`,
    );
    onClose();
  });
  return (
    <Sheet title={`A batch of ${recipe.name}`} open onClose={onClose}>
      <MeasureInput
        control={control}
        name="massG"
        label="When it is done, it weighs"
        measure="mass"
        also={{ piece, pieces: piece, tray, trays: tray }}
        hint="Or «2 trays», or «40 pieces»."
      />
      <DateInput control={control} name="day" label="Made" required />
      {batch ? (
        <>
          <Text>
            {[
              formatPieces(batch.pieces, piece),
              `${batch.trays} ${batch.trays === 1 ? 'tray' : 'trays'}`,
              day ? `use by ${format.day(addDays(day, recipe.keepsDays))}` : null,
            ]
              .filter(Boolean)
              .join(' · ')}
          </Text>
          <Card label="What it takes">
            {recipe.ingredients.map(({ foodId }, index) => {
              const food = foods.get(foodId ?? '');
              const wanted = batch.amountsG[index] as number;
              const short = food !== undefined && food.remainingG < wanted - 1e-5;
              return (
                <ListRow
                  key={foodId ?? 'water'}
                  first={index === 0}
                  title={food?.name ?? 'Water'}
                  detail={short ? `only ${formatGrams(food.remainingG)} on the shelf` : undefined}
                  trail={<Text tone={short ? 'due' : 'ink'}>{formatGrams(wanted)}</Text>}
                />
              );
            })}
          </Card>
        </>
      ) : null}
      <Button variant="primary" label="It is made" onPress={() => submit()} />
    </Sheet>
  );
}
