import type { FoodRow } from '@open-larder/contract';
import { formatGrams } from '@open-larder/say';
import { useController, useFieldArray, useWatch, type Control } from 'react-hook-form';
import { View } from 'react-native';
import { FoodSign } from '../draw/FoodSign';
import { NumberInput } from '../forms/inputs';
import { PERCENT } from '../forms/percent';
import { Button, Choices, ErrorLine, Text } from '../ui';
import { Picker } from '../ui/Picker';
import type { RecipeValues } from './RecipeForm';
import { percent } from './labels';

const WATER = 'water';
/** What a new ingredient begins with, to be changed. */
const NEW_SHARE = 0.1;

interface Props {
  control: Control<RecipeValues>;
  foods: readonly FoodRow[];
  /** The food that the recipe makes, which cannot go into it. */
  product: string;
}

/** What goes in, each as a share of the whole. */
export function IngredientsInput({ control, foods, product }: Props) {
  const { fields, append, remove, update } = useFieldArray({ control, name: 'ingredients' });
  const now = useWatch({ control, name: 'ingredients' });
  const { fieldState } = useController({ control, name: 'ingredients' });
  const sum = now.reduce((all, one) => all + (Number.isFinite(one.share) ? one.share : 0), 0);
  const scaled = () =>
    now.forEach((one, at) =>
      update(at, { ...one, share: Math.round((one.share / sum) * 1e6) / 1e6 }),
    );
  const fieldError = fieldState.error?.message ?? fieldState.error?.root?.message;
  return (
    <View style={{ gap: 12 }}>
      {fields.map((field, index) => (
        <View
          key={field.id}
          style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'flex-end' }}
        >
          <View style={{ flexBasis: 190, flexGrow: 3 }}>
            <FoodOf control={control} index={index} foods={foods} product={product} />
          </View>
          <View style={{ flexBasis: 90, flexGrow: 1 }}>
            <NumberInput
              control={control}
              name={`ingredients.${index}.share`}
              label="Share"
              unit="%"
              scale={PERCENT}
              decimals={2}
            />
          </View>
          <Binder control={control} index={index} />
          <Button
            variant="bare"
            label="Remove"
            spoken={`Remove ingredient ${index + 1}`}
            onPress={() => remove(index)}
          />
        </View>
      ))}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center' }}>
        <Button
          label="Add an ingredient"
          onPress={() => append({ foodId: '', share: NEW_SHARE, binder: false })}
        />
        {now.some((one) => one.foodId === null) ? null : (
          <Button
            label="Add water"
            onPress={() =>
              append({ foodId: null, share: Math.max(NEW_SHARE, 1 - sum), binder: false })
            }
          />
        )}
        {now.length > 0 ? (
          <Text tone={Math.abs(sum - 1) > 0.001 ? 'due' : 'quiet'}>
            adds up to {percent(sum, 1)}
          </Text>
        ) : null}
        {now.length > 0 && sum > 0 && Math.abs(sum - 1) > 0.001 ? (
          <Button variant="bare" label="Make it 100 %" onPress={scaled} />
        ) : null}
      </View>
      {fieldError ? <ErrorLine fieldError={fieldError} /> : null}
    </View>
  );
}

interface Row {
  control: Control<RecipeValues>;
  index: number;
}

function FoodOf({ control, index, foods, product }: Row & Omit<Props, 'control'>) {
  const { field, fieldState } = useController({ control, name: `ingredients.${index}.foodId` });
  return (
    <Picker
      label={`Ingredient ${index + 1}`}
      search
      value={field.value ?? WATER}
      placeholder="Choose from the shelf"
      onChange={(id) => field.onChange(id === WATER ? null : id)}
      picks={[
        { value: WATER, title: 'Water' },
        ...foods
          .filter((food) => food.id !== product && (!food.archived || food.id === field.value))
          .map((food) => ({
            value: food.id,
            title: food.name,
            detail: `${formatGrams(food.remainingG)} on the shelf`,
            lead: <FoodSign family={food.family} />,
          })),
      ]}
      fieldError={fieldState.error?.message}
    />
  );
}

function Binder({ control, index }: Row) {
  const { field } = useController({ control, name: `ingredients.${index}.binder` });
  return (
    <Choices
      label="When balanced"
      value={field.value ? ['binds'] : []}
      onChange={(on) => field.onChange(on.length > 0)}
      options={[{ value: 'binds', label: 'Keep', spoken: 'Keep its share: it binds' }]}
    />
  );
}
