import { zodResolver } from '@hookform/resolvers/zod';
import { groupCreate, type Group } from '@open-larder/contract';
import { assumedLengthCm, STAGES } from '@open-larder/core/fish';
import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { View } from 'react-native';
import type { z } from 'zod';
import { api, useHouse, useNow, useFormat, type AppData } from '../store';
import { DateInput, MeasureInput, PickerInput, TextInput } from '../forms/inputs';
import { Button, Screen, useToast, Waiting } from '../ui';
import { Picker } from '../ui/Picker';
import { useDraft } from '../ui/useDraft';
import { useSave } from '../ui/useSave';
import { useSpeciesSearch } from '../species/useSpeciesSearch';
import { Counts } from './Counts';
import { speciesPicks } from './picks';
import { UnlikelyLength } from './UnlikelyLength';
import { formIntent } from '../store/intent';

type Values = z.input<typeof groupCreate>;

export function NewGroupScreen({ tankId }: { tankId: string }) {
  const loaded = useHouse();
  const tank = loaded.data?.tanks.find((one) => one.id === tankId);
  return (
    <Screen
      title="A new group"
      detail={tank ? `in ${tank.name}` : undefined}
      back={`/tanks/${tankId}`}
    >
      {loaded.data ? (
        <GroupForm tankId={tankId} data={loaded.data} />
      ) : (
        <Waiting of={loaded} rows={5} height={48} />
      )}
    </Screen>
  );
}

function GroupForm({ tankId, data }: { tankId: string; data: AppData }) {
  const router = useRouter();
  const toast = useToast();
  const format = useFormat();
  const now = useNow();
  const { id } = formIntent('group.new', tankId);
  const [create] = api.useCreateGroupMutation();
  const form = useForm<Values, unknown, z.output<typeof groupCreate>>({
    resolver: zodResolver(groupCreate),
    defaultValues: {
      id,
      tankId,
      name: '',
      speciesKey: '',
      males: 0,
      females: 0,
      unsexed: 0,
      stage: 'adult',
      lengthCm: null,
      day: now.day,
    },
  });
  const forgetDraft = useDraft(`group.new.${tankId}`, form as never);
  const { save } = useSave<Values>(form as never);
  const { control, formState, handleSubmit, setValue, getValues } = form;
  const { errors } = formState;
  const [speciesKey, stage] = useWatch({ control, name: ['speciesKey', 'stage'] });
  const species = data.species.get(speciesKey);
  const search = useSpeciesSearch(data.species);
  const picks = useMemo(() => speciesPicks(data), [data]);
  const submit = handleSubmit(async (body) => {
    const saved = await save<Group>(() => create({ body: { ...body, id } }) as never);
    if (!saved) return;
    forgetDraft();
    toast(`${saved.name} are in. Say what they eat.`);
    router.replace(`/groups/${saved.id}/diet`);
  });
  return (
    <View style={{ gap: 16 }}>
      <Controller
        control={control}
        name="speciesKey"
        render={({ field }) => (
          <Picker
            label="Species"
            search={search}
            value={field.value}
            picks={picks}
            fieldError={errors.speciesKey?.message}
            placeholder="Choose from the catalogue"
            onChange={(key) => {
              const before = data.species.get(field.value)?.common ?? '';
              field.onChange(key);
              const typed = getValues('name');
              if (typed === '' || typed === before) {
                setValue('name', data.species.get(key)?.common ?? '');
              }
            }}
          />
        )}
      />
      <TextInput control={control} name="name" label="What you call them" />
      <Counts control={control as never} errors={errors as never} />
      <PickerInput
        control={control}
        name="stage"
        label="Stage"
        picks={STAGES.map((one) => ({ value: one, title: one }))}
      />
      <MeasureInput
        control={control}
        name="lengthCm"
        label="Mean length, nose to tail tip"
        measure="length"
        decimals={2}
        hint={
          species
            ? `Left empty, ${format.quantity('length', assumedLengthCm(species, stage))} is assumed for this stage.`
            : 'Left empty, a usual length of the species is assumed.'
        }
      />
      <UnlikelyLength
        asks={errors.confirmed?.message}
        onKeep={() => {
          setValue('confirmed', true);
          void submit();
        }}
      />
      <DateInput control={control} name="day" label="Since" required />
      <Button variant="primary" label="Put them in" onPress={() => submit()} />
    </View>
  );
}
