import { zodResolver } from '@hookform/resolvers/zod';
import type { CultureKind } from '@open-larder/catalogue/cultures';
import { vesselCreate, type VesselCreate } from '@open-larder/contract';
import { jarFor, isFromEggs, wayOf, MAX_CYSTS_G_L, SALT_G_L } from '@open-larder/core/culture';
import { addDays } from '@open-larder/core/round';
import { formatNumber } from '@open-larder/say';
import { useRouter } from 'expo-router';
import Check from 'lucide-react-native/icons/check';
import { useMemo, useState } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { Pressable, View } from 'react-native';
import { FormFields } from '../forms/FormFields';
import { DateInput, NumberInput, PickerInput, StepperInput, TextInput } from '../forms/inputs';
import { useNameSearch } from '../species/useNameSearch';
import { api, useHand, useNow, useFormat } from '../store';
import { SIZES, themed, useColours } from '../theme';
import { Button, Card, Choice, Screen, Text, useToast, Waiting } from '../ui';
import { Picker } from '../ui/Picker';
import { useSave } from '../ui/useSave';
import { ClarityChoice, DensityChoice } from './DensityChoice';
import { vesselFields } from './fields';
import { formatSizes } from './KindCard';
import { useCultures, type Culture, type Cultures } from './useCultures';
import { nowIso } from '../store/clock';
import { formIntent } from '../store/intent';

/** Starting a culture, step by step: its kind, what to do, its vessel, where it came from. */
export function NewVesselScreen({ from }: { from?: string }) {
  const { data, problem, ...rest } = useCultures();
  return (
    <Screen title="Start a culture" back="/larder/live">
      {!data ? (
        <Waiting of={{ problem, ...rest }} rows={4} height={72} />
      ) : (
        <Guide data={data} parent={data.kept.find(({ id }) => id === from) ?? null} />
      )}
    </Screen>
  );
}

function Guide({ data, parent }: { data: Cultures; parent: Culture | null }) {
  const [kindKey, setKindKey] = useState(parent?.kindKey ?? '');
  const kind = data.kinds.get(kindKey);
  const kinds = useMemo(() => [...data.kinds.values()], [data.kinds]);
  const find = useNameSearch(kinds);
  return (
    <>
      <Picker
        label="What kind"
        value={kindKey}
        search={find}
        placeholder="Choose a kind"
        picks={[...data.kinds.values()].map((one) => ({
          value: one.key,
          title: one.name,
          detail: `${formatSizes(one)} · about ${one.upkeepMinWeek} min a week`,
        }))}
        onChange={setKindKey}
      />
      {kind ? <Start key={kind.key} kind={kind} data={data} parent={parent} /> : null}
    </>
  );
}

/** Of the vessel that another is started from, the share that is moved. Practice. */
const USUAL_SHARE = 0.25;
const USUAL_SIZE = { L: 10, dm2: 2, jar: 1 } as const;

