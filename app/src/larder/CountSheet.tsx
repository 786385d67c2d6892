import { zodResolver } from '@hookform/resolvers/zod';
import { lotCount, type FoodRow, type LotRow } from '@open-larder/contract';
import { useForm } from 'react-hook-form';
import type { z } from 'zod';
import { api, useNow, useFormat } from '../store';
import { MeasureInput } from '../forms/inputs';
import { Button, Sheet, Text, useToast, lowerFirst } from '../ui';
import { useSave } from '../ui/useSave';
import { nowIso } from '../store/clock';
import { formIntent } from '../store/intent';

type Values = z.infer<typeof lotCount>;

/** Counting a lot: what is really there, noted beside what was thought. */
export function CountSheet({
  food,
  lot,
  onClose,
}: {
  food: FoodRow;
  lot: LotRow;
  onClose: () => void;
}) {
  const toast = useToast();
  const format = useFormat();
  const now = useNow();
  const intent = formIntent('count', lot.id);
  const [count] = api.useCountLotMutation();
  const form = useForm<Values>({
    resolver: zodResolver(lotCount),
    defaultValues: { id: intent.id, day: now.day, remainingG: Math.max(0, lot.remainingG) },
  });
  const { save } = useSave(form);
  const { control, handleSubmit } = form;
  const submit = handleSubmit(async (body) => {
    const saved = await save(
      () =>
        count({ params: { id: lot.id }, body: { ...body, id: intent.id, at: nowIso() } }) as never,
    );
    if (!saved) return;
    toast('The shelf is corrected.');
    onClose();
  });
  return (
    <Sheet title={`Count ${lowerFirst(food.name)}`} open onClose={onClose}>
      <Text tone="quiet">
        By the book {format.quantity('mass', lot.remainingG)} are left. What is really there?
      </Text>
      <MeasureInput control={control} name="remainingG" label="Left" measure="mass" />
      <Button variant="primary" label="Note the count" onPress={() => submit()} />
    </Sheet>
  );
}
