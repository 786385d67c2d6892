import type { FoodRow, RecipeFields } from '@open-larder/contract';
import { PLACES } from '@open-larder/core/stock';
import { useWatch, type Control, type FieldPath, type UseFormReturn } from 'react-hook-form';
import { View } from 'react-native';
import { useFormat } from '../store';
import { ChoiceInput, MeasureInput, NumberInput, TextInput } from '../forms/inputs';
import { PERCENT } from '../forms/percent';
import { Disclosure, Text } from '../ui';
import { Balancing } from './Balancing';
import { IngredientsInput } from './IngredientsInput';
import { MixCard } from './MixCard';

/** The part of a form that holds a recipe. */
export type RecipeValues = RecipeFields;

interface Props {
  form: UseFormReturn<RecipeValues>;
  foods: ReadonlyMap<string, FoodRow>;
  product: string;
}

/** A recipe as it is written: what goes in, what it makes while one types, how it is poured and cut. */
export function RecipeForm({ form, foods, product }: Props) {
  const format = useFormat();
  const { control } = form;
  const { errors } = form.formState;
  return (
    <>
      <TextInput control={control} name="name" label="Name" />
      <ChoiceInput
        control={control}
        name="kind"
        label="It is a"
        options={[
          { value: 'gel', label: 'gel that sets' },
          { value: 'mix', label: 'mix that is frozen or dried' },
        ]}
      />
      <Text variant="subtitle">What goes in</Text>
      <IngredientsInput control={control} foods={[...foods.values()]} product={product} />
      <LiveMix control={control} foods={foods} />
      <Disclosure
        title="Balance it"
        detail="to protein, fat, plant share and moisture"
        forced={errors.targets !== undefined}
      >
        <Balancing form={form} foods={foods} />
      </Disclosure>
      <Text variant="subtitle">Cooking and cutting</Text>
      <Cells>
        <Percent control={control} name="cooked" label="Steams off in cooking" />
        <Percent control={control} name="drained" label="Drains off" />
      </Cells>
      <Cells>
        <Cell>
          <MeasureInput
            control={control}
            name="tray.lengthCm"
            label="Tray, length"
            measure="length"
          />
        </Cell>
        <Cell>
          <MeasureInput
            control={control}
            name="tray.widthCm"
            label="Tray, width"
            measure="length"
          />
        </Cell>
        <Cell>
          <MeasureInput
            control={control}
            name="tray.depthCm"
            label="Poured, deep"
            measure="length"
          />
        </Cell>
      </Cells>
      <Cells>
        <Cell>
          <NumberInput control={control} name="tray.columns" label="Cut lengthwise into" />
        </Cell>
        <Cell>
          <NumberInput control={control} name="tray.rows" label="Cut crosswise into" />
        </Cell>
      </Cells>
      <ChoiceInput
        control={control}
        name="place"
        label="Kept in the"
        options={PLACES.map((place) => ({ value: place, label: place }))}
      />
      <NumberInput control={control} name="keepsDays" label="Keeps there" unit="days" />
      <TextInput
        control={control}
        name="method"
        label="How it is made"
        lines={5}
        hint={`Such as: bloom the gelatine cold, warm it, stir in the rest below ${format.quantity('temperature', 60)}.`}
      />
    </>
  );
}

/** What the recipe makes as it is in the form. */
function LiveMix({ control, foods }: { control: Control<RecipeValues>; foods: Props['foods'] }) {
  const values = useWatch({ control }) as RecipeValues;
  const { ingredients, cooked, drained, tray } = values;
  const numbers = [cooked, drained, ...Object.values(tray), ...ingredients.map((one) => one.share)];
  const ready =
    ingredients.length > 0 &&
    numbers.every((one) => Number.isFinite(one)) &&
    ingredients.some((one) => one.share > 0) &&
    cooked + drained < 1 &&
    Object.values(tray).every((one) => one > 0);
  return ready ? <MixCard recipe={values} foods={foods} /> : null;
}

const Cells = ({ children }: { children: React.ReactNode }) => (
  <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>{children}</View>
);
const Cell = ({ children }: { children: React.ReactNode }) => (
  <View style={{ flexBasis: 110, flexGrow: 1 }}>{children}</View>
);

function Percent({
  control,
  name,
  label,
}: {
  control: Control<RecipeValues>;
  name: FieldPath<RecipeValues>;
  label: string;
}) {
  return (
    <Cell>
      <NumberInput
        control={control}
        name={name}
        label={label}
        unit="%"
        scale={PERCENT}
        decimals={1}
        hint="Of all that goes in."
      />
    </Cell>
  );
}
