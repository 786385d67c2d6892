import { zodResolver } from '@hookform/resolvers/zod';
import type { BreedingStrategy } from '@open-larder/catalogue/breedingStrategies';
import { broodEdit, type BroodFields } from '@open-larder/contract';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import { api, useHouse } from '../store';
import { Button, Sheet, useToast } from '../ui';
import { StaleNotice } from '../ui/StaleNotice';
import { useSave } from '../ui/useSave';
import { BroodFieldsInput } from './fields';
import type { Brood } from './useBroods';

/** Correct what is said of a brood, and choose among the practices. */
export function CorrectBroodSheet({
  brood,
  strategies,
  onClose,
}: {
  brood: Brood;
  strategies: readonly BreedingStrategy[];
  onClose: () => void;
}) {
  const toast = useToast();
  const house = useHouse();
  const [edit] = api.useEditBroodMutation();
  const form = useForm<BroodFields>({
    resolver: zodResolver(broodEdit),
    defaultValues: broodEdit.parse(brood),
  });
  const { save, stale } = useSave(form);
  const submit = form.handleSubmit(async (body) => {
    if (!(await save(() => edit({ params: { id: brood.id }, body })))) return;
    toast(`${body.name} is corrected.`);
    onClose();
  });
  return (
    <Sheet title={`Correct ${brood.name}`} open onClose={onClose}>
      <StaleNotice
        stale={stale}
        fields={{ name: 'Name', raising: 'Where the young grow up', firstFood: 'The first food' }}
        onKeepMine={() => void submit()}
        onTakeTheirs={onClose}
      />
      <BroodFieldsInput
        control={form.control as never}
        strategies={strategies}
        species={brood.species}
        data={house.data ?? null}
      />
      <View style={{ alignItems: 'flex-start' }}>
        <Button variant="primary" label="Save" onPress={() => submit()} />
      </View>
    </Sheet>
  );
}
