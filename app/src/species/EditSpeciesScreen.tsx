import { OWN } from '@open-larder/catalogue';
import { zodResolver } from '@hookform/resolvers/zod';
import { speciesEdit, type OwnSpecies } from '@open-larder/contract';
import { useRouter } from 'expo-router';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import type { z } from 'zod';
import { api, useHouse } from '../store';
import { Button, Empty, Screen, useToast, Waiting } from '../ui';
import { StaleNotice } from '../ui/StaleNotice';
import { useDraft } from '../ui/useDraft';
import { useSave } from '../ui/useSave';
import { SPECIES_SECTIONS } from './fields';
import { SpeciesForm } from './SpeciesForm';

/** What each figure is called, for comparing two versions. */
const LABELS = Object.fromEntries(
  SPECIES_SECTIONS.flatMap(({ title, inputs }) =>
    inputs.map(({ field, label }) => [field, `${title}, ${label.toLowerCase()}`]),
  ),
);

type Values = z.output<typeof speciesEdit>;

export function EditSpeciesScreen({ speciesKey }: { speciesKey: string }) {
  const loaded = useHouse();
  const own = loaded.data?.ownSpecies.find((one) => OWN + one.id === speciesKey);
  return (
    <Screen
      title={own ? `Change ${own.entry.common}` : 'Change a species'}
      back={`/species/${speciesKey}`}
    >
      {!loaded.data ? (
        <Waiting of={loaded} rows={6} height={48} />
      ) : own ? (
        <EditForm own={own} />
      ) : (
        <Empty
          title="Not yours to change"
          text="Species of the catalogue stay as they are. Copy this one, and change the copy."
        />
      )}
    </Screen>
  );
}

function EditForm({ own: { id, copiedFrom: _, ...values } }: { own: OwnSpecies }) {
  const router = useRouter();
  const toast = useToast();
  const [edit] = api.useEditSpeciesMutation();
  const form = useForm<Values>({ resolver: zodResolver(speciesEdit), defaultValues: values });
  const forgetDraft = useDraft(`species.${id}`, form as never);
  const { save, stale } = useSave(form);
  const submit = form.handleSubmit(async (body) => {
    const saved = await save<OwnSpecies>(() => edit({ params: { id }, body }) as never);
    if (!saved) return;
    forgetDraft();
    toast(`${saved.entry.common} is saved; needs and portions follow it.`);
    router.replace(`/species/${OWN}${id}`);
  });
  return (
    <View style={{ gap: 16 }}>
      <StaleNotice
        stale={stale}
        fields={LABELS}
        within={({ entry }: OwnSpecies) => entry}
        onKeepMine={() => void submit()}
        onTakeTheirs={({ id: __, copiedFrom: ___, ...theirs }: OwnSpecies) => form.reset(theirs)}
      />
      <SpeciesForm control={form.control as never} />
      <Button variant="primary" label="Save" onPress={() => submit()} />
    </View>
  );
}
