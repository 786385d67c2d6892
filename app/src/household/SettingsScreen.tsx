import { zodResolver } from '@hookform/resolvers/zod';
import { householdEdit, type HouseholdSettings } from '@open-larder/contract';
import { useRouter } from 'expo-router';
import { useCallback, useEffect, useRef, type ReactNode } from 'react';
import { Controller, useForm, type UseFormReturn } from 'react-hook-form';
import { Linking, View } from 'react-native';
import type { z } from 'zod';
import { api } from '../store';
import { useWide } from '../theme';
import { FormFields, type FormField } from '../forms/FormFields';
import { Button, Card, Field, ListRow, Screen, Text, useToast, Waiting } from '../ui';
import { StaleNotice } from '../ui/StaleNotice';
import { useSave } from '../ui/useSave';
import { AtHomeField } from './AtHomeField';
import { BackupCard } from './BackupCard';
import { DeviceChoices } from './DeviceChoices';
import { Moments } from './Moments';

export function SettingsScreen() {
  const { data, error, refetch } = api.useHouseholdQuery();
  return (
    <Screen title="Settings" back="/round" aside={<Moments />}>
      <PeopleLink />
      <Text variant="subtitle">This device</Text>
      <DeviceChoices />
      {data ? (
        <ForOwners>
          <HouseholdForm household={data} />
          <BackupCard />
        </ForOwners>
      ) : (
        <Waiting of={{ error, refetch }} rows={5} height={48} />
      )}
      <NarrowMoments />
      <View style={{ alignItems: 'flex-start', gap: 8 }}>
        <Text variant="subtitle">For programs</Text>
        <Button label="The list of addresses (API)" onPress={() => Linking.openURL('/api/docs/')} />
      </View>
    </Screen>
  );
}

/** The settings of the household, for those who may change them. */
function ForOwners({ children }: { children: ReactNode }) {
  const { data: me } = api.useMeQuery();
  if (!me?.household || me.household.role === 'owner') return children;
  return <Text tone="quiet">Only owners can change the units, the clock and the house.</Text>;
}

/** Who is signed in here, and the way to the others and to a phone. */
function PeopleLink() {
  const router = useRouter();
  const { data: me } = api.useMeQuery();
  return (
    <Card>
      <ListRow
        first
        title="People and phones"
        detail={
          me?.person
            ? `Signed in as ${me.person.name}`
            : 'Open it on your phone, invite others, see who is signed in'
        }
        onPress={() => router.push('/people')}
      />
    </Card>
  );
}

function NarrowMoments() {
  return useWide() ? null : <Moments />;
}

type Values = z.infer<typeof householdEdit>;

/** What is typed: it is saved once it rests. */
const TYPED = new Set<string>(['name', 'timeZone', 'phrases', 'currency', 'deliveryDays']);

const UNITS_AND_CLOCK: FormField<Values>[] = [
  {
    name: 'units',
    label: 'Lengths, volumes and masses',
    hint: 'Any number can be typed with its own unit: «1 1/2 in», «20 gal», «78F».',
    as: 'choice',
    options: [
      { value: 'metric', label: 'cm, L, g' },
      { value: 'us', label: 'in, gal, oz' },
    ],
  },
  {
    name: 'temperature',
    label: 'Temperature',
    as: 'choice',
    options: [
      { value: 'C', label: '°C' },
      { value: 'F', label: '°F' },
    ],
  },
  {
    name: 'hardness',
    label: 'Hardness',
    as: 'choice',
    options: [
      { value: 'dGH', label: 'dGH' },
      { value: 'ppm', label: 'ppm' },
    ],
  },
  {
    name: 'clock',
    label: 'Clock',
    as: 'choice',
    options: [
      { value: '24', label: '18:30' },
      { value: '12', label: '6:30 pm' },
    ],
  },
  {
    name: 'weekStart',
    label: 'The week begins on',
    as: 'choice',
    options: [
      { value: 1, label: 'Monday' },
      { value: 7, label: 'Sunday' },
    ],
  },
];
const HOUSE: FormField<Values>[] = [
  { name: 'name', label: 'Name of the house', as: 'text' },
  {
    name: 'deliveryDays',
    label: 'Days until a parcel comes',
    as: 'stepper',
    step: 1,
    min: 0,
    max: 60,
  },
  {
    name: 'phrases',
    label: 'Quick phrases for notes',
    hint: 'What you note most on a round, with commas between: «begging, hid at first».',
    as: 'list',
  },
  {
    name: 'timeZone',
    label: 'Time zone',
    hint: 'Region/City, such as Europe/Berlin. Days and moments follow its clock.',
    as: 'text',
  },
];

