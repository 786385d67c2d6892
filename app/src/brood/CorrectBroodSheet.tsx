import type { BreedingStrategy } from '@open-larder/catalogue/breedingStrategies';
import type { Problem } from '@open-larder/contract';
import { useState } from 'react';
import { View } from 'react-native';
import { api, useHouse } from '../store';
import { Button, Sheet, useToast, fieldErrorsOf, type FieldErrors } from '../ui';
import { BroodFieldsInput, type BroodDraft } from './fields';
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
  const {
    id,
    speciesKey: _,
    species: __,
    strategy: ___,
    status: ____,
    work: _____,
    tubs: ______,
    ...fields
  } = brood;
  const { version, ...kept } = fields;
  const [draft, setDraft] = useState<BroodDraft>(kept);
  const [fieldErrors, setFieldErrors] = useState<FieldErrors>({});
  const save = async () => {
    const done = await edit({ params: { id }, body: { ...draft, version } });
    if (done.error) {
      const problem = done.error as Problem;
      setFieldErrors(fieldErrorsOf(problem));
      toast(problem.errors ? problem.title : problem.detail, { tone: 'error' });
      return;
    }
    toast(`${draft.name} is corrected.`);
    onClose();
  };
  return (
    <Sheet title={`Correct ${brood.name}`} open onClose={onClose}>
      <BroodFieldsInput
        draft={draft}
        fieldErrors={fieldErrors}
        strategies={strategies}
        species={brood.species}
        data={house.data ?? null}
        onChange={setDraft}
      />
      <View style={{ alignItems: 'flex-start' }}>
        <Button variant="primary" label="Save" onPress={() => save()} />
      </View>
    </Sheet>
  );
}
