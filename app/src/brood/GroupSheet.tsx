import { broodEdit, groupCreate, type Problem } from '@open-larder/contract';
import { useState } from 'react';
import { View } from 'react-native';
import { api, useHouse, useNow } from '../store';
import { formIntent } from '../store/intent';
import { Button, Field, fieldErrorsOf, Sheet, Text, useToast, type FieldErrors } from '../ui';
import { NumberField } from '../ui/NumberField';
import { Picker } from '../ui/Picker';
import type { Brood } from './useBroods';

/**
 * The young are made a group: it lives in a tank, has a plan and is served by the Round. Its brood keeps
 * their line, and feeds them no more.
 */
export function GroupSheet({ brood, onClose }: { brood: Brood; onClose: () => void }) {
  const now = useNow();
  const toast = useToast();
  const house = useHouse();
  const [create] = api.useCreateGroupMutation();
  const [edit] = api.useEditBroodMutation();
  const { lengthCm, count, counted } = brood.status;
  const [name, setName] = useState(brood.name);
  const [tankId, setTankId] = useState('');
  const [unsexed, setUnsexed] = useState<number | null>(counted ? count : null);
  const [fieldErrors, setFieldErrors] = useState<FieldErrors>({});
  const intent = formIntent('brood.group', brood.id);
  const save = async () => {
    const { id } = intent;
    const asked = groupCreate.safeParse({
      id,
      name,
      speciesKey: brood.speciesKey,
      tankId,
      males: 0,
      females: 0,
      unsexed: unsexed ?? Number.NaN,
      stage: 'juvenile',
      lengthCm: lengthCm === null ? null : Math.round(lengthCm * 100) / 100,
      day: now.day,
    });
    if (!asked.success) {
      setFieldErrors(
        Object.fromEntries(
          asked.error.issues.map(({ path, message }) => [path.join('.'), message]),
        ),
      );
      return;
    }
    const made = await create({ body: asked.data });
    if (made.error) {
      setFieldErrors(fieldErrorsOf(made.error as Problem));
      toast((made.error as Problem).detail, { tone: 'error' });
      return;
    }
    const linked = await edit({
      params: { id: brood.id },
      body: broodEdit.parse({ ...brood, youngGroupId: id }),
    });
    toast(
      linked.error
        ? `${name} is a group now. Choose it as the young’s group under Correct.`
        : `${name} is a group now: plan its meals, and the Round serves it.`,
      linked.error ? { tone: 'error' } : {},
    );
    onClose();
  };
  return (
    <Sheet title="Make them a group" open onClose={onClose}>
      <Text tone="quiet">
        They get a tank, a plan and servings of their own. What happened to the brood stays.
      </Text>
      <Field label="Name" value={name} onChange={setName} fieldError={fieldErrors.name} />
      <Picker
        label="Tank"
        value={tankId}
        placeholder="Choose a tank"
        picks={(house.data?.tanks ?? []).map((tank) => ({ value: tank.id, title: tank.name }))}
        onChange={setTankId}
        fieldError={fieldErrors.tankId ? 'Choose the tank that they move into' : undefined}
      />
      <NumberField
        label="How many"
        value={unsexed}
        onChange={setUnsexed}
        fieldError={fieldErrors.unsexed}
      />
      <View style={{ alignItems: 'flex-start' }}>
        <Button variant="primary" label="Make them a group" onPress={save} />
      </View>
    </Sheet>
  );
}
