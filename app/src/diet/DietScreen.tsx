import { zodResolver } from '@hookform/resolvers/zod';
import { dietEdit, type DietEdit, type DietRow, type Group } from '@open-larder/contract';
import { mayNotFast } from '@open-larder/core/fish';
import { PLAIN, withFewerDays } from '@open-larder/core/round';
import { stageFactor } from '@open-larder/core/ration';
import { formatSignificant } from '@open-larder/say';
import { useRouter } from 'expo-router';
import Plus from 'lucide-react-native/icons/plus';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { Controller, useFieldArray, useForm, useWatch } from 'react-hook-form';
import { View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { api, cycleDays, useHouse, useNow, useFormat, type AppData } from '../store';
import { useColours, useWide } from '../theme';
import { NumberInput } from '../forms/inputs';
import { Button, Choices, Empty, Screen, Text, useToast, Waiting } from '../ui';
import { StaleNotice } from '../ui/StaleNotice';
import { useDraft } from '../ui/useDraft';
import { useSave } from '../ui/useSave';
import { Findings } from './Findings';
import { reviewDiet } from './look';
import { ServingFields } from './ServingFields';
import { WeekSums } from './WeekSums';

/** @param foodId a food that is put into the plan as it opens, where it is not in it yet */
export function DietScreen({ id, foodId }: { id: string; foodId?: string }) {
  const router = useRouter();
  const loaded = useHouse();
  const group = loaded.data?.groups.find((one) => one.id === id);
  const foods = loaded.data?.foods.filter((food) => !food.archived) ?? [];
  const body = !loaded.data ? (
    <Waiting of={loaded} rows={4} />
  ) : !group ? (
    <Empty title="No such group" text="It may have been ended. Go back to its tank." />
  ) : foods.length === 0 ? (
    <Empty
      title="The shelf is empty"
      text="Put a food on the shelf first; then say when these fish get it."
      action={
        <Button
          least="keeper"
          variant="primary"
          label="Put a food on the shelf"
          onPress={() => router.push(`/larder/new?group=${id}`)}
        />
      }
    />
  ) : null;
  if (body || !loaded.data || !group) {
    return (
      <Screen title="Diet" back={`/groups/${id}`}>
        {body}
      </Screen>
    );
  }
  return <DietEditor key={group.id} group={group} data={loaded.data} foodId={foodId} />;
}

function DietEditor({ group, data, foodId }: { group: Group; data: AppData; foodId?: string }) {
  const router = useRouter();
  const toast = useToast();
  const format = useFormat();
  const colours = useColours();
  const now = useNow();
  const [send] = api.useEditDietMutation();
  const form = useForm<DietEdit>({
    resolver: zodResolver(dietEdit),
    defaultValues: editOf(group.diet),
  });
  const forgetDraft = useDraft(`diet.${group.id}`, form);
  const { save, stale } = useSave(form);
  const { control, formState, handleSubmit, reset, setValue } = form;
  const [opened, setOpened] = useState<string | null>(null);
  const servings = useFieldArray({ control, name: 'servings', keyName: 'key' });
  const written = useWatch({ control }) as DietEdit;
  const look = reviewDiet(group, readable(written), data, now.day);
  const species = data.species.get(group.speciesKey);
  const foodOf = (id: string) => data.foods.find((food) => food.id === id);
  const nameOf = (servingId: string) =>
    foodOf(written.servings.find((one) => one.id === servingId)?.foodId ?? '')?.name ?? 'A food';
  const cycle = data.tanks.find((tank) => tank.id === group.tankId)?.plan?.cycle;
  const dayNames = cycleDays(format, cycle);
  const { errors } = formState;
  const submit = handleSubmit(async (body) => {
    const saved = await save<DietRow>(() => send({ params: { id: group.id }, body }) as never);
    if (!saved) return;
    forgetDraft();
    toast(`The diet of ${group.name} is saved; the Round follows it from today.`);
    router.replace(`/groups/${group.id}`);
  });
  const add = (newFoodId?: string) => {
    const last = written.servings.at(-1);
    const food = data.foods.find((one) => !one.archived);
    const moment = data.moments.find((one) => !one.archived);
    const id = uuidv7();
    setOpened(id);
    servings.append({
      id,
      foodId: newFoodId ?? last?.foodId ?? food?.id ?? '',
      momentId: last?.momentId ?? moment?.id ?? '',
      zone: last?.zone ?? species?.zone ?? 'mid',
      place: '',
      days: dayNames.map(({ value }) => value),
      weight: 1,
      ownUnits: null,
      manner: PLAIN,
    });
  };
  const asked = useRef(foodId);
  useEffect(() => {
    const wanted = asked.current;
    asked.current = undefined;
    const known = written.servings.some((one) => one.foodId === wanted);
    if (wanted !== undefined && !known && foodOf(wanted)) add(wanted);
  });
  const findings = (
    <Findings
      findings={look?.findings ?? []}
      servingName={nameOf}
      onFewerDays={(servingId, fewer) => {
        const { fastWeekdays, servings: next } = withFewerDays(readable(written), servingId, fewer);
        setValue('fastWeekdays', fastWeekdays, { shouldDirty: true });
        setValue('servings', next, { shouldDirty: true });
      }}
    />
  );
  const sums = (
    <WeekSums week={look?.week ?? []} names={(cycle?.days ?? 7) > 7 ? dayNames : format.weekdays} />
  );
  return (
    <Screen
      title="Diet"
      detail={`${group.name}, ${group.size.total} in ${data.tanks.find((tank) => tank.id === group.tankId)?.name ?? ''}`}
      back={`/groups/${group.id}`}
      aside={
        <>
          <Text variant="subtitle">The week so far</Text>
          {sums}
          {findings}
        </>
      }
    >
      <StaleNotice
        stale={stale}
        fields={{ servings: 'Servings', fastWeekdays: 'Resting days', goalFactor: 'Goal' }}
        onKeepMine={() => void submit()}
        onTakeTheirs={(theirs: DietRow | null) => reset(editOf(theirs))}
      />
      {servings.fields.length === 0 ? (
        <Empty
          title="Nothing planned yet"
          text="Add a serving: a food, a moment and a place. Its amount is worked out at once."
        />
      ) : null}
      {servings.fields.map((field, index) => (
        <ServingFields
          key={field.key}
          index={index}
          control={control}
          data={data}
          dayNames={dayNames}
          due={look?.portions.get(written.servings[index]?.id ?? '')}
          errors={errors.servings?.[index]}
          open={opened === written.servings[index]?.id || errors.servings?.[index] !== undefined}
          onToggle={() => {
            const id = written.servings[index]?.id ?? null;
            setOpened(opened === id ? null : id);
          }}
          onRemove={() => servings.remove(index)}
        />
      ))}
      <View style={{ alignItems: 'flex-start' }}>
        <Button
          least="keeper"
          label="Add a serving"
          icon={<Plus size={20} color={colours.ink} />}
          onPress={() => add()}
        />
      </View>
      <Controller
        control={control}
        name="fastWeekdays"
        render={({ field }) => (
          <Choices
            label="Days without food"
            options={format.weekdays}
            value={field.value}
            onChange={field.onChange}
            fieldError={errors.fastWeekdays?.message}
            hint={
              mayNotFast(group.stage)
                ? 'Fry never fast; these days begin when they have grown.'
                : undefined
            }
          />
        )}
      />
      <NumberInput
        control={control}
        name="goalFactor"
        label="How much to feed, times maintenance"
        hint={`Left empty: ${formatSignificant(stageFactor(group.stage, data.species.get(group.speciesKey)))} for «${group.stage}». Conditioning is about 1.8, rest 0.8.`}
      />
      <OnlyNarrow>
        {sums}
        {findings}
      </OnlyNarrow>
      <Button least="keeper" variant="primary" label="Save the diet" onPress={() => submit()} />
    </Screen>
  );
}

function OnlyNarrow({ children }: { children: ReactNode }) {
  return useWide() ? null : <View style={{ gap: 16 }}>{children}</View>;
}

function editOf(diet: DietRow | null): DietEdit {
  return {
    version: diet?.version ?? 0,
    fastWeekdays: diet?.fastWeekdays ?? [],
    goalFactor: diet?.goalFactor ?? null,
    servings: diet?.servings ?? [],
    rules: diet?.rules ?? [],
  };
}

/** What can be computed of a diet that is still being typed: half a number counts as none. */
function readable(diet: DietEdit): DietEdit {
  const number = (value: number | null) =>
    value === null || Number.isNaN(value) || value < 0 ? null : value;
  const goal = number(diet.goalFactor);
  return {
    ...diet,
    goalFactor: goal !== null && goal > 10 ? null : goal,
    servings: diet.servings.map((serving) => ({
      ...serving,
      weight: number(serving.weight) || 1,
      ownUnits: number(serving.ownUnits) || null,
    })),
  };
}
