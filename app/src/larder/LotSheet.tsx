import { zodResolver } from '@hookform/resolvers/zod';
import { lotCreate, lotEdit, type FoodRow, type LotRow } from '@open-larder/contract';
import { unitOf } from '@open-larder/contract/servingUnit';
import { addDays } from '@open-larder/core/round';
import { keptDays, usualPlace, type Place } from '@open-larder/core/stock';
import { useEffect, useRef } from 'react';
import { useForm, useWatch, type UseFormReturn } from 'react-hook-form';
import { View } from 'react-native';
import type { z } from 'zod';
import { api, useNow } from '../store';
import { Button, Sheet, useToast, lowerFirst } from '../ui';
import { StaleNotice } from '../ui/StaleNotice';
import { useSave } from '../ui/useSave';
import { LotFields } from './LotFields';
import { usePrintLabels } from './usePrintLabels';
import { formIntent } from '../store/intent';

interface Props {
  food: FoodRow;
  /** The lot to correct; null buys another. */
  lot: LotRow | null;
  onClose: () => void;
}

export function LotSheet({ food, lot, onClose }: Props) {
  return (
    <Sheet
      title={lot ? `A lot of ${lowerFirst(food.name)}` : `More ${lowerFirst(food.name)}`}
      open
      onClose={onClose}
    >
      {lot ? (
        <EditLot food={food} lot={lot} onClose={onClose} />
      ) : (
        <BuyLot food={food} onClose={onClose} />
      )}
    </Sheet>
  );
}

function BuyLot({ food, onClose }: { food: FoodRow; onClose: () => void }) {
  const toast = useToast();
  const now = useNow();
  const { data: household } = api.useHouseholdQuery();
  const { id } = formIntent('lot.new', food.id);
  const [add] = api.useAddLotMutation();
  const form = useForm<z.infer<typeof lotCreate>>({
    resolver: zodResolver(lotCreate),
    defaultValues: {
      id,
      amountG: null as never,
      costMinor: null,
      place: lastPlace(food),
      boughtOn: now.day,
      openedOn: null,
      bestBefore: goodFor(food, lastPlace(food), now.day),
    },
  });
  useFreezing(form as never, food);
  const { save } = useSave(form);
  const submit = form.handleSubmit(async (body) => {
    const saved = await save(
      () => add({ params: { id: food.id }, body: { ...body, id } }) as never,
    );
    if (!saved) return;
    toast(`${food.name} is on the shelf.`);
    onClose();
  });
  return (
    <>
      <LotFields
        control={form.control as never}
        at=""
        amount
        currency={household?.currency ?? 'EUR'}
        unit={unitOf(food, null)}
      />
      <Button variant="primary" label="Put it on the shelf" onPress={() => submit()} />
    </>
  );
}

function EditLot({ food, lot, onClose }: { food: FoodRow; lot: LotRow; onClose: () => void }) {
  const toast = useToast();
  const print = usePrintLabels();
  const { data: household } = api.useHouseholdQuery();
  const [edit] = api.useEditLotMutation();
  const form = useForm<z.infer<typeof lotEdit>>({
    resolver: zodResolver(lotEdit),
    defaultValues: {
      version: lot.version,
      costMinor: lot.costMinor,
      place: lot.place,
      boughtOn: lot.boughtOn,
      openedOn: lot.openedOn,
      bestBefore: lot.bestBefore,
    },
  });
  useFreezing(form as never, food);
  const { save, stale } = useSave(form);
  const submit = form.handleSubmit(async (body) => {
    const saved = await save(() => edit({ params: { id: lot.id }, body }) as never);
    if (!saved) return;
    toast('The lot is saved.');
    onClose();
  });
  return (
    <>
      <StaleNotice
        stale={stale}
        fields={{
          costMinor: 'Price',
          place: 'Kept in the',
          openedOn: 'Opened',
          bestBefore: 'Best before',
        }}
        onKeepMine={() => void submit()}
        onTakeTheirs={onClose}
      />
      <LotFields
        control={form.control as never}
        at=""
        amount={false}
        currency={household?.currency ?? 'EUR'}
      />
      <View style={{ alignItems: 'flex-start' }}>
        <Button variant="bare" label="Print labels" onPress={() => print(lot.id)} />
      </View>
      <Button variant="primary" label="Save" onPress={() => submit()} />
    </>
  );
}

/** The last good day of what is put there today; null where it makes no difference. */
function goodFor({ keeps }: FoodRow, place: Place, today: string): string | null {
  const days = keptDays(place, keeps.sealedDays);
  return days === null ? null : addDays(today, days);
}

/** What goes into the freezer keeps for longer: its last day follows, unless one was typed. */
function useFreezing(
  form: UseFormReturn<{ place: Place; bestBefore: string | null }>,
  food: FoodRow,
): void {
  const { day } = useNow();
  const { control, setValue, formState } = form;
  const place = useWatch({ control, name: 'place' });
  const typed = formState.dirtyFields.bestBefore === true;
  const before = useRef(place);
  useEffect(() => {
    if (before.current === place) return;
    before.current = place;
    const { sealedDays } = food.keeps;
    if (!typed && keptDays('freezer', sealedDays) !== sealedDays) {
      setValue('bestBefore', goodFor(food, place, day));
    }
  }, [place, typed, food, day, setValue]);
}

/** Where the last lot of it stands, or where its kind usually does. */
const lastPlace = (food: FoodRow): Place => food.lots.at(-1)?.place ?? usualPlace(food.kind);
