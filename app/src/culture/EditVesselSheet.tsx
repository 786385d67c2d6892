import { zodResolver } from '@hookform/resolvers/zod';
import { vesselEdit, type VesselFields } from '@open-larder/contract';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import { FormFields } from '../forms/FormFields';
import { api, useFormat } from '../store';
import { Button, Sheet, Text, useToast } from '../ui';
import { StaleNotice } from '../ui/StaleNotice';
import { useSave } from '../ui/useSave';
import { vesselFields } from './fields';
import type { Culture } from './useCultures';

/** Correct what is said of a vessel. What happened to it is corrected by undoing it. */
export function EditVesselSheet({ culture, onClose }: { culture: Culture; onClose: () => void }) {
  const toast = useToast();
  const format = useFormat();
  const foods = api.useFoodsQuery();
  const kinds = api.useCultureKindsQuery();
  const [edit] = api.useEditVesselMutation();
  const form = useForm<VesselFields>({
    resolver: zodResolver(vesselEdit),
    defaultValues: vesselEdit.parse(culture),
  });
  const { save, stale } = useSave(form);
  const submit = form.handleSubmit(async (body) => {
    const saved = await save(() => edit({ params: { id: culture.id }, body }));
    if (!saved) return;
    toast(`${body.name} is corrected.`);
    onClose();
  });
  const fields = vesselFields({
    kind: culture.kind,
    kinds: kinds.data ?? [],
    foods: foods.data ?? [],
    none: 'None of them',
    format,
  });
  return (
    <Sheet title={`Correct ${culture.name}`} open onClose={onClose}>
      <StaleNotice
        stale={stale}
        fields={Object.fromEntries(fields.map(({ name, label }) => [name, label]))}
        onKeepMine={() => void submit()}
        onTakeTheirs={onClose}
      />
      <FormFields control={form.control as never} fields={fields} />
      <Text variant="small" tone="quiet">
        Kind, start and parent cannot be changed. If they are wrong, end it and start another.
      </Text>
      <View style={{ alignItems: 'flex-start' }}>
        <Button variant="primary" label="Save" onPress={() => submit()} />
      </View>
    </Sheet>
  );
}