/** So long after the last letter that was typed it is saved, ms. */
const TYPED_MS = 800;

function HouseholdForm({ household }: { household: HouseholdSettings }) {
  const toast = useToast();
  const [edit] = api.useEditHouseholdMutation();
  const { id: _, ...values } = household;
  const form = useForm<Values>({
    resolver: zodResolver(householdEdit),
    values,
    resetOptions: { keepDirtyValues: true },
  });
  const { save, stale } = useSave(form);
  const { control, formState, handleSubmit } = form;
  const { errors } = formState;
  /** What the server holds: what an undo goes back to. */
  const kept = useRef<Values>(values);
  const take = (theirs: Values) => {
    kept.current = theirs;
    form.reset(theirs, { keepDirtyValues: false });
  };
  const write = async (body: Values) => {
    const before = kept.current;
    const saved = await save(() => edit({ body }) as never);
    if (!saved) return;
    const { id: __, ...after } = saved as HouseholdSettings;
    kept.current = after;
    // What is changed before the lists are read again is no stale edit.
    form.setValue('version', after.version);
    toast('The settings are saved.', {
      undo: async () => {
        const back = await save(
          () => edit({ body: { ...before, version: kept.current.version } }) as never,
        );
        if (back) take({ ...before, version: (back as HouseholdSettings).version });
      },
    });
  };
  const put = () => handleSubmit(write)();
  const submit = useSaveAsChanged(form, put);
  return (
    <View style={{ gap: 16 }}>
      <StaleNotice
        stale={stale}
        fields={{
          name: 'Name',
          timeZone: 'Time zone',
          units: 'Units',
          temperature: 'Temperature',
          hardness: 'Hardness',
          clock: 'Clock',
          phrases: 'Quick phrases',
        }}
        onKeepMine={submit}
        // Over what was typed too: keeping it is what the other button is for.
        onTakeTheirs={({ id: __, ...theirs }: HouseholdSettings) => take(theirs)}
      />
      <Text variant="subtitle">Units and clock</Text>
      <FormFields control={control} fields={UNITS_AND_CLOCK} />
      <Controller
        control={control}
        name="currency"
        render={({ field }) => (
          <Field
            label="Currency"
            value={field.value}
            onChange={(text) => field.onChange(text.toUpperCase())}
            fieldError={errors.currency?.message}
            hint="Three letters: EUR, USD, GBP."
          />
        )}
      />
      <Text variant="subtitle">The house</Text>
      <FormFields control={control} fields={HOUSE} />
      <Controller
        control={control}
        name="atHome"
        render={({ field }) => (
          <AtHomeField
            value={field.value}
            onChange={field.onChange}
            fieldError={
              errors.atHome ? 'Each span must end at a different time than it begins.' : undefined
            }
          />
        )}
      />
    </View>
  );
}

/**
 * Save a form as it is changed, one change after the other; a choice at once, words once they rest.
 * @param put sends the form as it is then
 * @returns sends it now
 */
function useSaveAsChanged(form: UseFormReturn<Values>, put: () => Promise<void>): () => void {
  const latest = useRef(put);
  const inTurn = useRef(Promise.resolve());
  const waiting = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  useEffect(() => {
    latest.current = put;
  });
  const send = useCallback(() => {
    clearTimeout(waiting.current);
    waiting.current = undefined;
    inTurn.current = inTurn.current.then(() => latest.current());
  }, []);
  useEffect(() => {
    const { unsubscribe } = form.watch((_values, { type, name }) => {
      if (type !== 'change') return;
      clearTimeout(waiting.current);
      waiting.current = setTimeout(send, name && TYPED.has(name) ? TYPED_MS : 0);
    });
    return () => {
      unsubscribe();
      // Who leaves in the middle of a word meant it.
      if (waiting.current !== undefined) send();
    };
  }, [form, send]);
  return send;
}
