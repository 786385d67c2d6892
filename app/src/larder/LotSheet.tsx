import { zodResolver } from '@hookform/resolvers/zod';
import { lotCreate, lotEdit, type FoodRow, type LotRow } from '@open-larder/contract';
import { unitOf } from '@open-larder/contract/handUnit';
import { addDays } from '@open-larder/core/round';
import { usualPlace, type Place } from '@open-larder/core/stock';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import type { z } from 'zod';
import { api, useNow } from '../store';
import { Button, Sheet, StaleNotice, useSave, useSay, lowerFirst } from '../ui';
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
      {lot ? <EditLot lot={lot} onClose={onClose} /> : <BuyLot food={food} onClose={onClose} />}
    </Sheet>
  );
}

function BuyLot({ food, onClose }: { food: FoodRow; onClose: () => void }) {
  const say = useSay();
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
      bestBefore: food.keeps.sealedDays === null ? null : addDays(now.day, food.keeps.sealedDays),
    },
  });
  const { save } = useSave(form);
  const submit = form.handleSubmit(async (body) => {
    const saved = await save(
      () => add({ params: { id: food.id }, body: { ...body, id } }) as never,
    );
    if (!saved) return;
    say(`${food.name} is on the shelf.`);
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
      <Button look="primary" label="Put it on the shelf" onPress={() => submit()} />
    </>
  );
}

function EditLot({ lot, onClose }: { lot: LotRow; onClose: () => void }) {
  const say = useSay();
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
  const { save, stale } = useSave(form);
  const submit = form.handleSubmit(async (body) => {
    const saved = await save(() => edit({ params: { id: lot.id }, body }) as never);
    if (!saved) return;
    say('The lot is saved.');
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
        <Button look="bare" label="Print labels" onPress={() => print(lot.id)} />
      </View>
      <Button look="primary" label="Save" onPress={() => submit()} />
    </>
  );
}

/** Where the last lot of it stands, or where its kind usually does. */
const lastPlace = (food: FoodRow): Place => food.lots.at(-1)?.place ?? usualPlace(food.kind);
