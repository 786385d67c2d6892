import { ZONES } from '@open-larder/catalogue';
import type { DietEdit } from '@open-larder/contract';
import { formatGrams, formatUnits, formatManner } from '@open-larder/say';
import { type DueServing } from '@open-larder/core/round';
import Trash from 'lucide-react-native/icons/trash';
import { Controller, useWatch, type Control, type FieldErrors } from 'react-hook-form';
import { Pressable, View } from 'react-native';
import { FoodSign } from '../draw/FoodSign';
import { useFormat, type DayName, type AppData } from '../store';
import { SIZES, themed, useColours } from '../theme';
import { NumberInput, PickerInput, StepperInput, TextInput } from '../forms/inputs';
import { Card, Choice, Choices, IconButton, Text, WhyLink, lowerFirst } from '../ui';
import { MannerFields } from './MannerFields';
import { formatMoment, ZONE_WORDS } from './labels';

interface Props {
  index: number;
  control: Control<DietEdit>;
  data: AppData;
  /** The days of its tank's cycle. */
  dayNames: readonly DayName[];
  /** The serving as computed; undefined on no day of the week. */
  due: DueServing | undefined;
  errors: FieldErrors<DietEdit['servings'][number]> | undefined;
  /** Open to change, or folded to a line. */
  open: boolean;
  onToggle: () => void;
  onRemove: () => void;
}

/** One serving: food, moment, place and days, and the portion that follows. */
export function ServingFields({
  index,
  control,
  data,
  dayNames,
  due,
  errors,
  open,
  onToggle,
  onRemove,
}: Props) {
  const styles = useStyles();
  const format = useFormat();
  const colours = useColours();
  const serving = useWatch({ control, name: `servings.${index}` });
  const food = data.foods.find((one) => one.id === serving?.foodId);
  const portion = due?.portion;
  const amount = portion ? formatUnits(portion.units, due.food.unit) : null;
  return (
    <Card label={`Serving ${index + 1}`}>
      <View style={styles.head}>
        {food ? <FoodSign family={food.family} /> : null}
        <Pressable
          role="button"
          aria-expanded={open}
          aria-label={`${open ? 'Fold' : 'Change'} serving ${index + 1}`}
          onPress={onToggle}
          style={styles.words}
        >
          <Text variant="figure">
            {amount ?? 'No day chosen'}
            {!open && food ? ` ${lowerFirst(food.name)}` : ''}
          </Text>
          <Text variant="small" tone="quiet">
            {open
              ? portion
                ? due.food.litter
                  ? 'Lies in the tank for weeks and is grazed as it softens: no part of the ration.'
                  : `${formatGrams(portion.massG)} as fed; the need is ${formatGrams(portion.wantedG.value)}`
                : 'Choose its days below.'
              : [
                  data.moments.find((one) => one.id === serving?.momentId)?.name,
                  serving?.place || (serving ? ZONE_WORDS[serving.zone] : ''),
                  serving ? formatManner(serving.manner) : null,
                  serving && serving.days.length < dayNames.length
                    ? dayNames
                        .filter((day) => serving.days.includes(day.value))
                        .map((day) => day.label)
                        .join(' ')
                    : null,
                ]
                  .filter(Boolean)
                  .join(' · ')}
          </Text>
        </Pressable>
        {portion && amount ? <WhyLink about={amount} why={portion.why} /> : null}
        <IconButton label={`Remove serving ${index + 1}`} onPress={onRemove}>
          <Trash size={20} color={colours.ink2} />
        </IconButton>
      </View>
      {open ? (
        <View style={styles.fields}>
          <PickerInput
            control={control}
            name={`servings.${index}.foodId`}
            label="Food"
            search
            picks={data.foods
              .filter((one) => !one.archived)
              .map((one) => ({
                value: one.id,
                title: one.name,
                detail: one.kind,
                lead: <FoodSign family={one.family} size={24} />,
              }))}
          />
          <PickerInput
            control={control}
            name={`servings.${index}.momentId`}
            label="Moment"
            picks={data.moments
              .filter((one) => !one.archived)
              .map((one) => ({
                value: one.id,
                title: one.name,
                detail: formatMoment(one, format),
              }))}
          />
          <Controller
            control={control}
            name={`servings.${index}.zone`}
            render={({ field }) => (
              <Choice
                label="Zone"
                value={field.value}
                onChange={field.onChange}
                options={ZONES.map((zone) => ({ value: zone, label: ZONE_WORDS[zone] }))}
              />
            )}
          />
          <TextInput
            control={control}
            name={`servings.${index}.place`}
            label="Place"
            placeholder="far end, beside the moss"
          />
          <MannerFields control={control} index={index} />
          <Controller
            control={control}
            name={`servings.${index}.days`}
            render={({ field }) => (
              <Choices
                label="Days"
                options={dayNames}
                value={field.value}
                onChange={field.onChange}
                fieldError={errors?.days?.message}
              />
            )}
          />
          <StepperInput
            control={control}
            name={`servings.${index}.weight`}
            label="Part of the day, against the other servings"
            step={0.5}
            min={0.5}
            max={20}
          />
          <NumberInput
            control={control}
            name={`servings.${index}.ownUnits`}
            label={`Your own amount${food ? `, in ${food.unit.plural}` : ''}`}
            hint="Left empty, it is worked out."
          />
        </View>
      ) : null}
    </Card>
  );
}

const useStyles = themed((c) => ({
  head: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
    paddingLeft: 12,
    paddingVertical: 6,
  },
  words: { flex: 1, minWidth: 0, minHeight: SIZES.touch, justifyContent: 'center' },
  fields: { padding: 12, gap: 12, borderTopWidth: 1, borderColor: c.rule },
}));