function Start({
  kind,
  data,
  parent: asked,
}: {
  kind: CultureKind;
  data: Cultures;
  /** The vessel that it was asked to be started from; of another kind, or crashed, it is none. */
  parent: Culture | null;
}) {
  const toast = useToast();
  const now = useNow();
  const hand = useHand();
  const format = useFormat();
  const router = useRouter();
  const foods = api.useFoodsQuery();
  const [create] = api.useCreateVesselMutation();
  const { id } = formIntent('vessel.new', kind.key);
  const hatch = isFromEggs(kind);
  const siblings = data.kept.filter(
    (one) => one.kindKey === kind.key && one.status.state !== 'crashed',
  );
  const parent = siblings.find(({ id: one }) => one === asked?.id) ?? null;
  const form = useForm<VesselCreate>({
    resolver: zodResolver(vesselCreate) as never,
    defaultValues: { ...beginningOf(kind, parent), id, at: nowIso(), startedOn: now.day, hand },
  });
  const { control, setValue, handleSubmit } = form;
  const values = useWatch({ control }) as VesselCreate;
  const { save } = useSave(form);
  const going = values.looks !== null;
  const shared = values.fromVesselId !== null;
  const comesFrom = (vesselId: string | null) => {
    setValue('fromVesselId', vesselId);
    setValue('share', vesselId === null ? null : USUAL_SHARE);
  };
  const submit = handleSubmit(async (valid) => {
    const body = { ...valid, id, at: nowIso(), startG: going ? null : valid.startG };
    if (!(await save(() => create({ body })))) return;
    toast(going ? `${body.name} is entered.` : `${body.name} is started.`);
    router.replace(`/larder/live/${id}`);
  });
  const readyIn = readyDays(kind, values);
  return (
    <>
      {wayOf(kind).startsFrom !== 'culture' ? null : (
        <Choice
          label="This culture"
          value={going ? 'going' : 'new'}
          options={[
            { value: 'new', label: 'starts now' },
            { value: 'going', label: 'is going already' },
          ]}
          onChange={(value) => {
            const seen = { day: now.day, density: null as never, clarity: null };
            setValue('looks', value === 'going' ? seen : null);
            comesFrom(value === 'going' ? null : (parent?.id ?? null));
            const days = value === 'going' ? usualAge(kind) : 0;
            setValue('startedOn', addDays(now.day, -days));
          }}
        />
      )}
      {going ? null : <Steps kind={kind} />}
      {hatch ? <JarRecipe litres={values.measure} /> : null}
      <Text variant="subtitle">The vessel</Text>
      <FormFields
        control={control as never}
        fields={vesselFields({
          kind,
          kinds: [...data.kinds.values()],
          foods: foods.data ?? [],
          none: 'Put it there for me',
          format,
        })}
      />
      {going ? (
        <>
          <Text variant="subtitle">What it looks like now</Text>
          <Controller
            control={control}
            name="looks.density"
            render={({ field, fieldState }) => (
              <DensityChoice
                kind={kind}
                value={field.value}
                fieldError={fieldState.error?.message}
                onChange={field.onChange}
              />
            )}
          />
          <Controller
            control={control}
            name="looks.clarity"
            render={({ field }) => (
              <ClarityChoice kind={kind} value={field.value} onChange={field.onChange} />
            )}
          />
        </>
      ) : null}
      <Text variant="subtitle">Its start</Text>
      <DateInput
        control={control}
        name="startedOn"
        label={going ? 'Running since, roughly' : 'Started on'}
        required
      />
      {siblings.length > 0 && !hatch && !going ? (
        <PickerInput
          control={control}
          name="fromVesselId"
          label="Started from"
          blank="Not from one of mine"
          picks={siblings.map((one) => ({ value: one.id, title: one.name }))}
          onPicked={(vesselId) => comesFrom(vesselId === '' ? null : vesselId)}
        />
      ) : null}
      {shared ? (
        <StepperInput
          control={control}
          name="share"
          label="Share that goes over"
          step={0.05}
          min={0.05}
          max={0.9}
          format={(value) => `${Math.round(value * 100)} %`}
        />
      ) : going ? null : (
        <TextInput
          control={control}
          name="startedFrom"
          label="From"
          placeholder={hatch ? 'dried eggs' : 'a friend, a shop, dried eggs'}
        />
      )}
      {going ? null : (
        <NumberInput
          control={control}
          name="startG"
          label={hatch ? 'Eggs, dry' : 'How much was put in, if you know'}
          unit="g"
          hint={
            hatch
              ? `At most ${MAX_CYSTS_G_L} g in a litre.`
              : 'Blank is a tenth of what it carries.'
          }
        />
      )}
      {going || readyIn === null ? null : (
        <Text>
          It gives from about {format.day(addDays(values.startedOn, readyIn))} on.
          {hatch ? '' : ' Keep a second one: every culture crashes some day.'}
        </Text>
      )}
      <View style={{ alignItems: 'flex-start' }}>
        <Button
          variant="primary"
          label={going ? 'Put it on the shelf' : 'Start it'}
          onPress={() => submit()}
        />
      </View>
    </>
  );
}

