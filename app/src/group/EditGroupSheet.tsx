import { zodResolver } from '@hookform/resolvers/zod';
import { groupEdit, type Group } from '@open-larder/contract';
import { useForm } from 'react-hook-form';
import type { z } from 'zod';
import { PickerInput, TextInput } from '../forms/inputs';
import { useSpeciesSearch } from '../species/useSpeciesSearch';
import { api, type AppData } from '../store';
import { Button, Sheet, Text, useToast } from '../ui';
import { StaleNotice } from '../ui/StaleNotice';
import { useSave } from '../ui/useSave';
import { speciesPicks } from './picks';

type Values = z.output<typeof groupEdit>;

interface Props {
  group: Group;
  data: AppData;
  onClose: () => void;
}

/** What a group is called, and of which species it is: a mistake, or a row of the keeper's own. */
export function EditGroupSheet({ group, data, onClose }: Props) {
  const toast = useToast();
  const [edit] = api.useEditGroupMutation();
  const search = useSpeciesSearch(data.species);
  const { name, speciesKey, version, archived } = group;
  const form = useForm<Values>({
    resolver: zodResolver(groupEdit),
    defaultValues: { name, speciesKey, version, archived },
  });
  const { save, stale } = useSave(form);
  const submit = form.handleSubmit(async (body) => {
    const saved = await save<Group>(() => edit({ params: { id: group.id }, body }) as never);
    if (!saved) return;
    toast(`${saved.name} is saved; needs and portions follow.`);
    onClose();
  });
  return (
    <Sheet title="Name and species" open onClose={onClose}>
      <StaleNotice
        stale={stale}
        fields={{ name: 'Name', speciesKey: 'Species' }}
        onKeepMine={() => void submit()}
        onTakeTheirs={({ name, speciesKey, version }: Group) =>
          form.reset({ name, speciesKey, version, archived })
        }
      />
      <Text tone="quiet">
        What they eat and what happened to them stays; what they need is recalculated.
      </Text>
      <TextInput control={form.control} name="name" label="What you call them" />
      <PickerInput
        control={form.control}
        name="speciesKey"
        label="Species"
        search={search}
        picks={speciesPicks(data)}
      />
      <Button variant="primary" label="Save" onPress={() => submit()} />
    </Sheet>
  );
}
