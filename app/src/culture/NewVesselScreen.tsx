import type { CultureKind } from '@open-larder/catalogue/cultures';
import type { Problem, VesselCreate } from '@open-larder/contract';
import {
  jarFor,
  isFromEggs,
  wayOf,
  MAX_CYSTS_G_L,
  SALT_G_L,
  type Clarity,
  type Density,
} from '@open-larder/core/culture';
import { addDays } from '@open-larder/core/round';
import { formatNumber } from '@open-larder/say';
import { useRouter } from 'expo-router';
import Check from 'lucide-react-native/icons/check';
import { useMemo, useState } from 'react';
import { Pressable, View } from 'react-native';
import { useNameSearch } from '../species/useNameSearch';
import { api, useHand, useNow, useFormat } from '../store';
import { SIZES, themed, useColours } from '../theme';
import {
  Button,
  Card,
  Choice,
  DateField,
  Field,
  NumberField,
  Picker,
  Screen,
  Stepper,
  Text,
  useToast,
  fieldErrorsOf,
  type FieldErrors,
  Waiting,
} from '../ui';
import { ClarityChoice, DensityChoice } from './DensityChoice';
import { VesselFieldsInput, type Draft } from './fields';
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
  const [draft, setDraft] = useState<Draft>({
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
  });
  const [going, setGoing] = useState(false);
  const [density, setDensity] = useState<Density | null>(null);
  const [clarity, setClarity] = useState<Clarity | null>(null);
  const [startedOn, setStartedOn] = useState<string | null>(now.day);
  const [fromId, setFromId] = useState(parent?.id ?? '');
  const [share, setShare] = useState(0.25);
  const [startG, setStartG] = useState<number | null>(hatch ? 1 : null);
  const [fieldErrors, setFieldErrors] = useState<FieldErrors>({});
  const start = async () => {
    if (going && density === null) {
      setFieldErrors({ looks: 'choose the picture that it looks most like' });
      return;
    }
    const body: VesselCreate = {
      ...draft,
      id,
      kindKey: kind.key,
      measure: draft.measure ?? Number.NaN,
      tempC: draft.tempC ?? Number.NaN,
      startedOn: startedOn ?? '',
      at: nowIso(),
      startG: going ? null : startG,
      fromVesselId: fromId === '' ? null : fromId,
      share: fromId === '' || hatch || going ? null : share,
      looks: going && density !== null ? { day: now.day, density, clarity } : null,
      shelveFood: true,
      hand,
    };
    const done = await create({ body });
    if (done.error) {
      const problem = done.error as Problem;
      setFieldErrors(fieldErrorsOf(problem));
      // What is wrong is shown beside its field.
      toast(problem.errors ? problem.title : problem.detail, { tone: 'error' });
      return;
    }
    toast(going ? `${draft.name} is entered.` : `${draft.name} is started.`);
    router.replace(`/larder/live/${id}`);
  };
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
            setGoing(value === 'going');
            const days = value === 'going' ? usualAge(kind) : 0;
            setStartedOn(addDays(now.day, -days));
          }}
        />
      )}
      {going ? null : <Steps kind={kind} />}
      {hatch ? <JarRecipe litres={draft.measure} /> : null}
      <Text variant="subtitle">The vessel</Text>
      <VesselFieldsInput
        kind={kind}
        draft={draft}
        fieldErrors={fieldErrors}
        kinds={[...data.kinds.values()]}
        foods={foods.data ?? []}
        none="Put it there for me"
        onChange={setDraft}
      />
      {going ? (
        <>
          <Text variant="subtitle">What it looks like now</Text>
          <DensityChoice
            kind={kind}
            value={density}
            fieldError={fieldErrors.looks ?? fieldErrors['looks.density']}
            onChange={setDensity}
          />
          <ClarityChoice kind={kind} value={clarity} onChange={setClarity} />
        </>
      ) : null}
      <Text variant="subtitle">Its start</Text>
      <DateField
        label={going ? 'Running since, roughly' : 'Started on'}
        value={startedOn}
        onChange={setStartedOn}
        fieldError={fieldErrors.startedOn ?? fieldErrors.day}
      />
      {siblings.length > 0 && !hatch && !going ? (
        <Picker
          label="Started from"
          value={fromId}
          picks={[
            { value: '', title: 'Not from one of mine' },
            ...siblings.map((one) => ({ value: one.id, title: one.name })),
          ]}
          onChange={setFromId}
          fieldError={fieldErrors.fromVesselId}
        />
      ) : null}
      {going ? null : fromId !== '' && !hatch ? (
        <Stepper
          label="Share that goes over"
          value={share}
          step={0.05}
          min={0.05}
          max={0.9}
          onChange={setShare}
          format={(value) => `${Math.round(value * 100)} %`}
        />
      ) : (
        <Field
          label="From"
          value={draft.startedFrom}
          onChange={(startedFrom) => setDraft({ ...draft, startedFrom })}
          fieldError={fieldErrors.startedFrom}
          placeholder={hatch ? 'dried eggs' : 'a friend, a shop, dried eggs'}
        />
      )}
      {going ? null : (
        <NumberField
          label={hatch ? 'Eggs, dry' : 'How much was put in, if you know'}
          unit="g"
          value={startG}
          onChange={setStartG}
          fieldError={fieldErrors.startG}
          hint={
            hatch
              ? `At most ${MAX_CYSTS_G_L} g in a litre.`
              : 'Blank is a tenth of what it carries.'
          }
        />
      )}
      {going || readyWords(kind, draft, startedOn) === null ? null : (
        <Text>
          It gives from about{' '}
          {format.day(addDays(startedOn ?? now.day, readyWords(kind, draft, startedOn) ?? 0))} on.
          {hatch ? '' : ' Keep a second one: every culture crashes some day.'}
        </Text>
      )}
      <View style={{ alignItems: 'flex-start' }}>
        <Button
          variant="primary"
          label={going ? 'Put it on the shelf' : 'Start it'}
          onPress={() => start()}
        />
      </View>
    </>
  );
}

/** A culture that is going already is likely this old: it gives in full. */
const usualAge = ({ fullDays }: CultureKind) => Math.ceil(fullDays ?? 21);

/** Days until it gives; null while its size or temperature is not said. */
function readyWords(kind: CultureKind, { measure, tempC }: Draft, startedOn: string | null) {
  const whole = [measure, tempC].every((value) => value !== null && Number.isFinite(value));
  if (!whole || startedOn === null || measure! <= 0 || tempC! < 0 || tempC! > 40) return null;
  return wayOf(kind).leadDays(kind, measure!, tempC!);
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
