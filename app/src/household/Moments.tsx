import { zodResolver } from '@hookform/resolvers/zod';
import { momentCreate, momentEdit, type MomentRow, type Problem } from '@open-larder/contract';
import { useState } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { View } from 'react-native';
import type { z } from 'zod';
import { formatMoment } from '../diet/labels';
import { api, useFormat } from '../store';
import { NumberInput, TextInput } from '../forms/inputs';
import { Button, Card, Choice, ListRow, Sheet, Text, useToast, Waiting } from '../ui';
import { NumberField } from '../ui/NumberField';
import { StaleNotice } from '../ui/StaleNotice';
import { TimeField } from '../ui/TimeField';
import { useSave } from '../ui/useSave';
import { formIntent } from '../store/intent';

/** The moments of the day, named by the keeper. */
export function Moments() {
  const format = useFormat();
  const { data, error, refetch } = api.useMomentsQuery();
  const [open, setOpen] = useState<MomentRow | 'new' | null>(null);
  const shown = (data ?? [])
    .filter((moment) => !moment.archived)
    .sort((a, b) => orderOf(a) - orderOf(b));
  return (
    <View style={{ gap: 12 }}>
      <Text variant="subtitle">Moments of the day</Text>
      {data ? (
        <Card>
          {shown.map((moment, index) => (
            <ListRow
              key={moment.id}
              first={index === 0}
              title={moment.name}
              detail={formatMoment(moment, format)}
              onPress={() => setOpen(moment)}
            />
          ))}
        </Card>
      ) : (
        <Waiting of={{ error, refetch }} rows={3} height={56} />
      )}
      <View style={{ alignItems: 'flex-start' }}>
        <Button least="keeper" label="Name a new moment" onPress={() => setOpen('new')} />
      </View>
      {open ? (
        <MomentSheet moment={open === 'new' ? null : open} onClose={() => setOpen(null)} />
      ) : null}
    </View>
  );
}

/** Clock moments by time, light-relative ones where evening light usually ends. */
const orderOf = (moment: MomentRow) =>
  moment.anchor === 'clock' ? moment.minutes : moment.anchor === 'lightsOn' ? 480 : 1260;

type Values = z.infer<typeof momentEdit>;

function MomentSheet({ moment, onClose }: { moment: MomentRow | null; onClose: () => void }) {
  const toast = useToast();
  const id = moment?.id ?? formIntent('moment.new').id;
  const [create] = api.useCreateMomentMutation();
  const [edit] = api.useEditMomentMutation();
  const form = useForm<Values>({
    resolver: zodResolver(momentEdit),
    defaultValues: moment
      ? without(moment)
      : { name: '', anchor: 'clock', minutes: 1110, spareMin: null, version: 1, archived: false },
  });
  const { save, stale } = useSave(form);
  const { control, formState, handleSubmit, setValue } = form;
  const anchor = useWatch({ control, name: 'anchor' });
  const submit = handleSubmit(async (values) => {
    const { version: _, archived: __, ...fields } = values;
    const saved = await save(() =>
      moment
        ? (edit({ params: { id }, body: values }) as never)
        : (create({ body: momentCreate.parse({ ...fields, id }) }) as never),
    );
    if (!saved) return;
    toast(`«${values.name}» is saved.`);
    onClose();
  });
  const end = async () => {
    if (!moment) return;
    const done = await edit({ params: { id }, body: { ...without(moment), archived: true } });
    if (done.error) {
      toast((done.error as Problem).detail, { tone: 'error' });
      return;
    }
    const { version } = done.data;
    toast(`«${moment.name}» is ended; its servings rest.`, {
      undo: () =>
        void edit({ params: { id }, body: { ...without(moment), version, archived: false } }),
    });
    onClose();
  };
  return (
    <Sheet title={moment ? moment.name : 'A new moment'} open onClose={onClose}>
      <StaleNotice
        stale={stale}
        fields={{
          name: 'Name',
          anchor: 'Counted from',
          minutes: 'Minutes',
          spareMin: 'Minutes that you have',
        }}
        onKeepMine={() => void submit()}
        onTakeTheirs={onClose}
      />
      <TextInput control={control} name="name" label="Name" placeholder="After work" />
      <Controller
        control={control}
        name="anchor"
        render={({ field }) => (
          <Choice
            label="Counted from"
            value={field.value}
            onChange={(value) => {
              field.onChange(value);
              setValue('minutes', value === 'clock' ? 1110 : 20);
            }}
            options={[
              { value: 'clock', label: 'the clock' },
              { value: 'lightsOn', label: 'lights-on' },
              { value: 'lightsOff', label: 'lights-out' },
            ]}
          />
        )}
      />
      <Controller
        control={control}
        name="minutes"
        render={({ field }) =>
          anchor === 'clock' ? (
            <TimeField
              label="Time"
              value={field.value}
              onChange={field.onChange}
              fieldError={formState.errors.minutes?.message}
            />
          ) : (
            <NumberField
              label="Minutes after"
              unit="min"
              value={field.value}
              onChange={field.onChange}
              fieldError={formState.errors.minutes?.message}
              hint="Negative for before. Each tank’s own lights count."
            />
          )
        }
      />
      <NumberInput
        control={control}
        name="spareMin"
        label="Minutes that you have then"
        unit="min"
        hint="For all tanks together. The week weighs its work against this; leave it empty to not."
      />
      <View style={{ flexDirection: 'row', gap: 8, flexWrap: 'wrap' }}>
        <Button least="keeper" variant="primary" label="Save" onPress={() => submit()} />
        {moment ? <Button least="keeper" label="End this moment" onPress={() => end()} /> : null}
      </View>
    </Sheet>
  );
}

function without({ id: _, ...values }: MomentRow): Values {
  return values;
}
