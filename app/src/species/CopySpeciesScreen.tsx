import { entryOf, OWN, type Species } from '@open-larder/catalogue';
import { speciesEntry } from '@open-larder/catalogue/species';
import { zodResolver } from '@hookform/resolvers/zod';
import type { OwnSpecies } from '@open-larder/contract';
import { useRouter } from 'expo-router';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import { z } from 'zod';
import { api, useHouse } from '../store';
import { Button, Empty, Screen, Text, useToast, Waiting } from '../ui';
import { useDraft } from '../ui/useDraft';
import { useSave } from '../ui/useSave';
import { SpeciesForm, type SpeciesValues } from './SpeciesForm';
import { formIntent } from '../store/intent';

/** A species of the keeper's own, begun as a copy of another. */
export function CopySpeciesScreen({ speciesKey }: { speciesKey: string }) {
  const loaded = useHouse();
  const like = loaded.data?.species.get(speciesKey);
  return (
    <Screen title="A species of your own" back={`/species/${speciesKey}`}>
      {!loaded.data ? (
        <Waiting of={loaded} rows={6} height={48} />
      ) : like ? (
        <CopyForm like={like} />
      ) : (
        <Empty title="No such species" text="Search the list for another one to copy." />
      )}
    </Screen>
  );
}

const schema = z.object({ entry: speciesEntry });

function CopyForm({ like }: { like: Species }) {
  const router = useRouter();
  const toast = useToast();
  const { id } = formIntent('species.copy', like.key);
  const [create] = api.useCreateSpeciesMutation();
  const entry = entryOf(like);
  const form = useForm<SpeciesValues>({
    resolver: zodResolver(schema),
    defaultValues: { entry: { ...entry, common: `${entry.common}, mine`.slice(0, 80) } },
  });
  const forgetDraft = useDraft(`species.copy.${like.key}`, form as never);
  const { save } = useSave(form);
  const submit = form.handleSubmit(async (values) => {
    const body = { id, copiedFrom: like.key, entry: values.entry };
    const made = await save<OwnSpecies>(() => create({ body }) as never);
    if (!made) return;
    forgetDraft();
    toast(`${made.entry.common} is yours. Groups can be of it from now on.`);
    router.replace(`/species/${OWN}${made.id}`);
  });
  return (
    <View style={{ gap: 16 }}>
      <Text tone="quiet">
        A copy of {like.common.toLowerCase()} with every figure. Change what you know better; no
        update of the catalogue will touch it.
      </Text>
      <SpeciesForm control={form.control} />
      <Button variant="primary" label="Keep it as my own" onPress={() => submit()} />
    </View>
  );
}
