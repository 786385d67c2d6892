import type { BroodEventCreate, Problem } from '@open-larder/contract';
import { waterLitres } from '@open-larder/core/tank';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { api, useHand, useHouse, useNow, type AppData } from '../store';
import {
  Button,
  Choice,
  DateField,
  NumberField,
  Picker,
  Screen,
  Text,
  upperFirst,
  useToast,
  fieldErrorsOf,
  type FieldErrors,
  Waiting,
} from '../ui';
import { BroodFieldsInput, defaultsOf, type BroodDraft } from './fields';
import { TubFields, type TubDraft } from './TubsCard';
import { useBroods, strategyOf, type Broods } from './useBroods';
import { formIntent } from '../store/intent';

const BEGINNINGS = ['paired', 'spawned', 'swimming'] as const;
type Beginning = (typeof BEGINNINGS)[number];
const BEGIN_WORDS: Record<Beginning, string> = {
  paired: 'they are together',
  spawned: 'they have spawned',
  swimming: 'the young swim',
};

/** Beginning the line of a brood: whose it is, how it began, where it is. */
export function NewBroodScreen({ tank, group }: { tank?: string; group?: string }) {
  const broods = useBroods();
  const house = useHouse();
  return (
    <Screen title="Begin a brood" back="/broods">
      {broods.data && house.data ? (
        <Begin broods={broods.data} data={house.data} tank={tank} group={group} />
      ) : (
        <Waiting of={[broods, house]} rows={5} height={64} />
      )}
    </Screen>
  );
}

function Begin({
  broods,
  data,
  tank,
  group: asked,
}: {
  broods: Broods;
  data: AppData;
  tank?: string;
  group?: string;
}) {
  const toast = useToast();
  const now = useNow();
  const hand = useHand();
  const router = useRouter();
  const [create] = api.useCreateBroodMutation();
  const intent = formIntent('brood.new', tank, asked);
  const parents =
    data.groups.find(({ id }) => id === asked) ??
    (tank === undefined ? undefined : data.groupsIn.get(tank)?.[0]);
  const [speciesKey, setSpeciesKey] = useState(parents?.speciesKey ?? '');
  const species = data.species.get(speciesKey) ?? null;
  const strategy = species ? strategyOf(broods.strategies, species.breeding) : undefined;
  const asHome = parents?.tankId ?? tank ?? null;
  const [draft, setDraft] = useState<BroodDraft>({
    name: '',
    breeding: null,
    tankId: asHome,
    groupId: parents?.id ?? null,
    youngGroupId: null,
    targetCm: null,
    conditionDays: null,
    ...defaultsOf(strategy),
  });
  const home = data.tanks.find(({ id }) => id === draft.tankId);
  const stays = draft.raising === 'with' && home !== undefined;
  const [tub, setTub] = useState<TubDraft>(() => ({
    name: '',
    litres: 10,
    tempC: home?.tempC ?? species?.tempOptC ?? 24,
    ph: home?.ph ?? null,
    filtered: false,
  }));
  const [began, setBegan] = useState<Beginning>('spawned');
  const [day, setDay] = useState<string | null>(now.day);
  const [count, setCount] = useState<number | null>(null);
  const [fieldErrors, setFieldErrors] = useState<FieldErrors>({});
  const choose = (key: string, said: BroodDraft = draft) => {
    setSpeciesKey(key);
    const kind = data.species.get(key);
    setDraft({ ...said, ...defaultsOf(strategyOf(broods.strategies, kind?.breeding)) });
    const place = data.tanks.find(({ id }) => id === said.tankId);
    setTub({ ...tub, tempC: place?.tempC ?? kind?.tempOptC ?? tub.tempC, ph: place?.ph ?? tub.ph });
  };
  const change = (next: BroodDraft) => {
    const group = data.groups.find(({ id }) => id === next.groupId);
    // Who the parents are shows the species, where they live, and what suits their way of life.
    if (group && next.groupId !== draft.groupId) {
      choose(group.speciesKey, { ...next, tankId: group.tankId });
    } else setDraft(next);
  };
  const refused = (problem: Problem) => {
    setFieldErrors(fieldErrorsOf(problem));
    toast(problem.errors ? problem.title : problem.detail, { tone: 'error' });
  };
  const begin = async () => {
    const where = stays
      ? {
          name: home.name,
          litres: waterLitres(home)?.value ?? Number.NaN,
          tempC: home.tempC,
          ph: home.ph,
          filtered: home.filter !== 'none',
        }
      : { ...tub, litres: tub.litres ?? Number.NaN, tempC: tub.tempC ?? Number.NaN };
    const { id } = intent;
    const tubId = intent.also('tub');
    const base = { day: day ?? '', at: intent.at, hand, note: '', tubId };
    const events: BroodEventCreate[] = [{ ...base, id: intent.also('begun'), kind: began }];
    if (count !== null && began !== 'paired') {
      const kind = began === 'spawned' ? 'eggsSeen' : 'counted';
      events.push({ ...base, id: intent.also('count'), kind, count });
    }
    const body = { ...draft, id, speciesKey, tub: { ...where, id: tubId }, events };
    const done = await create({ body });
    if (done.error) return refused(done.error as Problem);
    toast(`${draft.name} is begun.`);
    router.replace(`/broods/${id}`);
  };
  return (
    <>
      <Picker
        label="Species"
        value={speciesKey}
        search
        placeholder="Choose a species"
        picks={[...data.species.values()]
          .filter(({ breeding }) => breeding !== 'not bred at home')
          .map((one) => ({
            value: one.key,
            title: one.common,
            detail: `${one.scientific} · ${one.breeding}`,
          }))}
        onChange={(key) => choose(key)}
        fieldError={fieldErrors.speciesKey}
      />
      {strategy && species ? (
        <>
          <Text>{`${upperFirst(strategy.breeding)}: ${strategy.parentsRule}.`}</Text>
          {strategy.cautions.map((caution) => (
            <Text key={caution} tone="due">
              {upperFirst(caution)}.
            </Text>
          ))}
        </>
      ) : null}
      <Choice
        label="How far it is"
        value={began}
        options={BEGINNINGS.map((value) => ({ value, label: BEGIN_WORDS[value] }))}
        onChange={setBegan}
      />
      <DateField label="Since" value={day} onChange={setDay} fieldError={fieldErrors.day} />
      {began === 'paired' ? null : (
        <NumberField
          label={
            began === 'spawned' ? 'Eggs, about, if you saw them' : 'Young, about, if you counted'
          }
          value={count}
          onChange={setCount}
          fieldError={fieldErrors.count}
        />
      )}
      <BroodFieldsInput
        draft={draft}
        fieldErrors={fieldErrors}
        strategies={broods.strategies}
        species={species}
        data={data}
        onChange={change}
      />
      {stays ? (
        <Text tone="quiet">They are in {home.name}, with their parents.</Text>
      ) : (
        <>
          <Text variant="subtitle">Where they are</Text>
          <TubFields draft={tub} fieldErrors={fieldErrors} path="tub." onChange={setTub} />
        </>
      )}
      <View style={{ alignItems: 'flex-start' }}>
        <Button
          variant="primary"
          label="Begin it"
          disabled={speciesKey === ''}
          onPress={() => begin()}
        />
      </View>
    </>
  );
}