/** What a form for one of this kind begins with: as its parent is, or as is usual. */
function beginningOf(
  kind: CultureKind,
  parent: Culture | null,
): Omit<VesselCreate, 'id' | 'at' | 'startedOn' | 'hand'> {
  const hatch = isFromEggs(kind);
  return {
    kindKey: kind.key,
    name: '',
    measure: hatch ? 1 : (parent?.measure ?? USUAL_SIZE[kind.measure]),
    tempC: parent?.tempC ?? Math.min(kind.tempMaxC, Math.max(kind.tempMinC, kind.refC ?? 22)),
    strain: parent?.strain ?? '',
    place: parent?.place ?? '',
    startedFrom: '',
    water: parent?.water ?? '',
    tools: parent?.tools ?? '',
    foodId: parent?.foodId ?? null,
    alsoKindKey: null,
    startG: hatch ? 1 : null,
    fromVesselId: hatch ? null : (parent?.id ?? null),
    share: hatch || !parent ? null : USUAL_SHARE,
    shelveFood: true,
    looks: null,
  };
}

/** A culture that is going already is likely this old: it gives in full. */
const usualAge = ({ fullDays }: CultureKind) => Math.ceil(fullDays ?? 21);

/** Days until it gives; null while its size or temperature is not said. */
function readyDays(kind: CultureKind, { measure, tempC, startedOn }: VesselCreate): number | null {
  const said = measure > 0 && tempC >= 0 && tempC <= 40 && startedOn !== '';
  return said ? wayOf(kind).leadDays(kind, measure, tempC) : null;
}

/** What to do, one after the other, with its cautions first; each is ticked off. */
function Steps({ kind }: { kind: CultureKind }) {
  const styles = useStyles();
  const colours = useColours();
  const [done, setDone] = useState<ReadonlySet<number>>(new Set());
  const toggle = (at: number) =>
    setDone((before) => {
      const next = new Set(before);
      if (!next.delete(at)) next.add(at);
      return next;
    });
  return (
    <>
      {[...kind.cautionsPeople, ...kind.cautionsFish].map((caution) => (
        <Text key={caution} tone="due">
          {caution.charAt(0).toUpperCase() + caution.slice(1)}.
        </Text>
      ))}
      <Card label="How it is started">
        {kind.start.map((step, at) => (
          <Pressable
            key={step}
            role="checkbox"
            aria-checked={done.has(at)}
            aria-label={step}
            onPress={() => toggle(at)}
            style={[styles.step, at > 0 && styles.ruled]}
          >
            <View style={styles.tick}>
              {done.has(at) ? (
                <Check size={22} color={colours.duckweed} />
              ) : (
                <Text variant="strong">{String(at + 1)}</Text>
              )}
            </View>
            <View style={styles.words}>
              <Text tone={done.has(at) ? 'quiet' : 'ink'}>
                {step.charAt(0).toUpperCase() + step.slice(1)}
              </Text>
            </View>
          </Pressable>
        ))}
      </Card>
      {kind.practices.map((practice) => (
        <Text key={practice} variant="small" tone="quiet">
          Keepers differ: {practice}.
        </Text>
      ))}
    </>
  );
}

/** What goes into a hatching jar of this size. */
function JarRecipe({ litres }: { litres: number | null }) {
  if (litres === null || !Number.isFinite(litres) || litres <= 0 || litres > 100) return null;
  const max = litres * MAX_CYSTS_G_L;
  const perGram = jarFor(1).cystsG > 0 ? Math.round(1 / jarFor(1).cystsG / 1000) : 0;
  return (
    <Text>
      For {formatNumber(litres, 2)} L: {formatNumber(litres * SALT_G_L, 1)} g of salt, at most{' '}
      {formatNumber(max, 1)} g of eggs, air from below, light. A gram gives about {perGram}{' '}
      thousand.
    </Text>
  );
}

const useStyles = themed((c) => ({
  step: {
    minHeight: SIZES.touch,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
    paddingHorizontal: 12,
    paddingVertical: 8,
  },
  ruled: { borderTopWidth: 1, borderColor: c.rule },
  tick: { width: 28, alignItems: 'center' },
  words: { flex: 1, minWidth: 0 },
}));
