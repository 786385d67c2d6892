import { zodResolver } from '@hookform/resolvers/zod';
import { householdEdit, type HouseholdSettings } from '@open-larder/contract';
import { Controller, useForm } from 'react-hook-form';
import { Linking, View } from 'react-native';
import type { z } from 'zod';
import { api } from '../store';
import { useWide } from '../theme';
import { StepperInput, TextInput } from '../forms/inputs';
import {
  Button,
  Choice,
  Field,
  Screen,
  StaleNotice,
  Text,
  useSave,
  useToast,
  Waiting,
} from '../ui';
import { DeviceChoices } from './DeviceChoices';
import { Moments } from './Moments';

export function SettingsScreen() {
  const { data, error, refetch } = api.useHouseholdQuery();
  return (
    <Screen title="Settings" back="/round" aside={<Moments />}>
      <DeviceChoices />
      {data ? (
        <HouseholdForm household={data} />
      ) : (
        <Waiting of={{ error, refetch }} rows={5} height={48} />
      )}
      <NarrowMoments />
      <View style={{ alignItems: 'flex-start', gap: 8 }}>
        <Text variant="subtitle">For programs</Text>
        <Button label="The list of addresses (API)" onPress={() => Linking.openURL('/api/docs/')} />
      </View>
    </Screen>
  );
}

function NarrowMoments() {
  return useWide() ? null : <Moments />;
}

function HouseholdForm({ household }: { household: HouseholdSettings }) {
  const toast = useToast();
  const [edit] = api.useEditHouseholdMutation();
  const { id: _, ...values } = household;
  const form = useForm<z.infer<typeof householdEdit>>({
    resolver: zodResolver(householdEdit),
    values,
    resetOptions: { keepDirtyValues: true },
  });
  const { save, stale } = useSave(form);
  const { control, formState, handleSubmit } = form;
  const { errors } = formState;
  const submit = handleSubmit(async (body) => {
    if (await save(() => edit({ body }) as never)) toast('The settings are saved.');
  });
  return (
    <View style={{ gap: 16 }}>
      <StaleNotice
        stale={stale}
        fields={{
          name: 'Name',
          timeZone: 'Time zone',
          units: 'Units',
          temperature: 'Temperature',
          hardness: 'Hardness',
          clock: 'Clock',
          phrases: 'Quick phrases',
        }}
        onKeepMine={() => void submit()}
        // Over what was typed too: keeping it is what the other button is for.
        onTakeTheirs={({ id: __, ...theirs }: HouseholdSettings) =>
          form.reset(theirs, { keepDirtyValues: false })
        }
      />
      <TextInput control={control} name="name" label="Name of the house" />
      <Controller
        control={control}
        name="units"
        render={({ field }) => (
          <Choice
            label="Lengths, volumes and masses"
            value={field.value}
            onChange={field.onChange}
            options={[
              { value: 'metric', label: 'cm, L, g' },
              { value: 'us', label: 'in, gal, oz' },
            ]}
            hint="Any number can be typed with its own unit: «1 1/2 in», «20 gal», «78F»."
          />
        )}
      />
      <Controller
        control={control}
        name="temperature"
        render={({ field }) => (
          <Choice
            label="Temperature"
            value={field.value}
            onChange={field.onChange}
            options={[
              { value: 'C', label: '°C' },
              { value: 'F', label: '°F' },
            ]}
          />
        )}
      />
      <Controller
        control={control}
        name="hardness"
        render={({ field }) => (
          <Choice
            label="Hardness"
            value={field.value}
            onChange={field.onChange}
            options={[
              { value: 'dGH', label: 'dGH' },
              { value: 'ppm', label: 'ppm' },
            ]}
          />
        )}
      />
      <Controller
        control={control}
        name="clock"
        render={({ field }) => (
          <Choice
            label="Clock"
            value={field.value}
            onChange={field.onChange}
            options={[
              { value: '24', label: '18:30' },
              { value: '12', label: '6:30 pm' },
            ]}
          />
        )}
      />
      <Controller
        control={control}
        name="weekStart"
        render={({ field }) => (
          <Choice
            label="The week begins on"
            value={field.value}
            onChange={field.onChange}
            options={[
              { value: 1, label: 'Monday' },
              { value: 7, label: 'Sunday' },
            ]}
          />
        )}
      />
      <Controller
        control={control}
        name="currency"
        render={({ field }) => (
          <Field
            label="Currency"
            value={field.value}
            onChange={(text) => field.onChange(text.toUpperCase())}
            fieldError={errors.currency?.message}
            hint="Three letters: EUR, USD, GBP."
          />
        )}
      />
      <StepperInput
        control={control}
        name="deliveryDays"
        label="Days until a parcel comes"
        step={1}
        min={0}
        max={60}
      />
      <Controller
        control={control}
        name="phrases"
        render={({ field }) => (
          <Field
            label="Quick phrases for notes"
            value={field.value.join(', ')}
            onChange={(text) => field.onChange(text.split(/,\s*/))}
            onBlur={() => field.onChange(field.value.map((one) => one.trim()).filter(Boolean))}
            fieldError={errors.phrases?.message ?? errors.phrases?.find?.((one) => one)?.message}
            hint="What you note most on a round, with commas between: «begging, hid at first»."
          />
        )}
      />
      <TextInput
        control={control}
        name="timeZone"
        label="Time zone"
        hint="Region/City, such as Europe/Berlin. Days and moments follow its clock."
      />
      <Button variant="primary" label="Save" onPress={() => submit()} />
    </View>
  );
}
