import { zodResolver } from '@hookform/resolvers/zod';
import { trialCreate, type Group, type TrialRow } from '@open-larder/contract';
import { usualLength } from '@open-larder/core/growth';
import { addDays } from '@open-larder/core/round';
import { randomised, fishByWeeks, LOOKED_AT_WEEKS, USUAL_CV } from '@open-larder/core/trial';
import { formatNumber } from '@open-larder/say';
import { useMemo, useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { View } from 'react-native';
import type { z } from 'zod';
import { DateInput, PickerInput, StepperInput, TextInput } from '../forms/inputs';
import { useNow, useFormat, type AppData } from '../store';
import { ledgerApi } from '../store/ledgerApi';
import { Button, Card, Choice, Disclosure, Field, ListRow, Sheet, Text, useToast } from '../ui';
import { useSave } from '../ui/useSave';
import { formatPercent } from '../growth/labels';
import { readLengths } from '../growth/readLengths';
import { formatNeeded } from './labels';
import { nowMs } from '../store/clock';
import { formIntent } from '../store/intent';

interface Props {
  data: AppData;
  /** One that is changed; left out, a new one is planned. */
  trial?: TrialRow;
  onClose: () => void;
}

type Values = z.input<typeof trialCreate>;

/** Plan a trial: what is asked, how many fish it takes, and which fish go where. */
export function TrialSheet({ data, trial, onClose }: Props) {
  const toast = useToast();
  const now = useNow();
  const [create, creating] = ledgerApi.useCreateTrialMutation();
  const [edit, editing] = ledgerApi.useEditTrialMutation();
  const groups = data.groups.filter(({ archived }) => !archived);
  const { id } = formIntent('trial.new');
  const form = useForm<Values, unknown, z.output<typeof trialCreate>>({
    resolver: zodResolver(trialCreate),
    defaultValues: {
      id,
      kind: trial?.kind ?? 'siblings',
      name: trial?.name ?? '',
      groupId: trial?.groupId ?? '',
      otherGroupId: trial?.otherGroupId ?? null,
      from: trial?.from ?? now.day,
      changedOn: trial?.changedOn ?? null,
      weeks: trial?.weeks ?? 8,
      difference: trial?.difference ?? 0.3,
      tubsEach: trial?.tubsEach ?? 1,
      note: trial?.note ?? '',
    },
  });
  const { save } = useSave<Values>(form as never);
  const { control, setValue, getValues } = form;
  const { kind, name, groupId, weeks, difference, tubsEach = 1 } = useWatch({ control }) as Values;
  const group = groups.find((one) => one.id === groupId);
  const siblings = groups.filter(
    (one) => one.id !== groupId && (!group || one.speciesKey === group.speciesKey),
  );
  const submit = form.handleSubmit(async (valid) => {
    const saved = await save<unknown>(() =>
      trial
        ? edit({
            params: { id: trial.id },
            body: {
              ...valid,
              version: trial.version,
              endedOn: trial.endedOn,
              archived: trial.archived,
            },
          })
        : create({ body: { ...valid, id } }),
    );
    if (!saved) return;
    toast(
      trial
        ? `${valid.name}: the trial is changed.`
        : `${valid.name}: the trial is planned. Measure a few of each side now.`,
    );
    onClose();
  });
  return (
    <Sheet title={trial ? `Change ${trial.name}` : 'Plan a trial'} open onClose={onClose}>
      {trial ? null : (
        <Choice
          label="How"
          value={kind}
          onChange={(how) => {
            setValue('kind', how);
            // What only the other way has is not sent along.
            setValue('otherGroupId', null);
            setValue('changedOn', how === 'tank' ? addDays(getValues('from'), 28) : null);
            setValue('tubsEach', 1);
          }}
          options={[
            { value: 'siblings', label: 'two tubs of siblings' },
            { value: 'tank', label: 'one tank, before and after' },
          ]}
          hint={
            kind === 'siblings'
              ? 'Surest: the same clutch, the same water, one diet each.'
              : 'Less sure: warmth and season change too. Growth is set against what is usual at each size.'
          }
        />
      )}
      <TextInput
        control={control}
        name="name"
        label="What is asked"
        placeholder="Worms against flake"
      />
      {trial ? null : (
        <PickerInput
          control={control}
          name="groupId"
          label={kind === 'siblings' ? 'One side, on the old diet' : 'Which fish'}
          placeholder="Choose a group"
          picks={groups.map((one) => ({
            value: one.id,
            title: one.name,
            detail: where(data, one),
          }))}
        />
      )}
      {kind === 'siblings' && !trial ? (
        <PickerInput
          control={control}
          name="otherGroupId"
          label="The other, on the new diet"
          placeholder="Choose a group"
          hint="No second tub yet? Assign them below, then split the group on its page."
          picks={siblings.map((one) => ({
            value: one.id,
            title: one.name,
            detail: where(data, one),
          }))}
        />
      ) : null}
      <DateInput control={control} name="from" label="From" required />
      {kind === 'tank' ? (
        <DateInput control={control} name="changedOn" label="The diet changes on" />
      ) : null}
      <StepperInput control={control} name="weeks" label="Weeks" step={1} min={1} max={52} />
      <StepperInput
        control={control}
        name="difference"
        label="Difference in growth that is worth seeing"
        step={0.05}
        min={0.05}
        max={2}
        format={formatPercent}
      />
      {kind === 'siblings' ? (
        <StepperInput
          control={control}
          name="tubsEach"
          label="Tubs on each side"
          step={1}
          min={1}
          max={20}
          hint="Fish of one tub share its luck: two tubs show more than twice the fish in one."
        />
      ) : null}
      {group ? (
        <Needed {...{ group, data, weeks, difference, tubsEach }} />
      ) : (
        <Text tone="quiet">Choose the fish to see how many it takes.</Text>
      )}
      {kind === 'siblings' && group ? (
        <Randomise
          group={group}
          onNote={(randomised) => {
            const note = [getValues('note'), randomised].filter(Boolean).join(' ');
            setValue('note', note.slice(0, 500));
          }}
        />
      ) : null}
      <TextInput control={control} name="note" label="Note" />
      <Button
        variant="primary"
        label={trial ? 'Change it' : 'Plan it'}
        disabled={creating.isLoading || editing.isLoading || name.trim() === '' || groupId === ''}
        onPress={() => submit()}
      />
    </Sheet>
  );
}

const where = (data: AppData, { tankId, size }: Group) =>
  `${size.total} fish, ${data.tanks.find(({ id }) => id === tankId)?.name ?? ''}`;

/** How many fish and weeks show the difference four times in five. */
function Needed({
  group,
  data,
  weeks,
  difference,
  tubsEach,
}: {
  group: Group;
  data: AppData;
  weeks: number;
  difference: number;
  tubsEach: number;
}) {
  const format = useFormat();
  const species = data.species.get(group.speciesKey);
  const tempC = data.tanks.find(({ id }) => id === group.tankId)?.tempC ?? 25;
  if (!species) return null;
  const lengthCm = group.lengthCm ?? species.adultLengthCm / 3;
  const growsCm = usualLength(species, tempC, lengthCm, 7) - lengthCm;
  const rows = fishByWeeks(
    { lengthCm, cv: USUAL_CV, growsCm, difference },
    [...new Set([...LOOKED_AT_WEEKS, weeks])].sort((a, b) => a - b),
    tubsEach,
  );
  return (
    <View style={{ gap: 4 }}>
      <Text variant="strong">What it takes</Text>
      <Card label="What it takes">
        {rows.map((row, at) => (
          <ListRow
            key={row.weeks}
            first={at === 0}
            selected={row.weeks === weeks}
            title={`After ${row.weeks} weeks`}
            trail={
              <Text variant={row.weeks === weeks ? 'strong' : 'body'}>
                {row.each === null ? 'cannot be seen' : `${row.each} on each side`}
              </Text>
            }
          />
        ))}
      </Card>
      <Text variant="small" tone="quiet">
        {`To see ${formatNumber(difference * 100, 0)} % four times in five: ${formatNeeded(rows.find((row) => row.weeks === weeks)!)}. From ${format.quantity('length', lengthCm)}, where its kind grows ${format.quantity('length', growsCm)} in a week, and fish that differ by ${formatNumber(USUAL_CV * 100, 0)} %; once both sides are measured, by as much as they do.`}
      </Text>
    </View>
  );
}

/** Fish assigned at random: which goes where, in the order in which they are caught. */
function Randomise({ group, onNote }: { group: Group; onNote: (randomised: string) => void }) {
  const format = useFormat();
  const [seed, setSeed] = useState(() => nowMs() % 1_000_000);
  const [text, setText] = useState('');
  const read = readLengths(text, format);
  const lengths = text.trim() === '' ? null : read.lengths;
  const count = lengths?.length ?? Math.min(200, group.size.total);
  const sides = useMemo(() => {
    const of = lengths ?? Array.from({ length: count }, () => null);
    return of.length >= 4 && of.every((one) => one === null || one > 0)
      ? randomised(of, seed)
      : null;
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the text is what the lengths are read from
  }, [text, count, seed]);
  const away = (sides ?? []).flatMap((side, at) => (side === 'b' ? [at + 1] : []));
  return (
    <Disclosure title="Assign them at random">
      <Field
        label="Their lengths, in the order in which they are caught"
        value={text}
        onChange={setText}
        fieldError={text.trim() === '' ? undefined : read.error}
        hint="Left empty they are assigned by their number alone; with lengths, fish of one size are parted from each other."
      />
      {sides ? (
        <>
          <Text>
            {`Catch all ${count}, one by one, without choosing. ${count - away.length} stay; these ${away.length} go to the other tub, by the order in which they are caught:`}
          </Text>
          <Text variant="strong">{away.join(', ')}</Text>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            <Button
              label="Keep it in the note"
              onPress={() =>
                onNote(`Assigned at random: ${away.join(', ')} of ${count} go to the other tub.`)
              }
            />
            <Button variant="bare" label="Draw again" onPress={() => setSeed(seed + 1)} />
          </View>
        </>
      ) : (
        <Text>It takes at least four fish.</Text>
      )}
      <Text variant="small" tone="quiet">
        Toss a coin for which tub gets the new diet too. The bold ones are caught first, so sides
        chosen by hand differ from the start.
      </Text>
    </Disclosure>
  );
}
