import type { Group, LifeEventRow } from '@open-larder/contract';
import { formatBodyMass } from '@open-larder/say';
import { type GrowthStatus } from '@open-larder/core/growth';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { api, useHouse, useNow, useFormat, type AppData } from '../store';
import { useWide } from '../theme';
import { Button, Empty, Screen, Text, Waiting } from '../ui';
import { NumberField } from '../ui/NumberField';
import { RecordNote } from '../forecasts/RecordNote';
import { useCalibratedDays } from '../forecasts/useForecastRecord';
import { CheckpointsCard } from './CheckpointsCard';
import { MeasureSheet } from './MeasureSheet';
import { growthOf } from './useGrowth';
import { formatAgainst, formatPercent, formatReached, formatSorting } from './labels';
import { CurveCard } from './CurveCard';
import { SizesCard } from './SizesCard';
import { OutcomeCard, MassChart } from './OutcomeCard';
import { SamplesCard } from './SamplesCard';

/** How a group grows: what was measured, its curve, its kind, and what follows from it. */
export function GrowthScreen({ id }: { id: string }) {
  const loaded = useHouse();
  const life = api.useLifeQuery(id);
  const group = loaded.data?.groups.find((one) => one.id === id);
  return (
    <Screen title="Growth" detail={group?.name} back={group ? `/groups/${id}` : '/tanks'}>
      {!loaded.data || !life.data ? (
        <Waiting of={[loaded, life]} rows={4} height={80} />
      ) : group ? (
        <GrowthOf group={group} data={loaded.data} events={life.data} />
      ) : (
        <Empty title="No such group" text="It may have been ended. Go back to its tank." />
      )}
    </Screen>
  );
}

interface Props {
  group: Group;
  data: AppData;
  events: LifeEventRow[];
}

function GrowthOf({ group, data, events }: Props) {
  const format = useFormat();
  const now = useNow();
  const wide = useWide();
  const router = useRouter();
  const species = data.species.get(group.speciesKey);
  const [targetCm, setTargetCm] = useState<number | null>(
    species ? Math.round(species.adultLengthCm * 5) / 10 : null,
  );
  const [measuring, setMeasuring] = useState(false);
  const status = useMemo(
    () =>
      growthOf(group, events, data, now.day, targetCm !== null && targetCm > 0 ? targetCm : null),
    [group, events, data, now.day, targetCm],
  );
  const asFarApart = useCalibratedDays('lengthDay');
  const reached =
    status !== null && typeof status.reached === 'object' && status.reached !== null
      ? asFarApart(status.reached)
      : (status?.reached ?? null);
  const length = format.scale('length');
  const measure = (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
      <Button
        least="keeper"
        variant="primary"
        label="Measure a few"
        onPress={() => setMeasuring(true)}
      />
      <Button label="Trials" onPress={() => router.push('/records?tab=trials')} />
      <Button
        variant="bare"
        label="Compare batches"
        onPress={() => router.push('/records/compare')}
      />
    </View>
  );
  const sheet = measuring ? (
    <MeasureSheet group={group} onClose={() => setMeasuring(false)} />
  ) : null;
  if (!status || status.samples.length === 0) {
    return (
      <View style={{ gap: 16 }}>
        <Empty
          title="Not measured yet"
          text="Measure a few, by number or in a photo beside a ruler: how they grow against their kind, when they reach a length, and whether to sort them follows from it."
        />
        {measure}
        {status ? <CheckpointsCard group={group} status={status} /> : null}
        {sheet}
      </View>
    );
  }
  return (
    <View style={{ gap: 16, maxWidth: wide ? 820 : undefined }}>
      <Said status={status} />
      {measure}
      <CurveCard group={group} status={status} data={data} targetCm={targetCm} />
      <NumberField
        label="When will they reach"
        unit={length.unit}
        scale={length}
        decimals={1}
        value={targetCm}
        onChange={setTargetCm}
        hint={
          targetCm !== null && targetCm > 0
            ? (formatReached(reached, targetCm, format) ?? undefined)
            : 'A length at which they move up, breed, or can be sold or given away.'
        }
      />
      <RecordNote kind={reached === null ? 'length' : 'lengthDay'} />
      <CheckpointsCard group={group} status={status} />
      <SizesCard group={group} status={status} data={data} />
      <OutcomeCard group={group} status={status} events={events} data={data} />
      <MassChart status={status} />
      <SamplesCard events={events} />
      {sheet}
    </View>
  );
}

function Said({ status }: { status: GrowthStatus }) {
  const format = useFormat();
  const last = status.samples.at(-1)!;
  const sorting = formatSorting(status, format);
  const against = formatAgainst(status, format);
  const interval =
    last.low === null || last.high === null
      ? ', one fish: the others may differ'
      : `, likely ${format.quantity('length', last.low)} to ${format.quantity('length', last.high)}`;
  return (
    <View style={{ gap: 4 }}>
      <Text variant="strong">{`${format.quantity('length', last.mean)}${interval}`}</Text>
      <Text variant="small" tone="quiet">
        {`${last.n} of them, ${format.day(last.day)}${last.again ? '; some were measured more than once' : ''}${last.cv === null ? '' : `; they differ by ${formatPercent(last.cv)}`}. One weighs about ${formatBodyMass(last.massG)}.`}
      </Text>
      {against ? <Text tone={status.against === 'behind' ? 'due' : 'ink'}>{against}</Text> : null}
      {sorting ? <Text tone="due">{sorting}</Text> : null}
      {status.runts > 0 ? (
        <Text tone="due">
          {`${status.runts === 1 ? 'One is a runt' : `${status.runts} are runts`}, under 70 % of the mean: raise ${status.runts === 1 ? 'it' : 'them'} apart, where food reaches ${status.runts === 1 ? 'it' : 'them'}.`}
        </Text>
      ) : null}
      {status.shrank ? (
        <Text tone="due">
          {`Shorter than before: ${format.quantity('length', status.shrank.fromCm)} then, ${format.quantity('length', status.shrank.toCm)} now. Fish do not shrink so: others were measured, or the unit was another.`}
        </Text>
      ) : null}
      {status.condition && status.condition.word !== 'as usual' ? (
        <Text tone="due">
          {`${status.condition.word === 'thin' ? 'Thin' : 'Stout'} for their length: ${formatPercent(status.condition.value)} of the usual mass.`}
        </Text>
      ) : null}
    </View>
  );
}
