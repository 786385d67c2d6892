import type { Problem } from '@open-larder/contract';
import { useState } from 'react';
import { View } from 'react-native';
import { api } from '../store';
import { Button, fieldErrorsOf, Sheet, Text, useToast, type FieldErrors } from '../ui';
import { VesselFieldsInput, type Draft } from './fields';
import type { Culture } from './useCultures';

/** Correct what is said of a vessel. What happened to it is corrected by undoing it. */
export function EditVesselSheet({ culture, onClose }: { culture: Culture; onClose: () => void }) {
  const toast = useToast();
  const foods = api.useFoodsQuery();
  const kinds = api.useCultureKindsQuery();
  const [edit] = api.useEditVesselMutation();
  const [draft, setDraft] = useState<Draft>(() => draftOf(culture));
  const [fieldErrors, setFieldErrors] = useState<FieldErrors>({});
  const save = async () => {
    const { measure, tempC, ...rest } = draft;
    const body = {
      ...rest,
      version: culture.version,
      measure: measure ?? Number.NaN,
      tempC: tempC ?? Number.NaN,
    };
    const done = await edit({ params: { id: culture.id }, body });
    if (done.error) {
      const problem = done.error as Problem;
      setFieldErrors(fieldErrorsOf(problem));
      // What is wrong is shown beside its field.
      toast(problem.errors ? problem.title : problem.detail, { tone: 'error' });
      return;
    }
    toast(`${draft.name} is corrected.`);
    onClose();
  };
  return (
    <Sheet title={`Correct ${culture.name}`} open onClose={onClose}>
      <VesselFieldsInput
        kind={culture.kind}
        draft={draft}
        fieldErrors={fieldErrors}
        kinds={kinds.data ?? []}
        foods={foods.data ?? []}
        none="None of them"
        onChange={setDraft}
      />
      <Text variant="small" tone="quiet">
        Its kind, its start and its parent stay as they are: end it and start another where they are
        wrong.
      </Text>
      <View style={{ alignItems: 'flex-start' }}>
        <Button variant="primary" label="Save" onPress={() => save()} />
      </View>
    </Sheet>
  );
}

const draftOf = ({
  name,
  measure,
  tempC,
  strain,
  place,
  startedFrom,
  water,
  tools,
  foodId,
  alsoKindKey,
}: Culture): Draft => ({
  name,
  measure,
  tempC,
  strain,
  place,
  startedFrom,
  water,
  tools,
  foodId,
  alsoKindKey,
});
