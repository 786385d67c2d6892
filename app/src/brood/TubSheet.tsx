import { zodResolver } from '@hookform/resolvers/zod';
import {
  broodTubCreate,
  broodTubEdit,
  type BroodTubCreate,
  type BroodTubRow,
} from '@open-larder/contract';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import type { z } from 'zod';
import { FormFields, type FormField } from '../forms/FormFields';
import { api, useFormat } from '../store';
import { formIntent } from '../store/intent';
import { Button, Sheet, Text, useToast } from '../ui';
import { StaleNotice } from '../ui/StaleNotice';
import { useSave } from '../ui/useSave';
import type { Brood } from './useBroods';

/** A tub as it is entered, in a form of its own or beside others. */
export type TubValues = Omit<BroodTubCreate, 'id'>;

const TUB_FIELDS: FormField<TubValues>[] = [
  { name: 'name', label: 'Name of the tub', as: 'text', placeholder: 'Tub by the window' },
  { name: 'litres', label: 'Water in it', as: 'measure', measure: 'volume', decimals: 1 },
  { name: 'tempC', label: 'Temperature', as: 'measure', measure: 'temperature', decimals: 1 },
  { name: 'ph', label: 'pH, if you tested it', as: 'number', decimals: 1 },
  {
    name: 'filtered',
    label: 'Filter',
    as: 'yesNo',
    words: { no: 'none, or new', yes: 'one that has grown in' },
  },
];

/** What is said of a tub that is entered along with something else. @param at the path of the tub there */
export const tubFieldsAt = (at: string) =>
  TUB_FIELDS.map((field) => ({ ...field, name: `${at}.${field.name}` }));

const NAMES = Object.fromEntries(TUB_FIELDS.map(({ name, label }) => [name, label]));

interface Props {
  brood: Brood;
  /** The tub to correct; null adds another. */
  tub: BroodTubRow | null;
  onClose: () => void;
}

export function TubSheet({ brood, tub, onClose }: Props) {
  return (
    <Sheet title={tub ? `Correct ${tub.name}` : 'Another tub'} open onClose={onClose}>
      {tub ? (
        <CorrectTub brood={brood} tub={tub} onClose={onClose} />
      ) : (
        <AddTub brood={brood} onClose={onClose} />
      )}
    </Sheet>
  );
}

function CorrectTub({ brood, tub, onClose }: Props & { tub: BroodTubRow }) {
  const toast = useToast();
  const [edit] = api.useEditBroodTubMutation();
  const form = useForm<z.infer<typeof broodTubEdit>>({
    resolver: zodResolver(broodTubEdit),
    defaultValues: broodTubEdit.parse(tub),
  });
  const { save, stale } = useSave(form);
  const submit = form.handleSubmit(async (body) => {
    if (!(await save(() => edit({ params: { id: tub.id }, body })))) return;
    toast(`${body.name} is corrected.`);
    onClose();
  });
  return (
    <>
      <StaleNotice
        stale={stale}
        fields={NAMES}
        onKeepMine={() => void submit()}
        onTakeTheirs={onClose}
      />
      <FormFields control={form.control as never} fields={TUB_FIELDS} />
      <FillAndSave brood={brood} onSave={submit} />
    </>
  );
}

function AddTub({ brood, onClose }: Omit<Props, 'tub'>) {
  const toast = useToast();
  const [add] = api.useAddBroodTubMutation();
  const { id } = formIntent('tub.new', brood.id);
  const last = brood.tubs.at(-1);
  const form = useForm<BroodTubCreate>({
    resolver: zodResolver(broodTubCreate),
    defaultValues: {
      id,
      name: '',
      litres: last?.litres ?? (null as never),
      tempC: last?.tempC ?? (null as never),
      ph: last?.ph ?? null,
      filtered: false,
    },
  });
  const { save } = useSave(form);
  const submit = form.handleSubmit(async (body) => {
    if (!(await save(() => add({ params: { id: brood.id }, body: { ...body, id } })))) return;
    toast(`${body.name} is added.`);
    onClose();
  });
  return (
    <>
      <FormFields control={form.control as never} fields={TUB_FIELDS} />
      <FillAndSave brood={brood} onSave={submit} />
    </>
  );
}

function FillAndSave({ brood, onSave }: { brood: Brood; onSave: () => Promise<void> }) {
  const format = useFormat();
  return (
    <>
      <Text variant="small" tone="quiet">
        Fill it with seasoned water of a running tank or of the parents, as warm as theirs (
        {format.quantity('temperature', brood.tubs.at(-1)?.tempC ?? 24)}): never raw tap.
      </Text>
      <View style={{ alignItems: 'flex-start' }}>
        <Button variant="primary" label="Save" onPress={() => onSave()} />
      </View>
    </>
  );
}
