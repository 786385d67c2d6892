import { zodResolver } from '@hookform/resolvers/zod';
import { weighingCreate, type FoodRow } from '@open-larder/contract';
import { formatGrams } from '@open-larder/say';
import { useForm, useWatch } from 'react-hook-form';
import type { z } from 'zod';
import { MeasureInput, NumberInput, TextInput } from '../forms/inputs';
import { api, displayChosen, useAppDispatch, useHand, useNow } from '../store';
import { Button, Sheet, Text, useToast } from '../ui';
import { useSave } from '../ui/useSave';
import { formIntent } from '../store/intent';

type Values = z.infer<typeof weighingCreate>;

/** «Twenty pinches weighed 1.1 g»: from then on the plan knows this hand's pinch. */
export function WeighSheet({ food, onClose }: { food: FoodRow; onClose: () => void }) {
  const toast = useToast();
  const now = useNow();
  const hand = useHand();
  const dispatch = useAppDispatch();
  const { id } = formIntent('weighing', food.id);
  const [add] = api.useAddWeighingMutation();
  const known = food.weighings.at(-1)?.hand;
  const form = useForm<Values>({
    resolver: zodResolver(weighingCreate),
    defaultValues: {
      id,
      day: now.day,
      hand: hand ?? known ?? 'Mine',
      units: 20,
      massG: null as never,
    },
  });
  const { save } = useSave(form);
  const { control, handleSubmit } = form;
  const { units, massG } = useWatch({ control });
  const one = units && massG ? massG / units : null;
  const submit = handleSubmit(async (body) => {
    const saved = await save(
      () => add({ params: { id: food.id }, body: { ...body, id } }) as never,
    );
    if (!saved) return;
    // The first hand that is named on a device is the one that feeds from it.
    if (hand === null) dispatch(displayChosen({ hand: body.hand }));
    toast(`One ${food.unit.name} weighs ${formatGrams(body.massG / body.units)}; portions follow.`);
    onClose();
  });
  return (
    <Sheet title={`Weigh in ${food.unit.plural}`} open onClose={onClose}>
      <Text tone="quiet">
        Serve as you always do, onto the scale, and weigh them all together. Twenty even out what
        the scale and the hand do.
      </Text>
      <NumberInput control={control} name="units" label={`How many ${food.unit.plural}`} />
      <MeasureInput
        control={control}
        name="massG"
        label="They weigh together"
        measure="mass"
        decimals={4}
      />
      <TextInput
        control={control}
        name="hand"
        label="Whose hand"
        hint="A large hand deals a large pinch."
      />
      {one ? (
        <Text>
          One {food.unit.name}: {formatGrams(one)}. Until now the plan took{' '}
          {formatGrams(food.unit.massG)}.
        </Text>
      ) : null}
      <Button variant="primary" label="Note the weighing" onPress={() => submit()} />
    </Sheet>
  );
}
